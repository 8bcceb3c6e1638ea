import { busyBlocking, type Trace } from '../../bench/hand/busy';

type Event = Trace['traceEvents'][number];
const MAIN = { pid: 7, tid: 1 };
const named = (tid: number, name: string): Event => ({
  name: 'thread_name',
  pid: 7,
  tid,
  ts: 0,
  args: { name },
});
const painted: Event = { name: 'firstContentfulPaint', ...MAIN, ts: 1_000_000 };
/** A task that began so many milliseconds after the first paint. */
const task = (at: number, clock: number, busy: number, more: Partial<Event> = {}): Event => ({
  name: 'RunTask',
  ...MAIN,
  ts: 1_000_000 + at * 1000,
  dur: clock * 1000,
  tdur: busy * 1000,
  ...more,
});
const blocking = (...events: Event[]) =>
  busyBlocking({ traceEvents: [named(1, 'CrRendererMain'), named(2, 'Compositor'), painted, ...events] });

test('what a task takes above fifty milliseconds on a processor four times slower, added up', () => {
  expect(blocking(task(0, 20, 20), task(100, 30, 30))).toBeCloseTo(30 + 70);
  expect(blocking(task(0, 12, 12), task(100, 12.5, 12.5))).toBe(0);
});

test('what others take of the processor does not count', () => {
  expect(blocking(task(0, 80, 15))).toBeCloseTo(10);
});

test('before the first paint, on another thread or in another program nobody is kept waiting', () => {
  expect(blocking(task(-100, 50, 50), task(10, 50, 50, { tid: 2 }), task(10, 50, 50, { pid: 8 }))).toBe(0);
});

test('a task inside another one is counted once', () => {
  expect(blocking(task(0, 40, 40), task(5, 30, 30, { name: 'ThreadControllerImpl::RunTask' }))).toBeCloseTo(
    110,
  );
});

test('a recording without a page is an error', () => {
  expect(() => busyBlocking({ traceEvents: [named(1, 'CrRendererMain')] })).toThrow('nothing was painted');
});
