import { useMemo } from 'react';
import { StyleSheet } from 'react-native';
import { partings, type BarRow, type Case, type CharacterId, type Check } from '@pause/core';
import { Button, Small } from '../../components';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/check';
import { characterName, lowerFirst, timeWords } from '../../text/names';

interface CheapestProps {
  readonly row: BarRow;
  readonly find: Case;
  /** Proposed now. */
  readonly checks: readonly Check[];
  readonly onChoose: (character: CharacterId) => void;
}

/** The quickest of the proposed checks that would fill an open bar. */
export function Cheapest({ row, find, checks, onChoose }: CheapestProps) {
  const [target, other] = [guide.taxon(find.target), guide.taxon(row.taxon)];
  const helpful = useMemo(
    () =>
      new Set<string>(
        target && other ? partings(guide, target, other, find.context.stages).map((p) => p.character) : [],
      ),
    [target, other, find.context.stages],
  );
  const quickest = checks
    .filter((c) => helpful.has(c.character))
    .reduce<Check | undefined>((best, c) => (best && best.seconds <= c.seconds ? best : c), undefined);
  if (!quickest) return <Small soft>{t.noneOfTheChecksThat}</Small>;
  return (
    <Button
      label={t.quickest(lowerFirst(characterName(quickest.character)), timeWords(quickest.seconds))}
      tone="outline"
      style={styles.quickest}
      onPress={() => onChoose(quickest.character)}
    />
  );
}

const styles = StyleSheet.create({ quickest: { alignSelf: 'flex-start' } });
