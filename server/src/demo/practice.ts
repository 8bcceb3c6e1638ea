import type { CompiledGuide, Sureness } from '@pause/core';
import {
  pairCard,
  scoreOf,
  seenRightly,
  termCard,
  walkOf,
  type LookedAt,
  type PracticeAnswer,
  type PracticeFields,
  type PracticeFind,
  type WalkDecision,
} from '@pause/core/practice';
import { seeded } from '@pause/core/season/weather';
import type { DemoPage } from './pantry';

/** What the invented walkers practised over the summer, each with an eye of their own. */

/** What somebody takes for what, and in how many of ten looks. */
type Confuses = readonly (readonly [character: string, shown: string, read: string, inTen: number])[];
const SHOWN = [
  ['hymenophore.attachment', 'decurrent'],
  ['hymenophore.attachment', 'adnate'],
  ['hymenophore.attachment', 'free'],
  ['cap.shape', 'funnel'],
  ['cap.shape', 'umbonate'],
  ['volva', 'sac'],
  ['veil', 'hanging'],
  ['stipe.shape', 'bulbous'],
  ['leaf.arrangement', 'opposite'],
  ['stem.section', 'round'],
] as const;
const WALKERS: readonly {
  readonly keeper: string;
  readonly seed: number;
  readonly confuses: Confuses;
  readonly drilled: readonly (readonly [target: string, other: string, wrongAt?: number])[];
}[] = [
  {
    keeper: 'mirel',
    seed: 5,
    confuses: [
      ['hymenophore.attachment', 'decurrent', 'adnate', 3],
      ['cap.shape', 'umbonate', 'convex', 2],
    ],
    drilled: [
      ['cantharellus-cibarius', 'omphalotus-olearius'],
      ['corylus-avellana', 'aesculus-hippocastanum', 2],
      ['macrolepiota-procera', 'chlorophyllum-brunneum'],
    ],
  },
  {
    keeper: 'jorun',
    seed: 11,
    confuses: [
      ['stipe.shape', 'bulbous', 'club', 1],
      ['veil', 'hanging', 'thin', 1],
    ],
    drilled: [
      ['cantharellus-cibarius', 'omphalotus-olearius'],
      ['agaricus-campestris', 'amanita-virosa'],
    ],
  },
  {
    keeper: 'tam',
    seed: 23,
    confuses: [
      ['hymenophore.attachment', 'free', 'adnate', 3],
      ['leaf.arrangement', 'opposite', 'alternate', 1],
    ],
    drilled: [['agaricus-campestris', 'amanita-virosa', 1]],
  },
];
/** Evenings on which they sat down to it. */
const EVENINGS = [
  '2026-05-02',
  '2026-05-05',
  '2026-05-16',
  '2026-06-20',
  '2026-08-22',
  '2026-09-09',
] as const;
const WOOD = [3, 4, 5] as const;

/** @param guide what it does not know is left out */
export function demoPractice(guide: CompiledGuide, group: string): DemoPage[] {
  return [...WALKERS.flatMap((walker) => practiceOf(guide, group, walker)), lessonOf(guide)];
}

function practiceOf(guide: CompiledGuide, group: string, walker: (typeof WALKERS)[number]): DemoPage[] {
  const { keeper, seed } = walker;
  const draw = seeded(seed);
  return [
    {
      id: `demo-learner-${keeper}`,
      kind: 'learner',
      keeper,
      shared: 'own',
      fields: { minutes: 5, countsFor: [group] },
    },
    ...EVENINGS.map((on, evening): DemoPage => {
      const at = (second: number) =>
        `${on}T19:${String(Math.floor(second / 60)).padStart(2, '0')}:${String(second % 60).padStart(2, '0')}.000Z`;
      const answers = [...pairsDrilled(walker, evening, at), ...termsRead(guide, walker, draw, at)];
      const finds = WOOD.includes(evening as never)
        ? woodOf(guide, seed + evening, (second) => at(400 + second), evening === 3 && keeper === 'mirel')
        : [];
      const walked = finds.length > 0;
      const fields: Partial<PracticeFields> = {
        on,
        what: walked ? 'walk' : 'drill',
        answers,
        ...(walked ? { finds } : {}),
      };
      return { id: `demo-practice-${keeper}-${evening}`, kind: 'practice', keeper, shared: 'own', fields };
    }),
  ];
}

