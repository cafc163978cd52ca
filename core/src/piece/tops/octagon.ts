import { nth } from '../../lists';
import { inches, type Length } from '../../length';
import { add, clipped, rectangle, times, type Corner, type Flat, type Vec } from '../../solid';
import type { Nominal } from '../../stock';
import { dim, say } from '../../words';
import { measure, pick } from '../choice';
import { top } from '../family';
import { boxAt, kitFor, type Kit } from '../kit';
import type { Hint } from '../part';

const DRY_FIRST: Hint = {
  says: say`Sixteen ends at 22.5 degrees: close all eight boards dry in a strap first; a gap inside or outside says which way the saw is off.`,
  atHand: [say`strap`],
};
const faceDown = (gap: Length): Hint => ({
  says: say`All face down on a flat bench, ${dim(gap)} spacers between, battens across, screwed from below.`,
  atHand: [say`spacers ${dim(gap)}`],
});

/** Side of a regular octagon from its width across flats: w tan(22.5). */
export const octagonSide = (flats: number): number => flats * Math.tan(Math.PI / 8);

const NORMALS: readonly Flat[] = Array.from({ length: 8 }, (_, at) => [
  Math.cos((at * Math.PI) / 4),
  Math.sin((at * Math.PI) / 4),
]);
/** A square around the middle of an octagon, cut down to it. */
const octagonIn = (points: readonly Flat[], half: number): readonly Flat[] =>
  NORMALS.reduce((rest, normal) => clipped(rest, normal, half), points);

const THICK = { '1x': '1× boards', '2x': '2× boards' } as const;
const WIDE = { '4': '4', '6': '6' } as const;
const BATTEN = '1x4' as const;

/** A ring of eight mitred boards filled with slats that leave gaps for water, on battens below. */
export const octagon = top({
  id: 'octagon',
  name: 'Octagon ring with slats',
  about: 'Eight mitred boards round slats with gaps: an outdoor top that sheds water.',
  deck: 'octagon',
  holdsScrews: true,
  moves: false,
  choices: {
    thickness: pick('Boards', THICK, '1x'),
    ring: pick('Ring boards, nominal width', WIDE, '6'),
    slats: pick('Slats, nominal width', WIDE, '4'),
    gap: measure('Gap round slats', inches(1 / 4), 0, inches(3 / 4)),
    hole: measure('Parasol hole across', 0, 0, inches(3), {
      help: 'Cut through the slat and whatever crosses the middle below. 0 for none.',
    }),
  },
  thickness: (choices, sizes) => sizes.dressed(`${choices.thickness}4`).thickness + sizes.dressed(BATTEN).thickness,
  candidates: () => [],
  build(room, choices) {
    const kit = kitFor(room);
    const stock: Nominal = `${choices.thickness}${choices.ring}`;
    const ring = kit.sizes.dressed(stock);
    const slat: Nominal = `${choices.thickness}${choices.slats}`;
    if (room.length !== room.width) {
      kit.stop(
        'not-octagon',
        say`An octagon is as long as it is wide`,
        say`It is ${dim(room.length)} by ${dim(room.width)} across flats.`,
        {},
        [
          { label: say`Make it ${dim(room.length)} across`, changes: [kit.change(['size', 'width'], room.length)] },
          { label: say`Make it ${dim(room.width)} across`, changes: [kit.change(['size', 'length'], room.width)] },
        ],
      );
      return kit.built();
    }
    const half = room.length / 2;
    const inner = half - ring.width;
    const least = kit.sizes.dressed(slat).width + 2 * choices.gap;
    if (2 * inner < least + inches(2)) {
      const size = Math.ceil((2 * ring.width + least + inches(2)) / inches(1)) * inches(1);
      kit.stop(
        'ring-closes',
        say`The ring leaves no middle`,
        say`Two boards of ${dim(ring.width)} leave ${dim(Math.max(0, Math.floor(2 * inner)))} between them; a slat with its gaps takes ${dim(least)}.`,
        { inner },
        [
          {
            label: say`Make it ${dim(size)} across`,
            changes: [kit.change(['size', 'length'], size), kit.change(['size', 'width'], size)],
          },
        ],
      );
      return kit.built();
    }
    const batten = kit.sizes.dressed(BATTEN);
    const z = room.under + batten.thickness;
    const side = octagonSide(room.length);
    const names = NORMALS.map(([nx, ny], at) => {
      const tag = `G${at + 1}`;
      const out: Vec = [nx, ny, 0];
      const along: Vec = [-ny, nx, 0];
      // Its length runs round the ring, its width from the outer edge inwards.
      const part = kit.shaped(
        { tag, role: 'edging', name: 'ring board', material: stock },
        rectangle(side, ring.width),
        ring.thickness,
        {
          at: add(add([half, half, z], times(out, half)), times(along, -side / 2)),
          u: along,
          v: times(out, -1),
        },
      );
      kit.put({
        ...part,
        outline: null,
        length: Math.round(side),
        ends: { left: { mitre: 22.5, bevel: 0 }, right: { mitre: -22.5, bevel: 0 } },
      });
      return tag;
    });
    // Pocket screws from below hold a mitre for good: glue alone on it is glue on end grain.
    names.forEach((tag, at) => kit.join('edge', tag, nth(names, (at + 1) % 8)));
    const slats = fill(kit, { half: inner - choices.gap, centre: half, z, gap: choices.gap, stock: slat });
    const battens = battensAt(kit, slats, inner - choices.gap, batten.width).map((off, at) => {
      const tag = `B${at + 1}`;
      const x = Math.round(half + off - batten.width / 2);
      // Square-ended, half an inch inside the ring's outer edge at its corners.
      const end = Math.floor(Math.min(half, Math.SQRT2 * half - Math.abs(off) - batten.width / 2)) - inches(1 / 2);
      kit.board(
        { tag, role: 'top', name: 'batten', material: BATTEN },
        boxAt([x, Math.round(half) - end, room.under], [batten.width, 2 * end, batten.thickness]),
        1,
        0,
      );
      // Of the ring the boards that both its ends lie on: a corner of another holds no screw.
      const under = off === 0 ? ['G3', 'G7'] : off > 0 ? ['G2', 'G8'] : ['G4', 'G6'];
      for (const other of [...slats, ...under]) if (kit.touch(tag, other)) kit.join('screws', tag, other);
      return tag;
    });
    kit.assemble('ring', say`Glue up the ring`, names, [], [DRY_FIRST]);
    kit.assemble('top', say`Lay the slats in the ring`, [...slats, ...battens], ['ring'], [faceDown(choices.gap)]);
    return kit.built();
  },
});

