import { demoJob, nth, type Step } from '@sill/core';
import { planned } from '../../../core/src/testing/planning';
import { drawnIn, joinedIn, measured } from './steps';

const { pieces } = planned(demoJob(), '2026-11-24');
const rows = pieces.map((facts) => [facts.piece.name, facts] as const);

describe.each(rows)('the steps of the %s as they are drawn', (_, facts) => {
  test('every part is in every picture once: new where it is added, there where it stands, else later', () => {
    for (const step of facts.steps) {
      const parts = drawnIn(step, facts).filter(({ body }) => !body);
      expect(parts.map(({ part }) => part.id)).toEqual(facts.parts.map(({ id }) => id));
      for (const { part, as } of parts)
        expect([part.id, as]).toEqual([
          part.id,
          step.adds.includes(part.id) ? 'new' : step.there.includes(part.id) ? 'there' : 'later',
        ]);
    }
  });

  test('blocks are drawn once both parts that they hold are there: new in the step that glues them, not before', () => {
    const at = (step: Step) => drawnIn(step, facts).filter(({ body }) => body);
    const blocked = facts.fastenings.filter(({ blocks }) => blocks.length > 0);
    for (const step of facts.steps) {
      const here = new Set([...step.adds, ...step.there]);
      const held = blocked.filter(({ drilled, into }) => here.has(drilled.id) && here.has(into.id));
      expect(at(step)).toHaveLength(held.length);
      expect(at(step).filter(({ as }) => as === 'new')).toHaveLength(
        held.filter(({ joint }) => step.makes.includes(joint.id)).length,
      );
    }
  });

  test('each joint is made in one step at most, and drawn in that', () => {
    const drawn = facts.steps.flatMap((step) => joinedIn(step, facts.fastenings).map(({ joint }) => joint.id));
    expect(new Set(drawn).size).toBe(drawn.length);
    for (const step of facts.steps)
      expect(
        joinedIn(step, facts.fastenings)
          .map(({ joint }) => joint.id)
          .sort(),
      ).toEqual(step.makes.filter((id) => facts.fastenings.some(({ joint }) => joint.id === id)).sort());
  });

  test('one length is drawn where one rail, or a pair of them, is added: never that of a leg or a top', () => {
    for (const step of facts.steps) {
      const one = measured(step, facts.parts);
      const rails = facts.parts.filter(({ id, role }) => step.adds.includes(id) && role !== 'leg' && role !== 'top');
      expect(one).toBe(rails.length === 1 || rails.length === 2 ? nth(rails, 0) : null);
    }
  });
});
