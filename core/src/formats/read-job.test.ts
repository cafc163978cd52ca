import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { applyChanges, newJob, DEFAULT_SHOP, JOB_FORMAT, KIT, set, UNFINISHED, type Job } from '../job';
import { holdingsOf, readingsOf } from '../ledger';
import { inches, PER_FOOT, toInches } from '../length';
import { demoJob, newPiece, STARTS } from '../piece';
import { SAMPLE_YARD } from '../stock';
import { planning } from '../testing/planning';
import { readJob, readJobText, readShop, readYard } from './index';
import { NEWEST } from './versions';

const planOf = planning();

test('every job this program makes can be read back from its text', () => {
  for (const job of [
    demoJob(),
    newJob('x'),
    { ...newJob('y'), pieces: STARTS.map((start) => newPiece(start.id, start.id)) },
  ])
    expect(readJobText(JSON.stringify(job))).toEqual({ ok: true, value: job });
  expect(readYard(SAMPLE_YARD).ok).toBe(true);
  expect(readShop(DEFAULT_SHOP).ok).toBe(true);
});

test.each([
  ['not JSON', '{"format":', 'damaged'],
  ['another kind', '{"format":"sill-plan/cut-problem@1"}', 'not a job file'],
  ['a list', '[]', 'not a job file'],
  ['a newer version', JSON.stringify({ ...demoJob(), format: 'sill-plan/job@13' }), 'newer version'],
])('%s gets a message', (_, text, message) => {
  const read = readJobText(text);
  expect(read.ok).toBe(false);
  if (!read.ok) expect(read.message).toContain(message);
});

test.each([
  [['pieces', 0, 'size', 'length'], -1, 'pieces 1, size, length', 'at least 1'],
  [['pieces', 0, 'choices', 'legs'], 'oak', 'pieces 1, legs', 'must be one of'],
  [['pieces', 0, 'choices', 'wings'], 2, 'pieces 1, wings', 'is not a choice'],
  [['pieces', 0, 'choices', 'shelfHeight'], 1.5, 'pieces 1, shelf or stretcher height', 'whole number'],
  [['pieces', 1, 'family'], 'boat', 'pieces 2, family', 'does not know'],
  [['pieces', 1, 'top'], 'cloth', 'pieces 2, top', 'does not know'],
  [['pieces', 0, 'topChoices'], { edges: 7 }, 'pieces 1, top, straight edges', 'must be one of'],
  [['pieces', 0, 'overrides'], { A1: { length: -4 } }, 'pieces 1, overrides, A1, length', 'at least 1'],
  [['pieces', 1, 'id'], 'glaze', 'pieces', 'same id'],
  [['yard', 'boards', 4, 'price'], 1.5, 'yard, boards 5, price', 'whole number'],
  [['shop', 'kerf'], undefined, 'shop, kerf', 'is missing'],
  [['name'], 7, 'name', 'must be text'],
])('names the field %s', (path, value, field, message) => {
  const job = structuredClone(demoJob());
  const last = path.slice(0, -1).reduce<Record<string | number, unknown>>((at, key) => at[key] as never, job as never);
  last[path.at(-1)!] = value;
  const read = readJob(job);
  expect(read.ok).toBe(false);
  if (!read.ok) {
    expect(read.fields[0]!.field).toBe(field);
    expect(read.fields[0]!.message).toContain(message);
  }
});

test('changes make a new job and leave the old; a piece that is gone changes nothing', () => {
  const job = demoJob();
  const before = JSON.stringify(job);
  const changed = applyChanges(job, [
    set('bench', ['size', 'length'], 5),
    set(null, ['yard', 'boards', job.yard.boards[0]!.id, 'price'], 1),
  ]);
  expect(changed.pieces[2]!.size.length).toBe(5);
  expect(changed.yard.boards[0]!.price).toBe(1);
  expect(JSON.stringify(job)).toBe(before);
  expect(applyChanges(job, [set('gone', ['name'], 'x')])).toEqual(job);
});

