import { useEffect, useMemo, useState } from 'react';
import {
  expectedHere,
  fieldHistory,
  isCollectable,
  currentFields,
  wantedStages,
  type CompiledTaxon,
  type FieldsOf,
  type PageRecord,
} from '@pause/core';
import { isoOf } from '@pause/core/lib/day';
import {
  cardsOf,
  confusionOf,
  historyOf,
  fromFinds,
  isEarned,
  pairCard,
  sitting,
  type CardHistory,
  type CardId,
  type Confusion,
  type History,
  type FromFinds,
  type Pictures,
  type PracticeFields,
  type Soon,
  type Sorted,
} from '@pause/core/practice';
import { guide } from '../deciding/guide';
import { changeFields } from './changeFields';
import { selectHarvests } from './harvests';
import { begin } from './pantry';
import { allFinds } from './repository/finds';
import { useAct, useApp, type Thunk } from './store';
import { useToday } from './useFinds';
import { useOpenPages } from './useOpenPages';
import { useDay } from './usePlaces';

/** What somebody practised, what went wrong in earnest, and what comes of both. */

export interface Learner {
  readonly id: string | undefined;
  readonly minutes: number;
  readonly gentle: boolean;
  readonly countsFor: readonly string[];
}
const MINUTES = 5;
/** Drills that fit into a minute. */
export const A_MINUTE = 3;

const mine = (pages: Readonly<Record<string, PageRecord>>, kind: PageRecord['kind'], me: string) =>
  Object.values(pages).filter((page) => page.kind === kind && page.person === me);

export function learnerOf(pages: Readonly<Record<string, PageRecord>>, me: string): Learner {
  const all = mine(pages, 'learner', me).sort((a, b) =>
    a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1,
  );
  // Begun on two devices before they heard of one another, there are two; of each thing what was recorded last
  // counts.
  const last = <F extends keyof FieldsOf<'learner'>>(field: F): FieldsOf<'learner'>[F] | undefined =>
    all
      .flatMap((page) => fieldHistory(page, field).slice(0, 1))
      .sort((a, b) => ((a.stamp ?? a.at) < (b.stamp ?? b.at) ? 1 : -1))[0]?.value as
      FieldsOf<'learner'>[F] | undefined;
  return {
    id: all[0]?.id,
    minutes: last('minutes') ?? MINUTES,
    gentle: last('gentle') ?? false,
    countsFor: last('countsFor') ?? [],
  };
}

/** Tells how one wants to practise, on the one page for it. */
export function saveLearner(make: (now: Learner) => Partial<Omit<Learner, 'id'>>): Thunk<Promise<boolean>> {
  return async (dispatch, getState) => {
    const of = () => learnerOf(getState().pages.all, getState().me.person?.id ?? '');
    const changes = make(of()) as Partial<{ minutes: number; gentle: boolean; countsFor: string[] }>;
    const { id } = of();
    return id === undefined
      ? (await dispatch(begin('learner', changes, undefined))) !== undefined
      : dispatch(changeFields(id, 'learner', () => changes));
  };
}

export const sittingsOf = (
  pages: Readonly<Record<string, PageRecord>>,
  me: string,
): Partial<PracticeFields>[] => mine(pages, 'practice', me).map((page) => currentFields(page, 'practice'));

/**
 * What a slip outdoors means for practice is a matter of days: every find is not read anew for each screen.
 */
const EARNEST_MS = 300_000;
let earnestKept: { readonly of: string; readonly at: number; readonly all: readonly FromFinds[] } | undefined;

/** What of one's own was superseded in earnest, as this device keeps it. */
function earnestHere(): Thunk<Promise<readonly FromFinds[]>> {
  return async (dispatch, getState) => {
    const of = getState().me.person?.id ?? '';
    if (earnestKept?.of === of && Date.now() - earnestKept.at < EARNEST_MS) return earnestKept.all;
    const records = await dispatch(allFinds());
    const sorted = selectHarvests(getState()).flatMap(
      ({ person: who, fields: { on, taxon, sorting } }): Sorted[] =>
        who === of && on !== undefined && taxon !== undefined && sorting
          ? [{ at: `${on}T20:00:00.000Z`, taxon, grades: sorting.grades }]
          : [],
    );
    const all = fromFinds(guide, records, sorted, of);
    earnestKept = { of, at: Date.now(), all };
    return all;
  };
}

export interface Practice {
  readonly ready: boolean;
  readonly learner: Learner;
  readonly history: History;
  readonly confusion: Confusion;
  /** Taxa that walks to come are for (2), or that stand around now (1). */
  readonly soon: ReadonlyMap<string, Soon>;
  readonly now: Date;
}

