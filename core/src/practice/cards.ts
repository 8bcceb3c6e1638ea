import type { CompiledGuide, CompiledTaxon, HarmGrade, StageId } from '../guide';
import { partings } from '../guide/partings';
import type { CardId } from '../notebook/page';
import { MEASURED } from './measured';
import { dueNow, remembered, unseen, type Due, type Memory, type Soon } from './repeat';

/** What is practised, each by itself: a pair, a character, a term of it, the stages of a taxon. */

export type Card =
  | { readonly kind: 'pair'; readonly target: string; readonly other: string }
  | { readonly kind: 'feature'; readonly character: string }
  | { readonly kind: 'term'; readonly character: string; readonly state: string }
  | { readonly kind: 'stages'; readonly taxon: string };

export const pairCard = (target: string, other: string): CardId => `pair:${target}:${other}`;
export const featureCard = (character: string): CardId => `feature:${character}`;
export const termCard = (character: string, state: string): CardId => `term:${character}:${state}`;
export const stagesCard = (taxon: string): CardId => `stages:${taxon}`;

export function cardOf(id: string): Card | undefined {
  const [kind, a, b] = id.split(':');
  if (a === undefined) return undefined;
  if (kind === 'pair') return b === undefined ? undefined : { kind, target: a, other: b };
  if (kind === 'term') return b === undefined ? undefined : { kind, character: a, state: b };
  if (kind === 'feature') return { kind, character: a };
  return kind === 'stages' ? { kind, taxon: a } : undefined;
}

/** Whether a picture can show this state of a character. */
export type Drawable = (character: string, state: string) => boolean;
/**
 * What can be drawn: single states, and a taxon as a whole at a stage, as a text that is the same only where
 * the drawing is.
 */
export interface Pictures {
  readonly state: Drawable;
  readonly whole: (taxon: CompiledTaxon, stage: StageId) => string;
}

/**
 * Stages of a taxon that look unlike one another, in their order; no more than can be put in order at a
 * glance.
 */
export function stagesApart(taxon: CompiledTaxon, { whole }: Pictures): StageId[] {
  const seen = new Set<string>();
  return taxon.taxon.stages
    .filter((stage) => {
      const drawn = whole(taxon, stage);
      if (seen.has(drawn)) return false;
      seen.add(drawn);
      return true;
    })
    .slice(0, 4);
}
const FEWEST_STAGES = 3;
export const canBeOrdered = (stages: readonly StageId[]): boolean => stages.length >= FEWEST_STAGES;

/** What parts two and can be drawn or shown as a colour, the quickest to look at first. */
export function drawnPartings(
  guide: CompiledGuide,
  target: CompiledTaxon,
  other: CompiledTaxon,
  stages: readonly StageId[] | undefined,
  drawable: Drawable,
) {
  return partings(guide, target, other, stages)
    .filter(
      ({ character, target: own, other: theirs }) =>
        own.length > 0 &&
        theirs.length > 0 &&
        [...own, ...theirs].every((state) => drawable(character, state)),
    )
    .sort(
      (a, b) =>
        (guide.character(a.character)?.character.seconds ?? 0) -
        (guide.character(b.character)?.character.seconds ?? 0),
    );
}

/** How many characters of a pair are practised by themselves too. */
const FEATURES_OF_PAIR = 2;

/**
 * All cards of these taxa as targets: pairs with what harms first, then what parts them, and the order of the
 * stages of some.
 *
 * @param inOrder those whose stages are asked for: telling whether they look unlike one another takes drawing
 * them
 */
export function cardsOf(
  guide: CompiledGuide,
  targets: readonly CompiledTaxon[],
  pictures: Pictures,
  inOrder: readonly CompiledTaxon[] = targets,
): { readonly id: CardId; readonly grade: HarmGrade }[] {
  const cards = new Map<CardId, HarmGrade>();
  const add = (id: CardId, grade: HarmGrade) => {
    if (!cards.has(id)) cards.set(id, grade);
  };
  const pairs = targets.flatMap((target) =>
    target.taxon.lookalikes.flatMap((id) => {
      const other = guide.taxon(id);
      return other ? [{ target, other }] : [];
    }),
  );
  for (const { target, other } of pairs) add(pairCard(target.id, other.id), other.grade);
  for (const { target, other } of pairs) {
    for (const { character, target: own } of drawnPartings(
      guide,
      target,
      other,
      undefined,
      pictures.state,
    ).slice(0, FEATURES_OF_PAIR)) {
      add(featureCard(character), other.grade);
      for (const state of own.slice(0, 1)) add(termCard(character, state), other.grade);
    }
  }
  for (const character of MEASURED) {
    const index = guide.character(character)?.index ?? -1;
    if (targets.some((target) => target.overall.get(index)?.kind === 'number'))
      add(featureCard(character), 'none');
  }
  for (const target of inOrder)
    if (canBeOrdered(stagesApart(target, pictures))) add(stagesCard(target.id), 'none');
  return [...cards].map(([id, grade]) => ({ id, grade }));
}

export interface SittingOf {
  readonly cards: readonly { readonly id: CardId; readonly grade: HarmGrade }[];
  readonly memories: ReadonlyMap<string, Memory>;
  readonly soon: (card: CardId) => Soon;
  readonly now: Date;
  /** How many fit into the minutes. */
  readonly most: number;
  /** Of those that were never looked at, no more than this. */
  readonly fresh: number;
}

/**
 * What to practise now: what is due, then some that were never looked at, what the next walk is for and what
 * stands around first of each. Minutes that are left go to what will be due soonest of what harms: whoever
 * sits down anyway forgets less.
 */
export function sitting({ cards, memories, soon, now, most, fresh }: SittingOf): CardId[] {
  const due = (some: SittingOf['cards']): Due[] =>
    some.map(({ id, grade }) => ({ id, grade, soon: soon(id), memory: memories.get(id) ?? unseen(now) }));
  const known = dueNow(due(cards.filter(({ id }) => memories.has(id))), now, most);
  const never = dueNow(
    due(cards.filter(({ id }) => !memories.has(id))),
    now,
    Math.min(fresh, most - known.length),
  );
  const taken = [...known, ...never].map(({ id }) => id);
  const ahead = aheadOf(due(cards.filter(({ id }) => memories.has(id) && !taken.includes(id))), now)
    .slice(0, most - taken.length)
    .map(({ id }) => id);
  return [...taken, ...ahead] as CardId[];
}

/** What harms and was not looked at today, what is remembered least first. */
function aheadOf(cards: readonly Due[], now: Date): Due[] {
  const lately = now.getTime() - 12 * 3_600_000;
  return cards
    .filter(
      ({ grade, memory }) =>
        (grade === 'deadly' || grade === 'serious') &&
        (memory.lastReview === undefined || Date.parse(memory.lastReview) < lately),
    )
    .map((card) => ({ card, at: remembered(card.memory, now) }))
    .sort((a, b) => a.at - b.at || (a.card.id < b.card.id ? -1 : 1))
    .map(({ card }) => card);
}
