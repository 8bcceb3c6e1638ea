import type { Thunk } from '../../store/store';
import type { Place } from './usePlaces';

/** Files of places, and where the phone is. */

/**
 * The way of the demo's simulated walker: from Lower Ostrel past the weir up to the Vessen hut and the Tollar
 * ridge.
 */
const WAY = [
  [12.1608, 46.4961],
  [12.1762, 46.5015],
  [12.1888, 46.5069],
  [12.2, 46.5078],
  [12.193, 46.515],
  [12.1958, 46.5222],
  [12.2028, 46.5294],
  [12.2112, 46.5366],
  [12.2182, 46.542],
  [12.2308, 46.5474],
] as const;
/** Minutes from one point of it to the next; at the last one it begins anew. */
const MINUTES = 10;

/** Where the simulated walker is at an instant. */
export function simulatedWalker(ms: number): readonly [number, number] {
  const along = (ms / 60_000 / MINUTES) % (WAY.length - 1);
  const [a, b] = [WAY[Math.floor(along)], WAY[Math.floor(along) + 1]];
  if (!a || !b) return [WAY[0][0], WAY[0][1]];
  const share = along - Math.floor(along);
  const at = (axis: 0 | 1) => Number((a[axis] + (b[axis] - a[axis]) * share).toFixed(5));
  return [at(0), at(1)];
}

/** Longitude and latitude; or why the phone does not tell. */
export function whereIStand(demo: boolean): Promise<readonly [number, number] | string> {
  if (demo) return Promise.resolve(simulatedWalker(Date.now()));
  if (!('geolocation' in navigator)) return Promise.resolve('This browser does not give its position.');
  return new Promise((resolve) => {
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => resolve([coords.longitude, coords.latitude]),
      () => resolve('The phone did not give its position. It may not be allowed to.'),
      { enableHighAccuracy: true, timeout: 20_000 },
    );
  });
}

/** Asks for a file; nothing where none is chosen. */
export function chooseFile(accept: string): Promise<File | undefined> {
  return new Promise((resolve) => {
    const input = Object.assign(document.createElement('input'), { type: 'file', accept });
    input.addEventListener('change', () => resolve(input.files?.[0]));
    input.addEventListener('cancel', () => resolve(undefined));
    input.click();
  });
}

export function saveFile(name: string, type: string, text: string): void {
  const link = Object.assign(document.createElement('a'), {
    href: URL.createObjectURL(new Blob([text], { type })),
    download: name,
  });
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}

/** Takes the places of a file into one's own notebook. @returns what is to be said of it */
export function loadPlaces(known: readonly Place[]): Thunk<Promise<readonly string[]>> {
  return async (dispatch) => {
    const file = await chooseFile('.gpx,.geojson,.json,application/gpx+xml,application/geo+json');
    if (!file) return [];
    const [{ middleOfAll, readPlaces, MOST_BYTES }, { beginPage }] = await Promise.all([
      import('@pause/core/files'),
      import('../../store/outside'),
    ]);
    if (file.size > MOST_BYTES)
      return [`${file.name}: it is larger than ${MOST_BYTES / 1e6} MB. Nothing was taken of it.`];
    const read = readPlaces(
      await file.text(),
      middleOfAll(known.flatMap(({ fields: { shape } }) => shape ?? [])),
    );
    if ('problems' in read)
      return [
        ...read.problems.map(({ field, reason }) => `${field}: ${reason}.`),
        'Nothing was taken of it.',
      ];
    let taken = 0;
    for (const [
      index,
      { name = `From ${file.name}, ${index + 1}`, note, shape, elevation },
    ] of read.places.entries()) {
      const kept = await dispatch(
        beginPage('place', {
          name: name.slice(0, 120),
          shape,
          ...(note === undefined ? {} : { note }),
          ...(elevation === undefined ? {} : { elevation }),
        }),
      );
      if (kept === undefined) break;
      taken += 1;
    }
    return [
      `${taken === 1 ? 'One place' : `${taken} places`} of ${read.places.length} put down, in your own notebook.`,
      ...read.remarks,
    ];
  };
}

export async function savePlaces(
  format: 'gpx' | 'geojson',
  places: readonly Place[],
  day: string,
): Promise<void> {
  const { toGeoJson, toGpx } = await import('@pause/core/files');
  const written = places.flatMap(({ id, name, fields: { shape, note, elevation } }) =>
    shape ? [{ id, name, note, elevation, shape }] : [],
  );
  if (format === 'gpx') saveFile(`places-${day}.gpx`, 'application/gpx+xml', toGpx(written));
  else saveFile(`places-${day}.geojson`, 'application/geo+json', toGeoJson(written));
}
