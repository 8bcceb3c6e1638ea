import { type Policy } from '../../case';
import { parseCase } from '../../case/parse';
import { GRADES, type CompiledGuide, type HarmGrade } from '../../guide';
import { caseOf, type FindRecord } from '../../notebook/find';
import { decide, type Outcome, type Verdict } from '../../verdict';
import { ancestorsOf, type Descent, type DescentKind } from '../descent';
import { changedGrounds, type ChangedGround } from './lost';

/**
 * Finding everything again when something turns out wrong: what is recalled, all that descends from it,
 * why, and what to do.
 */

export { couldBe, type CouldBe } from './couldBe';
export { changedGrounds, type ChangedGround } from './lost';

export type Cause =
  /** It was collected, and by what is on record and this guide it would not be now. */
  | {
      readonly code: 'verdict';
      readonly of: string;
      readonly because: 'guide' | 'record' | 'policy' | 'rules';
      readonly outcome: Exclude<Outcome, 'collect'>;
      readonly grade: HarmGrade;
      /** What the guide says otherwise now, where that is why: the worst first. */
      readonly changed?: readonly ChangedGround[];
    }
  /** Who decided to collect it decided otherwise since. */
  | { readonly code: 'decision'; readonly of: string; readonly grade: HarmGrade }
  /** A stray lay among what was taken. */
  | {
      readonly code: 'stray';
      readonly of: string;
      readonly grade: HarmGrade;
      /** It lay in the same bag as what the stray was found in. */ readonly touched?: true;
    };

/** So many changes of the guide are named with a recall; the rest is seen with the find. */
const CHANGES_NAMED = 5;

export const worse = (a: HarmGrade, b: HarmGrade): HarmGrade =>
  GRADES.indexOf(a) >= GRADES.indexOf(b) ? a : b;

/** The worst that is short of a bar, or what the plant was left for. */
function worstShort(guide: CompiledGuide, verdict: Verdict): HarmGrade {
  return verdict.rows.reduce<HarmGrade>(
    (worst, { taxon, have, need }) =>
      have < need ? worse(worst, guide.taxon(taxon)?.grade ?? 'none') : worst,
    'none',
  );
}

/** The decision on which something was taken: the last *collect*, on a verdict that said so or against it. */
export function collectedOn(record: FindRecord): FindRecord['decisions'][number] | undefined {
  return record.decisions.findLast(({ choice }) => choice === 'collect');
}

/**
 * Why a find that was collected is recalled; undefined where it still holds, or never was collected.
 *
 * @throws CaseError where this guide cannot read it at all
 */
export function causeOf(record: FindRecord, guide: CompiledGuide, policy?: Policy): Cause | undefined {
  const collected = collectedOn(record);
  if (!collected) return undefined;
  const raw = caseOf(record, guide, policy);
  const verdict = raw && decide(guide, parseCase(raw, guide));
  const grade = verdict ? worstShort(guide, verdict) : 'deadly';
  const before = record.verdicts.find(({ id }) => id === collected.verdict);
  if (verdict && verdict.outcome !== 'collect' && before?.verdict.outcome === 'collect') {
    const since = [
      ...record.readings,
      ...record.withdrawals,
      ...record.contexts,
      ...record.targets,
      ...record.pieces,
    ].some((one) => 'at' in one && one.at > collected.at);
    const because = since
      ? 'record'
      : before.verdict.guide.version !== guide.version
        ? 'guide'
        : policy
          ? 'policy'
          : 'rules';
    const changed =
      because === 'guide' ? changedGrounds(before.verdict, verdict, guide).slice(0, CHANGES_NAMED) : [];
    return {
      code: 'verdict',
      of: record.id,
      because,
      outcome: verdict.outcome,
      grade,
      ...(changed.length > 0 ? { changed } : {}),
    };
  }
  if (record.decisions.at(-1) !== collected) return { code: 'decision', of: record.id, grade };
  return undefined;
}

/** What was taken, as far as strays and what they touched ask. */
export interface StrayHarvest {
  readonly id: string;
  readonly person: string;
  readonly on?: string | undefined;
  /** The bag or basket it lay in. */
  readonly bag?: string | undefined;
  readonly grades: readonly HarmGrade[];
}
/** Whether two lay in one bag: of the same person and day, called the same. */
export function sameBag(a: Omit<StrayHarvest, 'grades'>, b: Omit<StrayHarvest, 'grades'>): boolean {
  const named = (bag: string | undefined) => bag?.trim().toLowerCase() ?? '';
  return (
    a.id !== b.id &&
    a.person === b.person &&
    a.on !== undefined &&
    a.on === b.on &&
    named(a.bag) !== '' &&
    named(a.bag) === named(b.bag)
  );
}

