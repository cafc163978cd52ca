import { first, found, held } from '../../lists';
import { inches, printLength } from '../../length';
import { applyChanges, DEFAULT_SHOP, newJob, type Piece } from '../../job';
import { planJob } from '../../plan';
import { rehearse } from '../../rehearsal';
import { plain } from '../../words';
import { common, limitsOf, volumeOf } from '../../solid';
import {
  boxOf,
  buildPiece,
  longHingeFor,
  longHingePlaces,
  newPiece,
  openedBy,
  solidOf,
  topCandidates,
  type Choices,
} from '../index';

/** Sizes of the parts of a start as it stands in the gallery, by tag, as a tape reads them. */
function partsOf(start: string) {
  const piece = newPiece('p', start);
  const { parts } = buildPiece(piece, first(topCandidates(piece)), DEFAULT_SHOP, 'in');
  const sizes = new Map(
    parts.map(({ tag, length, width, thickness }) => [
      tag,
      [length, width, thickness].map((size) => printLength(size, 'in')).join(' x '),
    ]),
  );
  return {
    sizes,
    is: (tags: string, size: string) => {
      for (const tag of tags.split(' ')) expect([tag, held(sizes, tag)]).toEqual([tag, size]);
    },
    part: (tag: string) => found(parts, (one) => one.tag === tag),
    count: (tags: RegExp) => parts.filter(({ tag }) => tags.test(tag)).length,
  };
}

test('a board-end bench, 48 x 14 x 18', () => {
  const { is, count } = partsOf('bench');
  is('E1A E1B E2A E2B', '16 1/2 x 5 1/2 x 1 1/2'); // 18 - 1 1/2; (14 - 2 x 3/4 overhang - 2 x 3/4 apron) / 2
  is('A1 A2', '44 x 3 1/2 x 3/4'); // 48 - 2 x 2
  is('S1', '37 x 3 1/2 x 1 1/2'); // 44 - 2 x (2 inset + 1 1/2)
  expect(count(/^E/)).toBe(4);
});

test('a trestle table, 72 x 36 x 29 1/2 with breadboard ends', () => {
  const { is } = partsOf('trestle');
  is('T1 T12', '65 x 3 x 1 1/2'); // 72 - 2 x 3 1/2 ends; 36 in twelve
  is('B1 B2', '36 x 3 1/2 x 1 1/2');
  is('F1 K1 F2 K2', '28 x 3 1/2 x 3 1/2'); // 36 - 2 x 4
  is('P1 P2', '21 x 3 1/2 x 3 1/2'); // 29 1/2 - 1 1/2 - 2 x 3 1/2
  is('S1', '41 x 5 1/2 x 1 1/2'); // 72 - 2 x 12 - 2 x 3 1/2
  is('N1', '41 x 3 1/2 x 1 1/2');
  // Two share the post: (21 - 1) / 2 = 10, times the root of two; the kickers run 10 too.
  is('D1 D2 D3 D4 D5 D6 D7 D8', '14 9/64 x 2 1/2 x 1 1/2');
  is('V1 V2', '14 9/64 x 2 1/2 x 1 1/2');
});

test('a heavy trestle table, 78 x 36 x 30: two posts a trestle', () => {
  const { is } = partsOf('heavy');
  is('F1 F2 K1 K2', '28 x 3 1/2 x 3 1/2'); // 36 - 2 x 4
  is('P1 P2 P3 P4', '21 1/2 x 3 1/2 x 3 1/2'); // 30 - 1 1/2 - 2 x 3 1/2
  is('S1', '54 x 3 1/2 x 3 1/2'); // 78 - 2 x 12: lapped over the posts
});

