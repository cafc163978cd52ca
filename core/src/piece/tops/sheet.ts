import { inches } from '../../length';
import { rectangle } from '../../solid';
import { dim, say } from '../../words';
import { pick } from '../choice';
import { top } from '../family';
import { kitFor } from '../kit';
import { edgeOf, edgingDepth, skirtChoices } from './boards';
import { edgingRound } from './edging';
import { cordChoices } from './cord';
import { profileChoices } from './profile';

const SHEETS_FOR = { 'ply 3/4': '3/4 plywood', 'mdf 3/4': '3/4 MDF' } as const;
const LONGEST = inches(96);
const WIDEST = inches(48);

/** A sheet with mitred solid edging. */
export const edgedSheet = top({
  id: 'edged-sheet',
  name: 'Sheet with solid edging',
  about: 'Plywood or MDF with boards mitred round it: flat, quick, and it does not move.',
  deck: 'rectangle',
  holdsScrews: true,
  moves: false,
  choices: { sheet: pick('Sheet', SHEETS_FOR, 'ply 3/4'), ...skirtChoices, ...cordChoices, ...profileChoices },
  thickness: (choices, sizes) => sizes.thickness(choices.sheet),
  candidates: () => [],
  build(room, choices) {
    const kit = kitFor(room);
    const edge = edgeOf(room.sizes);
    const [length, width] = [room.length - 2 * edge, room.width - 2 * edge];
    if (Math.max(length, width) > LONGEST || Math.min(length, width) > WIDEST) {
      const fits = {
        length: Math.min(room.length, LONGEST + 2 * edge),
        width: Math.min(room.width, WIDEST + 2 * edge),
      };
      kit.stop(
        'sheet-large',
        say`Larger than a sheet`,
        say`Inside the edging it is ${dim(length)} by ${dim(width)}; a sheet is ${dim(LONGEST)} by ${dim(WIDEST)}.`,
        { length, width },
        [
          {
            label: say`Make it ${dim(fits.length)} by ${dim(fits.width)}`,
            changes: [kit.change(['size', 'length'], fits.length), kit.change(['size', 'width'], fits.width)],
          },
          { label: say`Join boards instead`, changes: [kit.change(['top'], 'joined'), kit.change(['topChoices'], {})] },
        ],
      );
      return kit.built();
    }
    kit.shaped(
      { tag: 'T1', role: 'top', name: 'sheet', material: choices.sheet },
      rectangle(length, width),
      room.topThickness,
      { at: [edge, edge, room.under], u: [1, 0, 0], v: [0, 1, 0] },
    );
    const edging = edgingRound(kit, room, room.height, edgingDepth(choices.edging, room.topThickness, room.sizes), [
      ['T1'],
      ['T1'],
      ['T1'],
      ['T1'],
    ]);
    kit.assemble(
      'top',
      say`Edge the sheet`,
      ['T1', ...edging],
      [],
      [
        say`Cut one mitre, hold the piece against the sheet, mark the other with a knife. Leave it a hair high and plane it level.`,
      ],
    );
    return kit.built();
  },
});
