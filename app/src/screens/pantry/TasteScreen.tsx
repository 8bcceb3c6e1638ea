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
  space,
  Strong,
  Title,
} from '../../components';
import { now } from '../../notebook/add';
import { begin, isThere, madeOf, usePantry, type Pantry } from '../../notebook/pantry';
import { useRecalls } from '../../notebook/recalls';
import { useAct, useApp } from '../../notebook/store';
import { useToday } from '../../notebook/useFinds';
import { useEaters } from '../../notebook/usePlaces';
import { t } from '../../text/en/pantry';
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
        <Loading what={t.openingTheNotebook} />
      </Screen>
    );
  return <Taste key={of ?? ''} first={of} pantry={pantry} held={new Set(recalls.all.map(({ id }) => id))} />;
}

function Taste({
  first,
  pantry,
  held,
}: {
  readonly first: string | undefined;
  readonly pantry: Pantry;
  readonly held: ReadonlySet<string>;
}) {
  const act = useAct();
  const router = useRouter();
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
  const mine = pantry.tastes.filter(({ fields }) => fields.eater === who);
  const refusals =
    made && batch && taxon !== undefined
      ? tasteRefusals({
          taxon: made.taxon,
          part: made.part,
          cautions: eater?.fields.cautions ?? [],
          holds: !held.has(batch.id),
          ready:
            batch.fields.method === 'cook' || !(made.kingdom === 'Fungi' || made.part.cook !== undefined),
          others: mine.map(({ fields }) => ({
            taxon: fields.taxon ?? '',
            at: fields.at ?? '',
            ended: fields.ended !== undefined,
          })),
          now: today,
        })
      : [];
  const start = () => {
    if (!batch || taxon === undefined) return;
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
    <Screen>
      <View>
        <Title>{t.aFirstTaste}</Title>
        <Body>{t.itTellsHowSomebodyTakes}</Body>
      </View>
      {ready.length === 0 ? (
        <Notice
          title={t.nothingIsReadyToBe}
          text={t.whatIsMadeAndReady}
          action={t.pantry}
          onAction={() => router.push('/pantry')}
        />
      ) : (
        <>
          <Heading>{t.whatIsNew}</Heading>
          <ChipRow label={t.whatIsNew}>
            {ready.map(({ id, fields }) => (
              <Chip
                key={id}
                label={fields.name ?? t.aBatch}
                chosen={of === id}
                onPress={() => {
                  setOf(id);
                  setContent(0);
                }}
              />
            ))}
          </ChipRow>
          {(batch?.fields.contents?.length ?? 0) > 1 ? (
            <ChipRow label={t.whichOfItIsNew}>
              {batch?.fields.contents?.map((one, at) => (
                <Chip
                  key={one.taxon}
                  label={CommonName(one.taxon)}
                  chosen={content === at}
                  onPress={() => setContent(at)}
                />
              ))}
            </ChipRow>
          ) : null}
          <Heading>{t.whoTastes}</Heading>
          <ChipRow label={t.whoTastes}>
            {names.map((name) => (
              <Chip key={name} label={name} chosen={who === name} onPress={() => setWho(name)} />
            ))}
          </ChipRow>
        </>
      )}
      {batch && taxon !== undefined ? (
        refusals.length > 0 ? (
          <View style={styles.block} role="alert">
            <Strong>{t.doesNotTasteItNow(who)}</Strong>
            {refusals.map((one) => (
              <Body key={one.code}>{tasteRefusalWords(one)}</Body>
            ))}
          </View>
        ) : (
          <View style={styles.block}>
            <Heading>{t.soItIsDone}</Heading>
            <Body>{t.aTeaspoonOfMadeReady(partName(taxon, part))}</Body>
            <Small soft>{t.aKindThatIsEaten}</Small>
            <Button label={t.hasTastedItNow(who)} style={styles.start} onPress={start} />
          </View>
        )
      ) : null}
    </Screen>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.s },
  start: { alignSelf: 'flex-start' },
});
