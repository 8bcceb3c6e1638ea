import 'fake-indexeddb/auto';
import '../guide';
import type { ChangedGround } from '@pause/core/pantry/recall';
import { daysWords } from '../../src/screens/pantry/batchStyles';
import { wrapped } from '../../src/screens/pantry/pdf';
import { namesOf } from '../../src/screens/pantry/portionKinds';
import { leftWords, nextTimer } from '../../src/screens/pantry/Timers';
import { amountWords, stepWords, refusalWords } from '../../src/text/pantry';
import { causeWords, measureWords } from '../../src/text/recalls';
import { AT } from './kit';

jest.mock('@expo-google-fonts/atkinson-hyperlegible-next/400Regular', () => ({
  AtkinsonHyperlegibleNext_400Regular: 'regular.ttf',
}));
jest.mock('@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold', () => ({
  AtkinsonHyperlegibleNext_600SemiBold: 'bold.ttf',
}));

describe('words', () => {
  test('amounts, days and timers as people say them', () => {
    expect(
      [
        { amount: 1234, unit: 'g' },
        { amount: 1150, unit: 'ml' },
        { amount: 1, unit: 'piece' },
        { amount: 12.34, unit: 'g' },
      ].map((one) => amountWords(one as never)),
    ).toEqual(['1.23 kg', '1.15 l', '1 piece', '12.3 g'].map((one) => one.replace(' ', '\u00A0')));
    expect([1, 4, 14, 90, 365, 1095].map(daysWords)).toEqual([
      'a day',
      '4 days',
      'two weeks',
      '3 months',
      'a year',
      '3 years',
    ]);
    expect([0.5, 12.5, 200, 40_000].map(leftWords)).toEqual(['0:30', '12:30', '4 hours', '28 days']);
    expect(
      nextTimer(
        {
          timers: [
            { id: 't1', step: 'x', startedAt: AT, minutes: 20 },
            { id: 't2', step: 'y', startedAt: AT, minutes: 90 },
          ],
        },
        new Date('2026-09-14T08:05:00Z'),
      ),
    ).toBe('15:00 to go');
    expect(
      nextTimer(
        { timers: [{ id: 't1', step: 'x', startedAt: AT, minutes: 20 }] },
        new Date('2026-09-14T09:05:00Z'),
      ),
    ).toBe('a timer is done');
    expect(nextTimer({}, new Date())).toBeUndefined();
    expect(namesOf('Mirel Aschkar', ['Lune', 'Mirel'])).toEqual(['Lune', 'Mirel']);
    expect(namesOf('Jorun Halvad', ['Lune'])).toEqual(['Jorun Halvad', 'Lune']);
    expect(stepWords({ code: 'cook-through', minutes: 15 })).toBe('Cook it right through (15 minutes)');
    expect(stepWords({ code: 'skin-trial', minutes: 1440 })).toMatch(/\(24 hours\)$/);
    expect(refusalWords({ code: 'never', why: 'Because.' })).toBe('Because.');
    expect(causeWords({ code: 'stray', of: 'x', grade: 'deadly', touched: true }, 'Harvest')).toBe(
      'Harvest: it lay in one bag with a deadly one.',
    );
    const recalled = {
      code: 'verdict',
      of: 'x',
      because: 'guide',
      outcome: 'pause',
      grade: 'deadly',
    } as const;
    expect(causeWords({ ...recalled, grade: 'none' }, 'Find')).toMatch(
      /the verdict is pause\. Everything dangerous of the guide is still ruled out\.$/,
    );
    expect(measureWords({ measure: 'watch', causes: [{ ...recalled, grade: 'none' }] })[1]).toBe(
      'Ask everybody who had some how they are.',
    );
    expect(measureWords({ measure: 'watch', causes: [recalled] })[1]).toMatch(
      /^It may have been a dangerous one: call the poison service now/,
    );
    const smell = {
      taxon: 'cortinarius-rubellus',
      character: 'smell',
      readBy: ['fungi'],
    } as unknown as ChangedGround;
    expect(causeWords({ ...recalled, changed: [smell] }, 'Find')).toMatch(
      /What the guide says of \S.* changed: smell\. Found by: a second reader, of the dangerous fungi\.$/,
    );
    expect(
      causeWords({ ...recalled, changed: [{ taxon: smell.taxon, readBy: [] }, smell, smell, smell] }, 'Find'),
    ).toMatch(/is new in the guide\. Found by whoever wrote it\. .* And two more\.$/);
  });
  test('lines are broken between words, and words that are too long are cut', () => {
    const width = (text: string) => text.length;
    expect(wrapped('one two three four', 9, width)).toEqual(['one two', 'three', 'four']);
    expect(wrapped('abcdefghijkl mn', 5, width)).toEqual(['abcde', 'fghij', 'kl mn']);
    expect(wrapped('', 5, width)).toEqual([]);
  });
});
