import { useEffect, useState } from 'react';
import { z } from 'zod';
import type { MapData } from '@pause/core/formats/files';
import { chooseFile } from '../../lib/files';
import { useAct, useApp, type Thunk } from '../../notebook/store';
import { t } from '../../text/en/places';
import { remarkWords } from './fileRemarks';

/**
 * The map that places are drawn on: one's own, kept on this device; else, in the demo, the invented valley.
 */

// What was kept here had been read whole before.
const Kept = z.object({ type: z.literal('FeatureCollection'), features: z.array(z.looseObject({})) });
const kept =
  (): Thunk<Promise<MapData | undefined>> =>
  async (_, __, { device }) =>
    Kept.safeParse(await device.file('map')).data as unknown as MapData | undefined;
const theValley = (): Promise<MapData> =>
  import('./valley.json').then((file) => ('default' in file ? file.default : file) as unknown as MapData);

export interface ShownMap {
  readonly data: MapData | undefined;
  readonly own: boolean;
  /** Looks again, after a map was loaded or forgotten. */
  readonly again: () => void;
}

export function useMap(): ShownMap {
  const act = useAct();
  const demo = useApp((state) => state.me.person?.demo === true);
  const [round, setRound] = useState(0);
  const [shown, setShown] = useState<Omit<ShownMap, 'again'>>({ data: undefined, own: false });
  useEffect(() => {
    let cancelled = false;
    void act(kept()).then(async (own) => {
      const data = own ?? (demo ? await theValley() : undefined);
      if (!cancelled) setShown({ data, own: own !== undefined });
    });
    return () => {
      cancelled = true;
    };
  }, [act, demo, round]);
  return { ...shown, again: () => setRound(round + 1) };
}

/** Takes a map out of a file into use on this device. @returns remarks on it */
export function loadMap(): Thunk<Promise<readonly string[]>> {
  return async (_, __, { device }) => {
    const file = await chooseFile('.geojson,.json,application/geo+json');
    if (!file) return [];
    const { readMap, MOST_BYTES } = await import('@pause/core/formats/files');
    if (file.size > MOST_BYTES) return [t.itIsLargerThanMb(file.name, MOST_BYTES / 1e6)];
    const read = readMap(await file.text());
    if ('problems' in read)
      return [...read.problems.map(({ field, reason }) => `${field}: ${reason}.`), t.theMapStaysAsIt];
    try {
      await device.keepFile('map', read.map);
    } catch (error) {
      return [error instanceof Error ? error.message : String(error)];
    }
    return [t.isTheMapOnThis(file.name), ...read.remarks.map(remarkWords)];
  };
}

export const forgetMap =
  (): Thunk<Promise<void>> =>
  async (_, __, { device }) => {
    await device.keepFile('map', undefined);
  };
