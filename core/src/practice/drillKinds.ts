import { isDrawn, statesOfCharacter } from '../guide';
import type { CharacterId, StateId, CompiledTaxon, StageId, CompiledGuide } from '../guide';
import type { CardId } from '../notebook/page';
import type { Drawable } from './cards';
import type { Specimen } from './specimen';

/** The kinds of drills. */

interface OfCard {
  readonly card: CardId;
}

export type Drill = OfCard &
  /** A drawing, or a colour: which word is it? */
  (
    | {
        readonly kind: 'word';
        readonly character: CharacterId;
        readonly shown: StateId;
        readonly options: readonly StateId[];
      }
    /** A word: which drawing is it? */
    | {
        readonly kind: 'drawing';
        readonly character: CharacterId;
        readonly shown: StateId;
        readonly options: readonly StateId[];
      }
    /** A word, to be drawn from memory. */
    | { readonly kind: 'draw'; readonly character: CharacterId; readonly shown: StateId }
    /** Two side by side: what parts them? */
    | {
        readonly kind: 'differs';
        readonly target: CompiledTaxon;
        readonly other: CompiledTaxon;
        readonly stage: StageId;
        readonly options: readonly CharacterId[];
        readonly right: CharacterId;
      }
    /** Several individuals: which are the other? Of a basket one has to know oneself how many. */
    | {
        readonly kind: 'which' | 'basket';
        readonly target: CompiledTaxon;
        readonly other: CompiledTaxon;
        readonly shownBy: readonly CharacterId[];
        readonly specimens: readonly Specimen[];
      }
    /** Colours of one of the two: whose are they? */
    | {
        readonly kind: 'colours';
        readonly target: CompiledTaxon;
        readonly other: CompiledTaxon;
        readonly character: CharacterId;
        readonly of: 'target' | 'other';
        readonly states: readonly StateId[];
      }
    /** Stages as they were shuffled. */
    | { readonly kind: 'stages'; readonly taxon: CompiledTaxon; readonly shuffled: readonly StageId[] }
    /** A drawing with a scale: how large is it, in millimetres? */
    | {
        readonly kind: 'measure';
        readonly character: CharacterId;
        readonly specimen: Specimen;
        readonly options: readonly number[];
        readonly right: number;
      }
  );

export type DrillKind = Drill['kind'];
export const OPTIONS = 4;
export const WHICH = 6;
export const BASKET = 9;
export type Draw = () => number;

export function shuffled<T>(all: readonly T[], draw: Draw): T[] {
  return all
    .map((one) => ({ one, at: draw() }))
    .sort((a, b) => a.at - b.at)
    .map(({ one }) => one);
}

export const pick = <T>(from: readonly T[], draw: Draw): T | undefined =>
  from[Math.floor(draw() * from.length)];

export function isDrawnIn(guide: CompiledGuide, id: string): boolean {
  const character = guide.character(id)?.character;
  return character !== undefined && isDrawn(character);
}

export function drawnStates(guide: CompiledGuide, id: string, drawable: Drawable): StateId[] {
  const character = guide.character(id)?.character;
  return character
    ? statesOfCharacter(character)
        .filter((state) => drawable(id, state.id))
        .map((state) => state.id)
    : [];
}
