/**
 * Cards, drills and lessons made of the guide; what is remembered of sittings and of what went wrong in
 * earnest; what it changes, and what never.
 */
import * as fc from 'fast-check';
import { decide, relationOverall, toLook, type FindRecord } from '../src';
import { identify } from '../src/advice/identify';
import { pieceCheck } from '../src/advice/pieces';
import { answerPlate, individualPlate, pathData, taxonPlate } from '../src/drawing';
import {
  CardId as CardIdSchema,
  LearnerFields,
  LessonFields,
  PracticeFields as PracticeSchema,
} from '../src/notebook/page/practice';
import {
  canBeOrdered,
  cardOf,
  cardsOf,
  drawnPartings,
  drillFor,
  featureCard,
  historyOf,
  individualOf,
  fromFinds,
  isEarned,
  lessonFile,
  met,
  pairCard,
  pairsOf,
  sitting,
  specimenOf,
  stagesApart,
  stagesCard,
  termCard,
  unseen,
  walkOf,
  type CardId,
  type Drill,
  type Memory,
  type Pictures,
  type PracticeFields,
  type PracticeFind,
} from '../src/practice';
import { readLesson } from '../src/practice/readLesson';
import { at, collectable, followChecks, guide, reading, taxon } from './finds';

const known = new Map<string, boolean>();
const wholes = new Map<string, string>();
const pictures: Pictures = {
  state: (character, state) => {
    if (guide.character(character)?.character.kind === 'colour') return true;
    const name = `${character} ${state}`;
    if (!known.has(name)) known.set(name, answerPlate(character, state) !== undefined);
    return known.get(name)!;
  },
  whole: (one, stage) => {
    const name = `${one.id} ${stage}`;
    if (!wholes.has(name)) wholes.set(name, taxonPlate(guide, one, stage).marks.map(pathData).join(' '));
    return wholes.get(name)!;
  },
};
const cards = cardsOf(guide, collectable, pictures);

describe('cards', () => {
  test('are of every pair with a listed lookalike, of what parts them, of terms, and of stages that look unlike', () => {
    const ids = new Set(cards.map(({ id }) => id));
    expect(ids.size).toBe(cards.length);
    for (const target of collectable)
      for (const other of target.taxon.lookalikes) expect(ids.has(pairCard(target.id, other))).toBe(true);
    for (const { id, grade } of cards) {
      expect(CardIdSchema.parse(id)).toBe(id);
      const card = cardOf(id)!;
      if (card.kind === 'pair') expect(grade).toBe(guide.taxon(card.other)?.grade);
      if (card.kind === 'stages')
        expect(
          new Set(
            stagesApart(taxon(card.taxon), pictures).map((stage) => pictures.whole(taxon(card.taxon), stage)),
          ).size,
        ).toBeGreaterThanOrEqual(3);
    }
    expect([cardOf('pair:a'), cardOf('nothing:a'), cardOf('term:a')]).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
    expect(cardOf(stagesCard('macrolepiota-procera'))).toEqual({
      kind: 'stages',
      taxon: 'macrolepiota-procera',
    });
  });

  test('stages that are drawn alike are asked for only once', () => {
    const alike: Pictures = { ...pictures, whole: () => 'the same' };
    expect(stagesApart(taxon('macrolepiota-procera'), alike)).toHaveLength(1);
    expect(canBeOrdered(stagesApart(taxon('macrolepiota-procera'), alike))).toBe(false);
    expect(drillFor(guide, stagesCard('macrolepiota-procera'), 1, alike)).toBeUndefined();
  });

  test('a sitting takes what is due first, then a few new ones, no more than fit', () => {
    const now = new Date('2026-09-14T08:00:00.000Z');
    const seen = (days: number): Memory =>
      met(
        unseen(new Date(now.getTime() - days * 86_400_000)),
        { kind: 'drill', right: true, sure: true },
        new Date(now.getTime() - days * 86_400_000),
      );
    const some = (['feature:a', 'feature:b', 'feature:c', 'feature:d', 'feature:e'] as CardId[]).map(
      (id) => ({ id, grade: 'none' as const }),
    );
    const ask = (more: Partial<Parameters<typeof sitting>[0]>) =>
      sitting({
        cards: some,
        memories: new Map([
          ['feature:b', seen(30)],
          ['feature:c', seen(0)],
        ]),
        soon: () => 0,
        now,
        most: 9,
        fresh: 2,
        ...more,
      });
    expect(ask({})).toEqual(['feature:b', 'feature:a', 'feature:d']);
    expect(ask({ soon: (id) => (id === 'feature:e' ? 1 : 0) })).toEqual([
      'feature:b',
      'feature:e',
      'feature:a',
    ]);
    expect(ask({ most: 1 })).toEqual(['feature:b']);
    expect(ask({ fresh: 0 })).toEqual(['feature:b']);
    // Minutes that are left go to what harms and fades first, never to what was looked at today.
    const harm = some.map(({ id }) => ({ id, grade: 'deadly' as const }));
    const well = (days: number): Memory =>
      [60, 55, 40, days].reduce(
        (memory, ago) =>
          met(memory, { kind: 'drill', right: true, sure: true }, new Date(now.getTime() - ago * 86_400_000)),
        unseen(now),
      );
    const memories = new Map([
      ['feature:b', well(0)],
      ['feature:c', well(1)],
      ['feature:d', well(2)],
    ]);
    expect(ask({ cards: harm, memories, fresh: 0 })).toEqual(['feature:d', 'feature:c']);
    expect(ask({ memories, fresh: 0 })).toEqual([]);
  });
});

