import { expose } from 'comlink';
import { lookAgain, lookAhead, stopLooking, takeGuide } from './look';

const api = { takeGuide, lookAhead, lookAgain, stopLooking };
export type SeasonApi = typeof api;
expose(api);