/** A job as the first version of the program wrote it. */
const first = {
  ...newJob('old'),
  shop: { ...DEFAULT_SHOP, clamps: 8 },
  format: 'sill-plan/job@1',
  yard: {
    id: 'old-yard',
    name: 'Old yard',
    tax: 5,
    boards: [{ id: '2x4x8', nominal: '2x4', feet: 8, species: 'spf', grade: '#2', price: 400, inStock: true }],
    hardware: [{ id: 'clips-10', kind: 'clip', size: '', count: 10, price: 500 }],
  },
  pieces: [
    {
      id: 'glaze',
      name: 'Glaze table',
      family: 'apron-table',
      use: 'standing',
      where: '',
      copies: 2,
      size: { length: 520192, width: 247904, height: 292608 },
      seats: null,
      boughtPrice: 42000,
      choices: {
        top: { thickness: '1x', width: '6', edges: 'as bought', fixing: 'screwed' },
        legs: '4x4',
        apron: '2x6',
        overhang: { ends: 24384, sides: 16256 },
        setback: 4064,
        crossSupports: 3,
      },
    },
  ],
};

test('a job of the first version migrates: nothing a person stated is lost', () => {
  const result = readJob(first);
  expect(result.ok).toBe(true);
  if (!result.ok) return;
  expect(result.value.pieces[0]).toEqual({
    ...first.pieces[0],
    family: 'aprons',
    top: 'joined',
    choices: {
      legs: '4x4',
      apron: '2x6',
      overhangEnds: 24384,
      overhangSides: 16256,
      setback: 4064,
      crossSupports: 3,
      fixing: 'screwed',
    },
    topChoices: { thickness: '1x', width: '6', edges: 'as bought' },
    planedFor: 'all',
    carries: { top: null, lies: 'spread', shelf: null, drawer: null },
    outside: false,
    overrides: {},
    loose: [],
    joins: {},
    first: 'top',
    wood: 'common',
    planed: 0,
    finish: UNFINISHED,
  });
  expect(result.value.yard.boards).toEqual([
    { id: '2x4x8', board: '2x4', length: 8 * PER_FOOT, grade: '#2', price: 400, inStock: true },
  ]);
  expect(result.value.shop.clamps).toEqual(DEFAULT_SHOP.clamps);
  expect(result.value.yard.hardware[0]).toEqual(first.yard.hardware[0]);
  expect(result.value.yard.sheets).toEqual(SAMPLE_YARD.sheets);
  expect(readJob(result.value)).toEqual(result);
});

test('a job of the second version: boards by feet, clamps by number, one yard', () => {
  const job = newJob('second');
  const shop = { ...job.shop, snipe: undefined, bench: undefined };
  const row = { id: '2x6x10', nominal: '2x6', feet: 10, species: 'spf', grade: '#2', price: 916, inStock: false };
  const second = {
    ...job,
    format: 'sill-plan/job@2',
    shop: { ...shop, clamps: 5 },
    yard: { ...job.yard, boards: [row] },
    alsoAt: undefined,
    measured: undefined,
  };
  const result = readJob(JSON.parse(JSON.stringify(second)));
  expect(result.ok).toBe(true);
  if (!result.ok) return;
  expect(result.value.yard.boards).toEqual([
    { id: '2x6x10', board: '2x6', length: 10 * PER_FOOT, grade: '#2', price: 916, inStock: false },
  ]);
  expect(result.value.shop.clamps).toEqual([
    { length: inches(24), count: 3 },
    { length: inches(50), count: 2 },
  ]);
  expect(result.value).toMatchObject({ alsoAt: [], measured: {} });
  expect(readShop({ ...shop, clamps: 0 })).toMatchObject({ ok: true, value: { clamps: [] } });
  expect(readShop({ ...DEFAULT_SHOP, clamps: [{ length: 0, count: 1 }] })).toMatchObject({ ok: false });
});

test('a damaged job of the first version names the field, in today’s words', () => {
  const damaged = {
    ...first,
    pieces: [{ ...first.pieces[0]!, choices: { ...first.pieces[0]!.choices, legs: 'glass' } }],
  };
  const result = readJob(damaged);
  expect(result.ok).toBe(false);
  if (!result.ok) expect(result.fields[0]).toMatchObject({ field: 'pieces 1, legs' });
  expect(readJob({ format: 'sill-plan/job@1' }).ok).toBe(false);
  expect(readJob({ ...first, pieces: 'none' }).ok).toBe(false);
});

