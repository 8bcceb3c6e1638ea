import * as fc from 'fast-check';
import { readPlaces, MOST_BYTES } from '../../src/formats/files';
import { GPX } from './kit';

const refused = (text: string, near?: [number, number]) => {
  const result = readPlaces(text, near);
  return 'problems' in result
    ? result.problems.map(({ field, reason }) => `${field}: ${reason}`).join('; ')
    : 'taken';
};

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
