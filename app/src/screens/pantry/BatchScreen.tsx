import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { cookingRefusal, leftOutOf, openSteps } from '@pause/core/harvest/preparing';
import { dayOf, isoOf } from '@pause/core/lib/day';
import { readNumber } from '@pause/core/lib/typed';
import { isImprobablyMade, madeProblem, type KeptAmount } from '@pause/core/pantry';
import type { Recalled } from '@pause/core/pantry/recall';
import {
  AskBack,
  Body,
  Button,
  Chip,
  ChipRow,
  colour,
  corner,
  Field,
  Heading,
  Loading,
  Notice,
  Screen,
  Small,
  SmallStrong,
  space,
  Strong,
  Title,
  useWide,
} from '../../components';
import { gramsIn, leftIn, usePantry, type BatchPage, type Pantry } from '../../notebook/pantry';
import { useRecalls } from '../../notebook/recalls';
import { useAct } from '../../notebook/store';
import { tellOf } from '../../notebook/tell';
import { useDay } from '../../notebook/usePlaces';
import { numberWord, upper } from '../../text/names';
import {
  amountWords,
  causeWords,
  measureWords,
  METHOD,
  SPOILS,
  stepWords,
  STORE,
  UNIT,
} from '../../text/pantry';
import { isoDayName } from '../../text/places';
import { bestBeforeOf, keepsFor, madesOf, spoilsFor, stepsOf, yieldFor } from './batch';
import { Comes } from './Comes';
import { Conditioning, Drying } from './Drying';
import { useNames } from './RecallScreen';
import { Steps } from './Steps';
import { BoilingDown, Cooked, Sums } from './Sums';
import { Timers } from './Timers';

/** One batch: what is done to it, what came of it, and all that it comes from. */
export function BatchScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const pantry = usePantry();
  const batch = pantry.batches.find((one) => one.id === id);
  if (!pantry.ready)
    return (
      <Screen>
        <Loading what="Opening the notebook …" />
      </Screen>
    );
  if (!batch)
    return (
      <Screen>
        <Notice
          whole
          title="There is no such batch"
          text="The label is of a batch that is not in this notebook, or not shared with you."
        />
      </Screen>
    );
  return <Batch key={id} batch={batch} pantry={pantry} />;
}

