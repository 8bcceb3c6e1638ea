import {
  compileGuide,
  harms,
  millimetres,
  type CharacterId,
  type CompiledCharacter,
  type CompiledTaxon,
  type Guide,
  type Known,
  type TaxonId,
} from '@pause/core';
import fungi from '../review/readings/fungi.json';
import plants from '../review/readings/plants.json';
import second from '../review/readings/second.json';

/**
 * What one reading says of a character of a taxon, in the unit of the character. `na`: the taxon has no such
 * thing.
 */
export type Entry =
  | 'na'
  | {
      /** States that can be seen at some stage: references agree. */
      readonly can?: readonly string[];
      /** States that would not be excluded, or that an honest amateur could read there. */
      readonly maybe?: readonly string[];
      readonly outer?: readonly [number, number];
    };

/** An account of what taxa can show, made without sight of the guide. */
export interface Reading {
  readonly reader: string;
  readonly about: string;
  readonly taxa: Readonly<Record<string, { readonly characters: Readonly<Record<string, Entry>> }>>;
}

/**
 * The readings of dangerous taxa that are kept beside the guide, each made without sight of it and of the
 * others.
 */
export function shippedReadings(): readonly Reading[] {
  return [second, fungi, plants] as unknown as readonly Reading[];
}

/**
 * What a reading says of a taxon and a character; undefined where it says nothing, or that there is no such
 * thing.
 */
export function entryOf(
  reading: Reading,
  taxon: string,
  character: string,
): Exclude<Entry, 'na'> | undefined {
  const entry = reading.taxa[taxon]?.characters[character];
  return entry === 'na' ? undefined : entry;
}

/**
 * The guide as its statements stand, whoever read them: nothing is made wider for want of a second reading.
 */
const asStated = (guide: Guide) => compileGuide({ ...guide, format: 'pause-guide/1' });

/** States that this entry holds possible and that are against the taxon as the guide states it. */
export function missingStates(
  known: Known | undefined,
  character: CompiledCharacter,
  states: readonly string[],
): string[] {
  if (known?.kind !== 'states') return [];
  return states.filter((state) => ((character.stateBit.get(state) ?? 0) & ~known.possible) !== 0);
}

/** Whether a range of this entry reaches beyond what the guide states. */
export function reachesBeyond(
  known: Known | undefined,
  { character }: CompiledCharacter,
  outer: readonly [number, number] | undefined,
): boolean {
  if (known?.kind !== 'number' || !outer) return false;
  const [low, high] = outer.map((value) =>
    character.kind === 'measure' ? millimetres(value, character.unit) : value,
  ) as [number, number];
  return low < known.possible[0] - 1e-9 || high > known.possible[1] + 1e-9;
}

/**
 * Whether a reading excludes everything that the guide excludes of this character of this taxon. Where there
 * is no such thing, only its absence is shown.
 */
function supports(entry: Entry, taxon: CompiledTaxon, character: CompiledCharacter): boolean {
  const known = taxon.overall.get(character.index);
  if (entry === 'na') return known?.kind === 'states' && (known.possible & ~character.absentMask) === 0;
  if (!known) return true;
  return known.kind === 'states'
    ? entry.can !== undefined && missingStates(known, character, entry.can).length === 0
    : entry.outer !== undefined && !reachesBeyond(known, character, entry.outer);
}

/**
 * By taxon that harms and by character that it states: which readings support it. The writer of the guide is
 * not among them; whether a statement was written before any reading was seen, only the writer can say.
 */
export function supportOf(
  guide: Guide,
  readings: readonly Reading[],
): ReadonlyMap<TaxonId, ReadonlyMap<CharacterId, readonly string[]>> {
  const stated = asStated(guide);
  return new Map(
    stated.taxa
      .filter(({ taxon }) => harms(taxon.harm))
      .map(
        (taxon) =>
          [
            taxon.id,
            new Map(
              stated.characters
                .filter((character) => taxon.atStage.has(character.index))
                .map(
                  (character) =>
                    [
                      character.id,
                      readings
                        .filter((reading) => {
                          const entry = reading.taxa[taxon.id]?.characters[character.id];
                          return entry !== undefined && supports(entry, taxon, character);
                        })
                        .map(({ reader }) => reader),
                    ] as const,
                ),
            ),
          ] as const,
      ),
  );
}

/** What a reading holds possible of a dangerous taxon and the guide leaves out. */
export interface Difference {
  readonly taxon: TaxonId;
  readonly character: CharacterId;
  readonly reading: string;
  /** The states left out; empty for a range that reaches further than the guide’s. */
  readonly states: readonly string[];
}

/** Everything that some reading holds possible of a dangerous taxon, and that is against it in the guide. */
export function leftOut(guide: Guide, readings: readonly Reading[]): Difference[] {
  const stated = asStated(guide);
  return stated.taxa
    .filter(({ taxon }) => harms(taxon.harm))
    .flatMap((taxon) =>
      stated.characters.flatMap((character) =>
        readings.flatMap((reading): Difference[] => {
          const entry = entryOf(reading, taxon.id, character.id);
          const known = taxon.overall.get(character.index);
          if (!entry || !known) return [];
          const states = missingStates(known, character, entry.can ?? []);
          const beyond = reachesBeyond(known, character, entry.outer);
          return states.length > 0 || beyond
            ? [{ taxon: taxon.id, character: character.id, reading: reading.reader, states }]
            : [];
        }),
      ),
    );
}
