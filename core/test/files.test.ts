/**
 * Files in and out: read back equal, valid by other people's parsers, and refused with a reason where they
 * are not what they should be.
 */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { check } from '@placemarkio/check-geojson';
import * as fc from 'fast-check';
import { XMLParser } from 'fast-xml-parser';
import { SyntaxValidator } from 'fast-xml-validator';
import ICAL from 'ical.js';
import {
  MOST_BYTES,
  readMap,
  readPlaces,
  toCalendar,
  toGeoJson,
  toGpx,
  type WrittenPlace,
} from '../src/formats/files';
import type { Geometry } from '../src/notebook/page';

const RING: [number, number][] = [
  [12.1, 46.5],
  [12.2, 46.5],
  [12.2, 46.6],
  [12.1, 46.5],
];
const PLACES: WrittenPlace[] = [
  {
    id: 'one',
    name: 'Weir & <alder> "wood"',
    note: 'line one\nline two',
    shape: { type: 'Point', coordinates: [12.2376, 46.5123, 642] },
  },
  {
    id: 'two',
    name: 'Hedge',
    shape: {
      type: 'LineString',
      coordinates: [
        [12.1, 46.5, 600],
        [12.15, 46.52, 610.5],
        [12.2, 46.5, 640],
      ],
    },
  },
  { id: 'three', name: 'Meadow', shape: { type: 'Polygon', coordinates: [RING] } },
];
const read = (text: string, near?: [number, number]) => {
  const result = readPlaces(text, near);
  if ('problems' in result) throw new Error(JSON.stringify(result.problems));
  return result;
};
const refused = (text: string, near?: [number, number]) => {
  const result = readPlaces(text, near);
  return 'problems' in result
    ? result.problems.map(({ field, reason }) => `${field}: ${reason}`).join('; ')
    : 'taken';
};

/** To a ten-thousandth of a degree; a file knows no zero below zero. */
const rounded = (degrees: number) => Math.round(degrees * 1e4) / 1e4 + 0;
const coordinate = fc
  .tuple(
    fc.integer({ min: -1_799_999, max: 1_799_999 }).map((n) => n / 1e4),
    fc.integer({ min: -899_999, max: 899_999 }).map((n) => n / 1e4),
  )
  .map(([x, y]) => [Math.max(-180, Math.min(180, x)), y] as [number, number]);
const shapeOf: fc.Arbitrary<Geometry> = fc.oneof(
  coordinate.map((coordinates): Geometry => ({ type: 'Point', coordinates })),
  fc
    .array(coordinate, { minLength: 2, maxLength: 20 })
    .map((coordinates): Geometry => ({ type: 'LineString', coordinates })),
  // A star around a middle, against the clock, closed.
  fc.tuple(coordinate, fc.integer({ min: 3, max: 9 })).map(([[x, y], corners]): Geometry => {
    const ring = Array.from({ length: corners }, (_, n): [number, number] => [
      rounded(x * 0.9 + Math.cos((2 * Math.PI * n) / corners)),
      rounded(y * 0.9 + Math.sin((2 * Math.PI * n) / corners)),
    ]);
    return { type: 'Polygon', coordinates: [[...ring, ring[0]!]] };
  }),
);
const name = fc
  .string({ minLength: 1, maxLength: 40, unit: 'grapheme' })
  .map((text) => text.trim().replace(/\s+/g, ' '))
  .filter((text) => text !== '' && !/\p{Cc}|[\uFFFE\uFFFF]/u.test(text) && text.length <= 120);
const placesOf = fc
  .array(fc.record({ name, shape: shapeOf }), { minLength: 1, maxLength: 8 })
  .map((all) => all.map((one, index) => ({ id: `p${index}`, ...one })));

describe('places written', () => {
  test('read back equal, from both formats', () => {
    fc.assert(
      fc.property(placesOf, (places) => {
        const plain = places.map(({ name: called, shape }) => ({ name: called, shape }));
        const tracksFirst = [
          ...plain.filter(({ shape }) => shape.type !== 'Point'),
          ...plain.filter(({ shape }) => shape.type === 'Point'),
        ];
        expect(read(toGpx(places)).places).toEqual(tracksFirst);
        expect(read(toGeoJson(places)).places).toEqual(plain);
      }),
      { numRuns: 60 },
    );
    expect(read(toGpx(PLACES)).places.map(({ shape: _, ...told }) => told)).toEqual([
      { name: 'Hedge' },
      { name: 'Meadow' },
      { name: 'Weir & <alder> "wood"', note: 'line one\nline two', elevation: 642 },
    ]);
  });

  test('are GeoJSON to an independent parser, rings turned as it asks for', () => {
    const clockwise: WrittenPlace = {
      id: 'four',
      shape: { type: 'Polygon', coordinates: [[...RING].reverse()] },
    };
    const parsed = check(toGeoJson([...PLACES, clockwise])) as unknown as {
      features: { geometry: Geometry }[];
    };
    expect(parsed.features).toHaveLength(4);
    expect(parsed.features[3]!.geometry.coordinates).toEqual([RING]);
    expect(() =>
      check(
        '{"type":"FeatureCollection","features":[{"type":"Feature","geometry":{"type":"Point","coordinates":[1]},"properties":{}}]}',
      ),
    ).toThrow();
  });

  test('are GPX to an independent parser, waypoints before tracks', () => {
    const text = toGpx([...PLACES].reverse());
    expect(SyntaxValidator.validate(text)).toBe(true);
    const { gpx } = new XMLParser({ ignoreAttributes: false, attributeNamePrefix: '' }).parse(text) as {
      gpx: Record<string, never>;
    };
    expect(gpx).toMatchObject({
      version: '1.1',
      creator: 'Pause',
      xmlns: 'http://www.topografix.com/GPX/1/1',
      wpt: { lat: '46.5123', lon: '12.2376', ele: 642 },
      trk: [{ name: 'Meadow', type: 'area' }, { name: 'Hedge' }],
    });
    expect(text.indexOf('<wpt')).toBeLessThan(text.indexOf('<trk'));
  });
});

