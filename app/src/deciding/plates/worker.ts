import { expose } from 'comlink';
import type { StageId } from '@pause/core';
import * as drawing from '@pause/core/drawing';
import { fullPlate, numberedPlate, takeGuide } from './draw';

const api = {
  takeGuide,
  fullPlate: (taxon: string, stage: StageId) => fullPlate(drawing, taxon, stage),
  numberedPlate: (taxon: string, stage: StageId, room: number) => numberedPlate(drawing, taxon, stage, room),
};
export type PlatesApi = typeof api;
expose(api);