describe('drills', () => {
  const all = cards.flatMap(({ id }) =>
    Array.from({ length: 7 }, (_, seed) => drillFor(guide, id, seed, pictures)),
  );

  test('there is one for every card, the same for the same seed, and of every kind', () => {
    expect(all.filter((one) => one === undefined)).toEqual([]);
    expect([...new Set(all.map((one) => one!.kind))].sort()).toEqual([
      'basket',
      'colours',
      'differs',
      'draw',
      'drawing',
      'measure',
      'stages',
      'which',
      'word',
    ]);
    const { id } = cards[0]!;
    expect(JSON.stringify(drillFor(guide, id, 5, pictures))).toBe(
      JSON.stringify(drillFor(guide, id, 5, pictures)),
    );
    expect(drillFor(guide, 'pair:no-such:taxon', 1, pictures)).toBeUndefined();
    expect(drillFor(guide, 'feature:no.such', 1, pictures)).toBeUndefined();
  });

  const of = <K extends Drill['kind']>(kind: K) =>
    all.filter((one) => one?.kind === kind) as (Drill & { readonly kind: K })[];
  test('what is right can be chosen, once, and what is shown can be drawn', () => {
    for (const one of [...of('word'), ...of('drawing')]) {
      expect(one.options.filter((option) => option === one.shown)).toHaveLength(1);
      expect(new Set(one.options).size).toBe(one.options.length);
      expect(one.options.every((option) => pictures.state(one.character, option))).toBe(true);
    }
    for (const one of of('measure')) {
      expect(one.options.filter((option) => option === one.right)).toHaveLength(1);
      // Steps so far apart that the scale below it tells them.
      for (const option of one.options)
        if (option !== one.right) expect(Math.abs(Math.log(option / one.right))).toBeGreaterThan(0.3);
      expect(
        individualPlate(individualOf(one.specimen), taxon(one.specimen.taxon).taxon.kingdom).scale,
      ).toBeDefined();
    }
    for (const one of of('draw')) expect(guide.character(one.character)?.character.kind).toBe('states');
  });

  test('of a pair: what is right parts them, the others do not; every other individual shows what rules it out', () => {
    for (const one of of('differs')) {
      const parts = (character: string) =>
        drawnPartings(guide, one.target, one.other, [one.stage], pictures.state).some(
          (parting) => parting.character === character,
        );
      expect(one.options.filter(parts)).toEqual([one.right]);
    }
    for (const one of [...of('which'), ...of('basket')]) {
      const others = one.specimens.filter((specimen) => specimen.taxon === one.other.id);
      if (one.kind === 'which') {
        expect(others.length).toBeGreaterThan(0);
        expect(others.length).toBeLessThan(one.specimens.length);
      }
      for (const specimen of one.specimens) {
        for (const character of one.shownBy) {
          const look = toLook(guide, reading(character, specimen.shows.get(character)!) as never);
          const stray = specimen.taxon === one.other.id;
          // As is usual for the one is a ground against the other.
          if (!stray) expect(relationOverall(look!, one.other)).toBe('against');
        }
      }
    }
    for (const one of of('colours'))
      expect(
        one.states.some((state) =>
          drawnStates(one.of === 'target' ? one.other : one.target, one.character).includes(state),
        ),
      ).toBe(false);
    for (const one of of('stages')) {
      expect([...one.shuffled].sort()).toEqual([...stagesApart(one.taxon, pictures)].sort());
      expect(one.shuffled).not.toEqual(stagesApart(one.taxon, pictures));
    }
  });
  function drawnStates(one: ReturnType<typeof taxon>, character: string): string[] {
    const said = one.taxon.statements.filter((statement) => statement.character === character);
    return said.length === 1 && 'usual' in said[0]! && said[0].stages === undefined ? said[0].usual : [];
  }
});

