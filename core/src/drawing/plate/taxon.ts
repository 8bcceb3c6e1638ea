import type { CompiledGuide, CompiledTaxon, Kingdom, StageId } from '../../guide';
import { individual, type Individual } from '../build';
import { drawnWhole } from './drawn';
import type { Detail } from './ink';
import { onSheet, unitsFor, type TaxonPlate } from './sheet';

/**
 * A whole plant or fungus at a stage, in ink and wash, from what the guide states of it: sizes within their
 * usual ranges, parts in their usual states. What is not stated is left out.
 *
 * @param seed 0 for the typical individual, any other whole number for another one
 * @param detail `small` for a plate of a few dozen pixels
 */
export function taxonPlate(
  guide: CompiledGuide,
  taxon: CompiledTaxon,
  stage: StageId,
  seed = 0,
  detail: Detail = 'full',
): TaxonPlate {
  const whole = wholeOf(guide, { taxon, stage }, seed, detail === 'full');
  return onSheet(whole, unitsFor(whole), seed, detail);
}

/** One individual as a whole, as it grows there: not cut through. */
export function individualPlate(
  guide: CompiledGuide,
  one: Individual,
  kingdom: Kingdom,
  detail: Detail = 'full',
): TaxonPlate {
  const whole = drawnWhole(guide, { one, kingdom, cut: false });
  return onSheet(whole, unitsFor(whole), 0, detail);
}

/** A taxon at one of its stages. */
export interface AtStage {
  readonly taxon: CompiledTaxon;
  readonly stage: StageId;
}

/** Further apart than this, the smaller of two would be too small on the sheet to show how it is built. */
const FURTHEST_APART = 2.5;

/**
 * Two taxa to be held against each other, on one common scale where both state a size and the smaller still
 * shows how it is built; else each on its own.
 */
export function pairPlates(
  guide: CompiledGuide,
  pair: readonly [AtStage, AtStage],
  seed = 0,
): { readonly plates: readonly [TaxonPlate, TaxonPlate]; readonly oneScale: boolean } {
  const [a, b] = [wholeOf(guide, pair[0], seed, false), wholeOf(guide, pair[1], seed, false)];
  const [fitA, fitB] = [unitsFor(a), unitsFor(b)];
  const common = Math.min(fitA, fitB);
  const oneScale = a.sized && b.sized && Math.max(fitA, fitB) <= common * FURTHEST_APART;
  return {
    plates: [
      onSheet(a, oneScale ? common : fitA, seed, 'full'),
      onSheet(b, oneScale ? common : fitB, seed, 'full'),
    ],
    oneScale,
  };
}

function wholeOf(guide: CompiledGuide, { taxon, stage }: AtStage, seed: number, cutToo: boolean) {
  return drawnWhole(guide, {
    one: individual(guide, taxon, stage, seed),
    kingdom: taxon.taxon.kingdom,
    stage,
    cut: cutToo,
  });
}