test('an end table with two drawers, 22 x 18 x 24, its sheet edged all round', () => {
  const { is, part } = partsOf('end-table');
  is('T1', '20 1/2 x 16 1/2 x 23/32'); // 22 and 18 less 3/4 on each side
  is('G1 G2', '22 x 23/32 x 3/4'); // mitred: long point to long point
  is('G3 G4', '18 x 23/32 x 3/4');
  is('L1 L2 L3 L4', '23 9/32 x 3 1/2 x 2 1/4'); // 24 - 23/32; three 1x4
  is('R1 R2 R3', '13 x 1 1/2 x 3/4'); // 22 - 2 x 1 - 2 x 3 1/2
  is('E1 E2', '11 1/2 x 6 1/4 x 3/4'); // 18 - 2 x 1 - 2 x 2 1/4
  is('W1C W1D W2C W2D', '11 1/16 x 3 x 15/32'); // 13 - 2 x 1/2 for slides - 2 x 15/32
  expect(part('W1F').length).toBe(inches(12.75)); // 13 - 2 x 1/8
});

test('an extending table, 60 x 34 x 30: leaves of 14 that keep 3 under the top', () => {
  const { is } = partsOf('extending');
  is('L1 L4', '27 21/32 x 3 1/2 x 3'); // 30 - 1 1/2 - (23/32 + 2 x 1/16)
  is('A1 A2', '49 x 3 1/2 x 1 1/2'); // 60 - 2 x 2 - 2 x 3 1/2
  is('E1 E2', '24 x 3 1/2 x 1 1/2'); // 34 - 2 x 2 - 2 x 3
  is('Z1 Z2', '49 x 27/32 x 3/4'); // as long as the apron, as high as the gap
  is('N1', '25 1/2 x 4 11/32 x 1 1/2'); // 34 - 2 x 2 - 2 x 3/4 setback - 2 x 1 1/2; 3 1/2 + 27/32
  is('M1 M2', '26 7/8 x 17 x 23/32'); // 25 1/2 + 2 x 1 1/2 - 2 x 3/4 - 2 x 1/16; 14 + 3
  is('U1 U2 U3 U4', '46 3/4 x 1 1/2 x 3/4'); // 14 + 3 + the keeper's far side at 30 3/4 - 1
});

test('a shelf unit, 48 x 18 x 72', () => {
  const { is, count } = partsOf('shelf-unit');
  is('L1 L2 L3 L4', '71 9/32 x 2 1/2 x 1 1/2'); // 72 - 23/32
  is('R1 R8', '45 x 3 1/2 x 1 1/2'); // 48 - 2 x 1 1/2
  is('S1 S8', '13 x 3 1/2 x 1 1/2'); // 18 - 2 x 2 1/2
  is('H1 H4', '48 x 18 x 23/32');
  expect([count(/^R/), count(/^S/), count(/^H/)]).toEqual([8, 8, 4]);
});

test('a hairpin table, 42 x 20 x 17 1/2: legs of 16 under an inch and a half', () => {
  const { is, part } = partsOf('hairpin');
  expect(part('L1').length).toBe(inches(16)); // 17 1/2 - 1 1/2
  is('C1 C2', '16 x 3 1/2 x 3/4'); // 20 - 2 x 2
});

test('an X frame, 66 x 34 x 29 1/2 under planks on plywood', () => {
  const { is } = partsOf('x-frame');
  is('Y1', '64 1/2 x 32 1/2 x 23/32'); // 66 and 34 less 3/4 on each side
  is('G1 G2', '66 x 1 15/32 x 3/4'); // 23/32 + 3/4 high
  is('K1 K2', '26 x 3 1/2 x 1 1/2'); // 34 - 2 x 4
  is('S1 N1', '47 x 3 1/2 x 1 1/2'); // 66 - 2 x 8 - 2 x 1 1/2
});

test('a cupboard, 30 x 15 x 34, with doors over its front and a kick of 3 1/2', () => {
  const { is } = partsOf('cupboard');
  is('G1 G2', '29 25/32 x 14 9/32 x 23/32'); // 34 - 3 1/2 - 23/32; 15 - 23/32
  is('T1', '30 x 14 9/32 x 23/32');
  is('B1', '28 9/16 x 14 1/16 x 23/32'); // 30 - 2 x 23/32; 14 9/32 - 7/32 of the back
  is('H1A H1B', '28 7/16 x 14 1/16 x 23/32'); // loose: 1/16 of play at each end
  is('D1A D1B', '30 1/4 x 14 13/16 x 23/32'); // 34 - 3 1/2 - 2 x 1/8; (30 - 3 x 1/8) / 2
});

