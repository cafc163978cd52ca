import { useEffect, useState } from 'react';
import type { RackBoard } from '@sill/core';
import { api } from '../platform/api';
import { today } from '../platform/workers/planner';

/** The boards of one offer in the rack today; none, and `reached` false, where there is no signal. */
export function useRackBoards(yard: string, offer: string | null) {
  const [so, setSo] = useState<{
    readonly of: string;
    readonly boards: readonly RackBoard[];
    /** What it holds is invented, by the simulated yard. */
    readonly simulated: boolean;
    readonly reached: boolean;
  } | null>(null);
  const key = `${yard} ${offer}`;
  useEffect(() => {
    if (offer === null) return;
    let gone = false;
    api.rack(yard, offer, today()).then(
      ({ boards, simulated }) => !gone && setSo({ of: key, boards, simulated, reached: true }),
      () => !gone && setSo({ of: key, boards: [], simulated: false, reached: false }),
    );
    return () => {
      gone = true;
    };
  }, [yard, offer, key]);
  return so?.of === key ? so : null;
}
