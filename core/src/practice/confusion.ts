import type { Sureness } from '../case';
import type { CharacterId, StateId } from '../guide';

/** What somebody takes for what, and how sure they were: from drills, where it is known what was shown. */

export interface Read {
  readonly character: CharacterId;
  readonly shown: StateId;
  readonly read: StateId;
  readonly sureness: Sureness;
}
export interface Rate {
  readonly times: number;
  readonly wrong: number;
  /** In eight of ten cases the true rate lies between the two. */
  readonly low: number;
  readonly mid: number;
  readonly high: number;
}

/**
 * As if one in twenty had been read wrongly before anything was: what the guide's own misread rates lie
 * about.
 */
const PRIOR = { wrong: 0.5, right: 9.5 };
const GRID = 1000;

/**
 * The rate at which something goes wrong, from how often it did (beta-binomial).
 *
 * @throws RangeError for counts that are none
 */
export function rateOf(wrong: number, times: number, prior = PRIOR): Rate {
  if (!(Number.isInteger(wrong) && Number.isInteger(times) && wrong >= 0 && wrong <= times))
    throw new RangeError('wrong: a whole number from 0 to the times');
  const [a, b] = [wrong + prior.wrong, times - wrong + prior.right];
  // In logarithms, so that many times do not run out of numbers.
  const logs = Array.from({ length: GRID }, (_, at) => {
    const p = (at + 0.5) / GRID;
    return (a - 1) * Math.log(p) + (b - 1) * Math.log(1 - p);
  });
  const most = logs.reduce((x, y) => Math.max(x, y), -Infinity);
  const weights = logs.map((log) => Math.exp(log - most));
  const all = weights.reduce((x, y) => x + y, 0);
  const at = (share: number) => {
    let sum = 0;
    for (const [index, weight] of weights.entries()) {
      sum += weight;
      if (sum >= share * all) return (index + 0.5) / GRID;
    }
    return 1;
  };
  return { times, wrong, low: at(0.1), mid: a / (a + b), high: at(0.9) };
}

export interface Confusion {
  /** How often each character is misread. */
  readonly byCharacter: ReadonlyMap<CharacterId, Rate>;
  /** What was taken for what, most often first. */
  readonly pairs: readonly {
    readonly character: CharacterId;
    readonly shown: StateId;
    readonly read: StateId;
    readonly times: number;
  }[];
  /** How often each word of sureness was right. */
  readonly calibration: Readonly<Record<Sureness, Rate>>;
}

export function confusionOf(reads: readonly Read[]): Confusion {
  const characters = grouped(reads);
  const pairs = new Map<string, { character: CharacterId; shown: StateId; read: StateId; times: number }>();
  for (const { character, shown, read } of reads) {
    if (shown === read) continue;
    const key = `${character} ${shown} ${read}`;
    const known = pairs.get(key);
    if (known) known.times += 1;
    else pairs.set(key, { character, shown, read, times: 1 });
  }
  const wrongOf = (some: readonly Read[]) =>
    rateOf(some.filter(({ shown, read }) => shown !== read).length, some.length);
  const wrongWhen = (sureness: Sureness) => wrongOf(reads.filter((one) => one.sureness === sureness));
  return {
    byCharacter: new Map([...characters].map(([character, some]) => [character, wrongOf(some)])),
    pairs: [...pairs.values()].sort(
      (a, b) => b.times - a.times || (`${a.character}${a.shown}` < `${b.character}${b.shown}` ? -1 : 1),
    ),
    calibration: { sure: wrongWhen('sure'), fairly: wrongWhen('fairly'), guess: wrongWhen('guess') },
  };
}

function grouped(reads: readonly Read[]): Map<CharacterId, Read[]> {
  const all = new Map<CharacterId, Read[]>();
  for (const one of reads) {
    const some = all.get(one.character);
    if (some) some.push(one);
    else all.set(one.character, [one]);
  }
  return all;
}
