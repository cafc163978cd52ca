import { inches } from '../../length';
import { rectangle } from '../../solid';
import { dim, say } from '../../words';
import { pick } from '../choice';
import { top } from '../family';
import { kitFor } from '../kit';
import { cordChoices } from './cord';
import { profileChoices } from './profile';

/** Edge-glued panels are sold up to this size. */
const LONGEST = inches(72);
const WIDEST = inches(24);

/** One edge-glued project panel, or two joined along an edge. */
export const panel = top({
  id: 'panel',
  name: 'Project panel',
  about: 'Edge-glued in the factory: cut it to size and it is a top.',
  deck: 'rectangle',
  holdsScrews: true,
  moves: true,
  choices: { panels: pick('Panels', { one: 'one', two: 'two, joined' }, 'one'), ...cordChoices, ...profileChoices },
  thickness: (_, sizes) => sizes.thickness('panel 3/4'),
  candidates: () => [],
  build(room, choices) {
    const kit = kitFor(room);
    const number = choices.panels === 'two' ? 2 : 1;
    const widest = number * WIDEST;
    if (room.length > LONGEST || room.width > widest) {
      const fits = { length: Math.min(room.length, LONGEST), width: Math.min(room.width, widest) };
      kit.stop(
        'panel-large',
        say`Larger than panels are sold`,
        say`It is ${dim(room.length)} by ${dim(room.width)}; panels are up to ${dim(LONGEST)} by ${dim(WIDEST)}.`,
        { length: room.length, width: room.width },
        [
          ...(number === 1 && room.length <= LONGEST && room.width <= 2 * WIDEST
            ? [{ label: say`Join two panels`, changes: [kit.change(['topChoices', 'panels'], 'two')] }]
            : []),
          {
            label: say`Make it ${dim(fits.length)} by ${dim(fits.width)}`,
            changes: [kit.change(['size', 'length'], fits.length), kit.change(['size', 'width'], fits.width)],
          },
          { label: say`Join boards instead`, changes: [kit.change(['top'], 'joined'), kit.change(['topChoices'], {})] },
        ],
      );
      return kit.built();
    }
    const first = Math.round(room.width / number);
    const widths = number === 1 ? [room.width] : [first, room.width - first];
    let y = 0;
    widths.forEach((width, at) => {
      kit.shaped(
        { tag: `T${at + 1}`, role: 'top', name: 'panel', material: 'panel 3/4', trimmedLater: number === 2 },
        rectangle(room.length, width),
        room.topThickness,
        { at: [0, y, room.under], u: [1, 0, 0], v: [0, 1, 0] },
      );
      y += width;
    });
    if (number === 2) {
      kit.join('edge', 'T1', 'T2');
      kit.assemble('top', say`Join the panels`, ['T1', 'T2']);
    }
    return kit.built();
  },
});
