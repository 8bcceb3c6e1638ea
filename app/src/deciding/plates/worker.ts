import { expose } from 'comlink';
import { fullPlate, numberedPlate, takeGuide } from './draw';

const api = { takeGuide, fullPlate, numberedPlate };
export type PlatesApi = typeof api;
expose(api);
