import { inches, printLength, toInches, type Length } from '../length';
import { DEFAULT_SHOP, type Piece } from '../job';
import { AS_SOLD, sizesIn, TABLE_SIZES } from '../stock';
import { facesOf, norm, sub, volumeOf } from '../solid';
import { crossAngle } from './bases/x-frame';
import { longestTravel } from './bases/extending';
import { riseOf } from './bases/strut';
import { drawerSizes } from './drawers';
import { octagonSide } from './tops/octagon';
import { chordSaving, halfChord, strip } from './tops/round';
import { seams } from './tops/planks';
import { tiledSize, tileRun } from './tops/tiles';
import { boxOf, buildPiece, edgeLength, newPiece, shortLength, solidOf, type Part } from './index';

/** Every figure here is worked out on paper from the sizes stated; nothing is read back from the program first. */
const built = (piece: Piece): ((tag: string) => Part) => {
  const { parts, findings } = buildPiece(piece, '2x6', DEFAULT_SHOP, 'in');
  expect(findings).toEqual([]);
  return (tag) => parts.find((part) => part.tag === tag)!;
};
const printed = (length: Length) => printLength(length, 'in');
const degrees = (radians: number) => (radians * 180) / Math.PI;

describe('a splayed leg', () => {
  const base = newPiece('s', 'splayed');
  const leg = (splayEnds: number, splaySides: number) =>
    built({
      ...base,
      top: 'panel',
      size: { length: inches(40), width: inches(24), height: inches(24.75) },
      choices: { ...base.choices, legs: '4x4', splayEnds, splaySides, stretchers: 'none', apron: '1x3' },
    })('L1');

  test('one way, 10 degrees, 24 in under the top', () => {
    const part = leg(10, 0);
    // Along an edge: 24 / cos 10 = 24.3703; long point to long point 3 1/2 tan 10 = 0.6171 more.
    expect(toInches(edgeLength(part)!)).toBeCloseTo(24.3703, 3);
    expect(toInches(part.length)).toBeCloseTo(24.3703 + 0.6171, 3);
    expect([part.ends.left.mitre, part.ends.right.mitre].map(Math.abs)).toEqual([
      expect.closeTo(10, 6),
      expect.closeTo(10, 6),
    ]);
    expect(part.ends.left.mitre).toBeCloseTo(part.ends.right.mitre, 6);
    expect(part.ends.left.bevel).toBeCloseTo(0, 6);
    // It leans 24 tan 10 = 4.2318 along the table.
    const { min, max } = boxOf(part);
    expect(toInches(max[0] - min[0])).toBeCloseTo(4.2318 + 3.5 / Math.cos((10 * Math.PI) / 180), 2);
  });

  test('both ways, 10 and 6 degrees: the compound cuts', () => {
    const part = leg(10, 6);
    // Its middle line is (tan 10, tan 6, 1): as long as 24 sqrt(1 + tan2 10 + tan2 6) = 24.4997.
    const [a, b] = [Math.tan((10 * Math.PI) / 180), Math.tan((6 * Math.PI) / 180)];
    expect(toInches(edgeLength(part)!)).toBeCloseTo(24 * Math.sqrt(1 + a * a + b * b), 2);
    // Face and edge angles: tan(mitre) and tan(bevel) are what a level plane makes of the leg's own two directions.
    const d = [a, b, 1].map((value) => value / Math.sqrt(1 + a * a + b * b)) as [number, number, number];
    const v = [1 - d[0] * d[0], -d[0] * d[1], -d[0] * d[2]].map((value) => value / Math.sqrt(1 - d[0] * d[0]));
    const w = [d[1] * v[2]! - d[2] * v[1]!, d[2] * v[0]! - d[0] * v[2]!, d[0] * v[1]! - d[1] * v[0]!];
    expect(Math.abs(part.ends.left.mitre)).toBeCloseTo(Math.abs(degrees(Math.atan(v[2]! / d[2]))), 4);
    expect(Math.abs(part.ends.left.bevel)).toBeCloseTo(Math.abs(degrees(Math.atan(w[2]! / d[2]))), 4);
  });
});

test('an octagon 40 across its flats has sides of 16.5685, mitred 22 1/2', () => {
  // s = w (sqrt 2 - 1)
  expect(octagonSide(40)).toBeCloseTo(40 * (Math.SQRT2 - 1), 6);
  const ring = built(newPiece('o', 'octagon'))('G1');
  expect(toInches(ring.length)).toBeCloseTo(16.5685, 3);
  expect([ring.ends.left.mitre, ring.ends.right.mitre]).toEqual([22.5, -22.5]);
  // Its inner side, 5 1/2 further in: 16.5685 - 2 x 5 1/2 x tan 22.5 = 12.0122.
  expect(toInches(shortLength(ring))).toBeCloseTo(12.0122, 3);
});

