import { inches, mm } from '../length';
import type { Cutout, Part } from '../piece';
import { board, boxAt } from '../piece/kit';
import type { Outline, Vec } from '../solid';
import { plain } from '../words';
import { tellCuts, type Teller } from './index';

const at = (x: number, y: number, z: number): Vec => [inches(x), inches(y), inches(z)];
const teller: Teller = { units: 'in', middle: at(30, 15, 15) };
/** A board 40 by 5 1/2 by 1 1/2 that lies, with a cut-out. */
const lying = (cut: Partial<Cutout>): Part => ({
  ...board(
    'p',
    { tag: 'H1', role: 'shelf', name: 'shelf', material: '2x6' },
    boxAt(at(5, 5, 10), at(40, 5.5, 1.5)),
    0,
    1,
  ),
  cuts: [{ kind: 'notch', axis: 2, outline: [], from: -1, to: inches(1.5) + 1, ...cut } as Cutout],
});
const box = (x0: number, y0: number, x1: number, y1: number): Outline => [
  [inches(x0), inches(y0)],
  [inches(x1), inches(y0)],
  [inches(x1), inches(y1)],
  [inches(x0), inches(y1)],
];
const said = (part: Part, units: 'in' | 'mm' = 'in') => plain(tellCuts(part, { ...teller, units })[0]!.says, units);

describe('cut-outs as a person marks them: how deep into which side, from where to where', () => {
  test.each([
    [
      'a notch at a corner',
      { outline: box(-1, -1, 2, 1.5) },
      '2 deep into the left end, the first 1 1/2 from the front edge, right across',
    ],
    [
      'a notch in the middle of an edge',
      { outline: box(10, 4, 13, 6) },
      '1 1/2 deep into the back edge, 10 to 13 from the left end, right across',
    ],
    [
      'a half lap, half the thickness',
      { kind: 'lap', outline: box(10, -1, 13.5, 6), from: inches(0.75), to: inches(1.5) + 1 },
      '3/4 deep into the top face, 10 to 13 1/2 from the left end, right across',
    ],
    [
      'a groove from end to end',
      { kind: 'groove', outline: box(-1, 1, 41, 1.25), from: -1, to: inches(0.5) },
      '1/2 deep into the underside, 1 to 1 1/4 from the front edge, from end to end',
    ],
    [
      'a stopped groove, told from the nearer end',
      { kind: 'groove', outline: box(30, 1, 38, 1.25), from: -1, to: inches(0.5) },
      '1/2 deep into the underside, 2 to 10 from the right end and 1 to 1 1/4 from the front edge',
    ],
    [
      'a round hole right through',
      {
        kind: 'hole',
        outline: [
          [inches(9), inches(2), 1],
          [inches(11), inches(2), 1],
        ],
      },
      '2 across, right through, its middle 10 from the left end and 2 from the front edge',
    ],
    [
      'a slanted one by its corners',
      {
        outline: [
          [inches(10), inches(5.5)],
          [inches(14), inches(5.5)],
          [inches(13), inches(3)],
          [inches(11), inches(3)],
        ],
      },
      'right through, corners (from the left end | from the front edge) 10 | 5 1/2, 14 | 5 1/2, 13 | 3 and 11 | 3',
    ],
  ] as [string, Partial<Cutout>, string][])('%s', (_, cut, expected) => {
    expect(said(lying(cut))).toBe(expected);
  });

  test('what is told is what is taken: the numbers of the sentence, to the last digit', () => {
    const odd = lying({
      outline: [
        [-1, -1],
        [inches(2.005), -1],
        [inches(2.005), inches(1.497)],
        [-1, inches(1.497)],
      ],
    });
    const [told] = tellCuts(odd, teller);
    const xs = told!.taken[0]!.outline.map(([x]) => x);
    const ys = told!.taken[0]!.outline.map(([, y]) => y);
    expect([Math.max(...xs) / inches(1), Math.max(...ys) / inches(1)]).toEqual([2, 1.5]);
    expect(plain(told!.says, 'in')).toContain('2 deep into the left end, the first 1 1/2');
  });

  test('in millimetres, to the half', () => {
    const metric = lying({
      outline: [
        [-1, -1],
        [mm(50), -1],
        [mm(50), mm(38.4)],
        [-1, mm(38.4)],
      ],
    });
    expect(said(metric, 'mm')).toBe(
      '50 mm deep into the left end, the first 38.5 mm from the front edge, right across',
    );
  });

  test('two of a kind say which is for what; what lies outside the wood is no cut', () => {
    const part = lying({ outline: box(-1, -1, 2, 1.5), for: 'L1' });
    const cuts = [
      part.cuts[0]!,
      { ...part.cuts[0]!, outline: box(38, -1, 41, 1.5), for: 'L3' },
      { ...part.cuts[0]!, outline: box(-3, -1, 0, 1.5), for: 'L9' },
    ];
    const [told] = tellCuts({ ...part, cuts }, teller);
    expect(told!.for).toEqual(['L1', 'L3']);
    expect(plain(told!.says, 'in')).toBe(
      'for L1 2 deep into the left end, the first 1 1/2 from the front edge, right across; for L3 2 deep into the right end, the first 1 1/2 from the front edge, right across',
    );
  });
});
