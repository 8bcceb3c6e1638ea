import { useEffect, useState } from 'react';

/** Work that is done one piece after the other, each in a task of its own, so that the page answers in between. */
const waiting = new Set<() => void>();
let isUnderWay = false;

function doNext(): void {
  const [next] = waiting;
  isUnderWay = next !== undefined;
  if (!next) return;
  waiting.delete(next);
  next();
  setTimeout(doNext, 0);
}

/** @returns takes it back, if it has not been done yet */
function inTurn(work: () => void): () => void {
  waiting.add(work);
  if (!isUnderWay) {
    isUnderWay = true;
    setTimeout(doNext, 0);
  }
  return () => waiting.delete(work);
}

/**
 * Something that takes long to make, made when its turn comes, and kept by its maker.
 *
 * @param known what is there without making it
 * @param make nothing before it can be made
 */
export function useMadeInTurn<Made>(
  known: Made | undefined,
  make: (() => Made) | undefined,
): Made | undefined {
  const [made, setMade] = useState<{ readonly by: () => Made; readonly what: Made }>();
  useEffect(() => {
    if (known !== undefined || !make) return undefined;
    return inTurn(() => setMade({ by: make, what: make() }));
  }, [known, make]);
  return known ?? (made?.by === make ? made?.what : undefined);
}
