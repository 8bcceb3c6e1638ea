import { useState, useEffect, useMemo } from 'react';
import { View } from 'react-native';
import type { FindRecord } from '@pause/core';
import { agreementTable, cohenKappa } from '@pause/core/notebook/second-look';
import { Heading, Body, Small } from '../../../components';
import { guide } from '../../../deciding/guide';
import { useAct } from '../../../notebook/store';
import { allRecords } from './actions';
import { styles } from './togetherStyles';

/** How often two people see the same. */

const FEWEST = 10;

/**
 * How often these two say the same, beyond what chance would do, over everything they looked at one after the
 * other.
 */
export function OverTime({
  one,
  other,
  first,
  second,
}: {
  readonly one: string;
  readonly other: string;
  readonly first: string;
  readonly second: string;
}) {
  const act = useAct();
  const [records, setRecords] = useState<readonly FindRecord[]>();
  useEffect(() => {
    void act(allRecords()).then(setRecords);
  }, [act]);
  const table = useMemo(() => agreementTable(guide, records ?? [], one, other), [records, one, other]);
  if (!records) return null;
  const kappa = cohenKappa(table);
  const looks = table.flat().reduce((sum, count) => sum + count, 0);
  return (
    <View style={styles.block}>
      <Heading>The two of you over time</Heading>
      {kappa && looks >= FEWEST ? (
        <>
          <Scale low={kappa.low} high={kappa.high} at={kappa.kappa} />
          <Body>
            {agreementWords(kappa.kappa)}: kappa {kappa.kappa.toFixed(2)}, between {kappa.low.toFixed(2)} and{' '}
            {kappa.high.toFixed(2)}, from {kappa.looks} looks.
          </Body>
          <Small soft>
            Cohen’s kappa: 1 is always the same, 0 what chance alone would do. Counted by whether a look fits,
            strains or speaks against what it was taken for.
          </Small>
        </>
      ) : (
        <Body soft>
          {first} and {second} have looked at {looks === 1 ? 'one thing' : `${looks} things`} one after the
          other
          {looks >= FEWEST
            ? ', and always said one and the same: that shows nothing yet'
            : `; from ${FEWEST} on it can be said how well they agree`}
          .
        </Body>
      )}
    </View>
  );
}

function agreementWords(kappa: number): string {
  if (kappa < 0.2) return 'Hardly more often the same than by chance';
  if (kappa < 0.6) return 'More often the same than by chance';
  return kappa < 0.8 ? 'Mostly the same' : 'Nearly always the same';
}

/** From chance to always, with the interval as a bar and the estimate as a line. */
function Scale({ low, high, at }: { readonly low: number; readonly high: number; readonly at: number }) {
  const share = (value: number): `${number}%` => `${Math.max(0, Math.min(100, value * 100))}%`;
  return (
    <View
      style={styles.scale}
      role="img"
      aria-label={`Agreement ${at.toFixed(2)}, between ${low.toFixed(2)} and ${high.toFixed(2)}, on a scale from chance to always`}
    >
      <View style={styles.line}>
        <View style={[styles.range, { left: share(low), right: share(1 - high) }]} />
        <View style={[styles.mark, { left: share(at) }]} />
      </View>
      <View style={styles.ends}>
        <Small soft>chance</Small>
        <Small soft>always the same</Small>
      </View>
    </View>
  );
}
