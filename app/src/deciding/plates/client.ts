import type { StageId } from '@pause/core';
import type { WrittenPlate } from '@pause/core/drawing';
import { workerOrHere } from '../workerOrHere';
import * as here from './draw';
import type { Drawing, Numbered } from './draw';
import type { PlatesApi } from './worker';

/** Large plates take longer to draw than a page may wait: a worker draws them. */

const ask = workerOrHere<PlatesApi>(() => new Worker(new URL('./worker.ts', window.location.href)), here);

/** Fetches what draws, where there is no worker. */
type Load = () => Promise<Drawing>;

export const fullPlate = (load: Load, taxon: string, stage: StageId): Promise<WrittenPlate> =>
  ask(
    (api) => api.fullPlate(taxon, stage),
    async () => here.fullPlate(await load(), taxon, stage),
  );

export const numberedPlate = (load: Load, taxon: string, stage: StageId, room: number): Promise<Numbered> =>
  ask(
    (api) => api.numberedPlate(taxon, stage, room),
    async () => here.numberedPlate(await load(), taxon, stage, room),
  );
