import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import fc from 'fast-check';
import type { Vec } from '../solid';
import { envelope, factored, narrowOrder, solved } from './envelope';
import { beam, given, motionOf, rod, solver, spring, type Grip, type Mode, type BeamSection } from './frame';

const STIFF = 1e12;
const held = (node: number): Mode[] =>
  Array.from({ length: 6 }, (_, at) => ({ stiffness: STIFF, on: [[6 * node + at, 1]] }));
const at = (node: number): Grip => [{ node, share: 1, arm: [0, 0, 0] }];
/** A 2x4 of fir flat and on edge: E 1.4e6, 1 1/2 by 3 1/2. */
const bending = [(1.4e6 * 1.5 * 3.5 ** 3) / 12, (1.4e6 * 3.5 * 1.5 ** 3) / 12] as const;
const section: BeamSection = { axial: 1.4e6 * 5.25, torsion: 1e5, bending, shear: null };
const UP: Vec = [0, 0, 1];
/** Nodes on a line along x, beams between them; the first way across is up. */
const line = (length: number, pieces: number, of: BeamSection = section) => {
  const places = Array.from({ length: pieces + 1 }, (_, k): Vec => [(length * k) / pieces, 0, 0]);
  return places.slice(1).flatMap((to, k) => beam([k, k + 1], places[k]!, to, UP, of));
};

describe('a matrix in its envelope', () => {
  test('solves what a well-known package solves, whatever the shape of the envelope', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 14 }),
        fc.infiniteStream(fc.double({ min: -1, max: 1, noNaN: true })),
        (n, stream) => {
          const next = () => stream.next().value as number;
          const first = Int32Array.from({ length: n }, (_, row) => Math.floor(Math.abs(next()) * row));
          const own = envelope(first);
          const full = Matrix.zeros(n, n);
          for (let row = 0; row < n; row++)
            for (let column = first[row]!; column <= row; column++) {
              const value = row === column ? n + Math.abs(next()) : next();
              own.values[own.base[row]! + column] = value;
              full.set(row, column, value);
              full.set(column, row, value);
            }
          const b = Float64Array.from({ length: n }, next);
          const x = solved(factored(own)!, b);
          const expected = new CholeskyDecomposition(full).solve(Matrix.columnVector([...b])).to1DArray();
          expected.forEach((value, row) => expect(x[row]).toBeCloseTo(value, 9));
        },
      ),
    );
  });

  test('nothing that holds: no answer', () => {
    const own = envelope(Int32Array.from([0, 0]));
    own.values.set([1, -1, 1]);
    expect(factored(own)).toBeNull();
  });

  test('a chain with its numbers mixed up is put in a row again', () => {
    const order = narrowOrder([[3], [4, 2], [1, 3], [0, 2], [1]]);
    for (const [a, b] of [
      [0, 3],
      [3, 2],
      [2, 1],
      [1, 4],
    ] as const)
      expect(Math.abs(order[a]! - order[b]!)).toBe(1);
  });
});

