import { inches, type Length } from '../../length';
import type { Nominal } from '../../stock';
import { dim, say } from '../../words';
import { measure, pick, type Values } from '../choice';
import { family, type Room } from '../family';
import { boxAt, kitFor, type Kit } from '../kit';
import { checkBetween, footprint, overhangs, topFixing } from './common';

const LEGS = { '2x2': '2×2', '2x3': '2×3', '2x4': '2×4' } as const;
const RAILS = { none: 'none', '1x2': '1×2', '1x3': '1×3', '1x4': '1×4' } as const;
const CLEAT: Nominal = '2x4';
const RAIL: Nominal = '1x3';
/** Legs stand so far in from the ends of their cleat: the plate of a bracket reaches over both sides of them. */
const IN: Length = inches(1);
/** A rail under the tops of its legs leaves room for their brackets. */
const BELOW: Length = inches(5);
/** Left free between what folds past each other. */
const FREE: Length = inches(1 / 4);
/** A table that is put away is hardly longer. */
const LONG: Length = inches(72);

const CHOICES = {
  legs: pick('Legs', LEGS, '2x3', { firms: true }),
  rails: pick('Rails along under the top', RAILS, '1x3', {
    firms: true,
    help: 'From cleat to cleat outside of the legs: without them a long top sags between its ends.',
  }),
  stretcher: measure('Lower rail, its middle from the floor', inches(8), inches(3), inches(24)),
  overhangEnds: overhangs.overhangEnds,
  overhangSides: overhangs.overhangSides,
  ...topFixing,
};
type Chosen = Values<typeof CHOICES>;

type Sizes = ReturnType<typeof sizesOf>;
function sizesOf(kit: Kit, room: Room, choices: Chosen) {
  const [cleat, rail, leg] = [kit.sizes.dressed(CLEAT), kit.sizes.dressed(RAIL), kit.sizes.dressed(choices.legs)];
  const foot = footprint(room, choices);
  const high = room.under - cleat.thickness;
  // Between the pivots, on the inner sides of the legs.
  const apart = foot.length - 2 * (Math.round((cleat.width - leg.thickness) / 2) + leg.thickness);
  const low = choices.stretcher - Math.round(rail.width / 2);
  return { cleat, rail, leg, foot, high, apart, low };
}

/** Says so where legs have no room to fold, or rails none between them. */
function check(kit: Kit, room: Room, choices: Chosen, { rail, leg, foot, high, apart, low }: Sizes): void {
  const least = low + 2 * rail.width + BELOW + inches(1);
  if (high < least) {
    const height = room.height + least - high;
    kit.stop(
      'folding-low',
      say`Too low for legs with two rails`,
      say`Under the top and its cleat there is ${dim(Math.max(0, high))} for legs; two rails need ${dim(least)}.`,
      { high, least },
      [{ label: say`Make it ${dim(height)} high`, changes: [kit.change(['size', 'height'], height)] }],
    );
    return;
  }
  // Feet of the one pair lie between the legs of the other, up to its lower rail.
  const needs = 2 * high - low + FREE;
  if (apart < needs) {
    const short = needs - apart;
    const [length, height] = [room.length + short, room.height - Math.ceil(short / 2)];
    const closer = choices.overhangEnds - Math.ceil(short / 2);
    const sizes = [
      { label: say`Make it ${dim(length)} long`, changes: [kit.change(['size', 'length'], length)] },
      { label: say`Make it ${dim(height)} high`, changes: [kit.change(['size', 'height'], height)] },
    ];
    kit.stop(
      'folding-long',
      say`The legs are too long to fold under it`,
      say`Folded, the two pairs take ${dim(needs)}; between their pivots there is ${dim(Math.max(0, apart))}.`,
      { apart, needs },
      [
        ...(closer >= 0
          ? [
              {
                label: say`Overhang ${dim(closer)} instead`,
                changes: [kit.change(['choices', 'overhangEnds'], closer)],
              },
            ]
          : []),
        // Longer than panels and found tops come it is rather made lower.
        ...(length > LONG ? [...sizes].reverse() : sizes),
      ],
    );
  }
  const between = foot.width - 2 * (IN + 2 * leg.width + FREE);
  checkBetween(kit, room, 'width', between, choices.overhangSides, leg.width, inches(6));
}

