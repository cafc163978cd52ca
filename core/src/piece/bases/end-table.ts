import { first, nth } from '../../lists';
import { inches, type Length } from '../../length';
import type { Nominal } from '../../stock';
import { dim, say } from '../../words';
import { count, measure, pick, type Values } from '../choice';
import {
  assembleDrawers,
  drawer,
  drawerBacks,
  DRAWER_STOCK,
  drawerSizes,
  sideOf,
  tallestSide,
  type DrawerStock,
} from '../drawers';
import { levelling } from '../feet';
import { family, type Room } from '../family';
import { boxAt, kitFor, type Kit } from '../kit';
import { betweenSlats, checkBetween, checkHeight, footprint, overhangs, topFixing } from './common';
import { checkShelf, shelfBelow, shelfChoices } from './shelf-below';
import { checkBoughtLeg, joinLeg, legChoices, legSection, placeLegs } from './legs';

const RAIL: Nominal = '1x2';
const SIDE_STOCK = '1x12';
/** Sides stand back this much from the legs' outer faces. */
const SIDE_INSET: Length = inches(1 / 4);

const CHOICES = {
  ...legChoices,
  drawers: count('Drawers', 1, 1, 4),
  opening: measure('Drawer opening, high', inches(5), inches(3), inches(14)),
  reveal: measure('Gap round the fronts', inches(1 / 8), inches(1 / 16), inches(1 / 4)),
  ...shelfChoices,
  box: pick('Drawer boxes', DRAWER_STOCK, 'ply 1/2'),
  ...drawerBacks,
  ...overhangs,
  ...topFixing,
  ...levelling,
};
type Chosen = Values<typeof CHOICES>;

/**
 * Sizes that all else follows from. Fronts stand level with the legs, the rails behind them, the boxes behind the
 * rails.
 */
function sizesOf(kit: Kit, room: Room, choices: Chosen) {
  const rail = kit.sizes.dressed(RAIL);
  const section = legSection(choices, room.sizes);
  const foot = footprint(room, choices);
  const front = kit.sizes.dressed('1x6').thickness;
  return {
    rail,
    section,
    foot,
    front,
    deep: (choices.drawers + 1) * rail.width + choices.drawers * choices.opening,
    between: foot.length - 2 * section.along,
    depthRoom: foot.width - 2 * section.across,
    railY: foot.y + front,
    backY: foot.y + foot.width - rail.thickness,
    panel: kit.sizes.dressed(SIDE_STOCK),
  };
}
type Sizes = ReturnType<typeof sizesOf>;
type Legs = ReturnType<typeof placeLegs>;

/** Says what the legs leave no room for. */
function checkLegs(kit: Kit, room: Room, choices: Chosen, { section, between, depthRoom }: Sizes): void {
  checkBoughtLeg(kit, room, choices);
  checkBetween(kit, room, 'length', between, choices.overhangEnds, section.along, inches(6));
  checkBetween(kit, room, 'width', depthRoom, choices.overhangSides, section.across, inches(6));
  const thick = SIDE_INSET + kit.sizes.dressed(SIDE_STOCK).thickness + kit.sizes.dressed('1x3').thickness;
  if (section.along < thick)
    kit.stop(
      'legs-thin',
      say`The legs are too thin for sides and supports`,
      say`Side and drawer support lie beside each other in ${dim(thick)}; the legs are ${dim(section.along)}.`,
      { thick },
      [{ label: say`Take legs of two 2×4`, changes: [kit.change(['choices', 'legs'], 'two 2x4')] }],
    );
}

