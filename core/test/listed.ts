import { guide } from './finds';

/** Every target with each taxon of the guide that it is listed to be mistaken for. */
export const isListed = (): (readonly [target: string, other: string])[] =>
  guide.taxa.flatMap((target) =>
    target.taxon.lookalikes.map((one) => [target.id as string, one as string] as const),
  );
