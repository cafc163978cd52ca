import type { BoardLine } from '@sill/core';

/** Of a line of boards, those that no piece comes from, by why: spare, spoiled, idle since the plan changed. */
export const besides = ({ spare, spoiled, idle }: Pick<BoardLine, 'spare' | 'spoiled' | 'idle'>): string =>
  [
    [spare, 'spare'],
    [spoiled, 'spoiled'],
    [idle, 'bought, not used now'],
  ]
    .flatMap(([count, why]) => (count === 0 ? [] : [`${count} ${why}`]))
    .join(', ');
