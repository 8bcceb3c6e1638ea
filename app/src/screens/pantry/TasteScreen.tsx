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
        <Loading what="Opening the notebook …" />
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
  const me = useApp((state) => state.me.person?.name ?? 'Me');
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
          stands: !held.has(batch.id),
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
        <Title>A first taste</Title>
        <Body>
          It tells how somebody takes it, and nothing of what it is: only what was decided and made ready is
          tasted at all.
        </Body>
      </View>
      {ready.length === 0 ? (
        <Notice
          title="Nothing is ready to be tasted"
          text="What is made, and ready, can be tasted for the first time."
          action="Pantry"
          onAction={() => router.push('/pantry')}
        />
      ) : (
        <>
          <Heading>What is new</Heading>
          <ChipRow label="What is new">
            {ready.map(({ id, fields }) => (
              <Chip
                key={id}
                label={fields.name ?? 'A batch'}
                chosen={of === id}
                onPress={() => {
                  setOf(id);
                  setContent(0);
                }}
              />
            ))}
          </ChipRow>
          {(batch?.fields.contents?.length ?? 0) > 1 ? (
            <ChipRow label="Which of it is new">
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
          <Heading>Who tastes</Heading>
          <ChipRow label="Who tastes">
            {names.map((name) => (
              <Chip key={name} label={name} chosen={who === name} onPress={() => setWho(name)} />
            ))}
          </ChipRow>
        </>
      )}
      {batch && taxon !== undefined ? (
        refusals.length > 0 ? (
          <View style={styles.block} role="alert">
            <Strong>{who} does not taste it now</Strong>
            {refusals.map((one) => (
              <Body key={one.code}>{tasteRefusalWords(one)}</Body>
            ))}
          </View>
        ) : (
          <View style={styles.block}>
            <Heading>So it is done</Heading>
            <Body>
              A teaspoon of {partName(taxon, part)}, made ready as the guide says, with nothing else that is
              new, and not alone at home. Then nothing more of it for a day. Whatever is felt is put down, and
              ends it.
            </Body>
            <Small soft>
              A kind that is eaten for the first time may upset one person and not another. Pause asks after
              one, four, twelve and twenty-four hours, while it is open.
            </Small>
            <Button label={`${who} has tasted it, now`} style={styles.start} onPress={start} />
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
