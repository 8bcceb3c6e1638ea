import type { FindRecord } from '../../src';
import { emptyRecord } from '../../src/notebook/find/kinds';
import { type PracticeFind, historyOf, featureCard, fromFinds, pairCard, isEarned } from '../../src/practice';
import { at, guide, reading, taxon } from '../finds';
import { answered, PAIR } from './kit';

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
describe('what is remembered', () => {
  test('comes of drills and walks in their order, however they are recorded', () => {
    const one = { answers: [answered(PAIR, 0), answered(PAIR, 4)] };
    const two = { answers: [answered(PAIR, 1), answered(PAIR, 15, false)] };
    expect(historyOf(guide, [one, two])).toEqual(historyOf(guide, [two, one]));
    const { memory, last, lastDangerous } = historyOf(guide, [one, two]).cards.get(PAIR)!;
    expect([memory.times, last, lastDangerous]).toEqual([4, answered(PAIR, 15).at, answered(PAIR, 15).at]);
    expect(historyOf(guide, [one, two]).pairs).toEqual([{ card: PAIR, times: 4, wrong: 1 }]);
    expect(historyOf(guide, [{}]).cards.size).toBe(0);
  });

  test('a dangerous collect counts against its pair; luck counts against the pair that was open', () => {
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

  const record = (more: Partial<FindRecord>): FindRecord => ({
    ...emptyRecord({ id: 'find-0001', startedAt: at(0), kingdom: 'Fungi', person: 'ilse' }),
    ...more,
  });

  test('slips in earnest: an own second answer, another’s blind look, strays; nobody else’s slips', () => {
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
