import {
  leftOf,
  takenOf,
  takingProblem,
  madeProblem,
  isImprobablyMade,
  onTheSpotProblem,
  labelLines,
  shortCode,
  batchOfAddress,
  labelAddress,
} from '../../src/pantry';

describe('what is left', () => {
  test('what went into others, was eaten and given is no longer there; without an amount it was all of it', () => {
    const others = [
      { sources: [{ of: 'batch' as const, id: 'b', amount: { amount: 20, unit: 'g' as const } }] },
      {
        sources: [
          { of: 'batch' as const, id: 'b', amount: { amount: 30, unit: 'g' as const } },
          { of: 'batch' as const, id: 'c' },
        ],
      },
    ];
    expect(leftOf({ amount: 80, unit: 'g' }, takenOf('b', others))).toEqual({ amount: 30, unit: 'g' });
    expect(leftOf({ amount: 80, unit: 'g' }, takenOf('c', others))).toEqual({ amount: 0, unit: 'g' });
    expect(leftOf({ amount: 80, unit: 'g' }, [], true)).toEqual({ amount: 0, unit: 'g' });
    expect(leftOf(undefined, [])).toBeUndefined();
  });
  test('more than there is, in another unit, or more than went in, is refused by name', () => {
    const left = { amount: 30, unit: 'g' as const };
    expect(takingProblem('amount', { amount: 31, unit: 'g' }, left)).toEqual({
      field: 'amount',
      reason: 'no more than the 30 grams that are left',
    });
    expect(takingProblem('amount', { amount: 0.5, unit: 'ml' }, left)?.reason).toBe(
      'in grams, as it was put down',
    );
    expect(takingProblem('amount', { amount: 30, unit: 'g' }, left)).toBeUndefined();
    expect(madeProblem('dry', 500, { amount: 600, unit: 'g' })).toEqual({
      field: 'made',
      reason: 'no more than the 500 grams that went in',
    });
    expect(madeProblem('dry', 500, { amount: 60, unit: 'ml' })?.field).toBe('made');
    expect(madeProblem('syrup', 500, { amount: 900, unit: 'ml' })).toBeUndefined();
    // What is improbable is asked back: more than a household makes, or ten times what went in.
    const asked = (
      [
        [600, 'ml', 300],
        [3200, 'ml', 300],
        [3200, 'ml', undefined],
        [60_000, 'ml', undefined],
        [40, 'piece', 300],
        [600, 'piece', 300],
        [900, 'g', 800],
      ] as const
    ).map(([amount, unit, grams]) => isImprobablyMade({ amount, unit }, grams));
    expect(asked).toEqual([false, true, false, true, false, true, false]);
    expect(onTheSpotProblem('Fungi', 'meal', [{ of: 'find', id: 'f' }])?.field).toBe('of');
    expect(onTheSpotProblem('Plantae', 'meal', [{ of: 'find', id: 'f' }])).toBeUndefined();
  });
});

test('a jar says what it is without any phone, and its square leads back to its page', () => {
  const id = '0f7e3c1a-1111-4222-8333-abcdef123456';
  const lines = labelLines({
    id,
    name: 'Chanterelles, dried',
    contents: [{ scientificName: 'Cantharellus cibarius', part: 'whole mushroom' }],
    method: 'dried',
    on: '14 September 2026',
    bestBefore: 'Best before September 2027',
    warnings: ['Cook it before it is eaten.'],
  });
  expect(lines).toEqual([
    'Chanterelles, dried',
    'Cantharellus cibarius, whole mushroom',
    'dried, 14 September 2026',
    'Best before September 2027',
    'Cook it before it is eaten.',
    'EF123456',
  ]);
  expect(shortCode(id)).toBe('EF123456');
  expect(batchOfAddress(labelAddress('http://127.0.0.1:8080', id))).toBe(id);
  for (const elsewhere of ['http://127.0.0.1/find/abc', 'hello', 'http://x/batch/../me'])
    expect(batchOfAddress(elsewhere)).toBeUndefined();
});
