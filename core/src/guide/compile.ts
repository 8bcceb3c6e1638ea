import { contentHash } from '../lib/canonical';
import { apart, NEAR, oklab } from '../lib/colour';
import {
  harms,
  type Character,
  type CharacterId,
  type Guide,
  type HarmGrade,
  type SharedCause,
  type StageId,
  type StateId,
  type Statement,
  type Taxon,
  type TaxonId,
} from './schema';
import { millimetres } from './units';

/** States of one character as bits, lowest bit the first state; at most 32. */
export type StateMask = number;

/** What is known of one taxon and one character: state masks, or a numeric span (mm for measures). */
export type Known =
  | {
      readonly kind: 'states';
      readonly usual: StateMask;
      readonly possible: StateMask;
      /** The usual state that is named first, of each statement: what a typical specimen shows. */
      readonly typical: StateMask;
    }
  | {
      readonly kind: 'number';
      readonly usual: readonly [number, number];
      readonly possible: readonly [number, number];
    };

export interface CompiledCharacter {
  readonly index: number;
  readonly id: CharacterId;
  readonly character: Character;
  readonly group: number;
  readonly place: boolean;
  /** Shared causes of every reading of it, as bits of `CAUSE_BIT`. */
  readonly restsOn: number;
  readonly absentMask: StateMask;
  /** Shared causes of its states, besides: each as the states that rest on it, and its bit. */
  readonly stateCauses: readonly { readonly states: StateMask; readonly cause: number }[];
  readonly stateBit: ReadonlyMap<string, StateMask>;
  /**
   * By state position: the states that can be taken for it, by colour or because one shades into the other;
   * itself included.
   */
  readonly near: readonly StateMask[];
  /** States about which no second reader was asked: they never speak against a dangerous taxon. */
  readonly unreadMask: StateMask;
  readonly stages: ReadonlySet<StageId>;
}

/** The states that are bits of a mask, in the order of the character. */
export const statesIn = ({ stateBit }: CompiledCharacter, mask: StateMask): StateId[] =>
  [...stateBit].filter(([, bit]) => (bit & mask) !== 0).map(([state]) => state as StateId);

export interface CompiledTaxon {
  readonly index: number;
  /** Its place among all taxa by id. */
  readonly rank: number;
  readonly id: TaxonId;
  readonly taxon: Taxon;
  readonly grade: HarmGrade;
  /** Over all its stages together; a missing entry is unknown. Used against dangerous taxa. */
  readonly overall: ReadonlyMap<number, Known>;
  /** By character and stage as stated. Used for the target. */
  readonly atStage: ReadonlyMap<number, ReadonlyMap<StageId, Known>>;
}

/**
 * What every taxon can look like over all its stages, as flat arrays: row by character, column by taxon, so
 * that one reading is compared with all taxa in one run through memory.
 */
export interface GuideTables {
  readonly taxa: number;
  /** `[character * taxa + taxon]`: states that are possible; 0 is unknown, or a number. */
  readonly possible: Uint32Array;
  readonly usual: Uint32Array;
  /** By character: its row in the spans, -1 if it is no number. */
  readonly spanRow: Int32Array;
  /** `[(row * taxa + taxon) * 4]`: possible low and high, usual low and high; NaN is unknown. */
  readonly spans: Float64Array;
}

export interface CompiledGuide {
  readonly guide: Guide;
  /** Content hash of the guide. */
  readonly version: string;
  readonly groups: readonly string[];
  readonly characters: readonly CompiledCharacter[];
  readonly taxa: readonly CompiledTaxon[];
  readonly tables: GuideTables;
  readonly character: (id: string) => CompiledCharacter | undefined;
  readonly taxon: (id: string) => CompiledTaxon | undefined;
}

export const CAUSE_BIT: Readonly<Record<SharedCause, number>> = {
  colour: 1,
  smell: 2,
  number: 4,
  absence: 8,
  outline: 16,
};
export const SHARED_CAUSES: readonly SharedCause[] = ['colour', 'smell', 'number', 'absence', 'outline'];

/** Number of sets of shared causes: each is a number below it. */
export const CAUSE_SETS = 1 << SHARED_CAUSES.length;

