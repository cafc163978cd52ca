import { inches, type Length } from '../../length';
import { dim, say } from '../../words';
import { measure, pick } from '../choice';
import { top } from '../family';
import { boxAt, kitFor } from '../kit';

const SLATS = { '1x4': '1×4', '1x6': '1×6', '2x4': '2×4', '2x6': '2×6' } as const;

/** Slats on two or more battens, gaps between for water. */
export const slats = top({
  id: 'slats',
  name: 'Slats with gaps',
  about: 'Boards with gaps on battens: for outdoors, where water must run off.',
  deck: 'rectangle',
  holdsScrews: true,
  moves: false,
  choices: {
    slats: pick('Slats', SLATS, '1x4'),
    gap: measure('Gap, at least', inches(1 / 4), inches(1 / 8), inches(1)),
    hole: measure('Parasol hole across', 0, 0, inches(3), {
      help: 'Cut through the slat and whatever crosses the middle below. 0 for none.',
    }),
  },
  thickness: (choices, sizes) => sizes.dressed(choices.slats).thickness + sizes.dressed('1x4').thickness,
  candidates: () => [],
  build(room, choices) {
    const kit = kitFor(room);
    const slat = kit.sizes.dressed(choices.slats);
    const batten = kit.sizes.dressed('1x4');
    const number = Math.max(1, Math.floor((room.width + choices.gap) / (slat.width + choices.gap)));
    const gap = number > 1 ? (room.width - number * slat.width) / (number - 1) : 0;
    if (number === 1 || room.width < 2 * slat.width + choices.gap) {
      const width = 2 * slat.width + choices.gap;
      kit.stop('slats-narrow', say`Too narrow for two slats`, say`Two slats and a gap take ${dim(width)}.`, { width }, [
        { label: say`Make it ${dim(width)} wide`, changes: [kit.change(['size', 'width'], width)] },
      ]);
      return kit.built();
    }
    const z = room.under + batten.thickness;
    const names = Array.from({ length: number }, (_, at) => {
      const tag = `T${at + 1}`;
      const y = at === number - 1 ? room.width - slat.width : Math.round(at * (slat.width + gap));
      kit.board(
        { tag, role: 'top', name: 'slat', material: choices.slats },
        boxAt([0, y, z], [room.length, slat.width, slat.thickness]),
        0,
        1,
      );
      return tag;
    });
    // Battens under all slats, no farther apart than slats so thick carry.
    const most: Length = inches(slat.thickness > inches(1) ? 30 : 18);
    const inset = inches(2);
    const [first, last] = [inset, room.length - inset - batten.width];
    const count = Math.max(2, Math.ceil((last - first) / most) + 1);
    const even = Array.from({ length: count }, (_, at) => Math.round(first + ((last - first) * at) / (count - 1)));
    // Where the base has a cross member a batten lies on it.
    const over = room.bearers
      .filter((box) => box.max[1] - box.min[1] > box.max[0] - box.min[0])
      .map((box) =>
        Math.max(0, Math.min(room.length - batten.width, Math.round((box.min[0] + box.max[0] - batten.width) / 2))),
      );
    const apart = batten.width + inches(1 / 2);
    const places = [...over, ...even].reduce<readonly Length[]>(
      (kept, x) => (kept.some((other) => Math.abs(other - x) < apart) ? kept : [...kept, x]),
      [],
    );
    const battens = [...places]
      .sort((a, b) => a - b)
      .map((x, at) => {
        const tag = `B${at + 1}`;
        kit.board(
          { tag, role: 'top', name: 'batten', material: '1x4' },
          boxAt([x, 0, room.under], [batten.width, room.width, batten.thickness]),
          1,
          0,
        );
        names.forEach((name) => kit.join('screws', tag, name));
        return tag;
      });
    kit.assemble(
      'top',
      say`Screw the slats to their battens`,
      [...names, ...battens],
      [],
      [
        {
          says: say`Lay the slats face down with ${dim(Math.round(gap))} spacers, battens across, two screws a crossing from below.`,
          atHand: [say`spacers ${dim(Math.round(gap))}`],
        },
      ],
    );
    return kit.built();
  },
});
