import { isNumber, type Character, type Guide, type GuideProblem } from '..';
import { Pack } from './schema';

/** Whether a pack fits the guide it is for. */

export function* checkPack(guide: Guide, pack: Pack): Generator<GuideProblem> {
  if (pack.over !== guide.id)
    yield { path: 'over', reason: `it is made for the guide "${pack.over}", this is "${guide.id}"` };
  if ((guide.packs ?? []).some((applied) => applied.id === pack.id))
    yield { path: 'id', reason: `a pack "${pack.id}" is applied to this guide already` };
  yield* checkAdded(guide, pack);
  yield* checkNames(guide, pack);
  yield* checkCorrections(guide, pack);
}

/** What a pack adds is not in the guide yet. */
function* checkAdded(guide: Guide, pack: Pack): Generator<GuideProblem> {
  const taxa = new Set<string>(guide.taxa.map((t) => t.id));
  const characters = new Set<string>(guide.characters.map((c) => c.id));
  for (const [index, taxon] of (pack.taxa ?? []).entries()) {
    if (taxa.has(taxon.id))
      yield {
        path: `taxa[${index}].id`,
        taxon: taxon.id,
        reason: 'the guide has this taxon; correct its statements instead',
      };
  }
  for (const [index, character] of (pack.characters ?? []).entries()) {
    if (characters.has(character.id))
      yield {
        path: `characters[${index}].id`,
        character: character.id,
        reason: 'the guide has this character; a pack cannot change what a question asks',
      };
  }
}

/** Names and lookalikes are of taxa that there are. */
function* checkNames(guide: Guide, pack: Pack): Generator<GuideProblem> {
  const taxa = new Set<string>(guide.taxa.map((t) => t.id));
  const added = new Set<string>((pack.taxa ?? []).map((t) => t.id));
  for (const id of Object.keys(pack.names ?? {}))
    if (!taxa.has(id)) yield { path: `names.${id}`, taxon: id, reason: 'the taxon is not in the guide' };
  for (const [id, others] of Object.entries(pack.lookalikes ?? {})) {
    if (!taxa.has(id)) yield { path: `lookalikes.${id}`, taxon: id, reason: 'the taxon is not in the guide' };
    for (const other of others)
      if (!taxa.has(other) && !added.has(other))
        yield {
          path: `lookalikes.${id}`,
          taxon: id,
          reason: `lookalike "${other}" is neither in the guide nor in the pack`,
        };
  }
}

/** Corrected statements are of taxa of the guide, with values that their characters have. */
function* checkCorrections(guide: Guide, pack: Pack): Generator<GuideProblem> {
  const taxa = new Map(guide.taxa.map((t) => [t.id as string, t]));
  const all = new Map<string, Character>(
    [...guide.characters, ...(pack.characters ?? [])].map((c) => [c.id, c]),
  );
  for (const [index, { taxon: id, statement }] of (pack.statements ?? []).entries()) {
    const taxon = taxa.get(id);
    const path = `statements[${index}]`;
    const character = all.get(statement.character);
    if (!taxon) {
      yield { path: `${path}.taxon`, taxon: id, reason: 'the taxon is not in the guide' };
      continue;
    }
    if (!character)
      yield {
        path: `${path}.statement.character`,
        taxon: id,
        character: statement.character,
        reason: 'the character is neither in the guide nor in the pack',
      };
    else if ('range' in statement !== isNumber(character))
      yield {
        path: `${path}.statement`,
        taxon: id,
        character: statement.character,
        reason: 'states belong to a character of states, a range to a number',
      };
    for (const stage of statement.stages ?? []) {
      if (!taxon.stages.includes(stage))
        yield {
          path: `${path}.statement.stages`,
          taxon: id,
          character: statement.character,
          reason: `"${stage}" is not among the stages of this taxon`,
        };
    }
  }
}
