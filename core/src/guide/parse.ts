import type { z } from 'zod';
import { Guide, type Character, type Statement, type Taxon } from './schema';

/** One mistake in a guide: where it stands, in which taxon and character if known, and the reason. */
export interface GuideProblem {
  readonly path: string;
  readonly taxon?: string;
  readonly character?: string;
  readonly reason: string;
}

export class GuideError extends Error {
  constructor(readonly problems: readonly GuideProblem[]) {
    super(problems.map(sayProblem).join('\n'));
    this.name = 'GuideError';
  }
}

function sayProblem(problem: GuideProblem): string {
  const where = [problem.taxon, problem.character].filter(Boolean).join(' / ');
  return `${where || problem.path}: ${problem.reason}`;
}

/** `taxa[3].statements[2].usual` for `['taxa', 3, 'statements', 2, 'usual']`. */
export function fieldPath(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (text, key) =>
      typeof key === 'number' ? `${text}[${key}]` : text ? `${text}.${String(key)}` : String(key),
    '',
  );
}

function locate(raw: unknown, path: readonly PropertyKey[]): Pick<GuideProblem, 'taxon' | 'character'> {
  const step = (value: unknown, key: PropertyKey | undefined): unknown =>
    typeof value === 'object' && value !== null && key !== undefined
      ? (value as Record<PropertyKey, unknown>)[key]
      : undefined;
  const named = (value: unknown, key: string) => {
    const found = step(value, key);
    return typeof found === 'string' ? found : undefined;
  };
  const entry = step(step(raw, path[0]), path[1]);
  if (path[0] === 'characters') {
    const character = named(entry, 'id');
    return character ? { character } : {};
  }
  if (path[0] !== 'taxa') return {};
  const taxon = named(entry, 'id');
  const character =
    path[2] === 'statements' ? named(step(step(entry, 'statements'), path[3]), 'character') : undefined;
  return { ...(taxon ? { taxon } : {}), ...(character ? { character } : {}) };
}

function fromIssue(raw: unknown, issue: z.core.$ZodIssue): GuideProblem {
  return { path: fieldPath(issue.path), ...locate(raw, issue.path), reason: issue.message };
}

/**
 * Parses a guide from untrusted JSON.
 *
 * @returns the guide, every reference in it resolved
 * @throws GuideError with every problem found, each naming taxon, character and reason where it has them
 */
export function parseGuide(raw: unknown): Guide {
  const parsed = Guide.safeParse(raw);
  if (!parsed.success) throw new GuideError(parsed.error.issues.map((issue) => fromIssue(raw, issue)));
  const problems = [...checkGuide(parsed.data)];
  if (problems.length > 0) throw new GuideError(problems);
  return parsed.data;
}

function* duplicates(ids: readonly string[], path: string): Generator<GuideProblem> {
  const seen = new Set<string>();
  for (const [index, id] of ids.entries()) {
    if (seen.has(id)) yield { path: `${path}[${index}].id`, reason: `"${id}" is there twice` };
    seen.add(id);
  }
}

function* checkGuide(guide: Guide): Generator<GuideProblem> {
  yield* duplicates(
    guide.stages.map((s) => s.id),
    'stages',
  );
  yield* duplicates(
    guide.bodyPlans.map((b) => b.id),
    'bodyPlans',
  );
  yield* duplicates(
    guide.characters.map((c) => c.id),
    'characters',
  );
  yield* duplicates(
    guide.taxa.map((t) => t.id),
    'taxa',
  );
  yield* duplicates(
    (guide.readings ?? []).map((r) => r.id),
    'readings',
  );

  const stageKingdom = new Map(guide.stages.map((s) => [s.id, s.kingdom]));
  const characters = new Map(guide.characters.map((c) => [c.id, c]));
  const taxonIds = new Set(guide.taxa.map((t) => t.id));
  const readings = new Set((guide.readings ?? []).map((r) => r.id));

  for (const [index, plan] of guide.bodyPlans.entries()) {
    for (const id of [...(plan.core ?? []), ...(plan.marks ?? []).map((mark) => mark.character)]) {
      if (!characters.has(id))
        yield { path: `bodyPlans[${index}]`, reason: `character "${id}" is not in the guide` };
    }
    for (const { character: id, states } of plan.marks ?? []) {
      const character = characters.get(id);
      const known: readonly string[] =
        character && 'states' in character ? character.states.map((s) => s.id) : [];
      for (const state of states) {
        if (!known.includes(state))
          yield {
            path: `bodyPlans[${index}].marks`,
            character: id,
            reason: `state "${state}" is not in the character`,
          };
      }
    }
  }
  for (const [index, character] of guide.characters.entries()) {
    yield* checkCharacter(character, `characters[${index}]`, stageKingdom);
  }
  for (const [index, taxon] of guide.taxa.entries()) {
    const path = `taxa[${index}]`;
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
    yield* checkStages(taxon.stages, `${path}.stages`, taxon, stageKingdom);
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
    for (const part of taxon.parts) yield* checkStages(part.stages, `${path}.parts`, taxon, stageKingdom);
    yield* checkStatements(taxon, path, characters);
    yield* checkReadings(taxon, path, readings);
    yield* checkSignature(taxon, path, characters);
  }
}

