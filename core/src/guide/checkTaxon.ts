import { checkStatement, type Character } from './kinds';
import type { GuideProblem } from './problem';
import type { Guide } from './schema';
import type { Taxon } from './taxon';

/** What a taxon may name: what else is in its guide. */
interface Around {
  readonly guide: Guide;
  readonly stageKingdom: Map<string, string>;
  readonly characters: Map<string, Character>;
  readonly taxonIds: ReadonlySet<string>;
  readonly readings: Set<string>;
}

/** Whether a taxon fits the guide it is in. */
export function* checkTaxon(taxon: Taxon, path: string, around: Around): Generator<GuideProblem> {
  const { guide, stageKingdom, characters, readings } = around;
  const plan = guide.bodyPlans.find((b) => b.id === taxon.bodyPlan);
  if (!plan)
    yield {
      path: `${path}.bodyPlan`,
      taxon: taxon.id,
      reason: `body plan "${taxon.bodyPlan}" is not in the guide`,
    };
  else if (plan.kingdom !== taxon.kingdom) {
    yield {
      path: `${path}.bodyPlan`,
      taxon: taxon.id,
      reason: `body plan "${plan.id}" belongs to ${plan.kingdom}`,
    };
  }
  yield* checkOtherTaxa(taxon, path, around.taxonIds);
  yield* checkStages(taxon.stages, `${path}.stages`, taxon, stageKingdom);
  yield* checkNeeds(taxon, path, stageKingdom);
  yield* checkPhenology(taxon, path, stageKingdom);
  for (const part of taxon.parts) yield* checkStages(part.stages, `${path}.parts`, taxon, stageKingdom);
  yield* checkStatements(taxon, path, characters);
  yield* checkReadings(taxon, path, readings);
  yield* checkSignature(taxon, path, characters);
}

function* checkOtherTaxa(taxon: Taxon, path: string, taxonIds: ReadonlySet<string>): Generator<GuideProblem> {
  for (const other of taxon.lookalikes) {
    if (!taxonIds.has(other))
      yield {
        path: `${path}.lookalikes`,
        taxon: taxon.id,
        reason: `lookalike "${other}" is not in the guide`,
      };
    if (other === taxon.id)
      yield { path: `${path}.lookalikes`, taxon: taxon.id, reason: 'a taxon cannot be its own lookalike' };
  }
  for (const { taxon: other } of taxon.nearDoubles ?? []) {
    if (!taxonIds.has(other) || other === taxon.id)
      yield {
        path: `${path}.nearDoubles`,
        taxon: taxon.id,
        reason: `near-double "${other}" is not another taxon of the guide`,
      };
  }
}

function* checkNeeds(taxon: Taxon, path: string, stageKingdom: Map<string, string>): Generator<GuideProblem> {
  for (const [nth, { stage, begins, ends }] of (taxon.needs ?? []).entries()) {
    const at = `${path}.needs[${nth}]`;
    yield* checkStages([stage], `${at}.stage`, taxon, stageKingdom);
    if ((taxon.needs ?? []).findIndex((need) => need.stage === stage) < nth)
      yield { path: `${at}.stage`, taxon: taxon.id, reason: 'each stage once' };
    if (ends.warmth && ends.warmth.sum <= (begins.warmth?.sum ?? Infinity))
      yield {
        path: `${at}.ends.warmth`,
        taxon: taxon.id,
        reason: 'more warmth than it began with, and only where it began with warmth',
      };
  }
}

function* checkPhenology(
  taxon: Taxon,
  path: string,
  stageKingdom: Map<string, string>,
): Generator<GuideProblem> {
  for (const [
    nth,
    {
      stage,
      elevation: [low, high],
    },
  ] of (taxon.phenology ?? []).entries()) {
    yield* checkStages([stage], `${path}.phenology[${nth}].stage`, taxon, stageKingdom);
    if (low >= high)
      yield {
        path: `${path}.phenology[${nth}].elevation`,
        taxon: taxon.id,
        reason: 'a height runs from low to high',
      };
  }
}

function* checkStages(
  stages: readonly string[],
  path: string,
  taxon: Taxon,
  stageKingdom: Map<string, string>,
  character?: string,
): Generator<GuideProblem> {
  const where = { path, taxon: taxon.id, ...(character ? { character } : {}) };
  for (const stage of stages) {
    if (stageKingdom.get(stage) !== taxon.kingdom)
      yield { ...where, reason: `"${stage}" is not a growth stage of ${taxon.kingdom}` };
    else if (!(taxon.stages as readonly string[]).includes(stage))
      yield { ...where, reason: `"${stage}" is not among the stages of this taxon` };
  }
}

function* checkStatements(
  taxon: Taxon,
  path: string,
  characters: Map<string, Character>,
): Generator<GuideProblem> {
  const stagesOf = new Map<string, Set<string>>();
  for (const [index, statement] of taxon.statements.entries()) {
    const where = { path: `${path}.statements[${index}]`, taxon: taxon.id, character: statement.character };
    const character = characters.get(statement.character);
    if (!character) {
      yield { ...where, reason: 'the character is not in the guide' };
      continue;
    }
    if (character.kingdom !== taxon.kingdom)
      yield { ...where, reason: `the character is of ${character.kingdom}, the taxon of ${taxon.kingdom}` };
    const stageKingdom = new Map(taxon.stages.map((stage) => [stage as string, taxon.kingdom as string]));
    yield* checkStages(statement.stages ?? [], where.path, taxon, stageKingdom, statement.character);
    for (const reason of checkStatement(statement, character)) yield { ...where, reason };

    const before = stagesOf.get(statement.character) ?? new Set<string>();
    for (const stage of statement.stages ?? taxon.stages) {
      if (before.has(stage)) yield { ...where, reason: `stage "${stage}" is stated twice` };
      before.add(stage);
    }
    stagesOf.set(statement.character, before);
  }
}

/** A statement names each reading once, and only readings that the guide lists. */
function* checkReadings(taxon: Taxon, path: string, readings: ReadonlySet<string>): Generator<GuideProblem> {
  for (const [index, { character, readBy = [] }] of taxon.statements.entries()) {
    const where = { path: `${path}.statements[${index}].readBy`, taxon: taxon.id, character };
    for (const reading of readBy)
      if (!readings.has(reading))
        yield { ...where, reason: `reading "${reading}" is not among the readings of the guide` };
    if (new Set(readBy).size !== readBy.length) yield { ...where, reason: 'a reading is named twice' };
  }
}

function* checkSignature(
  taxon: Taxon,
  path: string,
  characters: Map<string, Character>,
): Generator<GuideProblem> {
  if (taxon.parts.length === 0) return;
  const groups = new Set<string>();
  for (const id of taxon.signature) {
    const where = { path: `${path}.signature`, taxon: taxon.id, character: id };
    const character = characters.get(id);
    if (!character) {
      yield { ...where, reason: 'the signature character is not in the guide' };
      continue;
    }
    groups.add(character.group);
    const statements = taxon.statements.filter((s) => s.character === id);
    if (statements.length === 0) yield { ...where, reason: 'a signature character needs a statement' };
    if (character.organ === 'place')
      yield { ...where, reason: 'a character of the place cannot be a signature' };
  }
  if (groups.size < 2)
    yield {
      path: `${path}.signature`,
      taxon: taxon.id,
      reason: 'the signature of a wanted taxon comes from at least two groups',
    };
}
