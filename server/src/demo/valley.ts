import type { PlaceFields } from '@pause/core/notebook';

/** Places of the invented valley, as its invented walkers know them. */

type Seen = readonly [on: string, taxon: string, stage: string | 'nothing' | 'suspected', note?: string];
export interface DemoPlace {
  readonly id: string;
  readonly keeper: string;
  /** In the group's notebook, shown to all of it; or there, shown to nobody; or in the keeper's own. */
  readonly shared: 'with-place' | 'without-place' | 'own';
  readonly fields: { readonly [F in keyof PlaceFields]?: unknown };
  readonly seen: readonly Seen[];
}

const point = (longitude: number, latitude: number) => ({
  type: 'Point',
  coordinates: [longitude, latitude],
});
/** Years of the same, a few days apart as years are. */
const years = (taxon: string, stage: string, ...days: readonly string[]): Seen[] =>
  days.map((on) => [on, taxon, stage] as const);

export const DEMO_PLACES: readonly DemoPlace[] = [
  {
    id: 'demo-place-heath',
    keeper: 'mirel',
    shared: 'own',
    fields: {
      name: 'Heath under the Tollar ridge',
      shape: {
        type: 'Polygon',
        coordinates: [
          [
            [12.226, 46.5475],
            [12.234, 46.5482],
            [12.2365, 46.5505],
            [12.2285, 46.551],
            [12.226, 46.5475],
          ],
        ],
      },
      elevation: 1480,
      aspect: 'n',
      shade: 'open',
      moisture: 'fresh',
      soil: ['acid'],
      habitat: ['heath'],
      trees: ['pine'],
      companions: ['alpenrose'],
      spoils: [],
      hazards: ['steep'],
      owner: 'Alp of the commune',
      picking: { may: 'yes' },
      allowances: [{ taxon: 'vaccinium-myrtillus', may: 'yes', perDay: { amount: 2, unit: 'litre' } }],
      source: { text: 'Notice board at the Vessen hut', on: '2026-06-20' },
    },
    seen: [
      ...years('vaccinium-myrtillus', 'flowering', '2024-06-12', '2025-06-20', '2026-06-14'),
      ...years('vaccinium-myrtillus', 'fruiting', '2024-08-14', '2025-08-23', '2026-08-19', '2026-09-11'),
      ...years('vaccinium-vitis-idaea', 'fruiting', '2024-09-08', '2025-09-14', '2026-09-11'),
      ...years('vaccinium-uliginosum', 'fruiting', '2025-08-23'),
    ],
  },
  {
    id: 'demo-place-spring',
    keeper: 'mirel',
    shared: 'with-place',
    fields: {
      name: 'Spruce above the Karrow spring',
      shape: {
        type: 'Polygon',
        coordinates: [
          [
            [12.2085, 46.545],
            [12.218, 46.5448],
            [12.2195, 46.5495],
            [12.211, 46.5502],
            [12.2085, 46.545],
          ],
        ],
      },
      elevation: 1290,
      aspect: 'nw',
      shade: 'shaded',
      moisture: 'moist',
      soil: ['acid'],
      habitat: ['conifer-wood'],
      trees: ['spruce'],
      companions: ['bilberry', 'lady fern'],
      spoils: [],
      hazards: ['stream', 'ticks'],
      owner: 'State forest',
      picking: { may: 'yes' },
      allowances: [{ part: 'fruiting-body', may: 'yes', perDay: { amount: 1000, unit: 'g' } }],
      source: { text: 'Forester at Karrow', on: '2025-05-02' },
    },
    seen: [
      ...years('cantharellus-cibarius', 'mature', '2024-07-28', '2025-08-06', '2026-07-30', '2026-09-12'),
      ...years('boletus-edulis', 'mature', '2024-09-01', '2025-08-30', '2026-09-12'),
      ...years('imleria-badia', 'mature', '2025-09-20'),
      ['2026-08-29', 'vaccinium-myrtillus', 'fruiting'],
      [
        '2026-08-29',
        'atropa-bella-donna',
        'fruiting',
        'A young plant in the clearing above the spring, among the bilberries.',
      ],
      ['2025-09-20', 'cortinarius-rubellus', 'mature'],
    ],
  },
  {
    id: 'demo-place-slope',
    keeper: 'jorun',
    shared: 'with-place',
    fields: {
      name: 'Beech slope, Lower Ostrel',
      shape: {
        type: 'LineString',
        coordinates: [
          [12.196, 46.4845],
          [12.2028, 46.487],
          [12.2105, 46.4882],
        ],
      },
      elevation: 850,
      aspect: 'n',
      shade: 'shaded',
      moisture: 'fresh',
      soil: ['calcareous', 'loam'],
      habitat: ['deciduous-wood'],
      trees: ['beech'],
      companions: ['woodruff', 'dog’s mercury'],
      spoils: [],
      hazards: ['steep', 'ticks'],
      owner: 'Halvad farm',
      picking: { may: 'yes' },
      source: { text: 'Jorun’s own wood', on: '2026-01-01' },
    },
    seen: [
      ...years('hydnum-repandum', 'mature', '2024-09-20', '2025-09-06', '2026-09-12'),
      ...years('craterellus-cornucopioides', 'mature', '2024-10-02', '2025-09-27'),
      ...years('galium-odoratum', 'flowering', '2025-05-12', '2026-05-08'),
      ...years('allium-ursinum', 'vegetative', '2025-04-02', '2026-03-29'),
      ['2026-04-18', 'colchicum-autumnale', 'vegetative', 'At the lower edge, right beside the ramsons.'],
      ['2026-09-12', 'amanita-phalloides', 'mature', 'Two under the old beech.'],
    ],
  },
  {
    id: 'demo-place-meadow',
    keeper: 'mirel',
    shared: 'with-place',
    fields: {
      name: 'Hay meadow at Lower Ostrel',
      shape: {
        type: 'Polygon',
        coordinates: [
          [
            [12.158, 46.501],
            [12.1705, 46.5035],
            [12.1725, 46.5065],
            [12.16, 46.506],
            [12.158, 46.501],
          ],
        ],
      },
      elevation: 530,
      aspect: 'flat',
      shade: 'open',
      moisture: 'fresh',
      soil: ['calcareous', 'loam'],
      habitat: ['meadow'],
      spoils: [],
      hazards: [],
      history:
        'Mown twice, in late June and late August. Caraway was sown along the ditch by the farmer’s mother.',
      owner: 'Farm at the weir',
      picking: { may: 'ask' },
      source: { text: 'Asked over the fence', on: '2025-07-01' },
    },
    seen: [
      ...years('carum-carvi', 'fruiting', '2024-07-06', '2025-07-12', '2026-07-08'),
      ...years('agaricus-campestris', 'mature', '2025-09-10', '2026-09-09'),
      ['2026-09-09', 'colchicum-autumnale', 'flowering', 'All over the lower half.'],
      ['2026-06-20', 'conium-maculatum', 'suspected', 'By the ditch; a tall umbel with spots on its stem.'],
    ],
  },
  {
    id: 'demo-place-alders',
    keeper: 'tam',
    shared: 'without-place',
    fields: {
      name: 'River alders below the weir',
      shape: point(12.179, 46.5035),
      elevation: 565,
      aspect: 'flat',
      shade: 'half',
      moisture: 'wet',
      soil: ['rich'],
      habitat: ['bank'],
      spoils: ['flood'],
      hazards: ['ditch', 'stream'],
      picking: { may: 'yes' },
    },
    seen: [
      ...years('filipendula-ulmaria', 'flowering', '2025-07-10', '2026-07-04'),
      ...years('symphytum-officinale', 'flowering', '2025-06-01'),
      ['2026-07-04', 'cicuta-virosa', 'suspected'],
      ['2026-09-12', 'cicuta-virosa', 'suspected'],
    ],
  },
  {
    id: 'demo-place-hut',
    keeper: 'mirel',
    shared: 'with-place',
    fields: {
      name: 'Pasture at the Vessen hut',
      shape: point(12.1944, 46.5348),
      elevation: 1310,
      aspect: 's',
      shade: 'open',
      moisture: 'fresh',
      soil: ['calcareous', 'stones'],
      habitat: ['pasture'],
      spoils: ['grazing'],
      hazards: ['livestock'],
      owner: 'Alp of the commune',
      picking: { may: 'permit', permitUntil: '2026-08-31', permitName: 'Root permit of the commune' },
      source: { text: 'Commune office', on: '2026-03-14' },
    },
    seen: [
      ...years('gentiana-lutea', 'flowering', '2025-07-15', '2026-07-18'),
      ...years('gentiana-lutea', 'fruiting', '2025-09-05', '2026-09-13'),
      [
        '2026-09-13',
        'veratrum-album',
        'fruiting',
        'Among the gentians. Leaves in turns here, in pairs there.',
      ],
      ...years('juniperus-communis', 'fruiting', '2025-10-04'),
      ...years('origanum-vulgare', 'flowering', '2025-08-10', '2026-08-22'),
    ],
  },
  {
    id: 'demo-place-hedge',
    keeper: 'mirel',
    shared: 'own',
    fields: {
      name: 'Hedge on the mill lane',
      shape: {
        type: 'LineString',
        coordinates: [
          [12.1645, 46.499],
          [12.1692, 46.5004],
          [12.174, 46.501],
        ],
      },
      elevation: 540,
      aspect: 's',
      shade: 'open',
      moisture: 'dry',
      soil: ['calcareous'],
      habitat: ['hedge'],
      spoils: [],
      hazards: ['wasps'],
      picking: { may: 'yes' },
      source: { text: 'Path of the commune', on: '2024-04-01' },
    },
    seen: [
      ...years('prunus-spinosa', 'flowering', '2025-04-06', '2026-04-02'),
      ...years('prunus-spinosa', 'fruiting', '2024-09-28', '2025-09-21', '2026-09-10'),
      ...years('corylus-avellana', 'fruiting', '2024-09-15', '2025-09-18', '2026-09-10'),
      ['2025-09-21', 'rhamnus-cathartica', 'fruiting', 'Third bush from the lane’s end.'],
      ['2026-09-10', 'lonicera-xylosteum', 'fruiting'],
    ],
  },
  {
    id: 'demo-place-bank',
    keeper: 'mirel',
    shared: 'own',
    fields: {
      name: 'Chestnut bank',
      shape: point(12.214, 46.497),
      elevation: 770,
      aspect: 's',
      shade: 'half',
      moisture: 'dry',
      soil: ['acid'],
      habitat: ['deciduous-wood'],
      spoils: [],
    },
    seen: [
      ...years('castanea-sativa', 'fruiting', '2024-10-08', '2025-10-12'),
      ['2026-08-20', 'castanea-sativa', 'flowering'],
      ...years('fragaria-vesca', 'fruiting', '2025-06-10', '2026-06-05'),
    ],
  },
];