test('a chest of four drawers, 20 x 18 x 28 on legs of 3', () => {
  const { is, part } = partsOf('chest');
  is('G1 G2', '24 9/32 x 17 9/32 x 23/32'); // 28 - 3 - 23/32; 18 - 23/32
  is('W1C W4D', '16 5/8 x 4 57/64 x 15/32'); // 20 - 2 x 23/32 - 2 x 1/2 - 2 x 15/32
  is('L1 L4', '3 x 1 1/2 x 1 1/2');
  const fronts = ['W1F', 'W2F', 'W3F', 'W4F'].map(part);
  for (const { length } of fronts) expect(length).toBe(inches(19.75)); // 20 - 2 x 1/8
  // Four fronts and five reveals of 1/8 are the height of the case.
  expect(fronts.reduce((sum, { width }) => sum + width, 0)).toBe(inches(28 - 3 - 5 / 8));
});

test('a bookcase, 32 x 11 1/2 x 60: shelves housed a quarter deep, the back let in half way', () => {
  const { is } = partsOf('bookcase');
  is('G1 G2', '55 25/32 x 11 1/2 x 23/32'); // 60 - 3 1/2 - 23/32
  is('B1', '30 9/16 x 11 9/32 x 23/32'); // 32 - 2 x 23/32; 11 1/2 - 7/32
  is('H1A H1B H1C H1D', '31 1/16 x 11 9/32 x 23/32'); // 30 9/16 + 2 x 1/4
  is('P1 P2', '30 x 3 1/2 x 3/4'); // 32 - 2 x 1
  expect(partsOf('bookcase').part('K1').length).toBe(inches(32 - 23 / 32));
});