describe('against the textbook, within a thousandth', () => {
  test('cantilever: P L^3 / 3 E I both ways across, and with shear P L / G A more', () => {
    for (const [way, stiff] of [
      [UP, bending[0]],
      [[0, 1, 0] as Vec, bending[1]],
    ] as const) {
      const { moved } = solver({ nodes: 2, modes: [...held(0), ...line(48, 1)], feet: [] })([
        { at: at(1), force: [0, way[1] * -50, way[2] * -50] },
      ])!;
      expect(motionOf(at(1), moved)[way === UP ? 2 : 1] / ((-50 * 48 ** 3) / 3 / stiff)).toBeCloseTo(1, 4);
    }
    const sheared = solver({
      nodes: 2,
      modes: [...held(0), ...line(48, 1, { ...section, shear: [4e5, 4e5] })],
      feet: [],
    });
    const { moved } = sheared([{ at: at(1), force: [0, 0, -50] }])!;
    expect(motionOf(at(1), moved)[2] / ((-50 * 48 ** 3) / 3 / bending[0] - (50 * 48) / 4e5)).toBeCloseTo(1, 4);
  });

  test('fixed at both ends: P L^3 / 192 E I; finer division changes nothing', () => {
    const middle = (pieces: number) => {
      const modes = [...held(0), ...held(pieces), ...line(96, pieces)];
      return motionOf(
        at(pieces / 2),
        solver({ nodes: pieces + 1, modes, feet: [] })([{ at: at(pieces / 2), force: [0, 0, -100] }])!.moved,
      )[2];
    };
    expect(middle(2) / ((-100 * 96 ** 3) / 192 / bending[0])).toBeCloseTo(1, 4);
    expect(middle(8) / middle(2)).toBeCloseTo(1, 6);
  });

  test('twist T L / G J and stretch P L / E A', () => {
    const arm: Grip = [{ node: 1, share: 1, arm: [0, 10, 0] }];
    const { moved } = solver({ nodes: 2, modes: [...held(0), ...line(48, 1)], feet: [] })([
      { at: arm, force: [0, 0, 3] },
      { at: at(1), force: [0, 0, -3] },
    ])!;
    expect(moved[9]! / ((3 * 10 * 48) / 1e5)).toBeCloseTo(1, 4);
    const pulled = solver({
      nodes: 2,
      modes: [...held(0), ...held(1).slice(1), rod([0, 1], [0, 0, 0], [48, 0, 0], 1e6)],
      feet: [],
    });
    expect(pulled([{ at: at(1), force: [20, 0, 0] }])!.moved[6]! / ((20 * 48) / 1e6)).toBeCloseTo(1, 4);
  });

  test('a portal on pinned feet, its rail held by springs: each half by h^3 / 3 E I + h^2 L / 6 E I + h^2 / k', () => {
    const [h, span, k] = [30, 40, 60_000];
    const stiff: BeamSection = { ...section, axial: 1e10 };
    const legs = [
      ...beam([0, 1], [0, 0, 0], [0, 0, h], [1, 0, 0], stiff),
      ...beam([2, 3], [span, 0, 0], [span, 0, h], [1, 0, 0], stiff),
    ];
    const rail = beam([4, 5], [0, 0, h], [span, 0, h], UP, stiff);
    const hinge = (a: number, b: number) =>
      spring({
        a: at(a),
        b: at(b),
        ways: [
          [1, 0, 0],
          [0, 1, 0],
          [0, 0, 1],
        ],
        along: [STIFF, STIFF, STIFF],
        about: [STIFF, k, STIFF],
      });
    // Feet turn only in the plane of the portal.
    const pinned = [0, 2].flatMap((node) => held(node).filter((_, way) => way !== 4));
    const answer = solver({ nodes: 6, modes: [...legs, ...rail, ...hinge(1, 4), ...hinge(3, 5), ...pinned], feet: [] });
    const { moved } = answer([
      { at: at(1), force: [20, 0, 0] },
      { at: at(3), force: [20, 0, 0] },
    ])!;
    // By halves: each leg takes 20 lb and a moment of 20 h, the rail bends in an S, the springs turn.
    const leg = (20 * h ** 3) / 3 / bending[0];
    const turn = (20 * h) / k + (20 * h * span) / 6 / bending[0];
    expect(motionOf(at(1), moved)[0] / (leg + turn * h)).toBeCloseTo(1, 4);
  });

  test('two layers glued: eight times one; lying loose on each other: twice', () => {
    const strip: BeamSection = {
      axial: 1.2e6 * 0.75,
      torsion: 1e5,
      bending: [(1.2e6 * 0.75 ** 3) / 12, 1e6],
      shear: null,
    };
    const sag = (shear: number) => {
      const pieces = 24;
      const nodes = 2 * (pieces + 1);
      const places = (z: number) => Array.from({ length: pieces + 1 }, (_, k): Vec => [1.5 * k, 0, z]);
      const modes = [0, 0.75].flatMap((z, layer) =>
        places(z)
          .slice(1)
          .flatMap((to, k) => {
            const from = layer * (pieces + 1) + k;
            return beam([from, from + 1], places(z)[k]!, to, UP, strip);
          }),
      );
      const glue = places(0).flatMap((_, k) =>
        spring({
          a: [{ node: k, share: 1, arm: [0, 0, 0.375] }],
          b: [{ node: pieces + 1 + k, share: 1, arm: [0, 0, -0.375] }],
          ways: [
            [1, 0, 0],
            [0, 1, 0],
            [0, 0, 1],
          ],
          along: [shear, 1e8, 1e8],
          about: [1e5, 0, 0],
        }),
      );
      const carried: Mode[] = [0, pieces].flatMap((node) =>
        held(node).filter((_, way) => [1, 2, 3, 5].includes(way) || (way === 0 && node === 0)),
      );
      const middle = pieces / 2;
      return motionOf(
        at(middle),
        solver({ nodes, modes: [...modes, ...glue, ...carried], feet: [] })([{ at: at(middle), force: [0, 0, -10] }])!
          .moved,
      )[2];
    };
    const one = (-10 * 36 ** 3) / 48 / ((1.2e6 * 0.75 ** 3) / 12);
    expect(one / sag(1e9)).toBeGreaterThan(7.9);
    expect(one / sag(1e9)).toBeLessThan(8.02);
    expect(one / sag(1)).toBeCloseTo(2, 2);
  });
});