const GPX = (
  inner: string,
  attributes = 'version="1.1" creator="other" xmlns="http://www.topografix.com/GPX/1/1"',
) => `<?xml version="1.0"?><gpx ${attributes}>${inner}</gpx>`;

describe('what other programs write comes in', () => {
  test.each<[string, string, Geometry[]]>([
    [
      'GPX of before, with a mark at its beginning',
      `\uFEFF${GPX('<wpt lat="46.5" lon="12.1"><name>A</name></wpt>', 'version="1.0" creator="x" xmlns="http://www.topografix.com/GPX/1/0"')}`,
      [{ type: 'Point', coordinates: [12.1, 46.5] }],
    ],
    [
      'no namespace at all',
      GPX('<wpt lat="46.5" lon="12.1"/>', ''),
      [{ type: 'Point', coordinates: [12.1, 46.5] }],
    ],
    [
      'extensions, no times, several tracks and segments',
      GPX(
        '<trk><name>T</name><trkseg><trkpt lat="46.5" lon="12.1"><extensions><x:hr xmlns:x="u">90</x:hr></extensions></trkpt><trkpt lat="46.6" lon="12.2"/></trkseg><trkseg><trkpt lat="46.7" lon="12.1"/><trkpt lat="46.8" lon="12.2"/></trkseg></trk><trk><trkseg><trkpt lat="46" lon="12"/><trkpt lat="46.1" lon="12"/></trkseg></trk>',
      ),
      [
        {
          type: 'LineString',
          coordinates: [
            [12.1, 46.5],
            [12.2, 46.6],
          ],
        },
        {
          type: 'LineString',
          coordinates: [
            [12.1, 46.7],
            [12.2, 46.8],
          ],
        },
        {
          type: 'LineString',
          coordinates: [
            [12, 46],
            [12, 46.1],
          ],
        },
      ],
    ],
    [
      'a route',
      GPX('<rte><rtept lat="46" lon="12"/><rtept lat="46.1" lon="12"/></rte>'),
      [
        {
          type: 'LineString',
          coordinates: [
            [12, 46],
            [12, 46.1],
          ],
        },
      ],
    ],
    [
      'a single feature',
      '{"type":"Feature","properties":{"title":"A"},"geometry":{"type":"Point","coordinates":[12,46,700]}}',
      [{ type: 'Point', coordinates: [12, 46, 700] }],
    ],
    [
      'a bare shape, with a reference system that is the usual one',
      '{"type":"MultiPoint","coordinates":[[12,46],[13,47]],"crs":{"properties":{"name":"urn:ogc:def:crs:OGC:1.3:CRS84"}}}',
      [
        { type: 'Point', coordinates: [12, 46] },
        { type: 'Point', coordinates: [13, 47] },
      ],
    ],
    [
      'a collection',
      '{"type":"Feature","properties":null,"geometry":{"type":"GeometryCollection","geometries":[{"type":"Point","coordinates":[12,46]},{"type":"MultiPolygon","coordinates":[[[[0,0],[1,0],[1,1],[0,0]]]]}]}}',
      [
        { type: 'Point', coordinates: [12, 46] },
        {
          type: 'Polygon',
          coordinates: [
            [
              [0, 0],
              [1, 0],
              [1, 1],
              [0, 0],
            ],
          ],
        },
      ],
    ],
  ])('%s', (_, text, shapes) => {
    expect(read(text).places.map(({ shape }) => shape)).toEqual(shapes);
  });

  test('a feature without a place is left out, and that is told', () => {
    expect(
      read(
        '{"type":"FeatureCollection","features":[{"type":"Feature","properties":{},"geometry":null},{"type":"Feature","properties":{},"geometry":{"type":"Point","coordinates":[1,2]}}]}',
      ).remarks,
    ).toEqual(['One feature has no place and was left out.']);
  });

  test('a track of very many positions is thinned to those that matter, and that is told', () => {
    // Straight, with one corner in the middle.
    const line = Array.from({ length: 60_001 }, (_, at) =>
      at <= 30_000 ? [at / 1e5, 0] : [0.3, (at - 30_000) / 1e5],
    );
    const {
      places: [place],
      remarks,
    } = read(JSON.stringify({ type: 'LineString', coordinates: line }));
    const kept = place!.shape.coordinates as number[][];
    expect(kept.length).toBeLessThanOrEqual(2000);
    expect(kept).toContainEqual([0.3, 0]);
    expect([kept[0], kept.at(-1)]).toEqual([line[0], line.at(-1)]);
    expect(remarks).toEqual(['One line was thinned out to 2000 positions.']);
  });
});

