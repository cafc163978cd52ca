import { found } from '../lists';
import { inches } from '../length';
import { newJob, type Piece } from '../job';
import { buildPiece, newPiece, topCandidates, weightOf } from '../piece';
import { planJob } from '../plan';
import { DEFAULT_SHOP } from '../job';
import { plain } from '../words';
import { decksOf, movement, sagAt, sagOf, sagUnder, shows, showsAt, stiffness, tipsAt, type Deck } from './index';

const built = (piece: Piece) => buildPiece(piece, topCandidates(piece)[0]!, DEFAULT_SHOP, 'in');
const decks = (piece: Piece) => {
  const { parts, joints } = built(piece);
  return decksOf(parts, joints);
};
const deckOf = (piece: Piece, tag: string): Deck =>
  found(decks(piece), ({ parts }) => parts.some((part) => part.tag === tag));
const sized = (piece: Piece, length: number, width: number, height: number): Piece => ({
  ...piece,
  size: { length: inches(length), width: inches(width), height: inches(height) },
});

describe('strips and beams, by hand', () => {
  test('one layer is b h^3 / 12; two alike glued are eight times one, not twice', () => {
    const one = stiffness([{ from: 0, to: 0.75, modulus: 1.2e6 }]);
    expect(one).toBeCloseTo((1.2e6 * 0.75 ** 3) / 12, 6);
    const two = stiffness([
      { from: 0, to: 0.75, modulus: 1.2e6 },
      { from: 0.75, to: 1.5, modulus: 1.2e6 },
    ]);
    expect(two / one).toBeCloseTo(8, 9);
    // Where it lies makes no difference.
    expect(stiffness([{ from: 10, to: 10.75, modulus: 1.2e6 }]) / one).toBeCloseTo(1, 6);
  });

  test('a stiff layer on a soft one: the transformed section', () => {
    // 1 by 1 of 2 on 1 by 1 of 1: axis at (2 x 0.5 + 1 x 1.5) / 3 = 5/6.
    const by = 2 * (1 / 12 + (5 / 6 - 0.5) ** 2) + (1 / 12 + (1.5 - 5 / 6) ** 2);
    expect(
      stiffness([
        { from: 0, to: 1, modulus: 2 },
        { from: 1, to: 2, modulus: 1 },
      ]),
    ).toBeCloseTo(by, 9);
    expect(stiffness([])).toBe(0);
  });

  test('a 2x4 on edge over eight feet: 100 lb at the middle, and 10 lb a foot', () => {
    const stiff = (1.4e6 * 1.5 * 3.5 ** 3) / 12;
    expect(sagAt(100, 96, stiff)).toBeCloseTo(0.2457, 3);
    expect(sagUnder(10 / 12, 96, stiff)).toBeCloseTo(0.1228, 3);
    expect(showsAt(24)).toBeCloseTo(1 / 16);
  });
});

describe('what carries a deck', () => {
  const places = (deck: Deck, along: 0 | 1) => deck.carried[along].map(({ part }) => part.tag);

  test('a top: end aprons and cross supports one way, long aprons the other', () => {
    const top = deckOf(newPiece('t', 'dining'), 'T1');
    expect(top.kind).toBe('top');
    expect(top.parts.length).toBeGreaterThan(3);
    expect(places(top, 0)).toEqual(['E1', 'C1', 'C2', 'E2']);
    expect(places(top, 1)).toEqual(['A1', 'A2']);
  });

  test('a shelf in dados, one on pins and a bottom: the sides; the back is one line and carries none by itself', () => {
    expect(places(deckOf(newPiece('t', 'bookcase'), 'H1A'), 0)).toEqual(['G1', 'G2']);
    expect(places(deckOf(newPiece('t', 'cupboard'), 'H1A'), 0)).toEqual(['G1', 'G2']);
    // The ends of its base carry it too.
    expect(places(deckOf(newPiece('t', 'chest'), 'B1'), 0)).toEqual(['G1', 'S1', 'S2', 'G2']);
    const [span] = [sagOf(deckOf(newPiece('t', 'chest'), 'B1'), { aFoot: 25 })!.span];
    // From rail to rail: 20 less twice 1 inset, 3/8 setback and 3/4 of rail.
    expect(span).toBeCloseTo(15.75, 4);
  });

  test('planks on plywood are one deck of two layers; slats that lie apart are decks of their own', () => {
    const planks = deckOf(newPiece('t', 'x-frame'), 'Y1');
    expect(new Set(planks.parts.map(({ material }) => material))).toEqual(new Set(['ply 3/4', '1x4']));
    expect(decks(newPiece('t', 'outdoor')).filter(({ kind }) => kind === 'top').length).toBeGreaterThan(3);
  });

  test('a batten that only the top holds carries nothing; where nothing else is known nothing is claimed', () => {
    const hairpin = deckOf(newPiece('t', 'hairpin'), 'T1');
    expect(hairpin.carried).toEqual([[], []]);
    expect(sagOf(hairpin, { point: 200 })).toBeNull();
  });
});

