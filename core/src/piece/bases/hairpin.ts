import { inches, type Length } from '../../length';
import type { Outline } from '../../solid';
import { dim, say } from '../../words';
import { count, pick } from '../choice';
import { family } from '../family';
import { boxAt, kitFor, spread, type Kit } from '../kit';
import type { Cutout } from '../part';
import { checkBetween, footprint, overhangs, topFixing } from './common';

/** Hairpin legs as sold: heights in inches; plate, rod and splay of a common three-rod leg. */
const HEIGHTS = { '16': '16', '20': '20', '28': '28' } as const;
export const PLATE: Length = inches(4);
const ROD: Length = inches(3 / 8);
const TIP: Length = inches(1);
const POUNDS = 3.5;

/** Seen from the front: wide at the plate, a bend at the floor, open between the rods. */
const shape = (height: Length): Outline => [
  [0, PLATE / 2 - TIP / 2],
  [height, 0],
  [height, PLATE],
  [0, PLATE / 2 + TIP / 2],
];

const between = (height: Length): Cutout => ({
  kind: 'relief',
  axis: 2,
  outline: [
    [2 * ROD, PLATE / 2],
    [height - ROD, ROD],
    [height - ROD, PLATE - ROD],
  ],
  from: -1,
  to: ROD + 1,
  for: null,
});

/** A hairpin leg under a corner at [x, y]: its own length runs up, its width along the piece, its thickness across. */
export function hairpinLeg(kit: Kit, tag: string, size: string, [x, y]: readonly [Length, Length]): void {
  const height = inches(Number(size));
  const leg = kit.shaped(
    {
      tag,
      role: 'leg',
      name: 'hairpin leg',
      material: 'bought',
      bought: { kind: 'hairpin-leg', size, pounds: POUNDS },
    },
    shape(height),
    ROD,
    { at: [x, Math.round(y - ROD / 2), 0], u: [0, 0, 1], v: [1, 0, 0] },
  );
  kit.put({ ...leg, cuts: [between(height)] });
}

/** Four bought metal legs screwed to the underside of the top, and battens that keep it flat. */
export const hairpin = family({
  id: 'hairpin',
  name: 'Hairpin legs',
  about: 'Bought metal legs under a stiff top: nothing to joint, nothing below.',
  topped: true,
  refuses: (top) =>
    !top.holdsScrews
      ? 'The legs screw straight into the top, and this one takes no screws.'
      : top.id === 'slats' || top.id === 'octagon'
        ? 'The legs want a flat underside; these slats lie on battens.'
        : null,
  choices: {
    height: pick('Legs, inches high', HEIGHTS, '28'),
    battens: count('Battens across', 2, 0, 6),
    ...overhangs,
    ...topFixing,
  },
  build(room, choices) {
    const kit = kitFor(room);
    const height = inches(Number(choices.height));
    if (room.under !== height) {
      const other = (Object.keys(HEIGHTS) as (keyof typeof HEIGHTS)[]).reduce((a, b) =>
        Math.abs(inches(Number(b)) - room.under) < Math.abs(inches(Number(a)) - room.under) ? b : a,
      );
      const set = (legs: string) => [
        kit.change(['choices', 'height'], legs),
        kit.change(['size', 'height'], inches(Number(legs)) + room.topThickness),
      ];
      kit.stop(
        'hairpin-height',
        say`The legs do not come in this height`,
        say`Under the top there is ${dim(room.under)}; these legs are ${dim(height)} and can not be cut.`,
        { under: room.under, height },
        [
          { label: say`${other} in legs: ${dim(inches(Number(other)) + room.topThickness)} high`, changes: set(other) },
          ...(other === choices.height
            ? []
            : [
                {
                  label: say`${choices.height} in legs: ${dim(height + room.topThickness)} high`,
                  changes: set(choices.height),
                },
              ]),
        ],
      );
    }
    const foot = footprint(room, choices);
    checkBetween(kit, room, 'length', foot.length - 2 * PLATE, choices.overhangEnds, PLATE, inches(6));
    checkBetween(kit, room, 'width', foot.width - 2 * PLATE, choices.overhangSides, PLATE, inches(2));
    const batten = kit.sizes.dressed('1x4');
    const most = Math.max(0, Math.floor((foot.length - 2 * PLATE) / (batten.width + inches(2))));
    if (choices.battens > most)
      kit.stop(
        'battens',
        say`${choices.battens} battens do not fit`,
        say`Between the legs there is room for ${most}.`,
        { most },
        [{ label: say`Use ${most}`, changes: [kit.change(['choices', 'battens'], most)] }],
      );
    if (kit.stopped()) return kit.built();

    const [x0, x1, y0, y1] = [foot.x, foot.x + foot.length, foot.y, foot.y + foot.width];
    const places = [
      [x0, y0 + inches(1.5)],
      [x0, y1 - inches(1.5)],
      [x1 - PLATE, y0 + inches(1.5)],
      [x1 - PLATE, y1 - inches(1.5)],
    ] as const;
    places.forEach((place, at) => hairpinLeg(kit, `L${at + 1}`, choices.height, place));
    const names = spread(x0 + PLATE, x1 - PLATE, batten.width, choices.battens, inches(1 / 16)).map((x, at) => {
      const name = `C${at + 1}`;
      kit.board(
        { tag: name, role: 'support', name: 'batten', material: '1x4' },
        boxAt([x, y0, room.under - batten.thickness], [batten.width, y1 - y0, batten.thickness]),
        1,
        0,
      );
      return name;
    });
    const legs = ['L1', 'L2', 'L3', 'L4'];
    const by = Object.fromEntries([
      ...legs.map((tag) => [tag, 'plate'] as const),
      ...names.map((tag) => [tag, 'screws'] as const),
    ]);
    return kit.built([...legs, ...names], by);
  },
});
