/**
 * What is announced is what is asked: walked check by check on a typical specimen of everything that is
 * collected.
 */
import { nextChecks, plan, planAsAsked, type Case, type Reading, type StageId } from '../src';
import { parseCase } from '../src/case/parse';
import { collectable, find, guide, reading } from './finds';

const ways = collectable.flatMap((target) =>
  [...new Set(target.taxon.parts.flatMap(({ stages }) => stages))].map(
    (stage) => [target.id, stage, target] as const,
  ),
);

/** How near somebody has to come: with the eye, with the hand, with a cut, out of the ground, overnight. */
const NEAR = [
  ['look'],
  ['touch', 'rub', 'water', 'measure'],
  ['crush-and-smell', 'snap', 'cut', 'wait'],
  ['dig'],
  ['print'],
];
const nearness = (id: string) =>
  NEAR.findIndex((methods) => methods.includes(guide.character(id)?.character.observe ?? ''));

/** How near one comes for each new look of each way. */
const walked: number[][] = [];

/** What a typical specimen shows. */
function typical(find_: Case, id: string, stage: StageId): Reading['value'] | undefined {
  const character = guide.character(id);
  const known = character && guide.taxon(find_.target)?.atStage.get(character.index)?.get(stage);
  if (!character || !known) return undefined;
  if (known.kind === 'number') {
    const middle = (known.usual[0] + known.usual[1]) / 2;
    return character.character.kind === 'count'
      ? { kind: 'count', number: Math.round(middle) }
      : { kind: 'measure', number: middle, unit: 'mm' };
  }
  const state = [...character.stateBit].find(([, bit]) => (known.typical & bit) !== 0)?.[0];
  return state === undefined ? undefined : { kind: 'states', states: [state as never] };
}

test.each(ways)('%s, %s', (id, stage, target) => {
  const part = target.taxon.parts.find(({ stages }) => stages.includes(stage));
  const bare = find(id, []);
  let now: Case = {
    ...bare,
    context: { ...bare.context, stages: [stage], ...(part ? { part: part.part, use: part.use } : {}) },
  };
  const announced = planAsAsked(guide, now);
  if (!announced.feasible) throw new Error('nothing announced');
  // Leaves of good King Henry alone: a typical one stays at pause, and that is not announced as a way.
  expect([id, stage, announced.walked]).toEqual([
    id,
    stage,
    !(id === 'blitum-bonus-henricus' && stage === 'vegetative'),
  ]);
  if (!announced.walked) return;
  expect(announced.checks.length).toBeGreaterThanOrEqual(7);
  walked.push(announced.checks.filter(({ again }) => !again).map(({ character }) => nearness(character)));
  expect(announced.seconds).toBe(announced.checks.reduce((sum, { seconds }) => sum + seconds, 0));
  for (const [step, { character }] of announced.checks.entries()) {
    expect(nextChecks(guide, now)[0]?.character).toBe(character);
    const value = typical(now, character, stage);
    if (!value) throw new Error(character);
    now = parseCase(
      {
        ...now,
        readings: [
          ...now.readings,
          {
            id: `r${step}`,
            piece: 'p1',
            character,
            value,
            sureness: 'sure',
            by: 'mirel',
            at: new Date(Date.UTC(2026, 8, 15, 8, 0, step)).toISOString(),
          },
        ],
      },
      guide,
    );
    // On the way the rest of it stays what was announced.
    if (step === 3)
      expect(planAsAsked(guide, now)).toMatchObject({
        checks: announced.checks.slice(4).map((one) => ({ character: one.character })),
      });
  }
  expect(nextChecks(guide, now)).toEqual([]);
});

test('a check goes from afar to near: with the eye first, and of two looks the later is seldom the gentler', () => {
  expect(walked.length).toBeGreaterThan(25);
  expect(walked.filter(([first]) => first !== 0)).toEqual([]);
  const pairs = walked.flatMap((way) =>
    way.flatMap((near, at) => way.slice(at + 1).map((later) => later < near)),
  );
  expect(pairs.filter(Boolean).length / pairs.length).toBeLessThan(0.07);
});

test('where nothing can fill everything it says what stands in the way, as the plan does', () => {
  const stuck = find('cantharellus-cibarius', [reading('hymenophore', 'ridges')], {
    context: { stages: ['mature'], gear: [], cannotSmell: true },
  });
  const asked = planAsAsked(guide, stuck);
  const proved = plan(guide, stuck);
  expect(asked.feasible).toBe(proved.feasible);
  if (!proved.feasible) expect(asked).toEqual(proved);
  expect(() => planAsAsked(guide, { ...stuck, target: 'nothing' as never })).toThrow('not in the guide');
});