describe('how far it bends', () => {
  test('a shelf of 3/4 plywood between two sides, with books for years: 5 w L^4 / 384 E I, doubled', () => {
    const shelf = deckOf(newPiece('t', 'bookcase'), 'H1A');
    const stiff = (1.2e6 * 11.28125 * 0.71875 ** 3) / 12;
    const sag = sagOf(shelf, { aFoot: 25 })!;
    expect(sag.span).toBeCloseTo(30.5625, 4);
    // Its load is 25 lb a foot of the whole shelf, which is 1/4 in longer at each end than it spans.
    expect(sag.sag).toBeCloseTo(2 * sagUnder(25 / 12, 30.5625, stiff), 2);
    expect(shows(sag)).toBeGreaterThan(1);
  });

  test('carried both ways it bends less than either; a longer one more; twice the load twice', () => {
    const piece = sized(newPiece('t', 'standing'), 60, 31.5, 36);
    const top = deckOf(piece, 'T1');
    const both = sagOf(top, { point: 200 })!.sag;
    for (const along of [0, 1] as const) {
      const one: Deck = { ...top, carried: along === 0 ? [top.carried[0], []] : [[], top.carried[1]] };
      expect(both).toBeLessThan(sagOf(one, { point: 200 })!.sag);
    }
    expect(sagOf(top, { point: 400 })!.sag).toBeCloseTo(2 * both, 9);
    const ends: Deck = { ...top, carried: [[top.carried[0][0]!, top.carried[0].at(-1)!], []] };
    expect(sagOf(ends, { point: 200 })!.sag).toBeGreaterThan(10 * both);
  });

  test('a beam under it bends with it: a longer rail, a greater sag, over the length of the rail', () => {
    const unit = (length: number) =>
      sagOf(deckOf(sized(newPiece('t', 'shelf-unit'), length, 18, 72), 'H1'), { aFoot: 25 })!;
    expect(unit(72).sag).toBeGreaterThan(2 * unit(48).sag);
    expect(unit(72).span).toBeCloseTo(69, 3);
  });

  test('mirrored end for end it is the same', () => {
    const top = deckOf(newPiece('t', 'desk'), 'T1');
    const end = top.box.max[0];
    const turned: Deck = {
      ...top,
      carried: [
        [...top.carried[0]].reverse().map(({ from, to, ...rest }) => ({ ...rest, from: end - to, to: end - from })),
        top.carried[1],
      ],
    };
    expect(sagOf(turned, { point: 200 })!.sag).toBeCloseTo(sagOf(top, { point: 200 })!.sag, 12);
  });
});

describe('moving and tipping', () => {
  const piece = {
    ...sized(newPiece('t', 'standing'), 60, 31.5, 36),
    topChoices: { thickness: '2x', width: '6', edges: 'ripped' },
  };

  test('movement: width x Ct x change', () => {
    expect(movement(31.5, 'spf', 4)).toBeCloseTo(31.5 * 0.0022 * 4);
  });

  test('tipping: own weight about the feet, over the overhang', () => {
    const { parts } = built(piece);
    const weight = parts.reduce((sum, part) => sum + weightOf(part), 0);
    // Overhang 2 at the sides, half of 31 1/2 is 15 3/4; 3 at the ends, half of 60 is 30.
    const side = (weight * (15.75 - 2)) / 2;
    const end = (weight * (30 - 3)) / 3;
    expect(tipsAt(parts).pounds).toBeCloseTo(Math.min(side, end), 4);
  });
});

describe('what is said of it', () => {
  const notes = (piece: Piece) =>
    planJob({ ...newJob('j'), pieces: [piece] }, { today: '2026-11-28', effort: 'quick' }).findings.filter(
      ({ kind }) => kind === 'sag' || kind === 'shelf-sag',
    );
  const calls = (piece: Piece) => notes(piece).map(({ kind, level }) => `${kind} ${level}`);

  test.each<[string, Piece, readonly string[]]>([
    ['a dining table', newPiece('t', 'dining'), ['sag good']],
    ['planks on plywood over 47 in', newPiece('t', 'x-frame'), ['sag good']],
    ['a top over drawers', newPiece('t', 'end-table'), ['sag good']],
    ['a chest 20 in wide', newPiece('t', 'chest'), ['sag good', 'shelf-sag good']],
    [
      'shelves 45 in long of 3/4 with books',
      sized(newPiece('t', 'bookcase'), 46.5, 11.5, 60),
      ['sag care', 'shelf-sag care'],
    ],
    ['the same on rails, which are deeper', newPiece('t', 'shelf-unit'), ['shelf-sag good']],
  ])('%s', (_, piece, expected) => expect(calls(piece)).toEqual(expected));

  test('of a long shelf: how much, where it shows, and the way out that was tried', () => {
    const [, shelf] = notes(sized(newPiece('t', 'bookcase'), 46.5, 11.5, 60));
    expect(plain(shelf!.because, 'in')).toMatch(
      /^25 lb a foot, for years, over 45 1\/16, bends it 17\/32\. It would show at 1\/8/,
    );
    expect(shelf!.remedies.map(({ label }) => plain(label, 'in'))).toEqual(['Divide it into 2 columns']);
  });
});
