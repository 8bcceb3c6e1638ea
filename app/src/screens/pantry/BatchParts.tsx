import type { Recalled } from '@pause/core/pantry/recall';
import { type Pantry, type BatchPage, gramsIn } from '../../notebook/pantry';
import { useRouter } from 'expo-router';
import { useNames } from './RecallScreen';
import { measureWords, causeWords } from '../../text/recalls';
import { stepWords, amountWords, UNIT, STORE } from '../../text/pantry';
import { View } from 'react-native';
import { styles } from './batchStyles';
import {
  Strong,
  Body,
  Button,
  Heading,
  Small,
  Field,
  ChipRow,
  Chip,
  SmallStrong,
  AskBack,
} from '../../components';
import { useAct } from '../../notebook/store';
import { isoOf, dayOf } from '@pause/core/lib/day';
import { useDay } from '../../notebook/usePlaces';
import { useState } from 'react';
import { type KeptAmount, madeProblem, isImprobablyMade } from '@pause/core/pantry';
import { stepsOf, yieldFor, madesOf, keepsFor, bestBeforeOf } from './batch';
import { openSteps, cookingRefusal } from '@pause/core/harvest/preparing';
import { readNumber } from '@pause/core/lib/typed';
import { tellOf } from '../../notebook/tell';
import { numberWord } from '../../text/names';
import { isoDayName } from '../../text/places';

/** The parts of a batch. */

/** It descends from what no longer stands. */
export function Held({ one, pantry }: { readonly one: Recalled; readonly pantry: Pantry }) {
  const router = useRouter();
  const nameOf = useNames(pantry);
  const [word, what] = measureWords(one);
  return (
    <View style={styles.held} role="status" aria-label="In question">
      <Strong on="dark">{word}</Strong>
      <Body on="dark">
        {what} {one.causes.map((cause) => causeWords(cause, nameOf(cause.of))).join(' ')}
      </Body>
      <Button
        label="What, and why"
        tone="outline"
        style={styles.onDark}
        onPress={() => router.push('/recall')}
      />
    </View>
  );
}

/** What it came to, once everything that has to be done is done. */
export function Ready({
  batch: { id, fields },
  pantry,
}: {
  readonly batch: BatchPage;
  readonly pantry: Pantry;
}) {
  const act = useAct();
  const today = isoOf(useDay());
  const { method = 'fresh', made, from = [], contents, cooked, looks = [], steps: done = [] } = fields;
  const [unit, setUnit] = useState<KeptAmount['unit'] | undefined>(made?.unit);
  const [asked, setAsked] = useState(false);
  const [text, setText] = useState(made ? String(made.amount) : '');
  const steps = stepsOf(fields, pantry);
  const open = openSteps(steps, done);
  const grams = gramsIn(pantry, from, id);
  const usual = yieldFor(pantry, fields);
  const amount = readNumber(text) ?? 0;
  const said = text.trim() !== '';
  const right = Number.isFinite(amount) && amount > 0 && amount <= 1e6;
  const problem = !said
    ? undefined
    : !right
      ? { reason: 'above nothing' }
      : unit && madeProblem(method, grams, { amount, unit });
  const refusals =
    method === 'cook'
      ? madesOf(contents).flatMap((one) => (cooked ? (cookingRefusal(one, cooked) ?? []) : []))
      : [];
  const why = [
    ...(said && unit === undefined ? ['Choose what it is measured in'] : []),
    ...open.map(stepWords),
    ...(method === 'cook' && !cooked ? ['How it was cooked'] : []),
    ...(refusals.length > 0 ? ['Cook it as it has to be'] : []),
    ...(looks.at(-1)?.damp === true ? ['Dry it on: damp came back'] : []),
  ];
  const keeping = keepsFor(fields);
  const ready = () => {
    if (!unit) return;
    void act(
      tellOf(id, 'batch', (is) => {
        const keeps = keepsFor(is);
        return {
          made: { amount, unit },
          readyOn: today,
          ...(keeps ? { bestBefore: bestBeforeOf(today, keeps) } : {}),
        };
      }),
    );
  };
  return (
    <View style={styles.block}>
      <Heading>What it came to</Heading>
      {grams === undefined ? null : (
        <Small soft>
          {amountWords({ amount: grams, unit: 'g' })} went in
          {unit !== 'ml' && usual.yield < 1
            ? `; about ${amountWords({ amount: grams * usual.yield, unit: 'g' })} are usual${usual.batches > 0 ? `, by ${usual.batches === 1 ? 'your last batch' : `your last ${numberWord(usual.batches)} batches`}` : ''}`
            : ''}
          .
        </Small>
      )}
      <Field
        label="How much it is now"
        inputMode="decimal"
        value={text}
        onChangeText={(typed) => {
          setText(typed);
          setAsked(false);
        }}
        {...(problem ? { wrong: problem.reason } : {})}
      />
      <ChipRow label="Measured in">
        {(['g', 'ml', 'piece'] as const).map((one) => (
          <Chip
            key={one}
            label={one === 'piece' ? 'jars, pieces' : UNIT[one]}
            chosen={unit === one}
            onPress={() => {
              setUnit(one);
              setAsked(false);
            }}
          />
        ))}
      </ChipRow>
      {why.length > 0 ? (
        <View>
          <SmallStrong>Before it is ready:</SmallStrong>
          <View role="list" aria-label="Still to be done">
            {why.map((one) => (
              <View key={one} role="listitem">
                <Small>– {one}</Small>
              </View>
            ))}
          </View>
        </View>
      ) : null}
      {asked && unit ? (
        <AskBack
          question={`${amountWords({ amount, unit })}${grams === undefined ? '' : ` of ${amountWords({ amount: grams, unit: 'g' })} that went in`}. Is that right?`}
          yes="Yes, it is ready"
          onYes={ready}
        />
      ) : (
        <Button
          label="It is ready"
          disabled={!said || problem !== undefined || why.length > 0}
          onPress={() => (unit && isImprobablyMade({ amount, unit }, grams) ? setAsked(true) : ready())}
        />
      )}
      {keeping ? (
        <Small soft>
          Best before {isoDayName(bestBeforeOf(today, keeping))} then, {STORE[keeping.store]}.
        </Small>
      ) : null}
    </View>
  );
}

