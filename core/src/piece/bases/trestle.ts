import { inches, type Length } from '../../length';
import { planeAt, radians, type Outline, type Vec } from '../../solid';
import type { Nominal, Sheet } from '../../stock';
import { dim, say } from '../../words';
import { angle, measure, pick, yes, type Values } from '../choice';
import { levelling } from '../feet';
import { family, type Room } from '../family';
import { boxAt, kitFor, level, type Kit } from '../kit';
import type { Part } from '../part';
import { boxOf, tan } from '../shape';
import { clipped } from './clipped';
import { checkBetween, footprint, overhangs, topFixing } from './common';

export type Strut = {
  readonly tag: string;
  readonly name: string;
  /** The upright face it leans against: a point on it and the way it looks, level. */
  readonly wall: { readonly at: Vec; readonly out: Vec };
  /** The level face it stands on or hangs from. */
  readonly floor: Length;
  /** How far from the wall, along `out`, its far point stands on the level face. */
  readonly run: Length;
  readonly degrees: number;
  readonly stock: Nominal;
  readonly joins: readonly [string, string];
};

/** Rise of a strut's long point on the wall above (or below) the level face: run times the tangent of its angle. */
export const riseOf = (run: Length, degrees: number): number => run * tan(degrees);

/**
 * A strut between a level face and an upright one. Its long edge runs from `run` out on the level face to the rise on
 * the wall; the middle line lies half a width inside of that.
 */
export function strut(kit: Kit, { tag, name, wall, floor, run, degrees, stock, joins }: Strut, down = false): void {
  const { width, thickness } = kit.sizes.dressed(stock);
  const [sin, cos] = [Math.sin(radians(degrees)), Math.cos(radians(degrees))];
  const side = down ? -1 : 1;
  const foot: Vec = [
    wall.at[0] + wall.out[0] * (run - width / 2 / sin),
    wall.at[1] + wall.out[1] * (run - width / 2 / sin),
    floor,
  ];
  const to: Vec = [foot[0] - wall.out[0] * cos, foot[1] - wall.out[1] * cos, floor + side * sin];
  kit.member(
    { tag, role: 'brace', name, material: stock },
    {
      from: foot,
      to,
      across: [wall.out[0] * sin, wall.out[1] * sin, side * cos],
      width,
      thickness,
      ends: [level(floor), planeAt(wall.at, wall.out)],
    },
  );
  for (const other of joins) kit.join('screws', tag, other);
}

const POSTS = { '4x4': 'solid 4×4', '2x4': 'two 2×4, glued' } as const;
const BEAM: Nominal = '4x4';
const STRUTS = { '2x3': '2×3', '2x4': '2×4', '4x4': '4×4' } as const;
/** Cut off the ends of foot and head: less than what they stand out beyond the struts. */
const CLIP: Length = inches(1.25);
const STRETCHER: Nominal = '2x6';
/** A shorter strut holds nothing: its foot and as much again. */
const leastRun = (kit: Kit, stock: Nominal): Length => Math.max(inches(4), 2 * kit.sizes.dressed(stock).width);

const GUSSETS = { none: 'none', foot: 'over foot and post', both: 'over foot and head' } as const;
const PLATE: Sheet = 'ply 3/4';
/** A gusset reaches so far out along the foot, and as far up the post; less where there is less, but so much. */
const [GUSSET, LEAST_GUSSET] = [inches(7), inches(3)] as const;
/** Struts and gussets end so far inside of the ends of the foot. */
const INSIDE: Length = inches(1.5);

const CHOICES = {
  post: pick('Posts', POSTS, '4x4'),
  struts: yes('Struts on the foot', true, { firms: true }),
  headStruts: yes('Struts under the head', false, {
    firms: true,
    help: 'They keep the head from tipping on its post when someone leans on an edge.',
  }),
  strutStock: pick('Struts and kickers of', STRUTS, '2x3', {
    when: (c) => c.struts === true || c.headStruts === true || c.kickers === true,
  }),
  beamEnds: pick('Ends of foot and head', { square: 'square', clipped: 'cut at 45' }, 'square', {
    help: 'The upper corners of the foot and the lower ones of the head come off: nothing to stub a toe on.',
  }),
  strutAngle: angle('Strut angle, degrees', 45, 30, 60, {
    when: (c) => c.struts === true || c.headStruts === true || c.kickers === true,
  }),
  gussets: pick('Gussets', GUSSETS, 'none', {
    firms: true,
    help: 'A plate of plywood over the joint at each end: quicker to make than struts, and nothing is cut to an angle.',
  }),
  kickers: yes('Kickers under the top', false, {
    firms: true,
    help: 'Kickers stop a long table from swaying end to end.',
  }),
  stretcherHeight: measure('Stretcher height', inches(8), inches(4), inches(36)),
  overhangEnds: overhangs.overhangEnds,
  overhangSides: overhangs.overhangSides,
  ...topFixing,
  ...levelling,
};
type Chosen = Values<typeof CHOICES>;

