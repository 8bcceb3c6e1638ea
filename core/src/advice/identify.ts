import { type Unnamed, viewCase } from '../case';
import type { CompiledGuide, CompiledTaxon } from '../guide';
import { fitsAll } from '../verdict';
import type { IdentifyOptions, Identification, Candidate } from './candidate';
import { hereNow, HERE_UNKNOWN, logLikelihood, logLikelihoodOfOther } from './likelihood';
import { tellingChecks } from './telling';

export type { Candidate, Identification, IdentifyOptions } from './candidate';
export type { TellingCheck } from './telling';

/**
 * So many kinds of a form are met for each one that the guide names, before anything is read: the guide names
 * few of what grows, though common ones among them.
 */
const OTHERS_PER_TAXON = 3;

/** How often its form is taken for another's at the first look. */
const PLAN_MISREAD = 0.05;

export function identify(guide: CompiledGuide, find: Unnamed, options: IdentifyOptions = {}): Identification {
  const view = viewCase(guide, find);
  const taxa = guide.taxa.filter((t) => t.taxon.kingdom === find.kingdom);
  const stages = find.context.stages;
  const counts = find.policy?.place !== 'ignored';
  const how = { placeCounts: counts, misread: options.misread };
  const scores = taxa.map(
    (taxon) =>
      Math.log(1 + (options.earlierFinds?.[taxon.id] ?? 0)) +
      Math.log(planFits(taxon, find)) +
      logLikelihood(view, taxon, stages, how) +
      (counts ? Math.log(hereNow(taxon, stages, find)) : 0),
  );
  const sameForm = taxa.filter(
    ({ taxon }) => find.bodyPlan === undefined || taxon.bodyPlan === find.bodyPlan,
  );
  const noneScore =
    Math.log(OTHERS_PER_TAXON * Math.max(1, sameForm.length)) +
    logLikelihoodOfOther(view, sameForm, stages, how) +
    (counts ? Math.log(HERE_UNKNOWN) : 0);
  const probabilities = normalise([...scores, noneScore]);
  const candidates = taxa
    .map((taxon, i): Candidate => ({
      taxon: taxon.id,
      grade: taxon.grade,
      probability: probabilities[i] ?? 0,
      fitsEverything: fitsAll(view.looks, taxon),
    }))
    .sort((a, b) => b.probability - a.probability || (a.taxon < b.taxon ? -1 : 1));
  return {
    candidates,
    none: probabilities.at(-1) ?? 0,
    families: find.policy?.familyHint === false ? [] : familiesOf(taxa, probabilities),
    checks: tellingChecks(guide, view, taxa, probabilities, options),
  };
}

/** How much the form that was seen at the first look speaks for it. */
function planFits({ taxon }: CompiledTaxon, { bodyPlan }: Unnamed): number {
  return bodyPlan === undefined || bodyPlan === taxon.bodyPlan ? 1 : PLAN_MISREAD;
}

/** To know the family is not to know the plant: rules have exceptions. Below this share it is no hint. */
const HINT_SHARE = 0.02;

function familiesOf(
  taxa: readonly CompiledTaxon[],
  probabilities: readonly number[],
): { family: string; probability: number }[] {
  const sums = new Map<string, number>();
  for (const [i, { taxon }] of taxa.entries())
    sums.set(taxon.family, (sums.get(taxon.family) ?? 0) + (probabilities[i] ?? 0));
  return [...sums]
    .filter(([, p]) => p >= HINT_SHARE)
    .sort(([a, p], [b, q]) => q - p || (a < b ? -1 : 1))
    .map(([family, probability]) => ({ family, probability }));
}

function normalise(scores: readonly number[]): number[] {
  const top = Math.max(...scores);
  const weights = scores.map((score) => Math.exp(score - top));
  const sum = weights.reduce((a, b) => a + b, 0);
  return weights.map((weight) => weight / sum);
}