describe('a cupboard, 30 x 15 x 34, otherwise', () => {
  const cupboard = (choices: Choices) => {
    const base = newPiece('p', 'cupboard');
    const piece = { ...base, choices: { ...base.choices, ...choices } };
    const { parts, joints, needs, findings } = buildPiece(piece, first(topCandidates(piece)), DEFAULT_SHOP, 'in');
    expect(findings).toEqual([]);
    const sizes = new Map(
      parts.map((part) => [
        part.tag,
        [part.length, part.width, part.thickness].map((side) => printLength(side, 'in')).join(' x '),
      ]),
    );
    const kinds = (kind: string) => joints.filter((one) => one.kind === kind).map(({ id }) => id.slice(2));
    const needed = (kind: string) =>
      needs.filter((need) => need.kind === kind).map(({ size, count }) => `${count} ${size}`.trim());
    return { sizes, kinds, needed };
  };

  test('doors inside the case, 3/32 all round: the case is as deep as the piece, shelves end behind the doors', () => {
    const { sizes } = cupboard({ fronts: 'inset', gap: inches(3 / 32) });
    expect(held(sizes, 'G1')).toBe('29 25/32 x 15 x 23/32');
    expect(held(sizes, 'D1A')).toBe('28 7/8 x 14 9/64 x 23/32'); // 34 - 3 1/2 - 2 x 23/32 - 3/16; (28 9/16 - 9/32) / 2
    expect(held(sizes, 'H1A')).toBe('28 7/16 x 13 15/16 x 23/32'); // 15 - 7/32 - 23/32 - 1/8
  });

  test('drawers inside it: their fronts and the gaps between come to the opening', () => {
    const { sizes } = cupboard({ front: 'drawers', drawers: 3, fronts: 'inset', gap: inches(1 / 8) });
    const fronts = ['W1F', 'W2F', 'W3F'].map((tag) => held(sizes, tag));
    for (const front of fronts) expect(front).toMatch(/^28 5\/16 x /); // 28 9/16 - 1/4
  });

  test('pockets from inside: the sides end under the top, the bottom between them, and no head is outside', () => {
    const { kinds } = cupboard({ held: 'pockets' });
    expect(kinds('rail end')).toEqual(['G1>T1', 'B1>G1', 'G2>T1', 'B1>G2']);
    expect(kinds('screws')).toEqual(expect.not.arrayContaining(['T1>G1', 'G1>B1']));
  });

  test('on legs in a frame 6 high: 1x3 rails between them; low ones stand by themselves; bought ones on plates', () => {
    const framed = cupboard({ stand: 'legs', standHeight: inches(6) });
    expect(held(framed.sizes, 'R1')).toBe('25 x 2 1/2 x 3/4'); // 30 - 2 x 1 - 2 x 1 1/2
    expect(framed.kinds('screws')).toEqual(expect.arrayContaining(['B1>R1', 'B1>S2']));
    const low = cupboard({ stand: 'legs', standHeight: inches(2) });
    expect([low.sizes.has('R1'), low.kinds('screws').filter((id) => id.startsWith('B1>L'))]).toEqual([
      false,
      ['B1>L1', 'B1>L2', 'B1>L3', 'B1>L4'],
    ]);
    const bought = cupboard({ stand: 'bought', standLeg: 'hairpin 8' });
    expect(bought.kinds('plate')).toEqual(['L1>B1', 'L2>B1', 'L3>B1', 'L4>B1']);
  });

  test('mitred at the top: the sides reach up to the outer corner, the top over them, glued', () => {
    const { sizes, kinds } = cupboard({ corners: 'mitred' });
    expect(held(sizes, 'G1')).toBe('30 1/2 x 14 9/32 x 23/32'); // 34 - 3 1/2
    expect(held(sizes, 'T1')).toBe('30 x 14 9/32 x 23/32');
    expect(kinds('lamination')).toEqual(['G1>T1', 'G2>T1']);
    expect(kinds('screws')).not.toContain('T1>G1');
    const piece = newPiece('p', 'cupboard');
    const choices = { ...piece.choices, corners: 'mitred' };
    const { parts } = buildPiece({ ...piece, choices }, first(topCandidates(piece)), DEFAULT_SHOP, 'in');
    const { left, right } = found(parts, ({ tag }) => tag === 'T1').ends;
    expect([left, right].map(({ bevel, mitre }) => [Math.abs(bevel), mitre])).toEqual([
      [45, 0],
      [45, 0],
    ]);
  });

  test('what shuts is held shut: a catch a door, two and two stays for what drops', () => {
    expect(cupboard({}).needed('catch')).toEqual(['1', '1']);
    const dropped = cupboard({ front: 'drop front' });
    expect([dropped.needed('catch'), dropped.needed('stay')]).toEqual([['2'], ['2 10']]);
    expect(cupboard({ front: 'open' }).needed('catch')).toEqual([]);
  });
});

/** A start with other choices: each part as length x width x thickness, its joints of a kind, what is bought for it. */
const made = (start: string, choices: Choices) => {
  const base = newPiece('p', start);
  const piece = { ...base, choices: { ...base.choices, ...choices } };
  const { parts, joints, needs, findings } = buildPiece(piece, topCandidates(piece)[0]!, DEFAULT_SHOP, 'in');
  return {
    parts,
    findings,
    sizes: new Map(parts.map((part) => [part.tag, [part.length, part.width, part.thickness] as const])),
    joints: joints.map(({ kind, id }) => `${kind} ${id.replace(/^p\./, '')}`),
    count: (kind: string) => needs.filter((need) => need.kind === kind).reduce((sum, { count }) => sum + count, 0),
  };
};

