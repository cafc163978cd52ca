import { first, nth } from '../../lists';
import { inches, type Length } from '../../length';
import { planeAt, type Vec } from '../../solid';
import type { Nominal } from '../../stock';
import { dim, listOf, say, tag } from '../../words';
import { count, measure, pick, yes, type Choices } from '../choice';
import { levelling } from '../feet';
import { family, type Room } from '../family';
import { UP, type Kit, kitFor } from '../kit';
import type { Box } from '../geometry';
import { boxOf } from '../shape';
import {
  betweenSlats,
  checkBetween,
  checkHeight,
  checkSupports,
  crossSupports,
  footprint,
  LEAST_RAIL,
  overhangs,
  RAIL_STOCK,
  railsBetween,
  rippedTo,
  topFixing,
} from './common';
import { braceChoices, braced, bracedIn } from './braces';
import { checkShelf, shelfBelow, shelfChoices } from './shelf-below';
import {
  checkApron,
  checkBoughtLeg,
  checkTaper,
  joinLeg,
  legChoices,
  legSection,
  placeLegs,
  taperable,
  taperLegs,
  type Leg,
  type LegSection,
} from './legs';

/** A shelf under a table: on rails of their own tag. */
const APRON_SHELF = { long: 'R', thin: false } as const;

const butted = (choices: Choices) => choices.corners !== 'mitred';

/** Crossed braces stand outside the legs, on flat faces. */
const bracing = (choices: Choices) => butted(choices) && choices.legs !== 'bought';

/** Whether the aprons are those of an old piece. */
const keeps = (choices: Choices) => choices.kept === 'aprons' && butted(choices);
const isNew = (choices: Choices) => !keeps(choices);
/** An apron lower or thinner than this holds no legs, in. */
const LEAST_KEPT = { deep: inches(2), thick: inches(1 / 2) } as const;

/** What is kept of an old piece: its aprons, at the size they have once their old joints are cut off. */
const keptChoices = {
  kept: pick('Aprons are', { none: 'new', aprons: 'kept from an old piece' }, 'none', {
    help: 'An old table made new: its aprons, measured, on new legs. Its top is A top that is there, under Change top.',
    when: butted,
  }),
  keptLong: measure('Long aprons, between their ends', inches(40), inches(6), inches(120), { when: keeps }),
  keptEnds: measure('End aprons, between their ends', inches(20), inches(6), inches(60), { when: keeps }),
  keptDeep: measure('Old aprons, height', inches(3.5), LEAST_KEPT.deep, inches(8), { when: keeps }),
  keptThick: measure('Old aprons, thickness', inches(3 / 4), LEAST_KEPT.thick, inches(2), { when: keeps }),
};

export const apronChoices = {
  ...legChoices,
  taper: yes('Tapered legs', false, {
    help: 'The two inner faces run thinner to the foot: lighter to look at, as strong where the apron joins.',
    when: (choices) => taperable(choices) && choices.below === 'none',
  }),
  taperTo: measure('Foot of a tapered leg', inches(1.5), inches(3 / 4), inches(3), {
    when: (choices) => choices.taper === true && taperable(choices) && choices.below === 'none',
  }),
  ...keptChoices,
  apron: pick('Aprons', RAIL_STOCK, '2x4', { firms: true, when: isNew }),
  apronRip: measure('Aprons ripped to', 0, 0, inches(5.5), {
    when: isNew,
    help: 'Their width; 0 as they are sold. Ripped to a stated width their rounded edges are gone and more room is left for knees.',
  }),
  corners: pick('Apron corners', { butted: 'between the legs', mitred: 'mitred round the legs' }, 'butted', {
    help: 'Between the legs is the stronger and the easier way. Mitred round the legs shows one band of wood with no leg in it.',
  }),
  overhangEnds: { ...overhangs.overhangEnds, when: isNew },
  overhangSides: { ...overhangs.overhangSides, when: isNew },
  setback: measure('Apron set back', inches(0.5), 0, inches(6), { when: butted }),
  crossSupports: count('Cross supports', 2, 0, 12),
  cornerBlocks: yes('Corner blocks', false, {
    help: 'A block across each corner stops the legs from racking.',
    when: butted,
  }),
  ...shelfChoices,
  below: { ...shelfChoices.below, when: butted },
  braces: { ...braceChoices.braces, when: bracing },
  ...topFixing,
  ...levelling,
};

