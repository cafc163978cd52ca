import { first, found, nth } from '../../lists';
import { inches, type Length } from '../../length';
import { NOMINALS, type Nominal } from '../../stock';
import { dim, say } from '../../words';
import { measure, pick } from '../choice';
import { levelling } from '../feet';
import { family } from '../family';
import { boxAt, kitFor, mirror, type Kit } from '../kit';
import type { Box } from '../geometry';
import type { Cutout, Part } from '../part';
import { boxOf } from '../shape';
import { into as intoFrame } from '../../solid';
import { assembleFrame } from './aprons';
import { checkBetween, checkHeight, footprint, overhangs, railsBetween, topFixing } from './common';
import { legChoices, legSection, placeLegs, checkApron, checkBoughtLeg } from './legs';

const LEAF = 'ply 3/4' as const;
const RUNNER: Nominal = '1x2';
const APRONS = { '1x4': '1×4', '1x6': '1×6', '2x4': '2×4', '2x6': '2×6' } as const;

/** How far a leaf can come out, from the room between the keeper in the middle and the far end apron. */
export const longestTravel = (keeperFar: Length, farApron: Length, overlap: Length, clear: Length): Length =>
  farApron - clear - keeperFar - overlap;

/** Takes a box out of a part, with running clearance: what slides through it. */
function passage(part: Part, box: Box, kind: Cutout['kind'], runner: string, axis: 0 | 1 | 2): Part {
  const points = [box.min, box.max].map((point) => intoFrame(part.frame, point));
  const range = (at: 0 | 1 | 2) =>
    [Math.min(first(points)[at], nth(points, 1)[at]), Math.max(first(points)[at], nth(points, 1)[at])] as const;
  const [a, b] = axis === 2 ? ([0, 1] as const) : axis === 1 ? ([0, 2] as const) : ([1, 2] as const);
  const [[a0, a1], [b0, b1]] = [range(a), range(b)];
  const [from, to] = range(axis);
  const cut: Cutout = {
    kind,
    axis,
    outline: [
      [a0, b0],
      [a1, b0],
      [a1, b1],
      [a0, b1],
    ],
    from,
    to,
    for: runner,
  };
  return { ...part, cuts: [...part.cuts, cut] };
}

const grown = (box: Box, x: Length, y: Length, z: Length): Box => ({
  min: [box.min[0] - x, box.min[1] - y, box.min[2] - z],
  max: [box.max[0] + x, box.max[1] + y, box.max[2] + z],
});

/** Says so where a leaf is to come out farther than its runners allow. */
function checkTravel(
  kit: Kit,
  length: Length,
  { travel, overlap }: { readonly travel: Length; readonly overlap: Length },
  most: Length,
) {
  if (travel <= most) return;
  const longer = length + 2 * (travel - most);
  kit.stop(
    'leaf-long',
    say`The leaf is longer than its runners allow`,
    say`Out ${dim(travel)} with ${dim(overlap)} kept under, its runners would pass the far apron. At most ${dim(Math.max(0, most))} comes out.`,
    { travel, most },
    [
      ...(most >= inches(4)
        ? [{ label: say`Let it come out ${dim(most)}`, changes: [kit.change(['choices', 'travel'], most)] }]
        : []),
      { label: say`Make the table ${dim(longer)} long`, changes: [kit.change(['size', 'length'], longer)] },
    ],
  );
}

/** Spacers on the long aprons, which carry the top over the leaves. Gives their thickness. */
function spacersOn(kit: Kit, aprons: readonly [Box, Box], frameTop: Length, gap: Length): Length {
  const spacer = kit.sizes.dressed('1x2').thickness;
  aprons.forEach((box, at) => {
    const y = at === 0 ? box.min[1] : box.max[1] - spacer;
    kit.board(
      { tag: `Z${at + 1}`, role: 'support', name: 'spacer under the top', material: '1x2' },
      boxAt([box.min[0], y, frameTop], [box.max[0] - box.min[0], spacer, gap]),
      0,
      2,
    );
    kit.join('top screws', `A${at + 1}`, `Z${at + 1}`);
  });
  return spacer;
}