describe('what is chosen for a table, worked by hand', () => {
  test('a shorter back ends above the bottom, which reaches under it to the end of the box', () => {
    const [full, short] = [made('end-table', { backs: 'full' }), made('end-table', { backs: 'short' })];
    const [back, before] = [short.sizes.get('W1D')!, full.sizes.get('W1D')!];
    // 1/4 up to the groove and 7/32 of bottom.
    expect(before[1] - back[1]).toBe(inches(1 / 4 + 7 / 32));
    const [bottom, grooved] = [short.sizes.get('W1E')!, full.sizes.get('W1E')!];
    // A side of 15/32 less half of it, rounded down to a whole unit, in which it no longer stands.
    expect(bottom[0] - grooved[0] + (bottom[1] - grooved[1])).toBe(inches(15 / 32) - Math.floor(inches(15 / 64)));
    expect(short.joints).toContain('glue W1E>W1D');
    expect(short.joints).not.toContain('groove W1E>W1D');
  });

  test('aprons ripped to 3, cross supports with them; more than the board has changes nothing', () => {
    const ripped = made('dining', { apronRip: inches(3) });
    for (const tag of ['A1', 'A2', 'E1', 'E2', 'C1']) expect(ripped.sizes.get(tag)![1]).toBe(inches(3));
    expect(made('dining', { apronRip: inches(5) }).sizes.get('A1')![1]).toBe(inches(3.5));
  });

  test('below an end table: thin rails at the ends, one long one between these', () => {
    const { sizes, joints } = made('end-table', { below: 'stretchers' });
    expect(sizes.get('S1')![1]).toBe(inches(2.5));
    expect(joints).toEqual(expect.arrayContaining(['rail end S3>S1', 'rail end S3>S2']));
  });

  test('a leveller under each leg, two under each long foot, none under a hollow leg', () => {
    expect(made('dining', { levellers: true }).count('leveller')).toBe(4);
    expect(made('trestle', { levellers: true }).count('leveller')).toBe(4);
    expect(made('dining', { levellers: true, legs: 'box 1x4' }).count('leveller')).toBe(0);
    expect(made('dining', {}).count('leveller')).toBe(0);
  });
});

describe('crossed braces of a table', () => {
  test('at both ends, between floor and apron; the legs in by their thickness', () => {
    const [plain, ends] = [made('desk', {}), made('desk', { braces: 'ends' })];
    expect([...ends.sizes.keys()].filter((tag) => tag.startsWith('X'))).toEqual(['X1', 'X2', 'X3', 'X4']);
    expect(plain.sizes.get('A1')![0] - ends.sizes.get('A1')![0]).toBe(inches(1.5));
    expect(ends.sizes.get('E1')).toEqual(plain.sizes.get('E1'));
    // Braces end a quarter inch below the apron: 29 1/2 less 1 1/2 of top and 3 1/2 of apron.
    const top = Math.max(
      ...ends.parts.filter(({ name }) => name === 'crossed brace').map((part) => boxOf(part).max[2]),
    );
    expect(top / inches(1)).toBeLessThanOrEqual(29.5 - 1.5 - 3.5 - 0.25 + 0.001);
  });

  test('along a long back they would lie nearly flat: at both ends alone, or none', () => {
    const labels = (braces: string) =>
      made('dining', { braces, overhangEnds: 0 }).findings.flatMap(({ remedies }) =>
        remedies.map(({ label }) => plain(label, 'in')),
      );
    expect(labels('back')).toEqual(['Leave them out']);
    expect(labels('all')).toEqual(['At both ends alone']);
    expect(made('dining', { braces: 'ends', overhangEnds: 0 }).findings).toEqual([]);
  });

  test('round legs that were bought, and aprons round the legs, take none', () => {
    for (const choices of [{ legs: 'bought' }, { corners: 'mitred' }])
      expect([...made('desk', { ...choices, braces: 'all' }).sizes.keys()].some((tag) => /^X/.test(tag))).toBe(false);
  });
});

