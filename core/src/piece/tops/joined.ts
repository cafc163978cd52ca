import { top } from '../family';
import { kitFor } from '../kit';
import { assembleTop, boardCandidates, boardChoices, boardThickness, joinBoards, topBox } from './boards';
import { cordChoices } from './cord';
import { profileChoices } from './profile';

/** Boards joined edge to edge. */
export const joined = top({
  id: 'joined',
  name: 'Joined boards',
  about: 'Boards side by side, edges ripped and joined: the plain solid top.',
  deck: 'rectangle',
  holdsScrews: true,
  moves: true,
  choices: { ...boardChoices, ...cordChoices, ...profileChoices },
  thickness: boardThickness,
  candidates: boardCandidates,
  build(room, choices) {
    const kit = kitFor(room);
    assembleTop(kit, joinBoards(kit, room, choices, topBox(room)));
    return kit.built();
  },
});
