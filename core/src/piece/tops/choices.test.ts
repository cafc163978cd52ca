import { inches } from '../../length';
import { boxOf } from '../index';
import { built } from '../../testing/built';

describe('breadboard ends on 46 x 24', () => {
  test.each([
    ['4', '39', '24 x 3 1/2 x 3/4'],
    ['6', '35', '24 x 5 1/2 x 3/4'],
    ['2', '43', '24 x 1 1/2 x 3/4'],
  ])('of a %s: %s of boards between', (end, between, size) => {
    const { is, tags } = built('shelf-coffee', { topChoices: { end } });
    is('B1 B2', size);
    // 24 in eight of 3: a 1x4 ripped gives 3 1/4.
    expect(tags(/^T/)).toHaveLength(8);
    is('T1 T8', `${between} x 3 x 3/4`);
  });

  test('no yard keeps a narrow five-quarter board: its cap is ripped from a 5/4x4', () => {
    const { is, part } = built('shelf-coffee', { topChoices: { end: '2', thickness: '5/4x' } });
    is('B1 B2', '24 x 1 1/2 x 1');
    expect(part('B1').material).toMatch(/5\/4x4$/);
  });

  test('ends that leave nothing between them are told with the length that does', () => {
    const { stops } = built('desk', { size: [14, 24, 29.5], top: 'breadboard', topChoices: { end: '6' } });
    expect(stops.map(([title]) => title)).toContain('The end boards leave no top between them');
  });
});

describe('panels', () => {
  test('one up to 24 wide; two joined beyond, the joint in the middle', () => {
    const one = built('splayed', { size: [40, 30, 24], topChoices: { panels: 'one' } });
    expect(one.stops).toEqual([
      ['Larger than panels are sold', 'Join two panels', 'Make it 40 by 24', 'Join boards instead'],
    ]);
    for (const way of one.stops[0]!.slice(1)) expect(one.taking(way).findings).toEqual([]);
    const two = built('splayed', { size: [40, 30, 24], topChoices: { panels: 'two' } });
    two.is('T1 T2', '40 x 15 x 3/4');
    expect(two.joints.filter(({ kind }) => kind === 'edge')).toHaveLength(1);
  });
});

describe('the edging of a sheet, 22 x 18', () => {
  test('on edge it is level with the sheet or hangs below it; laid flat it takes an inch and a half', () => {
    built('end-table', { topChoices: { edging: 'flush' } }).is('T1', '20 1/2 x 16 1/2 x 23/32');
    const hangs = built('end-table', { topChoices: { edging: '1x2' } });
    hangs.is('G1 G2', '22 x 1 1/2 x 3/4');
    expect(boxOf(hangs.part('T1')).min[2] - boxOf(hangs.part('G1')).min[2]).toBe(inches(1.5 - 23 / 32));
    const flat = built('end-table', { topChoices: { edging: 'flat' } });
    flat.is('T1', '19 x 15 x 23/32');
    flat.is('G3 G4', '18 x 1 1/2 x 3/4');
  });

  test('mitres: through the thickness on edge, across the face laid flat', () => {
    const on = built('end-table', { topChoices: { edging: 'flush' } }).part('G1').ends;
    const flat = built('end-table', { topChoices: { edging: 'flat' } }).part('G1').ends;
    expect([on.left, on.right]).toEqual([
      { mitre: 0, bevel: -45 },
      { mitre: 0, bevel: 45 },
    ]);
    expect([flat.left, flat.right]).toEqual([
      { mitre: 45, bevel: 0 },
      { mitre: -45, bevel: 0 },
    ]);
  });

  test('hanging so far that a drawer can not come out it is refused', () => {
    const { stops, taking } = built('end-table', { topChoices: { edging: '1x3' } });
    expect(stops).toEqual([['The edging runs into W1F', 'Keep it level with the top']]);
    expect(taking('Keep it level with the top').findings).toEqual([]);
  });

  test('a sheet is 96 long, and an inch and a half more with its edging', () => {
    const { stops, taking } = built('desk', { top: 'edged-sheet', size: [100, 26, 29.5] });
    expect(stops).toEqual([['Larger than a sheet', 'Make it 97 1/2 by 26', 'Join boards instead']]);
    for (const way of stops[0]!.slice(1)) expect(taking(way).findings).toEqual([]);
  });
});

describe('an octagon 40 across', () => {
  test.each([
    // Half of 40 less the ring and a gap of 1/4, twice.
    ['4', '16 9/16 x 3 1/2 x 3/4', '32 1/2 x 5 1/2 x 3/4'],
    ['6', '16 9/16 x 5 1/2 x 3/4', '28 1/2 x 5 1/2 x 3/4'],
  ])('a ring of %s: eight sides of 40 tan 22 1/2, slats between', (ring, side, slat) => {
    const { is, part, tags } = built('octagon', { topChoices: { ring, slats: '6', thickness: '1x' } });
    is('G1 G2 G3 G4 G5 G6 G7 G8', side);
    is('T2 T3 T4', slat);
    expect(part('G1').ends).toEqual({ left: { mitre: 22.5, bevel: 0 }, right: { mitre: -22.5, bevel: 0 } });
    // Even about the middle, quarters of an inch between.
    const boxes = tags(/^T/).map((tag) => boxOf(part(tag)));
    for (const [at, box] of boxes.entries())
      if (at > 0) expect(Math.abs(box.min[1] - boxes[at - 1]!.max[1] - inches(1 / 4))).toBeLessThanOrEqual(2);
    expect(Math.abs(boxes[0]!.min[1] + boxes.at(-1)!.max[1] - inches(40))).toBeLessThanOrEqual(2);
  });

  test('longer than wide, or with no middle left: said, and what can be', () => {
    const uneven = built('octagon', { size: [40, 38, 29.75] });
    expect(uneven.stops).toEqual([['An octagon is as long as it is wide', 'Make it 40 across', 'Make it 38 across']]);
    for (const way of uneven.stops[0]!.slice(1)) expect(uneven.taking(way).findings).toEqual([]);
    const tiny = built('octagon', { size: [14, 14, 29.75], topChoices: { ring: '6' } });
    expect(tiny.stops.map(([title]) => title)).toContain('The ring leaves no middle');
  });
});

test('a disc of 42 from 1x6: eight boards of 5 1/4, each as long as its longest chord', () => {
  const { is } = built('pedestal', { topChoices: { thickness: '1x', width: '6' } });
  // 2 sqrt(21^2 - 15.75^2), 10.5 and 5.25.
  is('T1 T8', '27 25/32 x 5 1/4 x 3/4');
  is('T2 T7', '36 3/8 x 5 1/4 x 3/4');
  is('T3 T6', '40 43/64 x 5 1/4 x 3/4');
  is('T4 T5', '42 x 5 1/4 x 3/4');
});

test.each([
  ['ripped', 11],
  ['as bought', 10],
])('34 of 2x4 %s are %s boards; the two outer ones as bought share what is left', (edges, count) => {
  const { tags, part } = built('dining', { topChoices: { edges, width: '4' } });
  expect(tags(/^T/)).toHaveLength(count);
  const widths = tags(/^T/).map((tag) => part(tag).width);
  expect(widths.reduce((sum, width) => sum + width, 0)).toBe(inches(34));
  if (edges === 'as bought') {
    expect(widths.slice(1, -1).every((width) => width === inches(3.5))).toBe(true);
    expect([widths[0], widths.at(-1)]).toEqual([inches(3), inches(3)]);
  } else expect(new Set(widths.slice(0, -1))).toEqual(new Set([inches(3.125)]));
});