test('a strut at 45 degrees from 12 in out reaches 12 in up; at 60 degrees 20.78', () => {
  expect(riseOf(12, 45)).toBeCloseTo(12, 9);
  expect(riseOf(12, 60)).toBeCloseTo(20.7846, 4);
  const base = newPiece('t', 'trestle');
  const get = built({ ...base, choices: { ...base.choices, kickers: false, headStruts: false, strutAngle: 45 } });
  const strut = get('D1');
  // Foot 36 - 2 x 4 = 28 long, post 3 1/2: (28 - 3 1/2) / 2 - 1 1/2 = 10 3/4 out. The long edge is its hypotenuse.
  expect(toInches(strut.length)).toBeCloseTo(10.75 * Math.SQRT2, 3);
  expect([strut.ends.left.mitre, strut.ends.right.mitre].map(Math.abs)).toEqual([
    expect.closeTo(45, 6),
    expect.closeTo(45, 6),
  ]);
  expect(toInches(shortLength(strut))).toBeCloseTo(10.75 * Math.SQRT2 - 2 * 2.5, 3);
  expect(toInches(boxOf(strut).max[2])).toBeCloseTo(3.5 + 10.75, 3);
});

test('an X frame 26 wide and 24 1/2 high of 3 1/2 stock stands at 48.9 degrees', () => {
  const angle = crossAngle(24.5, 26, 3.5);
  const [sin, cos] = [Math.sin((angle * Math.PI) / 180), Math.cos((angle * Math.PI) / 180)];
  // Checked back: its foot is 3 1/2 / sin wide, and from there the middle line climbs 24 1/2 in what is left of 26.
  expect(24.5 / Math.tan((angle * Math.PI) / 180) + 3.5 / sin).toBeCloseTo(26, 6);
  expect(26 * sin - 24.5 * cos).toBeCloseTo(3.5, 9);
  expect(angle).toBeCloseTo(48.92, 1);
});

test('the half lap of an X takes half of each leg', () => {
  const get = built(newPiece('x', 'x-frame'));
  const [a, b] = [get('L1'), get('L2')];
  const lap = (part: Part) => part.length * part.width * part.thickness - volumeOf(solidOf(part));
  const ends = (part: Part) =>
    part.width * part.width * Math.tan((Math.abs(part.ends.left.mitre) * Math.PI) / 180) * part.thickness;
  // Both ends together take a parallelogram's worth of one square end off the box around it.
  const [takenA, takenB] = [lap(a) - ends(a), lap(b) - ends(b)];
  expect(takenA / takenB).toBeCloseTo(1, 4);
  // The crossing is a rhombus of side w / sin(2 t) and height w.
  const angle = 2 * (90 - Math.abs(a.ends.left.mitre));
  const rhombus = (a.width * a.width) / Math.sin((angle * Math.PI) / 180);
  expect(takenA / (Math.abs(rhombus) * (a.thickness / 2))).toBeCloseTo(1, 3);
});

describe('a round top 42 across', () => {
  test('chords of a disc: 3-4-5', () => {
    expect(halfChord(5, 3)).toBe(4);
    expect(halfChord(5, 5)).toBe(0);
  });

  test('eight boards: each as long as its longest chord', () => {
    const get = built({ ...newPiece('r', 'pedestal'), topChoices: { width: '6' } });
    // 42 / 8 = 5 1/4. From the middle: 0, 5 1/4, 10 1/2, 15 3/4 are the near edges.
    const chord = (off: number) => 2 * Math.sqrt(21 * 21 - off * off);
    expect(['T4', 'T3', 'T2', 'T1'].map((tag) => toInches(get(tag).length))).toEqual(
      [0, 5.25, 10.5, 15.75].map((off) => expect.closeTo(chord(off), 3)),
    );
    const boards = ['T1', 'T2', 'T3', 'T4', 'T5', 'T6', 'T7', 'T8'].map((tag) => get(tag).length);
    // Against eight boards of 42: 2 x (42 - 27.7793 + 42 - 36.3731 + 42 - 40.6663) = 42.36.
    expect(toInches(chordSaving(inches(42), boards))).toBeCloseTo(
      2 * [15.75, 10.5, 5.25].reduce((sum, off) => sum + 42 - chord(off), 0),
      2,
    );
    // Together they are the disc, less what chords of ten degrees cut off its rim.
    const area =
      boards.length &&
      ['T1', 'T2', 'T3', 'T4', 'T5', 'T6', 'T7', 'T8'].reduce((sum, tag) => sum + volumeOf(solidOf(get(tag))), 0) /
        inches(1.5);
    expect(area / (Math.PI * inches(21) ** 2)).toBeGreaterThan(0.99);
    expect(area / (Math.PI * inches(21) ** 2)).toBeLessThan(1);
  });

  test('a strip over the middle is the whole diameter long', () => {
    expect(strip(1000, -300, 400).length).toBe(2000);
    expect(strip(1000, 600, 1000).length).toBe(1600);
  });
});

