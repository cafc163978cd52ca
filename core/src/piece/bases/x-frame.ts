import { inches, type Length } from '../../length';
import { degrees, radians } from '../../solid';
import type { Nominal } from '../../stock';
import { dim, say } from '../../words';
import { pick, yes } from '../choice';
import { levelling } from '../feet';
import { family, type Room } from '../family';
import { boxAt, kitFor, level, type Kit } from '../kit';
import { boxOf } from '../shape';
import { checkBetween, footprint, overhangs, topFixing } from './common';

/**
 * Angle from the floor of a leg `width` wide whose outer points stand `spread` apart at the floor and, the other way
 * round, at `height`: spread sin t - height cos t = width, so t = atan2(height, spread) + asin(width / hypot).
 */
export const crossAngle = (height: Length, spread: Length, width: Length): number =>
  degrees(Math.atan2(height, spread) + Math.asin(width / Math.hypot(height, spread)));

const LEGS = { '2x4': '2×4', '2x6': '2×6', '4x4': '4×4' } as const;
const CLEAT: Nominal = '2x4';

/** Whether legs at an angle can be lapped and stand firm; says so where they can not. */
function checkAngle(kit: Kit, room: Room, angle: number, rise: Length, spread: Length): boolean {
  if (angle <= 75 && angle >= 25) return true;
  const width = Math.ceil((angle > 75 ? rise / 1.5 : rise * 1.4) / inches(1)) * inches(1) + room.width - spread;
  kit.stop(
    'x-angle',
    angle > 75 ? say`The legs stand nearly upright` : say`The legs lie nearly flat`,
    say`From a spread of ${dim(spread)} to a height of ${dim(rise)} they stand at ${Math.round(angle)} degrees. 25 to 75 can be lapped and stand firm.`,
    { angle },
    [
      { label: say`Make it ${dim(width)} wide`, changes: [kit.change(['size', 'width'], width)] },
      {
        label: say`Take four legs instead`,
        changes: [kit.change(['family'], 'aprons'), kit.change(['choices'], {})],
      },
    ],
  );
  return false;
}

type Foot = { readonly y: Length; readonly width: Length };
type Legs = { readonly y0: number; readonly y1: number; readonly rise: Length; readonly stock: keyof typeof LEGS };

/** X frame `n` at `x`: its two legs from `y0` to `y1` and back, lapped where they cross, and the cleat on them. */
function crossed(kit: Kit, n: number, x: Length, { y0, y1, rise, stock }: Legs, foot: Foot) {
  const { width, thickness } = kit.sizes.dressed(stock);
  const cleat = kit.sizes.dressed(CLEAT);
  const middle = x + thickness / 2;
  const legs = [`L${2 * n - 1}`, `L${2 * n}`] as const;
  const leg = (tag: string, from: number, to: number) =>
    kit.member(
      { tag, role: 'leg', name: 'crossed leg', material: stock },
      {
        from: [middle, from, 0],
        to: [middle, to, rise],
        across: [0, 1, 0],
        width,
        thickness,
        ends: [level(0), level(rise)],
      },
    );
  leg(legs[0], y0, y1);
  leg(legs[1], y1, y0);
  kit.lap(legs[0], legs[1], [1, 0, 0]);
  kit.join('lap', legs[0], legs[1]);
  kit.board(
    { tag: `K${n}`, role: 'apron', name: 'cleat', material: CLEAT },
    boxAt([Math.round(middle - cleat.thickness / 2), foot.y, rise], [cleat.thickness, foot.width, cleat.width]),
    1,
    2,
  );
  for (const tag of legs) kit.join('screws', `K${n}`, tag);
}