/** Shared causes (as bits) of a reading of these states. */
export function causesOf(
  { restsOn, stateCauses }: Pick<CompiledCharacter, 'restsOn' | 'stateCauses'>,
  states: StateMask,
): number {
  return stateCauses.reduce(
    (causes, one) => ((one.states & states) !== 0 ? causes | one.cause : causes),
    restsOn,
  );
}

/** The shared causes in a bit set, in fixed order. */
export function causesIn(mask: number): SharedCause[] {
  return SHARED_CAUSES.filter((cause) => (mask & CAUSE_BIT[cause]) !== 0);
}

/**
 * Prepares a parsed guide for deciding: masks instead of names, and for every taxon what it can look like
 * over all its stages. Done once a guide, of a taxon when it is first asked for; the result is never changed.
 *
 * @param version its content hash, where that is known already
 */
export function compileGuide(guide: Guide, version = contentHash(guide)): CompiledGuide {
  const groups = [...new Set(guide.characters.map((c) => c.group))].sort();
  const groupIndex = new Map(groups.map((group, index) => [group, index]));
  const characters = guide.characters.map((character, index) =>
    compileCharacter(guide, character, index, groupIndex),
  );
  const byCharacter = new Map<string, CompiledCharacter>(characters.map((c) => [c.id, c]));
  const ranks = new Map(
    guide.taxa
      .map((t) => t.id as string)
      .sort()
      .map((id, rank) => [id, rank]),
  );
  const strict = guide.format !== 'pause-guide/1';
  const taxa = guide.taxa.map((taxon, index) =>
    compileTaxon(taxon, index, ranks.get(taxon.id) ?? index, byCharacter, strict),
  );
  const byTaxon = new Map<string, CompiledTaxon>(taxa.map((t) => [t.id, t]));
  const tables = once(() => tabulate(characters, taxa));
  return {
    guide,
    version,
    groups,
    characters,
    taxa,
    get tables() {
      return tables();
    },
    character: (id) => byCharacter.get(id),
    taxon: (id) => byTaxon.get(id),
  };
}

function tabulate(characters: readonly CompiledCharacter[], taxa: readonly CompiledTaxon[]): GuideTables {
  const columns = taxa.length;
  const possible = new Uint32Array(characters.length * columns);
  const usual = new Uint32Array(characters.length * columns);
  let rows = 0;
  const spanRow = Int32Array.from(characters, (c) => (c.stateBit.size === 0 ? rows++ : -1));
  const spans = new Float64Array(rows * columns * 4).fill(Number.NaN);
  for (const taxon of taxa) {
    for (const [character, known] of taxon.overall) {
      if (known.kind === 'states') {
        possible[character * columns + taxon.index] = known.possible;
        usual[character * columns + taxon.index] = known.usual;
      } else {
        spans.set(
          [...known.possible, ...known.usual],
          ((spanRow[character] ?? 0) * columns + taxon.index) * 4,
        );
      }
    }
  }
  return { taxa: columns, possible, usual, spanRow, spans };
}

function compileCharacter(
  guide: Guide,
  character: Character,
  index: number,
  groupIndex: Map<string, number>,
): CompiledCharacter {
  const kindCause: SharedCause[] =
    character.kind === 'colour'
      ? ['colour']
      : character.kind === 'measure' || character.kind === 'count'
        ? ['number']
        : [];
  const smell: SharedCause[] =
    character.organ === 'smell' || character.observe === 'crush-and-smell' ? ['smell'] : [];
  const restsOn = [...kindCause, ...smell, ...(character.restsOn ?? [])].reduce(
    (mask, cause) => mask | CAUSE_BIT[cause],
    0,
  );
  const stateBit = new Map<string, StateMask>();
  let absentMask = 0;
  let unreadMask = 0;
  const stateCauses: { states: StateMask; cause: number }[] = [];
  if (character.kind === 'states' || character.kind === 'colour') {
    for (const [position, state] of character.states.entries()) {
      const bit = (1 << position) >>> 0;
      stateBit.set(state.id, bit);
      if (state.absent) absentMask = (absentMask | bit) >>> 0;
      for (const cause of [...(state.absent ? ['absence' as const] : []), ...(state.restsOn ?? [])])
        stateCauses.push({ states: bit, cause: CAUSE_BIT[cause] });
      if (state.unread) unreadMask = (unreadMask | bit) >>> 0;
    }
  }
  return {
    index,
    id: character.id,
    character,
    group: groupIndex.get(character.group) ?? 0,
    place: character.organ === 'place',
    restsOn,
    absentMask,
    stateCauses,
    stateBit,
    near: nearStates(character),
    unreadMask,
    stages: new Set(
      character.stages ?? guide.stages.filter((s) => s.kingdom === character.kingdom).map((s) => s.id),
    ),
  };
}

