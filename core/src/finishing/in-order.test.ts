import { applyChanges, finishedWith, newJob, set, type Finish, type Job } from '../job';
import { inches } from '../length';
import { newPiece } from '../piece';
import { rehearse } from '../rehearsal';
import { plain } from '../words';
import { planning } from '../testing/planning';

/** A piece that is started with, finished so, with a planer in the shop. */
const jobOf = (start: string, finish: Partial<Finish>, recipe = 'natural.wipeable'): Job => {
  const job = newJob('j');
  return {
    ...job,
    shop: { ...job.shop, tools: [...job.shop.tools, 'planer'] },
    pieces: [{ ...newPiece('p', start), finish: { ...finishedWith(recipe), ...finish } }],
  };
};
const planned = planning();
const stepsOf = (job: Job) =>
  planned(job).pieces[0]!.steps.map(({ id, operations, actions, pause, wait }) => ({
    id: id.slice(id.indexOf('.') + 1),
    ops: operations,
    says: actions.map(({ text }) => plain(text, 'in')).join(' '),
    pause,
    wait,
  }));
const at = (steps: ReturnType<typeof stepsOf>, kind: string) =>
  steps.findIndex(({ ops }) => ops.some((op) => op.kind === kind));

/** A bench 12 wide, its top of two boards. */
const narrow = (flatten: Finish['flatten']): Job => {
  const job = jobOf('bench', { flatten });
  return applyChanges(job, [set('p', ['size', 'width'], inches(12))]);
};

describe('a top in the planer', () => {
  const job = narrow('planer');
  const steps = stepsOf(job);

  test('goes through it a day after it was glued, before it is joined to its base', () => {
    const flat = at(steps, 'flatten');
    const rests = steps.findIndex(({ id }) => id === 'top-rests');
    const toBase = planned(job).pieces[0]!.fastenings.flatMap(({ joint }) =>
      joint.kind.startsWith('top') ? [joint.id] : [],
    );
    expect(toBase.length).toBeGreaterThan(0);
    const joined = steps.findIndex(({ ops }) =>
      ops.some((op) => op.kind === 'drive' && op.joints.some((id) => toBase.includes(id))),
    );
    expect(rests).toBeGreaterThan(0);
    expect(flat).toBeGreaterThan(rests);
    expect(joined).toBeGreaterThan(flat);
    expect(steps[flat]!.says).toMatch(/in the planer, its flatter face down/);
    expect(rehearse(planned(job), job).faults).toEqual([]);
  });

  test('loses what stands proud from both faces, where what is sanded loses it from one', () => {
    const left = (by: Finish['flatten']) =>
      stepsOf(narrow(by)).flatMap(({ ops }) =>
        ops.flatMap((op) => (op.kind === 'flatten' ? [{ left: op.left, proud: op.proud }] : [])),
      )[0]!;
    const [planer, sander] = [left('planer'), left('sander')];
    expect(planer.proud).toBe(sander.proud);
    expect(sander.left - planer.left).toBe(planer.proud);
  });

  test('that is wider than a planer, or with none in the shop, is a stop with ways out that mend it', () => {
    const wide = jobOf('dining', { flatten: 'planer' });
    const none: Job = { ...job, shop: { ...job.shop, tools: job.shop.tools.filter((tool) => tool !== 'planer') } };
    const found = (of: Job) => planned(of).findings.find(({ kind }) => kind === 'no-planer');
    expect(found(job)).toBeUndefined();
    expect(plain(found(wide)!.because, 'in')).toContain('bench-top planers take about 12 1/2');
    expect(plain(found(none)!.because, 'in')).toContain('The list of tools in Shop has none');
    for (const of of [wide, none])
      for (const { changes } of found(of)!.remedies) expect(found(applyChanges(of, changes))).toBeUndefined();
  });
});