/** Aprons that run outside the legs and meet in mitres; the legs stand in their corners. */
function mitredAprons(
  kit: Kit,
  legs: readonly [Leg, Leg, Leg, Leg],
  nominal: Nominal,
  width: Length,
  under: Length,
): void {
  const { thickness } = kit.sizes.dressed(nominal);
  const [x0, x1] = [legs[0].box.min[0] - thickness, legs[2].box.max[0] + thickness];
  const [y0, y1] = [legs[0].box.min[1] - thickness, legs[1].box.max[1] + thickness];
  const half = thickness / 2;
  const z = under - width / 2;
  const sides = [
    ['A1', 'long apron', [x0, y0 + half, z], [x1, y0 + half, z]],
    ['A2', 'long apron', [x1, y1 - half, z], [x0, y1 - half, z]],
    ['E1', 'end apron', [x0 + half, y1, z], [x0 + half, y0, z]],
    ['E2', 'end apron', [x1 - half, y0, z], [x1 - half, y1, z]],
  ] as const;
  const middle: Vec = [(x0 + x1) / 2, (y0 + y1) / 2, z];
  // The mitre at a corner is the upright plane through it, halfway between the two sides.
  const mitre = (corner: Vec) => {
    const [sx, sy] = [Math.sign(corner[0] - middle[0]), Math.sign(corner[1] - middle[1])];
    return planeAt([sx < 0 ? x0 : x1, sy < 0 ? y0 : y1, z], [Math.SQRT1_2 * sx, -Math.SQRT1_2 * sy, 0]);
  };
  for (const [name, label, from, to] of sides)
    kit.member(
      { tag: name, role: 'apron', name: label, material: nominal },
      { from, to, across: UP, width, thickness, ends: [mitre(from), mitre(to)] },
    );
  for (const end of ['E1', 'E2']) for (const long of ['A1', 'A2']) kit.join('glue', end, long);
  const touch = [
    ['A1', 0],
    ['A1', 2],
    ['A2', 1],
    ['A2', 3],
    ['E1', 0],
    ['E1', 1],
    ['E2', 2],
    ['E2', 3],
  ] as const;
  for (const [name, leg] of touch) joinLeg(kit, 'screws', name, nth(legs, leg));
}

type KeptSizes = { readonly keptLong: Length; readonly keptEnds: Length };

/** How far the top overhangs legs at both ends of kept aprons. Says so where it is too small for them. */
function keptOverhang(kit: Kit, room: Room, { keptLong, keptEnds }: KeptSizes, section: LegSection) {
  const over = (side: 'length' | 'width', apron: Length, leg: Length): Length => {
    const [whole, least] = [room.inside[side], apron + 2 * leg];
    if (whole >= least) return Math.round((whole - least) / 2);
    const [size, shorter] = [room[side] + least - whole, Math.max(LEAST_RAIL, apron - (least - whole))];
    kit.stop(
      `kept-${side}`,
      say`The top is too small for these aprons`,
      say`With a leg at both ends they are ${dim(least)}; the top has ${dim(whole)} for them.`,
      { least, whole },
      [
        {
          label: say`Make it ${dim(size)} ${side === 'length' ? 'long' : 'wide'}`,
          changes: [kit.change(['size', side], size)],
        },
        {
          label: say`Cut the old aprons to ${dim(shorter)}`,
          changes: [kit.change(['choices', side === 'length' ? 'keptLong' : 'keptEnds'], shorter)],
        },
      ],
    );
    return 0;
  };
  return {
    overhangEnds: over('length', keptLong, section.along),
    overhangSides: over('width', keptEnds, section.across),
  };
}