type At = (second: number) => string;

const pairsDrilled = ({ drilled }: (typeof WALKERS)[number], evening: number, at: At): PracticeAnswer[] =>
  drilled.map(([target, other, wrongAt], index) => ({
    card: pairCard(target, other),
    at: at(index * 20),
    right: wrongAt !== evening,
    sureness: 'sure',
  }));

/** Each of the terms shown twice; what somebody confuses they read wrong now and then. */
function termsRead(
  guide: CompiledGuide,
  { confuses }: (typeof WALKERS)[number],
  draw: () => number,
  at: At,
): PracticeAnswer[] {
  const knows = (character: string, state: string) =>
    guide.character(character)?.stateBit.has(state) ?? false;
  const sureness = (right: boolean): Sureness => {
    const one = draw();
    return one < (right ? 0.75 : 0.4) ? 'sure' : one < 0.92 ? 'fairly' : 'guess';
  };
  return SHOWN.filter(([character, shown]) => knows(character, shown)).flatMap(([character, shown], index) =>
    Array.from({ length: 2 }, (_, time): PracticeAnswer => {
      const takes = confuses.find(([of, was, read]) => of === character && was === shown && knows(of, read));
      const read = takes && draw() * 10 < takes[3] ? takes[2] : shown;
      return {
        card: termCard(character, shown),
        at: at(100 + index * 20 + time * 10),
        right: read === shown,
        sureness: sureness(read === shown),
        look: { character, shown, read, sureness: sureness(read === shown) } as PracticeAnswer['look'] &
          object,
      };
    }),
  );
}

const lessonOf = (guide: CompiledGuide): DemoPage => ({
  id: 'demo-lesson-gills',
  kind: 'lesson',
  keeper: 'mirel',
  shared: 'with-place',
  fields: {
    title: 'White gills on the meadow',
    note: 'Before anybody goes out for field mushrooms: lift one whole, with its base.',
    pairs: [
      {
        target: 'agaricus-campestris',
        other: 'amanita-virosa',
        note: 'Dig out the base. A bag there ends it, whatever the cap says.',
      },
      { target: 'agaricus-campestris', other: 'amanita-phalloides' },
    ].filter(({ target, other }) => guide.taxon(target) && guide.taxon(other)),
  },
});

/** Three finds of the practice wood, decided with a few looks; once without any. */
function woodOf(
  guide: CompiledGuide,
  seed: number,
  at: (second: number) => string,
  blind: boolean,
): PracticeFind[] {
  return walkOf(guide, { seed, finds: 3, month: 9 }).map((encounter, index): PracticeFind => {
    const { specimen, target } = encounter;
    const rushed = blind && specimen.taxon !== target.id;
    const looks: LookedAt[] = rushed
      ? []
      : seenRightly(
          specimen,
          [...specimen.shows.keys()]
            .filter((character) => specimen.shows.get(character)?.kind === 'states')
            .slice(0, 3),
        );
    const decided: WalkDecision = rushed ? 'collect' : specimen.taxon === target.id ? 'not-yet' : 'leave';
    const { points, risked, open } = scoreOf(guide, { ...encounter, looks, decided });
    return {
      at: at(index * 60),
      target: target.id,
      was: specimen.taxon,
      stage: specimen.stage,
      seed: specimen.seed,
      strain: specimen.strained.length,
      decided,
      points: Math.round(points * 10) / 10,
      risked,
      ...(open === undefined ? {} : { open }),
      looks: looks.flatMap(({ character, value }) =>
        value.kind === 'states' && value.states[0] !== undefined
          ? [{ character, shown: value.states[0], read: value.states[0], sureness: 'sure' as const }]
          : [],
      ),
    };
  });
}
