/**
 * Which districts of the core each district may import from. The arrows run one way: a district imports only
 * from those above it in this list. A district is a folder of `core/src`; docs/layout.md says what each holds.
 */
const MAY_IMPORT = {
  lib: [],
  measuring: [],
  guide: ['lib'],
  drawing: ['lib', 'guide'],
  case: ['lib', 'guide'],
  verdict: ['lib', 'guide', 'case'],
  advice: ['guide', 'case', 'verdict'],
  harvest: ['guide', 'case'],
  notebook: ['lib', 'guide', 'case', 'verdict', 'harvest'],
  season: ['lib', 'guide', 'case', 'verdict', 'notebook'],
  pantry: ['guide', 'case', 'verdict', 'harvest', 'notebook'],
  outings: ['guide', 'case', 'verdict', 'notebook', 'season'],
  practice: ['lib', 'guide', 'case', 'verdict', 'advice', 'notebook', 'drawing'],
  upkeep: ['lib', 'guide', 'case', 'verdict', 'advice'],
  formats: ['lib', 'guide', 'harvest', 'notebook', 'pantry'],
  questions: ['lib', 'guide', 'case', 'verdict', 'advice', 'upkeep'],
};
const DISTRICTS = Object.keys(MAY_IMPORT);

/**
 * The files within districts that others may import besides each room's `index.ts`: small pieces that are
 * fetched without the rest of their room.
 */
const SINGLE_DOORS = [
  'lib/*',
  'guide/{parse,partings}',
  'case/parse',
  'advice/{identify,pieces}',
  'verdict/schema',
  'harvest/preparing/names',
  'harvest/taking/{amount,count}',
  'notebook/entry',
  'notebook/page/{currentFields,geometry,pantry,practice,shape}',
];

/** The same for `app/src`. */
const APP_MAY_IMPORT = {
  lib: [],
  deciding: ['lib'],
  notebook: ['lib', 'deciding'],
  text: ['lib', 'deciding', 'notebook'],
  components: ['lib', 'deciding', 'notebook', 'text'],
  screens: ['lib', 'deciding', 'notebook', 'text', 'components'],
};

/** The screens that lead from one room of screens into another. */
const SCREENS_MAY_IMPORT = {
  check: [],
  emergency: [],
  harvest: ['check'],
  finds: ['check'],
  guide: ['check'],
  pantry: ['emergency'],
  people: [],
  places: [],
  practice: [],
  settings: [],
  start: ['emergency', 'finds', 'people'],
};

/** Zones for `import-x/no-restricted-paths`: one for each folder, of all that it may not import from. */
const zones = (folder, mayImport) =>
  Object.entries(mayImport)
    .map(([one, allowed]) => ({
      target: `${folder}/${one}`,
      from: Object.keys(mayImport)
        .filter((other) => other !== one && !allowed.includes(other))
        .map((other) => `${folder}/${other}`),
      message: `${one} may import from: ${allowed.join(', ') || 'none of the others'} (eslint.districts.js).`,
    }))
    .filter(({ from }) => from.length > 0);

/** What is open to every folder: the words, and programs that are fetched when they are wanted. */
const OPEN_TO_ALL = {
  './app/src/text': ['./en', './messages.ts'],
  './app/src/screens': ['./later.ts', './withPeople.ts'],
};

export const ARROWS = zones('./core/src', MAY_IMPORT);
export const APP_ARROWS = [
  ...zones('./app/src', APP_MAY_IMPORT).flatMap(({ from, ...zone }) =>
    from.map((folder) => ({
      ...zone,
      from: folder,
      ...(OPEN_TO_ALL[folder] ? { except: OPEN_TO_ALL[folder] } : {}),
    })),
  ),
  ...zones('./app/src/screens', SCREENS_MAY_IMPORT),
];

/** What `import-x/no-internal-modules` may reach: districts, rooms and single doors. */
export const DOORS = [
  ...DISTRICTS.flatMap((district) => [`**/${district}`, `**/${district}/index`]),
  // Within the notebook.
  'find/{fold,record}',
  'page/{currentFields,fold,schema,shape}',
  '@noble/**',
  '**/guide/pack',
  '**/verdict/bars',
  '**/verdict/context',
  '**/advice/{next,plan}',
  '**/harvest/{taking,preparing,sorting}',
  '**/notebook/{find,page}',
  '**/pantry/{recall,tasting}',
  '**/season/weather',
  '**/formats/{files,logbook}',
  '**/upkeep/{lint,recompute}',
  ...SINGLE_DOORS.map((door) => `**/${door}`),
];
