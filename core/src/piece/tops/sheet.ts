import { inches } from '../../length';
import { rectangle } from '../../solid';
import { dim, say } from '../../words';
import { pick } from '../choice';
import { top } from '../family';
import { kitFor } from '../kit';
import { edgeOf, edgingDepth } from './boards';
import { BORDER, borderRound, edgingRound } from './edging';
import { cordChoices } from './cord';
import { profileChoices } from './profile';

const SHEETS_FOR = { 'ply 3/4': '3/4 plywood', 'mdf 3/4': '3/4 MDF' } as const;
/** How the solid wood round a sheet stands: on edge, and how deep, or flat. */
const EDGINGS = {
  flush: 'on edge, level with the top',
  '1x2': 'on edge, 1×2 that hangs down',
  '1x3': 'on edge, 1×3 that hangs down',
  flat: '1×2 laid flat, a border',
} as const;
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
  choices: {
    sheet: pick('Sheet', SHEETS_FOR, 'ply 3/4'),
    edging: pick('Edging', EDGINGS, 'flush', {
      help: 'One that hangs below makes a thin top look thick; one laid flat shows as a border and takes a profile well.',
    }),
    ...cordChoices,
    ...profileChoices,
  },
  // A border that is thicker than the sheet is made level with it from above.
  thickness: ({ sheet, edging }, sizes) =>
    Math.max(sizes.thickness(sheet), edging === 'flat' ? sizes.dressed(BORDER).thickness : 0),
  candidates: () => [],
  build(room, choices) {
    const kit = kitFor(room);
    const flat = choices.edging === 'flat';
    const edge = flat ? kit.sizes.dressed(BORDER).width : edgeOf(room.sizes);
    const thick = kit.sizes.thickness(choices.sheet);
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
    kit.shaped({ tag: 'T1', role: 'top', name: 'sheet', material: choices.sheet }, rectangle(length, width), thick, {
      at: [edge, edge, room.under],
      u: [1, 0, 0],
      v: [0, 1, 0],
    });
    const edging = flat
      ? borderRound(kit, room, room.height, 'T1')
      : edgingRound(kit, room, room.height, edgingDepth(choices.edging, thick, room.sizes), [
          ['T1'],
          ['T1'],
          ['T1'],
          ['T1'],
        ]);
    const proud = room.topThickness - thick;
    kit.assemble(
      'top',
      say`Edge the sheet`,
      ['T1', ...edging],
      [],
      [
        {
          says: say`Cut one mitre, hold the piece against the sheet, mark the other with a knife. ${flat ? (proud > 0 ? say`Undersides level: the border stands ${dim(proud)} over the sheet. Plane it down to it, the plane flat on the border and never on the veneer.` : say`Upper faces level.`) : say`Leave it a hair high and plane it level.`}`,
          atHand: ['knife', ...(flat && proud === 0 ? [] : ['plane'])].map((name) => say`${name}`),
        },
      ],
    );
    return kit.built();
  },
});
