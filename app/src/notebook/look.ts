import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** How this device shows Pause, and what it knows of its own screen. Kept on the device alone. */
export interface LookSettings {
  readonly theme: 'day' | 'dim';
  readonly text: 1 | 1.25 | 1.5 | 2;
  readonly hand: 'right' | 'left';
  /** A child gathers with this device: collecting waits for an adult's word. */
  readonly child: boolean;
  /** The emergency number that the person chose. */
  readonly emergencyLine?: string | undefined;
  /** Number of the poison service of the country, as the person typed it. */
  readonly poisonLine?: string | undefined;
  /** Whom to call was asked at the first start, and answered or put off. */
  readonly callsAsked?: boolean | undefined;
  /** What holding an answer does was shown. */
  readonly holdKnown?: boolean | undefined;
  /** Of the screen, after a card was held to it. */
  readonly pixelsPerMillimetre?: number | undefined;
}

export const USUAL_LOOK: LookSettings = { theme: 'day', text: 1, hand: 'right', child: false };

export const look = createSlice({
  name: 'look',
  initialState: USUAL_LOOK,
  reducers: {
    lookSet: (state, { payload }: PayloadAction<Partial<LookSettings>>): LookSettings => ({
      ...state,
      ...payload,
    }),
    /** All of it, as another window set it: what was taken away there is gone here. */
    lookReplaced: (_, { payload }: PayloadAction<LookSettings>): LookSettings => payload,
  },
});

const KEY = 'pause:look';
/** Characters of a telephone number, as somebody types it. */
export const LONGEST_NUMBER = 40;
const isNumber = (value: unknown): value is string =>
  typeof value === 'string' && value.length <= LONGEST_NUMBER;
const oneOf = <T>(known: readonly T[], value: unknown, usual: T): T =>
  known.find((one) => one === value) ?? usual;

/**
 * What was set on this device before; what cannot be read is as usual. It is read before anything is drawn,
 * and so without what reads everything else.
 */
export function keptLook(storage: Storage): LookSettings {
  let kept: unknown;
  try {
    kept = JSON.parse(storage.getItem(KEY) ?? '');
  } catch {
    return USUAL_LOOK;
  }
  if (typeof kept !== 'object' || kept === null) return USUAL_LOOK;
  const { theme, text, hand, child, emergencyLine, poisonLine, callsAsked, holdKnown, pixelsPerMillimetre } =
    kept as Readonly<Record<keyof LookSettings, unknown>>;
  return {
    theme: oneOf(['day', 'dim'], theme, USUAL_LOOK.theme),
    text: oneOf([1, 1.25, 1.5, 2], text, USUAL_LOOK.text),
    hand: oneOf(['right', 'left'], hand, USUAL_LOOK.hand),
    child: oneOf([true, false], child, USUAL_LOOK.child),
    ...(isNumber(emergencyLine) ? { emergencyLine } : {}),
    ...(isNumber(poisonLine) ? { poisonLine } : {}),
    ...(callsAsked === true ? { callsAsked } : {}),
    ...(holdKnown === true ? { holdKnown } : {}),
    ...(typeof pixelsPerMillimetre === 'number' &&
    Number.isFinite(pixelsPerMillimetre) &&
    pixelsPerMillimetre > 0
      ? { pixelsPerMillimetre }
      : {}),
  };
}

/**
 * In one order, so that the same settings are the same text, and no other window hears of what it has
 * already.
 */
const KEPT: readonly (keyof LookSettings)[] = [
  'theme',
  'text',
  'hand',
  'child',
  'emergencyLine',
  'poisonLine',
  'callsAsked',
  'holdKnown',
  'pixelsPerMillimetre',
];

export function keepLook(storage: Storage, settings: LookSettings): void {
  storage.setItem(KEY, JSON.stringify(settings, [...KEPT]));
}

/** Calls back with all that is set, once it is set in another window of this device. */
export function whenLookSet(here: Window, then: (settings: LookSettings) => void): void {
  here.addEventListener('storage', ({ key }) => {
    if (key === KEY) then(keptLook(here.localStorage));
  });
}