/** Sizes that all else follows from. */
function sizesOf(kit: Kit, room: Room, choices: Chosen) {
  const beam = kit.sizes.dressed(BEAM);
  const plies = choices.post === '2x4' ? 2 : 1;
  const dressed = kit.sizes.dressed(choices.post);
  const post = { along: dressed.width, across: dressed.thickness * plies };
  const outside = footprint(room, choices);
  const plate = choices.gussets === 'none' ? 0 : kit.sizes.thickness(PLATE);
  const foot = { ...outside, x: outside.x + plate, length: outside.length - 2 * plate };
  const stretcher = kit.sizes.dressed(STRETCHER);
  const spine = kit.sizes.dressed('2x4');
  const postLength = room.under - 2 * beam.thickness;
  const out = Math.floor((foot.width - post.across) / 2) - INSIDE;
  // Two to a side share the post.
  const shared = Math.floor((postLength - inches(1)) / 2 / tan(choices.strutAngle));
  return {
    beam,
    plies,
    post,
    foot,
    stretcher,
    spine,
    postLength,
    postTop: beam.thickness + postLength,
    strutRun: Math.min(out, choices.struts && choices.headStruts ? shared : out),
    gussetRun: Math.min(GUSSET, out, Math.floor(postLength / 2) - INSIDE),
    kickerRun: Math.min(inches(10), Math.floor((foot.length - 2 * post.along) / 2) - inches(1)),
    kickerFrom: room.under - spine.width,
    /** The middle of the trestles, across. */
    y: foot.y + Math.round(foot.width / 2),
  };
}
type Sizes = ReturnType<typeof sizesOf>;

/** Says what can not be built so: posts, stretcher, struts, kickers. */
function check(kit: Kit, room: Room, choices: Chosen, sizes: Sizes): void {
  const { beam, post, foot, stretcher, postLength, strutRun, kickerRun, kickerFrom } = sizes;
  const least = stretcher.width + inches(2);
  if (postLength < least) {
    const height = room.height + (least - postLength);
    kit.stop(
      'post-short',
      say`Too low for a trestle`,
      say`Foot and head take ${dim(2 * beam.thickness)} and leave ${dim(Math.max(0, postLength))} for the posts. They need ${dim(least)}.`,
      { postLength, least },
      [
        { label: say`Make it ${dim(height)} high`, changes: [kit.change(['size', 'height'], height)] },
        {
          label: say`Take four legs instead`,
          changes: [kit.change(['family'], 'aprons'), kit.change(['choices'], {})],
        },
      ],
    );
    return;
  }
  checkBetween(kit, room, 'length', foot.length - 2 * beam.width, choices.overhangEnds, beam.width, inches(12));
  checkBetween(kit, room, 'width', foot.width - post.across, choices.overhangSides, post.across, inches(8));
  const high = beam.thickness + postLength - stretcher.width;
  if (choices.stretcherHeight < beam.thickness || choices.stretcherHeight > high) {
    const at = Math.min(Math.max(choices.stretcherHeight, beam.thickness), high);
    kit.stop(
      'stretcher-off-post',
      say`The stretcher misses the posts`,
      say`Posts run from ${dim(beam.thickness)} to ${dim(beam.thickness + postLength)}; a ${dim(stretcher.width)} stretcher at ${dim(choices.stretcherHeight)} is not between.`,
      { high },
      [{ label: say`Put it at ${dim(at)}`, changes: [kit.change(['choices', 'stretcherHeight'], at)] }],
    );
  }
  if (choices.gussets !== 'none' && sizes.gussetRun < LEAST_GUSSET)
    kit.stop(
      'gussets-small',
      say`No room for gussets`,
      say`They would reach only ${dim(Math.max(0, sizes.gussetRun))} out from the post; under ${dim(LEAST_GUSSET)} a plate holds little.`,
      { gussetRun: sizes.gussetRun },
      [{ label: say`Leave them out`, changes: [kit.change(['choices', 'gussets'], 'none')] }],
    );
  const rise = riseOf(strutRun, choices.strutAngle);
  const leastOut = leastRun(kit, choices.strutStock);
  if (choices.struts && choices.headStruts) {
    if (strutRun < leastOut)
      kit.stop(
        'struts-meet',
        say`No room for struts at foot and head`,
        say`On a post of ${dim(postLength)} two to a side, at ${choices.strutAngle} degrees, reach only ${dim(Math.max(0, strutRun))} out; ${dim(leastOut)} hold something.`,
        { postLength },
        [{ label: say`Leave those under the head out`, changes: [kit.change(['choices', 'headStruts'], false)] }],
      );
  } else if ((choices.struts || choices.headStruts) && rise > postLength - inches(1)) {
    const fits = Math.floor((Math.atan((postLength - inches(1)) / strutRun) * 180) / Math.PI);
    kit.stop(
      'strut-past-head',
      say`The struts run past the post`,
      say`From ${dim(strutRun)} out, at ${choices.strutAngle} degrees, a strut rises ${dim(Math.round(rise))}; the post is ${dim(postLength)}.`,
      { rise, postLength },
      [
        ...(fits >= 30
          ? [{ label: say`Cut them at ${fits} degrees`, changes: [kit.change(['choices', 'strutAngle'], fits)] }]
          : []),
        {
          label: say`Leave the struts out`,
          changes: [kit.change(['choices', 'struts'], false), kit.change(['choices', 'headStruts'], false)],
        },
      ],
    );
  }
  const kickerDrop = riseOf(kickerRun, choices.strutAngle);
  if (choices.kickers && kickerFrom - kickerDrop < choices.stretcherHeight + stretcher.width) {
    kit.stop(
      'kicker-meets-stretcher',
      say`The kickers reach the stretcher`,
      say`They come down ${dim(Math.round(kickerDrop))} below the spine and meet the stretcher at ${dim(choices.stretcherHeight + stretcher.width)}.`,
      { kickerDrop },
      [{ label: say`Leave the kickers out`, changes: [kit.change(['choices', 'kickers'], false)] }],
    );
  }
}

