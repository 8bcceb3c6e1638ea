import type { CompiledTaxon, HarmGrade, Kingdom, Part } from '../../guide';
import { isEaten } from '../../harvest/preparing';
import type { Sign } from '../../notebook/page';
import { cautionsFor } from '../../verdict';

/**
 * The first time somebody has something new: one adult, one new thing, a small amount, made ready as it has
 * to be, and then a day of waiting. It says how this person takes it, and nothing of what it is.
 */

export { mealReminders, type MealReminder } from './remind';

/** Hours to wait before more of it, or anything else that is new. */
export const WAIT_HOURS = 24;
/** When to ask oneself how one feels, in hours after the first bite. */
export const REMIND_HOURS: readonly number[] = [1, 4, 12, 24];

export interface TasteQuestion {
  readonly taxon: CompiledTaxon;
  readonly part: Part;
  /** What has to be minded of whoever tastes, as the guide names it. */
  readonly cautions: readonly string[];
  /** By what is on record of the find, nothing speaks against it. */
  readonly holds: boolean;
  /** It was made ready as it has to be. */
  readonly ready: boolean;
  /** When this person first had something else that was new, and how that ended. */
  readonly others: readonly { readonly taxon: string; readonly at: string; readonly ended: boolean }[];
  readonly now: Date;
}

export type TasteRefusal =
  | { readonly code: 'recalled' }
  | { readonly code: 'not-eaten' }
  | { readonly code: 'harmful'; readonly grade: HarmGrade }
  | { readonly code: 'child' }
  | { readonly code: 'pregnant' }
  | { readonly code: 'caution'; readonly caution: string; readonly text: string }
  | { readonly code: 'not-ready'; readonly kingdom: Kingdom }
  | { readonly code: 'another-new'; readonly taxon: string };

/** Why it must not be tried so, or not now; empty where it may. */
export function tasteRefusals({
  taxon,
  part,
  cautions,
  holds,
  ready,
  others,
  now,
}: TasteQuestion): TasteRefusal[] {
  const all: (TasteRefusal | false)[] = [
    !holds && { code: 'recalled' },
    !isEaten(part) && { code: 'not-eaten' },
    taxon.grade !== 'none' && { code: 'harmful', grade: taxon.grade },
    cautions.includes('child') && { code: 'child' },
    cautions.includes('pregnancy') && { code: 'pregnant' },
    !ready && { code: 'not-ready', kingdom: taxon.taxon.kingdom },
  ];
  const mind = cautionsFor({ cautions }, taxon, 'eaten').filter(
    (one) => one.for !== 'child' && one.for !== 'pregnancy',
  );
  const waits = others.find(
    (one) =>
      one.taxon !== taxon.id && !one.ended && now.getTime() - Date.parse(one.at) < WAIT_HOURS * 3_600_000,
  );
  return [
    ...all.filter((one) => one !== false),
    ...mind.map((one) => ({ code: 'caution', caution: one.for, text: one.text }) as const),
    ...(waits ? [{ code: 'another-new', taxon: waits.taxon } as const] : []),
  ];
}

export type TasteState =
  /** Waiting, and when to ask next. */
  | { readonly state: 'waiting'; readonly hoursLeft: number; readonly askAt: Date | undefined }
  | { readonly state: 'waited' }
  /** Something was felt: no more of it. `call`: such signs are for the emergency number at once. */
  | { readonly state: 'stop'; readonly call: boolean }
  | { readonly state: 'clock-set-back' };

/**
 * After how many hours somebody should have been asked and was not: the last of `REMIND_HOURS` that has gone,
 * with no answer since.
 *
 * @param answered when they said how it was, whatever that was
 */
export function reminderDue(at: string, answered: readonly string[], now: Date): number | undefined {
  const hours = (instant: number) => (instant - Date.parse(at)) / 3_600_000;
  const due = REMIND_HOURS.findLast((hour) => hours(now.getTime()) >= hour);
  return due === undefined || answered.some((one) => hours(Date.parse(one)) >= due) ? undefined : due;
}

/** Breath, or anything beside a swelling mouth, is no matter of waiting. */
const CALL: readonly Sign[] = ['breath', 'head'];

export function tasteState(at: string, signs: readonly { readonly sign: Sign }[], now: Date): TasteState {
  if (signs.length > 0)
    return { state: 'stop', call: signs.some(({ sign }) => CALL.includes(sign)) || signs.length > 1 };
  const hours = (now.getTime() - Date.parse(at)) / 3_600_000;
  if (hours < -0.01) return { state: 'clock-set-back' };
  if (hours >= WAIT_HOURS) return { state: 'waited' };
  const next = REMIND_HOURS.find((hour) => hour > hours);
  return {
    state: 'waiting',
    hoursLeft: WAIT_HOURS - hours,
    askAt: next === undefined ? undefined : new Date(Date.parse(at) + next * 3_600_000),
  };
}
