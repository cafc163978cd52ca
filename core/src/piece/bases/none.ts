import type { Piece } from '../../job';
import { family } from '../family';
import { kitFor } from '../kit';

/** A top by itself: for a base that is there, a wall, a pair of sawhorses. */
export const topAlone = family({
  id: 'top-alone',
  name: 'A top alone',
  about: 'For a base that you have, a bracket on a wall, a pair of trestles. It is as high as it is thick.',
  topped: true,
  refuses: (top) =>
    ['bought', 'found', 'panel'].includes(top.id) ? 'It comes as one piece: there is nothing to make of it.' : null,
  choices: {},
  build: (room) => kitFor(room).built(),
});

/** Whether a piece is a top and nothing else. */
export const isTopAlone = (piece: Pick<Piece, 'family'>): boolean => piece.family === topAlone.id;
