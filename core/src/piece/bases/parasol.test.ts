import { first, found } from '../../lists';
import { inches, printLength } from '../../length';
import { applyChanges, DEFAULT_SHOP, newJob, type Job } from '../../job';
import { planJob } from '../../plan';
import { rehearse } from '../../rehearsal';
import { plain } from '../../words';
import { boxOf, buildPiece, newPiece, topCandidates, type Choices, type Part } from '../index';

const pieceOf = (start: string, choices: Choices, hole: number) => {
  const base = newPiece('p', start);
  return {
    ...base,
    choices: { ...base.choices, ...choices },
    topChoices: { ...base.topChoices, hole: inches(hole) },
  };
};
const built = (start: string, choices: Choices, hole: number) => {
  const piece = pieceOf(start, choices, hole);
  return buildPiece(piece, first(topCandidates(piece)), DEFAULT_SHOP, 'in');
};
const holesIn = (parts: readonly Part[]): readonly string[] =>
  parts.filter(({ cuts }) => cuts.some(({ kind }) => kind === 'hole')).map(({ tag }) => tag);

describe('the pole of a parasol goes past cross supports', () => {
  test.each([1, 3])('%s of them: the middle one stands beside it, an eighth clear', (crossSupports) => {
    const { parts, findings } = built('outdoor', { crossSupports }, 1.75);
    expect(findings).toEqual([]);
    const middle = Math.max(...parts.map((part) => boxOf(part).max[0])) / 2;
    const near = parts
      .filter(({ role }) => role === 'support')
      .map((part) => Math.min(...[boxOf(part).min[0], boxOf(part).max[0]].map((x) => Math.abs(x - middle))));
    // 1 3/4 across is 7/8 to a side.
    expect(Math.min(...near)).toBeGreaterThanOrEqual(inches(7 / 8 + 1 / 8));
    expect(Math.min(...near)).toBeLessThan(inches(7 / 8 + 1 / 4));
    expect(holesIn(parts).filter((tag) => tag.startsWith('C'))).toEqual([]);
  });

  test('without a hole, and of an even number, none is moved', () => {
    const places = (crossSupports: number, hole: number) =>
      built('outdoor', { crossSupports }, hole)
        .parts.filter(({ role }) => role === 'support')
        .map(boxOf);
    expect(places(2, 1.75)).toEqual(places(2, 0));
    const [, middle] = places(3, 0);
    const size = newPiece('p', 'outdoor').size.length;
    expect(Math.abs((middle!.min[0] + middle!.max[0]) / 2 - size / 2)).toBeLessThan(inches(1 / 8));
  });
});

test('a stretcher under the middle would be parted: it says so, and the hole can be left out', () => {
  const piece = { ...pieceOf('outdoor', {}, 1.75), family: 'trestle', choices: {} };
  const { findings } = buildPiece(piece, first(topCandidates(piece)), DEFAULT_SHOP, 'in');
  expect(findings.map(({ title }) => plain(title, 'in'))).toEqual(["The parasol's hole parts what crosses below"]);
  const after = applyChanges({ ...newJob('j'), pieces: [piece] }, findings[0]!.remedies[0]!.changes).pieces[0]!;
  expect(buildPiece(after, first(topCandidates(after)), DEFAULT_SHOP, 'in').findings).toEqual([]);
});

describe('a pedestal with a parasol', () => {
  const jobOf = (choices: Choices, hole: number): Job => ({
    ...newJob('j'),
    pieces: [pieceOf('octagon', choices, hole)],
  });

  test('on a solid post it stands in the way; one click makes the post hollow, on beams wide enough', () => {
    const [stop, ...more] = built('octagon', {}, 1.75).findings;
    expect(more).toEqual([]);
    expect(plain(stop!.title, 'in')).toBe('The parasol would stand on the post');
    const after = applyChanges(jobOf({}, 1.75), stop!.remedies[0]!.changes).pieces[0]!;
    const { parts, findings } = buildPiece(after, first(topCandidates(after)), DEFAULT_SHOP, 'in');
    expect(findings).toEqual([]);
    // Through the laps of the head, not of the foot: the pole stands on that.
    expect(holesIn(parts).filter((tag) => /^[FKP]/.test(tag))).toEqual(['K1', 'K2']);
  });

  test('worked by hand: of 1x6, 5 1/2 square with 4 inside; the post as long as between the beams', () => {
    const { parts } = built('octagon', { post: 'box 1x6', beams: '4x4' }, 1.75);
    const part = (tag: string) => found(parts, (one) => one.tag === tag);
    const sizeOf = (tag: string) =>
      [part(tag).length, part(tag).width, part(tag).thickness].map((size) => printLength(size, 'in')).join(' x ');
    // 29 3/4 high, 2 1/4 of slats and battens, two beams of 3 1/2.
    for (const wide of ['P1A', 'P1B']) expect(sizeOf(wide)).toBe('20 1/2 x 5 1/2 x 3/4');
    for (const narrow of ['P1C', 'P1D']) expect(sizeOf(narrow)).toBe('20 1/2 x 4 x 3/4');
    expect(boxOf(part('P1D')).min[0] - boxOf(part('P1C')).max[0]).toBe(inches(4));
  });

  test('a hole that leaves no half inch of the beams is refused, also then', () => {
    const [stop] = built('octagon', { post: 'box 1x6', beams: '4x4' }, 2.75).findings;
    expect(plain(stop!.because, 'in')).toContain('leaves nothing of');
    expect(stop!.remedies.map(({ label }) => plain(label, 'in'))).toEqual(['Leave the hole out']);
  });

  test('hollow it can be built, its post glued up before it stands between foot and head', () => {
    const job = jobOf({ post: 'box 1x6', beams: '4x4', braces: '8' }, 1.75);
    const plan = planJob(job, { today: '2026-11-30', effort: 'quick' });
    expect(plan.findings.filter(({ level }) => level === 'stop')).toEqual([]);
    expect(rehearse(plan, job).stopped).toBeNull();
    const titles = plan.pieces[0]!.steps.map(({ title }) => plain(title, 'in'));
    const at = (words: RegExp) => titles.findIndex((title) => words.test(title));
    expect(at(/hollow post/)).toBeGreaterThanOrEqual(0);
    expect(at(/hollow post/)).toBeLessThan(at(/Stand the post/));
  });
});
