import { z } from 'zod';
import { PieceId, type CaseView } from '../../case';
import { CharacterId } from '../../guide';
import { characterId } from '../contradictions';
import { unanswered as unansweredOf, UNANSWERED_FREE } from '../unanswered';
import { rule, type BarsBasis, type Basis } from './rule';
import { character, looks, taxa } from './shapes';

/** What the readings say, one by one. */

/** A majority of at least four looks is against the target. */
export const contradicted = rule({
  code: 'contradicted',
  weight: 'leave',
  parameters: { ...character, ...looks },
  readingsCanUndo: true,
  applies: ({ contradictions }: Basis) => contradictions.final,
});

/** Two looks are against the target, and a deadly or serious taxon fits everything seen. */
export const contradictedAndDangerFits = rule({
  code: 'contradicted-and-danger-fits',
  weight: 'leave',
  parameters: { ...character, taxa },
  readingsCanUndo: true,
  applies: ({ contradictions }: Basis) => contradictions.dangerFits,
});

/** Some looks are against the target, and not yet enough of them, or not yet outvoted. */
export const contradictedOpen = rule({
  code: 'contradicted-open',
  weight: 'pause',
  parameters: { ...character, ...looks },
  readingsCanUndo: true,
  checksCanMend: true,
  applies: ({ guide, held, contradictions }: Basis) => {
    const closed = new Set(
      [...contradictions.final, ...contradictions.dangerFits].map((reason) => reason.character),
    );
    return [...held.settled]
      .filter(([index, settled]) => settled.outcome === 'open' && !closed.has(characterId(guide, index)))
      .map(([index, settled]) => ({
        character: characterId(guide, index),
        against: settled.against,
        looks: settled.looks.length,
      }));
  },
});

/**
 * Looks that were taken back and not made again, on whatever piece: the place apart, which settles nothing.
 */
function takenBackIn(view: CaseView): { character: CharacterId; piece: PieceId }[] {
  const open = view.withdrawn.filter(
    (withdrawn) =>
      !withdrawn.character.place &&
      !view.looks.some(
        (look) =>
          look.character.index === withdrawn.character.index &&
          look.reading.piece === withdrawn.reading.piece,
      ),
  );
  const named = new Map(
    open.map((look) => [
      `${look.character.id} ${look.reading.piece}`,
      { character: look.character.id, piece: look.reading.piece },
    ]),
  );
  return [...named].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, what]) => what);
}

export const takenBack = rule({
  code: 'taken-back',
  weight: 'pause',
  parameters: { ...character, piece: PieceId },
  readingsCanUndo: false,
  checksCanMend: true,
  applies: ({ view }: Basis) => (view.withdrawn.length === 0 ? [] : takenBackIn(view)),
});

/** Something was seen that cannot be seen at the recorded stage. */
export const stageDisputed = rule({
  code: 'stage-disputed',
  weight: 'pause',
  parameters: character,
  readingsCanUndo: true,
  checksCanMend: true,
  applies: ({ held }: Basis) => held.stageDisputes.map((id) => ({ character: id })),
});

export const otherPieceAgainst = rule({
  code: 'other-piece-against',
  weight: 'pause',
  parameters: { ...character, piece: PieceId },
  readingsCanUndo: true,
  applies: ({ held }: Basis) =>
    held.otherPieces.map((look) => ({ character: look.character.id, piece: look.reading.piece })),
});

export const unanswered = rule({
  code: 'unanswered',
  weight: 'pause',
  parameters: { characters: z.array(CharacterId).max(400) },
  readingsCanUndo: false,
  checksCanMend: true,
  applies: ({ guide, view, target }: Basis) => {
    const characters = unansweredOf(guide, view, target);
    return characters.length > UNANSWERED_FREE ? [{ characters }] : [];
  },
});

/** One check may stay unanswered: everything deadly needs a bar more then. */
export const passedOver = rule({
  code: 'passed-over',
  weight: 'note',
  parameters: character,
  readingsCanUndo: false,
  applies: ({ guide, view, target }: Basis) => {
    const open = unansweredOf(guide, view, target);
    const [first] = open;
    return first !== undefined && open.length <= UNANSWERED_FREE ? [{ character: first }] : [];
  },
});

/** Looks disagree: the character gives no bar on this find. */
export const disputed = rule({
  code: 'disputed',
  weight: 'note',
  parameters: character,
  readingsCanUndo: true,
  applies: (basis: BarsBasis) =>
    [...basis.disputed]
      .sort((a, b) => a - b)
      .map((index) => ({ character: characterId(basis.guide, index) })),
});