/** Says so once where blocks in both corners of a rail would meet. */
function tooTight(kit: Kit, clear: Length): void {
  if (kit.stopped()) return;
  kit.stop(
    'blocks-meet',
    say`There is no room for corner blocks`,
    say`Between the rails there is only ${dim(clear)}: blocks from both corners would run into each other.`,
    { clear },
    [{ label: say`Leave them out`, changes: [kit.change(['choices', 'cornerBlocks'], false)] }],
  );
}

/** Says so once where a block would run into a cross support. */
function meetsSupport(kit: Kit, support: string, reach: Length): void {
  if (kit.stopped()) return;
  kit.stop(
    'block-meets-support',
    say`A corner block runs into a cross support`,
    say`It reaches ${dim(reach)} out of its corner, and ${tag(support)} stands nearer than that.`,
    { reach },
    [
      { label: say`Leave the blocks out`, changes: [kit.change(['choices', 'cornerBlocks'], false)] },
      { label: say`No cross supports`, changes: [kit.change(['choices', 'crossSupports'], 0)] },
    ],
  );
}

/** A block across each corner, long ends against the aprons' inner faces, just clear of the leg. */
function cornerBlocks(kit: Kit, legs: readonly [Leg, Leg, Leg, Leg], under: Length, supports: readonly string[]): void {
  const stock = kit.sizes.dressed('2x3');
  const pairs = [
    ['A1', 'E1', 1, 1],
    ['A2', 'E1', 1, -1],
    ['A1', 'E2', -1, 1],
    ['A2', 'E2', -1, -1],
  ] as const;
  pairs.forEach(([long, end, sx, sy], at) => {
    const [a, e] = [boxOf(kit.get(long)), boxOf(kit.get(end))];
    const leg = nth(legs, at).box;
    const y = sy > 0 ? a.max[1] : a.min[1];
    const x = sx > 0 ? e.max[0] : e.min[0];
    const corner = [sx > 0 ? leg.max[0] : leg.min[0], sy > 0 ? leg.max[1] : leg.min[1]] as const;
    // Far enough in that the block's outer face passes the leg's inner corner.
    const reach = sx * (corner[0] - x) + sy * (corner[1] - y) + inches(1 / 8);
    const off = stock.thickness * Math.SQRT2;
    const run = Math.max(reach, inches(1)) + off / 2;
    const clear = Math.min(
      boxOf(kit.get('A2')).min[1] - boxOf(kit.get('A1')).max[1],
      boxOf(kit.get('E2')).min[0] - boxOf(kit.get('E1')).max[0],
    );
    if (2 * run + off > clear) return void tooTight(kit, clear);
    const far = x + sx * (run + off / 2);
    const inWay = supports.find((name) =>
      sx > 0 ? boxOf(kit.get(name)).min[0] < far : boxOf(kit.get(name)).max[0] > far,
    );
    if (inWay) return void meetsSupport(kit, inWay, Math.round(run + off / 2));
    const z = under - stock.width / 2;
    const from: Vec = [x, y + sy * run, z];
    const to: Vec = [x + sx * run, y, z];
    kit.member(
      { tag: `J${at + 1}`, role: 'support', name: 'corner block', material: '2x3' },
      {
        from,
        to,
        across: UP,
        width: stock.width,
        thickness: stock.thickness,
        ends: [planeAt(from, [1, 0, 0]), planeAt(to, [0, 1, 0])],
      },
    );
    kit.join('screws', `J${at + 1}`, long);
    kit.join('screws', `J${at + 1}`, end);
  });
}

/** Crossed braces end so far below an apron: nobody sees where they are not quite level with it. */
const BELOW_APRON: Length = inches(1 / 4);

