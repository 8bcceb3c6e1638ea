import type { FindSummary } from '../../notebook/find';

/** A year of the notebook: what was found, walked away from, gathered and made. */

export interface HarvestOf {
  readonly on: string;
  readonly taxon: string;
  readonly grams: number;
}
export interface TaxonYear {
  readonly taxon: string;
  readonly finds: number;
  readonly collected: number;
  readonly left: number;
  readonly grams: number;
}
export interface Year {
  readonly finds: number;
  readonly collected: number;
  readonly left: number;
  readonly open: number;
  readonly grams: number;
  readonly batches: number;
  readonly meals: number;
  /** Finds by the month they began in, collected and not, from January on. */
  readonly months: readonly { readonly collected: number; readonly other: number }[];
  /** Most gathered first, then most found. */
  readonly taxa: readonly TaxonYear[];
}

export interface YearQuestion {
  readonly year: number;
  readonly finds: readonly Pick<FindSummary, 'startedAt' | 'target' | 'choice'>[];
  readonly harvests: readonly HarvestOf[];
  /** Days on which batches were begun, and meals eaten. */
  readonly batches: readonly string[];
  readonly meals: readonly string[];
}

const inYear = (text: string, year: number) => text.startsWith(`${String(year).padStart(4, '0')}-`);

export function yearOf({ year, finds, harvests, batches, meals }: YearQuestion): Year {
  const all = finds.filter(({ startedAt }) => inYear(startedAt, year));
  const taken = harvests.filter(({ on }) => inYear(on, year));
  const taxa = new Map<string, TaxonYear>();
  const more = (taxon: string, add: Partial<TaxonYear>) => {
    const was = taxa.get(taxon) ?? { taxon, finds: 0, collected: 0, left: 0, grams: 0 };
    taxa.set(taxon, {
      taxon,
      finds: was.finds + (add.finds ?? 0),
      collected: was.collected + (add.collected ?? 0),
      left: was.left + (add.left ?? 0),
      grams: was.grams + (add.grams ?? 0),
    });
  };
  const months = Array.from({ length: 12 }, () => ({ collected: 0, other: 0 }));
  for (const { startedAt, target, choice } of all) {
    const month = months[Number(startedAt.slice(5, 7)) - 1];
    if (month) month[choice === 'collect' ? 'collected' : 'other'] += 1;
    if (target !== undefined)
      more(target, { finds: 1, collected: Number(choice === 'collect'), left: Number(choice === 'leave') });
  }
  for (const { taxon, grams } of taken) more(taxon, { grams });
  const count = (choice: string) => all.filter((one) => one.choice === choice).length;
  return {
    finds: all.length,
    collected: count('collect'),
    left: count('leave'),
    open: all.filter((one) => one.choice === undefined || one.choice === 'later').length,
    grams: taken.reduce((sum, { grams }) => sum + grams, 0),
    batches: batches.filter((on) => inYear(on, year)).length,
    meals: meals.filter((at) => inYear(at, year)).length,
    months,
    taxa: [...taxa.values()].sort(
      (a, b) => b.grams - a.grams || b.finds - a.finds || (a.taxon < b.taxon ? -1 : 1),
    ),
  };
}

/** Every year of which there is anything, newest first. */
export const yearsOf = (days: readonly string[]): number[] =>
  [...new Set(days.map((day) => Number(day.slice(0, 4))).filter((year) => Number.isInteger(year)))].sort(
    (a, b) => b - a,
  );