/** Four legs and aprons with a leaf under each end of the top, on runners that slide through the frame. */
export const extending = family({
  id: 'extending',
  name: 'Extending table',
  about: 'Two leaves slide out from under the ends: short every day, long for guests.',
  topped: true,
  refuses: (top) =>
    top.deck !== 'rectangle'
      ? 'Leaves slide out from under straight ends.'
      : top.holdsScrews
        ? null
        : 'The fixed top is screwed to its spacers, and this one takes no screws.',
  choices: {
    ...legChoices,
    apron: pick('Aprons', APRONS, '2x4', { firms: true }),
    travel: measure('Each leaf comes out', inches(14), inches(4), inches(40)),
    overlap: measure('Stays under the top', inches(3), inches(2), inches(12), {
      help: 'What stays under the top and past the keeper carries the leaf.',
    }),
    clearance: measure('Running clearance', inches(1 / 16), inches(1 / 32), inches(1 / 4)),
    ...overhangs,
    ...topFixing,
    ...levelling,
  },
  build(room, choices) {
    const kit = kitFor(room);
    const { clearance: c, travel, overlap } = choices;
    const apron = kit.sizes.dressed(choices.apron as Nominal);
    const runner = kit.sizes.dressed(RUNNER);
    const leafThick = kit.sizes.thickness(LEAF);
    const gap = leafThick + 2 * c;
    const frameTop = room.under - gap;
    if (!checkHeight(kit, room, apron.width + gap, 'apron and leaf')) return kit.built();
    const section = legSection(choices, room.sizes);
    checkBoughtLeg(kit, { ...room, under: frameTop, topThickness: room.topThickness + gap }, choices);
    checkApron(kit, section, apron.thickness);
    const foot = footprint(room, choices);
    const longRoom = foot.length - 2 * section.along;
    checkBetween(kit, room, 'length', longRoom, choices.overhangEnds, section.along, inches(16));
    checkBetween(
      kit,
      room,
      'width',
      foot.width - 2 * section.across,
      choices.overhangSides,
      section.across,
      inches(12),
    );
    const keeperStock = found(
      NOMINALS.filter((nominal) => nominal.startsWith('2x')),
      (nominal) => kit.sizes.dressed(nominal).width >= apron.width + gap,
    );
    const keeper = kit.sizes.dressed(keeperStock);
    const setback = Math.max(0, Math.floor((Math.min(section.along, section.across) - apron.thickness) / 2));
    const farApron = foot.x + foot.length - setback - apron.thickness;
    const keeperFrom = Math.round(room.length / 2 - keeper.thickness / 2);
    const most = Math.min(longestTravel(keeperFrom + keeper.thickness, farApron, overlap, c), keeperFrom - c - overlap);
    if (longRoom >= inches(16)) checkTravel(kit, room.length, choices, most);
    if (kit.stopped()) return kit.built();

    const legs = placeLegs(kit, foot, frameTop, section, choices);
    railsBetween(kit, legs, {
      long: 'A',
      end: 'E',
      longName: 'long apron',
      endName: 'end apron',
      role: 'apron',
      nominal: choices.apron as Nominal,
      from: frameTop - apron.width,
      setback,
    });
    const [a1, a2] = [boxOf(kit.get('A1')), boxOf(kit.get('A2'))];
    const spacer = spacersOn(kit, [a1, a2], frameTop, gap);
    const inner = { from: a1.min[1] + spacer, to: a2.max[1] - spacer };
    kit.board(
      { tag: 'N1', role: 'support', name: 'keeper', material: keeperStock },
      boxAt(
        [keeperFrom, a1.max[1], frameTop - apron.width],
        [keeper.thickness, a2.min[1] - a1.max[1], apron.width + gap],
      ),
      1,
      2,
    );
    kit.join('rail end', 'N1', 'A1');
    kit.join('rail end', 'N1', 'A2');
    leaves(kit, room.length, {
      travel,
      overlap,
      clear: c,
      leafThick,
      frameTop,
      inner,
      between: [a1.max[1], a2.min[1]],
      keeperFar: keeperFrom + keeper.thickness,
      runner,
      length: travel + overlap,
    });
    assembleFrame(kit, legs, { mitred: false, below: 'none', supports: ['N1'], blocks: false });
    kit.assemble('spacers', say`Screw the spacers on`, ['Z1', 'Z2'], ['stiff']);
    for (const side of [1, 2])
      kit.assemble(
        `leaf-${side}`,
        say`Fit leaf ${side} and its runners`,
        [`M${side}`, `U${2 * side - 1}`, `U${2 * side}`],
        [side === 1 ? 'spacers' : 'leaf-1'],
        [
          say`Slide the runners through the end apron and the keeper, wax them, set the leaf on. They must not bind. Pulled out the leaf lies ${dim(room.topThickness + c)} lower than the top.`,
        ],
      );
    return kit.built(['Z1', 'Z2', 'N1'], { Z1: 'screws', Z2: 'screws' });
  },
});

