import { expose } from 'comlink';
import { effects, evaluate } from './evaluate';

const api = { evaluate, effects };
export type EvaluationApi = typeof api;
expose(api);
