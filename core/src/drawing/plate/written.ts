import { pathData, type Mark } from '../mark';
import type { TaxonPlate } from './sheet';

/** A mark as SVG path data, with what it is drawn in. */
export interface WrittenMark extends Pick<Mark, 'ink' | 'fill'> {
  readonly d: string;
}

/** A plate ready to be shown: small enough to be handed from one thread to another. */
export interface WrittenPlate extends Omit<TaxonPlate, 'marks' | 'parts'> {
  readonly marks: readonly WrittenMark[];
  /** What was drawn from each character: the very marks of the plate. */
  readonly parts: readonly { readonly of: readonly string[]; readonly marks: readonly WrittenMark[] }[];
}

export function writtenPlate({ marks, parts, ...sheet }: TaxonPlate): WrittenPlate {
  const written = new Map(
    marks.map((mark) => [mark, { d: pathData(mark), ink: mark.ink, fill: mark.fill }] as const),
  );
  return {
    ...sheet,
    marks: [...written.values()],
    parts: parts.map((part) => ({
      of: part.of,
      marks: part.marks.flatMap((mark) => written.get(mark) ?? []),
    })),
  };
}
