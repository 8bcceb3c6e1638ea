import { check } from '@placemarkio/check-geojson';
import * as fc from 'fast-check';
import { XMLParser } from 'fast-xml-parser';
import { SyntaxValidator } from 'fast-xml-validator';
import { type WrittenPlace, toGpx, toGeoJson } from '../../src/formats/files';
import type { Geometry } from '../../src/notebook/page';
import { read } from './kit';

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
    expect(read(toGpx(PLACES)).places.map(({ shape: _, ...place }) => place)).toEqual([
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
