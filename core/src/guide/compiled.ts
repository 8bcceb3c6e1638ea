import type { Character } from './character';
import type { CharacterId, StageId, StateId, TaxonId, HarmGrade } from './ids';
import type { Guide } from './schema';
import type { Taxon } from './taxon';

/** The compiled guide: what the deciding functions read. */

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