/** Who eats along at Mirel's; made up like everybody here. */
export const DEMO_EATERS: readonly {
  readonly id: string;
  readonly keeper: string;
  readonly fields: Readonly<Record<string, unknown>>;
}[] = [
  {
    id: 'demo-eater-mirel',
    keeper: 'mirel',
    fields: {
      name: 'Mirel',
      cautions: ['allergy:apiaceae', 'allergy:birch'],
      likes: ['vaccinium-myrtillus', 'cantharellus-cibarius', 'hydnum-repandum'],
      eatsAlong: true,
    },
  },
  {
    id: 'demo-eater-lune',
    keeper: 'mirel',
    fields: {
      name: 'Lune',
      cautions: ['child'],
      likes: ['vaccinium-myrtillus', 'castanea-sativa'],
      dislikes: ['agaricus-campestris'],
      eatsAlong: true,
    },
  },
  {
    id: 'demo-eater-osk',
    keeper: 'mirel',
    fields: { name: 'Grandfather Osk', cautions: ['kidney-stones', 'blood-pressure'], eatsAlong: false },
  },
];

/** A walk that is planned for tomorrow. */
export const DEMO_WALKS: readonly {
  readonly id: string;
  readonly keeper: string;
  readonly fields: Readonly<Record<string, unknown>>;
}[] = [
  {
    id: 'demo-walk-ridge',
    keeper: 'mirel',
    fields: {
      on: '2026-09-15',
      from: '08:30',
      backBy: '16:00',
      contact: 'Jorun Halvad',
      child: true,
      places: ['demo-place-spring', 'demo-place-heath', 'demo-place-hut'],
      targets: [
        { taxon: 'cantharellus-cibarius', part: 'fruiting-body' },
        { taxon: 'boletus-edulis', part: 'fruiting-body' },
        { taxon: 'vaccinium-vitis-idaea', part: 'fruit' },
      ],
    },
  },
];
