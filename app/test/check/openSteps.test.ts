import '../guide';
import type { Case } from '@pause/core';
import { evaluate } from '../../src/deciding/evaluate';
import { openSteps } from '../../src/screens/check/verdict/openSteps';
import { find } from './kit';

const stepsOf = (one: Case, eatersOpen = false) => {
  const { verdict, plan, checks } = evaluate(one);
  return { steps: openSteps('f1', verdict, plan, eatersOpen), plan, checks };
};

test('what is open is listed in the order in which it can be closed: stage, looks, place and plant, eaters', () => {
  const { steps, plan } = stepsOf(find, true);
  const kinds = steps.map(({ to }) => (typeof to === 'object' ? to.pathname : to));
  expect(steps[0]?.label).toBe('The growth stage has not been recorded.');
  const looks = plan.feasible ? plan.checks.length : 0;
  expect(looks).toBeGreaterThan(5);
  expect(kinds).toEqual([
    '/find/[id]/around',
    ...Array.from({ length: looks }, () => '/find/[id]/check'),
    // Condition, part, use, permission, what spoils the place, the law; then who will eat it.
    ...Array.from({ length: 7 }, () => '/find/[id]/around'),
  ]);
  expect(steps.at(-1)?.key).toBe('eaters');
});

test('the first look in the list is the one that is asked, and its line leads to that very question', () => {
  const { steps, checks } = stepsOf({ ...find, context: { stages: ['mature' as never] } });
  expect(steps[0]?.to).toEqual({
    pathname: '/find/[id]/check',
    params: { id: 'f1', ask: checks[0]?.character },
  });
});

test('a name that stays open, and a second look that a group asks for, come last', () => {
  const { steps } = stepsOf({
    ...find,
    context: { stages: ['mature' as never], openName: { kind: 'genus', name: 'Cantharellus' } },
    policy: { secondLookWhenUnreviewed: true },
  });
  expect(steps.slice(-1).map(({ key }) => key)).toEqual(['name']);
});
