import type { Day } from '../../lib/day';

/** Daily weather of one station, day after day without a gap. */
export interface WeatherSeries {
  /** Metres above the sea. */
  readonly elevation: number;
  readonly from: Day;
  /** Least and greatest temperature of each day, in degrees Celsius. */
  readonly least: readonly number[];
  readonly most: readonly number[];
  /** Rain, and snow as water, of each day in millimetres. */
  readonly rain: readonly number[];
  /** It was made up, in place of a real one. */
  readonly simulated?: boolean;
}

/** Where weather comes from: a station's file, or a stand-in. */
export interface WeatherSource {
  readonly title: string;
  readonly series: WeatherSeries;
}

/** The first day after the last one known. */
export const endOf = ({ from, least }: WeatherSeries): Day => from + least.length;
