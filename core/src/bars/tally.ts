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

/** Of several groups that can give a mask, more than this many are never needed to avoid a clash. */
const ENOUGH_GROUPS = 5;

function popcount(word: number): number {
  let w = word - ((word >>> 1) & 0x55555555);
  w = (w & 0x33333333) + ((w >>> 2) & 0x33333333);
  return Math.imul((w + (w >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
}

interface Pick {
  readonly mask: number;
  readonly groups: readonly number[];
}

/** Most picks with disjoint masks and distinct groups; at most four, since every mask holds one of four causes. */
function bestPicks(picks: readonly Pick[], from: number, usedMask: number, usedGroups: readonly number[]): readonly (readonly [number, number])[] {
  let best: readonly (readonly [number, number])[] = [];
  for (let i = from; i < picks.length; i += 1) {
    const { mask, groups } = picks[i] as Pick;
    if ((mask & usedMask) !== 0) continue;
    for (const group of groups) {
      if (usedGroups.includes(group)) continue;
      const rest = bestPicks(picks, i + 1, usedMask | mask, [...usedGroups, group]);
      if (rest.length + 1 > best.length) best = [[mask, group], ...rest];
    }
  }
  return best;
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
  const local = new Map<number, number>();
  for (const group of [...new Set(view.looks.map((look) => look.character.group))].sort((a, b) => a - b)) local.set(group, local.size);
  const words = Math.max(1, (local.size + 31) >>> 5);
  const masks = [...new Set(view.looks.map((look) => look.causes))].filter((mask) => mask !== 0).sort((a, b) => a - b);
  const free = new Uint32Array(size * words);
  const spoiled = new Uint32Array(size * words);
  const bound = masks.map(() => new Uint32Array(size * words));

  const eligible = (look: Look) => look.reading.piece === view.piece && look.reading.sureness === 'sure'
    && !look.character.place && !disputed.has(look.character.index);
  // A number gives a bar only where every measure of it is against.
  const doubtful = new Map<number, Uint8Array>();

  for (const look of view.looks) {
    const group = local.get(look.character.group) ?? 0;
    const word = group >>> 5;
    const bit = (1 << (group & 31)) >>> 0;
    const gives = eligible(look) ? (look.causes === 0 ? free : bound[masks.indexOf(look.causes)]) : undefined;
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
  for (const index of doubtful.keys()) {
    const globalGroup = guide.characters[index]?.group ?? -1;
    const group = local.get(globalGroup) ?? 0;
    const bit = (1 << (group & 31)) >>> 0;
    const members = view.looks.filter((look) => look.character.group === globalGroup && eligible(look));
    for (let i = 0; i < size; i += 1) {
      if (doubtful.get(index)?.[i] !== 1) continue;
      const at = i * words + (group >>> 5);
      for (const bits of [free, ...bound]) bits[at] = (bits[at] as number) & ~bit;
      for (const look of members) {
        const bits = look.causes === 0 ? free : bound[masks.indexOf(look.causes)];
        if (bits && isAgainst(look, i)) bits[at] = (bits[at] as number) | bit;
      }
    }
  }

  const set = (bits: Uint32Array, position: number, group: number) => ((bits[position * words + (group >>> 5)] as number) & (1 << (group & 31))) !== 0;

  const picksOf = (position: number): Pick[] => masks.flatMap((mask, m) => {
    const groups: number[] = [];
    for (let w = 0; w < words; w += 1) {
      const at = position * words + w;
      let left = ((bound[m] as Uint32Array)[at] as number) & ~(spoiled[at] as number) & ~(free[at] as number);
      while (left !== 0 && groups.length < ENOUGH_GROUPS) {
        const lowest = left & -left;
        groups.push(w * 32 + 31 - Math.clz32(lowest));
        left &= ~lowest;
      }
    }
    return groups.length > 0 ? [{ mask, groups }] : [];
  });

  const counted = (position: number): number => {
    let sum = 0;
    let anyBound = 0;
    for (let w = 0; w < words; w += 1) {
      const at = position * words + w;
      const good = ~(spoiled[at] as number);
      sum += popcount((free[at] as number) & good);
      for (const bits of bound) anyBound |= (bits[at] as number) & good & ~(free[at] as number);
    }
    return anyBound === 0 ? sum : sum + bestPicks(picksOf(position), 0, 0, []).length;
  };
  const counts = new Int16Array(size);
  /** Whether any ground against this taxon rests on a shared cause. */
  const anyShared = new Uint8Array(size);
  for (let i = 0; i < size; i += 1) {
    counts[i] = counted(i);
    for (const bits of bound) for (let w = 0; w < words; w += 1) if (bits[i * words + w] !== 0) anyShared[i] = 1;
  }
  const count = (position: number): number => counts[position] as number;

  const looksOf = new Map<number, Look[]>();
  for (const look of view.looks) {
    if (!eligible(look)) continue;
    const group = local.get(look.character.group) ?? 0;
    looksOf.set(group, [...(looksOf.get(group) ?? []), look]);
  }
  const looks = (position: number, most: number): Look[] => {
    const chosen: Look[] = [];
    const take = (group: number, causes: number) => {
      const look = looksOf.get(group)?.find((l) => l.causes === causes && isAgainst(l, position));
      if (look) chosen.push(look);
    };
    for (let group = 0; group < local.size && chosen.length < most; group += 1) {
      if (set(free, position, group) && !set(spoiled, position, group)) take(group, 0);
    }
    if (chosen.length < most) for (const [mask, group] of bestPicks(picksOf(position), 0, 0, []).slice(0, most - chosen.length)) take(group, mask);
    return chosen;
  };

  const countWithout = (position: number, look: Look): number => {
    const group = local.get(look.character.group) ?? 0;
    if (!eligible(look) || !isAgainst(look, position)) return count(position);
    const others = (looksOf.get(group) ?? []).filter((l) => l !== look && l.causes === look.causes && isAgainst(l, position));
    if (others.length > 0) return count(position);
    const bits = look.causes === 0 ? free : bound[masks.indexOf(look.causes)];
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
      if (group === undefined || set(spoiled, position, group)) return 0;
      if (!set(free, position, group) && anyShared[position] === 0) return 0;
      const at = position * words + (group >>> 5);
      const kept = spoiled[at] as number;
      spoiled[at] = kept | (1 << (group & 31));
      const after = counted(position);
      spoiled[at] = kept;
      return after - count(position);
    }
    if (group !== undefined && (set(spoiled, position, group) || set(free, position, group))) return 0;
    if (anyShared[position] === 0) return 1;
    const picks = picksOf(position);
    const had = bestPicks(picks, 0, 0, []).length;
    if (causes === 0) {
      // A new free group counts one; if it was picked for a bound ground before, that pick is lost unless replaced.
      if (group === undefined || !picks.some((p) => p.groups.includes(group))) return 1;
      return 1 + bestPicks(picks.map((p) => ({ ...p, groups: p.groups.filter((g) => g !== group) })), 0, 0, []).length - had;
    }
    const own = group ?? local.size;
    return bestPicks([...picks, { mask: causes, groups: [own] }], 0, 0, []).length - had;
  };

  return { taxa, count, looks, countWithout, change };
}
