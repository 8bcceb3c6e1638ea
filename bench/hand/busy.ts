/** A recording of Chromium's, in the trace event format. */
export interface Trace {
  readonly traceEvents: readonly TraceEvent[];
}

interface TraceEvent {
  readonly name: string;
  readonly pid: number;
  readonly tid: number;
  /**
   * Microseconds: when it began, how long it took by the clock, and how long its thread had the processor.
   */
  readonly ts: number;
  readonly dur?: number;
  readonly tdur?: number;
  readonly args?: { readonly name?: string };
}

/** Lighthouse's phone is four times slower, and what takes longer than this keeps a finger waiting. */
const SLOWER = 4;
const LONG_MS = 50;

/**
 * How long tasks of the page's own thread would keep a finger waiting, after the first paint, by the time in
 * which that thread had the processor.
 *
 * @returns milliseconds: what each task takes above 50 on a processor four times slower, added up
 * @throws Error where no page was drawn in it
 */
export function busyBlocking({ traceEvents }: Trace): number {
  const thread = ({ pid, tid }: TraceEvent) => `${pid}:${tid}`;
  const names = new Map(
    traceEvents
      .filter(({ name }) => name === 'thread_name')
      .map((event) => [thread(event), event.args?.name]),
  );
  const painted = traceEvents
    .filter(({ name }) => name === 'firstContentfulPaint')
    .sort((a, b) => a.ts - b.ts)
    .at(-1);
  if (!painted) throw new Error('nothing was painted in this recording');
  const tasks = traceEvents.filter(
    (event) =>
      event.name.endsWith('RunTask') &&
      event.pid === painted.pid &&
      names.get(thread(event)) === 'CrRendererMain' &&
      event.ts >= painted.ts,
  );
  let end = 0;
  return tasks
    .sort((a, b) => a.ts - b.ts || (b.dur ?? 0) - (a.dur ?? 0))
    .reduce((sum, { ts, dur = 0, tdur = 0 }) => {
      // A task inside another one is part of it.
      if (ts < end) return sum;
      end = ts + dur;
      return sum + Math.max(0, (tdur / 1000) * SLOWER - LONG_MS);
    }, 0);
}