describe('walks', () => {
  test('are the same for a seed, meet what is about in the month, and lookalikes at the same stage', () => {
    const names = (seed: number) =>
      walkOf(guide, { seed, finds: 5, month: 9 }).map(({ target, specimen }) => [
        target.id,
        specimen.taxon,
        specimen.stage,
        specimen.seed,
      ]);
    expect(names(4)).toEqual(names(4));
    expect(names(4)).not.toEqual(names(5));
    let [same, all] = [0, 0];
    for (let seed = 0; seed < 60; seed += 1) {
      for (const { target, specimen } of walkOf(guide, { seed, finds: 5, month: 9 })) {
        all += 1;
        same += Number(specimen.taxon === target.id);
        expect(specimen.taxon === target.id || target.taxon.lookalikes.includes(specimen.taxon)).toBe(true);
        expect(target.taxon.nearDoubles ?? []).toEqual([]);
      }
    }
    expect(same / all).toBeGreaterThan(0.4);
    expect(same / all).toBeLessThan(0.7);
    const only = walkOf(guide, { seed: 1, finds: 4, among: new Set(['boletus-edulis']) });
    expect(only.every(({ target }) => target.id === 'boletus-edulis')).toBe(true);
    expect(walkOf(guide, { seed: 1, finds: 4, among: new Set() })).toEqual([]);
    const liked = Array.from({ length: 30 }, (_, seed) =>
      walkOf(guide, { seed, finds: 3, rather: new Set(['boletus-edulis']) }),
    )
      .flat()
      .filter(({ target }) => target.id === 'boletus-edulis').length;
    expect(liked).toBeGreaterThan(15);
  });

  test('a specimen is drawn as it shows', () => {
    const specimen = specimenOf(guide, {
      taxon: taxon('amanita-virosa'),
      stage: taxon('amanita-virosa').taxon.stages.at(-1)!,
      seed: 3,
    });
    const plate = individualPlate(individualOf(specimen), 'Fungi');
    expect(plate.parts.some(({ of }) => of.includes('volva'))).toBe(true);
    expect(individualOf(specimen).state('volva')).toBe(
      (specimen.shows.get('volva' as never) as { states: string[] }).states[0],
    );
  });
});

const found = (more: Partial<PracticeFind>): PracticeFind =>
  ({
    at: at(0),
    target: 'agaricus-campestris',
    was: 'amanita-virosa',
    stage: 'mature',
    seed: 1,
    strain: 0,
    decided: 'leave',
    points: 6,
    risked: 'none',
    looks: [],
    ...more,
  }) as PracticeFind;
const answered = (
  card: CardId,
  day: number,
  right = true,
): NonNullable<PracticeFields['answers']>[number] => ({
  card,
  at: new Date(Date.UTC(2026, 3, 1) + day * 86_400_000).toISOString(),
  right,
  sureness: 'sure',
});
const PAIR = pairCard('agaricus-campestris', 'amanita-virosa');

