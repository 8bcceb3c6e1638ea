import { useEffect, useState } from 'react';
import type { StageId } from '@pause/core';
import type { WrittenPlate } from '@pause/core/drawing';
import type { Numbered } from '../../deciding/plates/draw';
import { loadPlates } from './usePlates';

/** What draws large plates is fetched when the first one is wanted. */
const client = () => import('../../deciding/plates/client');
export const drawing = {
  fullPlate: async (taxon: string, stage: StageId): Promise<WrittenPlate> =>
    (await client()).fullPlate(loadPlates, taxon, stage),
  numberedPlate: async (taxon: string, stage: StageId, room: number): Promise<Numbered> =>
    (await client()).numberedPlate(loadPlates, taxon, stage, room),
};

/** So many plates are kept; those that were wanted longest ago go first. */
const MOST = 60;
const kept = new Map<string, unknown>();

function keep(name: string, drawn: unknown): void {
  kept.delete(name);
  kept.set(name, drawn);
  const [oldest] = kept.keys();
  if (kept.size > MOST && oldest !== undefined) kept.delete(oldest);
}

/**
 * Something that is drawn elsewhere; nothing until it is there, and where it cannot be drawn.
 *
 * @param name tells it from everything else that is drawn
 */
export function useDrawn<Drawn>(name: string, draw: () => Promise<Drawn>): Drawn | undefined {
  const [drawn, setDrawn] = useState<{ readonly name: string; readonly what: Drawn }>();
  const known = kept.get(name) as Drawn | undefined;
  useEffect(() => {
    if (kept.has(name)) return undefined;
    let wanted = true;
    draw().then(
      (what) => {
        keep(name, what);
        if (wanted) setDrawn({ name, what });
      },
      () => undefined,
    );
    return () => {
      wanted = false;
    };
    // The name says what is drawn.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [name]);
  return known ?? (drawn?.name === name ? drawn.what : undefined);
}
