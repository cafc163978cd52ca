import { inches, printLength } from '../../length';
import { newJob, type Job } from '../../job';
import { planJob } from '../../plan';
import { rehearse } from '../../rehearsal';
import { built, changedStart } from '../../testing/built';
import { plain } from '../../words';
import { boxOf, solidOf, waysOf, type Choices } from '../index';

const layers = (choices: Choices) => ({ choices: { beams: 'layers', ...choices } });
const trestle = (choices: Choices = {}) => built('trestle', layers(choices));

/** 72 x 36 x 29 1/2 with a top of 1 1/2 and overhangs of 4 at the sides: 28 long and 28 high. */
test('worked by hand: layers of 2x4 that leave each other just the room they need', () => {
  const { is, parts } = trestle();
  is('F1 F2 F3 F4 K1 K2 K3 K4', '28 x 3 1/2 x 1 1/2');
  // Half of what the post leaves of 28, each side: (28 - 3 1/2) / 2.
  is('M1 M2 M3 M4 M5 M6 M7 M8', '12 1/4 x 3 1/2 x 1 1/2');
  // Through to the top, and between foot and head.
  is('P1 P2', '28 x 3 1/2 x 1 1/2');
  is('C1 C2 C3 C4', '21 x 3 1/2 x 1 1/2');
  // No lap is cut anywhere in the base: the 22 layers are plain boards.
  const layers = parts.filter(({ tag }) => /^[FKMPC]\d/.test(tag));
  expect(layers).toHaveLength(22);
  expect(layers.flatMap(({ cuts }) => cuts)).toEqual([]);
});

test('where post and foot cross each has one layer of three that the other lacks', () => {
  const { part } = trestle();
  const thick = inches(1.5);
  const [outer, middle, inner] = [part('F1'), part('M1'), part('F2')].map(boxOf) as [
    ReturnType<typeof boxOf>,
    ReturnType<typeof boxOf>,
    ReturnType<typeof boxOf>,
  ];
  const core = boxOf(part('P1'));
  expect([middle.min[0] - outer.min[0], inner.min[0] - middle.min[0]]).toEqual([thick, thick]);
  expect([core.min[0], core.max[0]]).toEqual([middle.min[0], middle.max[0]]);
  // Tight against it on both sides.
  expect(core.min[1]).toBe(middle.max[1]);
  expect(core.max[1]).toBe(boxOf(part('M2')).min[1]);
});

test('the two trestles look at each other: what is joined between them is joined to their inner layers', () => {
  const { part, joints } = trestle({ kickers: true });
  const [left, right] = [boxOf(part('C2')), boxOf(part('C4'))];
  expect(left.max[0]).toBeLessThan(right.min[0]);
  expect(part('S1').length).toBe(right.min[0] - left.max[0]);
  const onto = (tag: string) =>
    joints.filter(({ drilled }) => drilled === `p.${tag}`).map(({ into }) => into.replace('p.', ''));
  expect([onto('S1'), onto('N1')].map((tags) => tags.slice(0, 2))).toEqual([
    ['C2', 'C4'],
    ['K2', 'K4'],
  ]);
});

test('no screw of it goes into end grain but those of struts and the rails between', () => {
  const { parts, joints } = trestle();
  const byId = new Map(parts.map((part) => [part.id, part]));
  const layered = joints.filter(({ drilled, into }) => [drilled, into].every((id) => /^p\.[FKMPC]\d$/.test(id)));
  expect(layered).toHaveLength(28);
  for (const { drilled, into } of layered) {
    const [a, b] = [byId.get(drilled)!, byId.get(into)!];
    // Both lie face to face across the table: neither's length runs that way.
    expect([waysOf(a)[0][0], waysOf(b)[0][0]]).toEqual([0, 0]);
  }
});

test.each([true, false])(
  'ends cut at 45: the upper corners of the foot and the lower ones of the head (layers: %s)',
  (isLayered) => {
    const { part } = trestle({ beams: isLayered ? 'layers' : 'solid', beamEnds: 'clipped' });
    const heightsAtEnd = (tag: string): readonly string[] => {
      const points = solidOf(part(tag)).flatMap((cell) => cell.flatMap((face) => face.points));
      const end = Math.min(...points.map(([, y]) => y));
      const heights = points.filter(([, y]) => y < end + 10).map(([, , z]) => Math.round(z));
      return [Math.min(...heights), Math.max(...heights)].map((height) => printLength(height, 'in'));
    };
    // 1 1/4 off: of a foot 3 1/2 high 2 1/4 are left at its end, of a head from 28 down as much.
    expect(heightsAtEnd('F1')).toEqual(['0', '2 1/4']);
    expect(heightsAtEnd('K1')).toEqual(['25 3/4', '28']);
    expect(printLength(part('F1').length, 'in')).toBe('28');
  },
);

describe('it can be built', () => {
  const jobOf = (choices: Choices): Job => ({ ...newJob('j'), pieces: [changedStart('trestle', layers(choices))] });
  test.each<Choices>([
    {},
    { beamEnds: 'clipped', gussets: 'both', struts: false },
    { strutStock: '4x4', struts: true, headStruts: true },
    { kickers: true, fixing: 'screwed' },
  ])('%j', (choices) => {
    const job = jobOf(choices);
    const plan = planJob(job, { today: '2026-11-30', effort: 'quick' });
    expect(plan.findings.filter(({ level }) => level === 'stop')).toEqual([]);
    expect(rehearse(plan, job).stopped).toBeNull();
  });

  test('the middle layer first, closed by the other face, then its struts; the cue is that no lap is cut', () => {
    const { pieces } = planJob(jobOf({}), { today: '2026-11-30', effort: 'quick' });
    const titles = pieces[0]!.steps.map(({ title }) => plain(title, 'in')).filter((title) => /trestle 1/.test(title));
    expect(titles).toEqual([
      'Lay up trestle 1',
      'Close trestle 1: F2, C2 and K2',
      'Brace trestle 1: D1, D2, D5 and D6',
    ]);
    const [layUp] = pieces[0]!.steps.filter(({ title }) => plain(title, 'in') === 'Lay up trestle 1');
    expect(layUp!.actions.map(({ text }) => plain(text, 'in')).join(' ')).toContain('No lap is cut: it forms itself.');
  });

  test('screws that others push aside keep their distance from those of their own joint', () => {
    const { pieces } = planJob(jobOf({}), { today: '2026-11-30', effort: 'quick' });
    for (const { joint, by, shanks } of pieces[0]!.fastenings) {
      if (by !== 'screws' || !/\.[FKC]\d>|\.P\d>/.test(joint.id)) continue;
      const places = shanks.map(({ position }) => position).sort((a, b) => a - b);
      for (const [at, place] of places.entries())
        if (at > 0) expect([joint.id, place - places[at - 1]! >= inches(0.5)]).toEqual([joint.id, true]);
    }
  });
});
