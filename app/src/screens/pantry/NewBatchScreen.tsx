import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { METHODS, refusalOf, type Method } from '@pause/core/harvest/preparing';
import { isoOf } from '@pause/core/lib/day';
import type { BatchFields } from '@pause/core/pantry';
import { strayCause } from '@pause/core/pantry/recall';
import {
  Body,
  Button,
  colour,
  Field,
  Heading,
  Loading,
  Notice,
  Rule,
  Screen,
  Small,
  space,
  stroke,
  Strong,
  TARGET,
  Title,
  useWide,
} from '../../components';
import {
  begin,
  isThere,
  leftIn,
  leftOfHarvest,
  usePantry,
  wholeGrams,
  type Pantry,
} from '../../notebook/pantry';
import { useRecalls } from '../../notebook/recalls';
import { useAct } from '../../notebook/store';
import { useDay } from '../../notebook/usePlaces';
import { CommonName, upper } from '../../text/names';
import { amountWords, contentWords, METHOD, refusalWords } from '../../text/pantry';
import { isoDayName } from '../../text/places';
import { madesOf } from './batch';
import { Choose, useChosen, type Choice } from './Choose';

/** What something can be made of: harvests, and what stands in the pantry. */
export function choicesOf(pantry: Pantry, held: ReadonlySet<string>): Choice[] {
  const used = new Set(
    pantry.batches.flatMap(({ fields }) =>
      (fields.from ?? []).filter(({ amount }) => amount === undefined).map(({ id }) => id),
    ),
  );
  const harvests = pantry.harvests.flatMap(({ id, fields }): Choice[] => {
    const { taxon, part, on, sorting } = fields;
    if (taxon === undefined || part === undefined || used.has(id)) return [];
    const whole = wholeGrams(pantry, { of: 'harvest', id });
    const grams = leftOfHarvest(pantry, id);
    // All of it has been made into something.
    if (whole !== undefined && whole > 0 && grams === 0) return [];
    const stray = strayCause(id, sorting?.grades ?? []);
    return [
      {
        source: { of: 'harvest', id },
        name: CommonName(taxon),
        line: [
          'harvest',
          on && isoDayName(on),
          grams !== undefined &&
            `about ${amountWords({ amount: grams, unit: 'g' })}${grams < (whole ?? grams) ? ' left' : ''}`,
        ]
          .filter(Boolean)
          .join(' · '),
        contents: [{ taxon, part }],
        group: pantry.pages[id]?.group,
        left: grams === undefined || grams <= 0 ? undefined : { amount: grams, unit: 'g' },
        ...(held.has(id) || stray
          ? {
              not:
                stray?.grade === 'deadly'
                  ? 'It is put aside: a deadly stray lay among it.'
                  : stray
                    ? 'A stray lay among it: look again first.'
                    : 'The find does not stand any more.',
            }
          : {}),
      },
    ];
  });
  const batches = pantry.batches
    .filter((batch) => isThere(pantry, batch))
    .map((batch): Choice => {
      const left = leftIn(pantry, batch);
      return {
        source: { of: 'batch', id: batch.id },
        name: batch.fields.name ?? 'A batch',
        line: [batch.fields.method && METHOD[batch.fields.method][1], left && `${amountWords(left)} left`]
          .filter(Boolean)
          .join(' · '),
        contents: batch.fields.contents ?? [],
        group: batch.group,
        left,
        ...(held.has(batch.id) ? { not: 'What it comes from does not stand any more.' } : {}),
      };
    });
  return [...harvests, ...batches];
}

/** Makes something of what was gathered, or of what was made before. */
export function NewBatchScreen() {
  const { from } = useLocalSearchParams<{ from?: string }>();
  const pantry = usePantry();
  const recalls = useRecalls(pantry);
  if (!pantry.ready || !recalls.ready)
    return (
      <Screen>
        <Loading what="Opening the notebook …" />
      </Screen>
    );
  return (
    <New
      key={from ?? ''}
      first={from}
      choices={choicesOf(pantry, new Set(recalls.all.map(({ id }) => id)))}
    />
  );
}

