import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View, Pressable } from 'react-native';
import { type CompiledTaxon, type HarmGrade, GRADES, type FindRecord, type TaxonId } from '@pause/core';
import { Heading, Strong, Small, SmallStrong, Rule, Button } from '../../components';
import { guide } from '../../deciding/guide';
import { startFind } from '../../notebook/actions';
import type { Harvest } from '../../notebook/harvests';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/harvest';
import { commonName, CommonName, GRADE } from '../../text/names';
import { styles } from './sortStyles';

/** One pass over what was collected. */

export type SortingField = NonNullable<Harvest['sorting']>;
export type Change = (make: (now: SortingField) => SortingField) => void;

/** The worst that could be among the pieces: of the lookalikes that the guide lists. */
export function worstOf({ taxon }: CompiledTaxon): HarmGrade {
  return taxon.lookalikes.reduce<HarmGrade>((worst, id) => {
    const grade = guide.taxon(id)?.grade ?? 'none';
    return GRADES.indexOf(grade) > GRADES.indexOf(worst) ? grade : worst;
  }, 'none');
}

interface PassProps {
  readonly record: FindRecord;
  readonly taxon: CompiledTaxon;
  readonly sorting: SortingField;
  readonly change: Change;
  readonly settled: () => Promise<unknown>;
}

type StrayId = TaxonId | 'harmless' | 'unknown';

/** A stray is counted, and a find is opened for it. */
function useStray({ record, taxon, change, settled }: Omit<PassProps, 'sorting'>) {
  const act = useAct();
  const router = useRouter();
  return (id: StrayId) => {
    const grade =
      id === 'harmless' ? 'none' : id === 'unknown' ? worstOf(taxon) : (guide.taxon(id)?.grade ?? 'none');
    // What could do no harm says nothing of how many are left that could.
    change((was) => ({ ...was, now: was.now + Number(grade !== 'none'), grades: [...was.grades, grade] }));
    if (id === 'harmless') return;
    const target = id === 'unknown' ? {} : { target: id };
    // The stray is on record before anything leads away from here.
    void settled()
      .then(() =>
        act(
          startFind({
            kingdom: record.kingdom,
            bodyPlan: guide.taxon(id)?.taxon.bodyPlan ?? record.bodyPlan ?? '',
            ...target,
            placeNote: t.strayInTheBasketOf(record.number ? t.find(record.number) : commonName(taxon.id)),
            ...(record.group ? { group: record.group } : {}),
            context: {},
          }),
        ),
      )
      .then((opened) => {
        if (opened)
          router.push({
            pathname: id === 'unknown' ? '/find/[id]/name' : '/find/[id]/check',
            params: { id: opened },
          });
      });
  };
}

/** One pass through all of it: strays as they turn up, and its end. */
export function Pass(props: PassProps) {
  const { taxon, sorting, change } = props;
  const stray = useStray(props);
  const [asking, setAsking] = useState(false);
  const { found, now, pieces } = sorting;
  const most = found.reduce((a, b) => a + b, 0) + now >= pieces;
  return (
    <View style={styles.block}>
      <Heading>{found.length === 0 ? t.theFirstTime : t.time(found.length + 1)}</Heading>
      <View style={styles.buttons}>
        <Pressable
          role="button"
          aria-label={t.aStray}
          disabled={most}
          onPress={() => setAsking(true)}
          style={({ pressed }) => [styles.big, pressed && styles.pressed]}
        >
          <Strong>{t.aStray}</Strong>
          <Small>{now === 0 ? t.noneSoFarThisTime : t.soFarThisTime(now)}</Small>
        </Pressable>
        <Pressable
          role="button"
          aria-label={t.allOfItIsGone}
          onPress={() => change((was) => ({ ...was, found: [...was.found, was.now], now: 0 }))}
          style={({ pressed }) => [styles.big, styles.dark, pressed && styles.pressed]}
        >
          <Strong on="dark">{t.allGoneThrough}</Strong>
          <Small on="dark">{t.everySinglePiece}</Small>
        </Pressable>
      </View>
      {asking ? (
        <WhatTheStrayIs
          taxon={taxon}
          onStray={(id) => {
            stray(id);
            setAsking(false);
          }}
          onNone={() => setAsking(false)}
        />
      ) : null}
    </View>
  );
}

interface WhatTheStrayIsProps {
  readonly taxon: CompiledTaxon;
  readonly onStray: (id: StrayId) => void;
  readonly onNone: () => void;
}

function WhatTheStrayIs({ taxon, onStray, onNone }: WhatTheStrayIsProps) {
  return (
    <View style={styles.block} role="group" aria-label={t.whatTheStrayIs}>
      <SmallStrong>{t.whatDoYouTakeIt}</SmallStrong>
      {taxon.taxon.lookalikes
        .flatMap((id) => guide.taxon(id) ?? [])
        .map((one) => (
          <View key={one.id}>
            <Pressable role="button" onPress={() => onStray(one.id)} style={styles.line}>
              <Strong style={styles.grow}>{CommonName(one.id)}</Strong>
              {one.grade === 'none' ? null : <SmallStrong>{GRADE[one.grade]}</SmallStrong>}
            </Pressable>
            <Rule />
          </View>
        ))}
      <View style={styles.buttons}>
        <Button label={t.iCantTell} tone="outline" onPress={() => onStray('unknown')} />
        <Button label={t.aLeafABitOf} tone="outline" onPress={() => onStray('harmless')} />
        <Button label={t.notAStray} tone="plain" onPress={onNone} />
      </View>
    </View>
  );
}