describe('long hinges of a cupboard 30 x 15 x 34', () => {
  test('one a door, cut from the next length that is sold, screwed every three inches at most', () => {
    const { count, parts, joints } = made('cupboard', { hinges: 'long' });
    const door = found(parts, ({ tag }) => tag === 'D1A');
    expect(door.length).toBe(inches(30.25));
    expect([count('hinge'), count('long-hinge'), longHingeFor(door.length)]).toEqual([0, 2, 36]);
    expect(joints.filter((joint) => joint.startsWith('long hinge'))).toHaveLength(2);
    const places = longHingePlaces(door.length);
    expect([places[0], places.at(-1)]).toEqual([inches(1), inches(29.25)]);
    // 28 1/4 in parts of three at most: ten, so eleven screws.
    expect(places).toHaveLength(11);
  });

  test('a front longer than any that is sold hangs on butt hinges', () => {
    expect(longHingeFor(inches(72) + 1)).toBeNull();
    const wide = made('cupboard', { hinges: 'butt', front: 'drop front' });
    expect(wide.count('long-hinge')).toBe(0);
    expect(wide.count('hinge')).toBeGreaterThan(1);
  });
});

describe('legs that fold under a table', () => {
  const folding = (length: number, choices: Choices = {}) => {
    const base = newPiece('p', 'dining');
    const size = { length: inches(length), width: inches(30), height: inches(29.5) };
    const piece = { ...base, family: 'folding', size, choices: { overhangEnds: inches(2), ...choices } };
    return buildPiece(piece, '2x4', DEFAULT_SHOP, 'in');
  };

  test('the right pair stands within the left one, both as long as the room under their cleats', () => {
    const { parts, findings, motions, needs } = folding(60);
    expect(findings).toEqual([]);
    const box = (tag: string) => boxOf(found(parts, (part) => part.tag === tag));
    // 29 1/2 less 1 1/2 of top and 1 1/2 of cleat.
    for (const tag of ['L1', 'L2', 'L3', 'L4']) expect(box(tag).max[2]).toBe(inches(26.5));
    // 2 1/2 of leg and 1/4 free.
    expect(box('L3').min[1] - box('L1').min[1]).toBe(inches(2.75));
    expect(motions.map(({ parts: own, how }) => [own.length, how.kind === 'turn' && Math.abs(how.degrees)])).toEqual([
      [4, 90],
      [4, 90],
    ]);
    expect(needs).toEqual([{ kind: 'folding-bracket', size: '', count: 4 }]);
  });

  test('folded, nothing of the one pair meets the other, and both lie under the top', () => {
    const { parts, motions } = folding(60);
    const bodies = motions.map((motion) =>
      parts.filter(({ id }) => motion.parts.includes(id)).flatMap((part) => openedBy(solidOf(part), motion, 1)),
    );
    expect(volumeOf(common(bodies[0]!, bodies[1]!))).toBe(0);
    for (const body of bodies) {
      const [low, high] = limitsOf(body);
      expect([low[0] >= 0, high[0] <= inches(60), high[2] <= inches(26.5) + 1]).toEqual([true, true, true]);
    }
  });

  test('too short a top is told with the length that does, and that one does', () => {
    const without = { overhangEnds: 0 };
    const { findings } = folding(50, without);
    const change = findings[0]!.remedies[0]!.changes[0] as unknown as { readonly value: number };
    expect(findings[0]!.kind).toBe('shape');
    expect(folding(change.value / inches(1), without).findings).toEqual([]);
    expect(folding(change.value / inches(1) - 1 / 8, without).findings).toHaveLength(1);
  });
});

describe('gussets of a trestle table 72 x 36', () => {
  test('a plate over each joint outside, seven inches out and up, the feet in by its thickness', () => {
    const [plain, both] = [made('trestle', {}), made('trestle', { gussets: 'both' })];
    expect([...both.sizes.keys()].filter((tag) => tag.startsWith('U'))).toHaveLength(4);
    // 3 1/2 of post and 7 to each side; 3 1/2 of foot and 7 up.
    expect(both.sizes.get('U1')!.slice(0, 2)).toEqual([17.5, 10.5].map(inches));
    expect(plain.sizes.get('S1')![0] - both.sizes.get('S1')![0]).toBe(2 * inches(23 / 32));
    expect(both.joints.filter((joint) => joint.startsWith('screws U'))).toHaveLength(8);
    expect([...made('trestle', { gussets: 'foot' }).sizes.keys()].filter((tag) => tag.startsWith('U'))).toHaveLength(2);
  });

  test('on a foot that is hardly wider than its post there is no room for any', () => {
    const { findings } = made('trestle', { gussets: 'foot', overhangSides: inches(13) });
    expect(findings.flatMap(({ remedies }) => remedies.map(({ label }) => plain(label, 'in')))).toContain(
      'Leave them out',
    );
  });
});