/** Foot, post, head and struts at each end. */
function trestles(
  kit: Kit,
  choices: Chosen,
  { beam, plies, post, foot, postLength, postTop, strutRun, y }: Sizes,
): void {
  const middles = [foot.x + beam.width / 2, foot.x + foot.length - beam.width / 2];
  middles.forEach((x, at) => {
    const n = at + 1;
    const x0 = Math.round(x - beam.width / 2);
    kit.board(
      { tag: `F${n}`, role: 'foot', name: 'foot', material: BEAM },
      boxAt([x0, foot.y, 0], [beam.width, foot.width, beam.thickness]),
      1,
      0,
    );
    kit.board(
      { tag: `K${n}`, role: 'apron', name: 'head', material: BEAM },
      boxAt([x0, foot.y, postTop], [beam.width, foot.width, beam.thickness]),
      1,
      0,
    );
    const postX = Math.round(x - post.along / 2);
    const postY = y - Math.round(post.across / 2);
    kit.board(
      { tag: `P${n}`, role: 'leg', name: 'post', material: choices.post, plies },
      boxAt([postX, postY, beam.thickness], [post.along, post.across, postLength]),
      2,
      0,
    );
    if (choices.beamEnds === 'clipped') {
      kit.put(clipped(kit.get(`F${n}`), CLIP, 'upper'));
      kit.put(clipped(kit.get(`K${n}`), CLIP, 'lower'));
    }
    kit.join('screws', `F${n}`, `P${n}`);
    kit.join('screws', `K${n}`, `P${n}`);
    const struts = (first: number, name: string, beamTag: string, floor: Length, down: boolean) =>
      ([-1, 1] as const).forEach((side, k) =>
        strut(
          kit,
          {
            tag: `D${first + 2 * at + k}`,
            name,
            wall: { at: [x, side < 0 ? postY : postY + post.across, 0], out: [0, side, 0] },
            floor,
            run: strutRun,
            degrees: choices.strutAngle,
            stock: choices.strutStock,
            joins: [beamTag, `P${n}`],
          },
          down,
        ),
      );
    if (choices.struts) struts(1, 'strut', `F${n}`, beam.thickness, false);
    if (choices.headStruts) struts(5, 'head strut', `K${n}`, postTop, true);
  });
}

/** Plates over the joints of posts with feet, and with heads, outside at both ends. */
function gussets(kit: Kit, choices: Chosen, { beam, post, gussetRun: run, y }: Sizes): void {
  if (choices.gussets === 'none') return;
  const thick = kit.sizes.thickness(PLATE);
  const wide = post.across + 2 * run;
  const high = beam.thickness + run;
  // From the far edge of the foot straight up to its inner one, then aslant to the post.
  const corner = (wide - post.across) / 2;
  const outline: Outline = [
    [0, 0],
    [wide, 0],
    [wide, beam.thickness],
    [wide - corner, high],
    [corner, high],
    [0, beam.thickness],
  ];
  ([1, 2] as const).forEach((n) => {
    const box = boxOf(kit.get(`P${n}`));
    const x = n === 1 ? box.min[0] - thick : box.max[0];
    const at = y - Math.round(wide / 2);
    for (const [k, on] of [`F${n}`, ...(choices.gussets === 'both' ? [`K${n}`] : [])].entries()) {
      const tag = `U${2 * k + n}`;
      const beamBox = boxOf(kit.get(on));
      // Along y and up from the foot; along y and down from the head.
      const frame: Part['frame'] =
        k === 0
          ? { at: [x, at, beamBox.min[2]], u: [0, 1, 0], v: [0, 0, 1] }
          : { at: [x, at + wide, beamBox.max[2]], u: [0, -1, 0], v: [0, 0, -1] };
      kit.shaped({ tag, role: 'brace', name: 'gusset', material: PLATE }, outline, thick, frame);
      kit.join('screws', tag, on);
      kit.join('screws', tag, `P${n}`);
    }
  });
}

