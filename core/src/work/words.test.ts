import { inches } from '../length';
import { plain, say } from '../words';
import type { Named } from './side';
import { several, tagList, wordsOf, type Does, type Operation } from './index';

const end: Named = { axis: 0, sign: -1, name: 'left end' };
const edge: Named = { axis: 1, sign: 1, name: 'top edge' };
const face: Named = { axis: 2, sign: 1, name: 'inside face' };
const spot = (tag: string, at: number, off: number) => ({
  part: `p.${tag}`,
  tag,
  side: face,
  from: end,
  at: inches(at),
  across: edge,
  off: inches(off),
  joint: 'j',
});
const said = (does: Does, more: Partial<Operation> = {}): string =>
  plain(
    wordsOf({
      id: 'p.x',
      piece: 'p',
      on: [],
      tags: ['A1', 'A2'],
      minutes: 1,
      tool: 'drill',
      lift: null,
      ...more,
      ...does,
    } as Operation),
    'in',
  );

describe('one sentence for each kind of operation: every number in it, none without its noun', () => {
  test('bores: bits in turn, depths with the stop collar, places once for parts that are alike', () => {
    const bits = [
      { bit: { name: '1/2', across: inches(1 / 2) }, deep: inches(1.25), as: 'counterbore' as const },
      { bit: { name: '3/16', across: inches(3 / 16) }, deep: null, as: 'clearance' as const },
    ];
    const spots = ['A1', 'A2'].flatMap((tag) => [spot(tag, 2, 0.75), spot(tag, 9.75, 0.75)]);
    expect(
      said({ kind: 'bore', spots, ways: [], bits, through: 0, countersunk: false, for: 'screws', slant: false }),
    ).toBe(
      'Bore 4 holes for screws, counterbore 1/2 wide, 1 1/4 deep and clearance 3/16 through, stop collar on the bit: A1 and A2, inside face: 2 and 9 3/4 from the left end, 3/4 from the top edge.',
    );
  });

  test('one hole is a hole; a slanted one is square to what it meets', () => {
    const bits = [{ bit: { name: '3/8', across: inches(3 / 8) }, deep: null, as: 'hole' as const }];
    const one = said({
      kind: 'bore',
      spots: [spot('A1', 2, 0.75)],
      ways: [],
      bits,
      through: 0,
      countersunk: false,
      for: 'bolts',
      slant: true,
    });
    expect(one).toMatch(/^Bore 1 hole for bolts, 3\/8 through, square to the face of what it meets/);
  });

  test('drives: the pilot through the hole, sunk heads, a short bit where there is little room', () => {
    const does: Does = {
      kind: 'drive',
      joints: [],
      fastener: 'screw',
      size: '#10 3 1/2',
      count: 8,
      into: ['P2', 'P1'],
      pilot: { bit: { name: '7/64', across: 889 }, deep: inches(1.25), reach: inches(2.75) },
      sunk: [inches(1.25)],
      bit: '',
      washer: false,
      nuts: null,
      snug: false,
      driver: 'short bit',
      spots: [],
    };
    expect(said(does)).toBe(
      'Through the holes bore 7/64, 1 1/4 deep into P1 and P2. Drive 8 wood screws #10 3 1/2, A1 and A2 to P1 and P2, heads 1 1/4 below the surface; there is little room: take the short bit.',
    );
    // As the boards of a ring are.
    expect(said({ ...does, into: ['A2', 'A1'], driver: null })).toContain('#10 3 1/2, A1 and A2 to each other, heads');
  });

  test('clamps: with screws, with none that opens so far, with nothing but screws', () => {
    const clamp = (count: number, holds: 'screws' | 'brads' | null, cauls = 0) =>
      said({ kind: 'clamp', count, span: inches(24), cauls, holds });
    expect(clamp(4, null, 4)).toBe(
      'Clamp with 4 over 24, alternately above and below, 4 cauls across to keep it flat.',
    );
    expect(clamp(2, 'screws')).toBe('Clamp with 2 over 24 until the screws are in.');
    expect(clamp(0, 'brads')).toBe('The brads hold it while the glue sets.');
    expect(clamp(0, null)).toMatch(/^No clamp of yours opens 24: /);
  });

  test('diagonals: alike once, unlike both', () => {
    expect(said({ kind: 'square', reads: [inches(50), inches(50)] })).toMatch(/^Measure both diagonals: about 50 each/);
    expect(said({ kind: 'square', reads: [inches(50), inches(52)] })).toBe(
      'Measure both diagonals: about 50 and about 52.',
    );
  });

  test('who lifts stands behind the sentence, and only where it takes more than one', () => {
    const turn: Does = { kind: 'turn', about: 'upright', out: [], says: say`Turn it over.` };
    expect(said(turn)).toBe('Turn it over.');
    expect(said(turn, { lift: { pounds: 83.6, people: 2 } })).toBe('Turn it over. It weighs about 84 lb: 2 people.');
  });

  test('what comes together: bodies by what they are made of, in the order in which they come', () => {
    const coming = (tags: readonly string[], way: readonly [number, number, number] | null) => ({
      parts: tags.map((tag) => `p.${tag}`),
      tags,
      way,
    });
    const place: Does = {
      kind: 'place',
      comes: [
        coming(['L1', 'E1', 'L2'], null),
        coming(['A1'], [0, 0, -1]),
        coming(['A2'], [0, 0, -1]),
        coming(['L3', 'E2', 'L4', 'S2', 'S3'], [-1, 0, 0]),
      ],
      marks: [],
      row: null,
      fixed: true,
      over: false,
      out: [],
      says: null,
    };
    expect(said(place)).toBe('Lay L1 (with E1 and L2) ready. Put A1 and A2 and all that is joined to L3 in place.');
    const boards = [coming(['T1'], null), coming(['T2'], [0, -1, 0])];
    expect(said({ ...place, comes: boards, row: 'ends' })).toBe('Lay T1 ready. Put T2 in place. Left ends level.');
    expect(said({ ...place, comes: boards, fixed: false })).toBe('Lay T1 ready. Lay T2 on, not fixed.');
  });

  test('waits, spacers, grits', () => {
    expect(said({ kind: 'wait', wait: 60, clamped: true })).toBe('Leave it 60 min in the clamps.');
    expect(said({ kind: 'spacers', thickness: inches(1 / 2), count: 2, under: ['E1'] })).toBe(
      'Lay 2 spacers 1/2 thick under E1.',
    );
    expect(said({ kind: 'spacers', thickness: inches(1 / 2), count: 1, under: ['E1'] })).toBe(
      'Lay 1 spacer 1/2 thick under E1.',
    );
  });
});

describe('lists', () => {
  test('runs of more than three are told by their ends, others one by one', () => {
    const list = (...tags: string[]) => plain(tagList(tags), 'in');
    expect(list('T1', 'T2', 'T3', 'T4', 'T5')).toBe('T1 to T5');
    expect(list('T1', 'T2', 'T3')).toBe('T1, T2 and T3');
    expect(list('T1', 'T2', 'T4', 'A1')).toBe('T1, T2, T4 and A1');
    expect(list('L1A', 'L1B')).toBe('L1A and L1B');
  });

  test('more than one of a thing', () => {
    expect(['foot', 'leaf', 'shelf', 'leg', 'drawer front', 'notch'].map(several)).toEqual([
      'feet',
      'leaves',
      'shelves',
      'legs',
      'drawer fronts',
      'notches',
    ]);
  });
});
