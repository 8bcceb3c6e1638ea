import { checkTaxon } from './checkTaxon';
import { checkAnswers, stateOf, type Character } from './kinds';
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
    for (const state of states) {
      if (!character || !stateOf(character, state))
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
  for (const { at, reason } of checkAnswers(character))
    yield { path: `${path}.${at}`, character: character.id, reason };
}