/** Past its last batten a slat reaches no farther than this. */
const REACH: Length = inches(8);

/**
 * Where battens cross the slats, from the middle: one there, one near both ends of the shortest slat, so that none
 * turns about a single line, and one near both ends of the longest where that reaches far past these.
 *
 * @param half how far the longest slat reaches.
 */
function battensAt(kit: Kit, slats: readonly string[], half: number, width: Length): readonly number[] {
  const room = width / 2 + inches(1 / 4);
  // The shortest slat in the middle of its slanted ends.
  const short = Math.min(
    ...slats.map((tag) => {
      const { length, outline, width: wide } = kit.get(tag);
      const slants = outline !== null && outline.every(([, y]) => y === 0 || y === wide);
      return (length - (slants ? wide : 0)) / 2;
    }),
  );
  const near = Math.max(Math.floor(width / 2) + inches(1 / 2), Math.floor(short - room));
  const middle = near >= width + inches(1) ? [0] : [];
  const far = half - near > REACH ? [Math.floor(half - room)] : [];
  return [...far.map((off) => -off), -near, ...middle, near, ...far];
}

type Fill = {
  readonly half: number;
  readonly centre: number;
  readonly z: Length;
  readonly gap: Length;
  readonly stock: Nominal;
};

/** Slats across the ring's middle, each cut to the octagon. */
function fill(kit: Kit, { half, centre, z, gap, stock }: Fill): readonly string[] {
  const { width, thickness } = kit.sizes.dressed(stock);
  const number = Math.max(1, Math.floor((2 * half + gap) / (width + gap)));
  const start = -(number * width + (number - 1) * gap) / 2;
  return Array.from({ length: number }, (_, at) => {
    const y0 = Math.round(start + at * (width + gap));
    const points = octagonIn(
      [
        [-half, y0],
        [half, y0],
        [half, y0 + width],
        [-half, y0 + width],
      ],
      half,
    );
    const left = Math.min(...points.map(([x]) => x));
    const tag = `T${at + 1}`;
    const part = kit.shaped(
      {
        tag,
        role: 'top',
        name: 'slat',
        material: stock,
        fit: say`from ring to ring at its place, less a gap at each end`,
        dependsOn: ['G1', 'G5'],
      },
      points.map(([x, y]): Corner => [x - left, y - y0]),
      thickness,
      { at: [centre + left, centre + y0, z], u: [1, 0, 0], v: [0, 1, 0] },
    );
    kit.put({ ...part, width });
    return tag;
  });
}
