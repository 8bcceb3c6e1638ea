import type { PageEntry } from '../../src';
import { metresBetween, type Geometry, middleOf, pageEntryFor } from '../../src/notebook';
import { field, seen, folded, PLACE } from './kit';

describe('where', () => {
  test('a degree of longitude at 60 degrees north is half as long as one of latitude', () => {
    // 2 π · 6371008.8 m / 360 = 111195.08 m.
    expect(metresBetween([12, 46], [12, 47])).toBeCloseTo(111_195.08, 1);
    // On a great circle it is a little shorter than half of that along the parallel.
    expect(metresBetween([12, 60], [13, 60])).toBeCloseTo(55_596.9, 0);
    expect(metresBetween([12, 46], [12, 46])).toBe(0);
  });

  test('the middle of a point, a line, an area', () => {
    const shapes: [Geometry, [number, number]][] = [
      [{ type: 'Point', coordinates: [12, 46] }, [12, 46]],
      [
        {
          type: 'LineString',
          coordinates: [
            [12, 46],
            [13, 48],
            [12, 47],
          ],
        },
        [12.5, 47],
      ],
      [
        {
          type: 'Polygon',
          coordinates: [
            [
              [0, 0],
              [2, 0],
              [2, 4],
              [0, 0],
            ],
          ],
        },
        [1, 2],
      ],
    ];
    for (const [shape, middle] of shapes) expect(middleOf(shape)).toEqual(middle);
  });
});

describe('a place in the group’s notebook', () => {
  const shape = field('shape', { type: 'Point', coordinates: [12.2376, 46.5123] }, 1);
  const note = field('note', 'Behind the third alder', 2);
  const sighting = seen('atropa-bella-donna', 3, { note: 'Left of the weir', worthVisit: true });
  const as = (reader: string, ...more: PageEntry[]) =>
    [shape, note, sighting].map(
      (entry) => pageEntryFor(entry, folded([PLACE, shape, note, sighting, ...more]), reader).body,
    );

  test('is shown whole to whoever keeps it, and to whom that one chose', () => {
    for (const [reader, ...more] of [
      ['mirel'],
      ['tam', field('exactFor', 'group', 4)],
      ['tam', field('exactFor', ['tam'], 4)],
    ] as [string, ...PageEntry[]][])
      expect(as(reader, ...more)).toEqual([shape.body, note.body, sighting.body]);
  });

  test('is nobody else’s: of what was seen there only what and when', () => {
    for (const more of [
      [],
      [field('exactFor', ['jorun'], 4)],
      [field('exactFor', 'group', 4), field('exactFor', 'finder', 5)],
    ]) {
      const [where, wrote, saw] = as('tam', ...more);
      expect([where, wrote]).toMatchObject([
        { value: null, withheld: true },
        { value: null, withheld: true },
      ]);
      expect(saw).toMatchObject({ taxon: 'atropa-bella-donna', worthVisit: true });
      expect(JSON.stringify([where, wrote, saw])).not.toMatch(/weir|alder|12\.23|46\.51/);
    }
  });

  test('may be shown as a square, the same for every place in it', () => {
    const [where] = as('tam', field('others', 'cell', 4));
    expect(where).toMatchObject({ value: { type: 'Point', coordinates: [12.25, 46.55] }, withheld: true });
  });

  test('does not tell one reader who the others are', () => {
    const choice = field('exactFor', ['jorun', 'lune'], 4);
    expect(pageEntryFor(choice, folded([PLACE, choice]), 'tam').body).toMatchObject({ value: [] });
  });
});
