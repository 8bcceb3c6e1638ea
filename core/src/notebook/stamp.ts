import { z } from 'zod';

/**
 * When something was told, so that devices which were apart agree on what came last. A hybrid logical clock: it stays as close to the wall clock
 * as it can, never runs backwards, and orders what one device heard of before what it told afterwards.
 *
 * Source: Kulkarni, Demirbas, Madappa, Avva, Leone, "Logical Physical Clocks", OPODIS 2014.
 */
export interface Moment {
  /** Milliseconds since 1970, UTC. */
  readonly ms: number;
  /** Orders what falls into one millisecond. */
  readonly count: number;
  /** Settles what two devices told in the same millisecond. */
  readonly device: string;
}

const FORM = /^(\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z)-([0-9a-z]{4})-([A-Za-z0-9_]{1,32})$/;
const MOST = 36 ** 4;

/** A moment as text; texts sort as moments do: `2026-09-14T07:40:00.000Z-0000-karrow`. */
export const Stamp = z.string().regex(FORM, 'an instant, four digits and a device, like 2026-09-14T07:40:00.000Z-0000-karrow').brand<'Stamp'>();
export type Stamp = z.infer<typeof Stamp>;

export function stampOf({ ms, count, device }: Moment): Stamp {
  const [whole, left] = [ms + Math.floor(count / MOST), count % MOST];
  return `${new Date(whole).toISOString()}-${left.toString(36).padStart(4, '0')}-${device}` as Stamp;
}

/** @throws TypeError for a text that is no stamp */
export function momentOf(stamp: Stamp): Moment {
  const [, instant, count, device] = FORM.exec(stamp) ?? [];
  if (instant === undefined || count === undefined || device === undefined) throw new TypeError(`"${stamp}" is not a stamp`);
  return { ms: Date.parse(instant), count: parseInt(count, 36), device };
}

/** The stamp of what is told now: later than everything told or heard of before, whatever the wall clock says. */
export function nextStamp(last: Stamp | undefined, now: number, device: string): Stamp {
  const was = last === undefined ? undefined : momentOf(last);
  if (!was || now > was.ms) return stampOf({ ms: now, count: 0, device });
  return stampOf({ ms: was.ms, count: was.count + 1, device });
}

/** The last stamp of a device that hears of another's. */
export function heard(last: Stamp | undefined, other: Stamp): Stamp {
  return last !== undefined && last >= other ? last : other;
}

/** A clock further ahead than this is wrong, and must not win over everybody for as long as it is. */
export const MOST_AHEAD_MS = 5 * 60_000;

/** Whether a stamp was made by a clock that is wrong, by the clock of whoever asks. */
export function tooFarAhead(stamp: Stamp, now: number): boolean {
  return momentOf(stamp).ms > now + MOST_AHEAD_MS;
}