describe('refused with a reason', () => {
  test.each<[string, string, RegExp]>([
    ['nothing', '  \n', /^file: it is empty/],
    ['broken XML', '<gpx><wpt lat="1" lon="2"></gpx>', /^file: the XML is broken/],
    [
      'XML of something else',
      '<?xml version="1.0"?><kml><Placemark/></kml>',
      /^kml: this is XML, but not GPX/,
    ],
    ['text', 'a walk by the weir', /^file: it is neither GPX nor JSON/],
    ['JSON of something else', '{"places":[]}', /^type: this is JSON, but not GeoJSON/],
    ['no place in it', GPX('<metadata><name>x</name></metadata>'), /^file: there is no place/],
    [
      'another reference system',
      '{"type":"FeatureCollection","crs":{"type":"name","properties":{"name":"EPSG:31467"}},"features":[]}',
      /^crs: another reference system/,
    ],
    [
      'coordinates changed over, beyond the pole',
      '{"type":"Feature","properties":{"name":"Weir"},"geometry":{"type":"Point","coordinates":[46,112]}}',
      /^Weir: 112 is no latitude/,
    ],
    [
      'the same in a line of a track',
      GPX('<trk><name>T</name><trkseg><trkpt lat="146" lon="12"/><trkpt lat="46" lon="12"/></trkseg></trk>'),
      /^T: 146 is no latitude/,
    ],
    [
      'a shape without an end',
      '{"type":"Feature","properties":{},"geometry":{"type":"Polygon","coordinates":[[[0,0],[1,0],[1,1],[0,1]]]}}',
      /^feature 1: a ring that ends where it begins/,
    ],
    ['coordinates that are none', '{"type":"Point","coordinates":["12","46"]}', /^feature 1: /],
    [
      'a shape that is none',
      '{"type":"Feature","properties":{},"geometry":{"type":"Circle","coordinates":[1,2]}}',
      /^feature 1: /,
    ],
    ['features that are no list', '{"type":"FeatureCollection","features":{}}', /^features: a list/],
    [
      'more places than anybody has',
      JSON.stringify({
        type: 'MultiPoint',
        coordinates: Array.from({ length: 501 }, (_, at) => [at / 10, 1]),
      }),
      /^file: 501 places/,
    ],
    [
      'a million positions',
      GPX(`<trk><trkseg>${'<trkpt lat="46.5" lon="12.1"/>'.repeat(1_000_000)}</trkseg></trk>`),
      /^file: it is larger than 15 MB/,
    ],
  ])('%s', (_, text, expected) => {
    expect(refused(text)).toMatch(expected);
  });

  test('coordinates that are possible, but near one’s other places only when changed over', () => {
    const somali = '{"type":"Point","coordinates":[46.5,12.2]}';
    expect(refused(somali, [12.2, 46.5])).toMatch(/^coordinates: .* changed over/);
    expect(refused(somali)).toBe('taken');
    expect(refused('{"type":"Point","coordinates":[12.9,46.1]}', [12.2, 46.5])).toBe('taken');
    // Far from everything either way: somebody travels.
    expect(refused('{"type":"Point","coordinates":[-70,-50]}', [12.2, 46.5])).toBe('taken');
  });

  test('whatever is sent, it is taken or refused, and never thrown back', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.json(),
          fc.string().map((text) => `<gpx>${text}</gpx>`),
          fc.string().map((text) => `<${text}`),
          fc
            .anything()
            .map((value) =>
              JSON.stringify({ type: 'Feature', geometry: { type: 'Polygon', coordinates: value } }),
            ),
        ),
        (text) => {
          expect(['places', 'problems']).toContain(Object.keys(readPlaces(text))[0]);
        },
      ),
      { numRuns: 300 },
    );
    expect(MOST_BYTES).toBe(15_000_000);
  });
});

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

  test('texts come through, however long and with whatever signs; ids stay, so that a later file changes what an earlier one wrote', () => {
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

  test('is kept to a metre and without heights; what is no shape is left out and told', () => {
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
      remarks: ['4 features were left out: points without a name, and what is no shape.'],
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
    const shipped = readFileSync(join(__dirname, '../../app/src/screens/places/valley.json'), 'utf8');
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
