import { type Character } from './character';
import { checkTaxon } from './checkTaxon';
import { type GuideProblem, duplicates } from './problem';
import type { BodyPlan, Guide } from './schema';

/** Checks that a schema cannot make: whether the parts of a guide fit each other. */

export function* checkGuide(guide: Guide): Generator<GuideProblem> {
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

  for (const [index, plan] of guide.bodyPlans.entries())
    yield* checkBodyPlan(plan, `bodyPlans[${index}]`, characters);
  for (const [index, character] of guide.characters.entries())
    yield* checkCharacter(character, `characters[${index}]`, stageKingdom);
  for (const [index, taxon] of guide.taxa.entries())
    yield* checkTaxon(taxon, `taxa[${index}]`, { guide, stageKingdom, characters, taxonIds, readings });
}

/** The characters and states that a body plan names are in the guide. */
function* checkBodyPlan(
  plan: BodyPlan,
  path: string,
  characters: ReadonlyMap<string, Character>,
): Generator<GuideProblem> {
  for (const id of [...(plan.core ?? []), ...(plan.marks ?? []).map((mark) => mark.character)]) {
    if (!characters.has(id)) yield { path: path, reason: `character "${id}" is not in the guide` };
  }
  for (const { character: id, states } of plan.marks ?? []) {
    const character = characters.get(id);
    const known: readonly string[] =
      character && 'states' in character ? character.states.map((s) => s.id) : [];
    for (const state of states) {
      if (!known.includes(state))
        yield {
          path: `${path}.marks`,
          character: id,
          reason: `state "${state}" is not in the character`,
        };
    }
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
