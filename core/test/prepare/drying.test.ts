import { dryingOf, conditioned, CONDITIONING_DAYS, timerAt } from '../../src/harvest/preparing';

describe('drying', () => {
  const curve = (rate: number, left: number, start: number) => (hours: number) =>
    start * (left + (1 - left) * Math.exp(-rate * hours));
  const dryAt = (rate: number, left: number) => Math.log((1 - left) / (0.05 * left)) / rate;
  /** Numbers that look drawn, the same ones each time. */
  const dice = (seed: number) => () => {
    seed = (seed * 1664525 + 1013904223) % 4294967296;
    return (seed + 0.5) / 4294967296;
  };
  const normal = (roll: () => number) => Math.sqrt(-2 * Math.log(roll())) * Math.cos(2 * Math.PI * roll());

  test('in eight of ten made-up layers, weighed with errors, it is dry within what was foretold', () => {
    const roll = dice(7);
    let [inside, all] = [0, 0];
    for (let run = 0; run < 150; run += 1) {
      const [rate, left, start] = [
        0.02 + 0.15 * roll(),
        0.15 * Math.exp(0.3 * normal(roll)),
        200 + 600 * roll(),
      ];
      const at = curve(rate, left, start);
      const weighings = [0, 8, 20, 32].map((hours) => ({
        hours,
        grams: Math.max(1, Math.round(at(hours) + 0.01 * start * normal(roll))),
      }));
      const {
        dryAt: { low, mid, high },
      } = dryingOf({ weighings, usualLeft: 0.15 });
      expect(low).toBeLessThanOrEqual(mid);
      expect(mid).toBeLessThanOrEqual(high);
      const truth = dryAt(rate, left);
      all += 1;
      inside += Number(truth >= low && truth <= high);
    }
    expect(inside / all).toBeGreaterThan(0.7);
    expect(inside / all).toBeLessThan(0.93);
  });
  test('more weighings say it closer, and late ones that it is dry', () => {
    const at = curve(0.08, 0.14, 500);
    const after = (...hours: number[]) =>
      dryingOf({ weighings: hours.map((h) => ({ hours: h, grams: Math.round(at(h)) })), usualLeft: 0.15 });
    const width = ({ dryAt: { low, high } }: ReturnType<typeof after>) => high - low;
    expect(width(after(0, 6, 20, 30, 44))).toBeLessThan(width(after(0, 6)));
    expect(after(0, 6, 20).dry).toBeLessThan(0.01);
    expect(after(0, 12, 24, 48, 72, 96, 120).dry).toBeGreaterThan(0.95);
    expect(after(0, 12, 24, 48).at(0)).toBeCloseTo(500, -1);
    // By hand: what is left is 70 g, and one twentieth of that is still to go.
    expect(after(0, 12, 24, 48, 72, 96).dryGrams.mid).toBeCloseTo(73.5, 0);
  });
  test.each([
    [[{ hours: 0, grams: 100 }], /two or more/],
    [
      [
        { hours: 0, grams: 100 },
        { hours: 0, grams: 90 },
      ],
      /\[1\]\.hours: .*set back/,
    ],
    [
      [
        { hours: 0, grams: 100 },
        { hours: -5, grams: 90 },
      ],
      /set back/,
    ],
    [
      [
        { hours: 0, grams: 100 },
        { hours: 5, grams: -9 },
      ],
      /\[1\]\.grams: above/,
    ],
    [
      [
        { hours: 0, grams: 100 },
        { hours: 5, grams: 300 },
      ],
      /no more than it weighed/,
    ],
  ])('weighings that cannot be are refused by name (%#)', (weighings, reason) => {
    expect(() => dryingOf({ weighings, usualLeft: 0.2 })).toThrow(reason);
  });
  test('damp that comes back sends it to drying again, and the days begin anew', () => {
    const dry = (days: number) => Array.from({ length: days }, () => ({ damp: false }));
    expect(conditioned([])).toBe('go-on');
    expect(conditioned(dry(CONDITIONING_DAYS))).toBe('done');
    expect(conditioned([...dry(3), { damp: true }])).toBe('dry-again');
    expect(conditioned([...dry(3), { damp: true }, ...dry(CONDITIONING_DAYS - 1)])).toBe('go-on');
  });
});

test('a timer runs on while nothing is open, and says when the clock was set back', () => {
  const timer = { startedAt: '2026-09-14T08:00:00.000Z', minutes: 20 };
  expect(timerAt(timer, new Date('2026-09-14T08:05:00Z'))).toEqual({ state: 'running', minutesLeft: 15 });
  expect(timerAt(timer, new Date('2026-09-14T08:26:00Z'))).toEqual({ state: 'done', minutesOver: 6 });
  expect(timerAt(timer, new Date('2026-09-14T07:00:00Z'))).toEqual({ state: 'clock-set-back' });
  expect(() => timerAt({ ...timer, minutes: 0 }, new Date())).toThrow(/minutes/);
  expect(() => timerAt({ ...timer, startedAt: 'noon' }, new Date())).toThrow(/startedAt/);
});
