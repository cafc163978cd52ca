import { applyChanges, KITS, newJob, TOOL_NAMES, type Job, set } from '../job';
import { inches } from '../length';
import { newPiece, STARTS } from '../piece';
import { newPlanCache, planWork } from '../plan';
import { planning } from '../testing/planning';
import { someOf } from '../testing/runs';
import { plain } from '../words';
import { shopNotes } from './shop';

const job = (start: string, tools: Job['shop']['tools'], rest: Partial<Job['shop']> = {}): Job => {
  const base = newJob('test');
  return { ...base, pieces: [newPiece('p', start)], shop: { ...base.shop, tools, ...rest } };
};
const planOf = planning('2026-11-24');
const cache = newPlanCache();
/** Of the tools alone: of days, people and strength nothing is asked. */
const notes = (of: Job) =>
  planWork(of, { today: '2026-11-24', effort: 'quick', cache })
    .pieces.flatMap((piece) => shopNotes(piece, of))
    .filter(({ id }) => id.startsWith('p.shop-'));
const ids = (of: Job) => notes(of).map(({ id }) => id.replace('p.shop-', ''));

describe('what the shop can not do', () => {
  test.each(STARTS.map(({ id }) => id))('%s in a shop with everything: nothing to say', (start) => {
    expect(ids(job(start, TOOL_NAMES, { mitre: 90 }))).toEqual([]);
  });

  test('a hand saw and a drill: boards are not ripped, sheets not broken down, grooves not cut', () => {
    const tools = KITS[0]!.tools;
    expect(ids(job('standing', tools))).toEqual(['rip']);
    expect(ids(job('chest', tools))).toEqual(expect.arrayContaining(['sheet', 'groove']));
    expect(ids(job('standing', []))).toEqual(expect.arrayContaining(['rip', 'pockets']));
  });

  test('a circular saw without its guide rips nothing, with it it does', () => {
    expect(ids(job('standing', ['circular saw', 'pocket jig', 'drill']))).toEqual(['rip']);
    expect(ids(job('standing', ['circular saw', 'guide', 'pocket jig', 'drill']))).toEqual([]);
  });

  test('boards wider than the saw takes, and ends steeper than it turns', () => {
    const narrow = job('bench', ['mitre saw', 'band saw', 'pocket jig', 'drill'], { crosscut: 8128 * 6 });
    expect(ids(narrow)).toContain('wide');
    const shallow = job('trestle', TOOL_NAMES, { mitre: 30 });
    expect(ids(shallow)).toContain('angle');
    expect(plain(notes(shallow).find(({ id }) => id === 'p.shop-angle')!.because, 'in')).toContain('template');
  });

  test('every way out, taken, ends the note it is offered by', () => {
    let taken = 0;
    const starts = someOf(STARTS, 7);
    for (const { id: start } of starts)
      for (const tools of [[], KITS[0]!.tools]) {
        const before = job(start, tools);
        for (const { id, remedies } of notes(before))
          for (const { changes } of remedies) {
            expect(notes(applyChanges(before, changes)).map((found) => found.id)).not.toContain(id);
            taken++;
          }
      }
    expect(taken).toBeGreaterThan((40 * starts.length) / STARTS.length);
  });

  test('planed boards ask for a planer', () => {
    const asked = job('standing', ['table saw', 'pocket jig', 'drill']);
    const planed = { ...asked, pieces: [{ ...asked.pieces[0]!, planed: inches(1 / 16) }] };
    expect(ids(asked)).toEqual([]);
    expect(ids(planed)).toEqual(['plane']);
    expect(ids({ ...planed, shop: { ...planed.shop, tools: TOOL_NAMES } })).toEqual([]);
    for (const { changes } of notes(planed)[0]!.remedies) expect(ids(applyChanges(planed, changes))).toEqual([]);
  });
});

describe('clamps, bench and treated wood', () => {
  const told = (of: Job, id: string) => planOf(of).findings.find((finding) => finding.id === `p.${id}`);
  const dining = job('dining', TOOL_NAMES);
  const glued = applyChanges(dining, [set('p', ['topChoices', 'held'], 'glue')]);

  test('a top held by glue alone wants a clamp that opens over it', () => {
    const short = { ...glued, shop: { ...glued.shop, clamps: [{ length: inches(24), count: 8 }] } };
    expect(told(short, 'clamps-short')).toMatchObject({ level: 'care' });
    expect(told(glued, 'clamps-short')).toBeUndefined();
    const [remedy] = told(short, 'clamps-short')!.remedies;
    expect(told(applyChanges(short, remedy!.changes), 'clamps-short')).toBeUndefined();
    // The step says how to do without.
    const steps = planOf(short).pieces[0]!.steps;
    expect(steps.flatMap(({ actions }) => actions.map(({ text }) => plain(text, 'in'))).join()).toContain('wedges');
  });

  test('a top larger than the bench', () => {
    expect(told(dining, 'bench')).toMatchObject({ level: 'care' });
    const large = { ...dining, shop: { ...dining.shop, bench: { length: inches(36), width: inches(72) } } };
    expect(told(large, 'bench')).toBeUndefined();
  });

  test('treated wood is said to be no place for food', () => {
    const treated = { ...dining, pieces: [{ ...dining.pieces[0]!, wood: 'treated' as const }] };
    expect(plain(told(treated, 'treated')!.because, 'in')).toContain('never burn');
    expect(told(dining, 'treated')).toBeUndefined();
  });
});
