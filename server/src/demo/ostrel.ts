import type { Case } from '@pause/core';
import { EXPERT } from './expert';

/** The Ostrel valley is invented, and so is everyone in it. */

export const PEOPLE = [
  { id: 'mirel', name: 'Mirel Aschkar', role: 'keeper' },
  { id: 'jorun', name: 'Jorun Halvad', role: 'member' },
  { id: 'tam', name: 'Tam Werrin', role: 'member' },
  { id: 'lune', name: 'Lune Aschkar', role: 'young' },
  EXPERT,
] as const;

/** The walking group with its common notebook. */
export const DEMO_GROUP = { id: 'ostrel-walkers', name: 'Ostrel walkers' } as const;

export interface DemoFind {
  readonly id: string;
  readonly startedAt: string;
  readonly kingdom: Case['kingdom'];
  readonly bodyPlan: string;
  readonly placeNote: string;
  readonly person: string;
  /** In the group's notebook, and whether the group sees the place; left out: in the person's own. */
  readonly shared?: 'with-place' | 'without-place';
  /** Who read the same again without knowing the first answers. */
  readonly secondLookBy?: string;
  /** Its page in the notebook. */
  readonly place?: string;
  readonly target: string;
  readonly context: Record<string, unknown>;
  /** Character, then the state or states read; all sure. */
  readonly readings: readonly (readonly [string, ...string[]])[];
  readonly decision?: { readonly choice: 'collect' | 'leave' | 'later'; readonly reason?: string };
}

const MUSHROOM = {
  stages: ['mature'],
  condition: 'fresh',
  part: 'fruiting-body',
  use: 'food',
  permission: 'allowed',
  contamination: 'none-seen',
  protection: 'allowed',
};

const BILBERRY: DemoFind = {
  id: 'demo-find-1',
  startedAt: '2026-09-11T08:05:00.000Z',
  kingdom: 'Plantae',
  bodyPlan: 'dwarf-shrub',
  placeNote: 'Heath under the Tollar ridge, 1,480 m',
  person: 'mirel',
  target: 'vaccinium-myrtillus',
  context: {
    stages: ['fruiting'],
    condition: 'fresh',
    part: 'fruit',
    use: 'food',
    permission: 'allowed',
    contamination: 'none-seen',
    tracedToBase: true,
  },
  readings: [
    ['fruit.crown', 'ring-scar'],
    ['fruit.colour', 'blue-black'],
    ['habit.form', 'dwarf-shrub'],
    ['fruit.position', 'axil'],
    ['leaf.arrangement', 'alternate'],
    ['fruit.stalk', 'hanging'],
    ['leaf.venation', 'net'],
    ['leaf.margin', 'finely-serrate'],
    ['fruit.seeds', 'many'],
    ['fruit.type', 'berry'],
    ['fruit.skin', 'bloom'],
    ['fruit.crown', 'ring-scar'],
    ['habit.form', 'dwarf-shrub'],
  ],
  decision: { choice: 'collect' },
};

export const DEMO_FINDS: readonly DemoFind[] = [
  BILBERRY,
  {
    id: 'demo-find-2',
    startedAt: '2026-09-12T06:50:00.000Z',
    kingdom: 'Fungi',
    bodyPlan: 'boletoid',
    placeNote: 'Spruce above the Karrow spring',
    person: 'mirel',
    target: 'boletus-edulis',
    context: MUSHROOM,
    readings: [
      ['hymenophore', 'pores'],
      ['stipe.net', 'coarse-net'],
      ['hymenophore.colour', 'pink'],
      ['hymenophore.colour', 'pink'],
      ['hymenophore.colour', 'pink'],
      ['hymenophore.colour', 'pink'],
      ['cap.surface', 'felty'],
    ],
    decision: { choice: 'leave', reason: 'Coarse dark net, pinkish pores: a bitter bolete.' },
  },
  {
    id: 'demo-find-3',
    startedAt: '2026-09-12T07:35:00.000Z',
    kingdom: 'Fungi',
    bodyPlan: 'hydnoid',
    placeNote: 'Beech slope, Lower Ostrel',
    person: 'jorun',
    shared: 'with-place',
    secondLookBy: 'tam',
    target: 'hydnum-repandum',
    context: MUSHROOM,
    readings: [
      ['hymenophore', 'spines'],
      ['stipe.place', 'side'],
      ['cap.surface', 'felty'],
      ['hymenophore.bond', 'crumbles'],
      ['cap.colour', 'cream'],
      ['smell', 'mushroomy'],
      ['wood', 'not-on-wood'],
      ['flesh.texture', 'brittle'],
      ['stipe.interior', 'solid'],
      ['cap.shape', 'irregular'],
      ['hymenophore.attachment', 'decurrent'],
      ['hymenophore', 'spines'],
      ['stipe.place', 'side'],
      ['flesh.texture', 'brittle'],
    ],
    decision: { choice: 'collect' },
  },
  {
    id: 'demo-find-4',
    startedAt: '2026-09-13T15:10:00.000Z',
    kingdom: 'Plantae',
    bodyPlan: 'herb',
    placeNote: 'Pasture at the Vessen hut, 1,310 m',
    person: 'tam',
    shared: 'without-place',
    target: 'origanum-vulgare',
    context: {
      stages: ['flowering'],
      condition: 'fresh',
      part: 'shoot',
      use: 'flavour',
      permission: 'unknown',
      contamination: 'none-seen',
    },
    readings: [
      ['stem.section', 'square'],
      ['leaf.arrangement', 'opposite'],
      ['stem.hairs', 'downy'],
      ['flower.colour', 'pink'],
    ],
    decision: { choice: 'later' },
  },
  {
    id: 'demo-find-5',
    startedAt: '2026-09-14T07:20:00.000Z',
    kingdom: 'Fungi',
    bodyPlan: 'cantharelloid',
    placeNote: 'Spruce above the Karrow spring',
    person: 'mirel',
    target: 'cantharellus-cibarius',
    context: MUSHROOM,
    readings: [
      ['smell', 'fruity'],
      ['hymenophore.bond', 'inseparable'],
      ['growth', 'separate'],
    ],
  },
  // A year ago at the same place: what is in the pantry comes from it.
  { ...BILBERRY, id: 'demo-find-6', startedAt: '2025-09-18T08:40:00.000Z', place: 'demo-place-heath' },
];