/** The sizes of a drawer; null, and said why, where none fits. */
function drawerFor(kit: Kit, room: Room, choices: Chosen, { rail, front, between, railY, backY }: Sizes) {
  const side = sideOf(choices.box as DrawerStock, room.sizes);
  const width = between;
  const cover = { width: -choices.reveal, height: Math.floor((rail.width - choices.reveal) / 2) };
  const sizes = drawerSizes({ width, height: choices.opening, depth: backY - railY - inches(1 / 2) }, side, cover);
  if (!sizes) {
    const need = inches(10) + inches(1 / 2) + front + rail.thickness + 2 * choices.overhangSides;
    const tooNarrow = width < inches(5);
    kit.stop(
      'drawer-opening',
      tooNarrow ? say`Too narrow for a drawer` : say`No slide is short enough`,
      tooNarrow
        ? say`Legs and drawer supports leave an opening of ${dim(Math.max(0, width))}; with slides a box needs ${dim(inches(5))}.`
        : say`Behind the rails there is ${dim(Math.max(0, backY - railY - inches(1 / 2)))}; the shortest slide sold is ${dim(inches(10))}, and an opening must be ${dim(inches(2.5))} high.`,
      { width, depth: backY - railY },
      [
        tooNarrow
          ? {
              label: say`Make it ${dim(room.length + inches(5) - width)} long`,
              changes: [kit.change(['size', 'length'], room.length + inches(5) - width)],
            }
          : {
              label: say`Make it ${dim(Math.max(need, room.width))} wide`,
              changes: [kit.change(['size', 'width'], Math.max(need, room.width))],
            },
      ],
    );
    return null;
  }
  if (sizes.box.height > tallestSide(choices.box as DrawerStock, room.sizes)) {
    kit.stop(
      'drawer-deep',
      say`The drawer is deeper than its boards`,
      say`A side ${dim(sizes.box.height)} high can not be cut from ${DRAWER_STOCK[choices.box as DrawerStock]}.`,
      { height: sizes.box.height },
      [{ label: say`Take 1/2 plywood`, changes: [kit.change(['choices', 'box'], 'ply 1/2')] }],
    );
    return null;
  }
  return { sizes, side, cover };
}
type DrawerFit = NonNullable<ReturnType<typeof drawerFor>>;

/** Rails between the front legs, the upper one carrying the top. Where the openings between them begin. */
function faceFrame(
  kit: Kit,
  room: Room,
  choices: Chosen,
  legs: Legs,
  { rail, between, railY }: Sizes,
): readonly Length[] {
  const x0 = legs[0].box.max[0];
  const fronts = choices.drawers;
  // Rails of the face frame, from the top down; the upper one carries the top.
  const openings: Length[] = [];
  for (let at = 0; at <= fronts; at++) {
    const z = room.under - rail.width - at * (rail.width + choices.opening);
    const name = `R${at + 1}`;
    kit.board(
      { tag: name, role: 'rail', name: 'front rail', material: RAIL },
      boxAt([x0, railY, z], [between, rail.thickness, rail.width]),
      0,
      2,
    );
    joinLeg(kit, 'rail end', name, legs[0]);
    joinLeg(kit, 'rail end', name, legs[2]);
    if (at > 0) openings.push(z + rail.width);
  }
  return openings;
}

/** Sides and back, pocketed into the legs. Tags of the left and the right side. */
function sidesAndBack(
  kit: Kit,
  room: Room,
  legs: Legs,
  { rail, deep, between, depthRoom, backY, panel }: Sizes,
): readonly (readonly string[])[] {
  const x0 = legs[0].box.max[0];
  // Sides and back in bands that the stock can give, pocketed into the legs.
  const bands = Math.max(1, Math.ceil(deep / panel.width));
  const band = (at: number) => [Math.round((deep * at) / bands), Math.round((deep * (at + 1)) / bands)] as const;
  const low = room.under - deep;
  const sides: string[][] = [[], []];
  for (let at = 0; at < bands; at++) {
    const [from, to] = band(at);
    ([legs[0], legs[2]] as const).forEach((leg, k) => {
      const name = `E${2 * at + k + 1}`;
      const inner = k === 0 ? leg.box.min[0] + SIDE_INSET : leg.box.max[0] - SIDE_INSET - panel.thickness;
      kit.board(
        { tag: name, role: 'apron', name: 'side', material: SIDE_STOCK, squared: bands > 1 },
        boxAt([inner, leg.box.max[1], low + from], [panel.thickness, depthRoom, to - from]),
        1,
        2,
      );
      joinLeg(kit, 'rail end', name, leg);
      joinLeg(kit, 'rail end', name, nth(legs, 2 * k + 1));
      nth(sides, k).push(name);
    });
    const name = `A${at + 1}`;
    kit.board(
      { tag: name, role: 'apron', name: 'back', material: SIDE_STOCK, squared: bands > 1 },
      boxAt([x0, backY, low + from], [between, rail.thickness, to - from]),
      0,
      2,
    );
    joinLeg(kit, 'rail end', name, legs[1]);
    joinLeg(kit, 'rail end', name, legs[3]);
  }
  return sides;
}

