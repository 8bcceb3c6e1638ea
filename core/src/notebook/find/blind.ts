import type { Ask, FindRecord } from './record';

/** Of a find, what decides whether somebody can still look at it without knowing the answers. */
interface Looked {
  readonly person: string;
  readonly reveals: readonly { readonly by: string }[];
  readonly readings: readonly { readonly by: string; readonly blind?: boolean | undefined }[];
}

/**
 * Whether what a person reads of a find now can be blind: they did not begin it, did not have it shown, and
 * read nothing of it knowingly.
 */
export function mayBeBlind(record: Looked, person: string): boolean {
  return (
    record.person !== person &&
    !record.reveals.some((reveal) => reveal.by === person) &&
    !record.readings.some((reading) => reading.by === person && reading.blind !== true)
  );
}

/** What a person is asked to look at without knowing more, while something of it is still to be read. */
export function blindAsk(
  record: FindRecord,
  person: string,
): { readonly ask: Ask; readonly left: readonly Ask['characters'][number][] } | undefined {
  if (!mayBeBlind(record, person)) return undefined;
  for (const ask of record.asks) {
    if (ask.of !== person) continue;
    const read = new Set(
      record.readings.filter((r) => r.by === person && r.piece === ask.piece).map((r) => r.character),
    );
    const left = ask.characters.filter((character) => !read.has(character));
    if (left.length > 0) return { ask, left };
  }
  return undefined;
}
