import { isDrawn } from '@pause/core';
import { shippedGuide } from '@pause/guide';
import { type Cell, fitAnswers, headingHeight, type Room } from '../../src/screens/check/answers/fit';

/** What is left for the question on a phone that shows so many CSS pixels: head, bars, sureness and verdict are off. */
const screenOf = (width: number, height: number): Room => ({ width: width - 20, height: height - 216 });

/** What is left for the answers below their question. */
const roomFor = (question: string, { width, height }: Room): Room => ({
  width,
  height: height - Math.max(48, headingHeight(question, width - 74)) - 8,
});

const questions = shippedGuide().characters.flatMap((character) =>
  'states' in character
    ? [
        {
          id: character.id,
          question: character.question,
          cells: character.states.map(({ label, short, swatch }): Cell => ({
            label,
            short,
            picture: isDrawn(character) ? 'drawing' : swatch ? 'swatch' : 'none',
          })),
        },
      ]
    : [],
);

const wholeAt = (width: number, height: number) =>
  questions.filter(
    ({ question, cells }) => fitAnswers(cells, roomFor(question, screenOf(width, height))).whole,
  );

describe('all answers to a question are seen at once', () => {
  test('on a phone as a browser shows it: 95 of 100 questions of the guide, on a small one 85', () => {
    expect(wholeAt(390, 664).length / questions.length).toBeGreaterThanOrEqual(0.95);
    expect(wholeAt(360, 560).length / questions.length).toBeGreaterThanOrEqual(0.85);
  });

  test('in rows of at least 48 pixels that fill no more than the room there is', () => {
    const room = { width: 370, height: 400 };
    for (const { cells } of questions) {
      const { columns, rowHeight, whole } = fitAnswers(cells, room);
      const rows = Math.ceil((cells.length + 1) / columns);
      expect(rowHeight).toBeGreaterThanOrEqual(48);
      if (whole) expect(rows * rowHeight + (rows - 1) * 6).toBeLessThanOrEqual(room.height);
    }
  });

  test('labels are shortened only where whole ones do not fit, and words are never broken', () => {
    const cells = (label: string, short: string, count: number): Cell[] =>
      Array.from({ length: count }, () => ({ label, short, picture: 'drawing' }));
    const room = { width: 370, height: 400 };
    expect(fitAnswers(cells('Flat scales, loose at the edge', 'Flat scales', 5), room)).toMatchObject({
      short: false,
      whole: true,
    });
    expect(fitAnswers(cells('Flat scales, loose at the edge', 'Flat scales', 12), room)).toMatchObject({
      short: true,
      whole: true,
    });
    expect(fitAnswers(cells('Extraordinarily', 'Extraordinarily', 12), room).columns).toBeLessThan(4);
  });

  test('where they cannot, there is one layout that scrolls', () => {
    const many: Cell[] = Array.from({ length: 31 }, () => ({ label: 'A label', picture: 'drawing' }));
    expect(fitAnswers(many, { width: 300, height: 200 })).toMatchObject({ whole: false, columns: 3 });
  });
});
