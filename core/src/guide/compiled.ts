import { causesOfStates } from './causes';
import type { CharacterId, StageId, TaxonId, HarmGrade } from './ids';
import type { Answers, Character, Known, Seen } from './kinds';
import type { Guide } from './schema';
import type { Taxon } from './taxon';

/** The compiled guide: what the deciding functions read. */

export interface CompiledCharacter extends Answers {
  readonly index: number;
  readonly id: CharacterId;
  readonly character: Character;
  readonly group: number;
  readonly place: boolean;
  /** Shared causes of every reading of it, as bits of `CAUSE_BIT`. */
  readonly restsOn: number;
  readonly stages: ReadonlySet<StageId>;
}

/** Shared causes, as bits, on which a reading rests by its character and by its states. */
export const causesOf = (character: CompiledCharacter, seen: Seen): number =>
  character.restsOn | (seen.kind === 'states' ? causesOfStates(character, seen.mask) : 0);

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