type Leaves = {
  readonly travel: Length;
  readonly overlap: Length;
  readonly clear: Length;
  readonly leafThick: Length;
  readonly frameTop: Length;
  readonly inner: { readonly from: Length; readonly to: Length };
  readonly between: readonly [Length, Length];
  readonly keeperFar: Length;
  readonly runner: { readonly width: Length; readonly thickness: Length };
  readonly length: Length;
};

/** A leaf under each end: two runners under it, through a notch in the end apron and a mortise in the keeper. */
function leaves(kit: Kit, total: Length, of: Leaves): void {
  const { travel, overlap, clear: c, frameTop, inner, runner } = of;
  const wide = inner.to - inner.from - 2 * c;
  const start = inches(1);
  const room = of.between[1] - of.between[0];
  const rows = [0.25, 0.75].map((share) => of.between[0] + Math.round(room * share));
  ([1, 2] as const).forEach((side) => {
    const flip = (box: Box) => (side === 1 ? box : mirror(box, 0, total));
    const leaf = flip(boxAt([0, inner.from + c, frameTop + c], [of.length, wide, of.leafThick]));
    kit.board({ tag: `M${side}`, role: 'top', name: 'leaf', material: LEAF }, leaf, 1, 0);
    const shift = side === 1 ? -inches(1.25) : inches(1.25) - runner.thickness;
    const names = rows.map((y, at) => {
      const name = `U${2 * side - 1 + at}`;
      const reach = travel + of.keeperFar + overlap - start;
      const box = flip(boxAt([start, y + shift, frameTop + c - runner.width], [reach, runner.thickness, runner.width]));
      kit.board({ tag: name, role: 'runner', name: 'leaf runner', material: RUNNER }, box, 0, 2);
      kit.join('screws', name, `M${side}`);
      const apron = kit.get(`E${side}`);
      const span = boxOf(apron);
      const notch = {
        min: [span.min[0] - 1, box.min[1] - c, box.min[2] - c],
        max: [span.max[0] + 1, box.max[1] + c, frameTop + 1],
      } as const;
      kit.put(passage(apron, notch, 'notch', name, 2));
      const keeper = boxOf(kit.get('N1'));
      const mortise = grown(
        { min: [keeper.min[0], box.min[1], box.min[2]], max: [keeper.max[0], box.max[1], box.max[2]] },
        1,
        c,
        c,
      );
      kit.put(passage(kit.get('N1'), mortise, 'notch', name, 2));
      kit.join('rest', name, 'N1', true);
      return name;
    });
    kit.moves(`leaf-${side}`, `leaf ${side}`, [`M${side}`, ...names], {
      kind: 'slide',
      along: [side === 1 ? -1 : 1, 0, 0],
      travel,
    });
  });
}
