import { inches } from '../length';
import { newJob, type Job, type Piece } from '../job';
import { newPiece, type Part } from '../piece';
import { board, boxAt } from '../piece/kit';
import type { HardwareNeed } from '../stock';
import { fastenings, hardwareNeeds, weathered, type Fastening } from './index';
import { fastenerLines } from './fastener-list';
import { boughtFor, laminationGlue } from './needs';

const piece: Piece = newPiece('p', 'dining');
const part = (tag: string, x: number, size: readonly [number, number, number], along: 0 | 2): Part =>
  board(
    'p',
    { tag, role: along === 0 ? 'rail' : 'leg', name: tag, material: '2x4' },
    boxAt([inches(x), 0, 0], size.map((one) => inches(one)) as unknown as [number, number, number]),
    along,
    along === 0 ? 2 : 0,
  );
/** A rail 20 long between two posts, two pocket screws at each end. */
const parts = [
  part('R', 3.5, [20, 1.5, 3.5], 0),
  part('P', 0, [3.5, 1.5, 3.5], 2),
  part('Q', 23.5, [3.5, 1.5, 3.5], 2),
];
const made: readonly Fastening[] = fastenings(
  ['P', 'Q'].map((into) => ({
    ...{ id: `p.R>${into}`, piece: 'p', kind: 'rail end', drilled: 'p.R', into: `p.${into}`, apart: false },
  })),
  parts,
  'in',
  piece,
);
const job = (change: Partial<Piece> = {}): Job => ({ ...newJob('j'), pieces: [{ ...piece, ...change }] });
const needs = (of: Job, own = made, asked: readonly HardwareNeed[] = [], list: readonly Part[] = parts) =>
  hardwareNeeds(of, list, own, new Map([['p', asked]]));
const count = (list: readonly HardwareNeed[], kind: string) =>
  list.filter((need) => need.kind === kind).reduce((sum, need) => sum + need.count, 0);

test('two rail ends of 3 1/2: four pocket screws, glue for two ends, and as often as there are copies', () => {
  const one = needs(job());
  expect(one.filter(({ kind }) => kind === 'pocket-screw')).toEqual([
    { kind: 'pocket-screw', size: '2 1/2', count: 4 },
  ]);
  expect(count(needs(job({ copies: 3 })), 'pocket-screw')).toBe(12);
  // 2 x 1 1/2 x 3 1/2 is 10.5 square inches, of 288 an ounce: still a whole ounce.
  expect(count(one, 'glue')).toBe(1);
});

test('outside screws are coated, and glue is waterproof', () => {
  const of = job({ outside: true });
  const list = needs(of, weathered(made, of.pieces[0]!));
  expect(list.map(({ kind, size }) => `${kind} ${size}`)).toEqual(['pocket-screw 2 1/2 coated', 'glue waterproof']);
  expect(weathered(made, { outside: false })).toBe(made);
});

test('a leg of three boards takes both faces of two joints of glue', () => {
  const laminated = { ...parts[1]!, plies: 3, length: inches(48), width: inches(3.5) };
  // 2 x 2 x 48 x 3 1/2 is 672 square inches: two and a third ounces, with the ends of the rail.
  expect(laminationGlue(laminated)).toBeCloseTo(672, 6);
  expect(laminationGlue(parts[1]!)).toBe(0);
  expect(count(needs(job(), made, [], [...parts, laminated]), 'glue')).toBe(3);
});

test('what no joint drives is bought as often as there are copies; a trowel and a float once for all', () => {
  const asked: readonly HardwareNeed[] = [
    { kind: 'slide', size: '14', count: 2 },
    { kind: 'tile-tool', size: 'sponge', count: 1 },
    { kind: 'tile-tool', size: 'rubber float', count: 1 },
  ];
  const list = needs(job({ copies: 2 }), made, asked);
  expect(count(list, 'slide')).toBe(4);
  expect(count(list, 'tile-tool')).toBe(2);
});

test('what is bought as it is stands on the list, at its own price where it has one', () => {
  const bought = (tag: string, price?: number): Part => ({
    ...parts[1]!,
    ...{ id: `p.${tag}`, tag, material: 'bought' },
    bought: { kind: 'leg', size: '28', pounds: 4, ...(price === undefined ? {} : { price }) },
  });
  const list = needs(job(), [], [], [bought('L1'), bought('L2'), bought('L3', 900)]);
  expect(list).toEqual([
    { kind: 'leg', size: '28', count: 2 },
    { kind: 'leg', size: '28', count: 1, price: 900 },
  ]);
});

test('sizes of a kind stand in the order of their numbers', () => {
  const asked = ['16', '8', '12'].map((size): HardwareNeed => ({ kind: 'slide', size, count: 1 }));
  expect(needs(job(), [], asked).map(({ size }) => size)).toEqual(['8', '12', '16']);
});

describe('the list of fasteners, with what is drilled for each', () => {
  test('alike ones are one line; pockets are drilled by the jig', () => {
    expect(fastenerLines(made, 2)).toEqual([
      expect.objectContaining({
        ...{ kind: 'pocket-screw', size: '2 1/2', count: 8 },
        ...{ pilot: 'by the jig', clearance: 'by the jig', counterbore: '3/8 pocket' },
      }),
    ]);
  });

  test('screws from outside with plugs: the plug has the bore of its counterbore, one each', () => {
    const plugged = fastenings(
      made.map(({ joint }) => joint),
      parts,
      'in',
      { ...piece, joins: { 'rail end': { by: 'plugged screws' } } },
    );
    const lines = fastenerLines(plugged, 1);
    const [screw, plug] = ['screw', 'plug'].map((kind) => lines.find((line) => line.kind === kind)!);
    expect(plug!.count).toBe(screw!.count);
    expect(plug!.pilot).toBe(plug!.size);
    expect(screw!.counterbore).toBe(plug!.size);
    expect([screw!.pilot, screw!.clearance].every((hole) => /\d/.test(hole))).toBe(true);
    for (const item of plugged) expect(boughtFor(item).map(({ kind }) => kind)).toEqual(['screw', 'plug']);
  });

  test('of two woods the harder one says the pilot', () => {
    const oak = parts.map((one) => (one.tag === 'R' ? one : { ...one, material: 'oak 2x4' as const }));
    const lines = (list: readonly Part[]) =>
      fastenerLines(
        fastenings(
          made.map(({ joint }) => joint),
          list,
          'in',
          { ...piece, joins: { 'rail end': { by: 'plugged screws' } } },
        ),
        1,
      ).find(({ kind }) => kind === 'screw')!;
    const across = (hole: string) => Number(hole.split('/')[0]) / Number(hole.split('/')[1]);
    expect(across(lines(oak).pilot)).toBeGreaterThan(across(lines(parts).pilot));
  });
});