const NOTHING: readonly FromFinds[] = [];
export function usePractice(): Practice {
  const act = useAct();
  const ready = useOpenPages();
  const pages = useApp((state) => state.pages.all);
  const me = useApp((state) => state.me.person?.id ?? '');
  const now = useToday();
  const [ofFinds, setOfFinds] = useState(NOTHING);
  useEffect(() => {
    if (!ready) return undefined;
    let cancelled = false;
    act(earnestHere()).then(
      (all) => {
        if (!cancelled) setOfFinds(all);
      },
      () => undefined,
    );
    return () => {
      cancelled = true;
    };
  }, [act, ready, me]);
  const sittings = useMemo(() => sittingsOf(pages, me), [pages, me]);
  const history = useMemo(() => historyOf(guide, sittings, ofFinds), [sittings, ofFinds]);
  const confusion = useMemo(() => confusionOf(history.reads), [history]);
  const learner = useMemo(() => learnerOf(pages, me), [pages, me]);
  const soon = useSoon();
  return { ready, learner, history, confusion, soon, now };
}

/** What can be found this month, and what the walks to come are for. */
function useSoon(): ReadonlyMap<string, Soon> {
  const pages = useApp((state) => state.pages.all);
  const day = useDay();
  return useMemo(() => {
    const today = isoOf(day);
    const month = Number(today.slice(5, 7));
    const planned = Object.values(pages).flatMap((page) => {
      if (page.kind !== 'walk') return [];
      const { on, targets = [] } = currentFields(page, 'walk');
      return on !== undefined && on >= today ? targets.map(({ taxon }): string => taxon) : [];
    });
    const about = WANTED.filter(
      (taxon) => expectedHere(taxon, wantedStages(taxon), { month }).season === 'fits',
    ).map(({ id }): string => id);
    return new Map([...about.map((id) => [id, 1] as const), ...planned.map((id) => [id, 2] as const)]);
  }, [pages, day]);
}
export const WANTED: readonly CompiledTaxon[] = guide.taxa.filter(
  (taxon) => isCollectable(taxon) && taxon.taxon.lookalikes.length > 0,
);

/** How soon one may meet what a card is about. */
export const aboutSoon = (card: CardId, soon: ReadonlyMap<string, Soon>): Soon =>
  card
    .split(':')
    .slice(1)
    .reduce<Soon>((most, part) => {
      const one = soon.get(part) ?? 0;
      return one > most ? one : most;
    }, 0);

/** Cards for a sitting of so many minutes: what is due, then something new. */
export function cardsNow(
  { history, soon, learner, now }: Pick<Practice, 'history' | 'soon' | 'learner' | 'now'>,
  pictures: Pictures,
  minutes = learner.minutes,
): CardId[] {
  const all = cardsOf(
    guide,
    WANTED,
    pictures,
    WANTED.filter(({ id }) => soon.has(id)),
  );
  // What was mistaken outdoors is practised, whatever it belongs to.
  const known = new Set<string>(all.map(({ id }) => id));
  const more = [...history.cards.keys()]
    .filter((id) => !known.has(id))
    .map((id) => ({ id, grade: 'none' as const }));
  const most = Math.max(1, minutes * A_MINUTE);
  // For a child: to look and to name, and nothing that is decided.
  const cards = [...all, ...more].filter(({ id }) => !learner.gentle || !id.startsWith('pair:'));
  return sitting({
    cards,
    memories: new Map([...history.cards].map(([id, { memory }]) => [id, memory])),
    soon: (card) => aboutSoon(card, soon),
    now,
    most,
    fresh: Math.ceil(most / 2),
  });
}

/** How well somebody knows a pair. */
export function pairStanding(
  history: History,
  target: string,
  other: string,
  now: Date,
): { readonly card: CardHistory | undefined; readonly earned: boolean } {
  const card = history.cards.get(pairCard(target, other));
  return { card, earned: card !== undefined && isEarned(card.memory, card.lastDangerous, now) };
}

/** With fewer looks at a character than this, the guide's own estimate is the better one. */
const ENOUGH = 12;
/** How often this person misreads what, as far as practice tells. */
export function misreadRates(
  pages: Readonly<Record<string, PageRecord>>,
  me: string,
): ReadonlyMap<string, number> {
  const { byCharacter } = confusionOf(historyOf(guide, sittingsOf(pages, me)).reads);
  return new Map(
    [...byCharacter]
      .filter(([, { times }]) => times >= ENOUGH)
      .map(([character, { mid }]) => [character, mid]),
  );
}
