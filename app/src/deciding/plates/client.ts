import type { StageId } from '@pause/core';
import type { WrittenPlate } from '@pause/core/drawing';
import { workerOrHere } from '../workerOrHere';
import * as here from './draw';
import type { Numbered } from './draw';
import type { PlatesApi } from './worker';

/** Large plates take longer to draw than a page may stand still: a worker draws them, each once. */

const ask = workerOrHere<PlatesApi>(() => new Worker(new URL('./worker.ts', window.location.href)), here);

export const fullPlate = (taxon: string, stage: StageId): Promise<WrittenPlate> =>
  ask(
    (api) => api.fullPlate(taxon, stage),
    () => here.fullPlate(taxon, stage),
  );

export const numberedPlate = (taxon: string, stage: StageId, room: number): Promise<Numbered> =>
  ask(
    (api) => api.numberedPlate(taxon, stage, room),
    () => here.numberedPlate(taxon, stage, room),
  );