describe('what is remembered', () => {
  test('comes of drills and walks in their order, however they are told', () => {
    const one = { answers: [answered(PAIR, 0), answered(PAIR, 4)] };
    const two = { answers: [answered(PAIR, 1), answered(PAIR, 15, false)] };
    expect(historyOf(guide, [one, two])).toEqual(historyOf(guide, [two, one]));
    const { memory, last, lastDangerous } = historyOf(guide, [one, two]).cards.get(PAIR)!;
    expect([memory.times, last, lastDangerous]).toEqual([4, answered(PAIR, 15).at, answered(PAIR, 15).at]);
    expect(historyOf(guide, [one, two]).pairs).toEqual([{ card: PAIR, times: 4, wrong: 1 }]);
    expect(historyOf(guide, [{}]).cards.size).toBe(0);
  });

  test('a dangerous one collected is remembered against its pair; what was right by luck, against the one that was open', () => {
    const collected = historyOf(guide, [
      { finds: [found({ decided: 'collect', risked: 'deadly', points: -100 })] },
    ]);
    expect(collected.cards.get(PAIR)).toMatchObject({ lastDangerous: at(0) });
    expect(collected.taken).toEqual([
      { was: 'amanita-virosa', as: 'agaricus-campestris', grade: 'deadly', times: 1 },
    ]);
    const lucky = historyOf(guide, [
      {
        finds: [
          found({
            was: 'agaricus-campestris' as never,
            decided: 'collect',
            risked: 'deadly',
            open: 'amanita-virosa' as never,
          }),
        ],
      },
    ]);
    expect(lucky.cards.get(PAIR)).toMatchObject({ lastDangerous: at(0) });
    expect(lucky.taken).toEqual([]);
    expect(historyOf(guide, [{ finds: [found({})] }]).cards.get(PAIR)?.lastDangerous).toBeUndefined();
    const read = historyOf(guide, [
      {
        finds: [
          found({ looks: [{ character: 'volva', shown: 'sac', read: 'none', sureness: 'sure' }] as never }),
        ],
      },
    ]);
    expect(read.reads).toHaveLength(1);
    expect(read.cards.get(featureCard('volva'))?.memory.times).toBe(1);
  });

  const record = (more: Partial<FindRecord>): FindRecord =>
    ({
      id: 'f',
      startedAt: at(0),
      kingdom: 'Fungi',
      person: 'ilse',
      pieces: [],
      targets: [],
      readings: [],
      withdrawals: [],
      skips: [],
      verdicts: [],
      consents: [],
      decisions: [],
      asks: [],
      reveals: [],
      edits: [],
      told: [],
      pictures: [],
      counts: [],
      drops: [],
      context: {},
      ...more,
    }) as unknown as FindRecord;
  test('what was superseded in earnest: one’s own second answer, another’s blind look, strays that were let through; nobody else’s slips', () => {
    const own = record({
      readings: [
        reading('volva', 'none', { by: 'ilse', minute: 1 }),
        reading('volva', 'sac', { by: 'ilse', minute: 2 }),
      ] as never,
    });
    const blind = record({
      readings: [
        reading('cap.shape', 'flat', { by: 'ilse', minute: 1 }),
        { ...reading('cap.shape', 'convex', { by: 'tam', minute: 3 }), blind: true },
      ] as never,
    });
    const others = record({
      readings: [
        reading('veil', 'none', { by: 'tam', minute: 1 }),
        reading('veil', 'hanging', { by: 'tam', minute: 2 }),
      ] as never,
    });
    const agreeing = record({
      readings: [
        reading('gills', 'x', { by: 'ilse' }),
        { ...reading('gills', 'x', { by: 'tam' }), blind: true },
      ] as never,
    });
    const strays = [{ at: at(9), taxon: 'agaricus-campestris', grades: ['deadly'] as const }];
    const all = fromFinds(guide, [own, blind, others, agreeing], strays, 'ilse');
    const deadly = taxon('agaricus-campestris').taxon.lookalikes.filter(
      (other) => taxon(other).grade === 'deadly',
    );
    expect(deadly.length).toBeGreaterThan(2);
    expect(all.map(({ card, kind }) => `${card} ${kind}`).sort()).toEqual(
      [
        `${featureCard('cap.shape')} field-wrong`,
        `${featureCard('volva')} field-wrong`,
        ...deadly.map((other) => `${pairCard('agaricus-campestris', other)} stray-through`),
      ].sort(),
    );
    const { cards: after } = historyOf(
      guide,
      [{ answers: [0, 1, 4, 12, 35, 80].map((day) => answered(PAIR, day)) }],
      all,
    );
    const calm = historyOf(guide, [
      { answers: [0, 1, 4, 12, 35, 80].map((day) => answered(PAIR, day)) },
    ]).cards.get(PAIR)!;
    const now = new Date(Date.parse(at(9)) + 3_600_000);
    expect(isEarned(calm.memory, calm.lastDangerous, new Date(answered(PAIR, 82).at))).toBe(true);
    expect(after.get(PAIR)!.lastDangerous).toBe(at(9));
    expect(isEarned(after.get(PAIR)!.memory, after.get(PAIR)!.lastDangerous, now)).toBe(false);
  });

  test('a guide that does not know a taxon any more loses nothing of what was practised', () => {
    const card = pairCard('no-such-one', 'amanita-virosa');
    expect(
      historyOf(guide, [
        {
          answers: [answered(card, 0)],
          finds: [found({ was: 'gone-from-it' as never, decided: 'collect' })],
        },
      ]).cards.get(card)?.memory.times,
    ).toBe(1);
  });
});