function* checkCharacter(
  character: Character,
  path: string,
  stageKingdom: Map<string, string>,
): Generator<GuideProblem> {
  for (const stage of character.stages ?? []) {
    if (stageKingdom.get(stage) !== character.kingdom) {
      yield {
        path: `${path}.stages`,
        character: character.id,
        reason: `"${stage}" is not a growth stage of ${character.kingdom}`,
      };
    }
  }
  if (character.kind === 'states' || character.kind === 'colour') {
    const seen = new Set<string>();
    for (const state of character.states) {
      if (seen.has(state.id))
        yield {
          path: `${path}.states`,
          character: character.id,
          reason: `state "${state.id}" is there twice`,
        };
      seen.add(state.id);
    }
    for (const [index, pair] of (character.shades ?? []).entries()) {
      const where = { path: `${path}.shades[${index}]`, character: character.id };
      for (const state of pair)
        if (!seen.has(state)) yield { ...where, reason: `state "${state}" is not in the character` };
      if (pair[0] === pair[1]) yield { ...where, reason: 'a state shades into another one' };
    }
    if (character.fades && !character.states.some((s) => s.absent)) {
      yield {
        path: `${path}.fades`,
        character: character.id,
        reason: 'what fades needs a state marked absent',
      };
    }
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
  const told = new Map<string, Set<string>>();
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
    yield* checkValues(statement, character, where);

    const before = told.get(statement.character) ?? new Set<string>();
    for (const stage of statement.stages ?? taxon.stages) {
      if (before.has(stage)) yield { ...where, reason: `stage "${stage}" is stated twice` };
      before.add(stage);
    }
    told.set(statement.character, before);
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

function* checkValues(
  statement: Statement,
  character: Character,
  where: Omit<GuideProblem, 'reason'>,
): Generator<GuideProblem> {
  if ('range' in statement) {
    const { usual, outer, unit } = statement.range;
    if (character.kind === 'states' || character.kind === 'colour') {
      yield { ...where, reason: 'the character has states, the statement gives a range' };
      return;
    }
    if (character.kind === 'measure' && unit === undefined)
      yield { ...where, reason: 'a measure needs its unit' };
    if (character.kind === 'count' && unit !== undefined) yield { ...where, reason: 'a count has no unit' };
    if (usual[0] > usual[1] || outer[0] > outer[1])
      yield { ...where, reason: 'a range runs from small to large' };
    if (outer[0] > usual[0] || outer[1] < usual[1])
      yield { ...where, reason: 'the outer range must hold the usual one' };
    return;
  }
  if (character.kind !== 'states' && character.kind !== 'colour') {
    yield { ...where, reason: 'the character is a number, the statement gives states' };
    return;
  }
  const known = new Set<string>(character.states.map((s) => s.id));
  const named = [...statement.usual, ...(statement.occasional ?? [])];
  for (const state of named) {
    if (!known.has(state)) yield { ...where, reason: `state "${state}" is not in the character` };
  }
  if (new Set(named).size !== named.length) yield { ...where, reason: 'a state is named twice' };
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
