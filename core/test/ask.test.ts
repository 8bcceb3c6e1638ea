import { CaseError } from '../src/case/parse';
import { ask, ASKED, QUESTIONS } from '../src/questions';
import { find, followChecks, guide } from './finds';

const fieldsOf = (asked: (typeof ASKED)[number], raw: unknown): string[] => {
  try {
    ask(asked, raw, guide);
  } catch (error) {
    if (error instanceof CaseError) return error.problems.map((p) => p.field);
    throw error;
  }
  return [];
};
const chanterelle = JSON.parse(JSON.stringify(find('cantharellus-cibarius', []))) as Record<string, unknown>;
const { target: _target, ...unnamed } = chanterelle;

test.each([
  ['plan', { find: { ...chanterelle, target: 'nothing' } }, 'find.target'],
  ['plan', { find: chanterelle, hands: { gear: 'knife' } }, 'hands.gear'],
  ['pieces', { find: 7 }, 'find'],
  ['identify', { find: unnamed, earlierFinds: { 'hydnum-repandum': -1 } }, 'earlierFinds.hydnum-repandum'],
  ['identify', { find: { ...unnamed, kingdom: 'Animalia' } }, 'find.kingdom'],
  ['recompute', { find: chanterelle, verdict: {} }, 'verdict'],
  ['next', 'text', 'case'],
] as const)('%s names the field below the member it stands in', (asked, raw, field) => {
  expect(fieldsOf(asked, raw)).toContain(field);
});

test('what is published as a question is what is parsed as one', () => {
  const good = {
    plan: { find: chanterelle },
    pieces: { find: chanterelle, hands: { longest: 60 } },
    identify: { find: unnamed, earlierFinds: {} },
  };
  for (const [asked, raw] of Object.entries(good) as [keyof typeof good, unknown][]) {
    expect(QUESTIONS[asked].schema.safeParse(raw).success).toBe(true);
    expect(fieldsOf(asked, raw)).toEqual([]);
  }
  expect(ASKED).toEqual(Object.keys(QUESTIONS));
});

test('hands keep a plan from what cannot be done', () => {
  const planned = ask(
    'plan',
    {
      find: JSON.parse(JSON.stringify(followChecks('hydnum-repandum'))) as unknown,
      hands: { without: ['latex'] },
    },
    guide,
  );
  expect(planned).toMatchObject({ plan: { feasible: true, checks: [], cost: 0 }, fallbacks: [] });
});
