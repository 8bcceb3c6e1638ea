import { useEffect, useState } from 'react';
import { z } from 'zod';
import { useAct, type Thunk } from './store';

/** What a person does besides when gathering, in their own words: kept on this device. */

const FILE = 'steps';
const Steps = z.array(z.string()).catch([]);
export const MOST_STEPS = 20;

const kept =
  (): Thunk<Promise<string[]>> =>
  async (_, __, { device }) =>
    Steps.parse(await device.file(FILE));
const keep =
  (steps: readonly string[]): Thunk<Promise<void>> =>
  async (_, __, { device }) => {
    await device.keepFile(FILE, steps).catch(() => undefined);
  };

/** One's own steps on this device, and how to change them. */
export function useOwnSteps() {
  const act = useAct();
  const [own, setOwn] = useState<readonly string[]>([]);
  useEffect(() => {
    void act(kept()).then(setOwn);
  }, [act]);
  const save = (steps: readonly string[]) => {
    setOwn(steps);
    void act(keep(steps));
  };
  return [own, save] as const;
}
