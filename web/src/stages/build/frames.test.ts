import { demoJob, type Operation } from '@sill/core';
import { planned } from '../../../../core/src/testing/planning';
import { fastenedBy, momentsOf, type Moment } from './frames';

const plan = planned(demoJob(), '2026-11-24');
const rows = plan.pieces.map((facts) => [facts.piece.name, facts, momentsOf(facts, plan.setups, fastenedBy)] as const);
const isIn = (all: ReadonlySet<string>, some: ReadonlySet<string>) => [...some].every((id) => all.has(id));

describe.each(rows)('%s, moment by moment', (_name, facts, moments) => {
  const operations = facts.steps.flatMap(({ operations: own }) => own);
  const told = moments.filter(({ notch }) => notch > 0);

  test('the saw first, each setting that cuts a part of it; then every operation, in order, in the words of its step', () => {
    const saw = moments.filter(({ notch }) => notch === 0);
    const own = new Set(facts.parts.map(({ id }) => id));
    expect(saw.map(({ id }) => id)).toEqual(
      plan.setups
        .filter(({ parts }) => parts.some(({ id }) => own.has(id)))
        .map(({ id }) => `${facts.piece.id}.saw.${id}`),
    );
    expect(moments.slice(0, saw.length)).toEqual(saw);
    expect(told.map(({ id }) => id)).toEqual(operations.map(({ id }) => id));
    expect(told.map(({ says }) => says)).toEqual(facts.steps.flatMap(({ actions }) => actions.map(({ text }) => text)));
  });

  test('what is cut, shaped or standing stays so; nothing stands before it is cut', () => {
    for (const [at, moment] of moments.entries()) {
      const before = moments[at - 1];
      for (const how of ['cut', 'shaped', 'stands'] as const)
        if (before) expect(isIn(moment[how], before[how])).toBe(true);
      expect(isIn(moment.cut, moment.stands)).toBe(true);
      expect(isIn(moment.shaped, moment.stands)).toBe(true);
    }
  });

  test('bodies share no part and hold all that stands; in the end one holds the whole piece', () => {
    for (const { bodies, stands } of moments) {
      const all = bodies.flatMap((body) => [...body]);
      expect(new Set(all).size).toBe(all.length);
      expect(new Set(all)).toEqual(stands);
    }
    const last = moments.at(-1)!;
    const joined = facts.parts.filter(({ loose }) => !loose).map(({ id }) => id);
    expect(joined.filter((id) => !last.stands.has(id))).toEqual([]);
  });

  test('what comes in was not there before, and what is worked on is not in its place yet', () => {
    for (const [at, moment] of moments.entries()) {
      const before = moments[at - 1]?.stands ?? new Set<string>();
      for (const id of moment.comes.keys()) expect([moment.id, before.has(id)]).toEqual([moment.id, false]);
      if (moment.comes.size === 0)
        for (const id of moment.works) expect([moment.id, moment.stands.has(id)]).toEqual([moment.id, false]);
    }
  });

  test('every joint that is driven, pegged or hung is fastened once', () => {
    const fastened = told.flatMap(({ joints }: Moment) => [...joints]);
    const asked = operations.flatMap((one: Operation) => [...new Set(fastenedBy(one))]);
    expect([...fastened].sort()).toEqual([...asked].sort());
    expect(fastened.length).toBeGreaterThan(0);
  });
});
