import { inches } from '../../length';
import { newJob, type Job } from '../../job';
import { planJob } from '../../plan';
import { rehearse } from '../../rehearsal';
import { built, changedStart } from '../../testing/built';
import { plain } from '../../words';
import { boxOf, newPiece, type Choices, type Part } from '../index';

const holed = (choices: Choices, hole: number) => ({ choices, topChoices: { hole: inches(hole) } });
const under = (start: string, choices: Choices, hole: number) => built(start, holed(choices, hole));
const holesIn = (parts: readonly Part[]): readonly string[] =>
  parts.filter(({ cuts }) => cuts.some(({ kind }) => kind === 'hole')).map(({ tag }) => tag);

describe('the pole of a parasol goes past cross supports', () => {
  test.each([1, 3])(
    '%s of them: the middle one stands beside it, and what lies on it is clear too',
    (crossSupports) => {
      const { parts, findings } = under('outdoor', { crossSupports }, 1.75);
      expect(findings).toEqual([]);
      const middle = Math.max(...parts.map((part) => boxOf(part).max[0])) / 2;
      const near = parts
        .filter(({ role }) => role === 'support')
        .map((part) => Math.min(...[boxOf(part).min[0], boxOf(part).max[0]].map((x) => Math.abs(x - middle))));
      // 1 3/4 across is 7/8 to a side, an eighth clear, and a batten of 3 1/2 stands an inch out over 1 1/2.
      expect(Math.min(...near)).toBeGreaterThanOrEqual(inches(2));
      expect(Math.min(...near)).toBeLessThan(inches(2 + 1 / 8));
      // Bored are slats alone.
      expect(holesIn(parts).filter((tag) => !tag.startsWith('T'))).toEqual([]);
    },
  );

  test('without a hole, and of an even number, none is moved', () => {
    const places = (crossSupports: number, hole: number) =>
      under('outdoor', { crossSupports }, hole)
        .parts.filter(({ role }) => role === 'support')
        .map(boxOf);
    expect(places(2, 1.75)).toEqual(places(2, 0));
    const [, middle] = places(3, 0);
    const size = newPiece('p', 'outdoor').size.length;
    expect(Math.abs((middle!.min[0] + middle!.max[0]) / 2 - size / 2)).toBeLessThan(inches(1 / 8));
  });
});

test('a stretcher under the middle would be parted: it says so, and the hole can be left out', () => {
  const { stops, taking } = built('outdoor', { family: 'trestle', topChoices: { hole: inches(1.75) } });
  expect(stops).toEqual([["The parasol's hole parts what crosses below", 'Leave the hole out']]);
  expect(taking('Leave the hole out').findings).toEqual([]);
});

describe('a pedestal with a parasol', () => {
  const jobOf = (choices: Choices, hole: number): Job => ({
    ...newJob('j'),
    pieces: [changedStart('octagon', holed(choices, hole))],
  });

  test('on a solid post it stands in the way; one click makes the post hollow, on beams wide enough', () => {
    const { stops, taking } = under('octagon', {}, 1.75);
    const way = 'Make the post hollow, on 4×4 beams';
    expect(stops).toEqual([['The parasol would stand on the post', way, 'Leave the hole out']]);
    const { parts, findings } = taking(way);
    expect(findings).toEqual([]);
    // Through the laps of the head, not of the foot: the pole stands on that.
    expect(holesIn(parts).filter((tag) => /^[FKP]/.test(tag))).toEqual(['K1', 'K2']);
  });

  test('worked by hand: of 1x6, 5 1/2 square with 4 inside; the post as long as between the beams', () => {
    const { is, part } = under('octagon', { post: 'box 1x6', beams: '4x4' }, 1.75);
    // 29 3/4 high, 2 1/4 of slats and battens, two beams of 3 1/2.
    is('P1A P1B', '20 1/2 x 5 1/2 x 3/4');
    is('P1C P1D', '20 1/2 x 4 x 3/4');
    expect(boxOf(part('P1D')).min[0] - boxOf(part('P1C')).max[0]).toBe(inches(4));
  });

  test('a hole that leaves no half inch of the beams is refused, also then', () => {
    const { findings, stops } = under('octagon', { post: 'box 1x6', beams: '4x4' }, 2.75);
    expect(plain(findings[0]!.because, 'in')).toContain('leaves under 1/2 of slat T4');
    expect(stops).toEqual([["The parasol's hole parts what crosses below", 'Leave the hole out']]);
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
