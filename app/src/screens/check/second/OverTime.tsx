import { useState, useEffect, useMemo } from 'react';
import { View } from 'react-native';
import type { FindRecord } from '@pause/core';
import { agreementTable, cohenKappa } from '@pause/core/notebook/second-look';
import { Heading, Body, Small } from '../../../components';
import { guide } from '../../../deciding/guide';
import { allFinds } from '../../../notebook/repository/finds';
import { useAct } from '../../../notebook/store';
import { t } from '../../../text/en/second';
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
    void act(allFinds()).then(setRecords);
  }, [act]);
  const table = useMemo(() => agreementTable(guide, records ?? [], one, other), [records, one, other]);
  if (!records) return null;
  const kappa = cohenKappa(table);
  const looks = table.flat().reduce((sum, count) => sum + count, 0);
  return (
    <View style={styles.block}>
      <Heading>{t.theTwoOfYouOver}</Heading>
      {kappa && looks >= FEWEST ? (
        <>
          <Scale low={kappa.low} high={kappa.high} at={kappa.kappa} />
          <Body>
            {t.kappaBetweenAndFromLooks(
              agreementWords(kappa.kappa),
              kappa.kappa.toFixed(2),
              kappa.low.toFixed(2),
              kappa.high.toFixed(2),
              kappa.looks,
            )}
          </Body>
          <Small soft>{t.cohensKappa1IsAlways}</Small>
        </>
      ) : (
        <Body soft>
          {looks >= FEWEST
            ? t.alwaysSaidTheSame(first, second, looks)
            : t.lookedAtTooFew(first, second, looks, FEWEST)}
        </Body>
      )}
    </View>
  );
}

function agreementWords(kappa: number): string {
  if (kappa < 0.2) return t.hardlyMoreOftenTheSame;
  if (kappa < 0.6) return t.moreOftenTheSameThan;
  return kappa < 0.8 ? t.mostlyTheSame : t.nearlyAlwaysTheSame;
}

/** From chance to always, with the interval as a bar and the estimate as a line. */
function Scale({ low, high, at }: { readonly low: number; readonly high: number; readonly at: number }) {
  const share = (value: number): `${number}%` => `${Math.max(0, Math.min(100, value * 100))}%`;
  return (
    <View
      style={styles.scale}
      role="img"
      aria-label={t.agreementBetweenAndOnA(at.toFixed(2), low.toFixed(2), high.toFixed(2))}
    >
      <View style={styles.line}>
        <View style={[styles.range, { left: share(low), right: share(1 - high) }]} />
        <View style={[styles.mark, { left: share(at) }]} />
      </View>
      <View style={styles.ends}>
        <Small soft>{t.chance}</Small>
        <Small soft>{t.alwaysTheSame}</Small>
      </View>
    </View>
  );
}
