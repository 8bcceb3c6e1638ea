import { type Case, viewCase, type ReadingValue, toLook, type CaseView } from '../../case';
import type {
  StateId,
  TaxonId,
  CompiledGuide,
  Relation,
  CharacterId,
  CompiledTaxon,
  CompiledCharacter,
} from '../../guide';
import { relationAtStages, dangersOf, extraBars, tally, disputedCharacters } from '../../verdict';
import { supposed } from './foreseen';

/** What each answer to a check would do. */

/** What one answer would do. */
export interface AnswerEffect {
  readonly state: StateId;
  readonly relation: Relation;
  /** Rows whose number of bars would change. */
  readonly bars: readonly {
    readonly taxon: TaxonId;
    readonly from: number;
    readonly to: number;
    readonly need: number;
  }[];
}

/**
 * For each state of a character, how it relates to the target and which rows would move if it were read now,
 * sure. Empty for numbers.
 */
export function answerEffects(guide: CompiledGuide, find: Case, id: CharacterId): AnswerEffect[] {
  const character = guide.character(id);
  const target = guide.taxon(find.target);
  if (!character || !target) return [];
  const view = viewCase(guide, find);
  const rowsNow = rowsOf(guide, view, target);
  return [...character.stateBit.keys()].map((key) => {
    const state = key as StateId;
    const value: ReadingValue = { kind: 'states', states: [state] };
    const look = toLook(guide, supposed(character, value, view.piece));
    const rows = rowsOf(guide, suppose(guide, view, character, value), target);
    const bars = rows.flatMap((row) => {
      const now = rowsNow.find((r) => r.taxon === row.taxon);
      return now && now.have !== row.have
        ? [{ taxon: row.taxon, from: now.have, to: row.have, need: row.need }]
        : [];
    });
    return { state, relation: look ? relationAtStages(look, target, find.context.stages) : 'silent', bars };
  });
}

/** Every dangerous row of a view, as bars by taxon. */
function rowsOf(
  guide: CompiledGuide,
  view: CaseView,
  target: CompiledTaxon,
): readonly { readonly taxon: TaxonId; readonly have: number; readonly need: number }[] {
  const dangers = dangersOf(guide, view, target, extraBars(guide, view, target));
  const tallied = tally(guide, view, disputedCharacters(view), dangers.same);
  return dangers.all.map(({ taxon, grade }, i) => ({
    taxon,
    have: tallied.count(i),
    need: dangers.needs[grade],
  }));
}

function suppose(
  guide: CompiledGuide,
  view: CaseView,
  character: CompiledCharacter,
  value: ReadingValue,
): CaseView {
  return viewCase(guide, {
    ...view.find,
    readings: [...view.find.readings, supposed(character, value, view.piece)],
  });
}