test('what happened by the marks of version 3 is in the ledger: bought at the list’s price, cut, spoiled, taken, ticked', () => {
  const file = join(__dirname, 'fixtures', 'job-3-last.json');
  const result = readJob(JSON.parse(readFileSync(file, 'utf8')));
  if (!result.ok) throw new Error(result.message);
  const { ledger, locks, done } = result.value;
  const { bodies, hands, boxes, faults, rejected, done: steps } = holdingsOf(result.value);
  expect(faults).toEqual([]);
  // By hand: cut 13.88, bought 15.48, spoiled 10.98 as settled boards; the cart has one and two more of the first two;
  // the board with a bad stretch was paid 3.99 and is cut.
  const paid = ledger.flatMap((entry) => (entry.what === 'bought' ? [entry.price] : []));
  expect(paid.sort((a, b) => a - b)).toEqual([399, 1098, 1388, 1388, 1548, 1548, 1548]);
  const states = [...bodies.values()]
    .filter(({ bought }) => bought)
    .map(({ state, material }) => `${state} ${material}`);
  expect(states.sort()).toEqual(
    ['cut 2x10', 'cut 2x4', 'spoiled 2x6', ...Array(3).fill('whole 2x6'), 'whole 2x10'].sort(),
  );
  expect([...bodies.values()].find(({ id, bought }) => bought?.price === 399 && !id.includes('/'))?.bad).toHaveLength(
    1,
  );
  expect(hands.get('plank')?.count).toBe(2);
  expect(hands.has('taken')).toBe(false);
  expect(locks).toHaveLength(1);
  expect([...rejected.values()]).toEqual([1, 1]);
  expect(boxes).toHaveLength(1);
  expect(done).toEqual(['stage:brief', 'stage:shape']);
  expect(steps.size).toBe(2);
});

test('what version 4 kept beside its ledger is in it: wood found, first; fetched, with its row; measured, last', () => {
  const file = join(__dirname, 'fixtures', 'job-4-last.json');
  const result = readJob(JSON.parse(readFileSync(file, 'utf8')));
  if (!result.ok) throw new Error(result.message);
  const { hands, bodies, faults } = holdingsOf(result.value);
  expect(faults).toEqual([]);
  // A row that was taken out once one of its boards was cut was there, as many as the number of that board says.
  expect([...hands.values()].map(({ id, count, material }) => [id, count, material])).toEqual([
    ['sold', 2, '2x4'],
    ['plank', 2, '2x6'],
    ['came', 1, '1x4'],
  ]);
  expect(hands.get('plank')?.photo).toBe('pic.1');
  expect(['hand.sold:2', 'hand.plank:1', 'hand.plank:2'].map((id) => bodies.get(id)?.state)).toEqual([
    'cut',
    'whole',
    'racked',
  ]);
  const { asBuilt, diagonals, from } = readingsOf(result.value, 'glaze');
  expect(asBuilt).toEqual({ A1: { length: 300_000 }, C1: { length: 150_000, cut: true } });
  expect(diagonals).toEqual({ 'glaze.base': [400_000, 400_127] });
  expect(from.map((entry) => entry.what !== 'fitted' && entry.simulated)).toEqual([true, false, false, false, true]);
});

test.each([
  [
    'a cut longer than its board',
    {
      what: 'cut',
      of: 'x',
      material: '2x4',
      length: 100,
      width: 50,
      cuts: [],
      offcuts: [],
      by: null,
      pieces: [{ part: 'p.T1', x: 1, y: 0, length: 100, width: 10, turned: false, slants: { left: 0, right: 0 } }],
    },
    'has a piece that reaches beyond its board',
  ],
  [
    'a price of nothing',
    { what: 'box', offer: 'o', kind: 'clip', size: '', count: 1, price: 0, yard: { id: 'y', name: 'Y', tax: 5 } },
    'must be at least 1 cent',
  ],
  ['an entry of a newer program', { what: 'painted', of: 'x' }, 'must be an entry that this program knows'],
])('%s in a ledger is refused with a sentence', (_, entry, why) => {
  const result = readJob({ ...newJob('bad'), ledger: [{ id: 'e1', at: null, ...entry }] });
  expect(result.ok ? '' : result.message).toContain(why);
});

test('beams under a round top, measured from the square inside it up to version 5, stay as long as they were', () => {
  const round = { ...newPiece('r', 'pedestal'), choices: { overhang: inches(3) } };
  const job = { ...newJob('old'), format: 'sill-plan/job@5', pieces: [round, newPiece('t', 'desk')] };
  const result = readJob(JSON.parse(JSON.stringify(job)));
  if (!result.ok) throw new Error(result.message);
  // 42 across holds a square of 29.698: 6.151 more on each side.
  const [pedestal, desk] = result.value.pieces;
  expect(toInches(pedestal!.choices.overhang as number)).toBeCloseTo(3 + (42 - 42 / Math.SQRT2) / 2, 3);
  expect(desk!.choices).toEqual(newPiece('t', 'desk').choices);
});

