import { inches, tapeStep, type Length } from '../../length';
import type { Remedy } from '../../job';
import type { Nominal } from '../../stock';
import { dim, say, tag } from '../../words';
import { measure, pick } from '../choice';
import { boxAt, spread, type Kit } from '../kit';
import type { Room } from '../family';
import type { Box } from '../geometry';
import type { Hint } from '../part';
import { boxOf } from '../shape';
import { joinLeg, type Leg } from './legs';

/** The least room between two legs that leaves a rail worth cutting. */
export const LEAST_RAIL: Length = inches(4);

export const overhangs = {
  overhangEnds: measure('Overhang, ends', inches(3), 0, inches(40)),
  overhangSides: measure('Overhang, sides', inches(2), 0, inches(30)),
};
export const topFixing = {
  fixing: pick('Top on base', { clips: 'clips, free to move', screwed: 'screwed fast' }, 'clips', {
    help: 'A wide top of boards moves with the seasons: clips let it. Sheets hardly move and may be screwed fast.',
  }),
};

export const RAIL_STOCK = {
  '1x3': '1×3',
  '1x4': '1×4',
  '1x6': '1×6',
  '2x3': '2×3',
  '2x4': '2×4',
  '2x6': '2×6',
} as const;

/** A board ripped to a width; as it is where that is nothing, or more than it has. */
export const rippedTo = (
  { width, thickness }: { readonly width: Length; readonly thickness: Length },
  to: Length,
): { readonly width: Length; readonly thickness: Length } => ({
  width: to > 0 ? Math.min(width, Math.max(to, LEAST_RIP)) : width,
  thickness,
});
/** Narrower than this a rail takes no two screws. */
const LEAST_RIP: Length = inches(1.5);

/** Where the legs' outside corners stand under the top. */
export const footprint = (room: Room, choices: { overhangEnds: Length; overhangSides: Length }) => ({
  x: room.inside.x + choices.overhangEnds,
  y: room.inside.y + choices.overhangSides,
  length: room.inside.length - 2 * choices.overhangEnds,
  width: room.inside.width - 2 * choices.overhangSides,
});

/** Says so where the piece is lower than its top, or than what hangs under it. False where it can not be built. */
export function checkHeight(kit: Kit, room: Room, deep: Length, what: string): boolean {
  const least = deep + LEAST_RAIL;
  if (room.under > deep && room.under > 0) return true;
  const height = room.topThickness + least;
  kit.stop(
    room.under <= 0 ? 'lower-than-top' : 'apron-below-floor',
    room.under <= 0 ? say`Lower than its top is thick` : say`The ${what} is deeper than the legs are long`,
    room.under <= 0
      ? say`It is ${dim(room.height)} high and the top alone takes ${dim(room.topThickness)}.`
      : say`Under the top ${dim(room.under)} is left for legs, and the ${what} takes ${dim(deep)}.`,
    { height: room.height, topThickness: room.topThickness, deep },
    [{ label: say`Make it ${dim(height)} high`, changes: [kit.change(['size', 'height'], height)] }],
  );
  return false;
}

