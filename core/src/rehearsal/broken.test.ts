import { inches } from '../length';
import { DEFAULT_SHOP, newJob, type Job, type Piece } from '../job';
import { planWork, type WorkPlan } from '../plan';
import { newPiece } from '../piece';
import type { Operation, OperationKind, OperationOf } from '../work';
import { rehearse, type FaultKind } from './index';

const jobOf = (start: string, more: Partial<Piece> = {}): Job => ({
  ...newJob('j'),
  pieces: [{ ...newPiece('p', start), ...more }],
});
const planOf = (job: Job): WorkPlan => planWork(job, { today: '2026-01-31', effort: 'quick' });

/** A plan with the operations of its first piece changed. */
const changed = (plan: WorkPlan, change: (all: readonly Operation[]) => readonly Operation[]): WorkPlan => ({
  ...plan,
  pieces: plan.pieces.map((facts) => ({
    ...facts,
    steps: [{ ...facts.steps[0]!, operations: change(facts.steps.flatMap(({ operations }) => operations)) }],
  })),
});
const without = (plan: WorkPlan, drop: (operation: Operation) => boolean) =>
  changed(plan, (all) => all.filter((one) => !drop(one)));
function edited<K extends OperationKind>(
  plan: WorkPlan,
  kind: K,
  change: (operation: OperationOf<K>) => OperationOf<K>,
): WorkPlan {
  let done = false;
  return changed(plan, (all) =>
    all.map((one) => {
      if (done || one.kind !== kind) return one;
      const next = change(one as OperationOf<K>);
      done = next !== one;
      return next;
    }),
  );
}

