import type { Contamination, Permission } from '../case';
import type { TaxonId } from '../guide';
import type { Allowance, PlaceFields, Spoil } from '../notebook/page';

/** What a place says of picking there. Nothing here is the law, and nothing known means: ask first. */

export type PickingReason =
  | { readonly code: 'not-known' }
  | { readonly code: 'ask-first'; readonly owner?: string }
  | { readonly code: 'forbidden'; readonly owner?: string }
  | { readonly code: 'allowance'; readonly allowance: Allowance }
  | { readonly code: 'permit-missing' }
  | { readonly code: 'permit-ended'; readonly on: string }
  /** It holds today, and ends within the week. */
  | { readonly code: 'permit-ends'; readonly on: string }
  | { readonly code: 'old'; readonly on: string };

export interface Picking {
  readonly permission: Permission;
  /** First what decides. */
  readonly reasons: readonly PickingReason[];
  /** The most that one person may take in a day. */
  readonly perDay?: Allowance['perDay'];
}

const OLD_DAYS = 730;
const WEEK_DAYS = 7;
const daysFrom = (a: string, b: string) => (Date.parse(b) - Date.parse(a)) / 86_400_000;

/**
 * @param taxon left out: whatever grows there
 * @param today a day like 2026-09-14, by the calendar of the place: a permit holds through its last day
 */
export function pickingAt(
  place: Partial<PlaceFields>,
  taxon: TaxonId | undefined,
  part: string | undefined,
  today: string,
): Picking {
  const { picking, owner, source } = place;
  const old: PickingReason[] =
    source && daysFrom(source.on, today) > OLD_DAYS ? [{ code: 'old', on: source.on }] : [];
  const whose = owner === undefined ? {} : { owner };
  const allowance = mostExact(place.allowances ?? [], taxon, part);
  const perDay = allowance?.perDay === undefined ? {} : { perDay: allowance.perDay };
  const result = (permission: Permission, ...reasons: PickingReason[]): Picking => ({
    permission,
    reasons: [...reasons, ...old],
    ...perDay,
  });
  if (allowance?.may === 'no') return result('forbidden', { code: 'allowance', allowance });
  const allowed: PickingReason[] = allowance ? [{ code: 'allowance', allowance }] : [];
  if (!picking) return result('unknown', { code: 'not-known' });
  switch (picking.may) {
    case 'no':
      // A place that is closed but for something named is open for that; how much of anything may be taken
      // opens nothing.
      return allowance && isNamed(allowance)
        ? result('allowed', ...allowed)
        : result('forbidden', { code: 'forbidden', ...whose });
    case 'ask':
      return result('unknown', { code: 'ask-first', ...whose });
    case 'yes':
      return result('allowed', ...allowed);
    case 'permit': {
      const { permitUntil } = picking;
      if (permitUntil === undefined) return result('unknown', { code: 'permit-missing' });
      const left = daysFrom(today, permitUntil);
      if (left < 0) return result('unknown', { code: 'permit-ended', on: permitUntil });
      return result(
        'allowed',
        ...(left <= WEEK_DAYS ? [{ code: 'permit-ends', on: permitUntil } as const] : []),
        ...allowed,
      );
    }
  }
}

const isNamed = ({ taxon, part }: Allowance) => taxon !== undefined || part !== undefined;

/**
 * Of the rules for taxa and parts, the one that is most exact for this one; of two that are as exact, what
 * forbids.
 */
function mostExact(
  all: readonly Allowance[],
  taxon: TaxonId | undefined,
  part: string | undefined,
): Allowance | undefined {
  const exactness = (one: Allowance) => (one.taxon === undefined ? 0 : 2) + (one.part === undefined ? 0 : 1);
  return all
    .filter(
      (one) =>
        (one.taxon === undefined || one.taxon === taxon) && (one.part === undefined || one.part === part),
    )
    .reduce<Allowance | undefined>(
      (best, one) =>
        !best || exactness(one) > exactness(best) || (exactness(one) === exactness(best) && one.may === 'no')
          ? one
          : best,
      undefined,
    );
}

const SPOILED: Readonly<Record<Spoil, Contamination>> = {
  road: 'roadside',
  spray: 'sprayed',
  flood: 'flooded',
  dogs: 'fouled',
  grazing: 'fouled',
  industry: 'polluted',
  dump: 'polluted',
};
const WORST: readonly Contamination[] = ['polluted', 'sprayed', 'roadside', 'flooded', 'fouled'];

/**
 * What could spoil a place, as a check asks for it: the worst of it; nothing at all where nobody recorded whether
 * there is anything.
 */
export function contaminationAt({ spoils }: Partial<PlaceFields>): Contamination | undefined {
  if (!spoils) return undefined;
  const all = new Set(spoils.map((spoil) => SPOILED[spoil]));
  return WORST.find((one) => all.has(one)) ?? 'none-seen';
}
