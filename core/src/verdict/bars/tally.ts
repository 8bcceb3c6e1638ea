import type { CaseView, Look } from '../../case';
import { CAUSE_SETS, type CompiledGuide } from '../../guide';

/**
 * Of several groups that can give a ground of the same causes, more than this many are never needed to avoid
 * a clash.
 */
const ENOUGH_GROUPS = 6;
const ALL_CAUSES = CAUSE_SETS - 1;

function popcount(word: number): number {
  let w = word - ((word >>> 1) & 0x55555555);
  w = (w & 0x33333333) + ((w >>> 2) & 0x33333333);
  return Math.imul((w + (w >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
}

/** What was read, in short: a local number for each group, smallest first, and the sets of shared causes. */
function sortOut(view: CaseView): {
  readonly local: ReadonlyMap<number, number>;
  readonly masks: readonly number[];
} {
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
export function tally(
  guide: CompiledGuide,
  view: CaseView,
  disputed: ReadonlySet<number>,
  taxa: Int32Array,
): Tally {
  return new Tally(guide, view, disputed, taxa);
}

/**
 * The number of bars against many taxa at once. Each reading is compared with all of them in one run over
 * flat arrays; per taxon three bit sets over the groups that were read remain: groups with a ground free of
 * shared causes, groups with a ground of each set of shared causes, and groups spoiled because something read
 * in them fits. Positions are places in `taxa`.
 */
export class Tally {
  private readonly words: number;
  private readonly local: ReadonlyMap<number, number>;
  private readonly masks: readonly number[];
  private readonly free: Uint32Array;
  private readonly spoiled: Uint32Array;
  private readonly bound: readonly Uint32Array[];
  /**
   * By character: taxa that some measure of it is not against. A number gives a bar only where every measure
   * is.
   */
  private readonly doubtful = new Map<number, Uint8Array>();
  /** Looks that can give grounds, by their place in the view, by local group. */
  private readonly looksOf: readonly number[][];
  private readonly counts: Int16Array;
  /** Whether any ground against this taxon rests on a shared cause. */
  private readonly anyShared: Uint8Array;
  /** Candidates for the grounds that rest on shared causes, of the taxon in hand: by mask, a few groups. */
  private readonly candidates: Int32Array;
  private readonly candidateCount: Int32Array;
  private readonly chosen: number[] = [];
  private readonly lists = new Map<number, readonly Look[]>();

  constructor(
    private readonly guide: CompiledGuide,
    private readonly view: CaseView,
    private readonly disputed: ReadonlySet<number>,
    /** Indices of the taxa counted, in the order asked for. */
    readonly taxa: Int32Array,
  ) {
    const { local, masks } = sortOut(view);
    const size = taxa.length;
    this.local = local;
    this.masks = masks;
    this.words = Math.max(1, (local.size + 31) >>> 5);
    this.free = new Uint32Array(size * this.words);
    this.spoiled = new Uint32Array(size * this.words);
    this.bound = masks.map(() => new Uint32Array(size * this.words));
    this.candidates = new Int32Array(masks.length * ENOUGH_GROUPS);
    this.candidateCount = new Int32Array(masks.length);
    this.looksOf = Array.from({ length: local.size }, (): number[] => []);
    view.looks.forEach((look, at) => {
      if (this.eligible(look)) this.looksOf[this.groupOf(look)]?.push(at);
    });
    for (const look of view.looks) {
      if (look.kind === 'states') this.compareStates(look);
      else this.compareNumber(look);
    }
    for (const [index, doubt] of this.doubtful) this.takeBackDoubtful(index, doubt);
    this.counts = new Int16Array(size);
    this.anyShared = new Uint8Array(size);
    for (let i = 0; i < size; i += 1) {
      this.counts[i] = this.counted(i);
      for (const bits of this.bound)
        for (let w = 0; w < this.words; w += 1) if (bits[i * this.words + w] !== 0) this.anyShared[i] = 1;
    }
  }

  /** Bars against the taxon at this position. */
  count(position: number): number {
    return this.counts[position] as number;
  }

  /**
   * The first so many looks of a largest set, in a fixed order. Of many taxa they are the same: then it is
   * the same list.
   */
  looks(position: number, wanted: number): readonly Look[] {
    const { chosen, view } = this;
    chosen.length = 0;
    for (let word = 0; word < this.words && chosen.length < wanted; word += 1) {
      const at = position * this.words + word;
      for (
        let left = (this.free[at] as number) & ~(this.spoiled[at] as number);
        left !== 0 && chosen.length < wanted;
        left &= left - 1
      ) {
        this.choose(position, word * 32 + 31 - Math.clz32(left & -left), 0);
      }
    }
    if (chosen.length < wanted && this.anyShared[position] === 1) {
      for (const [mask, group] of this.picks(position))
        if (chosen.length < wanted) this.choose(position, group, mask);
    }
    // The list is found by the looks in it, as digits of a number.
    let name = 0;
    for (const at of chosen) name = name * (view.looks.length + 1) + at + 1;
    const known = this.lists.get(name);
    if (known) return known;
    const list = chosen.map((at) => view.looks[at] as Look);
    if (name <= Number.MAX_SAFE_INTEGER) this.lists.set(name, list);
    return list;
  }

  /** The count if this one look had not been made, where it is the only look at its character. */
  countWithout(position: number, look: Look): number {
    if (!this.eligible(look) || !this.isAgainst(look, position)) return this.count(position);
    const group = this.groupOf(look);
    for (const at of this.looksOf[group] ?? []) {
      const other = this.view.looks[at] as Look;
      if (other !== look && other.causes === look.causes && this.isAgainst(other, position))
        return this.count(position);
    }
    const bits = this.groundsOf(look.causes);
    if (!bits) return this.count(position);
    const at = position * this.words + (group >>> 5);
    const kept = bits[at] as number;
    bits[at] = kept & ~(1 << (group & 31));
    const after = this.counted(position);
    bits[at] = kept;
    return after;
  }

  /**
   * By how much a sure look would change the count: one in this group that is against the taxon, or one that
   * fits it.
   */
  change(position: number, globalGroup: number, causes: number, relation: 'against' | 'fits'): number {
    const group = this.local.get(globalGroup);
    const { free, spoiled } = this;
    if (relation === 'fits') {
      if (group === undefined || this.has(spoiled, position, group)) return 0;
      if (!this.has(free, position, group) && this.anyShared[position] === 0) return 0;
      const at = position * this.words + (group >>> 5);
      const kept = spoiled[at] as number;
      spoiled[at] = kept | (1 << (group & 31));
      const after = this.counted(position);
      spoiled[at] = kept;
      return after - this.count(position);
    }
    if (group !== undefined && (this.has(spoiled, position, group) || this.has(free, position, group)))
      return 0;
    if (this.anyShared[position] === 0) return 1;
    const had = this.boundCount(position);
    // A new free group counts one; if it was picked for a ground with a cause before, that pick is lost
    // unless replaced.
    if (causes === 0) return group === undefined ? 1 : 1 + this.most(0, 0, group, -1, -1, -1, -1) - had;
    return Math.max(had, 1 + this.most(0, causes, group ?? -1, -1, -1, -1, -1)) - had;
  }

  private groupOf(look: Look): number {
    return this.local.get(look.character.group) ?? 0;
  }

  private eligible({ reading, character }: Look): boolean {
    return (
      reading.piece === this.view.piece &&
      reading.sureness === 'sure' &&
      !character.place &&
      !this.disputed.has(character.index)
    );
  }

  private groundsOf(causes: number): Uint32Array | undefined {
    return causes === 0 ? this.free : this.bound[this.masks.indexOf(causes)];
  }

  private has(bits: Uint32Array, position: number, group: number): boolean {
    return ((bits[position * this.words + (group >>> 5)] as number) & (1 << (group & 31))) !== 0;
  }

  private compareStates(look: Look & { readonly kind: 'states' }): void {
    const { taxa, words, spoiled } = this;
    const { tables } = this.guide;
    const group = this.groupOf(look);
    const bit = (1 << (group & 31)) >>> 0;
    const gives = this.eligible(look) ? this.groundsOf(look.causes) : undefined;
    const row = look.character.index * tables.taxa;
    const { mask } = look;
    for (let i = 0, at = group >>> 5; i < taxa.length; i += 1, at += words) {
      const column = row + (taxa[i] as number);
      const possible = tables.possible[column] as number;
      if (possible === 0) continue;
      if ((mask & (tables.usual[column] as number)) !== 0) spoiled[at] = (spoiled[at] as number) | bit;
      else if (gives && (mask & possible) === 0) gives[at] = (gives[at] as number) | bit;
    }
  }

  private compareNumber(look: Look & { readonly kind: 'number' }): void {
    const { taxa, words, spoiled } = this;
    const { tables } = this.guide;
    const group = this.groupOf(look);
    const bit = (1 << (group & 31)) >>> 0;
    const gives = this.eligible(look) ? this.groundsOf(look.causes) : undefined;
    const row = (tables.spanRow[look.character.index] as number) * tables.taxa;
    const doubt = this.doubtful.get(look.character.index) ?? new Uint8Array(taxa.length);
    this.doubtful.set(look.character.index, doubt);
    for (let i = 0, at = group >>> 5; i < taxa.length; i += 1, at += words) {
      const column = (row + (taxa[i] as number)) * 4;
      if (look.high < (tables.spans[column] as number) || look.low > (tables.spans[column + 1] as number)) {
        if (gives) gives[at] = (gives[at] as number) | bit;
        continue;
      }
      doubt[i] = 1;
      if (
        look.high >= (tables.spans[column + 2] as number) &&
        look.low <= (tables.spans[column + 3] as number)
      )
        spoiled[at] = (spoiled[at] as number) | bit;
    }
  }

  /**
   * Grounds of numbers that some measure does not bear out are taken back: their groups are filled again
   * without them.
   */
  private takeBackDoubtful(index: number, doubt: Uint8Array): void {
    const group = this.local.get(this.guide.characters[index]?.group ?? -1) ?? 0;
    const bit = (1 << (group & 31)) >>> 0;
    for (let i = 0; i < doubt.length; i += 1) {
      if (doubt[i] !== 1) continue;
      const at = i * this.words + (group >>> 5);
      this.free[at] = (this.free[at] as number) & ~bit;
      for (const bits of this.bound) bits[at] = (bits[at] as number) & ~bit;
      for (const ordinal of this.looksOf[group] ?? []) {
        const look = this.view.looks[ordinal] as Look;
        const bits = this.groundsOf(look.causes);
        if (bits && this.isAgainst(look, i)) bits[at] = (bits[at] as number) | bit;
      }
    }
  }

  private isAgainst(look: Look, position: number): boolean {
    const { tables } = this.guide;
    const taxon = this.taxa[position] as number;
    if (look.kind === 'states') {
      const possible = tables.possible[look.character.index * tables.taxa + taxon] as number;
      return possible !== 0 && (look.mask & possible) === 0;
    }
    if (this.doubtful.get(look.character.index)?.[position] === 1) return false;
    const column = ((tables.spanRow[look.character.index] as number) * tables.taxa + taxon) * 4;
    return look.high < (tables.spans[column] as number) || look.low > (tables.spans[column + 1] as number);
  }

  private counted(position: number): number {
    let sum = this.boundCount(position);
    for (let at = position * this.words; at < (position + 1) * this.words; at += 1)
      sum += popcount((this.free[at] as number) & ~(this.spoiled[at] as number));
    return sum;
  }

  /** Gathers the candidates of the taxon at this position; whether there are any. */
  private gather(position: number): boolean {
    let any = false;
    for (let m = 0; m < this.masks.length; m += 1) {
      const bits = this.bound[m] as Uint32Array;
      let found = 0;
      for (let w = 0; w < this.words; w += 1) {
        const at = position * this.words + w;
        let left = (bits[at] as number) & ~(this.spoiled[at] as number) & ~(this.free[at] as number);
        while (left !== 0 && found < ENOUGH_GROUPS) {
          const lowest = left & -left;
          this.candidates[m * ENOUGH_GROUPS + found] = w * 32 + 31 - Math.clz32(lowest);
          found += 1;
          left &= ~lowest;
        }
      }
      this.candidateCount[m] = found;
      any = any || found > 0;
    }
    return any;
  }

  /**
   * Most picks among the gathered, from mask number `from` on, that share no cause with each other or with
   * `used`, of groups other than a, b, c, d, e. Exact; at most five deep, since every mask holds one of five
   * causes.
   */
  private most(from: number, used: number, a: number, b: number, c: number, d: number, e: number): number {
    const { masks, candidateCount } = this;
    let m = from;
    while (m < masks.length && (candidateCount[m] === 0 || ((masks[m] as number) & used) !== 0)) m += 1;
    if (m === masks.length) return 0;
    const mask = masks[m] as number;
    const atMost = Math.min(masks.length - m, popcount(ALL_CAUSES & ~used));
    let best = 0;
    for (let k = 0; k < (candidateCount[m] as number) && best < atMost; k += 1) {
      const group = this.candidates[m * ENOUGH_GROUPS + k] as number;
      if (group === a || group === b || group === c || group === d || group === e) continue;
      best = Math.max(best, 1 + this.most(m + 1, used | mask, group, a, b, c, d));
    }
    return best < atMost ? Math.max(best, this.most(m + 1, used, a, b, c, d, e)) : best;
  }

  private boundCount(position: number): number {
    return this.masks.length > 0 && this.gather(position) ? this.most(0, 0, -1, -1, -1, -1, -1) : 0;
  }

  /** The picks themselves, the first of the largest sets. */
  private picks(position: number): (readonly [mask: number, group: number])[] {
    const picked: (readonly [number, number])[] = [];
    let left = this.boundCount(position);
    let used = 0;
    for (let m = 0; m < this.masks.length && left > 0; m += 1) {
      const mask = this.masks[m] as number;
      if ((mask & used) !== 0) continue;
      const [a = -1, b = -1, c = -1, d = -1] = picked.map(([, group]) => group);
      for (let k = 0; k < (this.candidateCount[m] as number); k += 1) {
        const group = this.candidates[m * ENOUGH_GROUPS + k] as number;
        if (
          group === a ||
          group === b ||
          group === c ||
          group === d ||
          1 + this.most(m + 1, used | mask, group, a, b, c, d) < left
        )
          continue;
        picked.push([mask, group]);
        used |= mask;
        left -= 1;
        break;
      }
    }
    return picked;
  }

  /** Notes the ground of these causes in this group: the oldest look that is one. */
  private choose(position: number, group: number, causes: number): void {
    for (const at of this.looksOf[group] ?? []) {
      const look = this.view.looks[at] as Look;
      if (look.causes !== causes || !this.isAgainst(look, position)) continue;
      this.chosen.push(at);
      return;
    }
  }
}
