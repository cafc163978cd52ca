import { skipToken } from '@reduxjs/toolkit/query/react';
import type { RackBoard } from '@sill/core';
import { useEdges } from '../state/hooks';
import { useRackBoardsQuery } from '../state/server';

/** The boards of one offer in the rack today; null while they are asked for. */
export function useRackBoards(
  yard: string,
  offer: string | null,
): {
  readonly boards: readonly RackBoard[];
  /** What it holds is invented, by the simulated yard. */
  readonly simulated: boolean;
  /** False where there is no signal. */
  readonly reached: boolean;
} | null {
  const { today } = useEdges();
  const { currentData, error } = useRackBoardsQuery(
    offer === null ? skipToken : { params: { yard, offer }, query: { day: today() } },
  );
  if (error) return { boards: [], simulated: false, reached: false };
  return currentData ? { ...currentData, reached: true } : null;
}
