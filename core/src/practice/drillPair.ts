import { statesRead } from '../case';
import { isColour } from '../guide';
import { type CompiledTaxon, type CompiledGuide, type StageId, statesIn, type CharacterId } from '../guide';
import type { CardId } from '../notebook/page';
import { type Drawable, drawnPartings } from './cards';
import {
  type Draw,
  type Drill,
  pick,
  isDrawnIn,
  type DrillKind,
  drawnStates,
  shuffled,
  OPTIONS,
  WHICH,
  BASKET,
} from './drillKinds';
import { specimenOf } from './specimen';

/** Drills on a pair of taxa. */

interface Pair {
  readonly card: CardId;
  readonly target: CompiledTaxon;
  readonly other: CompiledTaxon;
  readonly draw: Draw;
  readonly drawable: Drawable;
}

export function ofPair(guide: CompiledGuide, pair: Pair): Drill | undefined {
  const { card, target, other, draw, drawable } = pair;
  const shared = target.taxon.stages.filter((stage) => other.taxon.stages.includes(stage));
  const stage =
    pick(
      shared.filter((one) => target.taxon.parts.some(({ stages }) => stages.includes(one))),
      draw,
    ) ?? pick(shared, draw);
  if (stage === undefined) return undefined;
  const telling = drawnPartings(guide, target, other, [stage], drawable).filter(({ character }) =>
    guide.character(character)?.stages.has(stage),
  );
  const colours = coloursApart(guide, target, other, stage);
  const drawn = telling.filter(({ character }) => isDrawnIn(guide, character));
  const kinds: DrillKind[] = [
    ...(drawn.length > 0 ? (['differs', 'which', 'basket'] as const) : []),
    ...(colours.length > 0 ? (['colours'] as const) : []),
  ];
  const kind = pick(kinds, draw);
  if (kind === 'colours') {
    const one = pick(colours, draw);
    const of = draw() < 0.5 ? 'target' : 'other';
    return one && { kind, card, target, other, character: one.character, of, states: one[of] };
  }
  if (kind === 'differs')
    return differs(
      guide,
      pair,
      stage,
      drawn.map(({ character }) => character),
    );
  if (kind === 'which' || kind === 'basket')
    return among(
      guide,
      pair,
      kind,
      stage,
      drawn.map(({ character }) => character),
    );
  return undefined;
}

/** Colours in which they usually are apart, though one may now and then be as the other. */
function coloursApart(guide: CompiledGuide, target: CompiledTaxon, other: CompiledTaxon, stage: StageId) {
  return guide.characters.flatMap((character) => {
    if (!isColour(character.character) || character.place) return [];
    const [own, theirs] = [target, other].map((one) => one.atStage.get(character.index)?.get(stage));
    if (own?.kind !== 'states' || theirs?.kind !== 'states' || (own.usual & theirs.usual) !== 0) return [];
    return [
      {
        character: character.id,
        target: statesIn(character, own.usual),
        other: statesIn(character, theirs.usual),
      },
    ];
  });
}

/** One that parts them among some in which they agree. */
function differs(
  guide: CompiledGuide,
  { card, target, other, draw, drawable }: Pair,
  stage: StageId,
  telling: readonly CharacterId[],
): Drill | undefined {
  const right = pick(telling, draw);
  const same = guide.characters
    .filter((character) => {
      const [a, b] = [target, other].map((one) => one.atStage.get(character.index)?.get(stage));
      // With one usual state each, both are drawn alike in it.
      return (
        !character.place &&
        a?.kind === 'states' &&
        b?.kind === 'states' &&
        a.usual === b.usual &&
        (a.usual & (a.usual - 1)) === 0 &&
        a.possible === b.possible &&
        drawnStates(guide, character.id, drawable).length > 0
      );
    })
    .map(({ id }) => id);
  if (right === undefined || same.length === 0)
    return among(guide, { card, target, other, draw, drawable }, 'which', stage, telling);
  return {
    kind: 'differs',
    card,
    target,
    other,
    stage,
    right,
    options: shuffled([right, ...shuffled(same, draw).slice(0, OPTIONS - 1)], draw),
  };
}

/** Individuals of both, each shown by what parts them. */
function among(
  guide: CompiledGuide,
  { card, target, other, draw }: Pair,
  kind: 'which' | 'basket',
  stage: StageId,
  telling: readonly CharacterId[],
): Drill | undefined {
  const all = kind === 'which' ? WHICH : BASKET;
  const strays = kind === 'which' ? 1 + Math.floor(draw() * (WHICH - 2)) : Math.floor(draw() * 3);
  const specimens = Array.from({ length: all }, (_, at) =>
    specimenOf(guide, { taxon: at < strays ? other : target, stage, seed: Math.floor(draw() * 1e6) }),
  );
  // What an individual does not show tells nothing of it.
  const shownBy = telling
    .filter((character) => specimens.every(({ shows }) => statesRead(shows.get(character)).length > 0))
    .slice(0, 2);
  return shownBy.length === 0
    ? undefined
    : { kind, card, target, other, shownBy, specimens: shuffled(specimens, draw) };
}