describe('laws', () => {
  const stool = (k: number) => {
    const legs = [
      [0, 0],
      [16, 0],
      [16, 16],
      [0, 16],
    ] as const;
    const tops = legs.map(([x, y]): Vec => [x, y, 18]);
    const modes = [
      ...legs.flatMap(([x, y], i) => beam([i, i + 4], [x, y, 0], tops[i]!, [1, 0.3, 0], section)),
      ...legs.flatMap((_, i) => beam([4 + i, 4 + ((i + 1) % 4)], tops[i]!, tops[(i + 1) % 4]!, UP, section)),
      ...legs.flatMap((_, i): Mode[] => [3, 4, 5].map((way) => ({ stiffness: k, on: [[6 * i + way, 1]] }))),
    ];
    const feet = legs.map((_, i) => ({
      down: { stiffness: 2e4, on: [[6 * i + 2, 1]] } as Mode,
      sideways: [0, 1].map((way): Mode => ({ stiffness: 2e4, on: [[6 * i + way, 1]] })),
    }));
    return { nodes: 8, modes, feet };
  };

  test('the work of the load is the energy of all that gives; what one load moves, the other moves alike', () => {
    const structure = stool(10);
    const answer = solver(structure);
    const load = (node: number, force: Vec) => answer([{ at: at(node), force }])!;
    const force: Vec = [4, 3, -60];
    const { moved, lifted } = load(5, force);
    const stored = [
      ...structure.modes,
      ...structure.feet
        .filter((_, foot) => !lifted.includes(foot))
        .flatMap(({ down, sideways }) => [down, ...sideways]),
    ].reduce((sum, mode) => sum + (mode.stiffness * given(mode, moved) ** 2) / 2, 0);
    const [x, y, z] = motionOf(at(5), moved);
    expect(stored / ((force[0] * x + force[1] * y + force[2] * z) / 2)).toBeCloseTo(1, 6);
    // Maxwell: with all feet down.
    const weighed = (node: number, way: Vec) =>
      [0, 1, 2, 3].map((foot) => ({ at: at(foot), force: [0, 0, -500] as Vec })).concat([{ at: at(node), force: way }]);
    const still = motionOf(at(6), answer(weighed(4, [0, 0, 0]))!.moved);
    const one = motionOf(at(6), answer(weighed(4, [10, 0, 0]))!.moved);
    const other = motionOf(at(4), answer(weighed(6, [0, 10, 0]))!.moved);
    const other0 = motionOf(at(4), answer(weighed(6, [0, 0, 0]))!.moved);
    expect(one[1] - still[1]).toBeCloseTo(other[0] - other0[0], 9);
  });

  test('a foot that is lifted does not pull; a push that nothing holds comes back as null', () => {
    const answer = solver(stool(0));
    // Straight down between the feet: all stand. Down over one corner: the far one hangs in the air.
    expect(
      answer([
        {
          at: [
            { node: 4, share: 0.5, arm: [8, 8, 0] },
            { node: 6, share: 0.5, arm: [-8, -8, 0] },
          ],
          force: [0, 0, -50],
        },
      ])!.lifted,
    ).toEqual([]);
    expect(answer([{ at: [{ node: 4, share: 1, arm: [1, 1, 0] }], force: [0, 0, -50] }])!.lifted).toContain(2);
    expect(answer([{ at: [{ node: 4, share: 1, arm: [-30, 8, 0] }], force: [0, 0, -50] }])).toBeNull();
  });
});
