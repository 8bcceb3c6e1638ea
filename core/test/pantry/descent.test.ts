import { parseEntry } from '../../src/notebook';
import { descentOf, descendantOf, ancestorsOf, descendantsOf, wouldCircle } from '../../src/pantry';
import { recall } from '../../src/pantry/recall';
import { AT, harvest, batch, page } from './kit';

const refusedFields = (fields: Record<string, unknown>, kind = 'batch') =>
  Object.entries(fields).flatMap(([field, value]) => {
    const parsed = parseEntry({
      page: 'batch-one',
      kind: 'fields',
      body: { id: 'field-one', at: AT, by: 'mirel', of: kind, field, value },
    });
    return 'problems' in parsed ? parsed.problems.map((one) => one.field) : [];
  });
describe('what comes from what', () => {
  const pages = [
    harvest('harvest-one', 'find-one'),
    harvest('harvest-two', 'find-two'),
    batch('batch-one', [{ of: 'harvest', id: 'harvest-one' }]),
    batch('batch-two', [{ of: 'harvest', id: 'harvest-two' }]),
    batch('batch-mixed', [
      { of: 'batch', id: 'batch-one', amount: { amount: 20, unit: 'g' } },
      { of: 'batch', id: 'batch-two' },
    ]),
    page('meal-one', 'portion', {
      what: 'meal',
      at: AT,
      of: [{ of: 'batch', id: 'batch-mixed', amount: { amount: 10, unit: 'g' } }],
      who: ['Lune'],
    }),
    page('place-one', 'place', { name: 'Heath' }),
  ];
  const descent = descentOf(pages.flatMap((one) => descendantOf(one) ?? []));

  test('a mixed batch keeps all that it comes from, up to every find', () => {
    expect(new Set(ancestorsOf(descent, 'meal-one'))).toEqual(
      new Set([
        'batch-mixed',
        'batch-one',
        'batch-two',
        'harvest-one',
        'harvest-two',
        'find-one',
        'find-two',
      ]),
    );
    expect(descendantsOf(descent, ['find-two'])).toEqual([
      'harvest-two',
      'batch-two',
      'batch-mixed',
      'meal-one',
    ]);
    expect(descent.kinds.get('find-one')).toBe('find');
    expect(descent.kinds.has('place-one')).toBe(false);
  });
  test('nothing comes from itself, by whatever way; and a circle that was recorded all the same ends', () => {
    expect(wouldCircle(descent, 'batch-one', ['batch-one'])).toBe(true);
    expect(wouldCircle(descent, 'batch-one', ['batch-mixed'])).toBe(true);
    expect(wouldCircle(descent, 'batch-mixed', ['batch-one'])).toBe(false);
    const circle = descentOf([
      { id: 'a', kind: 'batch', parents: ['b'] },
      { id: 'b', kind: 'batch', parents: ['a'] },
    ]);
    expect(ancestorsOf(circle, 'a')).toEqual(['b']);
    expect(recall(circle, [{ code: 'stray', of: 'a', grade: 'deadly' }]).map(({ id }) => id)).toEqual([
      'a',
      'b',
    ]);
  });
  test.each([
    [{ made: { amount: -5, unit: 'g' } }, 'body.value.amount'],
    [{ made: { amount: 5, unit: 'litre' } }, 'body.value.unit'],
    [{ figures: { strength: 140 } }, 'body.value.strength'],
    [{ figures: { sugarShare: 1.5 } }, 'body.value.sugarShare'],
    [{ from: [] }, 'body.value'],
    [{ bestBefore: 'soon' }, 'body.value'],
    [{ weighings: [{ at: AT, what: 'all', grams: -3 }] }, 'body.value.0.grams'],
    [{ cooked: { how: 'boil', minutes: -1 } }, 'body.value.minutes'],
    [{ timers: [{ id: 't1', step: 'x', startedAt: AT, minutes: 0 }] }, 'body.value.0.minutes'],
  ])('%j is refused by name', (fields, field) => {
    expect(refusedFields(fields)).toEqual([field]);
  });
});
