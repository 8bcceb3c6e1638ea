import {
  GROUPS_NEEDED,
  weighAndAsk,
  type BarRow,
  type Case,
  type Check,
  type CompiledGuide,
  type Outcome,
  type Reason,
} from '@pause/core';

/** How a find is judged: by every rule, or with one of them switched off to see what it buys. */
export interface Rules {
  readonly name: string;
  /** The guide as these rules see it. */
  readonly see: (guide: CompiledGuide) => CompiledGuide;
  readonly judge: (
    guide: CompiledGuide,
    find: Case,
  ) => { readonly outcome: Outcome; readonly checks: readonly Check[] };
}

const asItIs = (guide: CompiledGuide) => guide;

/** The verdict with some of its reasons to pause passed over. */
function passing(
  over: (
    reason: Reason,
    all: { readonly rows: readonly BarRow[]; readonly reasons: readonly Reason[] },
  ) => boolean,
): Rules['judge'] {
  return (guide, find) => {
    const all = weighAndAsk(guide, find);
    const { outcome, checks } = all;
    if (outcome !== 'pause') return { outcome, checks };
    const still = all.reasons.some((reason) => reason.weight === 'pause' && !over(reason, all));
    return { outcome: still ? 'pause' : 'collect', checks };
  };
}

export const EVERY_RULE: Rules = { name: 'every rule', see: asItIs, judge: passing(() => false) };

/** The same with another number of groups that must fit. */
export function withGroups(groups: number): Rules {
  const judge: Rules['judge'] =
    groups > GROUPS_NEEDED
      ? (guide, find) =>
          EVERY_RULE.judge(guide, { ...find, policy: { ...find.policy, groupsNeeded: groups } })
      : passing((reason) => reason.code === 'groups-short' && reason.have >= groups);
  return { name: `${groups} groups`, see: asItIs, judge };
}

/** A guide prepared once for rules that see it otherwise. */
function otherwise(change: (guide: CompiledGuide) => CompiledGuide): Rules['see'] {
  const made = new WeakMap<CompiledGuide, CompiledGuide>();
  return (guide) => {
    const now = made.get(guide) ?? change(guide);
    made.set(guide, now);
    return now;
  };
}

function withCharacters(
  guide: CompiledGuide,
  change: (character: CompiledGuide['characters'][number]) => CompiledGuide['characters'][number],
  groups = guide.groups,
): CompiledGuide {
  const characters = guide.characters.map(change);
  const byId = new Map<string, CompiledGuide['characters'][number]>(characters.map((c) => [c.id, c]));
  // Tables of its own: what was sorted out for the guide as it is must not be met again.
  return { ...guide, characters, groups, character: (id) => byId.get(id), tables: { ...guide.tables } };
}

/** Each rule switched off by itself. */
export const WITHOUT: readonly Rules[] = [
  {
    name: 'one bar fewer for every grade',
    see: asItIs,
    judge: passing((r) => r.code === 'bars-short' && r.have >= r.need - 1),
  },
  {
    name: 'bars against listed lookalikes only',
    see: asItIs,
    judge: passing(
      (r, v) => r.code === 'bars-short' && v.rows.some((row) => row.taxon === r.taxon && !row.listed),
    ),
  },
  {
    name: 'no shared causes',
    see: otherwise((guide) =>
      withCharacters(guide, (c) => ({ ...c, restsOn: 0, absentMask: 0, stateCauses: [] })),
    ),
    judge: EVERY_RULE.judge,
  },
  {
    name: 'no independence groups',
    see: otherwise((guide) =>
      withCharacters(
        guide,
        (c) => ({ ...c, group: c.index }),
        guide.characters.map((c) => c.id),
      ),
    ),
    judge: EVERY_RULE.judge,
  },
  {
    name: 'what is occasional ignored',
    see: otherwise((guide) => ({ ...guide, tables: { ...guide.tables, possible: guide.tables.usual } })),
    judge: EVERY_RULE.judge,
  },
  { name: 'no signature', see: asItIs, judge: passing((r) => r.code === 'signature-missing') },
  withGroups(0),
  { name: 'strains do not count', see: asItIs, judge: passing((r) => r.code === 'strained') },
  { name: 'checks may go unanswered', see: asItIs, judge: passing((r) => r.code === 'unanswered') },
  { name: 'single looks are enough', see: asItIs, judge: passing((r) => r.code === 'look-again') },
  {
    name: 'fresh pieces are free',
    see: asItIs,
    judge: passing(
      (r, v) =>
        r.code === 'bars-short' &&
        r.have >=
          r.need -
            (v.reasons.some((n) => n.code === 'shopping' && n.extraBars > 0) && r.grade === 'deadly' ? 1 : 0),
    ),
  },
  {
    name: 'a contradiction is forgotten',
    see: asItIs,
    judge: (guide, find) => {
      const { outcome, reasons, checks } = weighAndAsk(guide, find);
      const still = reasons.filter((r) => r.weight !== 'note' && !r.code.startsWith('contradicted'));
      return {
        outcome:
          still.length === 0
            ? 'collect'
            : still.some((r) => r.weight === 'leave')
              ? 'leave'
              : outcome === 'leave'
                ? 'pause'
                : outcome,
        checks,
      };
    },
  },
];
