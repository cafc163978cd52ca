import type { Board } from '@sill/core';

/** How a board stands, in a word or two: what happened goes before what is wished. */
export function stateWords({ state, kept }: Board, storeCuts = false): string {
  if (state === 'cut') return 'cut';
  if (state === 'begun') return 'cut in part';
  if (kept !== null) return state === 'bought' ? 'bought, kept' : 'kept';
  if (state !== 'to buy') return state;
  return storeCuts ? 'store cuts' : 'buy';
}
