const HALF = /\p{Surrogate}/gu;
/** JSON writes nothing but halves of characters so. */
const A_HALF_IN_JSON = /\\ud[89a-f]/;

/**
 * The same without halves of characters: a field that takes so many letters may cut a text in the middle of
 * one, and no database keeps that.
 */
export function withWholeCharacters<T>(value: T): T {
  const json = JSON.stringify(value);
  return A_HALF_IN_JSON.test(json)
    ? (JSON.parse(json, (_, member: unknown) =>
        typeof member === 'string' ? member.replace(HALF, '') : member,
      ) as T)
    : value;
}
