import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** Whether a newer Pause is on this device and waits to be used. */
interface UpdateState {
  readonly waiting: boolean;
  /** It was asked for, but another window of Pause is open. */
  readonly othersOpen: boolean;
}
const none: UpdateState = { waiting: false, othersOpen: false };

export const update = createSlice({
  name: 'update',
  initialState: none,
  reducers: {
    updateWaits: (state): UpdateState => ({ ...state, waiting: true }),
    updateHeldUp: (state, { payload }: PayloadAction<boolean>): UpdateState => ({
      ...state,
      othersOpen: payload,
    }),
  },
});
