import { inches, mm } from '../../length';
import { dim, say } from '../../words';
import { angle, measure, pick, type Values } from '../choice';
import { levelling } from '../feet';
import { family, type Room } from '../family';
import { boxAt, kitFor, type Kit } from '../kit';
import { topFixing } from './common';
import { glueHollow, hollowOf, joinLeg, legSection, placeLeg, type Leg, type LegSection } from './legs';
import { riseOf, strut } from './strut';

const POSTS = {
  'three 2x4': 'three 2×4, glued',
  '4x4': 'solid 4×4',
  '6x6': 'solid 6×6',
  'box 1x6': 'hollow box of 1×6',
} as const;
const BEAMS = { '2x4': '2×4', '2x6': '2×6', '4x4': '4×4' } as const;

const CHOICES = {
  post: pick('Post', POSTS, 'three 2x4', {
    help: 'Through a hollow post the pole of a parasol stands down on the foot, led by the laps of the beams.',
  }),
  beams: pick('Crossing beams', BEAMS, '2x4', { firms: true }),
  braces: pick('Diagonal braces', { '4': 'four, at the foot', '8': 'eight, foot and head' }, '4', { firms: true }),
  braceAngle: angle('Brace angle, degrees', 45, 35, 60),
  overhang: measure('Beams short of the edge', inches(4), 0, inches(30), {
    help: 'The edge that is seen: longer beams stand firmer and carry the rim, shorter ones leave room for feet.',
  }),
  ...topFixing,
  ...levelling,
};
type Chosen = Values<typeof CHOICES>;
const BRACE = '2x3';
/** A shorter brace holds nothing. */
const LEAST_RUN = inches(5);

/** What the post measures, and what it is made of. */
function postOf(kit: Kit, post: Chosen['post']): LegSection {
  if (post !== '6x6') return legSection({ legs: post, boughtSection: 0, legEdges: 'flush' }, kit.sizes);
  const { width, thickness } = kit.sizes.dressed(post);
  return { along: width, across: thickness, material: post, plies: 1, narrow: null };
}

/** Sizes that all else follows from. */
function sizesOf(kit: Kit, room: Room, choices: Chosen) {
  const section = postOf(kit, choices.post);
  const post = { x: section.along, y: section.across };
  const beam = kit.sizes.dressed(choices.beams);
  // A beam stands on edge: its width is its height.
  const [wide, high] = [beam.thickness, beam.width];
  // To a quarter inch or whole centimetres, so that both ends stand alike.
  const even = room.units === 'in' ? inches(1 / 4) : mm(10);
  const length = Math.floor((Math.min(room.length, room.width) - 2 * choices.overhang) / even) * even;
  const [cx, cy] = [Math.round(room.length / 2), Math.round(room.width / 2)];
  const postLength = room.under - 2 * high;
  const run = Math.floor((length - Math.max(post.x, post.y)) / 2) - inches(2);
  const sets = choices.braces === '8' ? 2 : 1;
  const rise = riseOf(1000, choices.braceAngle) / 1000;
  const room45 = Math.min(run, Math.floor((postLength - inches(2)) / sets / rise));
  return { section, post, wide, high, length, cx, cy, postLength, run, sets, reach: Math.min(room45, inches(12)) };
}
type Sizes = ReturnType<typeof sizesOf>;

/** Says what can not be built so, the first thing of it. */
function check(kit: Kit, room: Room, choices: Chosen, { high, length, postLength, run, sets, reach }: Sizes): void {
  const least = inches(8);
  if (postLength < least) {
    const height = room.height + (least - postLength);
    kit.stop(
      'post-short',
      say`Too low for a pedestal`,
      say`Crossing beams take ${dim(2 * high)} and leave ${dim(Math.max(0, postLength))} for the post. It needs ${dim(least)}.`,
      { postLength, least },
      [{ label: say`Make it ${dim(height)} high`, changes: [kit.change(['size', 'height'], height)] }],
    );
    return;
  }
  if (run < LEAST_RUN) {
    const overhang = Math.max(0, choices.overhang - (LEAST_RUN - run));
    kit.stop(
      'beams-short',
      say`The crossing beams are too short`,
      say`They are ${dim(Math.max(0, length))} long and leave ${dim(Math.max(0, run))} beside the post for a brace; it needs ${dim(LEAST_RUN)}.`,
      { run },
      [
        {
          label: say`Keep them ${dim(overhang)} short of the edge`,
          changes: [kit.change(['choices', 'overhang'], overhang)],
        },
        {
          label: say`Make the top ${dim(room.length + 2 * (LEAST_RUN - run))}`,
          changes: [
            kit.change(['size', 'length'], room.length + 2 * (LEAST_RUN - run)),
            kit.change(['size', 'width'], room.width + 2 * (LEAST_RUN - run)),
          ],
        },
      ],
    );
    return;
  }
  if (reach < LEAST_RUN) {
    kit.stop(
      'braces-long',
      say`No room for the braces`,
      say`On a post of ${dim(postLength)} ${sets * 4} braces at ${choices.braceAngle} degrees would meet.`,
      { postLength },
      [
        sets === 2
          ? { label: say`Use four`, changes: [kit.change(['choices', 'braces'], '4')] }
          : { label: say`Cut them at 35 degrees`, changes: [kit.change(['choices', 'braceAngle'], 35)] },
      ],
    );
  }
}

