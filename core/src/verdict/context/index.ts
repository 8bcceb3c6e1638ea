import type { Case, Condition } from '../../case';
import type { CompiledTaxon } from '../../guide';
import { routeOf } from '../bars';
import type { ContextField, LeaveReason, PauseReason } from '../reason';
import { cautionsFor } from './mind';

export { cautionsFor, isLookedAt, meets } from './mind';

const BORNE = ['fruit', 'cone'];
/**
 * Conditions in which a part is not worth taking, or not wise to take: all parts but some, or only some. A
 * frost sweetens a sloe and spoils a mushroom; an old stem is no matter to whoever wants the berry on it.
 */
const SPENT: Readonly<
  Partial<Record<Condition, { readonly except: readonly string[] } | { readonly only: readonly string[] }>>
> = {
  rotten: { except: [] },
  wilted: { except: [] },
  frosted: { except: [...BORNE, 'root'] },
  woody: { except: [...BORNE, 'flower'] },
  unripe: { only: BORNE },
};

/** Whether this condition rules the wanted part out; without a wanted part, whether it rules out any. */
function isSpent(condition: Condition, part: string | undefined): boolean {
  const spent = SPENT[condition];
  if (!spent) return false;
  if ('only' in spent) return part !== undefined && spent.only.includes(part);
  return part === undefined || !spent.except.includes(part);
}

/** What place, part, use and condition say: all that rules out, and all that is still missing. */
export function contextReasons(
  find: Case,
  target: CompiledTaxon,
): { leave: LeaveReason[]; pause: PauseReason[] } {
  const { context } = find;
  const leave: LeaveReason[] = [];
  const missing: ContextField[] = [];

  if (!context.stages) missing.push('stages');
  if (!context.condition) missing.push('condition');
  else if (isSpent(context.condition, context.part))
    leave.push({ code: 'condition-rules-out', condition: context.condition });

  if (target.taxon.parts.length === 0) leave.push({ code: 'not-wanted', target: target.id });
  else partReasons(find, target, leave, missing);

  if (!context.permission || context.permission === 'unknown') missing.push('permission');
  else if (context.permission === 'forbidden') leave.push({ code: 'place-forbidden' });

  if (!context.contamination || context.contamination === 'unknown') missing.push('contamination');
  else if (context.contamination !== 'none-seen')
    leave.push({ code: 'place-contaminated', contamination: context.contamination });

  for (const { taxon, why } of target.taxon.nearDoubles ?? [])
    leave.push({ code: 'near-double', taxon, why });
  const eaters = eaterReasons(find, target);
  leave.push(...eaters.leave);

  if (find.policy?.protectedTaxa?.includes(target.id) === true)
    leave.push({ code: 'protected', by: 'group' });
  else if (context.protection === 'protected') leave.push({ code: 'protected' });
  else if (target.taxon.protection === 'often' && context.protection !== 'allowed')
    missing.push('protection');

  const pause: PauseReason[] = [
    ...missing.map((field) => ({ code: 'context-missing', field }) as const),
    ...eaters.pause,
  ];
  if (context.openName) pause.push({ code: 'name-open', name: context.openName });
  if (asksForTracing(find, target) && context.tracedToBase !== true) {
    pause.push(
      context.tracedToBase === false
        ? { code: 'not-traced' }
        : { code: 'context-missing', field: 'tracedToBase' },
    );
  }
  return { leave, pause };
}

/**
 * Each eater's list against the taxon's cautions, for the route of the wanted use. It refers to a pharmacist
 * or doctor and never prescribes.
 */
function eaterReasons(find: Case, target: CompiledTaxon): { leave: LeaveReason[]; pause: PauseReason[] } {
  const route = routeOf(find, target);
  const leave: LeaveReason[] = [];
  const pause: PauseReason[] = [];
  for (const eater of find.context.eaters ?? []) {
    for (const caution of cautionsFor(eater, target, route)) {
      const reason = { eater: eater.name, caution: caution.for, text: caution.text };
      if (caution.level === 'rules-out') leave.push({ code: 'not-for-eater', ...reason });
      else pause.push({ code: 'ask-for-eater', ...reason });
    }
  }
  return { leave, pause };
}

/**
 * Where things twine or grow in mixed clusters, by the guide or by what the person sees, or where something
 * dangerous is known to stand among them.
 */
export function asksForTracing(find: Case, target: CompiledTaxon): boolean {
  const { growsMixed, neighbours = [] } = find.context;
  return (
    target.taxon.growsMixed === true || growsMixed === true || neighbours.some((taxon) => taxon !== target.id)
  );
}

function partReasons(find: Case, target: CompiledTaxon, leave: LeaveReason[], missing: ContextField[]): void {
  const { part, use, stages } = find.context;
  if (!part) missing.push('part');
  if (!use) missing.push('use');
  if (!part) return;
  if (target.taxon.harmfulParts?.some((p) => p.part === part)) {
    leave.push({ code: 'part-harmful', part });
    return;
  }
  const entries = target.taxon.parts.filter((p) => p.part === part);
  if (entries.length === 0) {
    leave.push({ code: 'part-not-wanted', part });
    return;
  }
  const entry = use ? entries.find((p) => p.use === use) : undefined;
  if (use && !entry) {
    leave.push({ code: 'use-not-known', part, use });
    return;
  }
  if (entry && stages && !stages.some((stage) => entry.stages.includes(stage))) {
    leave.push({ code: 'part-not-at-stage', part, good: entry.stages });
  }
}
