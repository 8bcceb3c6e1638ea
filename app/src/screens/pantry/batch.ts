import {
  keepingOf,
  learnedYield,
  spoilsOf,
  stepsFor,
  usualYield,
  type Keeping,
  type Made,
  type SpoilCode,
  type Step,
} from '@pause/core/harvest/preparing';
import { dayOf, isoOf } from '@pause/core/lib/day';
import type { BatchFields } from '@pause/core/pantry';
import { madeOf, ownYields, type Pantry } from '../../notebook/pantry';

/** A batch, as making it asks: of one thing or of several. */

export const madesOf = (contents: BatchFields['contents'] = []): Made[] =>
  contents.flatMap((one) => madeOf(one) ?? []);

/** What is done to all that is in it, each step once. */
export function stepsOf(
  { contents = [], method, from = [], added = [] }: Partial<BatchFields>,
  { batches }: Pick<Pantry, 'batches'>,
): Step[] {
  if (!method) return [];
  const fromHarvest = from.some(({ of }) => of === 'harvest');
  const dried =
    from.length > 0 &&
    from.every(({ id }) => batches.some((batch) => batch.id === id && batch.fields.method === 'dry'));
  const steps = new Map<string, Step>();
  for (const content of contents) {
    const made = madeOf(content);
    if (!made) continue;
    for (const step of stepsFor({ made, method, fromHarvest, dried })) {
      // What the guide asks for is of one kind alone, where several are in it.
      const id = step.code === 'guide' && contents.length > 1 ? `${content.taxon}-${step.id}` : step.id;
      const known = steps.get(id);
      if (!known || (step.minutes ?? 0) > (known.minutes ?? 0)) steps.set(id, { ...step, id });
    }
  }
  for (const { id, text } of added) steps.set(id, { id, code: 'own', text, required: false });
  // A label comes last, whatever was asked for between.
  return [...steps.values()].sort((a, b) => Number(a.code === 'label') - Number(b.code === 'label'));
}

/** The shortest that anything in it keeps. */
export function keepsFor({ contents, method, figures }: Partial<BatchFields>): Keeping | undefined {
  if (!method) return undefined;
  return madesOf(contents)
    .flatMap((made) => keepingOf(made, method, figures) ?? [])
    .sort((a, b) => a.days - b.days)[0];
}
export function spoilsFor({ contents, method, figures }: Partial<BatchFields>): SpoilCode[] {
  return method
    ? [...new Set(madesOf(contents).flatMap((made) => [...spoilsOf(made, method, figures)]))]
    : [];
}
export const bestBeforeOf = (on: string, keeping: Keeping): string => isoOf(dayOf(on) + keeping.days);

/** What is left of its weight, by what is usual and by own batches. */
export function yieldFor(
  pantry: Pantry,
  { contents = [], method }: Partial<BatchFields>,
): { readonly yield: number; readonly batches: number } {
  const [first] = contents;
  const made = first && madeOf(first);
  if (!made || !method) return { yield: 1, batches: 0 };
  return learnedYield(usualYield(made, method), ownYields(pantry, first.taxon, first.part, method));
}
