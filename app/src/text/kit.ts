import type { KitReason } from '@pause/core/outings';
import { commonName } from './names';
import { HAZARD } from './places';

/** What to take along, and why. */

/** Things to bring. */
export const KIT: Readonly<Record<string, string>> = {
  knife: 'Knife',
  lens: 'Lens',
  paper: 'Pale paper',
  ruler: 'Ruler',
  trowel: 'Digging stick or trowel',
  gloves: 'Gloves',
  water: 'Water',
  phone: 'Phone, charged',
  whistle: 'Whistle',
  boots: 'Boots',
  helmet: 'Helmet',
  stick: 'Walking stick',
  'tide-table': 'Tide table',
  'long-sleeves': 'Long sleeves and trousers',
  'bright-vest': 'Bright vest',
  bag: 'Bag',
  'bag-roots': 'Bag for roots',
  'bag-leaves': 'Bag for leaves',
  'bag-flowers': 'Bag for flowers',
  'box-fruit': 'Box for fruit',
  'basket-fungi': 'Basket for fungi',
};

export function kitReason(reason: KitReason): string {
  switch (reason.code) {
    case 'checks':
      return `for checking ${reason.taxa.map((id) => commonName(id)).join(', ')}`;
    case 'parts':
      return 'kinds are kept apart';
    case 'hazard':
      return `because of: ${HAZARD[reason.hazard].toLowerCase()}`;
    case 'child':
      return 'for the child';
    case 'ground':
      return 'wet ground';
    case 'always':
      return '';
  }
}
