import { useEffect, useState } from 'react';
import { z } from 'zod';
import { isoOf } from '@pause/core/lib/day';
import { yearsOf } from '@pause/core/season';
import { endOf, parseWeather, type WeatherSeries } from '@pause/core/season/weather';
import { chooseFile } from '../../lib/files';
import { useAct, type Thunk } from '../../notebook/store';
import { t as placesText } from '../../text/en/places';
import { t } from '../../text/en/week';
import { isoDayName } from '../../text/places';

/** Weather of a station of one's own, kept on this device. */

const numbers = z.array(z.number());
const Kept = z.object({
  elevation: z.number(),
  from: z.number().int(),
  least: numbers,
  most: numbers,
  rain: numbers,
});
const MOST_BYTES = 5_000_000;

const kept =
  (): Thunk<Promise<WeatherSeries | undefined>> =>
  async (_, __, { device }) =>
    Kept.safeParse(await device.file('weather')).data;

/**
 * What was loaded here, and a way to look again after loading; `undefined` while nobody knows yet, `null`
 * where there is none.
 */
export function useWeather(): {
  readonly weather: WeatherSeries | null | undefined;
  readonly again: () => void;
} {
  const act = useAct();
  const [round, setRound] = useState(0);
  const [weather, setWeather] = useState<WeatherSeries | null | undefined>();
  useEffect(() => {
    let cancelled = false;
    void act(kept()).then((found) => {
      if (!cancelled) setWeather(found ?? null);
    });
    return () => {
      cancelled = true;
    };
  }, [act, round]);
  return { weather, again: () => setRound(round + 1) };
}

/** Takes a station's table into use on this device. @returns remarks on it */
export function loadWeather(): Thunk<Promise<readonly string[]>> {
  return async (_, __, { device }) => {
    const file = await chooseFile('.csv,text/csv');
    if (!file) return [];
    if (file.size > MOST_BYTES) return [placesText.itIsLargerThanMbNothing(file.name, MOST_BYTES / 1e6)];
    const parsed = parseWeather(await file.text());
    if ('problems' in parsed)
      return [
        ...parsed.problems.map(({ field, reason }) => `${field}: ${reason}.`),
        placesText.nothingWasTakenOfIt,
      ];
    const { series, filled } = parsed;
    if (yearsOf(series).length === 0) return [t.dateAtLeastOneWhole];
    try {
      await device.keepFile('weather', series);
    } catch (error) {
      return [error instanceof Error ? error.message : String(error)];
    }
    return [
      t.weatherFromToIsIn(isoDayName(isoOf(series.from)), isoDayName(isoOf(endOf(series) - 1))),
      ...(filled.length > 0 ? [t.daysWereMissingAndFilled(filled.length)] : []),
    ];
  };
}

/** Back to the made-up stand-in. */
export const forgetWeather =
  (): Thunk<Promise<void>> =>
  async (_, __, { device }) => {
    await device.keepFile('weather', undefined);
  };
