import { StyleSheet, View } from 'react-native';
import type { StageId, Taxon } from '@pause/core';
import { colour, Row, Small, space, Stack } from '../../components';
import { useToday } from '../../notebook/useFinds';
import { t } from '../../text/en/taxon';
import { initialsOfMonths, isWithin, monthsOf } from '../../text/months';

/** When a stage is usual at each height, month by month; the words say the same. */
export function Months({ taxon, stage }: { readonly taxon: Taxon; readonly stage: StageId }) {
  const now = useToday().getMonth() + 1;
  const spans = (taxon.phenology ?? []).filter((one) => one.stage === stage);
  const words = monthsOf(taxon, stage);
  if (spans.length === 0) return <Small soft>{t.monthsAreNotStated}</Small>;
  return (
    <Stack gap="xs">
      <View aria-hidden style={styles.chart}>
        {spans.map(({ months }, row) => (
          <Row key={row} gap="xs">
            {initialsOfMonths().map((_, i) => (
              <View key={i} style={[styles.cell, isWithin(i + 1, months) && styles.usual]} />
            ))}
          </Row>
        ))}
        <Row gap="xs">
          {initialsOfMonths().map((initial, i) => (
            <View key={i} style={[styles.month, i + 1 === now && styles.now]}>
              <Small soft={i + 1 !== now} style={styles.initial}>
                {initial}
              </Small>
            </View>
          ))}
        </Row>
      </View>
      {words.map((line) => (
        <Small key={line} soft>
          {line}
        </Small>
      ))}
    </Stack>
  );
}

const styles = StyleSheet.create({
  chart: { gap: space.xs, maxWidth: 640 },
  cell: { flex: 1, height: 10, backgroundColor: colour.shade },
  usual: { backgroundColor: colour.ink },
  month: { flex: 1, alignItems: 'center' },
  now: { backgroundColor: colour.pause },
  initial: { textAlign: 'center' },
});
