import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { closed } from './bench';

export type ScreenLook = 'light' | 'workshop';

/** What is only of this screen: the marked part, the look, a message at the foot. */
export type ViewState = {
  readonly marked: string | null;
  readonly look: ScreenLook;
  /** `dearer`: something happened that makes the job cost more; other ways are looked for beside it. */
  readonly message: { readonly text: string; readonly bad: boolean; readonly dearer?: boolean } | null;
};

const initialState: ViewState = { marked: null, look: 'light', message: null };

export const view = createSlice({
  name: 'view',
  initialState,
  reducers: {
    marked: (state, { payload }: PayloadAction<string | null>) => void (state.marked = payload),
    lookChosen: (state, { payload }: PayloadAction<ScreenLook>) => void (state.look = payload),
    said: (state, { payload }: PayloadAction<ViewState['message']>) => void (state.message = payload),
    /** What came about by itself takes the place of nothing that went wrong: that stands until it is read. */
    mentioned: (state, { payload }: PayloadAction<{ readonly text: string; readonly dearer?: boolean }>) =>
      void (state.message = state.message?.bad ? state.message : { ...payload, bad: false }),
  },
  // What happened in a job is of that job alone.
  extraReducers: (builder) =>
    void builder.addCase(closed, (state) => void (state.message = state.message?.dearer ? null : state.message)),
});

export const { marked, lookChosen, said, mentioned } = view.actions;
