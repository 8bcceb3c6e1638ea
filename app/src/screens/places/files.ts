import { chooseFile, saveFile } from '../../lib/files';
import type { Thunk } from '../../notebook/store';
import type { Place } from '../../notebook/usePlaces';
import { t } from '../../text/en/places';
import { remarkWords } from './fileRemarks';

/** Takes the places of a file into one's own notebook. @returns remarks on it */
export function loadPlaces(known: readonly Place[]): Thunk<Promise<readonly string[]>> {
  return async (dispatch) => {
    const file = await chooseFile('.gpx,.geojson,.json,application/gpx+xml,application/geo+json');
    if (!file) return [];
    const [{ middleOfAll, readPlaces, MOST_BYTES }, { beginPage }] = await Promise.all([
      import('@pause/core/formats/files'),
      import('../../notebook/outside'),
    ]);
    if (file.size > MOST_BYTES) return [t.itIsLargerThanMbNothing(file.name, MOST_BYTES / 1e6)];
    const read = readPlaces(
      await file.text(),
      middleOfAll(known.flatMap(({ fields: { shape } }) => shape ?? [])),
    );
    if ('problems' in read)
      return [...read.problems.map(({ field, reason }) => `${field}: ${reason}.`), t.nothingWasTakenOfIt];
    let taken = 0;
    for (const [
      index,
      { name = t.from(file.name, index + 1), note, shape, elevation },
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
    return [t.placesOfPutDownIn(taken, read.places.length), ...read.remarks.map(remarkWords)];
  };
}

export async function savePlaces(
  format: 'gpx' | 'geojson',
  places: readonly Place[],
  day: string,
): Promise<void> {
  const { toGeoJson, toGpx } = await import('@pause/core/formats/files');
  const written = places.flatMap(({ id, name, fields: { shape, note, elevation } }) =>
    shape ? [{ id, name, note, elevation, shape }] : [],
  );
  if (format === 'gpx') saveFile(`places-${day}.gpx`, 'application/gpx+xml', toGpx(written));
  else saveFile(`places-${day}.geojson`, 'application/geo+json', toGeoJson(written));
}
