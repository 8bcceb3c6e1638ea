/** A timer is when it was started and for how long: so it runs on while nothing is open. */
export interface Timer {
  readonly startedAt: string;
  readonly minutes: number;
}
export type TimerState =
  | { readonly state: 'running'; readonly minutesLeft: number }
  | { readonly state: 'done'; readonly minutesOver: number }
  /**
   * By the clock of now it has not been started yet: the clock was set back, and nobody knows how long it
   * ran.
   */
  | { readonly state: 'clock-set-back' };

/** @throws RangeError for minutes that are none */
export function timerAt({ startedAt, minutes }: Timer, now: Date): TimerState {
  if (!(Number.isFinite(minutes) && minutes > 0)) throw new RangeError('minutes: above nothing');
  const ran = (now.getTime() - Date.parse(startedAt)) / 60_000;
  if (!Number.isFinite(ran)) throw new RangeError('startedAt: an instant');
  // A few seconds are how clocks differ, and no matter.
  if (ran < -0.5) return { state: 'clock-set-back' };
  return ran >= minutes
    ? { state: 'done', minutesOver: ran - minutes }
    : { state: 'running', minutesLeft: minutes - Math.max(0, ran) };
}