function nearStates(character: Character): StateMask[] {
  if (character.kind !== 'states' && character.kind !== 'colour') return [];
  const { states, shades = [] } = character;
  const places = states.map(({ swatch }) => (swatch === undefined ? undefined : oklab(swatch)));
  const shaded = (a: StateId | undefined, b: StateId | undefined) =>
    shades.some(([one, other]) => (one === a && other === b) || (one === b && other === a));
  return places.map((place, position) =>
    places.reduce<number>((mask, other, index) => {
      const alike = place !== undefined && other !== undefined && apart(place, other) < NEAR;
      const near = index === position || alike || shaded(states[position]?.id, states[index]?.id);
      return near ? (mask | (1 << index)) >>> 0 : mask;
    }, 0),
  );
}

/**
 * The states that can be meant when one of these is shown: a colour can be called by the name of its
 * neighbour, and firm shades into soft.
 */
function withNear(mask: StateMask, character: CompiledCharacter): StateMask {
  return character.near.reduce(
    (all, near, position) => ((mask & (1 << position)) !== 0 ? (all | near) >>> 0 : all),
    mask,
  );
}

/** With ordered states, everything from the lowest to the highest of these. */
function between(mask: StateMask, { character }: CompiledCharacter): StateMask {
  if (mask === 0 || !('states' in character) || character.ordered !== true) return mask;
  const highest = 31 - Math.clz32(mask);
  const lowest = 31 - Math.clz32(mask & -mask);
  return ((highest === 31 ? 0xffffffff : (1 << (highest + 1)) - 1) & ~((1 << lowest) - 1)) >>> 0;
}

function known(statement: Statement, character: CompiledCharacter): Known {
  if ('range' in statement) {
    const { usual, outer, unit } = statement.range;
    const toBase = (value: number) => (unit ? millimetres(value, unit) : value);
    return {
      kind: 'number',
      usual: [toBase(usual[0]), toBase(usual[1])],
      possible: [toBase(outer[0]), toBase(outer[1])],
    };
  }
  const mask = (states: readonly string[]) =>
    states.reduce((bits, state) => (bits | (character.stateBit.get(state) ?? 0)) >>> 0, 0);
  const usual = mask(statement.usual);
  return {
    kind: 'states',
    usual,
    typical: mask(statement.usual.slice(0, 1)),
    possible: between(withNear((usual | mask(statement.occasional ?? [])) >>> 0, character), character),
  };
}

/** What two statements about one character say together. */
export function union(a: Known, b: Known, character: CompiledCharacter): Known {
  if (a.kind === 'states' && b.kind === 'states') {
    return {
      kind: 'states',
      usual: (a.usual | b.usual) >>> 0,
      typical: (a.typical | b.typical) >>> 0,
      possible: between((a.possible | b.possible) >>> 0, character),
    };
  }
  if (a.kind === 'number' && b.kind === 'number') {
    const hull = (x: readonly [number, number], y: readonly [number, number]) =>
      [Math.min(x[0], y[0]), Math.max(x[1], y[1])] as const;
    return { kind: 'number', usual: hull(a.usual, b.usual), possible: hull(a.possible, b.possible) };
  }
  throw new Error('states and numbers cannot be joined');
}

/** The same knowledge with "not there" possible: the absent states, or a count of nothing. */
function withAbsent(what: Known, character: CompiledCharacter): Known {
  if (what.kind === 'states') return { ...what, possible: (what.possible | character.absentMask) >>> 0 };
  return character.character.kind === 'count' ? { ...what, possible: [0, what.possible[1]] } : what;
}

