/** Marks on the map, and the words for places and days. */
import './guide';
import * as fc from 'fast-check';
import type { PageRecord, Sighting } from '@pause/core';
import { dayOf } from '@pause/core/lib/day';
import { metresBetween } from '@pause/core/notebook/page/shape';
import { guide } from '../src/deciding/guide';
import { lookAgain, lookAhead, stopLooking, takeGuide, type LookAgain } from '../src/deciding/season/look';
import { spread } from '../src/screens/places/spread';
import { warningsOf } from '../src/screens/places/Warned';
import { simulatedWalker } from '../src/screens/places/whereIStand';
import { kitReason } from '../src/text/kit';
import { mayWords, pickingWords, siteWords, whyWords } from '../src/text/places';

/** Ten marks that block each other where each pushes only its neighbours. */
const IN_A_CORNER: [number, number][] = [
  [23, 58],
  [4, 0],
  [39, 52],
  [32, 39],
  [3, 35],
  [36, 30],
  [56, 14],
  [12, 27],
  [10, 2],
  [27, 57],
];

test('marks are pushed apart until each can be tapped, no further than needed, and stay on the sheet', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 0, max: 350 }), fc.integer({ min: 0, max: 300 })), {
        maxLength: 10,
      }),
      (marks) => {
        const moved = spread(marks, 48, [350, 300]);
        for (const [index, [x, y]] of moved.entries()) {
          expect(x).toBeGreaterThanOrEqual(24);
          expect(x).toBeLessThanOrEqual(326);
          expect(y).toBeGreaterThanOrEqual(24);
          expect(y).toBeLessThanOrEqual(276);
          for (const [otherX, otherY] of moved.slice(index + 1))
            expect(Math.max(Math.abs(x - otherX), Math.abs(y - otherY))).toBeGreaterThanOrEqual(47.5);
        }
      },
    ),
    { numRuns: 300, examples: [[IN_A_CORNER]] },
  );
  expect(
    spread(
      [
        [100, 100],
        [250, 200],
      ],
      48,
      [350, 300],
    ),
  ).toEqual([
    [100, 100],
    [250, 200],
  ]);
});

test('whether one may pick, in two words', () => {
  const may = (picking: unknown) => mayWords({ picking } as never, '2026-09-14');
  expect(
    [
      undefined,
      { may: 'yes' },
      { may: 'no' },
      { may: 'ask' },
      { may: 'permit' },
      { may: 'permit', permitUntil: '2026-09-14' },
      { may: 'permit', permitUntil: '2026-09-13' },
    ].map(may),
  ).toEqual(['Ask first', 'Yes', 'No', 'Ask first', 'Needs a permit', 'With a permit', 'Permit ended']);
});

test('where, why and what may be, as people say it', () => {
  expect(siteWords({ elevation: 1480, aspect: 'n', shade: 'open' })).toBe('1,480\u00A0m · north slope');
  expect(siteWords({})).toBe('');
  const warmer = { elevation: 2, aspect: 0.8, shade: -0.3 };
  expect(whyWords({ place: -10, records: 1, year: 4, metres: -300, warmer })).toBe(
    '10 days earlier than on open ground in the valley: 300\u00A0m lower, faces the sun, shaded; this year ' +
      '4 days late.',
  );
  expect(whyWords({ place: 1, records: -2, year: 0, metres: 20, warmer })).toBe('');
  expect(pickingWords({ code: 'permit-ended', on: '2026-08-31' })).toMatch(/^The permit ended on .*2026\.$/);
  expect(
    pickingWords({
      code: 'allowance',
      allowance: { part: 'fruiting-body', may: 'yes', perDay: { amount: 1, unit: 'litre' } },
    }),
  ).toBe('Fruiting body: yes, up to 1\u00A0litre a day.');
  expect(kitReason({ code: 'checks', taxa: ['boletus-edulis'] })).toBe('for checking penny bun');
});

test('the demo’s simulated walker walks, within the valley and at a walker’s pace', () => {
  for (let minute = 0; minute < 300; minute += 1) {
    const [a, b] = [minute, minute + 1].map((at) => simulatedWalker(at * 60_000));
    expect(a![0]).toBeGreaterThan(12.13);
    expect(a![0]).toBeLessThan(12.27);
    expect(a![1]).toBeGreaterThan(46.47);
    expect(a![1]).toBeLessThan(46.56);
    // But for once an hour and a half, when it begins anew.
    if (minute % 90 !== 89) expect(metresBetween(a!, b!)).toBeLessThan(200);
  }
});

