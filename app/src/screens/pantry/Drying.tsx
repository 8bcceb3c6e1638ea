import { useState } from 'react';
import { View } from 'react-native';
import { conditioned, CONDITIONING_DAYS } from '@pause/core/harvest/preparing';
import { readNumber } from '@pause/core/lib/typed';
import type { BatchFields } from '@pause/core/pantry';
import { Heading, Body, ChipRow, Chip, Field, Button } from '../../components';
import { now } from '../../notebook/add';
import { changeFields } from '../../notebook/changeFields';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/making';
import { type Weighed, Series } from './DryingSeries';
import { styles } from './dryingStyles';

const WHAT: Readonly<Record<Weighed['what'], string>> = {
  all: t.allOfIt,
  blade: t.leafBlades,
  rib: t.leafRibs,
};

interface DryingProps {
  readonly id: string;
  readonly weighings: readonly Weighed[];
  readonly usualLeft: number;
  /** Leaves, of which blades and ribs dry apart. */
  readonly leaves: boolean;
}

/** Weighed now and again, it says when it is dry: of blades and ribs apart, where they dry apart. */
export function Drying({ id, weighings, usualLeft, leaves }: DryingProps) {
  const act = useAct();
  const series = (['all', 'blade', 'rib'] as const).filter((one) =>
    weighings.some((other) => other.what === one),
  );
  const takeBack = () =>
    void act(changeFields(id, 'batch', ({ weighings: all = [] }) => ({ weighings: all.slice(0, -1) })));
  return (
    <View style={styles.block}>
      <Heading>{t.howDryItIs}</Heading>
      {series.length === 0 ? <Body>{t.weighItNowAndThen}</Body> : null}
      {series.map((one) => (
        <Series
          key={one}
          name={series.length > 1 || one !== 'all' ? WHAT[one] : undefined}
          weighings={weighings.filter((other) => other.what === one)}
          usualLeft={usualLeft}
        />
      ))}
      <NewWeighing id={id} weighings={weighings} leaves={leaves} />
      {weighings.length > 0 ? (
        <Button label={t.takeTheLastWeighingBack} tone="plain" style={styles.start} onPress={takeBack} />
      ) : null}
    </View>
  );
}

function NewWeighing({ id, weighings, leaves }: Omit<DryingProps, 'usualLeft'>) {
  const act = useAct();
  const [what, setWhat] = useState<Weighed['what']>(weighings.at(-1)?.what ?? 'all');
  const [text, setText] = useState('');
  const grams = readNumber(text) ?? 0;
  const first = weighings.find((one) => one.what === what)?.grams;
  const wrong =
    text.trim() === ''
      ? undefined
      : !(Number.isFinite(grams) && grams > 0)
        ? t.gramsAboveNothing
        : first !== undefined && grams > first * 1.1 + 5
          ? t.noMoreThanTheGrams(first)
          : undefined;
  const weigh = () => {
    void act(
      changeFields(id, 'batch', ({ weighings: all = [] }) => ({
        weighings: [...all, { at: act(now()), what, grams }],
      })),
    );
    setText('');
  };
  return (
    <>
      {leaves ? (
        <ChipRow label={t.whatLiesOnTheScales}>
          {(['all', 'blade', 'rib'] as const).map((one) => (
            <Chip key={one} label={WHAT[one]} chosen={what === one} onPress={() => setWhat(one)} />
          ))}
        </ChipRow>
      ) : null}
      <View style={styles.row}>
        <View style={styles.grow}>
          <Field
            label={t.itWeighsInGrams}
            inputMode="decimal"
            value={text}
            onChangeText={setText}
            {...(wrong ? { wrong } : {})}
          />
        </View>
        <Button
          label={t.weighed}
          tone="outline"
          disabled={wrong !== undefined || text.trim() === ''}
          style={styles.low}
          onPress={weigh}
        />
      </View>
    </>
  );
}

/** The days in the jar: looked into once a day, until no damp comes back. */
export function Conditioning({ id, looks }: { readonly id: string; readonly looks: BatchFields['looks'] }) {
  const act = useAct();
  const state = conditioned(looks);
  const since = looks.length - 1 - looks.map(({ damp }) => damp).lastIndexOf(true);
  const look = (damp: boolean) =>
    void act(
      changeFields(id, 'batch', ({ looks: all = [] }) => ({ looks: [...all, { at: act(now()), damp }] })),
    );
  return (
    <View style={styles.block}>
      <Heading>{t.inTheJar}</Heading>
      <Body>
        {state === 'done'
          ? t.noDampHasComeBack
          : state === 'dry-again'
            ? t.dampCameBackOutOf
            : t.ofDaysWithoutDampOpen(since, CONDITIONING_DAYS)}
      </Body>
      {state === 'done' ? null : (
        <ChipRow label={t.theGlassToday}>
          <Button label={t.noDamp} tone="outline" onPress={() => look(false)} />
          <Button label={t.dampOrItSticks} tone="outline" onPress={() => look(true)} />
        </ChipRow>
      )}
    </View>
  );
}