describe('crossed braces of a shelf unit 48 x 18 x 72', () => {
  test('from post to post at 48 degrees at most, the posts in by their thickness', () => {
    const plain = made('shelf-unit', {});
    const back = made('shelf-unit', { braces: 'back' });
    // 48 / cos 48 + 2 1/2 tan 48, long point to long point.
    const angle = (48 * Math.PI) / 180;
    const long = 48 / Math.cos(angle) + 2.5 * Math.tan(angle);
    expect(back.sizes.get('X1')![0] / inches(1)).toBeCloseTo(long, 2);
    expect(plain.sizes.get('S1')![0] - back.sizes.get('S1')![0]).toBe(inches(3 / 4));
    const all = made('shelf-unit', { braces: 'all' });
    expect(plain.sizes.get('R1')![0] - all.sizes.get('R1')![0]).toBe(inches(1.5));
    expect([...all.sizes.keys()].filter((tag) => tag.startsWith('X'))).toHaveLength(6);
    expect(all.joints.filter((joint) => joint.startsWith('screws X'))).toHaveLength(12);
  });
});

describe('an old table made new: its aprons kept, on new legs', () => {
  const kept = (more: Choices) => {
    const base = newPiece('p', 'dining');
    const old = {
      kept: 'aprons',
      keptLong: inches(44),
      keptEnds: inches(20),
      keptDeep: inches(4),
      keptThick: inches(1),
    };
    const piece: Piece = { ...base, top: 'found', topChoices: {}, choices: { ...base.choices, ...old, ...more } };
    return { ...newJob('j'), pieces: [piece] };
  };

  test('66 by 34: the legs of two 2x4 stand where the aprons end, the top overhangs what is left', () => {
    const job = kept({});
    const plan = planJob(job, { today: '2026-01-31', effort: 'quick' });
    const part = (tag: string) => found(plan.parts, (one) => one.tag === tag);
    expect(part('A1')).toMatchObject({ length: inches(44), width: inches(4), thickness: inches(1), kept: true });
    // (66 - 44 - 2 x 3 1/2) / 2 and (34 - 20 - 2 x 3) / 2, or the other way round of the leg.
    const [leg, apron] = [boxOf(part('L1')), boxOf(part('A1'))];
    expect(apron.min[0]).toBe(leg.max[0]);
    expect(leg.min[0]).toBe((inches(66) - inches(44) - 2 * (leg.max[0] - leg.min[0])) / 2);
    expect(leg.min[1]).toBe((inches(34) - inches(20) - 2 * (leg.max[1] - leg.min[1])) / 2);
    // Nothing is bought or cut for them, and they are taken out of the old piece before anything is bored.
    const cut = plan.buying.boards.flatMap(({ pieces }) => pieces.map(({ blank }) => blank.part.tag));
    expect(cut.filter((tag) => /^[AE]\d/.test(tag))).toEqual([]);
    expect(cut).toContain('L1');
    const [step] = plan.pieces[0]!.steps;
    expect(plain(step!.actions[0]!.text, 'in')).toContain('A1 and A2 to 44, E1 and E2 to 20');
    expect(rehearse(plan, job).faults).toEqual([]);
  });

  test('aprons longer than the top leaves room for: a longer top, or shorter aprons, and both can be built', () => {
    const job = kept({ keptLong: inches(70) });
    const [stop] = planJob(job, { today: '2026-01-31', effort: 'quick' }).findings.filter(
      ({ level }) => level === 'stop',
    );
    expect(stop!.remedies).toHaveLength(2);
    for (const { changes } of stop!.remedies) {
      const after = planJob(applyChanges(job, changes), { today: '2026-01-31', effort: 'quick' });
      expect(after.findings.filter(({ level }) => level === 'stop')).toEqual([]);
    }
  });
});
