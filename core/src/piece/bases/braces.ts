import { inches, type Length } from '../../length';
import { degrees, planeAt, radians, type Vec } from '../../solid';
import type { Nominal } from '../../stock';
import { say } from '../../words';
import { pick, type Choices } from '../choice';
import { around } from '../geometry';
import type { Kit } from '../kit';
import type { Leg } from './legs';

/** Crossed braces outside a frame of four posts. */
export const braceChoices = {
  braces: pick(
    'Crossed braces',
    { none: 'none', back: 'at the back', ends: 'at both ends', all: 'at the back and both ends' },
    'none',
    {
      firms: true,
      help: 'Two boards lapped where they cross and screwed to the posts from outside: a tall frame no longer sways.',
    },
  ),
};

const STOCK: Nominal = '1x3';
/** They end so far from the floor and from the post tops. */
const OFF: Length = inches(2);
/** Degrees from the floor: flatter they brace little; where they would be steeper they end lower on the posts. */
const [FLATTEST, STEEPEST] = [20, 48];

type Side = 'back' | 'left' | 'right';
const SIDES: Readonly<Record<string, readonly Side[]>> = {
  back: ['back'],
  ends: ['left', 'right'],
  all: ['back', 'left', 'right'],
};
const sidesOf = ({ braces }: Choices): readonly Side[] => SIDES[String(braces)] ?? [];

/** How far the posts stand in from the outside of a piece with braces: at its back, at each end. */
export function bracedIn(kit: Kit, choices: Choices): { readonly back: Length; readonly ends: Length } {
  const { thickness } = kit.sizes.dressed(STOCK);
  const sides = sidesOf(choices);
  return { back: sides.includes('back') ? thickness : 0, ends: sides.includes('left') ? thickness : 0 };
}

/** One pair on a side up to a height, lapped where they cross. Their tags; nothing, and said why, where none can be. */
function pair(
  kit: Kit,
  side: Side,
  legs: readonly [Leg, Leg],
  first: number,
  upTo: Length,
  under: boolean,
  without: string,
): readonly string[] {
  const box = around(legs.map((leg) => leg.box));
  if (!box) return [];
  const { width, thickness } = kit.sizes.dressed(STOCK);
  const along = side === 'back' ? 0 : 1;
  const out =
    side === 'back'
      ? box.max[1] + thickness / 2
      : side === 'left'
        ? box.min[0] - thickness / 2
        : box.max[0] + thickness / 2;
  const [from, to] = [box.min[along], box.max[along]];
  const low = box.min[2] + OFF + width / 2;
  const most = low + (to - from) * Math.tan(radians(STEEPEST));
  const steep = Math.min(upTo - width / 2, Math.round(most));
  // Aslant its end reaches higher than half its width.
  const over = under ? Math.ceil((width / 2) * (Math.hypot(steep - low, to - from) / (to - from) - 1)) : 0;
  const high = steep - over;
  const angle = degrees(Math.atan2(high - low, to - from));
  if (angle < FLATTEST) {
    kit.stop(
      'brace-angle',
      say`The braces would lie nearly flat`,
      say`Between these posts they stand at ${Math.max(0, Math.round(angle))} degrees from the floor; under ${FLATTEST} they brace little.`,
      { angle },
      [
        without === 'none'
          ? { label: say`Leave them out`, changes: [kit.change(['choices', 'braces'], 'none')] }
          : { label: say`At both ends alone`, changes: [kit.change(['choices', 'braces'], without)] },
      ],
    );
    return [];
  }
  const at = (run: Length, z: number): Vec => (along === 0 ? [run, out, z] : [out, run, z]);
  const upright = (run: Length) => planeAt(at(run, 0), along === 0 ? [1, 0, 0] : [0, 1, 0]);
  const tags = [`X${first}`, `X${first + 1}`] as const;
  tags.forEach((tag, k) => {
    const [start, end] = k === 0 ? [low, high] : [high, low];
    kit.member(
      { tag, role: 'brace', name: 'crossed brace', material: STOCK },
      {
        from: at(from, start),
        to: at(to, end),
        across: [0, 0, 1],
        width,
        thickness,
        ends: [upright(from), upright(to)],
      },
    );
  });
  kit.lap(tags[0], tags[1], along === 0 ? [0, 1, 0] : [1, 0, 0]);
  // Half of 3/4 takes no screw: glue holds the lap.
  kit.join('lamination', tags[0], tags[1]);
  for (const tag of tags)
    for (const { tags: boards } of legs) for (const board of boards) kit.join('screws', tag, board);
  return tags;
}

/**
 * Crossed braces on a frame of four posts, once it stands: at its back, at its ends.
 *
 * @param from the assembly that they are fixed to.
 * @param under what they must stay below; without it they run up to near the tops of the posts.
 */
export function braced(
  kit: Kit,
  legs: readonly [Leg, Leg, Leg, Leg],
  choices: Choices,
  from: string,
  under: Length | null = null,
): void {
  const [frontLeft, backLeft, frontRight, backRight] = legs;
  const on: Readonly<Record<Side, readonly [Leg, Leg]>> = {
    back: [backLeft, backRight],
    left: [frontLeft, backLeft],
    right: [frontRight, backRight],
  };
  sidesOf(choices).reduce((last, side, at) => {
    const upTo = under ?? Math.max(...on[side].map(({ box }) => box.max[2])) - OFF;
    const without = side === 'back' && choices.braces === 'all' ? 'ends' : 'none';
    const tags = pair(kit, side, on[side], 2 * at + 1, upTo, under !== null, without);
    if (tags.length === 0) return last;
    kit.assemble(`lap-${side}`, say`Lap the braces of the ${side === 'back' ? 'back' : `${side} end`}`, tags);
    kit.assemble(
      `brace-${side}`,
      say`Screw the braces to the ${side === 'back' ? 'back' : `${side} end`}`,
      [],
      [last, `lap-${side}`],
      [say`Measure both diagonals first: the braces hold it as it stands then.`],
    );
    return `brace-${side}`;
  }, from);
}