/** A pair of legs with two rails under a cleat across the top: 1 stands left, 2 right and within the first. */
function pair(kit: Kit, sizes: Sizes, stock: Nominal, n: 1 | 2): void {
  const { cleat, rail, leg, foot, high, low } = sizes;
  const x = n === 1 ? foot.x : foot.x + foot.length - cleat.width;
  const inside = IN + (n === 1 ? 0 : leg.width + FREE);
  const [y0, y1] = [foot.y + inside, foot.y + foot.width - inside];
  kit.board(
    { tag: `C${n}`, role: 'support', name: 'cleat', material: CLEAT },
    boxAt([x, foot.y, high], [cleat.width, foot.width, cleat.thickness]),
    1,
    0,
  );
  const lx = x + Math.round((cleat.width - leg.thickness) / 2);
  const legs = [`L${2 * n - 1}`, `L${2 * n}`] as const;
  legs.forEach((name, k) => {
    kit.board(
      { tag: name, role: 'leg', name: 'folding leg', material: stock },
      boxAt([lx, k === 0 ? y0 : y1 - leg.width, 0], [leg.thickness, leg.width, high]),
      2,
      1,
    );
    kit.join('fold', name, `C${n}`);
  });
  const rx = lx + Math.round((leg.thickness - rail.thickness) / 2);
  const rails = [
    [`E${n}`, 'upper rail', high - BELOW - rail.width],
    [`S${n}`, 'lower rail', low],
  ] as const;
  for (const [name, what, z] of rails) {
    kit.board(
      { tag: name, role: 'rail', name: what, material: RAIL },
      boxAt([rx, y0 + leg.width, z], [rail.thickness, y1 - y0 - 2 * leg.width, rail.width]),
      1,
      2,
    );
    for (const one of legs) kit.join('rail end', name, one);
  }
  kit.assemble(`pair-${n}`, say`Join the ${n === 1 ? 'left' : 'right'} pair of legs`, [
    ...legs,
    ...rails.map(([name]) => name),
  ]);
  kit.moves(`fold-${n}`, `${n === 1 ? 'left' : 'right'} legs`, [...legs, ...rails.map(([name]) => name)], {
    kind: 'turn',
    about: [n === 1 ? lx + leg.thickness : lx, 0, high],
    axis: [0, 1, 0],
    degrees: n === 1 ? -90 : 90,
  });
}

/** Two rails on edge from cleat to cleat, outside of where the legs fold. */
function railsUnder(kit: Kit, { cleat, foot }: Sizes, stock: Nominal, under: Length): readonly string[] {
  const { width, thickness } = kit.sizes.dressed(stock);
  return [foot.y, foot.y + foot.width - thickness].map((y, at) => {
    const name = `R${at + 1}`;
    kit.board(
      { tag: name, role: 'support', name: 'rail under the top', material: stock },
      boxAt([foot.x + cleat.width, y, under - width], [foot.length - 2 * cleat.width, thickness, width]),
      0,
      2,
    );
    for (const cleat of ['C1', 'C2']) kit.join('rail end', name, cleat);
    return name;
  });
}

/** Two pairs of legs that fold under the top on bought brackets, the one between the legs of the other. */
export const folding = family({
  id: 'folding',
  name: 'Folding legs',
  about: 'Two pairs of legs that fold flat under the top: put away against a wall, carried through any door.',
  topped: true,
  refuses: (top) =>
    !top.holdsScrews
      ? 'The cleats are screwed to the top, and this one takes no screws.'
      : top.id === 'slats' || top.id === 'octagon'
        ? 'The cleats want a flat underside; these slats lie on battens.'
        : top.id === 'round'
          ? 'Legs fold along straight sides, and a round top has none.'
          : top.id === 'tiles'
            ? 'A table of tiles is too heavy to fold away, and what moves cracks its joints.'
            : null,
  choices: CHOICES,
  build(room, choices) {
    const kit = kitFor(room);
    const sizes = sizesOf(kit, room, choices);
    check(kit, room, choices, sizes);
    if (kit.stopped()) return kit.built();
    pair(kit, sizes, choices.legs, 1);
    pair(kit, sizes, choices.legs, 2);
    const rails = choices.rails === 'none' ? [] : railsUnder(kit, sizes, choices.rails, room.under);
    if (rails.length > 0) kit.assemble('under', say`Join the frame under the top`, ['C1', 'C2', ...rails]);
    kit.need({ kind: 'folding-bracket', size: '', count: 4 });
    return kit.built(['C1', 'C2', ...rails], { C1: 'screws', C2: 'screws' });
  },
});