describe('part by part', () => {
  const steps = stepsOf(jobOf('shelf-coffee', { when: 'parts' }));

  test('what is cut to fit is coated while it is long; heads are filled and coated as often as the rest at the end', () => {
    const first = steps.find(({ ops }) => ops.some((op) => op.kind === 'coat'))!;
    expect(first.says).toMatch(/C1 is cut to fit later: coat it as long as it is/);
    const filled = steps.findIndex(({ id }) => id === 'heads');
    const after = steps.slice(filled + 1);
    expect(steps[filled]!.wait).toBe(120);
    const touched = after.filter(({ ops }) => ops.some((op) => op.kind === 'coat'));
    expect(touched.map(({ id }) => id)).toEqual(['touch-coat-1', 'touch-coat-2', 'touch-coat-3']);
    expect(touched[0]!.says).toContain('on the heads that were filled, nowhere else: brush it on');
    // Twelve hours before the next, a day before it is handled after the last.
    expect(touched.map(({ pause }) => pause)).toEqual([720, 720, 1440]);
  });

  test('once it stands nothing is touched up', () => {
    const whole = stepsOf(jobOf('shelf-coffee', { when: 'assembled' }));
    expect(whole.some(({ id }) => id.startsWith('touch'))).toBe(false);
  });
});

test('thin glue is hard at once where no head is filled; filler and sawdust wait two hours', () => {
  const waits = (cracks: Finish['cracks']) => {
    const steps = stepsOf(jobOf('coffee', { cracks }));
    return steps[at(steps, 'fill')]!;
  };
  expect([waits('thin glue').wait, waits('filler').wait, waits('sawdust').wait]).toEqual([0, 120, 120]);
  expect(waits('thin glue').says).toMatch(/a puff of activator: hard in a minute/);
  expect(waits('sawdust').says).toMatch(/sawdust of the same wood, stirred into glue/);
});

test('seams are caulked under paint once all is sanded, and under nothing else', () => {
  const steps = stepsOf(jobOf('coffee', {}, 'painted.wipeable'));
  const caulked = steps.find(({ says }) => says.includes('caulk'))!;
  const last = caulked.ops.at(-1)!;
  expect(last.kind === 'fill' && last.seams).toBeGreaterThan(2);
  expect(caulked.ops[0]!.kind).toBe('sand');
  // It dries longer than two hours before primer goes on.
  expect(caulked.wait).toBeGreaterThanOrEqual(120);
  expect(stepsOf(jobOf('coffee', {})).some(({ says }) => says.includes('caulk'))).toBe(false);
});

test('recipes that are tried stand beside those that are taken, on the sample and in the list', () => {
  const job = jobOf('coffee', { tries: [{ id: 'honey.wipeable', lost: false, why: '' }] });
  const [piece] = job.pieces;
  const says = (of: Job) => stepsOf(of).find(({ ops }) => ops.some(({ kind }) => kind === 'sample'))!.says;
  expect(says(job)).toContain('“natural, wipeable”. Beside them, a line of tape between: “honey, wipeable”.');
  const needs = (of: Job) => planned(of).needs.filter(({ size }) => size === 'oil stain honey');
  expect(needs(job)).toEqual([{ kind: 'stain', size: 'oil stain honey', count: 1 }]);
  const lost = applyChanges(job, [
    set(piece!.id, ['finish', 'tries', 'honey.wipeable'], { id: 'honey.wipeable', lost: true, why: '' }),
  ]);
  expect(says(lost)).not.toContain('honey');
  expect(needs(lost)).toEqual([]);
});

test('outside end grain is sealed, inside it is only gone over twice', () => {
  const says = (start: string, recipe: string) =>
    stepsOf(jobOf(start, {}, recipe)).find(({ ops }) => ops.some(({ kind }) => kind === 'coat'))!.says;
  expect(says('outdoor', 'natural.outdoors')).toMatch(/until it drinks no more, the ends of feet above all/);
  expect(says('coffee', 'natural.wipeable')).toContain('End grain drinks: go over it again at once');
});

test('of what stays bare end grain is sanded as the rest is', () => {
  const sanded = stepsOf(jobOf('coffee', {}, 'natural.bare')).find(({ ops }) =>
    ops.some(({ kind }) => kind === 'sand'),
  )!;
  expect(sanded.ops.every((op) => op.kind !== 'sand' || op.ends === null)).toBe(true);
});

test('end grain is sanded a grit finer than its surface, and its paper is counted', () => {
  const sanded = stepsOf(jobOf('coffee', {})).find(({ ops }) => ops.some(({ kind }) => kind === 'sand'))!;
  const op = sanded.ops.find(({ kind }) => kind === 'sand')!;
  expect(op.kind === 'sand' && [op.grits.at(-1), op.ends]).toEqual([180, 220]);
  expect(sanded.says).toContain('End grain to 220: it drinks less then');
  expect(op.kind === 'sand' && op.takes.some(({ kind, size }) => kind === 'disc' && size === '220')).toBe(true);
});
