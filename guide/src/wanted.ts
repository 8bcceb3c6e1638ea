import wanted from '../review/readings/wanted.json';

/** What the reading of the wanted taxa says of one character, in its unit. */
export interface WantedEntry {
  readonly usual?: readonly string[];
  readonly occasional?: readonly string[];
  /** What a careful amateur could honestly read there. */
  readonly read?: readonly string[];
  readonly usualRange?: readonly [number, number];
  readonly outer?: readonly [number, number];
}

/**
 * By taxon: what is usual and what occasional of it at the stages at which it is gathered, read without sight
 * of the guide.
 */
export function wantedReading(): Readonly<
  Record<string, { readonly characters: Readonly<Record<string, 'na' | WantedEntry>> }>
> {
  return wanted.taxa as unknown as ReturnType<typeof wantedReading>;
}