/** A pair of supports and a drawer for each opening. Tags of the supports. */
function drawers(
  kit: Kit,
  choices: Chosen,
  legs: Legs,
  openings: readonly Length[],
  { rail, foot, front, depthRoom, railY, backY }: Sizes,
  { sizes, side, cover }: DrawerFit,
): readonly (readonly string[])[] {
  const [x0, x1] = [legs[0].box.max[0], legs[2].box.min[0]];
  // Supports level with the legs' inner faces: the slides are screwed to them.
  const support = kit.sizes.dressed('1x3');
  const all: string[][] = [];
  openings.forEach((z, at) => {
    const zs = z - rail.width + Math.round((choices.opening + rail.width - support.width) / 2) + rail.width / 2;
    const supports = ([0, 2] as const).map((k) => {
      const name = `C${2 * at + k / 2 + 1}`;
      const leg = legs[k];
      const x = k === 0 ? x0 - support.thickness : x1;
      kit.board(
        { tag: name, role: 'support', name: 'drawer support', material: '1x3' },
        boxAt([x, leg.box.max[1], Math.round(zs)], [support.thickness, depthRoom, support.width]),
        1,
        2,
      );
      joinLeg(kit, 'rail end', name, leg);
      joinLeg(kit, 'rail end', name, nth(legs, k + 1));
      return name;
    }) as [string, string];
    all.push(supports);
    const height = sizes.front.height;
    drawer(kit, sizes, {
      number: at + 1,
      opening: { min: [x0, railY, z], max: [x1, backY, z + choices.opening] },
      sides: supports,
      stock: choices.box as DrawerStock,
      side,
      shortBack: choices.backs === 'short',
      front: {
        material:
          height <= kit.sizes.dressed('1x6').width ? '1x6' : height <= kit.sizes.dressed('1x8').width ? '1x8' : '1x12',
        box: boxAt([x0 + choices.reveal, foot.y, z - cover.height], [sizes.front.width, front, height]),
      },
    });
  });
  return all;
}

function assemble(
  kit: Kit,
  legs: Legs,
  sides: readonly (readonly string[])[],
  all: readonly (readonly string[])[],
  shortBacks: boolean,
): void {
  const hollow = (k: number) => (nth(legs, k).tags.length > 1 ? [`leg-L${k + 1}`] : []);
  const loose = (k: number) => (nth(legs, k).tags.length > 1 ? [] : nth(legs, k).tags);
  [0, 1].forEach((side) =>
    kit.assemble(
      `end-${side + 1}`,
      say`Join the ${side === 0 ? 'left' : 'right'} side`,
      [
        ...loose(2 * side),
        ...loose(2 * side + 1),
        ...nth(sides, side),
        ...all.map((pair) => nth(pair, side)),
        ...kit.tags().filter((name) => name === `S${side + 1}`),
      ],
      [...hollow(2 * side), ...hollow(2 * side + 1)],
      [
        say`The drawer supports lie level with the inner faces of the legs, square to the front: the slides follow them.`,
      ],
    ),
  );
  const rails = kit.tags().filter((name) => /^([ARZ]\d+|S3)$/.test(name));
  kit.assemble('base', say`Join the sides with the front rails and the back`, rails, ['end-1', 'end-2']);
  const shelf = kit.tags().filter((name) => /^H\d+$/.test(name));
  if (shelf.length > 0) kit.assemble('shelf', say`Lay the shelf`, shelf, ['base'], betweenSlats(kit, shelf));
  assembleDrawers(
    kit,
    all.map((_, at) => at + 1),
    shelf.length > 0 ? 'shelf' : 'base',
    shortBacks,
  );
}

/** Four legs, panels on three sides, a face frame of rails in front, and drawers with applied fronts. */
export const endTable = family({
  id: 'end-table',
  name: 'End table with drawers',
  about: 'A small table with one to four drawers behind applied fronts.',
  topped: true,
  refuses: (top) =>
    top.deck !== 'rectangle' ? 'Drawers want a straight front: a round or octagonal top hides nothing of it.' : null,
  choices: CHOICES,
  build(room, choices) {
    const kit = kitFor(room);
    const sizes = sizesOf(kit, room, choices);
    if (!checkHeight(kit, room, sizes.deep, 'bank of drawers')) return kit.built();
    checkLegs(kit, room, choices, sizes);
    checkShelf(kit, choices, room.under - sizes.deep);
    if (kit.stopped()) return kit.built();
    const fit = drawerFor(kit, room, choices, sizes);
    if (!fit) return kit.built();
    const legs = placeLegs(kit, sizes.foot, room.under, sizes.section, choices);
    const openings = faceFrame(kit, room, choices, legs, sizes);
    const sides = sidesAndBack(kit, room, legs, sizes);
    const supports = drawers(kit, choices, legs, openings, sizes, fit);
    if (choices.below !== 'none')
      shelfBelow(kit, legs, { kind: choices.below, at: choices.shelfHeight, units: room.units, long: 'Z', thin: true });
    if (kit.stopped()) return kit.built();
    assemble(kit, legs, sides, supports, choices.backs === 'short');
    return kit.built(['R1', ...first(sides), ...nth(sides, 1)]);
  },
});
