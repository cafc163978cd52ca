import fc from 'fast-check';
import { inches } from '../length';
import { clampCount, DEFAULT_SHOP, newJob } from '../job';
import { fastenings } from '../joinery';
import { buildPiece, newPiece } from '../piece';
import { plain } from '../words';
import { tables } from '../testing/tables';
import { stepsOf } from './index';
import { runs } from '../testing/runs';

const stepsFor = (piece: Parameters<typeof buildPiece>[0], nominal: '1x8' | '2x8') => {
  const model = buildPiece(piece, nominal, DEFAULT_SHOP, 'in');
  const { parts, joints } = model;
  return { parts, steps: stepsOf(piece, model, fastenings(joints, parts, 'in'), newJob('j')) };
};

test('no part is "there" in a step before a step has handled it; ids are unique; clamps never exceed the shop', () => {
  fc.assert(
    fc.property(tables('in'), (piece) => {
      const { parts, steps } = stepsFor(piece, piece.topChoices.thickness === '1x' ? '1x8' : '2x8');
      const handled = new Set<string>();
      const ids = new Set<string>();
      for (const step of steps) {
        for (const id of step.there) expect(handled.has(id)).toBe(true);
        step.adds.forEach((id) => handled.add(id));
        for (const { id } of step.actions) {
          expect(ids.has(id)).toBe(false);
          ids.add(id);
        }
        expect(step.clamps).toBeLessThanOrEqual(clampCount(DEFAULT_SHOP));
        expect(step.work).toBeGreaterThan(0);
      }
      expect(handled.size).toBe(parts.length);
    }),
    runs(120, 3),
  );
});

test('the words of a table worked out by hand', () => {
  const { steps } = stepsFor(
    { ...newPiece('t', 'standing'), size: { length: inches(60), width: inches(28), height: inches(36) } },
    '2x8',
  );
  const words = steps.map((step) =>
    [plain(step.title, 'in'), ...step.actions.map((action) => plain(action.text, 'in'))].join(' | '),
  );
  const frame = words.find((text) => text.startsWith('Join the left end frame'))!;
  // Legs 34 1/2 long, frame 28 - 2 x 2 = 24 wide: the diagonal is 42.03, on the tape 42.
  expect(frame).toContain('about 42 each');
  expect(frame).toContain('Lay 2 spacers 1/2 thick');
  expect(frame).toContain('E1 on the inside face of L1 and L2: flush with the top end and 1/2 from the outside edge');
  expect(frame).toContain('Drive 4 pocket screws 2 1/2 coarse, E1 to L1 and L2');
  const legs = words.find((text) => text.startsWith('Glue up the legs'))!;
  expect(legs).toContain('4 clamps each, one every 10 or so: 2 at a time, 2 rounds.');
  expect(words.find((text) => text.startsWith('Join the end frames'))).toContain('about 59 1/16'); // 54 by 24
});

test('saws and drills stand with their caution', () => {
  const { steps } = stepsFor(newPiece('t', 'dining'), '2x8');
  for (const step of steps) {
    const words = step.actions.map((action) => plain(action.text, 'in')).join(' ');
    if (/\bcut (?:the other|all four|to what)|Square one end/.test(words))
      expect(step.cautions.length).toBeGreaterThan(0);
    if (/pocket screws|pockets in/.test(words)) expect(step.cautions.length).toBeGreaterThan(0);
  }
});
