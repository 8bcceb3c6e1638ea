import type { CaseView, Look } from '../case';
import type { CompiledGuide } from '../guide';

/**
 * The number of bars against many taxa at once. Each reading is compared with all of them in one run over flat
 * arrays; per taxon three bit sets over the groups that were read remain: groups with a ground free of shared causes,
 * groups with a ground of each set of shared causes, and groups spoiled because something read in them fits.
 */
export interface Tally {
  /** Indices of the taxa counted, in the order asked for. */
  readonly taxa: Int32Array;
  /** Bars against the taxon at this position. */
  readonly count: (position: number) => number;
  /** The first so many looks of a largest set, in a fixed order. */
  readonly looks: (position: number, most: number) => Look[];
  /** The count if this one look had not been made, where it is the only look at its character. */
  readonly countWithout: (position: number, look: Look) => number;
  /** By how much a sure look would change the count: one in this group that is against the taxon, or one that fits it. */
  readonly change: (position: number, group: number, causes: number, relation: 'against' | 'fits') => number;
}

/** Of several groups that can give a ground of the same causes, more than this many are never needed to avoid a clash. */
const ENOUGH_GROUPS = 5;
const ALL_CAUSES = 15;

function popcount(word: number): number {
  let w = word - ((word >>> 1) & 0x55555555);
  w = (w & 0x33333333) + ((w >>> 2) & 0x33333333);
  return Math.imul((w + (w >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
}

/** What was read, in short: a local number for each group, smallest first, and the sets of shared causes. */
function sortOut(view: CaseView): { readonly local: ReadonlyMap<number, number>; readonly masks: readonly number[] } {
  const groups: number[] = [];
  const masks: number[] = [];
  for (const { character, causes } of view.looks) {
    if (!groups.includes(character.group)) groups.push(character.group);
    if (causes !== 0 && !masks.includes(causes)) masks.push(causes);
  }
  const local = new Map<number, number>();
  for (const group of groups.sort((a, b) => a - b)) local.set(group, local.size);
  return { local, masks: masks.sort((a, b) => a - b) };
}

/**
 * Tallies the grounds of a view against these taxa.
 *
 * @param disputed characters (by index) that give no bar on this find
 * @param taxa indices into `guide.taxa`
 */
export function tally(guide: CompiledGuide, view: CaseView, disputed: ReadonlySet<number>, taxa: Int32Array): Tally {
  const { tables } = guide;
  const size = taxa.length;
  const { local, masks } = sortOut(view);
  const words = Math.max(1, (local.size + 31) >>> 5);
  const free = new Uint32Array(size * words);
  const spoiled = new Uint32Array(size * words);
  const bound = masks.map(() => new Uint32Array(size * words));

  const eligible = (look: Look) => look.reading.piece === view.piece && look.reading.sureness === 'sure'
    && !look.character.place && !disputed.has(look.character.index);
  const groundsOf = (causes: number) => (causes === 0 ? free : bound[masks.indexOf(causes)]);
  // A number gives a bar only where every measure of it is against.
  const doubtful = new Map<number, Uint8Array>();

  for (const look of view.looks) {
    const group = local.get(look.character.group) ?? 0;
    const word = group >>> 5;
    const bit = (1 << (group & 31)) >>> 0;
    const gives = eligible(look) ? groundsOf(look.causes) : undefined;
    if (look.kind === 'states') {
      const row = look.character.index * tables.taxa;
      const { mask } = look;
      for (let i = 0; i < size; i += 1) {
        const column = row + (taxa[i] as number);
        const possible = tables.possible[column] as number;
        if (possible === 0) continue;
        const at = i * words + word;
        if ((mask & (tables.usual[column] as number)) !== 0) spoiled[at] = (spoiled[at] as number) | bit;
        else if (gives && (mask & possible) === 0) gives[at] = (gives[at] as number) | bit;
      }
    } else {
      const row = (tables.spanRow[look.character.index] as number) * tables.taxa;
      const doubt = doubtful.get(look.character.index) ?? new Uint8Array(size);
      doubtful.set(look.character.index, doubt);
      for (let i = 0; i < size; i += 1) {
        const column = (row + (taxa[i] as number)) * 4;
        const low = tables.spans[column] as number;
        const at = i * words + word;
        if (look.high < low || look.low > (tables.spans[column + 1] as number)) {
          if (gives) gives[at] = (gives[at] as number) | bit;
          continue;
        }
        doubt[i] = 1;
        if (look.high >= (tables.spans[column + 2] as number) && look.low <= (tables.spans[column + 3] as number)) spoiled[at] = (spoiled[at] as number) | bit;
      }
    }
  }
  const isAgainst = (look: Look, position: number): boolean => {
    const taxon = taxa[position] as number;
    if (look.kind === 'states') {
      const possible = tables.possible[look.character.index * tables.taxa + taxon] as number;
      return possible !== 0 && (look.mask & possible) === 0;
    }
    if (doubtful.get(look.character.index)?.[position] === 1) return false;
    const column = ((tables.spanRow[look.character.index] as number) * tables.taxa + taxon) * 4;
    return look.high < (tables.spans[column] as number) || look.low > (tables.spans[column + 1] as number);
  };
  // Grounds of numbers that some measure does not bear out are taken back: their groups are filled again without them.
  for (const [index, doubt] of doubtful) {
    const globalGroup = guide.characters[index]?.group ?? -1;
    const group = local.get(globalGroup) ?? 0;
    const bit = (1 << (group & 31)) >>> 0;
    const members = view.looks.filter((look) => look.character.group === globalGroup && eligible(look));
    for (let i = 0; i < size; i += 1) {
      if (doubt[i] !== 1) continue;
      const at = i * words + (group >>> 5);
      free[at] = (free[at] as number) & ~bit;
      for (const bits of bound) bits[at] = (bits[at] as number) & ~bit;
      for (const look of members) {
        const bits = groundsOf(look.causes);
        if (bits && isAgainst(look, i)) bits[at] = (bits[at] as number) | bit;
      }
    }
  }

  const has = (bits: Uint32Array, position: number, group: number) => ((bits[position * words + (group >>> 5)] as number) & (1 << (group & 31))) !== 0;

  // Candidates for the grounds that rest on shared causes, of the taxon in hand: by mask, a few groups.
  const candidates = new Int32Array(masks.length * ENOUGH_GROUPS);
  const candidateCount = new Int32Array(masks.length);
  const gather = (position: number): boolean => {
    let any = false;
    for (let m = 0; m < masks.length; m += 1) {
      const bits = bound[m] as Uint32Array;
      let found = 0;
      for (let w = 0; w < words; w += 1) {
        const at = position * words + w;
        let left = (bits[at] as number) & ~(spoiled[at] as number) & ~(free[at] as number);
        while (left !== 0 && found < ENOUGH_GROUPS) {
          const lowest = left & -left;
          candidates[m * ENOUGH_GROUPS + found] = w * 32 + 31 - Math.clz32(lowest);
          found += 1;
          left &= ~lowest;
        }
      }
      candidateCount[m] = found;
      any = any || found > 0;
    }
    return any;
  };
  /**
   * Most picks among the gathered, from mask number `from` on, that share no cause with each other or with `used`, of
   * groups other than a, b, c, d. Exact; at most four deep, since every mask holds one of four causes.
   */
  const most = (from: number, used: number, a: number, b: number, c: number, d: number): number => {
    let m = from;
    while (m < masks.length && (candidateCount[m] === 0 || ((masks[m] as number) & used) !== 0)) m += 1;
    if (m === masks.length) return 0;
    const mask = masks[m] as number;
    const atMost = Math.min(masks.length - m, popcount(ALL_CAUSES & ~used));
    let best = 0;
    for (let k = 0; k < (candidateCount[m] as number) && best < atMost; k += 1) {
      const group = candidates[m * ENOUGH_GROUPS + k] as number;
      if (group === a || group === b || group === c || group === d) continue;
      best = Math.max(best, 1 + most(m + 1, used | mask, group, a, b, c));
    }
    return best < atMost ? Math.max(best, most(m + 1, used, a, b, c, d)) : best;
  };
  const boundCount = (position: number): number => (masks.length > 0 && gather(position) ? most(0, 0, -1, -1, -1, -1) : 0);
  /** The picks themselves, the first of the largest sets. */
  const picks = (position: number): (readonly [mask: number, group: number])[] => {
    const picked: (readonly [number, number])[] = [];
    let left = boundCount(position);
    let used = 0;
    for (let m = 0; m < masks.length && left > 0; m += 1) {
      const mask = masks[m] as number;
      if ((mask & used) !== 0) continue;
      const [a = -1, b = -1, c = -1] = picked.map(([, group]) => group);
      for (let k = 0; k < (candidateCount[m] as number); k += 1) {
        const group = candidates[m * ENOUGH_GROUPS + k] as number;
        if (group === a || group === b || group === c || 1 + most(m + 1, used | mask, group, a, b, c) < left) continue;
        picked.push([mask, group]);
        used |= mask;
        left -= 1;
        break;
      }
    }
    return picked;
  };

  const counted = (position: number): number => {
    let sum = boundCount(position);
    for (let at = position * words; at < (position + 1) * words; at += 1) sum += popcount((free[at] as number) & ~(spoiled[at] as number));
    return sum;
  };
  const counts = new Int16Array(size);
  /** Whether any ground against this taxon rests on a shared cause. */
  const anyShared = new Uint8Array(size);
  for (let i = 0; i < size; i += 1) {
    counts[i] = counted(i);
    for (const bits of bound) for (let w = 0; w < words; w += 1) if (bits[i * words + w] !== 0) anyShared[i] = 1;
  }
  const count = (position: number): number => counts[position] as number;

  const looksOf: (Look[] | undefined)[] = [];
  const inGroup = (group: number): Look[] => (
    looksOf[group] ??= view.looks.filter((look) => local.get(look.character.group) === group && eligible(look))
  );
  const looks = (position: number, wanted: number): Look[] => {
    const chosen: Look[] = [];
    const take = (group: number, causes: number) => {
      const look = inGroup(group).find((l) => l.causes === causes && isAgainst(l, position));
      if (look) chosen.push(look);
    };
    for (let group = 0; group < local.size && chosen.length < wanted; group += 1) {
      if (has(free, position, group) && !has(spoiled, position, group)) take(group, 0);
    }
    if (chosen.length < wanted && anyShared[position] === 1) {
      for (const [mask, group] of picks(position).slice(0, wanted - chosen.length)) take(group, mask);
    }
    return chosen;
  };

  const countWithout = (position: number, look: Look): number => {
    if (!eligible(look) || !isAgainst(look, position)) return count(position);
    const group = local.get(look.character.group) ?? 0;
    if (inGroup(group).some((l) => l !== look && l.causes === look.causes && isAgainst(l, position))) return count(position);
    const bits = groundsOf(look.causes);
    if (!bits) return count(position);
    const at = position * words + (group >>> 5);
    const kept = bits[at] as number;
    bits[at] = kept & ~(1 << (group & 31));
    const after = counted(position);
    bits[at] = kept;
    return after;
  };

  const change = (position: number, globalGroup: number, causes: number, relation: 'against' | 'fits'): number => {
    const group = local.get(globalGroup);
    if (relation === 'fits') {
      if (group === undefined || has(spoiled, position, group)) return 0;
      if (!has(free, position, group) && anyShared[position] === 0) return 0;
      const at = position * words + (group >>> 5);
      const kept = spoiled[at] as number;
      spoiled[at] = kept | (1 << (group & 31));
      const after = counted(position);
      spoiled[at] = kept;
      return after - count(position);
    }
    if (group !== undefined && (has(spoiled, position, group) || has(free, position, group))) return 0;
    if (anyShared[position] === 0) return 1;
    const had = boundCount(position);
    // A new free group counts one; if it was picked for a ground with a cause before, that pick is lost unless replaced.
    if (causes === 0) return group === undefined ? 1 : 1 + most(0, 0, group, -1, -1, -1) - had;
    return Math.max(had, 1 + most(0, causes, group ?? -1, -1, -1, -1)) - had;
  };

  return { taxa, count, looks, countWithout, change };
}
