import { differInStates } from '../case';
import type { CompiledGuide, HarmGrade, TaxonId } from '../guide';
import type { FindRecord } from '../notebook/find';
import type { CardId, PracticeFields, PracticeFind } from '../notebook/page';
import { cardOf, featureCard, pairCard } from './cards';
import type { Read } from './confusion';
import { met, unseen, type Memory, type MetAgain } from './repeat';

/** What is remembered, from all that was practised and from what went wrong in earnest. */

export interface FromFinds {
  readonly card: CardId;
  readonly at: string;
  readonly kind: 'field-wrong' | 'stray-through';
  /** Whether it could have hurt somebody. */
  readonly dangerous: boolean;
}
export interface CardHistory {
  readonly memory: Memory;
  /** When it was last looked at, in practice or in earnest. */
  readonly last: string;
  /** When it was last mistaken so that somebody could have been hurt. */
  readonly lastDangerous: string | undefined;
}
export interface History {
  readonly cards: ReadonlyMap<string, CardHistory>;
  readonly reads: readonly Read[];
  /** Pairs as they were told apart in practice, and how often they were not. */
  readonly pairs: readonly PairHistory[];
  /** What was collected and was another, most often first. */
  readonly taken: readonly {
    readonly was: TaxonId;
    readonly as: TaxonId;
    readonly grade: HarmGrade;
    readonly times: number;
  }[];
}

export interface PairHistory {
  readonly card: CardId;
  readonly times: number;
  readonly wrong: number;
}

interface Event {
  readonly card: CardId;
  readonly at: string;
  readonly what: MetAgain;
  readonly dangerous: boolean;
}
const HURTS: readonly HarmGrade[] = ['serious', 'deadly'];

/**
 * Folds sittings and what happened in earnest into what is remembered of each card, in the order in which it
 * happened.
 *
 * @param guide to know what harms; what it does not know any more counts as harmless
 */
export function historyOf(
  guide: CompiledGuide,
  sittings: readonly Partial<PracticeFields>[],
  ofFinds: readonly FromFinds[] = [],
): History {
  const finds = sittings.flatMap(({ finds: some = [] }) => some);
  const answers = sittings.flatMap(({ answers: some = [] }) => some);
  const gradeOf = (id: string): HarmGrade => guide.taxon(id)?.grade ?? 'none';
  const events: Event[] = [
    ...answers.map(({ card, at, right, sureness }): Event => {
      const of = cardOf(card);
      return {
        card,
        at,
        what: { kind: 'drill', right, sure: sureness === 'sure' },
        dangerous: !right && of?.kind === 'pair' && HURTS.includes(gradeOf(of.other)),
      };
    }),
    ...finds.flatMap((find) => eventsOf(find)),
    ...ofFinds.map(({ card, at, kind, dangerous }): Event => ({ card, at, what: { kind }, dangerous })),
  ].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.card < b.card ? -1 : 1));
  const cards = new Map<string, CardHistory>();
  for (const { card, at, what, dangerous } of events) {
    const known = cards.get(card);
    const now = new Date(at);
    cards.set(card, {
      memory: met(known?.memory ?? unseen(now), what, now),
      last: at,
      lastDangerous: dangerous ? at : known?.lastDangerous,
    });
  }
  const reads: Read[] = [
    ...answers.flatMap(({ look }) => look ?? []),
    ...finds.flatMap(({ looks }) => looks),
  ];
  return { cards, reads, pairs: pairHistories(events), taken: takenFor(finds, gradeOf) };
}

function pairHistories(events: readonly Event[]): PairHistory[] {
  const pairs = new Map<CardId, { card: CardId; times: number; wrong: number }>();
  for (const { card, what } of events) {
    if (what.kind !== 'drill' || cardOf(card)?.kind !== 'pair') continue;
    const known = pairs.get(card) ?? { card, times: 0, wrong: 0 };
    pairs.set(card, { card, times: known.times + 1, wrong: known.wrong + Number(!what.right) });
  }
  return [...pairs.values()].sort((a, b) => b.wrong - a.wrong || (a.card < b.card ? -1 : 1));
}

/** What a find of the practice wood tells of the pair it was about, and of what was looked at. */
function eventsOf({ at, target, was, decided, risked, open, looks }: PracticeFind): Event[] {
  const collected = decided === 'collect';
  const features = looks.map(({ character, shown, read, sureness }): Event => ({
    card: featureCard(character),
    at,
    what: { kind: 'drill', right: shown === read, sure: sureness === 'sure' },
    dangerous: false,
  }));
  if (was !== target)
    return [
      ...features,
      {
        card: pairCard(target, was),
        at,
        what: { kind: 'drill', right: !collected, sure: true },
        dangerous: collected && HURTS.includes(risked),
      },
    ];
  // Right by luck is not right: the one that was still open could have been it.
  return collected && open !== undefined
    ? [
        ...features,
        {
          card: pairCard(target, open),
          at,
          what: { kind: 'drill', right: false, sure: true },
          dangerous: HURTS.includes(risked),
        },
      ]
    : features;
}

function takenFor(finds: readonly PracticeFind[], gradeOf: (id: string) => HarmGrade): History['taken'] {
  const taken = new Map<string, { was: TaxonId; as: TaxonId; grade: HarmGrade; times: number }>();
  for (const { was, target, decided } of finds) {
    if (decided !== 'collect' || was === target) continue;
    const known = taken.get(`${was} ${target}`);
    if (known) known.times += 1;
    else taken.set(`${was} ${target}`, { was, as: target, grade: gradeOf(was), times: 1 });
  }
  return [...taken.values()].sort((a, b) => b.times - a.times || (a.was < b.was ? -1 : 1));
}

/** What was taken of a find, and which strays were found in it at home. */
export interface Sorted {
  readonly at: string;
  readonly taxon: string;
  readonly grades: readonly HarmGrade[];
}

/**
 * What of one's own was superseded in earnest: another answer by oneself or by a second pair of eyes, and
 * strays that were let through.
 */
export function fromFinds(
  guide: CompiledGuide,
  records: readonly FindRecord[],
  sorted: readonly Sorted[],
  me: string,
): FromFinds[] {
  const wrong = records.flatMap((record) =>
    record.readings.flatMap((reading, index): FromFinds[] => {
      const { value } = reading;
      if (reading.by !== me) return [];
      const later = record.readings.find(
        (other, at) =>
          (other.blind === true ? other.by !== me : at > index && other.by === me) &&
          other.piece === reading.piece &&
          other.character === reading.character &&
          differInStates(other.value, value),
      );
      return later
        ? [{ card: featureCard(reading.character), at: later.at, kind: 'field-wrong', dangerous: false }]
        : [];
    }),
  );
  const strays = sorted.flatMap(({ at, taxon, grades }) => {
    const target = guide.taxon(taxon);
    const pairs =
      target?.taxon.lookalikes.filter((id) => grades.includes(guide.taxon(id)?.grade ?? 'none')) ?? [];
    return pairs.map((other): FromFinds => ({
      card: pairCard(taxon, other),
      at,
      kind: 'stray-through',
      dangerous: HURTS.includes(guide.taxon(other)?.grade ?? 'none'),
    }));
  });
  return [...wrong, ...strays];
}