describe('looking ahead', () => {
  const heath = {
    id: 'heath',
    site: { elevation: 1480, aspect: 'n' as const },
    sightings: [
      {
        taxon: 'vaccinium-myrtillus' as never,
        what: 'seen' as const,
        stages: ['fruiting' as never],
        on: '2025-08-23',
      },
    ],
  };

  test('is the same each time it is asked, says that its weather is made up, and explains itself', async () => {
    takeGuide({ raw: guide.guide });
    const question = { places: [heath], today: dayOf('2026-06-10') };
    const shares: number[] = [];
    const looked = await lookAhead(question, (share) => shares.push(share));
    expect(looked).toEqual(await lookAhead(question));
    expect(looked).toMatchObject({
      simulated: true,
      list: [{ taxon: 'vaccinium-myrtillus', place: 'heath', when: 'later' }],
    });
    expect(looked.list[0]!.why!.place).toBeGreaterThan(14);
  });

  test('tells how far it is, and stopped shows what it found by then', async () => {
    takeGuide({ raw: guide.guide });
    const places = Array.from({ length: 12 }, (_, index) => ({ ...heath, id: `heath-${index}` }));
    const question = { places, today: dayOf('2026-06-10') };
    // As if each place took a third of a second.
    let clock = 0;
    const time = jest.spyOn(Date, 'now').mockImplementation(() => (clock += 300));
    const shares: number[] = [];
    const stopped = await lookAhead(question, (share) => {
      shares.push(share);
      if (share >= 0.25) stopLooking();
    });
    time.mockRestore();
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    expect(stopped.stoppedAt).toBeCloseTo(0.25);
    expect(stopped.list.map(({ place }) => place)).toEqual(['heath-0', 'heath-1', 'heath-2']);
    // What is asked afterwards is looked at whole.
    const whole = await lookAhead(question);
    expect(whole.stoppedAt).toBeUndefined();
    expect(whole.list).toHaveLength(12);
  });

  test('plans each walk by itself', () => {
    takeGuide({ raw: guide.guide });
    const low = { ...heath, id: 'low', site: { elevation: 500, aspect: 's' as const } };
    const question = { places: [heath, low], today: dayOf('2026-06-10') };
    const [one, other] = lookAgain(question, [['heath'], ['low']], 0.1);
    expect(one).toEqual(lookAgain(question, [['heath']], 0.1)[0]);
    expect(other!.days[0]).toBeLessThan(one!.days[0]!);
  });

  test('plans walks for what ripens, fewer where more may be missed', () => {
    takeGuide({ raw: guide.guide });
    const question = { places: [heath], today: dayOf('2026-06-10') };
    const [careful, easy] = [0.02, 0.4].map((risk) => lookAgain(question, [['heath']], risk)[0]!) as [
      LookAgain,
      LookAgain,
    ];
    expect(careful.missed).toMatchObject([{ taxon: 'vaccinium-myrtillus', place: 'heath' }]);
    expect(careful.missed[0]!.chance).toBeLessThanOrEqual(0.02);
    expect(easy.days.length).toBeLessThanOrEqual(careful.days.length);
    expect(careful.days.every((day) => day > question.today)).toBe(true);
    expect(lookAgain(question, [['nowhere']], 0.1)).toEqual([{ days: [], missed: [] }]);
  });
});

describe('what a group is told of dangerous ones', () => {
  const sighting = (id: string, by: string, at: string, more: object = {}) =>
    ({
      id,
      by,
      at,
      on: at.slice(0, 10),
      what: 'suspected',
      taxon: 'atropa-bella-donna',
      ...more,
    }) as unknown as Sighting;
  const page = (sightings: Sighting[], more: object = {}) =>
    ({
      id: 'page-spring',
      kind: 'place',
      group: 'demo-group',
      startedAt: '2026-01-01T00:00:00.000Z',
      changes: [],
      sightings,
      ...more,
    }) as unknown as PageRecord;
  const now = new Date('2026-09-14T09:00:00.000Z');
  const warned = (sightings: Sighting[], read: string[] = [], more: object = {}) =>
    warningsOf([page(sightings, more)], 'mirel', now, read, guide).map(({ sighting }) => sighting.id);

  test('is the last word of somebody else, of the last fortnight, until it is read or taken back', () => {
    const [old, early, late] = [
      sighting('old', 'tarn', '2026-08-30T09:00:00.000Z'),
      sighting('early', 'tarn', '2026-09-08T09:00:00.000Z'),
      sighting('late', 'oda', '2026-09-12T09:00:00.000Z', { what: 'seen' }),
    ];
    expect(warned([early, late])).toEqual(['late']);
    expect(warned([old])).toEqual([]);
    expect(warned([sighting('own', 'mirel', '2026-09-12T09:00:00.000Z')])).toEqual([]);
    expect(warned([early, late], ['late'])).toEqual([]);
    expect(warned([early, sighting('gone', 'oda', '2026-09-13T09:00:00.000Z', { what: 'nothing' })])).toEqual(
      [],
    );
    expect(
      warned([sighting('harmless', 'tarn', '2026-09-12T09:00:00.000Z', { taxon: 'vaccinium-myrtillus' })]),
    ).toEqual([]);
    expect(warned([early], [], { group: undefined })).toEqual([]);
  });
});
