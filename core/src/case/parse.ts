import type { z } from 'zod';
import { checkAnswer, type CompiledGuide } from '../guide';
import { fieldPath } from '../lib/fieldPath';
import { Case, Unnamed } from './schema';

/** A field of a case that is wrong, and what would be right. */
export interface CaseProblem {
  readonly field: string;
  readonly reason: string;
}

export class CaseError extends Error {
  constructor(readonly problems: readonly CaseProblem[]) {
    super(problems.map((p) => `${p.field}: ${p.reason}`).join('\n'));
    this.name = 'CaseError';
  }
}

/**
 * Parses a case from untrusted JSON against the guide that is to decide it.
 *
 * @throws CaseError with every problem found, each naming its field (`readings[2].value.unit`)
 */
export function parseCase(raw: unknown, guide: CompiledGuide): Case {
  return parsed(Case, raw, (find) => caseProblems(find, guide));
}

/** What of a find that was parsed before does not go with this guide. */
export function caseProblems(find: Case, guide: CompiledGuide): CaseProblem[] {
  return [...checkNames(find, guide), ...checkCase(find, guide)];
}

/** The same for a find without a name. */
export function parseUnnamed(raw: unknown, guide: CompiledGuide): Unnamed {
  return parsed(Unnamed, raw, (find) => [...checkCase(find, guide)]);
}

function parsed<S extends z.ZodType>(
  schema: S,
  raw: unknown,
  check: (find: z.infer<S>) => CaseProblem[],
): z.infer<S> {
  const result = schema.safeParse(raw);
  if (!result.success) {
    throw new CaseError(
      result.error.issues.map((issue) => ({ field: fieldPath(issue.path) || 'case', reason: issue.message })),
    );
  }
  const problems = check(result.data);
  if (problems.length > 0) throw new CaseError(problems);
  return result.data;
}

function* checkNames(find: Case, guide: CompiledGuide): Generator<CaseProblem> {
  if (!guide.taxon(find.target))
    yield { field: 'target', reason: `"${find.target}" is not a taxon of the guide` };
  for (const [index, earlier] of (find.earlierTargets ?? []).entries()) {
    if (!guide.taxon(earlier.taxon))
      yield {
        field: `earlierTargets[${index}].taxon`,
        reason: `"${earlier.taxon}" is not a taxon of the guide`,
      };
  }
}

function* checkCase(find: Unnamed, guide: CompiledGuide): Generator<CaseProblem> {
  yield* checkGuide(find, guide);
  yield* checkBodyPlan(find, guide);
  yield* checkStages(find, guide);
  if (find.context.openName?.kind === 'one-of')
    yield* checkTaxa('context.openName.taxa', find.context.openName.taxa, guide);
  yield* checkTaxa('policy.forgoneTaxa', find.policy?.forgoneTaxa ?? [], guide);
  yield* checkPieces(find);
  yield* checkReadings(find, guide);
}

function* checkGuide(find: Unnamed, guide: CompiledGuide): Generator<CaseProblem> {
  const { id, version } = find.guide;
  if (id !== guide.guide.id)
    yield { field: 'guide.id', reason: `"${id}" is not at hand; "${guide.guide.id}" is` };
  if (version !== undefined && version !== guide.version)
    yield { field: 'guide.version', reason: `the guide at hand has version ${guide.version}` };
}

function* checkBodyPlan(find: Unnamed, guide: CompiledGuide): Generator<CaseProblem> {
  if (find.bodyPlan === undefined) return;
  const plan = guide.guide.bodyPlans.find(({ id }) => id === find.bodyPlan);
  if (!plan) yield { field: 'bodyPlan', reason: `"${find.bodyPlan}" is not a body plan of the guide` };
  else if (plan.kingdom !== find.kingdom)
    yield { field: 'bodyPlan', reason: `"${plan.id}" belongs to ${plan.kingdom}` };
}

function* checkStages(find: Unnamed, guide: CompiledGuide): Generator<CaseProblem> {
  for (const [index, stage] of (find.context.stages ?? []).entries()) {
    if (guide.guide.stages.find(({ id }) => id === stage)?.kingdom !== find.kingdom)
      yield {
        field: `context.stages[${index}]`,
        reason: `"${stage}" is not a growth stage of ${find.kingdom}`,
      };
  }
}

function* checkTaxa(field: string, taxa: readonly string[], guide: CompiledGuide): Generator<CaseProblem> {
  for (const [index, taxon] of taxa.entries()) {
    if (!guide.taxon(taxon))
      yield { field: `${field}[${index}]`, reason: `"${taxon}" is not a taxon of the guide` };
  }
}

function* checkPieces(find: Unnamed): Generator<CaseProblem> {
  const seen = new Set<string>();
  for (const [index, piece] of find.pieces.entries()) {
    if (seen.has(piece.id)) yield { field: `pieces[${index}].id`, reason: `"${piece.id}" is there twice` };
    seen.add(piece.id);
  }
  if (!find.pieces.some((p) => p.purpose === 'decide'))
    yield { field: 'pieces', reason: 'one piece must be there to decide about' };
}

function* checkReadings(find: Unnamed, guide: CompiledGuide): Generator<CaseProblem> {
  const pieces = new Set<string>(find.pieces.map((p) => p.id));
  const ids = new Set<string>();
  for (const [index, reading] of find.readings.entries()) {
    const at = () => `readings[${index}]`;
    if (ids.has(reading.id)) yield { field: `${at()}.id`, reason: `"${reading.id}" is there twice` };
    ids.add(reading.id);
    if (!pieces.has(reading.piece))
      yield { field: `${at()}.piece`, reason: `"${reading.piece}" is not a piece of this find` };
    for (const problem of checkValue(reading, find.kingdom, guide))
      yield { ...problem, field: `${at()}.${problem.field}` };
  }
  const withdrawn = new Set<string>();
  for (const [index, withdrawal] of (find.withdrawals ?? []).entries()) {
    const field = `withdrawals[${index}].reading`;
    if (!ids.has(withdrawal.reading))
      yield { field, reason: `"${withdrawal.reading}" is not a reading of this find` };
    if (withdrawn.has(withdrawal.reading))
      yield { field, reason: `"${withdrawal.reading}" was taken back already` };
    withdrawn.add(withdrawal.reading);
  }
  for (const [index, skip] of (find.skips ?? []).entries()) {
    if (!guide.character(skip.character))
      yield {
        field: `skips[${index}].character`,
        reason: `"${skip.character}" is not a character of the guide`,
      };
    if (!pieces.has(skip.piece))
      yield { field: `skips[${index}].piece`, reason: `"${skip.piece}" is not a piece of this find` };
  }
}

/**
 * What is wrong with one reading, field names relative to it. Also the check of a reading that arrives alone.
 */
export function* checkValue(
  reading: Pick<Case['readings'][number], 'character' | 'value'>,
  kingdom: Case['kingdom'],
  guide: CompiledGuide,
): Generator<CaseProblem> {
  const character = guide.character(reading.character);
  if (!character) {
    yield { field: 'character', reason: `"${reading.character}" is not a character of the guide` };
    return;
  }
  if (character.character.kingdom !== kingdom) {
    yield {
      field: 'character',
      reason: `"${reading.character}" is asked of ${character.character.kingdom}, the find is of ${kingdom}`,
    };
  }
  const value = reading.value;
  if (value.kind === 'cant-tell') return;
  for (const { at, reason } of checkAnswer(value, character)) yield { field: `value.${at}`, reason };
}
