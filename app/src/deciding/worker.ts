import { expose } from 'comlink';
import { effects, judge, planOf } from './evaluate';
import { takeGuide } from './guide';

const api = { takeGuide, judge, planOf, effects };
export type EvaluationApi = typeof api;
expose(api);
