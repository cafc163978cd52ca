import { useMemo } from 'react';
import { boardsNow, isSawn, notSawn, sawnAt, wentThrough, type Pass, type Plan, type Setup } from '@sill/core';
import { useJob } from '../../state/hooks';
import { STAMP, useHoldings, useTell } from '../../state/useLedger';
import { letGo } from './useBoards';

/** Settings of the saw as they are worked through: what is ticked is cut, board by board. */
export function useSawing(plan: Plan) {
  const job = useJob();
  const holdings = useHoldings();
  const tell = useTell();
  const { boards } = plan.buying;
  const now = useMemo(() => boardsNow(boards, holdings), [boards, holdings]);
  const sawn = { boards: now, setups: plan.setups };
  const has = (setup: Setup) => isSawn(setup, sawn, holdings);
  /** Whether all boards of a pass are through at its setting. */
  const isThrough = ({ setup, boards: numbers }: Pass) =>
    now.every((board) => !numbers.includes(board.number) || wentThrough(board, setup, holdings));
  /** What is told when a setting is done; wishes for its boards are carried out then. */
  const told = (setup: Setup) => (has(setup) ? [] : sawnAt(job, setup, sawn, STAMP));
  const wishes = (setup: Setup) => now.filter(({ number }) => setup.boards.includes(number)).flatMap(letGo);
  return {
    has,
    isThrough,
    told,
    wishes,
    toggle: (setup: Setup) => (has(setup) ? tell(notSawn(job, setup, sawn, STAMP)) : tell(told(setup), wishes(setup))),
  };
}