/** Says so where legs and overhangs leave too little between them along a side. */
export function checkBetween(
  kit: Kit,
  room: Room,
  side: 'length' | 'width',
  left: Length,
  overhang: Length,
  legSize: Length,
  least = LEAST_RAIL,
): void {
  if (left >= least) return;
  const needed = least - left;
  const path = side === 'length' ? 'overhangEnds' : 'overhangSides';
  // A top that one has is as large as it is.
  const isFound = room.piece.top === 'found';
  const smaller = overhang - Math.ceil(needed / 2);
  const size = room[side] + Math.ceil(needed * (room[side] / room.inside[side]));
  kit.stop(
    `no-room-${side}`,
    side === 'length' ? say`No room between the legs along the table` : say`No room between the legs across the table`,
    say`${legSize > 0 ? say`Two legs of ${dim(legSize)} and two` : 'Two'} overhangs of ${dim(overhang)} leave ${dim(left)} of ${dim(room.inside[side])} between them. It needs ${dim(least)}.`,
    { left, least },
    [
      ...(smaller >= 0
        ? [{ label: say`Overhang ${dim(smaller)} instead`, changes: [kit.change(['choices', path], smaller)] }]
        : []),
      ...(isFound && smaller < 0 ? onThinLegs(kit, room, side, path, least) : []),
      {
        label: say`${isFound ? 'Joined boards instead, ' : 'Make it '}${dim(size)} ${side === 'length' ? 'long' : 'wide'}`,
        changes: [
          ...(isFound ? [kit.change(['top'], 'joined'), kit.change(['topChoices'], {})] : []),
          kit.change(['size', side], size),
        ],
      },
    ],
  );
}

/** Thin legs at the very edge, for a top that is as it is; nothing where even they find no room. */
function onThinLegs(
  kit: Kit,
  room: Room,
  side: 'length' | 'width',
  path: 'overhangEnds' | 'overhangSides',
  least: Length,
): readonly Remedy[] {
  const thin = kit.sizes.dressed('2x2').width;
  if (room.inside[side] - 2 * thin < least || room.piece.family !== 'aprons') return [];
  return [
    {
      label: say`Legs of solid 2×2, no overhang`,
      changes: [kit.change(['choices', 'legs'], '2x2'), kit.change(['choices', path], 0)],
    },
  ];
}

type Rails = {
  /** Tags of the two rails along and the two across, and what they are called. */
  readonly long: string;
  readonly end: string;
  readonly longName: string;
  readonly endName: string;
  readonly role: 'apron' | 'rail' | 'stretcher';
  readonly nominal: Nominal;
  /** Their width and thickness where they are not those of their boards. */
  readonly width?: Length;
  readonly thickness?: Length;
  /** They are those of an old piece. */
  readonly kept?: boolean;
  /** Height of the rails' lower edge. */
  readonly from: Length;
  /** How far their outer faces stand back from the legs' outer faces. */
  readonly setback: Length;
  readonly only?: 'long' | 'end';
  /** Tags are numbered from this up: 1 unless there are several levels of rails. */
  readonly first?: number;
};

/** Rails between four legs: two along (front, back), two across (left, right), pocketed into the legs. */
export function railsBetween(kit: Kit, legs: readonly [Leg, Leg, Leg, Leg], rails: Rails): void {
  const board = kit.sizes.dressed(rails.nominal);
  const { width = board.width, thickness = board.thickness, kept = false } = rails;
  const [frontLeft, backLeft, frontRight, backRight] = legs;
  const first = rails.first ?? 1;
  const [x0, x1] = [frontLeft.box.max[0], frontRight.box.min[0]];
  const [y0, y1] = [frontLeft.box.max[1], backLeft.box.min[1]];
  const spec = (tagOf: string, name: string) => ({ tag: tagOf, role: rails.role, name, material: rails.nominal, kept });
  const yFront = frontLeft.box.min[1] + rails.setback;
  const yBack = backLeft.box.max[1] - rails.setback - thickness;
  const xLeft = frontLeft.box.min[0] + rails.setback;
  const xRight = frontRight.box.max[0] - rails.setback - thickness;
  if (rails.only !== 'end')
    [yFront, yBack].forEach((y, at) => {
      const name = `${rails.long}${first + at}`;
      const [left, right] = at === 0 ? [frontLeft, frontRight] : [backLeft, backRight];
      kit.board(spec(name, rails.longName), boxAt([x0, y, rails.from], [x1 - x0, thickness, width]), 0, 2);
      joinLeg(kit, 'rail end', name, left);
      joinLeg(kit, 'rail end', name, right);
    });
  if (rails.only !== 'long')
    [xLeft, xRight].forEach((x, at) => {
      const name = `${rails.end}${first + at}`;
      const [front, back] = at === 0 ? [frontLeft, backLeft] : [frontRight, backRight];
      kit.board(spec(name, rails.endName), boxAt([x, y0, rails.from], [thickness, y1 - y0, width]), 1, 2);
      joinLeg(kit, 'rail end', name, front);
      joinLeg(kit, 'rail end', name, back);
    });
}

