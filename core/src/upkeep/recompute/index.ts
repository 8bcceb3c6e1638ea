import { type Case, type CaseProblem } from '../../case';
import { CaseError, caseProblems } from '../../case/parse';
import type { CharacterId, CompiledGuide, TaxonId } from '../../guide';
import { canonicalJson, sameValue } from '../../lib/canonical';
import type { BarRow, Outcome, Reason, Verdict } from '../../verdict';
import { decide } from '../../verdict';
import { changeBetween, statementsMet, touched } from './change';
import { withRowsAgain } from './rows';

export { changeBetween, movedBy, type GuideChange } from './change';

/** A stored verdict, asked again of another guide version. */
export interface Recomputed {
  readonly before: { readonly outcome: Outcome; readonly version: string };
  readonly after: { readonly outcome: Outcome; readonly version: string };
  /** Whether the decision still holds: *collect* then and not now is recalled. */
  readonly recalled: boolean;
  readonly reasonsGone: readonly Reason[];
  readonly reasonsNew: readonly Reason[];
  readonly rows: readonly {
    readonly taxon: TaxonId;
    readonly from: { readonly have: number; readonly need: number } | undefined;
    readonly to: { readonly have: number; readonly need: number } | undefined;
  }[];
  /** What was read and the new guide no longer asks; these readings were left out. */
  readonly unread: readonly CaseProblem[];
  /**
   * Statements on what was read that differ between the two guides; none where the old guide is not at hand.
   */
  readonly statements: readonly { readonly taxon: TaxonId; readonly character: CharacterId }[];
}

/** A find and the verdict that was given on it. */
interface Stored {
  readonly find: Case;
  readonly verdict: Verdict;
}

/**
 * Re-evaluates a stored find under a new guide version, with what changed and why. The find stays as it is;
 * readings that the new guide cannot read are left out and named. A target that the new guide does not know
 * is a CaseError.
 */
export function recompute(
  stored: Stored,
  guide: CompiledGuide,
): { verdict: Verdict; difference: Recomputed } {
  return decideAgain(stored, guide, []);
}

/**
 * Re-evaluates any number of stored finds under a new version: the two versions are compared once, and only
 * what the difference touches is asked again. What it does not touch keeps its verdict, under the new
 * version's name; the result is the same as that of `recompute` for each, with the statements that differ
 * (`core/test/recompute/many.test.ts`).
 */
export function recomputer(
  before: CompiledGuide,
  after: CompiledGuide,
): (stored: Stored) => { verdict: Verdict; difference: Recomputed } {
  const change = changeBetween(before, after);
  const asksTheSame = !change.everything && change.characters.size === 0;
  return (stored) => {
    const { find, verdict } = stored;
    const statements = statementsMet(change, find);
    if (verdict.guide.version !== before.version) return decideAgain(stored, after, statements);
    const moved = touched(change, find);
    if (moved === 'all' || moved.size > 0) {
      // What the old version could read, a version with the same questions and taxa can read.
      if (!asksTheSame) return decideAgain(stored, after, statements);
      const rows = moved === 'all' ? undefined : withRowsAgain(after, find, verdict, moved);
      return compared(verdict, rows ?? decide(after, find), [], statements);
    }
    const { outcome } = verdict;
    return {
      verdict: { ...verdict, guide: { id: after.guide.id, version: after.version } },
      difference: {
        before: { outcome, version: before.version },
        after: { outcome, version: after.version },
        recalled: false,
        reasonsGone: [],
        reasonsNew: [],
        rows: [],
        unread: [],
        statements,
      },
    };
  };
}

function decideAgain(
  stored: Stored,
  guide: CompiledGuide,
  statements: Recomputed['statements'],
): { verdict: Verdict; difference: Recomputed } {
  const { find, unread } = readable(stored.find, guide);
  return compared(stored.verdict, decide(guide, find), unread, statements);
}

function compared(
  old: Verdict,
  verdict: Verdict,
  unread: Recomputed['unread'],
  statements: Recomputed['statements'],
): { verdict: Verdict; difference: Recomputed } {
  return {
    verdict,
    difference: {
      before: { outcome: old.outcome, version: old.guide.version },
      after: { outcome: verdict.outcome, version: verdict.guide.version },
      recalled: old.outcome === 'collect' && verdict.outcome !== 'collect',
      ...reasonsChanged(old.reasons, verdict.reasons),
      rows: rowsChanged(old.rows, verdict.rows),
      unread,
      statements,
    },
  };
}

function rowsChanged(before: readonly BarRow[], after: readonly BarRow[]): Recomputed['rows'] {
  const sameRow = (a: BarRow | undefined, b: BarRow | undefined) =>
    a?.taxon === b?.taxon && a?.have === b?.have && a?.need === b?.need;
  if (
    before === after ||
    (before.length === after.length && before.every((row, i) => sameRow(row, after[i])))
  )
    return [];
  const count = (rows: readonly BarRow[]) =>
    new Map(rows.map((row) => [row.taxon, { have: row.have, need: row.need }]));
  const [from, to] = [count(before), count(after)];
  return [...new Set([...from.keys(), ...to.keys()])]
    .sort()
    .filter(
      (taxon) =>
        from.get(taxon)?.have !== to.get(taxon)?.have || from.get(taxon)?.need !== to.get(taxon)?.need,
    )
    .map((taxon) => ({ taxon, from: from.get(taxon), to: to.get(taxon) }));
}

function reasonsChanged(
  before: readonly Reason[],
  after: readonly Reason[],
): { reasonsGone: Reason[]; reasonsNew: Reason[] } {
  if (before === after || sameValue(before, after)) return { reasonsGone: [], reasonsNew: [] };
  const old = new Map(before.map((reason) => [canonicalJson(reason), reason]));
  const now = new Map(after.map((reason) => [canonicalJson(reason), reason]));
  return {
    reasonsGone: [...old].filter(([text]) => !now.has(text)).map(([, reason]) => reason),
    reasonsNew: [...now].filter(([text]) => !old.has(text)).map(([, reason]) => reason),
  };
}

/** The find without what this guide cannot read. Whatever else does not go with it is thrown. */
function readable(stored: Case, guide: CompiledGuide): { find: Case; unread: CaseProblem[] } {
  const find: Case = { ...stored, guide: { id: guide.guide.id } };
  const problems = caseProblems(find, guide);
  if (problems.length === 0) return { find, unread: [] };
  const bad = new Set<number>();
  const badSkips = new Set<number>();
  const unread = problems.filter(({ field }) => {
    const reading = /^readings\[(\d+)\]\.(character|value)/.exec(field);
    const skip = /^skips\[(\d+)\]\.character/.exec(field);
    if (reading) bad.add(Number(reading[1]));
    if (skip) badSkips.add(Number(skip[1]));
    return reading !== null || skip !== null;
  });
  const dropped = new Set(find.readings.filter((_, i) => bad.has(i)).map((r) => r.id));
  const rest: Case = {
    ...find,
    readings: find.readings.filter((r) => !dropped.has(r.id)),
    withdrawals: (find.withdrawals ?? []).filter((w) => !dropped.has(w.reading)),
    skips: (find.skips ?? []).filter((_, i) => !badSkips.has(i)),
  };
  const left = caseProblems(rest, guide);
  if (left.length > 0) throw new CaseError(left);
  return { find: rest, unread };
}