function Batch({
  batch,
  pantry,
}: {
  readonly batch: BatchPage;
  readonly pantry: Pantry & { readonly ready: boolean };
}) {
  const act = useAct();
  const router = useRouter();
  const wide = useWide();
  const { id, fields } = batch;
  const {
    name = 'A batch',
    method,
    on,
    figures = {},
    steps: done = [],
    timers = [],
    weighings = [],
    looks = [],
    levels = [],
    readyOn,
    bestBefore,
    ended,
  } = fields;
  const steps = stepsOf(fields, pantry);
  const recalled = useRecalls(pantry).all.find((one) => one.id === id);
  const keeping = keepsFor(fields);
  const left = leftIn(pantry, batch);
  const spoils = spoilsFor(fields);
  const out = leftOutOf(steps, done);
  const making = readyOn === undefined && ended === undefined;
  const usual = yieldFor(pantry, fields);
  const work = (
    <View style={[styles.column, wide && styles.grow]}>
      <Timers id={id} steps={steps} timers={timers} />
      {making || !wide ? null : <Became batch={batch} held={recalled !== undefined} />}
      {making && method ? (
        <>
          <Steps id={id} steps={steps} done={done} />
          {method === 'dry' ? (
            <Drying
              id={id}
              weighings={weighings}
              usualLeft={Math.min(0.95, usual.yield)}
              leaves={(fields.contents ?? []).some(({ part }) => part === 'leaf' || part === 'shoot')}
            />
          ) : null}
          {method === 'dry' ? <Conditioning id={id} looks={looks} /> : null}
          {method === 'decoct' ? <BoilingDown id={id} levels={levels} target={fields.target} /> : null}
          <Sums id={id} method={method} figures={figures} />
          {method === 'cook' ? (
            <View style={styles.block}>
              <Heading>In the pot</Heading>
              <Cooked
                cooked={fields.cooked}
                made={madesOf(fields.contents)}
                onTell={(cooked) => void act(tellOf(id, 'batch', () => ({ cooked })))}
              />
            </View>
          ) : null}
          <Ready batch={batch} pantry={pantry} />
        </>
      ) : null}
      {!making && !wide ? <Became batch={batch} held={recalled !== undefined} /> : null}
    </View>
  );
  const about = (
    <View style={[styles.column, wide && styles.grow]}>
      {spoils.length > 0 ? (
        <View style={styles.block}>
          <Heading>What to mind</Heading>
          <View role="list" aria-label="What to mind" style={styles.block}>
            {spoils.map((one) => (
              <View key={one} role="listitem">
                <Body>{SPOILS[one]}</Body>
              </View>
            ))}
          </View>
          {keeping ? (
            <Small soft>
              It keeps about {daysWords(keeping.days)}, {STORE[keeping.store]}
              {keeping.openedDays === undefined ? '' : `; opened, ${daysWords(keeping.openedDays)}`}. What
              looks or smells wrong is thrown out before.
            </Small>
          ) : null}
        </View>
      ) : keeping ? (
        <Small soft>
          It keeps about {daysWords(keeping.days)}, {STORE[keeping.store]}. What looks or smells wrong is
          thrown out before.
        </Small>
      ) : null}
      <Comes id={id} pantry={pantry} />
      <View style={styles.ways}>
        <Button
          label="A label for it"
          tone="outline"
          onPress={() => router.push({ pathname: '/labels', params: { id } })}
        />
        <Button
          label="Someone is ill after it"
          tone="outline"
          onPress={() => router.push({ pathname: '/sheet/[id]', params: { id } })}
        />
      </View>
      {ended ? null : <Ended id={id} />}
    </View>
  );
  return (
    <Screen>
      <View>
        <Small soft>
          {[method && METHOD[method][1], on && `begun ${isoDayName(on)}`].filter(Boolean).join(' · ')}
        </Small>
        <Title>{name}</Title>
        <Strong>
          {ended
            ? upper({ 'used-up': 'used up', 'thrown-out': 'thrown out', spoilt: 'spoilt' }[ended.why])
            : making
              ? 'Being made'
              : [left && `${amountWords(left)} left`, bestBefore && `best before ${isoDayName(bestBefore)}`]
                  .filter(Boolean)
                  .join(', ')}
        </Strong>
      </View>
      {recalled ? <Held one={recalled} pantry={pantry} /> : null}
      {out.map(({ step, why }) => (
        <SmallStrong key={step.id}>
          Left out: {stepWords(step)}. {why}
        </SmallStrong>
      ))}
      {wide ? (
        <View style={styles.columns}>
          {work}
          {about}
        </View>
      ) : (
        <>
          {work}
          {about}
        </>
      )}
    </Screen>
  );
}

export function daysWords(days: number): string {
  if (days >= 700) return `${Math.round(days / 365)} years`;
  if (days >= 330) return 'a year';
  if (days >= 60) return `${Math.round(days / 30)} months`;
  if (days >= 14 && days % 7 === 0) return `${numberWord(days / 7)} weeks`;
  return days === 1 ? 'a day' : `${days} days`;
}

/** It descends from what no longer stands. */
function Held({ one, pantry }: { readonly one: Recalled; readonly pantry: Pantry }) {
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
function Ready({ batch: { id, fields }, pantry }: { readonly batch: BatchPage; readonly pantry: Pantry }) {
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
function Became({
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
function Ended({ id }: { readonly id: string }) {
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

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.xl },
  grow: { flex: 1 },
  block: { gap: space.s },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  held: { gap: space.s, padding: space.m, backgroundColor: colour.leave, borderRadius: corner },
  onDark: { backgroundColor: colour.ground, alignSelf: 'flex-start' },
  start: { alignSelf: 'flex-start' },
});