/** What sets the gaps of a shelf of slats, told once; nothing of a shelf in one. */
export function betweenSlats(kit: Kit, slats: readonly string[]): readonly Hint[] {
  const [first, second] = slats.map((name) => boxOf(kit.get(name)));
  const gap = first && second ? second.min[0] - first.max[0] : 0;
  const says = say`A spacer ${dim(gap)} thick sets the gaps between the slats.`;
  return gap > 0 ? [{ says, atHand: [say`spacer ${dim(gap)}`] }] : [];
}

/** Says so where so many cross supports leave gaps too small to drive a screw in. */
export function checkSupports(kit: Kit, between: Length, thickness: Length, count: number): void {
  const most = Math.max(0, Math.floor((between - LEAST_RAIL) / (thickness + LEAST_RAIL)));
  if (between < LEAST_RAIL || count <= most) return;
  kit.stop(
    'too-many-supports',
    say`${count} cross supports do not fit`,
    say`Between the legs there is ${dim(between)}; ${count + 1} gaps would be under ${dim(LEAST_RAIL)} each.`,
    { longRoom: between, most },
    [{ label: say`Use ${most}`, changes: [kit.change(['choices', 'crossSupports'], most)] }],
  );
}

/** A pole goes past what stands beside its hole. */
const BESIDE_POLE: Length = inches(1 / 8);

/**
 * Beside the hole of a parasol, where it would go through a cross support and part it: so far that a batten of the top
 * that lies on the support is clear of it too.
 */
function clearOfPole({ length, units, piece, sizes }: Room, x: Length, thickness: Length): Length {
  const { hole } = piece.topChoices;
  if (typeof hole !== 'number' || hole === 0) return x;
  const least = hole / 2 + BESIDE_POLE + Math.max(thickness, sizes.dressed('1x4').width) / 2;
  if (Math.abs(x + thickness / 2 - length / 2) >= least) return x;
  const step = tapeStep(units);
  return Math.ceil((length / 2 + least - thickness / 2) / step) * step;
}

/**
 * Cross supports between the two long rails, spread evenly, upper edges level with theirs.
 *
 * @param within from where to where along them; all along where nothing else stands between the two.
 * @param ripped their width where they are narrower than their boards.
 */
export function crossSupports(
  kit: Kit,
  room: Room,
  rails: readonly [string, string],
  count: number,
  nominal: Nominal,
  within: readonly [Length, Length] | null = null,
  ripped: Length | null = null,
): readonly string[] {
  const [front, back] = rails.map((name) => boxOf(kit.get(name))) as [Box, Box];
  const { thickness, ...board } = kit.sizes.dressed(nominal);
  const width = ripped ?? board.width;
  const start = front.max[1];
  const between = back.min[1] - start;
  const [[x0, x1], top] = [within ?? [front.min[0], front.max[0]], front.max[2]];
  return spread(x0, x1, thickness, count, tapeStep(room.units)).map((place, at) => {
    const x = clearOfPole(room, place, thickness);
    const name = `C${at + 1}`;
    const fit = say`the gap between ${tag(rails[0])} and ${tag(rails[1])} at this place`;
    kit.board(
      { tag: name, role: 'support', name: 'cross support', material: nominal, fit, dependsOn: rails },
      boxAt([x, start, top - width], [thickness, between, width]),
      1,
      2,
    );
    kit.join('rail end', name, rails[0]);
    kit.join('rail end', name, rails[1]);
    return name;
  });
}
