import { expose } from 'comlink';
import { lookAgain, lookAhead, takeGuide } from './look';

const api = { takeGuide, lookAhead, lookAgain };
export type SeasonApi = typeof api;
expose(api);
