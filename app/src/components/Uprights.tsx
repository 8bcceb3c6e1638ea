import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import type { BarRow, CharacterId } from '@pause/core';
import { characterOf } from '../text/names';
import { colour, OrganGlyph, stroke } from '.';

/** One upright: filled where there is a ground, open where one is missing. */
const Upright = memo(function Upright({
  ground,
  size,
}: {
  readonly ground: CharacterId | undefined;
  readonly size: 'large' | 'small';
}) {
  const organ = ground ? (characterOf(ground)?.organ ?? 'flesh') : '';
  const shape = size === 'large' ? styles.upright : styles.uprightSmall;
  if (!ground) return <View style={[shape, size === 'large' ? styles.open : styles.openSmall]} />;
  return (
    <View style={[shape, styles.filled]}>
      {size === 'large' ? <OrganGlyph organ={organ} size={14} colour={colour.onDark} /> : null}
    </View>
  );
});

export function Uprights({
  row,
  size = 'large',
}: {
  readonly row: BarRow;
  readonly size?: 'large' | 'small';
}) {
  return (
    <View style={styles.uprights}>
      {Array.from({ length: row.need }, (_, index) => (
        <Upright key={index} ground={row.bars[index]?.character} size={size} />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  uprights: { flexDirection: 'row', gap: 9 },
  upright: { width: 15, height: 38, borderRadius: 2, alignItems: 'center', justifyContent: 'center' },
  uprightSmall: { width: 8, height: 20, borderRadius: 1.5 },
  filled: { backgroundColor: colour.ink },
  open: { borderWidth: stroke.medium, borderStyle: 'dashed', borderColor: colour.ink },
  openSmall: { borderWidth: stroke.thin, borderColor: colour.ink },
});
