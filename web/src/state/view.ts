import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export type ScreenLook = 'light' | 'workshop';

/** What is only of this screen: the marked part, the look, a message at the foot. */
export type ViewState = {
  readonly marked: string | null;
  readonly look: ScreenLook;
  /** `link` leads to where more can be done about it. */
  readonly message: {
    readonly text: string;
    readonly bad: boolean;
    readonly link?: { readonly to: string; readonly words: string };
  } | null;
};

const initialState: ViewState = { marked: null, look: 'light', message: null };

export const view = createSlice({
  name: 'view',
  initialState,
  reducers: {
    marked: (state, { payload }: PayloadAction<string | null>) => void (state.marked = payload),
    lookChosen: (state, { payload }: PayloadAction<ScreenLook>) => void (state.look = payload),
    said: (state, { payload }: PayloadAction<ViewState['message']>) => void (state.message = payload),
  },
});

export const { marked, lookChosen, said } = view.actions;