function New({
  first,
  choices,
}: {
  readonly first: string | undefined;
  readonly choices: readonly Choice[];
}) {
  const act = useAct();
  const router = useRouter();
  const wide = useWide();
  const today = isoOf(useDay());
  const chosen = useChosen(choices, first);
  const { picked, amounts, group } = chosen;
  const [method, setMethod] = useState<Method>();
  const [name, setName] = useState('');
  const contents = unique(picked.flatMap((one) => [...one.contents]));
  const mades = madesOf(contents);
  const usual = method && picked.length > 0 ? `${upper(contentWords(contents))}, ${METHOD[method][1]}` : '';
  const ready = method !== undefined && chosen.right;
  const make = () => {
    if (!method) return;
    void act(
      begin(
        'batch',
        {
          name: name.trim() === '' ? usual : name.trim(),
          from: amounts.map(({ source }) => source),
          contents,
          method,
          on: today,
        },
        group,
      ),
    ).then((id) => {
      if (id !== undefined) router.replace({ pathname: '/batch/[id]', params: { id } });
    });
  };
  const left = (
    <View style={[styles.block, wide && styles.grow]}>
      {choices.length === 0 ? (
        <Notice
          title="Nothing was brought home yet"
          text="A find that was collected becomes a harvest on the page “How much”: put down there what was taken."
          action="Finds"
          onAction={() => router.push('/finds')}
        />
      ) : null}
      <Choose choices={choices} chosen={chosen} asks="How much of it goes in" whole={() => 'All of it'} />
    </View>
  );
  const right =
    picked.length > 0 ? (
      <View style={[styles.block, wide && styles.grow]}>
        <Heading>What is made of it</Heading>
        <Methods mades={mades} method={method} onChoose={setMethod} />
        {method ? (
          <Field
            label="What it is called"
            value={name}
            onChangeText={setName}
            placeholder={usual}
            maxLength={120}
          />
        ) : null}
        {group === undefined && picked.some((one) => one.group !== undefined) ? (
          <Small>
            Some of it is in one notebook, some in another: what is made of it goes into your own.
          </Small>
        ) : null}
        <Button label="Begin" disabled={!ready} onPress={make} />
      </View>
    ) : null;
  return (
    <Screen>
      <Title>Make something</Title>
      {wide ? (
        <View style={styles.columns}>
          {left}
          {right ?? <View style={styles.grow} />}
        </View>
      ) : (
        <>
          {left}
          {right}
        </>
      )}
    </Screen>
  );
}

function unique(contents: BatchFields['contents']): BatchFields['contents'] {
  return [...new Map(contents.map((one) => [`${one.taxon} ${one.part}`, one])).values()];
}

/** What may be made of all of it; and what must not, and why. */
function Methods({
  mades,
  method,
  onChoose,
}: {
  readonly mades: ReturnType<typeof madesOf>;
  readonly method: Method | undefined;
  readonly onChoose: (method: Method) => void;
}) {
  const [all, setAll] = useState(false);
  const refused = (one: Method) => mades.flatMap((made) => refusalOf(made, one) ?? [])[0];
  const may = METHODS.filter((one) => mades.length > 0 && refused(one) === undefined);
  // First what somebody might well think of: what is refused for what it does, and not only as unheard of.
  const not = METHODS.filter((one) => !may.includes(one))
    .map((one) => ({ one, refusal: refused(one) }))
    .sort((a, b) => Number(a.refusal?.code === 'not-for-use') - Number(b.refusal?.code === 'not-for-use'));
  if (mades.length === 0) return <Body>The guide in force does not know this part any more.</Body>;
  return (
    <>
      <View role="radiogroup" aria-label="What is made of it">
        <Rule strong />
        {may.map((one) => (
          <View key={one}>
            <Pressable
              role="radio"
              aria-checked={method === one}
              onPress={() => onChoose(one)}
              style={[styles.choice, method === one && styles.picked]}
            >
              <View style={[styles.mark, styles.round, method === one && styles.marked]} />
              <Strong style={styles.grow}>{METHOD[one][0]}</Strong>
            </Pressable>
            <Rule />
          </View>
        ))}
      </View>
      <Button
        label={all ? 'Less' : 'What must not be made of it'}
        tone="plain"
        style={styles.start}
        aria-expanded={all}
        onPress={() => setAll(!all)}
      />
      {all ? (
        <View role="list" aria-label="What must not be made of it" style={styles.block}>
          {not.map(({ one, refusal }) => (
            <View key={one} role="listitem">
              <Strong>{METHOD[one][0]}: no</Strong>
              <Body>{refusal ? refusalWords(refusal) : ''}</Body>
            </View>
          ))}
        </View>
      ) : null}
    </>
  );
}

const MARK = 24;
const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  block: { gap: space.s },
  grow: { flex: 1 },
  choice: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    minHeight: TARGET + 4,
    paddingVertical: space.s,
  },
  picked: { backgroundColor: colour.card },
  mark: {
    width: MARK,
    height: MARK,
    borderWidth: stroke.medium,
    borderColor: colour.ink,
    borderRadius: 3,
    backgroundColor: colour.card,
  },
  round: { borderRadius: MARK / 2 },
  marked: { backgroundColor: colour.ink },
  start: { alignSelf: 'flex-start' },
});
