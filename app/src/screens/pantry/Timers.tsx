import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { timerAt, type Step } from '@pause/core/harvest/preparing';
import type { BatchFields } from '@pause/core/pantry';
import { Button, colour, corner, Small, space, stroke, Strong, Stack, Grow } from '../../components';
import { now } from '../../notebook/add';
import { changeFields } from '../../notebook/changeFields';
import { newId } from '../../notebook/open';
import { useAct, useApp } from '../../notebook/store';
import { t } from '../../text/en/making';
import { t as pantryText } from '../../text/en/pantry';
import { stepWords } from '../../text/pantry';

type Timer = BatchFields['timers'][number];

/** "12:05" while it is minutes, "3 hours", "5 days" while it is long. */
export function leftWords(minutes: number): string {
  if (minutes >= 48 * 60) return t.daysLeft(Math.ceil(minutes / 1440));
  if (minutes >= 120) return t.hoursLeft(Math.ceil(minutes / 60));
  const seconds = Math.ceil(minutes * 60);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** The timer that ends next, for the line of a batch. */
export function nextTimer({ timers = [] }: Partial<BatchFields>, at: Date): string | undefined {
  const running = timers.map((timer) => timerAt(timer, at));
  if (running.some(({ state }) => state === 'done')) return t.aTimerIsDone;
  const left = running.flatMap((one) => (one.state === 'running' ? [one.minutesLeft] : []));
  return left.length === 0 ? undefined : t.toGo(leftWords(Math.min(...left)));
}

const SECOND = 1000;
/** The notebook's clock, every second while something runs. */
function useClock(runs: boolean): Date {
  const offset = useApp((state) => state.me.person?.offsetMs ?? 0);
  const [ms, setMs] = useState(() => Date.now());
  useEffect(() => {
    if (!runs) return undefined;
    const timer = setInterval(() => setMs(Date.now()), SECOND);
    return () => clearInterval(timer);
  }, [runs]);
  return new Date(ms + offset);
}

/** Timers of a batch: when they were started is kept, so they run on while nothing is open. */
export function Timers({
  id,
  steps,
  timers,
}: {
  readonly id: string;
  readonly steps: readonly Step[];
  readonly timers: readonly Timer[];
}) {
  const act = useAct();
  const at = useClock(timers.length > 0);
  if (timers.length === 0) return null;
  const stop = (timer: string) =>
    void act(
      changeFields(id, 'batch', ({ timers: all = [] }) => ({
        timers: all.filter((one) => one.id !== timer),
      })),
    );
  return (
    <Stack gap="s" role="list" aria-label={t.timers}>
      {timers.map((timer) => {
        const state = timerAt(timer, at);
        const step = steps.find((one) => one.id === timer.step);
        const what = step ? stepWords(step) : timer.step;
        return (
          <View key={timer.id} role="listitem" style={[styles.timer, state.state === 'done' && styles.done]}>
            <Grow>
              <Strong>
                {state.state === 'running'
                  ? leftWords(state.minutesLeft)
                  : state.state === 'done'
                    ? t.done
                    : t.theClockWasSetBack}
              </Strong>
              <Small>{state.state === 'clock-set-back' ? t.nobodyKnowsHowLongItRan(what) : what}</Small>
            </Grow>
            <Button
              label={state.state === 'done' ? t.seen : pantryText.stop}
              aria-label={`${state.state === 'done' ? t.seen : pantryText.stop}: ${what}`}
              tone="outline"
              onPress={() => stop(timer.id)}
            />
          </View>
        );
      })}
    </Stack>
  );
}

/** Starts the timer of a step. */
export function StartTimer({ id, step }: { readonly id: string; readonly step: Step }) {
  const act = useAct();
  const minutes = step.minutes ?? (step.days === undefined ? undefined : step.days * 1440);
  if (minutes === undefined) return null;
  return (
    <Button
      label={
        minutes < 120 && Number.isInteger(minutes) ? t.startMinutes(minutes) : t.startFor(leftWords(minutes))
      }
      tone="outline"
      onPress={() =>
        void act(
          changeFields(id, 'batch', ({ timers = [] }) => ({
            timers: [
              ...timers.filter((one) => one.step !== step.id),
              { id: newId(), step: step.id, startedAt: act(now()), minutes },
            ],
          })),
        )
      }
    />
  );
}

const styles = StyleSheet.create({
  timer: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    padding: space.m,
    borderRadius: corner,
    borderWidth: stroke.medium,
    borderColor: colour.ink,
    backgroundColor: colour.card,
  },
  done: { backgroundColor: colour.pause },
});
