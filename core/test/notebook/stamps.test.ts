import * as fc from 'fast-check';
import { momentOf, stampOf, type Stamp, latest, nextStamp, isTime, tooFarAhead } from '../../src/notebook';
import { MORNING } from './kit';

describe('stamps', () => {
  const moment = fc.record({
    ms: fc.integer({ min: 0, max: 4e12 }),
    count: fc.integer({ min: 0, max: 5000 }),
    device: fc.stringMatching(/^[A-Za-z0-9_]{1,12}$/),
  });

  test('sort as text as their moments do, and read back', () => {
    fc.assert(
      fc.property(moment, moment, (a, b) => {
        expect(momentOf(stampOf(a))).toEqual(a);
        const sooner =
          a.ms - b.ms || a.count - b.count || (a.device < b.device ? -1 : a.device > b.device ? 1 : 0);
        expect(Math.sign(stampOf(a) < stampOf(b) ? -1 : stampOf(a) > stampOf(b) ? 1 : 0)).toBe(
          Math.sign(sooner),
        );
      }),
    );
  });

  test('a stamp is later than all made and heard of, however the clock jumps, unless far ahead', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ now: fc.integer({ min: 0, max: 4e12 }), other: fc.option(moment) }), {
          maxLength: 40,
        }),
        (steps) => {
          let last: Stamp | undefined;
          for (const { now, other } of steps) {
            if (other) last = latest(last, stampOf(other));
            const next = nextStamp(last, now, 'karrow');
            const believed =
              last !== undefined && (now < Date.UTC(2026, 0, 1) || momentOf(last).ms <= now + 3_600_000);
            if (last !== undefined && believed) expect(next > last).toBe(true);
            expect(momentOf(next).ms).toBeGreaterThanOrEqual(now);
            last = next;
          }
        },
      ),
    );
  });

  test('one that tells no time is not heard of, and silences nobody who holds it', () => {
    const none = [
      '9999-99-99T99:99:99.999Z-0000-x',
      '2026-02-31T08:00:00.000Z-0000-x',
      '2026-09-14T24:00:00.000Z-0000-x',
      '1969-12-31T23:59:59.999Z-0000-x',
      '2100-01-01T00:00:00.000Z-0000-x',
    ] as Stamp[];
    const first = nextStamp(undefined, MORNING, 'a');
    expect([
      isTime(first),
      isTime('1970-01-01T00:00:00.000Z-0000-x' as Stamp),
      isTime('2099-12-31T23:59:59.999Z-zzzz-x' as Stamp),
    ]).toEqual([true, true, true]);
    for (const one of none) {
      expect([one, isTime(one), latest(first, one), latest(undefined, one), latest(one, first)]).toEqual([
        one,
        false,
        first,
        undefined,
        first,
      ]);
      expect(nextStamp(one, MORNING, 'a')).toBe(first);
    }
    // Far ahead, it would be ahead of everybody for as long as that is.
    expect(nextStamp(stampOf({ ms: MORNING + 2 * 3_600_000, count: 0, device: 'b' }), MORNING, 'a')).toBe(
      first,
    );
    expect(nextStamp(stampOf({ ms: MORNING + 3_000_000, count: 0, device: 'b' }), MORNING, 'a')).toBe(
      '2026-09-14T08:30:00.000Z-0001-a',
    );
    // A phone that lost its clock goes on from what it heard.
    expect(nextStamp(first, 86_400_000, 'a')).toBe('2026-09-14T07:40:00.000Z-0001-a');
  });

  test('worked by hand', () => {
    const first = nextStamp(undefined, MORNING, 'a');
    expect(first).toBe('2026-09-14T07:40:00.000Z-0000-a');
    expect(nextStamp(first, MORNING - 60_000, 'a')).toBe('2026-09-14T07:40:00.000Z-0001-a');
    expect(nextStamp(stampOf({ ms: MORNING, count: 36 ** 4 - 1, device: 'a' }), 0, 'a')).toBe(
      '2026-09-14T07:40:00.001Z-0000-a',
    );
    expect([tooFarAhead(first, MORNING - 86_400_000), tooFarAhead(first, MORNING - 60_000)]).toEqual([
      true,
      false,
    ]);
    expect(() => momentOf('yesterday' as Stamp)).toThrow(TypeError);
  });
});
