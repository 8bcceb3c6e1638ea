import { z } from 'zod';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { keptAs } from './own';

/** How this device shows Pause, and what it knows of its own screen. Kept on the device alone. */
export const LookSettings = z.object({
  theme: z.enum(['day', 'dim']).catch('day'),
  text: z.union([z.literal(1), z.literal(1.25), z.literal(1.5), z.literal(2)]).catch(1),
  hand: z.enum(['right', 'left']).catch('right'),
  /** A child gathers with this device: collecting waits for an adult's word. */
  child: z.boolean().catch(false),
  /** Number of the poison service of the country, as the person typed it. */
  poisonLine: z.string().max(40).optional().catch(undefined),
  /** Of the screen, after a card was laid on it. */
  pixelsPerMillimetre: z.number().positive().optional().catch(undefined),
});
export type LookSettings = z.infer<typeof LookSettings>;

export const USUAL_LOOK: LookSettings = { theme: 'day', text: 1, hand: 'right', child: false };

export const look = createSlice({
  name: 'look',
  initialState: USUAL_LOOK,
  reducers: {
    lookSet: (state, { payload }: PayloadAction<Partial<LookSettings>>): LookSettings => ({ ...state, ...payload }),
  },
});

const KEY = 'pause:look';

/** What was set on this device before; what cannot be read is as usual. */
export function keptLook(storage: Storage): LookSettings {
  return keptAs(storage, KEY, LookSettings, USUAL_LOOK);
}

export function keepLook(storage: Storage, settings: LookSettings): void {
  storage.setItem(KEY, JSON.stringify(settings));
}
