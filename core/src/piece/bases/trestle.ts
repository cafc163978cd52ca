import { inches, type Length } from '../../length';
import type { Outline } from '../../solid';
import type { Nominal, Sheet } from '../../stock';
import { dim, say } from '../../words';
import { angle, measure, pick, yes, type Choices, type Values } from '../choice';
import { levelling } from '../feet';
import { family, type Room } from '../family';
import { boxAt, kitFor, type Kit } from '../kit';
import type { Part } from '../part';
import { boxOf, tan } from '../shape';
import { clipped } from './clipped';
import { checkRun, riseOf, strut } from './strut';
import { checkBetween, footprint, overhangs, topFixing } from './common';
import { assembleLaminated, laminatedTags, laminatedTrestle, LAYER, type TrestleTags } from './laminated-trestle';

const BEAMS = { solid: 'solid 4×4', layers: 'three 2×4, the post let in' } as const;
const isLayered = ({ beams }: Choices): boolean => beams === 'layers';
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
  beams: pick('Foot and head', BEAMS, 'solid', {
    firms: true,
    help: 'In three layers each, post, foot and head run through one another where they cross: a lap that nobody cuts, and no screw in end grain.',
  }),
  post: pick('Posts', POSTS, '4x4', { when: (c) => !isLayered(c) }),
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
  // Its feet are three boards: a leveller would part them.
  levellers: { ...levelling.levellers, when: (c: Choices) => !isLayered(c) },
};
type Chosen = Values<typeof CHOICES>;