/**
 * What strays mean for all that was taken: a deadly one puts everything that lay in the same bag on the same
 * day in question with it.
 */
export function strayCauses(harvests: readonly StrayHarvest[]): Cause[] {
  return harvests.flatMap((one) => {
    const own = strayCause(one.id, one.grades);
    if (own) return [own];
    const touched = harvests.some((other) => other.grades.includes('deadly') && sameBag(one, other));
    return touched ? [{ code: 'stray', of: one.id, grade: 'deadly', touched: true } as const] : [];
  });
}

/** What a stray found among what was taken means. What does no harm is no cause. */
export function strayCause(harvest: string, grades: readonly HarmGrade[]): Cause | undefined {
  const grade = grades.reduce<HarmGrade>(worse, 'none');
  return grade === 'deadly' || grade === 'serious' ? { code: 'stray', of: harvest, grade } : undefined;
}

/**
 * What to do with it. `watch`: it was eaten; whoever ate is asked after, and shown what to do. `warn`:
 * somebody else has it.
 */
export type Measure = 'hold' | 'discard' | 'look-again' | 'watch' | 'warn';
export interface Recalled {
  readonly id: string;
  readonly kind: DescentKind;
  readonly causes: readonly Cause[];
  /** From the first cause down to it, both named. */
  readonly way: readonly string[];
  readonly measure: Measure;
}

/**
 * What only still lies there can be gone through once more; what was cut, cooked or dried cannot be recognised
 * apart any more.
 */
function measureFor(kind: DescentKind, causes: readonly Cause[]): Measure {
  if (kind === 'portion' || kind === 'taste') return 'watch';
  const grade = causes.reduce<HarmGrade>((worst, one) => worse(worst, one.grade), 'none');
  const left = causes.some(
    (one) => one.code === 'decision' || (one.code === 'verdict' && one.outcome === 'leave'),
  );
  const stray = causes.some((one) => one.code === 'stray');
  if (kind === 'harvest') return left ? 'discard' : stray && grade !== 'deadly' ? 'look-again' : 'hold';
  if (kind === 'find') return left ? 'discard' : 'hold';
  return left || (stray && grade === 'deadly') ? 'discard' : 'hold';
}

/**
 * Everything that descends from something recalled, each once, nearest first; what a cause is of comes
 * first itself.
 *
 * @param isGift whether a portion was given away
 */
export function recall(
  descent: Descent,
  causes: readonly Cause[],
  isGift: (portion: string) => boolean = () => false,
): Recalled[] {
  const found = new Map<string, { causes: Set<Cause>; way: readonly string[] }>();
  const order: string[] = [];
  for (const cause of causes) {
    // Each cause walks down by itself, so that everything knows all of its causes.
    const ways = new Map<string, readonly string[]>([[cause.of, [cause.of]]]);
    const queue = [cause.of];
    for (let at = 0; at < queue.length; at += 1) {
      const id = queue[at] ?? '';
      const way = ways.get(id) ?? [];
      const known = found.get(id);
      if (known) known.causes.add(cause);
      else {
        found.set(id, { causes: new Set([cause]), way });
        order.push(id);
      }
      for (const child of descent.children.get(id) ?? []) {
        if (ways.has(child)) continue;
        ways.set(child, [...way, child]);
        queue.push(child);
      }
    }
  }
  return order.map((id) => {
    const { causes: because, way } = found.get(id) ?? { causes: new Set<Cause>(), way: [id] };
    const kind =
      descent.kinds.get(id) ?? (way.length === 1 && [...because][0]?.code === 'stray' ? 'harvest' : 'find');
    const all = [...because];
    return {
      id,
      kind,
      causes: all,
      way,
      measure: kind === 'portion' && isGift(id) ? 'warn' : measureFor(kind, all),
    };
  });
}

/**
 * The same, walked plainly: everything that is there is asked for all that it comes from. To check the other
 * against.
 */
export function recallPlainly(descent: Descent, causes: readonly Cause[]): ReadonlySet<string> {
  const of = new Set(causes.map((one) => one.of));
  return new Set([
    ...of,
    ...[...descent.kinds.keys()].filter(
      (id) => of.has(id) || ancestorsOf(descent, id).some((one) => of.has(one)),
    ),
  ]);
}