describe('plans broken on purpose are stopped, each with its reason', () => {
  const table = jobOf('standing');
  const plan = planOf(table);
  const dowels = jobOf('standing', { joins: { 'rail end': { by: 'dowels' } } });
  const dowelled = planOf(dowels);
  const trestle = jobOf('trestle');
  const trestled = planOf(trestle);
  const kindsIn = (broken: WorkPlan, job: Job): readonly FaultKind[] =>
    rehearse(broken, job).faults.map(({ kind }) => kind);
  const first = (broken: WorkPlan, job: Job) => rehearse(broken, job).stopped;

  test('none of them is stopped before it is broken', () => {
    for (const [whole, job] of [
      [plan, table],
      [dowelled, dowels],
      [trestled, trestle],
    ] as const)
      expect(rehearse(whole, job).stopped).toBeNull();
  });

  test('1. a piece whose cut stands in no setting is never cut', () => {
    const setup = plan.setups.find(({ kind, cuts }) => kind === 'stop' && cuts.length > 1)!;
    const broken = {
      ...plan,
      setups: plan.setups.map((one) => (one === setup ? { ...one, cuts: one.cuts.slice(1) } : one)),
    };
    expect(first(broken, table)).toMatchObject({ kind: 'never cut' });
  });

  test('2. a cut beyond the end of its board meets no wood', () => {
    const broken = {
      ...plan,
      cuts: plan.cuts.map((cut, at) => (at === 0 ? { ...cut, at: cut.at + inches(400) } : cut)),
    };
    expect(first(broken, table)).toMatchObject({ kind: 'no wood' });
  });

  test('3. screws that were not bought are not there', () => {
    const broken = {
      ...plan,
      list: { ...plan.list, hardware: plan.list.hardware.filter(({ offer }) => offer.kind !== 'pocket-screw') },
    };
    expect(kindsIn(broken, table)).toEqual(['not there']);
  });

  test('4. a tool that the shop does not have', () => {
    const shop = { ...DEFAULT_SHOP, tools: DEFAULT_SHOP.tools.filter((tool) => tool !== 'pocket jig') };
    expect(first(plan, { ...table, shop })).toMatchObject({ kind: 'no tool' });
  });

  test('5. a leg put in before it is cut to length is not ready', () => {
    const broken = without(plan, ({ kind }) => kind === 'trim');
    expect(first(broken, table)).toMatchObject({ kind: 'not ready', why: expect.stringContaining('L1') as string });
  });

  test('6. a lap that is never cut: the leg is not what it should be', () => {
    const job = jobOf('x-frame');
    expect(
      first(
        without(planOf(job), ({ kind, id }) => kind === 'cut' && id.includes('lap')),
        job,
      ),
    ).toMatchObject({ kind: 'not ready' });
  });

  test('7. screws driven before the parts are together', () => {
    const broken = changed(plan, (all) => {
      const at = all.findIndex(({ kind, id }) => kind === 'drive' && id.includes('E1'));
      const drive = all[at]!;
      const rest = all.filter((one) => one !== drive);
      const place = rest.findIndex(({ kind, id }) => kind === 'place' && id.includes('end-1'));
      return [...rest.slice(0, place), drive, ...rest.slice(place)];
    });
    expect(first(broken, table)).toMatchObject({ kind: 'wrong order' });
  });

  test('8. a rail that is to come in through the leg has no way in', () => {
    const broken = edited(plan, 'place', (one) =>
      one.id.endsWith('end-1')
        ? { ...one, comes: one.comes.map((coming, at) => (at === 1 ? { ...coming, way: [0, 1, 0] as const } : coming)) }
        : one,
    );
    expect(first(broken, table)).toMatchObject({ kind: 'no way in' });
  });

  test('9. a dowelled rail pressed in across its dowels is blocked by them', () => {
    const broken = edited(dowelled, 'place', (one) =>
      one.id.endsWith('end-1')
        ? {
            ...one,
            comes: one.comes.map((coming, at) => (at === 1 ? { ...coming, way: [0, 0, -1] as const } : coming)),
          }
        : one,
    );
    expect(first(broken, dowels)).toMatchObject({ kind: 'blocked by pegs' });
  });

  test('10. dowel holes an eighth off do not meet', () => {
    const broken = edited(dowelled, 'bore', (one) =>
      one.for === 'dowels'
        ? { ...one, spots: one.spots.map((spot, at) => (at === 0 ? { ...spot, at: spot.at + inches(1 / 8) } : spot)) }
        : one,
    );
    expect(first(broken, dowels)).toMatchObject({ kind: 'holes do not meet' });
  });

  test('11. dowel holes too shallow for their dowels', () => {
    const broken = edited(dowelled, 'bore', (one) =>
      one.for === 'dowels' ? { ...one, bits: one.bits.map((bit) => ({ ...bit, deep: inches(1 / 2) })) } : one,
    );
    expect(first(broken, dowels)).toMatchObject({
      kind: 'holes do not meet',
      why: expect.stringContaining('too shallow') as string,
    });
  });

  test('12. pockets that nobody drills', () => {
    expect(
      first(
        without(plan, ({ kind, id }) => kind === 'pocket' && !id.includes('T1')),
        table,
      ),
    ).toMatchObject({ kind: 'not bored' });
  });

  test('13. a 3 1/2 screw through a 3 1/2 foot, its counterbore not told, bites nothing', () => {
    const broken = edited(trestled, 'bore', (one) => ({
      ...one,
      bits: one.bits.filter(({ as }) => as !== 'counterbore'),
    }));
    expect(kindsIn(broken, trestle)).toContain('bites too little');
  });

  test('14. a counterbore an inch too deep: the screw comes out on the far side', () => {
    const job = jobOf('x-frame');
    const whole = planOf(job);
    const broken = edited(whole, 'bore', (one) =>
      one.bits.some(({ as }) => as === 'counterbore')
        ? {
            ...one,
            bits: one.bits.map((bit) => (bit.as === 'counterbore' ? { ...bit, deep: bit.deep! + inches(1) } : bit)),
          }
        : one,
    );
    expect(kindsIn(broken, job)).toContain('comes out');
  });

  test('15. a top left 4 long, its pockets told from the end it will have: the saw meets a screw', () => {
    const shop = { ...DEFAULT_SHOP, topExtra: inches(4) };
    const job = { ...table, shop };
    const long = planOf(job);
    expect(rehearse(long, job).stopped).toBeNull();
    const broken = edited(long, 'pocket', (one) =>
      one.id.includes('T1') ? { ...one, spots: one.spots.map((spot) => ({ ...spot, at: spot.at - inches(2) })) } : one,
    );
    expect(kindsIn(broken, job)).toContain('hits a screw');
  });

  test('16. where a rail stands is told half an inch off', () => {
    const broken = edited(plan, 'place', (one) =>
      one.marks.length > 0
        ? {
            ...one,
            marks: one.marks.map((mark) => ({
              ...mark,
              rows: mark.rows.map((row) => ({ ...row, at: row.at + inches(1 / 2) })),
            })),
          }
        : one,
    );
    expect(first(broken, table)).toMatchObject({ kind: 'not told' });
  });

  test('17. turned over with its clips not driven, the top is loose', () => {
    const broken = without(plan, (one) => one.kind === 'drive' && one.fastener === 'clip');
    expect(kindsIn(broken, table)).toContain('loose when turned');
  });

  test('18. tiles laid before the table is turned over', () => {
    const job = jobOf('tiled');
    const whole = planOf(job);
    const broken = changed(whole, (all) => {
      const laid = all.find((one) => one.kind === 'place' && !one.fixed)!;
      const rest = all.filter((one) => one !== laid);
      const last = rest.findLastIndex(({ kind }) => kind === 'place');
      const turn: Operation = {
        ...laid,
        id: 'p.turn.late',
        kind: 'turn',
        about: 'over',
        says: [],
        lift: { pounds: 0, people: 9 },
      } as unknown as Operation;
      return [
        ...rest.slice(0, last + 1),
        ...rest.slice(last + 1).filter(({ kind }) => kind === 'drive' || kind === 'clamp'),
        laid,
        turn,
      ];
    });
    expect(kindsIn(broken, job)).toContain('loose when turned');
  });

  test('19. a frame taken as one that nothing holds together', () => {
    const broken = without(
      plan,
      ({ kind, id }) => (kind === 'drive' && id.includes('E1')) || (kind === 'clamp' && id.includes('end-1')),
    );
    expect(first(broken, table)).toMatchObject({ kind: 'not held' });
  });

  test('20. one person where it takes three', () => {
    const broken = edited(plan, 'turn', (one) => ({ ...one, lift: null }));
    const job = { ...table, shop: { ...table.shop, lift: 20 } };
    expect(kindsIn(broken, job)).toContain('too heavy');
  });

  test('21. a top cut an inch short is not the top that is drawn', () => {
    const broken = edited(plan, 'trim whole', (one) => ({ ...one, to: one.to - inches(1) }));
    expect(kindsIn(broken, table)).toContain('wrong shape');
  });

  test('22. ends cut three degrees off', () => {
    const job = jobOf('splayed');
    const broken = edited(planOf(job), 'mitre', (one) => ({
      ...one,
      ends: one.ends.map((end) => ({ ...end, mitre: end.mitre + 3 * Math.sign(end.mitre || 1) })),
    }));
    expect(kindsIn(broken, job)).toContain('wrong shape');
  });

  test('23. stays that are bought and that no step fits are left over', () => {
    const job = jobOf('chest');
    const broken = without(planOf(job), ({ kind }) => kind === 'fit hardware');
    expect(kindsIn(broken, job)).toEqual(['left over']);
  });

  test('24. doors that are never hung', () => {
    const job = jobOf('cupboard');
    expect(
      kindsIn(
        without(planOf(job), ({ kind, id }) => kind === 'hang' && id.includes('D1')),
        job,
      ),
    ).toContain('never joined');
  });

  test('25. slots for clips that are never cut', () => {
    expect(
      kindsIn(
        without(plan, ({ kind }) => kind === 'slot'),
        table,
      ),
    ).toContain('not bored');
  });
});