/** The stretcher between the crossings, and the spine under the top where there is one. */
function between(kit: Kit, foot: Foot, rise: Length, spine: boolean) {
  const stretcher = kit.sizes.dressed('2x4');
  const y = Math.round(foot.y + foot.width / 2 - stretcher.thickness / 2);
  // At the crossing the inner face is the upper leg's on the left, the lower one's on the right.
  const rails: readonly (readonly [string, string, Length, readonly string[], readonly string[]])[] = [
    ['S1', 'stretcher', Math.round(rise / 2 - stretcher.width / 2), ['L2'], ['L3']],
    ...(spine ? [['N1', 'spine', rise, ['K1'], ['K2']] as const] : []),
  ];
  for (const [tag, name, z, left, right] of rails) {
    const from = Math.max(...left.map((other) => boxOf(kit.get(other)).max[0]));
    const to = Math.min(...right.map((other) => boxOf(kit.get(other)).min[0]));
    kit.board(
      {
        tag,
        role: tag === 'S1' ? 'stretcher' : 'support',
        name,
        material: '2x4',
        fit: say`the gap between the frames`,
        dependsOn: [...left, ...right],
      },
      boxAt([from, y, z], [to - from, stretcher.thickness, stretcher.width]),
      0,
      2,
    );
    for (const other of [...left, ...right]) kit.join('rail end', tag, other);
  }
}

/** Two X frames, half-lapped where their legs cross, with a cleat on each and a stretcher between the crossings. */
export const xFrame = family({
  id: 'x-frame',
  name: 'X frame',
  about: 'Crossed legs at each end, half-lapped: one angle, one lap, one stretcher.',
  topped: true,
  refuses: (_top, { length, width }) =>
    length < 1.1 * width ? 'Two X frames want a top longer than it is wide.' : null,
  choices: {
    legs: pick('Legs', LEGS, '2x4'),
    spine: yes('Second stretcher under the top', true, {
      firms: true,
      help: 'A second stretcher keeps the two frames upright.',
    }),
    overhangEnds: overhangs.overhangEnds,
    overhangSides: overhangs.overhangSides,
    ...topFixing,
    ...levelling,
  },
  build(room, choices) {
    const kit = kitFor(room);
    const leg = kit.sizes.dressed(choices.legs);
    const cleat = kit.sizes.dressed(CLEAT);
    const foot = footprint(room, choices);
    const rise = room.under - cleat.width;
    const least = inches(8);
    if (rise < least) {
      const height = room.height + (least - rise);
      kit.stop(
        'x-low',
        say`Too low to cross its legs`,
        say`Under the cleats ${dim(Math.max(0, rise))} is left; legs cannot cross in less than ${dim(least)}.`,
        { rise, least },
        [{ label: say`Make it ${dim(height)} high`, changes: [kit.change(['size', 'height'], height)] }],
      );
      return kit.built();
    }
    checkBetween(kit, room, 'length', foot.length - 2 * leg.thickness, choices.overhangEnds, leg.thickness, inches(12));
    checkBetween(kit, room, 'width', foot.width, choices.overhangSides, 0, inches(12));
    if (kit.stopped()) return kit.built();
    const angle = crossAngle(rise, foot.width, leg.width);
    if (!checkAngle(kit, room, angle, rise, foot.width)) return kit.built();
    const reach = leg.width / 2 / Math.sin(radians(angle));
    const [y0, y1] = [foot.y + reach, foot.y + foot.width - reach];
    const frames = [foot.x, foot.x + foot.length - leg.thickness];
    frames.forEach((x, at) => crossed(kit, at + 1, x, { y0, y1, rise, stock: choices.legs }, foot));
    between(kit, foot, rise, choices.spine);
    [1, 2].forEach((n) =>
      kit.assemble(
        `frame-${n}`,
        say`Lap and join X frame ${n}`,
        [`L${2 * n - 1}`, `L${2 * n}`, `K${n}`],
        [],
        [say`The frame stands ${dim(foot.width)} wide at floor and cleat: measure both.`],
      ),
    );
    kit.assemble(
      'base',
      say`Join the frames with the stretcher`,
      ['S1', ...(choices.spine ? ['N1'] : [])],
      ['frame-1', 'frame-2'],
    );
    return kit.built(['K1', 'K2', ...(choices.spine ? ['N1'] : [])]);
  },
});
