import { DOMImplementation, XMLSerializer, type Document, type Element } from '@xmldom/xmldom';
import ical from 'ical-generator';
import type { Geometry, GeoPosition } from '../../notebook/page';

/** Places and days as other programs read them: GPX 1.1, GeoJSON (RFC 7946), iCalendar (RFC 5545). */

export interface WrittenPlace {
  readonly id: string;
  readonly name?: string | undefined;
  readonly note?: string | undefined;
  readonly elevation?: number | undefined;
  readonly shape: Geometry;
}

const GPX = 'http://www.topografix.com/GPX/1/1';

/** An area has no form of its own in GPX: it is written as a track that closes, of the type `area`. */
export function toGpx(places: readonly WrittenPlace[]): string {
  const document = new DOMImplementation().createDocument(GPX, 'gpx');
  const root = document.documentElement;
  if (!root) throw new Error('no document');
  root.setAttribute('version', '1.1');
  root.setAttribute('creator', 'Pause');
  const at = (tag: string, position: GeoPosition) => {
    const point = document.createElementNS(GPX, tag);
    point.setAttribute('lat', String(position[1]));
    point.setAttribute('lon', String(position[0]));
    if (position[2] !== undefined) point.appendChild(texted(document, 'ele', String(position[2])));
    return point;
  };
  // Waypoints first, then tracks, as the schema has it.
  for (const { shape, ...place } of places) {
    if (shape.type !== 'Point') continue;
    const [longitude, latitude, height = place.elevation] = shape.coordinates;
    root.appendChild(
      described(
        document,
        at('wpt', height === undefined ? [longitude, latitude] : [longitude, latitude, height]),
        place,
      ),
    );
  }
  for (const { shape, ...place } of places) {
    if (shape.type === 'Point') continue;
    const track = described(document, document.createElementNS(GPX, 'trk'), place);
    if (shape.type === 'Polygon') track.appendChild(texted(document, 'type', 'area'));
    for (const line of shape.type === 'Polygon' ? shape.coordinates : [shape.coordinates]) {
      const segment = document.createElementNS(GPX, 'trkseg');
      for (const position of line) segment.appendChild(at('trkpt', position));
      track.appendChild(segment);
    }
    root.appendChild(track);
  }
  return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(document)}\n`;
}

/** Characters that XML 1.0 can't carry. */
// eslint-disable-next-line no-control-regex
const NOT_IN_XML = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/g;
function texted(document: Document, tag: string, text: string): Element {
  const element = document.createElementNS(GPX, tag);
  element.appendChild(document.createTextNode(text.replace(NOT_IN_XML, '')));
  return element;
}
function described(
  document: Document,
  element: Element,
  { name, note }: Pick<WrittenPlace, 'name' | 'note'>,
): Element {
  if (name !== undefined) element.appendChild(texted(document, 'name', name));
  if (note !== undefined) element.appendChild(texted(document, 'desc', note));
  return element;
}

export function toGeoJson(places: readonly WrittenPlace[]): string {
  return `${JSON.stringify(
    {
      type: 'FeatureCollection',
      features: places.map(({ id, name, note, elevation, shape }) => ({
        type: 'Feature',
        id,
        geometry:
          shape.type === 'Polygon'
            ? { ...shape, coordinates: shape.coordinates.map((ring, index) => turned(ring, index === 0)) }
            : shape,
        properties: {
          ...(name === undefined ? {} : { name }),
          ...(note === undefined ? {} : { description: note }),
          ...(elevation === undefined ? {} : { elevation }),
        },
      })),
    },
    undefined,
    2,
  )}\n`;
}

/** Outer rings run against the clock, holes with it. */
function turned(ring: readonly GeoPosition[], outer: boolean): readonly GeoPosition[] {
  let area = 0;
  for (const [index, [x, y]] of ring.entries()) {
    const [nextX, nextY] = ring[(index + 1) % ring.length] ?? [x, y];
    area += x * nextY - nextX * y;
  }
  return area > 0 === outer || area === 0 ? ring : [...ring].reverse();
}

/** Something to do on a day, or from one instant to another. */
export interface Appointment {
  readonly id: string;
  readonly title: string;
  readonly text?: string | undefined;
  readonly where?: string | undefined;
  readonly when: { readonly day: string } | { readonly from: Date; readonly to: Date };
}

/** @param made when the file is written */
export function toCalendar(title: string, appointments: readonly Appointment[], made: Date): string {
  const calendar = ical({ name: title, prodId: { company: 'Pause', product: 'Pause', language: 'EN' } });
  for (const { id, title: summary, text, where, when } of appointments) {
    const at =
      'day' in when
        ? {
            start: new Date(`${when.day}T00:00:00Z`),
            end: new Date(Date.parse(`${when.day}T00:00:00Z`) + 86_400_000),
            allDay: true,
          }
        : { start: when.from, end: when.to };
    calendar.createEvent({
      id: `${id}@pause`,
      summary,
      stamp: made,
      ...at,
      ...(text === undefined ? {} : { description: text }),
      ...(where === undefined ? {} : { location: where }),
    });
  }
  return calendar.toString();
}
