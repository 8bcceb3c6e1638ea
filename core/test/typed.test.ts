/** What people type: every way in which they write it is read, and what could be two things is refused. */
import * as fc from 'fast-check';
import { dayOf, isoOf } from '../src/lib/day';
import { readDay, readNumber, readTime, yearsAround } from '../src/lib/typed';

const today = dayOf('2026-09-14');
const range = yearsAround(today, 1, 2);
const read = (text: string) => {
  const typed = readDay(text, range);
  return 'value' in typed ? typed.value : typed.problem;
};

describe('days', () => {
  test.each([
    ['2026-10-31', '2026-10-31'],
    ['31.10.2026', '2026-10-31'],
    ['31. 10. 2026', '2026-10-31'],
    ['31.10.', '2026-10-31'],
    ['1.3', '2027-03-01'],
    ['31 October 2026', '2026-10-31'],
    ['31. Oct', '2026-10-31'],
    ['October 31, 2026', '2026-10-31'],
    ['Oct 31', '2026-10-31'],
    ['31/10/2026', '2026-10-31'],
    ['10/31/2026', '2026-10-31'],
    ['5/5/2026', '2026-05-05'],
    ['today', '2026-09-14'],
    [' Tomorrow ', '2026-09-15'],
    ['1 September', '2026-09-01'],
    ['1 July', '2027-07-01'],
  ])('%s is %s', (text, day) => {
    expect(read(text)).toBe(day);
  });
  test.each([
    ['2026-02-31', 'a day that the calendar has'],
    ['31.2.', 'a day that the calendar has'],
    ['31 Smarch 2026', 'a day that the calendar has'],
    ['1999-05-01', 'a day from 2025-01-01 to 2028-12-31'],
    ['2029-01-01', 'a day from 2025-01-01 to 2028-12-31'],
    ['5/6/2026', 'with the month as a word: it could be two days'],
    ['soon', 'a day like 31 October 2026, 31.10.2026 or 2026-10-31'],
    ['17', 'a day like 31 October 2026, 31.10.2026 or 2026-10-31'],
    ['', 'a day like 31 October 2026, 31.10.2026 or 2026-10-31'],
  ])('"%s" is refused: %s', (text, problem) => {
    expect(read(text)).toBe(problem);
  });
  test('a leap day without a year is the next one, and whatever is typed is a day of the range or refused', () => {
    expect(read('29 February')).toBe('2028-02-29');
    fc.assert(
      fc.property(fc.integer({ min: range.from, max: range.to }), (day) => {
        const iso = isoOf(day);
        const [year, month, date] = iso.split('-');
        expect([iso, `${date}.${month}.${year}`].map(read)).toEqual([iso, iso]);
      }),
    );
    fc.assert(
      fc.property(fc.string(), (text) => {
        const typed = readDay(text, range);
        if ('value' in typed) expect(isoOf(dayOf(typed.value))).toBe(typed.value);
        else expect(typed.problem).not.toBe('');
      }),
    );
  });
});

describe('times', () => {
  test.each([
    ['8:30', '08:30'],
    ['08.30', '08:30'],
    ['8', '08:00'],
    ['17', '17:00'],
    ['5 pm', '17:00'],
    ['5pm', '17:00'],
    ['12 am', '00:00'],
    ['12:15 p.m.', '12:15'],
    ['17h30', '17:30'],
    ['17h', '17:00'],
    ['17 Uhr', '17:00'],
    ['noon', '12:00'],
  ])('%s is %s', (text, time) => {
    expect(readTime(text)).toEqual({ value: time });
  });
  test.each(['24:00', '8:60', '13 pm', 'half past', '', '8:3', '-1'])('"%s" is refused', (text) => {
    expect(readTime(text)).toEqual({ problem: 'a time like 8:30, 17 or 5 pm' });
  });
});

describe('numbers', () => {
  test.each([
    ['2.5', 2.5],
    ['2,5', 2.5],
    ['1 500', 1500],
    ['0,125', 0.125],
    ['-3', -3],
    [' 7 ', 7],
    ['1500', 1500],
    ['.5', 0.5],
  ])('%s is %d', (text, number) => {
    expect(readNumber(text)).toBe(number);
  });
  test.each(['1,500', 'twelve', '1.2.3', '2 kg', '1e5', 'Infinity'])(
    '%s is no number that is sure',
    (text) => {
      expect(readNumber(text)).toBeNaN();
    },
  );
  test('nothing typed is no number', () => {
    expect(readNumber(' ')).toBeUndefined();
  });
});
