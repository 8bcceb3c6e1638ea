import type { KitReason } from '@pause/core/outings';
import { t } from './en/kit';
import { commonName } from './names';
import { HAZARD } from './places';

/** What to take along, and why. */

/** Things to bring. */
export const KIT: Readonly<Record<string, string>> = {
  knife: t.knife,
  lens: t.lens,
  paper: t.palePaper,
  ruler: t.ruler,
  trowel: t.diggingStickOrTrowel,
  gloves: t.gloves,
  water: t.water,
  phone: t.phoneCharged,
  whistle: t.whistle,
  boots: t.boots,
  helmet: t.helmet,
  stick: t.walkingStick,
  'tide-table': t.tideTable,
  'long-sleeves': t.longSleevesAndTrousers,
  'bright-vest': t.brightVest,
  bag: t.bag,
  'bag-roots': t.bagForRoots,
  'bag-leaves': t.bagForLeaves,
  'bag-flowers': t.bagForFlowers,
  'box-fruit': t.boxForFruit,
  'basket-fungi': t.basketForFungi,
};

export function kitReason(reason: KitReason): string {
  switch (reason.code) {
    case 'checks':
      return t.forChecking(reason.taxa.map((id) => commonName(id)).join(', '));
    case 'parts':
      return t.kindsAreKeptApart;
    case 'hazard':
      return t.becauseOf(HAZARD[reason.hazard].toLowerCase());
    case 'child':
      return t.forTheChild;
    case 'ground':
      return t.wetGround;
    case 'always':
      return '';
  }
}
