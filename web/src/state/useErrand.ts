import { useState } from 'react';
import { useApp } from './hooks';
import { said } from './view';

/** One errand to the server at a time; what it answers, or why it failed, is said at the foot of the screen. */
export function useErrand(): { readonly busy: boolean; readonly run: (work: () => Promise<string>) => void } {
  const dispatch = useApp();
  const [busy, setBusy] = useState(false);
  const run = (work: () => Promise<string>) => {
    setBusy(true);
    work()
      .then((text) => dispatch(said({ text, bad: false })))
      .catch((error: Error) => dispatch(said({ text: error.message, bad: true })))
      .finally(() => setBusy(false));
  };
  return { busy, run };
}
