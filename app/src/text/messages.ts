/**
 * The catalogue of all words on screen. English is in `en`, one file an area, because a screen fetches only the
 * words it shows; another language is one file (`languages.ts`).
 */

type Message = string | ((...parameters: never[]) => string);
export type Area = Readonly<Record<string, Message>>;

/** What a translation of an area must have: the same names, and for each the same parameters. */
type Translation<English extends Area> = {
  readonly [Name in keyof English]: English[Name] extends (...parameters: infer Parameters) => string
    ? (...parameters: Parameters) => string
    : string;
};

export interface Language {
  /** BCP 47, for the rules of plurals and lists. */
  readonly tag: string;
  /** The words of one area; what it does not have stays English. */
  readonly area: (name: string, english: Area) => Partial<Area>;
}

/** British English: no comma before the last "and" of a list. */
const ENGLISH: Language = { tag: 'en-GB', area: () => ({}) };

let language = ENGLISH;

/** Chooses the language. Words that were read before stay as they are, so this comes before everything else. */
export function speak(chosen: Language): void {
  language = chosen;
}

/** The words of an area in the language of this device. */
export function messages<const English extends Area>(name: string, english: English): Translation<English> {
  return { ...english, ...language.area(name, english) } as Translation<English>;
}

/** Joins sentences; those that do not apply are left out. */
export function sentences(...all: readonly (string | false | undefined)[]): string {
  return all.filter(Boolean).join(' ');
}

/** Short facts beside each other on one line: "about 200 g · piece 2"; those that are not known are left out. */
export function factLine(...facts: readonly (string | false | undefined)[]): string {
  return facts.filter(Boolean).join(' · ');
}

let rules: Intl.PluralRules | undefined;

/** The form that a number asks for; a language with more forms than two names them all. */
export function plural(
  count: number,
  forms: { readonly other: string } & Readonly<Partial<Record<Intl.LDMLPluralRule, string>>>,
): string {
  rules ??= new Intl.PluralRules(language.tag);
  return forms[rules.select(count)] ?? forms.other;
}

const lists: { conjunction?: Intl.ListFormat; disjunction?: Intl.ListFormat } = {};

/** "funnel, bell and flat", or with `disjunction` "funnel, bell or flat". */
export function listed(items: readonly string[], type: keyof typeof lists = 'conjunction'): string {
  const format = (lists[type] ??= new Intl.ListFormat(language.tag, { type }));
  return format.format(items);
}