test('one finish for all of a piece, up to version 6, is recipes: the top as fine as it was, the rest to 150', () => {
  const old = (finish: object) => ({ ...newPiece('t', 'desk'), finish });
  const stained = { sandTo: 220, stain: 'oil stain', coat: 'oil polyurethane', coats: 3 };
  const sold = [
    { id: 'stain-8', kind: 'stain', size: 'oil stain', count: 8, price: 700 },
    { id: 'disc-80', kind: 'disc', size: '80', count: 5, price: 400 },
  ];
  const job = {
    ...newJob('old'),
    format: 'sill-plan/job@6',
    yard: { ...SAMPLE_YARD, hardware: sold },
    ledger: [
      {
        id: 'e1',
        at: null,
        what: 'box',
        offer: 'stain-8',
        kind: 'stain',
        size: 'oil stain',
        count: 8,
        price: 700,
        yard: { id: 'y', name: 'Y', tax: 5 },
      },
    ],
    pieces: [
      old(stained),
      { ...old({ sandTo: 0, stain: 'none', coat: 'none', coats: 0 }), id: 'none' },
      { ...old(stained), id: 'same' },
    ],
  };
  const result = readJob(JSON.parse(JSON.stringify(job)));
  if (!result.ok) throw new Error(result.message);
  const { pieces, recipes, yard, shop } = result.value;
  expect(recipes.map(({ id, sandTo, conditioner, coat, coats }) => [id, sandTo, conditioner, coat, coats])).toEqual([
    ['finish-1', 220, true, 'oil polyurethane', 3],
    ['finish-2', 150, true, 'oil polyurethane', 3],
  ]);
  const [first, none, same] = pieces;
  expect(first!.finish.on.top).toEqual({ recipe: 'finish-1', coats: null });
  expect(first!.finish.on.base).toEqual({ recipe: 'finish-2', coats: null });
  expect(none!.finish).toEqual(UNFINISHED);
  expect(same!.finish).toEqual(first!.finish);
  // A stain without a colour is sold in each at the same price; what else is new comes from the sample.
  expect(yard.hardware.filter(({ size }) => size.startsWith('oil stain')).map(({ price }) => price)).toEqual(
    Array(7).fill(700),
  );
  expect(yard.hardware.filter(({ id }) => id === 'disc-80')).toEqual([sold[1]]);
  expect(yard.hardware.some(({ kind }) => kind === 'tape')).toBe(true);
  expect(shop.kit).toEqual(KIT);
  // A can that was bought is the one that the recipe takes.
  const plan = planOf(result.value);
  const can = plan.list.hardware.find(({ offer }) => offer.size === 'oil stain nut brown')!;
  expect(can.owned).toBe(1);
  expect(plan.needs.some(({ kind, size }) => kind === 'stain' && size === 'oil stain nut brown')).toBe(true);
});

describe('files as older programs wrote them', () => {
  const folder = join(__dirname, 'fixtures');
  const files = readdirSync(folder);
  const written = (name: string) => JSON.parse(readFileSync(join(folder, name), 'utf8')) as Job;

  test('there is one of every version, and a step to the newest', () => {
    const versions = new Set(files.map((name) => Number(written(name).format.split('@')[1])));
    expect([...versions].sort((a, b) => a - b)).toEqual(Array.from({ length: NEWEST }, (_, at) => at + 1));
    expect(JOB_FORMAT).toBe(`sill-plan/job@${NEWEST}`);
  });

  test.each(files)('%s is read, says what it said, and is planned', (name) => {
    const before = written(name);
    const result = readJob(before);
    expect(result.ok ? null : result.message).toBeNull();
    if (!result.ok) return;
    const job = result.value;
    expect([job.name, job.budget, job.yard.name, job.yard.boards.length]).toEqual([
      before.name,
      before.budget,
      before.yard.name,
      before.yard.boards.length,
    ]);
    expect(job.pieces.map(({ id, size, copies }) => [id, size, copies])).toEqual(
      before.pieces.map(({ id, size, copies }) => [id, size, copies]),
    );
    expect(readJob(JSON.parse(JSON.stringify(job)))).toEqual(result);
    const { parts, buying, findings } = planOf(job);
    expect(parts.length).toBeGreaterThan(20);
    expect(buying.unplaced).toEqual([]);
    expect(findings.filter(({ kind }) => ['unbuilt', 'unordered', 'unsawn'].includes(kind))).toEqual([]);
  });
});
