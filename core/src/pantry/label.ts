/** What a jar says: in plain words that outlast every phone, and a square that leads back to its page. */

export interface LabelOf {
  readonly id: string;
  readonly name: string;
  /** Scientific names, and the parts as they are called. */
  readonly contents: readonly { readonly scientificName: string; readonly part: string }[];
  readonly method: string;
  readonly on?: string | undefined;
  /** The whole line. */
  readonly bestBefore?: string | undefined;
  readonly store?: string | undefined;
  readonly place?: string | undefined;
  readonly by?: string | undefined;
  /** What still has to be done to it before anybody eats it, and what was left out. */
  readonly warnings: readonly string[];
}

/** Letters of an id that a person can copy by hand. */
const SHORT = 8;
export const shortCode = (id: string): string =>
  id
    .replace(/[^A-Za-z0-9]/g, '')
    .slice(-SHORT)
    .toUpperCase();
/** The address that its square holds. */
export const labelAddress = (origin: string, id: string): string =>
  `${origin}/batch/${encodeURIComponent(id)}`;
/** The batch of an address that was read off a square; nothing where it leads elsewhere. */
export function batchOfAddress(text: string): string | undefined {
  const id = /\/batch\/([A-Za-z0-9_-]{1,64})$/.exec(text.trim())?.[1];
  return id;
}

export function labelLines({
  name,
  contents,
  method,
  on,
  bestBefore,
  store,
  place,
  by,
  warnings,
  id,
}: LabelOf): string[] {
  return [
    name,
    ...contents.map(({ scientificName, part }) => `${scientificName}, ${part}`),
    [method, on].filter(Boolean).join(', '),
    ...(place === undefined ? [] : [place]),
    ...(by === undefined ? [] : [by]),
    ...(bestBefore === undefined ? [] : [bestBefore]),
    ...(store === undefined ? [] : [store]),
    ...warnings,
    shortCode(id),
  ].filter((line) => line !== '');
}
