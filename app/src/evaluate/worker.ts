import { expose } from 'comlink';
import { effects, evaluate } from './evaluate';
import { takeGuide } from './guide';

const api = { takeGuide, evaluate, effects };
export type EvaluationApi = typeof api;
expose(api);
