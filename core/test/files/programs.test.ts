import type { Geometry } from '../../src/notebook/page';
import { GPX, read } from './kit';

describe('what other programs write comes in', () => {
  test.each<[string, string, Geometry[]]>([
    [
      'GPX of before, with a mark at its beginning',
      `\uFEFF${GPX(
        '<wpt lat="46.5" lon="12.1"><name>A</name></wpt>',
        'version="1.0" creator="x" xmlns="http://www.topografix.com/GPX/1/0"',
      )}`,
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
        '<trk><name>T</name><trkseg><trkpt lat="46.5" lon="12.1"><extensions><x:hr ' +
          'xmlns:x="u">90</x:hr></extensions></trkpt><trkpt lat="46.6" lon="12.2"/></trkseg><trkseg><trkpt lat="46.7" ' +
          'lon="12.1"/><trkpt lat="46.8" lon="12.2"/></trkseg></trk><trk><trkseg><trkpt lat="46" lon="12"/><trkpt ' +
          'lat="46.1" lon="12"/></trkseg></trk>',
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

  test('a feature without a place is left out, and that is reported', () => {
    expect(
      read(
        '{"type":"FeatureCollection","features":[{"type":"Feature","properties":{},"geometry":null},{"type":"Feature","properties":{},"geometry":{"type":"Point","coordinates":[1,2]}}]}',
      ).remarks,
    ).toEqual([{ code: 'no-place', count: 1 }]);
  });

  test('a track of very many positions is thinned to those that matter, and that is reported', () => {
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
    expect(remarks).toEqual([{ code: 'thinned-out', count: 1, most: 2000 }]);
  });
});
