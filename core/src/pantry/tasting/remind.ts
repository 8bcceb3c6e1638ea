/** Who is reminded of what when something is eaten. */

export interface MealQuestion {
  /** Who eats. */
  readonly who: readonly string[];
  /** Of them, what each has to mind, where anybody put it down. */
  readonly minds: (name: string) => readonly string[];
  /** What is eaten. */
  readonly taxa: readonly string[];
  /** What each had before, by meals and by first tastes that went well. */
  readonly hadBefore: (name: string) => ReadonlySet<string>;
}

export type MealReminder =
  /** A small body: the same amount is more for it. */
  | { readonly code: 'child'; readonly name: string }
  /** New to this person: a little of it, and a day of waiting. */
  | { readonly code: 'new'; readonly name: string; readonly taxa: readonly string[] };

/** Reminders for a meal: of children, and of everybody for whom something in it is new. They stop nothing. */
export function mealReminders({ who, minds, taxa, hadBefore }: MealQuestion): MealReminder[] {
  return who.flatMap((name): MealReminder[] => {
    const before = hadBefore(name);
    const fresh = [...new Set(taxa)].filter((taxon) => !before.has(taxon));
    return [
      ...(minds(name).includes('child') ? [{ code: 'child', name } as const] : []),
      ...(fresh.length > 0 ? [{ code: 'new', name, taxa: fresh } as const] : []),
    ];
  });
}