type Footprint = ReturnType<typeof footprint>;
/** Where the legs stand inside of what is around them: aprons outside of them, braces at the back and at the ends. */
const withinOutside = (
  { x, y, length, width }: Footprint,
  around: Length,
  braces: { readonly back: Length; readonly ends: Length },
): Footprint => ({
  x: x + around + braces.ends,
  y: y + around,
  length: length - 2 * (around + braces.ends),
  width: width - 2 * around - braces.back,
});

/** Four legs and aprons: two long and two end aprons level with the leg tops, cross supports between the long ones. */
export const aprons = family({
  id: 'aprons',
  name: 'Four legs and aprons',
  about: 'The plain strong table: four legs joined by a rail on each side.',
  topped: true,
  choices: apronChoices,
  build(room, choices) {
    const kit = kitFor(room);
    const mitred = choices.corners === 'mitred';
    const kept = keeps(choices);
    const apron = kept
      ? { width: choices.keptDeep, thickness: choices.keptThick }
      : rippedTo(kit.sizes.dressed(choices.apron as Nominal), choices.apronRip);
    if (!checkHeight(kit, room, apron.width, 'apron')) return kit.built();
    checkBoughtLeg(kit, room, choices);
    const section = legSection(choices, room.sizes);
    const overhang = kept ? keptOverhang(kit, room, choices, section) : choices;
    const braces = { braces: bracing(choices) ? choices.braces : 'none' };
    const foot = withinOutside(footprint(room, overhang), mitred ? apron.thickness : 0, bracedIn(kit, braces));
    const [longRoom, endRoom] = [foot.length - 2 * section.along, foot.width - 2 * section.across];
    checkBetween(kit, room, 'length', longRoom, overhang.overhangEnds, section.along);
    checkBetween(kit, room, 'width', endRoom, overhang.overhangSides, section.across);
    const deepest = Math.min(section.along, section.across) - apron.thickness;
    if (!mitred && choices.setback > deepest && deepest >= 0)
      kit.stop(
        'setback-past-leg',
        say`The apron is set back past its leg`,
        say`Set back ${dim(choices.setback)}, a ${dim(apron.thickness)} apron leaves its leg. At most ${dim(deepest)} fits.`,
        { setback: choices.setback, deepest },
        [{ label: say`Set back ${dim(deepest)}`, changes: [kit.change(['choices', 'setback'], deepest)] }],
      );
    checkApron(kit, section, apron.thickness);
    checkSupports(kit, longRoom, apron.thickness, choices.crossSupports);
    if (!mitred) checkShelf(kit, choices, room.under - apron.width);
    const from = room.under - apron.width;
    const tapered = choices.taper && taperable(choices) && (mitred || choices.below === 'none');
    if (tapered) checkTaper(kit, section, from, choices.taperTo);
    if (kit.stopped()) return kit.built();

    const legs = placeLegs(kit, foot, room.under, section, choices);
    if (tapered) taperLegs(kit, legs, section, from, choices.taperTo);
    if (mitred) mitredAprons(kit, legs, choices.apron as Nominal, apron.width, room.under);
    else
      railsBetween(kit, legs, {
        long: 'A',
        end: 'E',
        longName: kept ? 'old long apron' : 'long apron',
        endName: kept ? 'old end apron' : 'end apron',
        role: 'apron',
        nominal: choices.apron as Nominal,
        from,
        setback: choices.setback,
        ...apron,
        kept,
      });
    // Mitred aprons run past the legs, which stand between them.
    const within = [legs[0].box.max[0], legs[2].box.min[0]] as const;
    const supports = crossSupports(
      kit,
      room,
      ['A1', 'A2'],
      choices.crossSupports,
      choices.apron as Nominal,
      within,
      Math.min(apron.width, kit.sizes.dressed(choices.apron as Nominal).width),
    );
    if (choices.cornerBlocks && !mitred) cornerBlocks(kit, legs, room.under, supports);
    const below = mitred ? 'none' : choices.below;
    if (below !== 'none')
      shelfBelow(kit, legs, { kind: below, at: choices.shelfHeight, units: room.units, ...APRON_SHELF });
    const frame = assembleFrame(kit, legs, { mitred, below, supports, blocks: choices.cornerBlocks && !mitred });
    braced(kit, legs, braces, frame, from - BELOW_APRON);
    return kit.built(['A1', 'A2', 'E1', 'E2', ...supports]);
  },
});

