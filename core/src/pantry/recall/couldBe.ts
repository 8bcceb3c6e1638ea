import { viewCase } from '../../case';
import { CaseError, parseCase, parseUnnamed } from '../../case/parse';
import { GRADES, type CompiledGuide, type CompiledTaxon } from '../../guide';
import { caseOf, unnamedOf, type FindRecord } from '../../notebook/find';
import { short, fitsAll, decide } from '../../verdict';

/** A harmful taxon that something eaten may have been. */
export interface CouldBe {
  readonly taxon: CompiledTaxon;
  /** A taxon that it was taken for names it as its lookalike. */
  readonly listed: boolean;
  /**
   * What was read does not rule it out: fewer bars than it needs; of a find without a name, nothing against
   * it.
   */
  readonly open: boolean;
}

const byWeight = (a: CouldBe, b: CouldBe) =>
  Number(b.open) - Number(a.open) ||
  Number(b.listed) - Number(a.listed) ||
  GRADES.indexOf(b.taxon.grade) - GRADES.indexOf(a.taxon.grade) ||
  (a.taxon.id < b.taxon.id ? -1 : 1);

/**
 * What finds may have been instead of what they were taken for, for whoever treats somebody that ate of them:
 * the lookalikes that do harm, ruled out or not (who looked may have erred), and whatever else of this guide
 * that does harm and is not ruled out of every one of them. A find that this guide cannot read rules nothing
 * out.
 *
 * @returns those not ruled out first, among them the lookalikes first, then by harm
 */
export function couldBe(records: readonly FindRecord[], guide: CompiledGuide): CouldBe[] {
  const finds = records.map((record) => ({
    kingdom: record.kingdom,
    lookalikes: guide.taxon(record.targets.at(-1)?.taxon ?? '')?.taxon.lookalikes ?? [],
    isOpen: openOf(record, guide),
  }));
  return guide.taxa
    .filter(({ grade }) => grade !== 'none')
    .map((taxon): CouldBe => ({
      taxon,
      listed: finds.some(({ lookalikes }) => lookalikes.includes(taxon.id)),
      open: finds.some(({ kingdom, isOpen }) => kingdom === taxon.taxon.kingdom && isOpen(taxon)),
    }))
    .filter(({ listed, open }) => listed || open)
    .sort(byWeight);
}

/**
 * Whether a taxon of its kingdom is not ruled out by what was read of a find, as if eaten: what was gathered
 * for a salve may have been eaten too.
 */
function openOf(record: FindRecord, guide: CompiledGuide): (taxon: CompiledTaxon) => boolean {
  try {
    const named = caseOf(record, guide);
    if (named) {
      const eaten = { ...named, context: { ...named.context, part: undefined, use: undefined } };
      const left = new Set<string>(
        decide(guide, parseCase(eaten, guide))
          .rows.filter((row) => short(row) > 0)
          .map(({ taxon }) => taxon),
      );
      return ({ id }) => left.has(id);
    }
    const unnamed = unnamedOf(record, guide);
    if (unnamed) {
      const { looks } = viewCase(guide, parseUnnamed(unnamed, guide));
      return (taxon) => fitsAll(looks, taxon);
    }
  } catch (error) {
    if (!(error instanceof CaseError)) throw error;
  }
  return () => true;
}
