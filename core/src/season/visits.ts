import type { Day } from '../lib/day';
import type { Span } from './window';

/** When to look again, so that the good days are hardly missed and few walks are made. */

/**
 * Something that ripens at one place, by all the ways in which its good days may fall; each as likely as the
 * others.
 */
export interface Ripening {
  readonly id: string;
  /** Days of the calendar. Left out where it does not come: that cannot be missed. */
  readonly spans: readonly Span[];
}
export interface Visits {
  readonly days: readonly Day[];
  /** By id, from 0 to 1: how likely it is that no visit falls into its good days. */
  readonly missed: ReadonlyMap<string, number>;
}

const MOST_VISITS = 12;

/** How likely it is that none of these days falls into the good ones. */
export function missedBy(spans: readonly Span[], days: readonly Day[]): number {
  return spans.length === 0
    ? 0
    : spans.filter(({ begins, ends }) => !days.some((day) => day >= begins && day <= ends)).length /
        spans.length;
}

/**
 * The fewest days on which to look at one place: with no fewer can the chance to miss the good days be that
 * small. Found by dynamic programming over the last day of so many: which ways of ripening a further visit
 * meets depends only on the visit before it.
 *
 * @param from the first day on which somebody can go, `to` the last
 * @param risk the chance to miss that is accepted, from 0 to 1
 */
export function fewestVisits(spans: readonly Span[], from: Day, to: Day, risk: number): readonly Day[] {
  const open = spans.filter(({ ends }) => ends >= from);
  const days = to - from + 1;
  const wanted = Math.ceil((1 - risk) * open.length - 1e-9);
  if (open.length === 0 || days <= 0 || wanted <= 0) return [];
  /** How many begin after one day, by another, and last until that. */
  const met = (before: number, at: number) => {
    let count = 0;
    for (const { begins, ends } of open) if (begins > before && begins <= at && ends >= at) count += 1;
    return count;
  };
  const first = Float64Array.from({ length: days }, (_, day) => met(-Infinity, from + day));
  const gain = Array.from({ length: days }, (_, before) =>
    Float64Array.from({ length: days }, (__, day) => (day > before ? met(from + before, from + day) : 0)),
  );
  const came: Int32Array[] = [new Int32Array(days).fill(-1)];
  let best = first;
  let most: readonly Day[] = [];
  for (let visits = 1; visits <= MOST_VISITS; visits += 1) {
    // Of days that are as good, the middle one: what is foreseen may be wrong either way.
    const top = Math.max(...best);
    const as_good = [...best.keys()].filter((day) => best[day] === top);
    most = traced(came, as_good[Math.floor((as_good.length - 1) / 2)] ?? 0).map((day) => from + day);
    if (top >= wanted) return most;
    const next = new Float64Array(days);
    const back = new Int32Array(days).fill(-1);
    for (let day = 1; day < days; day += 1) {
      for (let before = 0; before < day; before += 1) {
        const value = (best[before] ?? 0) + (gain[before]?.[day] ?? 0);
        if (value > (next[day] ?? 0)) {
          next[day] = value;
          back[day] = before;
        }
      }
    }
    came.push(back);
    best = next;
  }
  // Good days so short and so uncertain that no reasonable number of walks is enough: as many as are
  // reasonable.
  return most;
}

function traced(came: readonly Int32Array[], last: number): number[] {
  const days: number[] = [];
  for (
    let at = last, visit = came.length - 1;
    at >= 0 && visit >= 0;
    at = came[visit]?.[at] ?? -1, visit -= 1
  )
    days.unshift(at);
  return days;
}

/**
 * Days on which to look at several places that one walk joins, so that nothing of all that ripens there is
 * missed with more than the accepted risk. Always the day that brings most is added, then what has become
 * needless is taken out: never many more than the fewest (Wolsey 1982, for submodular covers).
 */
export function joinedVisits(all: readonly Ripening[], from: Day, to: Day, risk: number): Visits {
  const reachable = all.map(({ id, spans }) => ({
    id,
    spans: spans.filter(({ ends, begins }) => ends >= from && begins <= to),
  }));
  const missed = (days: readonly Day[]) =>
    new Map(reachable.map(({ id, spans }) => [id, missedBy(spans, days)]));
  const [only] = reachable;
  if (reachable.length === 1 && only) {
    const days = fewestVisits(only.spans, from, to, risk);
    return { days, missed: missed(days) };
  }
  const short = (days: readonly Day[]) =>
    reachable.reduce((sum, { spans }) => sum + Math.max(0, missedBy(spans, days) - risk), 0);
  let days: Day[] = [];
  for (let left = short(days); left > 1e-9 && days.length < MOST_VISITS * 2; left = short(days)) {
    let [bestLeft, bestDays]: [number, Day[]] = [left, []];
    for (let day = from; day <= to; day += 1) {
      const now = short([...days, day]);
      if (now < bestLeft - 1e-12) [bestLeft, bestDays] = [now, [day]];
      else if (bestDays.length > 0 && Math.abs(now - bestLeft) <= 1e-12) bestDays.push(day);
    }
    const chosen = bestDays[Math.floor((bestDays.length - 1) / 2)];
    if (chosen === undefined) break;
    days.push(chosen);
  }
  for (const day of [...days]) {
    const without = days.filter((other) => other !== day);
    if (short(without) <= Math.max(short(days), 1e-9)) days = without;
  }
  days.sort((a, b) => a - b);
  return { days, missed: missed(days) };
}
