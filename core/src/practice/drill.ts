import {
  statesIn,
  type CharacterId,
  type CompiledGuide,
  type CompiledTaxon,
  type StageId,
  type StateId,
} from '../guide';
import { seeded } from '../lib/seeded';
import type { CardId } from '../notebook/page';
import { canBeOrdered, cardOf, drawnPartings, stagesApart, type Drawable, type Pictures } from './cards';
import { MEASURED } from './measured';
import { specimenOf, type Specimen } from './specimen';

/**
 * Drills: one question about one card, made anew by a seed. What is asked can always be seen on what is
 * drawn.
 */

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

const OPTIONS = 4;
const WHICH = 6;
const BASKET = 9;
/** Of one's own readings off a drawing: steps so far apart that a look at the scale tells them. */
const STEPS = [0.4, 0.65, 1, 1.6, 2.5];

type Draw = () => number;
function shuffled<T>(all: readonly T[], draw: Draw): T[] {
  return all
    .map((one) => ({ one, at: draw() }))
    .sort((a, b) => a.at - b.at)
    .map(({ one }) => one);
}
const pick = <T>(from: readonly T[], draw: Draw): T | undefined => from[Math.floor(draw() * from.length)];

/** @returns nothing where this guide knows nothing of it that can be drawn */
export function drillFor(
  guide: CompiledGuide,
  card: CardId,
  seed: number,
  pictures: Pictures,
): Drill | undefined {
  const drawable = pictures.state;
  const of = cardOf(card);
  const draw = seeded(seed * 6151 + 3);
  switch (of?.kind) {
    case 'pair': {
      const [target, other] = [guide.taxon(of.target), guide.taxon(of.other)];
      return target && other && target !== other
        ? ofPair(guide, { card, target, other, draw, drawable })
        : undefined;
    }
    case 'feature':
      return ofFeature(guide, card, of.character, draw, drawable);
    case 'term': {
      const states = drawnStates(guide, of.character, drawable);
      const shown = states.find((state) => state === of.state);
      const character = guide.character(of.character)?.id;
      if (shown === undefined || character === undefined || states.length < 2) return undefined;
      const options = shuffled(
        [
          shown,
          ...shuffled(
            states.filter((state) => state !== shown),
            draw,
          ).slice(0, OPTIONS - 1),
        ],
        draw,
      );
      return draw() < 0.35 && isDrawn(guide, of.character)
        ? { kind: 'draw', card, character, shown }
        : { kind: 'drawing', card, character, shown, options };
    }
    case 'stages': {
      const taxon = guide.taxon(of.taxon);
      const order = taxon ? stagesApart(taxon, pictures) : [];
      if (!taxon || !canBeOrdered(order)) return undefined;
      let mixed = shuffled(order, draw);
      if (mixed.every((stage, at) => stage === order[at])) mixed = [...mixed].reverse();
      return { kind: 'stages', card, taxon, shuffled: mixed };
    }
    case undefined:
      return undefined;
  }
}

const isDrawn = (guide: CompiledGuide, character: string) =>
  guide.character(character)?.character.kind === 'states';
function drawnStates(guide: CompiledGuide, id: string, drawable: Drawable): StateId[] {
  const character = guide.character(id)?.character;
  return character && 'states' in character
    ? character.states.filter((state) => drawable(id, state.id)).map((state) => state.id)
    : [];
}

function ofFeature(
  guide: CompiledGuide,
  card: CardId,
  id: string,
  draw: Draw,
  drawable: Drawable,
): Drill | undefined {
  const character = guide.character(id);
  if (!character) return undefined;
  if (character.character.kind === 'measure') return ofMeasure(guide, card, character.id, draw);
  const states = drawnStates(guide, id, drawable);
  const shown = pick(states, draw);
  if (shown === undefined || states.length < 2) return undefined;
  return {
    kind: 'word',
    card,
    character: character.id,
    shown,
    options: shuffled(
      [
        shown,
        ...shuffled(
          states.filter((state) => state !== shown),
          draw,
        ).slice(0, OPTIONS - 1),
      ],
      draw,
    ),
  };
}

function ofMeasure(
  guide: CompiledGuide,
  card: CardId,
  character: CharacterId,
  draw: Draw,
): Drill | undefined {
  if (!MEASURED.includes(character)) return undefined;
  const index = guide.character(character)?.index ?? -1;
  const taxon = pick(
    guide.taxa.filter((one) =>
      [...(one.atStage.get(index)?.values() ?? [])].some((known) => known.kind === 'number'),
    ),
    draw,
  );
  const stage = taxon?.taxon.stages.find((one) => taxon.atStage.get(index)?.get(one)?.kind === 'number');
  if (!taxon || stage === undefined) return undefined;
  const specimen = specimenOf(guide, { taxon, stage, seed: Math.floor(draw() * 1e6) });
  const value = specimen.shows.get(character);
  if (value?.kind !== 'measure' || value.number <= 0) return undefined;
  const first = Math.floor(draw() * (STEPS.length - OPTIONS + 1));
  const rounded = (mm: number) =>
    mm >= 100 ? Math.round(mm / 10) * 10 : mm >= 10 ? Math.round(mm) : Math.round(mm * 10) / 10;
  const { number } = value;
  return {
    kind: 'measure',
    card,
    character,
    specimen,
    right: rounded(number),
    options: STEPS.slice(first, first + OPTIONS).map((step) => rounded(number * step)),
  };
}

interface Pair {
  readonly card: CardId;
  readonly target: CompiledTaxon;
  readonly other: CompiledTaxon;
  readonly draw: Draw;
  readonly drawable: Drawable;
}
function ofPair(guide: CompiledGuide, pair: Pair): Drill | undefined {
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
  const drawn = telling.filter(({ character }) => isDrawn(guide, character));
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
    if (character.character.kind !== 'colour' || character.place) return [];
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
    .filter((character) => specimens.every(({ shows }) => shows.get(character)?.kind === 'states'))
    .slice(0, 2);
  return shownBy.length === 0
    ? undefined
    : { kind, card, target, other, shownBy, specimens: shuffled(specimens, draw) };
}
