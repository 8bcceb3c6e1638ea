import { StyleSheet } from 'react-native';
import type { FieldsOf } from '@pause/core';
import { space } from '../../components';

/** How a walk looks. */

export type Walk = Partial<FieldsOf<'walk'>>;

export const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.l },
  field: { gap: space.xs },
  block: { gap: space.s },
  grow: { flex: 1 },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m },
  stop: { gap: space.xs, paddingTop: space.m },
  under: { marginTop: space.s },
  target: { gap: space.xs, paddingBottom: space.m },
  kit: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'baseline', columnGap: space.m },
});
