import { inches, type Length } from '../../length';
import type { Nominal } from '../../stock';
import { dim, say } from '../../words';
import { pick } from '../choice';
import { top } from '../family';
import type { Box } from '../geometry';
import { boxAt, kitFor } from '../kit';
import { boxOf } from '../shape';
import { boardCandidates, boardChoices, boardThickness, joinBoards } from './boards';
import { cordChoices } from './cord';
import { profileChoices } from './profile';

const HELD = { float: 'in the middle, the rest slides', fast: 'all across, glued and screwed' } as const;
const ENDS = { '4': '4', '6': '6', '2': '2, an end cap' } as const;

/** A board over the middle of the top, or this near to it, is held fast by the end boards. */
const NEAR: Length = inches(2);
const isMiddle = ({ min, max }: Box, width: Length): boolean => min[1] < width / 2 + NEAR && max[1] > width / 2 - NEAR;

/** Joined boards with a board across each end. */
export const breadboard = top({
  id: 'breadboard',
  name: 'Boards with breadboard ends',
  about: 'A board across each end hides end grain and holds the top flat.',
  deck: 'rectangle',
  holdsScrews: true,
  moves: true,
  choices: {
    ...boardChoices,
    end: pick('End boards, nominal width', ENDS, '4'),
    endsHeld: pick('End boards held', HELD, 'float', {
      help: 'All across is quicker and stiff at once. The boards can then not get wider and narrower: for narrow tops.',
    }),
    ...cordChoices,
    ...profileChoices,
  },
  thickness: boardThickness,
  candidates: boardCandidates,
  build(room, choices) {
    const kit = kitFor(room);
    const cap = choices.end === '2';
    // No yard keeps a narrow five-quarter board: the cap is ripped from a wider one.
    const stock: Nominal = `${choices.thickness}${cap && choices.thickness === '5/4x' ? '4' : choices.end}` as Nominal;
    const { width } = kit.sizes.dressed(cap ? '2x2' : stock);
    const field = room.length - 2 * width;
    if (field < inches(6)) {
      const length = 2 * width + inches(6);
      kit.stop(
        'breadboard-short',
        say`The end boards leave no top between them`,
        say`Two ends of ${dim(width)} leave ${dim(Math.max(0, field))} of ${dim(room.length)}.`,
        { field },
        [{ label: say`Make it ${dim(length)} long`, changes: [kit.change(['size', 'length'], length)] }],
      );
      return kit.built();
    }
    const boards = joinBoards(
      kit,
      room,
      choices,
      boxAt([width, 0, room.under], [field, room.width, room.topThickness]),
    );
    [0, room.length - width].forEach((x, at) => {
      const name = `B${at + 1}`;
      kit.board(
        {
          tag: name,
          role: 'top',
          name: cap ? 'end cap' : 'breadboard end',
          material: stock,
          fit: say`the width of the glued top at this end`,
          dependsOn: boards,
        },
        boxAt([x, 0, room.under], [width, room.width, room.topThickness]),
        1,
        0,
      );
      // Held in the middle alone, what is farther out moves behind the end board with the seasons.
      const isFast = (board: string) => choices.endsHeld === 'fast' || isMiddle(boxOf(kit.get(board)), room.width);
      for (const board of boards.filter(isFast)) kit.join('rail end', board, name);
      for (const board of boards.filter((one) => !isFast(one))) kit.join('float', name, board);
    });
    kit.assemble('field', say`Glue up the top`, boards);
    kit.assemble('top', say`Fix the end boards`, ['B1', 'B2'], ['field']);
    return kit.built();
  },
});