/** Sizes that all else follows from. */
function sizesOf(kit: Kit, room: Room, choices: Chosen) {
  const layer = kit.sizes.dressed(LAYER);
  const layered = { width: 3 * layer.thickness, thickness: layer.width };
  const beam = isLayered(choices) ? layered : kit.sizes.dressed(BEAM);
  const plies = choices.post === '2x4' ? 2 : 1;
  const dressed = kit.sizes.dressed(choices.post);
  const post = isLayered(choices)
    ? { along: layered.width, across: layer.width }
    : { along: dressed.width, across: dressed.thickness * plies };
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
  const { strutStock: stock, strutAngle: degrees } = choices;
  if (choices.struts || choices.headStruts)
    checkRun(kit, 'struts', { run: strutRun, stock, degrees }, ['struts', 'headStruts']);
  if (choices.kickers) checkRun(kit, 'kickers', { run: kickerRun, stock, degrees }, ['kickers']);
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

/** Tags of a trestle of solid timber: one each for foot, head and post. */
const solidTags = (n: number): TrestleTags => {
  const [foot, head, post] = [`F${n}`, `K${n}`, `P${n}`];
  return {
    foot: [foot, foot],
    head: [head, head],
    post,
    inner: { post, head },
    outer: { post, foot, head },
  };
};
const tagsOf = (choices: Pick<Chosen, 'beams'>, n: number): TrestleTags =>
  isLayered(choices) ? laminatedTags(n) : solidTags(n);

/** Foot, post and head of one trestle, of solid timber. */
function solidTrestle(
  kit: Kit,
  n: number,
  x: Length,
  choices: Chosen,
  { beam, plies, post, foot, postLength, postTop, y }: Sizes,
): void {
  const {
    foot: [under],
    head: [over],
    post: upright,
  } = solidTags(n);
  const lying = (tag: string, role: Part['role'], name: string, z: Length) =>
    kit.board(
      { tag, role, name, material: BEAM },
      boxAt([x - Math.round(beam.width / 2), foot.y, z], [beam.width, foot.width, beam.thickness]),
      1,
      0,
    );
  // Under gussets the post is level with foot and head outside; else it stands on their middle.
  const narrower = Math.round((beam.width - post.along) / 2);
  const aside = choices.gussets === 'none' ? 0 : n === 1 ? -narrower : narrower;
  lying(under, 'foot', 'foot', 0);
  lying(over, 'apron', 'head', postTop);
  kit.board(
    { tag: upright, role: 'leg', name: 'post', material: choices.post, plies },
    boxAt(
      [x + aside - Math.round(post.along / 2), y - Math.round(post.across / 2), beam.thickness],
      [post.along, post.across, postLength],
    ),
    2,
    0,
  );
  if (choices.beamEnds === 'clipped') {
    kit.put(clipped(kit.get(under), CLIP, 'upper'));
    kit.put(clipped(kit.get(over), CLIP, 'lower'));
  }
  kit.join('screws', under, upright);
  kit.join('screws', over, upright);
}

/** Foot, post, head and struts at each end. */
function trestles(kit: Kit, room: Room, choices: Chosen, sizes: Sizes): void {
  const { beam, foot, postTop, strutRun } = sizes;
  ([1, 2] as const).forEach((n) => {
    const x = Math.round(n === 1 ? foot.x + beam.width / 2 : foot.x + foot.length - beam.width / 2);
    if (isLayered(choices))
      laminatedTrestle(kit, {
        number: n,
        x: n === 1 ? foot.x : foot.x + foot.length,
        inward: n === 1 ? 1 : -1,
        from: foot.y,
        long: foot.width,
        under: room.under,
        clip: choices.beamEnds === 'clipped' ? CLIP : 0,
      });
    else solidTrestle(kit, n, x, choices, sizes);
    const tags = tagsOf(choices, n);
    const { min, max } = boxOf(kit.get(tags.post));
    const struts = (first: number, name: string, beams: TrestleTags['foot'], floor: Length, down: boolean) =>
      ([-1, 1] as const).forEach((side, k) =>
        strut(
          kit,
          {
            tag: `D${first + 2 * (n - 1) + k}`,
            name,
            wall: { at: [x, side < 0 ? min[1] : max[1], 0], out: [0, side, 0] },
            floor,
            run: strutRun,
            degrees: choices.strutAngle,
            stock: choices.strutStock,
            joins: [beams[k as 0 | 1], tags.post],
          },
          down,
        ),
      );
    if (choices.struts) struts(1, 'strut', tags.foot, beam.thickness, false);
    if (choices.headStruts) struts(5, 'head strut', tags.head, postTop, true);
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
    const { outer } = tagsOf(choices, n);
    const box = boxOf(kit.get(outer.post));
    const x = n === 1 ? box.min[0] - thick : box.max[0];
    const at = y - Math.round(wide / 2);
    for (const [k, on] of [outer.foot, ...(choices.gussets === 'both' ? [outer.head] : [])].entries()) {
      const tag = `U${2 * k + n}`;
      const beamBox = boxOf(kit.get(on));
      // Along y and up from the foot; along y and down from the head.
      const frame: Part['frame'] =
        k === 0
          ? { at: [x, at, beamBox.min[2]], u: [0, 1, 0], v: [0, 0, 1] }
          : { at: [x, at + wide, beamBox.max[2]], u: [0, -1, 0], v: [0, 0, -1] };
      kit.shaped({ tag, role: 'brace', name: 'gusset', material: PLATE }, outline, thick, frame);
      kit.join('screws', tag, on);
      kit.join('screws', tag, outer.post);
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
  const inner = [tagsOf(choices, 1).inner, tagsOf(choices, 2).inner] as const;
  const [left, right] = [boxOf(kit.get(inner[0].post)), boxOf(kit.get(inner[1].post))];
  const between = right.min[0] - left.max[0];
  const sy = y - Math.round(stretcher.thickness / 2);
  kit.board(
    {
      tag: 'S1',
      role: 'stretcher',
      name: 'stretcher',
      material: STRETCHER,
      fit: say`the gap between the posts, level with the heads`,
      dependsOn: [inner[0].post, inner[1].post],
    },
    boxAt([left.max[0], sy, choices.stretcherHeight], [between, stretcher.thickness, stretcher.width]),
    0,
    2,
  );
  for (const { post } of inner) kit.join('rail end', 'S1', post);
  if (!choices.kickers) return [];
  const heads = [boxOf(kit.get(inner[0].head)), boxOf(kit.get(inner[1].head))] as const;
  const from = heads[0].max[0];
  kit.board(
    { tag: 'N1', role: 'support', name: 'spine', material: '2x4' },
    boxAt([from, sy, room.under - spine.width], [heads[1].min[0] - from, spine.thickness, spine.width]),
    0,
    2,
  );
  for (const { head } of inner) kit.join('rail end', 'N1', head);
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
        joins: ['N1', at === 0 ? inner[0].post : inner[1].post],
      },
      true,
    ),
  );
  return ['N1'];
}

const SQUARE_POST = say`Keep the post square to foot and head with a clamped corner before the struts go in: a strut fixes whatever angle there is.`;

function assemble(kit: Kit, choices: Chosen): void {
  const strutsOf = (n: number): readonly string[] => [
    ...(choices.struts ? [`D${2 * n - 1}`, `D${2 * n}`] : []),
    ...(choices.headStruts ? [`D${2 * n + 3}`, `D${2 * n + 4}`] : []),
    ...(choices.gussets === 'none' ? [] : [`U${n}`]),
    ...(choices.gussets === 'both' ? [`U${n + 2}`] : []),
  ];
  [1, 2].forEach((n) => {
    if (isLayered(choices)) return assembleLaminated(kit, n, strutsOf(n), SQUARE_POST);
    kit.assemble(
      `trestle-${n}`,
      say`Join trestle ${n}`,
      [`F${n}`, `P${n}`, `K${n}`, ...strutsOf(n)],
      [],
      [SQUARE_POST],
    );
  });
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
    trestles(kit, room, choices, sizes);
    gussets(kit, choices, sizes);
    const more = between(kit, room, choices, sizes);
    assemble(kit, choices);
    return kit.built([tagsOf(choices, 1).inner.head, tagsOf(choices, 2).inner.head, ...more]);
  },
});