describe('what people do wrong where two things share one place', () => {
  const kindsIn = (broken: WorkPlan, job: Job): readonly FaultKind[] =>
    rehearse(broken, job).faults.map(({ kind }) => kind);

  test('26. a clip slot told so near to the end that it runs into a pocket', () => {
    const job = jobOf('shelf-coffee');
    const broken = edited(planOf(job), 'slot', (one) => ({
      ...one,
      spots: one.spots.map((spot, at) => (at === 0 ? { ...spot, at: inches(1.375) } : spot)),
    }));
    expect(kindsIn(broken, job)).toContain('meets a hole');
  });

  test('27. spacers of a top that are screwed on only once the base stands over their screws', () => {
    const job = jobOf('extending');
    const broken = changed(planOf(job), (all) => {
      const drive = all.find(({ id }) => id.includes('drive.Z1>T1'))!;
      const rest = all.filter((one) => one !== drive);
      const on = rest.findIndex(
        (one) =>
          one.kind === 'place' &&
          one.comes.some(({ tags }) => tags.includes('N1')) &&
          one.comes.some(({ tags }) => tags.includes('T1')),
      );
      return [...rest.slice(0, on + 1), drive, ...rest.slice(on + 1)];
    });
    expect(kindsIn(planOf(job), job)).toEqual([]);
    expect(kindsIn(broken, job)).toContain('no room');
  });

  test('28. mortises whose long sides lie across each other', () => {
    const job = jobOf('standing', { joins: { 'rail end': { by: 'loose tenon' } } });
    const whole = planOf(job);
    const broken = edited(whole, 'slot', (one) =>
      one.what === 'mortise'
        ? {
            ...one,
            spots: one.spots.map((spot, at) =>
              at === 0 ? { ...spot, from: spot.across!, at: spot.off, across: spot.from, off: spot.at } : spot,
            ),
          }
        : one,
    );
    expect(rehearse(whole, job).faults).toEqual([]);
    expect(kindsIn(broken, job)).toContain('holes do not meet');
  });

  test('29. boards of a round top, which differ in length, told to lie with their left ends level', () => {
    const job = jobOf('pedestal');
    const broken = edited(planOf(job), 'place', (one) =>
      one.row === 'middles' ? { ...one, row: 'ends' as const } : one,
    );
    expect(kindsIn(broken, job)).toContain('not told');
  });

  test('30. drawers that are in their slides while the table is set on its head', () => {
    const job = jobOf('end-table');
    const whole = planOf(job);
    const turned = whole.pieces[0]!.steps.flatMap(({ operations }) => operations).filter(
      (one) => (one.kind === 'place' && one.over) || one.kind === 'turn',
    );
    expect(turned).toHaveLength(2);
    expect(rehearse(whole, job).faults).toEqual([]);
    for (const at of turned) {
      const broken = changed(whole, (all) => all.map((one) => (one === at ? { ...at, out: [] } : one)));
      expect(kindsIn(broken, job)).toContain('loose when turned');
    }
  });
});
