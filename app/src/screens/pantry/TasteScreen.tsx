import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { tasteRefusals } from '@pause/core/pantry/tasting';
import {
  Body,
  Button,
  Chip,
  ChipRow,
  Heading,
  Loading,
  Notice,
  Screen,
  Small,
  Strong,
  Title,
  Stack,
} from '../../components';
import { now } from '../../notebook/add';
import { begin, isThere, madeOf, usePantry, type Pantry } from '../../notebook/pantry';
import { useRecalls } from '../../notebook/recalls';
import { useAct, useApp } from '../../notebook/store';
import { useToday } from '../../notebook/useFinds';
import { useEaters } from '../../notebook/usePlaces';
import { t } from '../../text/en/eating';
import { t as pantryText } from '../../text/en/pantry';
import { CommonName, partName } from '../../text/names';
import { tasteRefusalWords } from '../../text/pantry';
import { namesOf } from './portionKinds';

/**
 * The first time: one grown person, one new thing, a small amount, made ready as it has to be; and then a day
 * of waiting.
 */
export function TasteScreen() {
  const { of } = useLocalSearchParams<{ of?: string }>();
  const pantry = usePantry();
  const recalls = useRecalls(pantry);
  if (!pantry.ready || !recalls.ready)
    return (
      <Screen>
        <Loading what={pantryText.openingTheNotebook} />
      </Screen>
    );
  return <Taste key={of ?? ''} first={of} pantry={pantry} held={new Set(recalls.all.map(({ id }) => id))} />;
}

interface TasteProps {
  readonly first: string | undefined;
  readonly pantry: Pantry;
  /** Batches that are in question. */
  readonly held: ReadonlySet<string>;
}

/** What is new and who tastes it, and what speaks against that. */
function useTaste({ first, pantry, held }: TasteProps) {
  const eaters = useEaters();
  const today = useToday();
  const me = useApp((state) => state.me.person?.name ?? t.me);
  const ready = pantry.batches.filter(
    (batch) => batch.fields.readyOn !== undefined && isThere(pantry, batch),
  );
  const [of = first, setOf] = useState<string>();
  const [content, setContent] = useState(0);
  const names = namesOf(
    me,
    eaters.flatMap(({ fields }) => fields.name ?? []),
  );
  const [who = names[0] ?? me, setWho] = useState<string>();
  const batch = ready.find(({ id }) => id === of);
  const { taxon, part = '' } = batch?.fields.contents?.[content] ?? {};
  const made = taxon === undefined ? undefined : madeOf({ taxon, part });
  const eater = eaters.find(({ fields }) => fields.name === who);
  const refusals =
    made && batch
      ? tasteRefusals({
          taxon: made.taxon,
          part: made.part,
          cautions: eater?.fields.cautions ?? [],
          holds: !held.has(batch.id),
          ready:
            batch.fields.method === 'cook' || !(made.kingdom === 'Fungi' || made.part.cook !== undefined),
          others: pantry.tastes
            .filter(({ fields }) => fields.eater === who)
            .map(({ fields }) => ({
              taxon: fields.taxon ?? '',
              at: fields.at ?? '',
              ended: fields.ended !== undefined,
            })),
          now: today,
        })
      : [];
  const choose = (id: string) => {
    setOf(id);
    setContent(0);
  };
  return { ready, of, choose, batch, content, setContent, taxon, part, names, who, setWho, refusals };
}

function Taste(props: TasteProps) {
  const router = useRouter();
  const taste = useTaste(props);
  return (
    <Screen>
      <View>
        <Title>{pantryText.aFirstTaste}</Title>
        <Body>{t.itTellsHowSomebodyTakes}</Body>
      </View>
      {taste.ready.length === 0 ? (
        <Notice
          title={t.nothingIsReadyToBe}
          text={t.whatIsMadeAndReady}
          action={pantryText.pantry}
          onAction={() => router.push('/pantry')}
        />
      ) : (
        <WhatAndWho taste={taste} />
      )}
      <BeginTaste taste={taste} />
    </Screen>
  );
}

type TasteForm = ReturnType<typeof useTaste>;

function WhatAndWho({ taste }: { readonly taste: TasteForm }) {
  const contents = taste.batch?.fields.contents ?? [];
  return (
    <>
      <Heading>{t.whatIsNew}</Heading>
      <ChipRow label={t.whatIsNew}>
        {taste.ready.map(({ id, fields }) => (
          <Chip
            key={id}
            label={fields.name ?? pantryText.aBatch}
            chosen={taste.of === id}
            onPress={() => taste.choose(id)}
          />
        ))}
      </ChipRow>
      {contents.length > 1 ? (
        <ChipRow label={t.whichOfItIsNew}>
          {contents.map((one, at) => (
            <Chip
              key={one.taxon}
              label={CommonName(one.taxon)}
              chosen={taste.content === at}
              onPress={() => taste.setContent(at)}
            />
          ))}
        </ChipRow>
      ) : null}
      <Heading>{t.whoTastes}</Heading>
      <ChipRow label={t.whoTastes}>
        {taste.names.map((name) => (
          <Chip key={name} label={name} chosen={taste.who === name} onPress={() => taste.setWho(name)} />
        ))}
      </ChipRow>
    </>
  );
}

/** What speaks against it; else how it is done, and beginning it. */
function BeginTaste({ taste: { batch, taxon, part, who, refusals } }: { readonly taste: TasteForm }) {
  const act = useAct();
  const router = useRouter();
  if (!batch || taxon === undefined) return null;
  if (refusals.length > 0)
    return (
      <Stack gap="s" role="alert">
        <Strong>{t.doesNotTasteItNow(who)}</Strong>
        {refusals.map((one) => (
          <Body key={one.code}>{tasteRefusalWords(one)}</Body>
        ))}
      </Stack>
    );
  const start = () => {
    void act(
      begin(
        'taste',
        { taxon, part, eater: who, of: { of: 'batch', id: batch.id }, at: act(now()) },
        undefined,
      ),
    ).then((id) => {
      if (id !== undefined) router.replace({ pathname: '/taste/[id]', params: { id } });
    });
  };
  return (
    <Stack gap="s">
      <Heading>{t.soItIsDone}</Heading>
      <Body>{t.aTeaspoonOfMadeReady(partName(taxon, part))}</Body>
      <Small soft>{t.aKindThatIsEaten}</Small>
      <Button label={t.hasTastedItNow(who)} style={styles.start} onPress={start} />
    </Stack>
  );
}

const styles = StyleSheet.create({
  start: { alignSelf: 'flex-start' },
});
