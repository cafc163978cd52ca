import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Look } from '../theme';

/** What is only of this screen: the marked part, the look, a message at the foot. */
export type ViewState = {
  readonly marked: string | null;
  readonly look: Look;
  readonly message: { readonly text: string; readonly bad: boolean } | null;
};

const LOOK_KEY = 'sill-look';
const keptLook = (): Look => (globalThis.localStorage?.getItem(LOOK_KEY) === 'workshop' ? 'workshop' : 'light');

export const view = createSlice({
  name: 'view',
  initialState: (): ViewState => ({ marked: null, look: keptLook(), message: null }),
  reducers: {
    marked: (state, { payload }: PayloadAction<string | null>) => void (state.marked = payload),
    lookChosen: (state, { payload }: PayloadAction<Look>) => {
      state.look = payload;
      globalThis.localStorage?.setItem(LOOK_KEY, payload);
    },
    said: (state, { payload }: PayloadAction<ViewState['message']>) => void (state.message = payload),
  },
});

export const { marked, lookChosen, said } = view.actions;
