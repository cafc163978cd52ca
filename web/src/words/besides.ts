import type { BoardLine } from '@sill/core';
import { cents } from './money';

/** Of a line of the list, what is besides what must be bought: spares, and what is bought and became of it. */
export const besides = ({
  spare,
  owned,
  paid,
  idle,
  lost,
}: Pick<BoardLine, 'spare' | 'owned' | 'paid' | 'idle' | 'lost'>): string =>
  [
    spare > 0 ? `${spare} spare` : '',
    owned > 0 ? `${owned} bought for ${cents(paid)}` : '',
    idle > 0 ? `${idle} of them not used now` : '',
    lost > 0 ? `${lost} of them spoiled` : '',
  ]
    .filter((words) => words !== '')
    .join(', ');