/**
 * How many readings that did not see each other must support a statement before it excludes anything of a
 * dangerous taxon.
 */
export const READINGS_NEEDED = 2;

/** Whether enough readings support a statement. */
export const isConfirmed = ({ readBy }: Statement): boolean => (readBy ?? []).length >= READINGS_NEEDED;

/**
 * The same knowledge as far as it may speak against a dangerous taxon: one that was read once excludes
 * nothing, and neither does a state about which no second reader was asked.
 */
function asBar(what: Known, character: CompiledCharacter, confirmed: boolean): Known {
  if (what.kind === 'number') return confirmed ? what : { ...what, possible: [0, Infinity] };
  const everything = [...character.stateBit.values()].reduce((mask, bit) => (mask | bit) >>> 0, 0);
  return { ...what, possible: confirmed ? (what.possible | character.unreadMask) >>> 0 : everything };
}

function compileTaxon(
  taxon: Taxon,
  index: number,
  rank: number,
  characters: Map<string, CompiledCharacter>,
  strict: boolean,
): CompiledTaxon {
  const said = once(() => spoken(taxon, characters));
  const overall = once(() => overStages(taxon, said(), strict && harms(taxon.harm)));
  const atStage = once(() => byStage(taxon, said()));
  return {
    index,
    rank,
    id: taxon.id,
    taxon,
    grade: taxon.harm.grade,
    get overall() {
      return overall();
    },
    get atStage() {
      return atStage();
    },
  };
}

/** What a guide does not need before it is asked for: made then, and kept. */
function once<T>(make: () => T): () => T {
  let made: T | undefined;
  return () => (made ??= make());
}

/** One statement as bits or a span, and the stages that it speaks of. */
interface Said {
  readonly what: Known;
  readonly confirmed: boolean;
  readonly stages: readonly StageId[];
}

/** What is stated of a taxon, by character. */
function spoken(taxon: Taxon, characters: Map<string, CompiledCharacter>): Map<CompiledCharacter, Said[]> {
  const said = new Map<CompiledCharacter, Said[]>();
  for (const statement of taxon.statements) {
    const character = characters.get(statement.character);
    if (!character) continue;
    const one = {
      what: known(statement, character),
      confirmed: isConfirmed(statement),
      stages: statement.stages ?? taxon.stages,
    };
    const others = said.get(character);
    if (others) others.push(one);
    else said.set(character, [one]);
  }
  return said;
}

function byStage(
  taxon: Taxon,
  said: ReadonlyMap<CompiledCharacter, readonly Said[]>,
): Map<number, Map<StageId, Known>> {
  return new Map(
    [...said].map(([character, statements]) => [
      character.index,
      new Map(statements.flatMap(({ what, stages }) => stages.map((stage) => [stage, what] as const))),
    ]),
  );
}

/** @param strict only what two readings exclude is excluded */
function overStages(
  taxon: Taxon,
  said: ReadonlyMap<CompiledCharacter, readonly Said[]>,
  strict: boolean,
): Map<number, Known> {
  const overall = new Map<number, Known>();
  for (const character of [...said.keys()].sort((a, b) => a.index - b.index)) {
    const statements = said.get(character) ?? [];
    const seenAt = taxon.stages.filter((stage) => character.stages.has(stage));
    let joined: Known | undefined;
    // A stage without a statement makes the whole unknown: a mistaken stage must not make a bar.
    const complete = seenAt.every((stage) => {
      const what = statements.findLast(({ stages }) => stages.includes(stage))?.what;
      if (what && what !== joined) joined = joined ? union(joined, what, character) : what;
      return what !== undefined;
    });
    if (!joined || !complete) continue;
    const hidden = seenAt.length < taxon.stages.length || character.character.fades === true;
    const shown = hidden ? withAbsent(joined, character) : joined;
    overall.set(
      character.index,
      strict
        ? asBar(
            shown,
            character,
            statements.every(({ confirmed }) => confirmed),
          )
        : shown,
    );
  }
  return overall;
}
