import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronUp from 'lucide-react-native/icons/chevron-up';
import { use, useState } from 'react';
import { Pressable, StyleSheet, useWindowDimensions, View } from 'react-native';
import { type BarRow, filled, short } from '@pause/core';
import { colour, SmallStrong, stroke } from '../../../components';
import { Uprights } from '../../../components/Uprights';
import { t } from '../../../text/en/check';
import { CommonName } from '../../../text/names';
import { Newest } from '../CheckParts';

const SHOWN = 3;
/** On a lower screen the answers need the second line of the names. */
const TWO_LINES_FROM = 620;

interface BarsBandProps {
  readonly open: boolean;
  readonly onToggle: () => void;
}

/**
 * The bars of the most urgent lookalikes in one line; a touch shows all of them. One that was filled by the
 * last answer stays until the next, so that it is seen to fill.
 */
export function BarsBand({ open, onToggle }: BarsBandProps) {
  const rows = use(Newest)?.evaluation.verdict.rows;
  const before = usePrevious(rows);
  const isLow = useWindowDimensions().height < TWO_LINES_FROM;
  if (!rows) return null;
  const openBefore = new Set(before?.filter((row) => short(row) > 0).map(({ taxon }) => taxon));
  const same = rows.filter((row) => !row.otherKingdom);
  const urgent = same.filter((row) => short(row) > 0 || openBefore.has(row.taxon));
  const shown = [...urgent, ...same.filter((row) => !urgent.includes(row))].slice(0, SHOWN);
  const more = same.filter((row) => short(row) > 0 && !shown.includes(row)).length;
  if (shown.length === 0) return null;
  const Chevron = open ? ChevronUp : ChevronDown;
  return (
    <View role="group" aria-label={t.barsAgainstEachLookalike} style={styles.band}>
      {shown.map((row) => (
        <Pressable
          key={row.taxon}
          role="button"
          aria-expanded={open}
          aria-label={t.nameAndBars(CommonName(row.taxon), t.ofBarsFilled(filled(row), row.need))}
          onPress={onToggle}
          style={({ pressed }) => [
            styles.cell,
            isLow && styles.low,
            isOneWord(CommonName(row.taxon)) && styles.oneWord,
            pressed && styles.pressed,
          ]}
        >
          <SmallStrong numberOfLines={isLow ? 1 : 2} style={styles.name}>
            {CommonName(row.taxon)}
          </SmallStrong>
          <Uprights row={row} size="small" />
        </Pressable>
      ))}
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={open ? t.hideTheBars : t.showAllBars(more)}
        onPress={onToggle}
        style={({ pressed }) => [styles.more, pressed && styles.pressed]}
      >
        {more > 0 ? <SmallStrong>{t.plusMore(more)}</SmallStrong> : null}
        <Chevron size={20} color={colour.ink} strokeWidth={2.25} />
      </Pressable>
    </View>
  );
}

const isOneWord = (name: string) => !/[\s-]/.test(name);

/** The rows before these. */
function usePrevious(rows: readonly BarRow[] | undefined): readonly BarRow[] | undefined {
  const [seen, setSeen] = useState({ rows, before: rows });
  if (seen.rows !== rows) setSeen({ rows, before: seen.rows });
  return seen.rows === rows ? seen.before : seen.rows;
}

const styles = StyleSheet.create({
  band: {
    flexDirection: 'row',
    borderTopWidth: stroke.medium,
    borderBottomWidth: stroke.medium,
    borderColor: colour.ink,
  },
  cell: {
    flexGrow: 1,
    flexShrink: 1,
    minWidth: 64,
    minHeight: 60,
    justifyContent: 'center',
    gap: 3,
    paddingHorizontal: 5,
    borderRightWidth: 1,
    borderRightColor: colour.line,
  },
  low: { minHeight: 52 },
  // A word is not broken; names of several words give way instead.
  oneWord: { flexShrink: 0 },
  // Two lines of a long name and the bars below them fit the height.
  name: { lineHeight: 16 },
  more: { width: 44, minHeight: 48, alignItems: 'center', justifyContent: 'center' },
  pressed: { backgroundColor: colour.shade },
});