/**
 * The stretcher from post to post, and the kickers to a spine under the top. What carries the top besides the heads.
 */
function between(
  kit: Kit,
  room: Room,
  choices: Chosen,
  { stretcher, spine, kickerRun, kickerFrom, y }: Sizes,
): readonly string[] {
  const [left, right] = [boxOf(kit.get('P1')), boxOf(kit.get('P2'))];
  const between = right.min[0] - left.max[0];
  const sy = y - Math.round(stretcher.thickness / 2);
  kit.board(
    {
      tag: 'S1',
      role: 'stretcher',
      name: 'stretcher',
      material: STRETCHER,
      fit: say`the gap between the posts, level with the heads`,
      dependsOn: ['P1', 'P2'],
    },
    boxAt([left.max[0], sy, choices.stretcherHeight], [between, stretcher.thickness, stretcher.width]),
    0,
    2,
  );
  kit.join('rail end', 'S1', 'P1');
  kit.join('rail end', 'S1', 'P2');
  if (!choices.kickers) return [];
  const heads = [boxOf(kit.get('K1')), boxOf(kit.get('K2'))] as const;
  const from = heads[0].max[0];
  kit.board(
    { tag: 'N1', role: 'support', name: 'spine', material: '2x4' },
    boxAt([from, sy, room.under - spine.width], [heads[1].min[0] - from, spine.thickness, spine.width]),
    0,
    2,
  );
  kit.join('rail end', 'N1', 'K1');
  kit.join('rail end', 'N1', 'K2');
  ([1, -1] as const).forEach((side, at) =>
    strut(
      kit,
      {
        tag: `V${at + 1}`,
        name: 'kicker',
        wall: { at: [at === 0 ? left.max[0] : right.min[0], y, 0], out: [side, 0, 0] },
        floor: kickerFrom,
        run: kickerRun,
        degrees: choices.strutAngle,
        stock: choices.strutStock,
        joins: ['N1', `P${at + 1}`],
      },
      true,
    ),
  );
  return ['N1'];
}

function assemble(kit: Kit, choices: Chosen): void {
  const strutsOf = (n: number): readonly string[] => [
    ...(choices.struts ? [`D${2 * n - 1}`, `D${2 * n}`] : []),
    ...(choices.headStruts ? [`D${2 * n + 3}`, `D${2 * n + 4}`] : []),
    ...(choices.gussets === 'none' ? [] : [`U${n}`]),
    ...(choices.gussets === 'both' ? [`U${n + 2}`] : []),
  ];
  [1, 2].forEach((n) =>
    kit.assemble(
      `trestle-${n}`,
      say`Join trestle ${n}`,
      [`F${n}`, `P${n}`, `K${n}`, ...strutsOf(n)],
      [],
      [
        say`Keep the post square to foot and head with a clamped corner before the struts go in: a strut fixes whatever angle there is.`,
      ],
    ),
  );
  kit.assemble(
    'base',
    say`Join the trestles with the stretcher`,
    ['S1', ...(choices.kickers ? ['N1', 'V1', 'V2'] : [])],
    ['trestle-1', 'trestle-2'],
  );
}

/** Two trestles of foot, post, head and struts, joined by a stretcher; kickers run up from the posts to a spine. */
export const trestle = family({
  id: 'trestle',
  name: 'Trestle',
  about: 'A post on a foot at each end, braced by struts: knees are free all round.',
  topped: true,
  refuses: (_top, { length, width }) => (length < 1.2 * width ? 'A trestle wants a top longer than it is wide.' : null),
  choices: CHOICES,
  build(room, choices) {
    const kit = kitFor(room);
    const sizes = sizesOf(kit, room, choices);
    check(kit, room, choices, sizes);
    if (kit.stopped()) return kit.built();
    trestles(kit, choices, sizes);
    gussets(kit, choices, sizes);
    const more = between(kit, room, choices, sizes);
    assemble(kit, choices);
    return kit.built(['K1', 'K2', ...more]);
  },
});