describe('own misread rates', () => {
  const follow = followChecks('cantharellus-cibarius');
  const some = { ...follow, readings: follow.readings.slice(0, 4) };
  const { target: _, ...unnamed } = some;
  const always = new Map<string, number>(guide.characters.map(({ id }) => [id, 0.4]));

  test('order what a find may be, and never decide', () => {
    const [usual, own] = [identify(guide, unnamed, {}), identify(guide, unnamed, { misread: always })];
    expect(own.candidates[0]!.probability).toBeLessThan(usual.candidates[0]!.probability);
    expect(own.candidates.map(({ taxon: id }) => id).sort()).toEqual(
      usual.candidates.map(({ taxon: id }) => id).sort(),
    );
    expect(identify(guide, unnamed as never, { misread: new Map() })).toEqual(usual);
    expect(own.candidates.reduce((sum, { probability }) => sum + probability, own.none)).toBeCloseTo(1, 9);
  });

  test('change the chance that a stray slips through the piece check, and never which checks are needed', () => {
    const [usual, own] = [pieceCheck(guide, follow), pieceCheck(guide, follow, {}, always)];
    if (!usual.feasible || !own.feasible) throw new Error('no piece check');
    expect(own.checks.map(({ character }) => character).sort()).toEqual(
      usual.checks.map(({ character }) => character).sort(),
    );
    expect(own.slips.at(-1)!.share).toBeGreaterThan(usual.slips.at(-1)!.share);
  });
});

describe('earned pairs as a group’s rule', () => {
  const find = followChecks('cantharellus-cibarius');
  const deadly = decide(guide, find)
    .rows.filter((row) => row.listed && row.grade === 'deadly')
    .map(({ taxon: id }) => id);
  const under = (earned: string[] | undefined, practised: object[]) =>
    decide(guide, {
      ...find,
      ...(earned ? { policy: { earned } } : {}),
      context: { ...find.context, practised },
    } as never);

  test('only makes it stricter: asked for, it pauses until every such pair is earned; not asked for, practice changes nothing', () => {
    expect(under(undefined, []).outcome).toBe('collect');
    expect(deadly.length).toBeGreaterThan(0);
    expect(under(['deadly'], [])).toMatchObject({ outcome: 'pause' });
    expect(under(['deadly'], []).reasons).toContainEqual({
      weight: 'pause',
      code: 'not-earned',
      taxa: deadly,
    });
    expect(
      under(
        ['deadly'],
        deadly.map((id) => ({ taxon: id, earned: true, last: '2026-09-01' })),
      ).outcome,
    ).toBe('collect');
    expect(
      under(
        ['deadly'],
        deadly.slice(1).map((id) => ({ taxon: id, earned: true })),
      ).reasons,
    ).toContainEqual({ weight: 'pause', code: 'not-earned', taxa: [deadly[0]] });
    expect(
      under(
        ['deadly'],
        deadly.map((id) => ({ taxon: id, earned: false })),
      ).outcome,
    ).toBe('pause');
    // However well it is known, it fills no bar.
    fc.assert(
      fc.property(fc.integer({ min: 0, max: find.readings.length }), (few) => {
        const less = { ...find, readings: find.readings.slice(0, few) };
        const [bare, practised] = [
          decide(guide, less),
          decide(guide, {
            ...less,
            context: { ...less.context, practised: deadly.map((id) => ({ taxon: id, earned: true })) },
          }),
        ];
        expect(practised).toEqual(bare);
      }),
    );
  });
});