/** Crossing beams below and above, half-lapped, and the post between them. */
function postAndBeams(
  kit: Kit,
  room: Room,
  choices: Chosen,
  { section, post, wide, high, length, cx, cy, postLength }: Sizes,
): Leg {
  const cross = (tags: readonly [string, string], z: number, role: 'foot' | 'apron', name: string) => {
    const half = Math.round(length / 2);
    kit.board(
      { tag: tags[0], role, name, material: choices.beams },
      boxAt([cx - half, cy - Math.round(wide / 2), z], [2 * half, wide, high]),
      0,
      2,
    );
    kit.board(
      { tag: tags[1], role, name, material: choices.beams },
      boxAt([cx - Math.round(wide / 2), cy - half, z], [wide, 2 * half, high]),
      1,
      2,
    );
    kit.lap(tags[0], tags[1]);
    // Screwed from the side away from the post: the beam that lies on it is fixed to it first.
    if (role === 'foot') kit.join('lap', tags[0], tags[1]);
    else kit.join('lap', tags[1], tags[0]);
  };
  cross(['F1', 'F2'], 0, 'foot', 'foot beam');
  cross(['K1', 'K2'], room.under - high, 'apron', 'head beam');
  const [px, py] = [cx - Math.round(post.x / 2), cy - Math.round(post.y / 2)];
  const box = boxAt([px, py, high], [post.x, post.y, postLength]);
  const leg = placeLeg(kit, 'P1', box, section, { legs: 'two 2x4', boughtLeg: '' }, 'post');
  // The lower beam of a lap may leave the post to the upper one.
  for (const tag of ['F1', 'F2', 'K1', 'K2'])
    for (const board of leg.tags) if (kit.touch(tag, board)) kit.join('screws', tag, board);
  return leg;
}

/** Braces from the beams to the post, on all four sides of it. */
function braced(kit: Kit, room: Room, choices: Chosen, { high, cx, cy, sets, reach }: Sizes, post: Leg): void {
  const { min, max } = post.box;
  const walls = [
    { at: [min[0], cy, 0], out: [-1, 0, 0], beam: 1 },
    { at: [max[0], cy, 0], out: [1, 0, 0], beam: 1 },
    { at: [cx, min[1], 0], out: [0, -1, 0], beam: 2 },
    { at: [cx, max[1], 0], out: [0, 1, 0], beam: 2 },
  ] as const;
  for (let set = 0; set < sets; set++)
    walls.forEach(({ at, out, beam: n }, k) => {
      const tag = `D${4 * set + k + 1}`;
      strut(
        kit,
        {
          tag,
          name: set === 0 ? 'foot brace' : 'head brace',
          wall: { at, out },
          floor: set === 0 ? high : room.under - high,
          run: reach,
          degrees: choices.braceAngle,
          stock: BRACE,
          joins: [set === 0 ? `F${n}` : `K${n}`],
        },
        set === 1,
      );
      joinLeg(kit, 'screws', tag, post);
    });
}

function assemble(kit: Kit, { sets }: Sizes, post: Leg): void {
  glueHollow(kit, post, say`Glue up the hollow post`);
  kit.assemble(
    'foot',
    say`Lap the foot beams`,
    ['F1', 'F2'],
    [],
    [say`Keep the lapped beams square: both diagonals between their ends read the same.`],
  );
  kit.assemble('head', say`Lap the head beams`, ['K1', 'K2']);
  kit.assemble(
    'base',
    say`Stand the post between foot and head`,
    post.tags.length === 1 ? post.tags : [],
    ['foot', 'head', ...(post.tags.length === 1 ? [] : [hollowOf(post.tag)])],
    [say`Check that the post stands plumb all round before the braces go in.`],
  );
  const braces = Array.from({ length: 4 * sets }, (_, k) => `D${k + 1}`);
  kit.assemble('braces', say`Put the braces in`, braces, ['base']);
}

/** A post on crossing beams, with crossing beams on its head, both half-lapped; diagonal braces to the post. */
export const pedestal = family({
  id: 'pedestal',
  name: 'Pedestal',
  about: 'One post on crossed beams: for round, octagonal or square tops, with no leg in the way.',
  topped: true,
  refuses: (top, { length, width }) =>
    Math.max(length, width) > 1.34 * Math.min(length, width)
      ? 'A pedestal carries round, octagonal or square tops: this one is too long for its width.'
      : top.id === 'tiles'
        ? 'A tiled top is too heavy at its edge for one post.'
        : null,
  choices: CHOICES,
  forPole: { label: say`Make the post hollow, on 4×4 beams`, choices: { post: 'box 1x6', beams: '4x4' } },
  build(room, choices) {
    const kit = kitFor(room);
    const sizes = sizesOf(kit, room, choices);
    check(kit, room, choices, sizes);
    if (kit.stopped()) return kit.built();
    const post = postAndBeams(kit, room, choices, sizes);
    braced(kit, room, choices, sizes, post);
    assemble(kit, sizes, post);
    return kit.built(['K1', 'K2']);
  },
});