describe('drawer parts from an opening 16 wide, 5 high, 15 deep', () => {
  test('by hand', () => {
    const sizes = drawerSizes({ width: inches(16), height: inches(5), depth: inches(15) }, inches(1 / 2), {
      width: inches(3 / 8),
      height: inches(1 / 2),
    })!;
    expect(sizes.slide).toBe(14);
    // 16 - 2 x 1/2; 14; 5 - 2 x 1/2
    expect([sizes.box.width, sizes.box.depth, sizes.box.height].map(printed)).toEqual(['15', '14', '4']);
    // 15 - 2 x 1/2 between the sides; the bottom 1/4 into each groove.
    expect(printed(sizes.between)).toBe('14');
    expect([sizes.bottom.width, sizes.bottom.depth].map(printed)).toEqual(['14 1/2', '13 1/2']);
    expect([sizes.front.width, sizes.front.height].map(printed)).toEqual(['16 3/4', '6']);
  });

  test('none where no slide is short enough, or the opening too small', () => {
    const cover = { width: 0, height: 0 };
    expect(drawerSizes({ width: inches(16), height: inches(5), depth: inches(9.9) }, inches(0.5), cover)).toBeNull();
    expect(drawerSizes({ width: inches(4.9), height: inches(5), depth: inches(15) }, inches(0.5), cover)).toBeNull();
    expect(drawerSizes({ width: inches(16), height: inches(2.4), depth: inches(15) }, inches(0.5), cover)).toBeNull();
  });
});

test('a tile frame from its tiles: three 12 in tiles with 1/8 joints', () => {
  // 3 x 12 + 4 x 1/8; and 3 1/2 - 3/4 of frame beside it at each end.
  expect(printed(tileRun(inches(12), 3, inches(1 / 8)))).toBe('36 1/2');
  expect(printed(tiledSize(inches(12), 3, { joint: inches(1 / 8), set: 'loose' }, sizesIn(AS_SOLD, TABLE_SIZES)))).toBe(
    '42',
  );
  const get = built(newPiece('q', 'tiled'));
  expect(printed(get('G1').length)).toBe('42');
  expect(printed(get('Y1').length)).toBe('36 1/2');
  expect(printed(get('Y1').width)).toBe('24 3/8');
});

test('seams of planks step by the stagger and keep off the ends', () => {
  const rows = Array.from({ length: 8 }, (_, row) => seams(inches(72), inches(36), inches(9), row).map(printed));
  expect(rows.slice(0, 4)).toEqual([['36'], ['27', '63'], ['18', '54'], ['9', '45']]);
  // The first row's second seam would fall on the very end; rows repeat after four.
  expect(rows.slice(4)).toEqual(rows.slice(0, 4));
  const near = rows
    .slice(1)
    .flatMap((row, at) => row.flatMap((seam) => rows[at]!.map((other) => Math.abs(Number(seam) - Number(other)))));
  expect(Math.min(...near)).toBeGreaterThanOrEqual(9);
});

test('a leaf comes out as far as its runners keep their hold', () => {
  // Keeper's far side at 31, far apron at 57: 57 - 1/16 - 31 - 3.
  expect(printed(longestTravel(inches(31), inches(57), inches(3), inches(1 / 16)))).toBe('22 15/16');
});

test('a face is flat and its normal square to it', () => {
  const leg = built(newPiece('s', 'splayed'))('L1');
  for (const { points, normal } of facesOf(solidOf(leg)))
    for (const point of points.slice(1)) {
      const along = sub(point, points[0]!);
      expect(Math.abs(along[0] * normal[0] + along[1] * normal[1] + along[2] * normal[2]) / norm(along)).toBeLessThan(
        1e-6,
      );
    }
});
