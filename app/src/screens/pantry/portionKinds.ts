import { StyleSheet } from 'react-native';
import type { PortionFields } from '@pause/core/pantry';
import { space, stroke, colour } from '../../components';
import { t } from '../../text/en/eating';
import { t as pantryText } from '../../text/en/pantry';
import type { Choice } from './Choose';

/** The kinds of portions. */

export type What = PortionFields['what'];

export const WHAT: Readonly<Record<What, readonly [title: string, button: string]>> = {
  meal: [t.aMeal, t.itWasEaten],
  outward: [t.usedOutwardly, t.itWasUsed],
  gift: [t.givenAway, t.itWasGiven],
  'thrown-out': [pantryText.thrownOutHeading, pantryText.itIsThrownOut],
};

export const isWhat = (text: string | undefined): text is What => text !== undefined && text in WHAT;

export interface Ready extends Choice {
  /** Nothing more has to be done to it. */
  readonly ready: boolean;
}

/** Who may have eaten: oneself and those who eat along; oneself only once, by whichever name. */
export function namesOf(me: string, eaters: readonly string[]): string[] {
  const [first = me] = me.split(' ');
  return [...new Set([...(me === '' || eaters.includes(first) ? [] : [me]), ...eaters])];
}

export const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  block: { gap: space.s },
  grow: { flex: 1 },
  row: { flexDirection: 'row', gap: space.m, alignItems: 'flex-start' },
  low: { marginTop: 24 },
  reminder: { paddingLeft: space.m, borderLeftWidth: stroke.medium, borderLeftColor: colour.ink },
  warning: {
    gap: space.xs,
    paddingLeft: space.m,
    borderLeftWidth: stroke.thick * 2,
    borderLeftColor: colour.ink,
  },
});