/** What is done with it now that it is ready. */
export function Became({
  batch: {
    id,
    fields: { contents = [], bestBefore, ended },
  },
  held,
}: {
  readonly batch: BatchPage;
  readonly held: boolean;
}) {
  const router = useRouter();
  const today = isoOf(useDay());
  if (ended) return null;
  const mades = madesOf(contents);
  const outward =
    mades.length > 0 && mades.every(({ part }) => part.route !== undefined && part.route !== 'eaten');
  const to = (what: string) => router.push({ pathname: '/portion', params: { of: id, what } });
  // Of what is in question nobody eats, and nothing is made or given.
  if (held) return null;
  return (
    <View style={styles.block}>
      <Heading>What becomes of it</Heading>
      {bestBefore !== undefined && dayOf(bestBefore) < dayOf(today) ? (
        <Body>It is past its day. Look at it and smell it; what is in doubt is thrown out.</Body>
      ) : null}
      <View style={styles.ways}>
        <Button
          label={outward ? 'Use of it' : 'Eat of it'}
          onPress={() => to(outward ? 'outward' : 'meal')}
        />
        <Button
          label="Make more of it"
          tone="outline"
          onPress={() => router.push({ pathname: '/batch/new', params: { from: id } })}
        />
        <Button label="Give away" tone="outline" onPress={() => to('gift')} />
        {outward ? null : (
          <Button
            label="A first taste"
            tone="outline"
            onPress={() => router.push({ pathname: '/taste', params: { of: id } })}
          />
        )}
      </View>
    </View>
  );
}

/** The end of it. */
export function Ended({ id }: { readonly id: string }) {
  const act = useAct();
  const today = isoOf(useDay());
  const [asking, setAsking] = useState(false);
  const end = (why: 'used-up' | 'thrown-out' | 'spoilt') =>
    void act(tellOf(id, 'batch', () => ({ ended: { on: today, why } })));
  if (!asking)
    return (
      <Button
        label="Nothing is left of it"
        tone="plain"
        style={styles.start}
        onPress={() => setAsking(true)}
      />
    );
  return (
    <View style={styles.block}>
      <ChipRow label="What became of the rest">
        <Button label="Used up" tone="outline" onPress={() => end('used-up')} />
        <Button label="Spoilt" tone="outline" onPress={() => end('spoilt')} />
        <Button label="Thrown out" tone="outline" onPress={() => end('thrown-out')} />
        <Button label="There is some" tone="plain" onPress={() => setAsking(false)} />
      </ChipRow>
    </View>
  );
}
