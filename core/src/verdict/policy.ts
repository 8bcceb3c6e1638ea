import type { Case, CaseView, Policy } from '../case';
import type { CompiledGuide, CompiledTaxon, TaxonId } from '../guide';
import { contentHash } from '../lib/canonical';
import { groundsAgainst, largestIndependent, type BarRow } from './bars';
import { relationOverall } from './relation';
import { GROUPS_NEEDED } from './target';

/** Rules of a group that shape every verdict of it. */
export const GROUP_RULES = ['extra-bars', 'more-groups', 'place-ignored'] as const;
export type GroupRule = (typeof GROUP_RULES)[number];

/** The rules of the group that shape this verdict, so that the person learns whose they are. */
export function groupRulesIn(policy: Policy | undefined): GroupRule[] {
  return [
    ...(Object.values(policy?.extraBars ?? {}).some((more) => more > 0) ? ['extra-bars' as const] : []),
    ...((policy?.groupsNeeded ?? 0) > GROUPS_NEEDED ? ['more-groups' as const] : []),
    ...(policy?.place === 'ignored' ? ['place-ignored' as const] : []),
  ];
}

/**
 * Whether these rules ask for anything of each row besides its bars: a second person, or that the pair was
 * earned.
 */
export function asksOfRows(policy: Policy | undefined): boolean {
  return (
    policy?.secondLookWhenUnreviewed === true ||
    (policy?.secondLook?.length ?? 0) > 0 ||
    (policy?.earned?.length ?? 0) > 0
  );
}

/** Pairs that whoever decides has not earned, where the group asks for it. */
export function notEarnedIn(find: Case, rows: readonly BarRow[]): TaxonId[] {
  const grades = find.policy?.earned ?? [];
  if (grades.length === 0) return [];
  const earned = new Set(
    (find.context.practised ?? []).filter((one) => one.earned).map(({ taxon }) => taxon),
  );
  return rows
    .filter(
      (row) =>
        row.listed &&
        !row.otherKingdom &&
        row.grade !== 'none' &&
        grades.includes(row.grade) &&
        !earned.has(row.taxon),
    )
    .map(({ taxon }) => taxon);
}

const signed = new WeakMap<CompiledTaxon['taxon'], string>();
/**
 * What a review of a taxon is bound to: everything that the guide says of it, and nothing of who reviewed it.
 * SHA-256 of its canonical JSON.
 */
export function taxonContent({ taxon }: CompiledTaxon): string {
  const known = signed.get(taxon);
  if (known !== undefined) return known;
  const { review: _, ...rest } = taxon;
  const content = contentHash(rest);
  signed.set(taxon, content);
  return content;
}

/**
 * Whether an expert has reviewed what the guide says of a taxon: whoever the guide names, or a keeper of the
 * group.
 */
function reviewed(guide: CompiledGuide, id: string, policy: Policy): boolean {
  const taxon = guide.taxon(id);
  if (!taxon || taxon.taxon.review.reviewedBy !== null) return true;
  const review = policy.reviews?.find((one) => one.taxon === taxon.id);
  return review !== undefined && review.content === taxonContent(taxon);
}

/** Rows of listed deadly lookalikes of which, or of the target, no expert has reviewed what the guide says. */
export const unreviewedIn = (
  guide: CompiledGuide,
  target: CompiledTaxon,
  rows: readonly BarRow[],
  policy: Policy,
): BarRow[] =>
  rows.filter(
    (row) =>
      row.listed &&
      row.grade === 'deadly' &&
      [target.id, row.taxon].some((id) => !reviewed(guide, id, policy)),
  );

/** Rows that still want a second person's look, with the bars that two people saw and those they need. */
export function needSecondLook(
  guide: CompiledGuide,
  view: CaseView,
  target: CompiledTaxon,
  rows: readonly BarRow[],
  disputed: ReadonlySet<number>,
): { taxon: TaxonId; have: number; need: number }[] {
  const policy = view.find.policy ?? {};
  const { secondLook = [], secondLookWhenUnreviewed = false } = policy;
  if (secondLook.length === 0 && !secondLookWhenUnreviewed) return [];
  const open = new Set(secondLookWhenUnreviewed ? unreviewedIn(guide, target, rows, policy) : []);
  return rows.flatMap((row) => {
    const isAsked =
      !row.otherKingdom &&
      row.need > 0 &&
      row.grade !== 'none' &&
      (secondLook.includes(row.grade) || open.has(row));
    if (!isAsked) return [];
    const taxon = guide.taxon(row.taxon);
    const have = taxon ? seenByTwo(view, taxon, disputed) : 0;
    return have < row.need ? [{ taxon: row.taxon, have, need: row.need }] : [];
  });
}

/**
 * Bars that would stand on characters read by two people, the second one blind, both sure and both against
 * it.
 */
function seenByTwo(view: CaseView, taxon: CompiledTaxon, disputed: ReadonlySet<number>): number {
  const grounds = groundsAgainst(view, taxon, disputed).filter(({ look }) =>
    view.looks.some(
      (other) =>
        other.reading.blind === true &&
        other.reading.by !== look.reading.by &&
        other.reading.piece === view.piece &&
        other.reading.sureness === 'sure' &&
        other.character.index === look.character.index &&
        relationOverall(other, taxon) === 'against',
    ),
  );
  return largestIndependent(grounds).length;
}
