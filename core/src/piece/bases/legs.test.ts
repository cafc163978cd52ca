import { first, found } from '../../lists';
import { inches, printLength } from '../../length';
import { DEFAULT_SHOP, newJob } from '../../job';
import { blankOf } from '../../milling';
import { planJob } from '../../plan';
import { sizesOf } from '../../stock';
import { plain } from '../../words';
import { volumeOf } from '../../solid';
import { buildPiece, newPiece, solidOf, topCandidates, type Choices, type Part } from '../index';

const built = (choices: Choices) => {
  const base = newPiece('p', 'standing');
  const piece = { ...base, choices: { ...base.choices, ...choices } };
  return { piece, ...buildPiece(piece, first(topCandidates(piece)), DEFAULT_SHOP, 'in') };
};
const tagged = (parts: readonly Part[], tag: string) => found(parts, (part) => part.tag === tag);
const size = ({ length, width, thickness }: Part) =>
  [length, width, thickness].map((side) => printLength(side, 'in')).join(' x ');

test.each([
  ['2x2', 'L1', '34 1/2 x 1 1/2 x 1 1/2'], // 36 - 1 1/2
  ['3x3', 'L1', '34 1/2 x 3 x 3'], // two 2x4, 3 thick, ripped to 3
  ['three 2x4', 'L1', '34 1/2 x 3 1/2 x 4 1/2'],
  ['box 1x8', 'L1A', '34 1/2 x 7 1/4 x 3/4'],
  ['box 1x8', 'L1C', '34 1/2 x 5 3/4 x 3/4'], // 7 1/4 - 2 x 3/4
])('legs of %s: %s is %s', (legs, tag, is) => {
  expect(size(tagged(built({ legs, crossSupports: 0, ...(legs === '2x2' ? { apron: '1x4' } : {}) }).parts, tag))).toBe(
    is,
  );
});

test('what is glued and ripped is ripped on both sides: half of what goes off the first edge, the rest off the other', () => {
  const { piece, parts } = built({ legs: '3x3' });
  const blank = blankOf(tagged(parts, 'L1'), piece, DEFAULT_SHOP, sizesOf({}));
  expect(blank!.rip).toEqual({ from: inches(3.5), to: inches(3), why: 'square edges' });
  expect(blank!.quantity).toBe(2);
});

describe('tapered legs', () => {
  const { parts, findings } = built({ legs: 'two 2x4', taper: true, taperTo: inches(1.5), crossSupports: 0 });
  const straight = built({ legs: 'two 2x4', crossSupports: 0 }).parts;

  test('lose two wedges less what both take: from 30 up, 2 and 1 1/2 off at the foot', () => {
    expect(findings).toEqual([]);
    // 36 less the top 1 1/2, the apron 3 1/2 and an inch: 30 high. Section 3 1/2 by 3, 1 1/2 left both ways.
    const [a, b, high] = [2, 1.5, 30];
    const lost = (a * 3 * high) / 2 + (b * 3.5 * high) / 2 - (a * b * high) / 3;
    for (const tag of ['L1', 'L2', 'L3', 'L4']) {
      const off = volumeOf(solidOf(tagged(straight, tag))) - volumeOf(solidOf(tagged(parts, tag)));
      expect(off / inches(1) ** 3).toBeCloseTo(lost, 2);
    }
  });

  test('stand with their straight faces outside: every foot reaches the same corners of the floor', () => {
    const corners = (all: readonly Part[]) =>
      ['L1', 'L2', 'L3', 'L4'].map((tag) => {
        const feet = solidOf(tagged(all, tag)).flatMap((cell) =>
          cell.flatMap(({ points }) => points.filter(([, , z]) => z === 0)),
        );
        const middle = (axis: 0 | 1) => (tag < 'L3' && axis === 0) || (axis === 1 && 'L1L3'.includes(tag));
        return ([0, 1] as const).map((axis) => {
          const all = feet.map((point) => point[axis]);
          return middle(axis) ? Math.min(...all) : Math.max(...all);
        });
      });
    expect(corners(parts)).toEqual(corners(straight));
  });

  test('are told once for all four, by where they begin and what is left', () => {
    const base = newPiece('p', 'standing');
    const piece = { ...base, choices: { legs: '4x4', taper: true, taperTo: inches(2) } };
    const plan = planJob({ ...newJob('j'), pieces: [piece] }, { today: '2026-11-29', effort: 'quick' });
    const words = first(plan.pieces).steps.flatMap(({ actions }) => actions.map(({ text }) => plain(text, 'in')));
    const tapers = words.filter((one) => one.includes('taper'));
    expect(tapers).toHaveLength(1);
    expect(tapers[0]).toMatch(/^L1 to L4: tapers, the two faces .* from 30 up .* where 2 both ways is left/);
  });

  test.each([
    ['a foot as thick as the leg', { taper: true, legs: '2x2', taperTo: inches(1.5) }, 'A foot of 3/4'],
    ['an apron nearly to the floor', { taper: true, apron: '2x6' }, 'Leave them straight'],
  ] as readonly (readonly [string, Choices, string])[])('%s: says so, with a way out', (_, choices, label) => {
    const low = { ...newPiece('p', 'coffee'), choices };
    const piece = choices.apron ? { ...low, size: { ...low.size, height: inches(13) } } : low;
    const { findings: found } = buildPiece(piece, first(topCandidates(piece)), DEFAULT_SHOP, 'in');
    expect(found.flatMap(({ remedies }) => remedies.map((one) => plain(one.label, 'in')))).toContain(label);
  });
});
