import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import ICAL from 'ical.js';
import { toCalendar, readMap } from '../../src/formats/files';

describe('days written', () => {
  const MADE = new Date('2026-09-14T07:40:00.000Z');
  const parse = (text: string) =>
    new ICAL.Component(ICAL.parse(text) as never[])
      .getAllSubcomponents('vevent')
      .map((one) => new ICAL.Event(one));

  test('a day is that day in every time zone, an hour the same instant, also where clocks change that night', () => {
    // Clocks go back in middle Europe on 25 October 2026, and forward on 29 March 2026.
    for (const day of ['2026-10-25', '2026-03-29', '2026-12-31']) {
      const from = new Date(`${day}T06:30:00.000Z`);
      const [all, some] = parse(
        toCalendar(
          'Pause',
          [
            { id: 'a', title: 'Look at the sloes', when: { day } },
            { id: 'b', title: 'Walk', when: { from, to: new Date(from.getTime() + 3 * 3_600_000) } },
          ],
          MADE,
        ),
      );
      expect([all!.startDate.isDate, all!.startDate.toString()]).toEqual([true, day]);
      expect(some!.startDate.toJSDate()).toEqual(from);
      expect(some!.endDate.toJSDate().getTime() - from.getTime()).toBe(3 * 3_600_000);
    }
  });

  test('texts of any length and signs come through; ids stay, so a later file changes the earlier', () => {
    const title = 'Sloes; “wild”, \\ and\nafter frost — ' + 'ä'.repeat(120);
    const [event] = parse(
      toCalendar(
        'Pause',
        [
          {
            id: 'visit-1',
            title,
            text: 'BEGIN:VEVENT\nEND',
            where: 'Weir; Karrow',
            when: { day: '2026-10-11' },
          },
        ],
        MADE,
      ),
    );
    expect([event!.summary, event!.description, event!.location, event!.uid]).toEqual([
      title,
      'BEGIN:VEVENT\nEND',
      'Weir; Karrow',
      'visit-1@pause',
    ]);
  });
});

describe('a map of one’s own', () => {
  const feature = (type: string, coordinates: unknown, properties: object = {}) => ({
    type: 'Feature',
    properties,
    geometry: { type, coordinates },
  });
  const file = (...features: unknown[]) => JSON.stringify({ type: 'FeatureCollection', features });
  const line = [
    [12.1, 46.5],
    [12.2, 46.6],
  ];
  const area = [
    [
      [12.1, 46.5],
      [12.2, 46.5],
      [12.2, 46.6],
      [12.1, 46.5],
    ],
  ];
  const kinds = (...features: unknown[]) => {
    const read = readMap(file(...features));
    return 'map' in read ? read.map.features.map(({ properties }) => properties) : read.problems;
  };

  test('is drawn by what each feature is, in Pause’s words or by customary tags, and else by its shape', () => {
    expect(
      kinds(
        feature('Polygon', area, { kind: 'wood', of: 'spruce' }),
        feature('Polygon', area, { natural: 'wood', leaf_type: 'needleleaved' }),
        feature('MultiPolygon', [area], { landuse: 'forest' }),
        feature('LineString', line, { waterway: 'river' }),
        feature('LineString', line, { waterway: 'stream' }),
        feature('Polygon', area, { natural: 'water' }),
        feature('LineString', line, { highway: 'track', ele: 640 }),
        feature('LineString', line, { ele: '640' }),
        feature('Polygon', area, { landuse: 'meadow' }),
        feature('Polygon', area),
        feature('MultiLineString', [line, line]),
        feature('Point', line[0], { name: 'Mill', place: 'hamlet' }),
      ),
    ).toEqual([
      { kind: 'wood', of: 'spruce' },
      { kind: 'wood', of: 'spruce' },
      { kind: 'wood', of: 'beech' },
      { kind: 'water', width: 2 },
      { kind: 'water', width: 1 },
      { kind: 'water', width: 2 },
      { kind: 'path' },
      { kind: 'contour', metres: 640 },
      { kind: 'meadow' },
      { kind: 'meadow' },
      { kind: 'path' },
      { kind: 'name', name: 'Mill' },
    ]);
  });

  test('is kept to a metre and without heights; what is no shape is left out and reported', () => {
    const read = readMap(
      `\uFEFF${file(
        feature('LineString', [
          [12.123456789, 46.5, 640],
          [12.2, 46.6, 650],
        ]),
        feature('Point', [12, 46]),
        feature('LineString', [[12, 46]]),
        feature('LineString', [
          [12, 46],
          ['x', 46],
        ]),
        { type: 'Feature', geometry: null },
      )}`,
    );
    expect(read).toMatchObject({
      map: {
        features: [
          {
            geometry: {
              coordinates: [
                [12.12346, 46.5],
                [12.2, 46.6],
              ],
            },
          },
        ],
      },
      remarks: [{ code: 'not-drawn', count: 4 }],
    });
  });

  test.each([
    ['nothing', '', 'file'],
    ['no JSON', '{', 'file'],
    ['no GeoJSON', '{"a":1}', 'type'],
    [
      'another system',
      JSON.stringify({ type: 'FeatureCollection', crs: { properties: { name: 'EPSG:3857' } }, features: [] }),
      'crs',
    ],
    ['only names', file(feature('Point', [12, 46], { name: 'Mill' })), 'features'],
    [
      'changed over',
      file(
        feature(
          'LineString',
          [
            [46, 112],
            [46, 113],
          ],
          { name: 'Way' },
        ),
      ),
      'Way',
    ],
    [
      'far too much',
      file(
        ...Array.from({ length: 160 }, () =>
          feature(
            'LineString',
            Array.from({ length: 2000 }, (_, i) => [12 + i / 1e5, 46]),
          ),
        ),
      ),
      'file',
    ],
  ])('is refused with its reason: %s', (_, text, field) => {
    expect(readMap(text)).toMatchObject({ problems: [{ field }] });
  });

  test('as it ships with the demo, is read as it is written', () => {
    const shipped = readFileSync(join(__dirname, '../../../app/src/screens/places/valley.json'), 'utf8');
    const read = readMap(shipped);
    if (!('map' in read)) throw new Error(JSON.stringify(read.problems));
    const count = (all: readonly { readonly properties: { readonly kind?: string } | null }[]) =>
      Object.entries(
        all.reduce<Record<string, number>>(
          (sums, { properties }) => ({
            ...sums,
            [properties?.kind ?? '']: (sums[properties?.kind ?? ''] ?? 0) + 1,
          }),
          {},
        ),
      ).sort();
    expect(count(read.map.features)).toEqual(count((JSON.parse(shipped) as typeof read.map).features));
    expect(read.remarks).toEqual([]);
  });
});