type ApronFrame = {
  readonly mitred: boolean;
  readonly below: string;
  readonly supports: readonly string[];
  readonly blocks: boolean;
};

/**
 * Two end frames, then the long rails between them, then what stiffens them, then the shelf. The assembly in which all
 * of it stands.
 */
export function assembleFrame(kit: Kit, legs: readonly [Leg, Leg, Leg, Leg], frame: ApronFrame): string {
  const hollow = (leg: Leg) => (leg.tags.length > 1 ? [`leg-${leg.tag}`] : []);
  const loose = (leg: Leg) => (leg.tags.length > 1 ? [] : leg.tags);
  if (frame.mitred) {
    kit.assemble(
      'apron-frame',
      say`Glue up the apron frame`,
      ['A1', 'A2', 'E1', 'E2', ...frame.supports],
      [],
      [say`Lay the four aprons end to end, outside up, tape over the mitres, turn them over, glue and fold them shut.`],
    );
    kit.assemble('base', say`Fix the legs in the corners`, legs.flatMap(loose), [
      'apron-frame',
      ...legs.flatMap(hollow),
    ]);
    return 'base';
  }
  const ends = frame.below === 'none' ? ['E1', 'E2'] : ['E1', 'E2', 'S1', 'S2'];
  [0, 1].forEach((side) => {
    const pair = [nth(legs, 2 * side), nth(legs, 2 * side + 1)];
    const rails = ends.filter((name) => name.endsWith(String(side + 1)) && kit.tags().includes(name));
    const outside = (box: Box) => (side === 0 ? box.min[0] : -box.max[0]);
    const back = new Map<Length, readonly string[]>();
    for (const name of rails) {
      const off = outside(boxOf(kit.get(name))) - outside(first(pair).box);
      back.set(off, [...(back.get(off) ?? []), name]);
    }
    const flush = back.get(0);
    kit.assemble(
      `end-${side + 1}`,
      say`Join the ${side === 0 ? 'left' : 'right'} end frame`,
      [...pair.flatMap(loose), ...rails],
      pair.flatMap(hollow),
      [
        say`Lay both legs on a flat bench, the outside of the frame down.`,
        ...(flush ? [say`${listOf(flush.map(tag))} flush with the legs: press all flat on the bench.`] : []),
      ],
      [...back].filter(([off]) => off > 0).map(([off, under]) => ({ thickness: off, count: 2 * under.length, under })),
    );
  });
  const shelfRails = frame.below === 'stretchers' ? ['S3'] : frame.below === 'none' ? [] : ['R1', 'R2'];
  kit.assemble('base', say`Join the end frames with the long aprons`, ['A1', 'A2', ...shelfRails], ['end-1', 'end-2']);
  const inside = [...frame.supports, ...(frame.blocks ? ['J1', 'J2', 'J3', 'J4'] : [])];
  if (inside.length > 0)
    kit.assemble('stiff', say`Put in the cross supports${frame.blocks ? ' and corner blocks' : ''}`, inside, ['base']);
  const stiff = inside.length > 0 ? 'stiff' : 'base';
  const shelf = kit.tags().filter((name) => /^H\d+$/.test(name));
  if (shelf.length === 0) return stiff;
  kit.assemble('shelf', say`Lay the shelf`, shelf, [stiff], betweenSlats(kit, shelf));
  return 'shelf';
}
