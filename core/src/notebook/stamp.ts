import { z } from 'zod';

/**
 * When something was recorded, so that devices which were apart agree on what came last. A hybrid logical clock:
 * it stays as close to the wall clock as it can, never runs backwards, and orders what one device heard of
 * before what it recorded afterwards.
 *
 * Source: Kulkarni, Demirbas, Madappa, Avva, Leone, "Logical Physical Clocks", OPODIS 2014.
 */
export interface Moment {
  /** Milliseconds since 1970, UTC. */
  readonly ms: number;
  /** Orders what falls into one millisecond. */
  readonly count: number;
  /** Orders what two devices recorded in the same millisecond. */
  readonly device: string;
}

const FORM = /^(\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z)-([0-9a-z]{4})-([A-Za-z0-9_]{1,32})$/;
const MOST = 36 ** 4;

/**
 * A moment as text; texts sort as moments do: `2026-09-14T07:40:00.000Z-0000-karrow`. Its form only: whether
 * it tells a time is for `isTime`.
 */
export const Stamp = z
  .string()
  .regex(FORM, 'an instant, four digits and a device, like 2026-09-14T07:40:00.000Z-0000-karrow')
  .brand<'Stamp'>();
export type Stamp = z.infer<typeof Stamp>;

export function stampOf({ ms, count, device }: Moment): Stamp {
  const [whole, left] = [ms + Math.floor(count / MOST), count % MOST];
  return `${new Date(whole).toISOString()}-${left.toString(36).padStart(4, '0')}-${device}` as Stamp;
}

/** @throws TypeError for a text that is no stamp */
export function momentOf(stamp: Stamp): Moment {
  const [, instant, count, device] = FORM.exec(stamp) ?? [];
  if (instant === undefined || count === undefined || device === undefined)
    throw new TypeError(`"${stamp}" is not a stamp`);
  return { ms: Date.parse(instant), count: parseInt(count, 36), device };
}

const EARLIEST_MS = 0;
const LATEST_MS = Date.UTC(2100, 0, 1);

/** Whether milliseconds since 1970 are of a time in which something can have been recorded: from 1970 to 2099. */
export const isInTime = (ms: number): boolean => ms >= EARLIEST_MS && ms < LATEST_MS;

/**
 * Whether a stamp tells a time that there is, from 1970 to 2099: `9999-99-99T99:99:99.999Z-…` has the form
 * and tells none.
 */
export function isTime(stamp: Stamp): boolean {
  const [, instant] = FORM.exec(stamp) ?? [];
  const ms = instant === undefined ? NaN : Date.parse(instant);
  return isInTime(ms) && new Date(ms).toISOString() === instant;
}

/**
 * A stamp heard of is never further ahead than this, unless it is wrong: a server allows minutes, and a clock
 * that is off by more is set right by it.
 */
const MOST_HEARD_AHEAD_MS = 3_600_000;
/** There was no Pause before: a clock that says so is wrong, and what was heard of is not. */
const FIRST_DAY_MS = Date.UTC(2026, 0, 1);

/**
 * Whether a device goes on from this stamp. What tells no time, or is far ahead, would silence it or win over
 * everybody for good.
 */
function isBelieved(stamp: Stamp, now: number): boolean {
  return isTime(stamp) && (now < FIRST_DAY_MS || momentOf(stamp).ms <= now + MOST_HEARD_AHEAD_MS);
}

/**
 * The stamp of what is recorded now: later than everything recorded or received before that can be believed, whatever
 * the wall clock says.
 */
export function nextStamp(last: Stamp | undefined, now: number, device: string): Stamp {
  const was = last !== undefined && isBelieved(last, now) ? momentOf(last) : undefined;
  if (!was || now > was.ms) return stampOf({ ms: now, count: 0, device });
  return stampOf({ ms: was.ms, count: was.count + 1, device });
}

/** The last stamp of a device that hears of another's. One that tells no time is not heard. */
export function latest(last: Stamp | undefined, other: Stamp): Stamp | undefined {
  if (!isTime(other)) return last;
  return last !== undefined && isTime(last) && last >= other ? last : other;
}

/** A clock further ahead than this is wrong, and must not win over everybody for as long as it is. */
export const MOST_AHEAD_MS = 5 * 60_000;

/** Whether a stamp was made by a clock that is wrong, by the clock of whoever asks. */
export function tooFarAhead(stamp: Stamp, now: number): boolean {
  return momentOf(stamp).ms > now + MOST_AHEAD_MS;
}