describe('lessons', () => {
  const fields = {
    title: 'White gills',
    note: 'Dig it out.',
    pairs: [{ target: 'agaricus-campestris', other: 'amanita-virosa', note: 'The base.' }],
  } as never;

  test('go out as open JSON and come back as they were', () => {
    const text = JSON.stringify(lessonFile(guide, fields));
    expect(readLesson(text)).toEqual({
      file: {
        format: 'pause-lesson',
        version: 1,
        guide: { id: guide.guide.id, version: guide.version },
        lesson: fields,
      },
    });
  });

  test.each([
    ['no JSON', '{', 'file'],
    ['another format', JSON.stringify({ format: 'cards', version: 1 }), 'format'],
    ['a later version', JSON.stringify({ ...lessonFile(guide, fields), version: 2 }), 'version'],
    [
      'a pair without its other',
      JSON.stringify({ ...lessonFile(guide, fields), lesson: { title: 'A', pairs: [{ target: 'a-b' }] } }),
      'lesson.pairs[0].other',
    ],
    [
      'no name',
      JSON.stringify({ ...lessonFile(guide, fields), lesson: { title: ' ', pairs: [] } }),
      'lesson.title',
    ],
    [
      'a picture that is none',
      JSON.stringify({
        ...lessonFile(guide, fields),
        lesson: { title: 'A', pairs: [], photos: [{ taxon: 'a-b', image: 'http://x' }] },
      }),
      'lesson.photos[0].image',
    ],
  ])('%s is refused by the name of the field', (_name, text, field) => {
    const read = readLesson(text);
    expect('problems' in read && read.problems.map((one) => one.field)).toContain(field);
  });

  test('taxa that this guide does not have stay in it, and are named and passed over', () => {
    const told = {
      ...(fields as object),
      pairs: [
        ...(fields as { pairs: object[] }).pairs,
        { target: 'agaricus-campestris', other: 'amanita-nowhere' },
        { target: 'boletus-edulis', other: 'boletus-edulis' },
      ],
    };
    expect(readLesson(JSON.stringify({ ...lessonFile(guide, told as never) }))).toHaveProperty(
      'file.lesson.pairs.length',
      3,
    );
    const { known: pairs, unknown } = pairsOf(guide, told as never);
    expect(pairs.map(({ target, other }) => [target.id, other.id])).toEqual([
      ['agaricus-campestris', 'amanita-virosa'],
    ]);
    expect(unknown).toEqual(['amanita-nowhere']);
  });

  test('what is told of practice is checked by name', () => {
    const wrong = (
      schema: {
        safeParse: (value: unknown) => { success: boolean; error?: { issues: { path: PropertyKey[] }[] } };
      },
      value: unknown,
    ) => schema.safeParse(value).error?.issues[0]?.path.join('.');
    expect(wrong(LearnerFields.partial() as never, { minutes: 0 })).toBe('minutes');
    expect(wrong(LearnerFields.partial() as never, { minutes: 2.5 })).toBe('minutes');
    expect(
      wrong(PracticeSchema.partial() as never, { answers: [{ ...answered(PAIR, 0), card: 'nonsense' }] }),
    ).toBe('answers.0.card');
    expect(wrong(PracticeSchema.partial() as never, { on: '14 September' })).toBe('on');
    expect(
      wrong(LessonFields.partial() as never, {
        pairs: Array.from({ length: 41 }, () => ({ target: 'a-b', other: 'c-d' })),
      }),
    ).toBe('pairs');
    expect(termCard('cap.shape', 'flat')).toBe('term:cap.shape:flat');
  });
});
