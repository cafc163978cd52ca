import { READY } from './finishing';
import { finishedWith, newJob, TOOL_NAMES, type Job, type Piece } from './job';
import { inches } from './length';
import { newPiece } from './piece';
import { newPlanCache, planJob, type PlanCache } from './plan';
import { SAMPLE_YARDS } from './stock';
import { expectSame } from './testing/same';

const OPTIONS = { today: '2026-11-28', effort: 'quick' } as const;
const shopOf = (change: Partial<Job['shop']>) => (job: Job) => ({ ...job, shop: { ...job.shop, ...change } });
const pieceOf = (change: (piece: Piece) => Partial<Piece>) => (job: Job) => ({
  ...job,
  pieces: job.pieces.map((piece, at) => (at === 0 ? { ...piece, ...change(piece) } : piece)),
});

/** What a person changes of a job: each kind of thing that a plan is worked out from. */
const CHANGES: Readonly<Record<string, (job: Job) => Job>> = {
  longer: pieceOf(({ size }) => ({ size: { ...size, length: size.length + inches(3) } })),
  planed: pieceOf(() => ({ planed: inches(1 / 16) })),
  'another wood': pieceOf(() => ({ wood: 'oak' })),
  'the base first': pieceOf(({ first }) => ({ first: first === 'top' ? 'base' : 'top' })),
  'another finish': pieceOf(() => ({ finish: finishedWith(READY[1]!.id, READY[2]!.id) })),
  'two of it': pieceOf(() => ({ copies: 2 })),
  'rails joined otherwise': pieceOf(() => ({ joins: { 'rail end': { by: 'dowels' } } })),
  'measured as it stands': (job) => ({ ...job, measured: { ...job.measured, '2x4': { width: inches(3.4) } } }),
  'a part set by hand': pieceOf(() => ({ overrides: { A1: { width: inches(3) } } })),
  'another name': pieceOf(({ name }) => ({ name: `${name} too` })),
  millimetres: (job) => ({ ...job, units: 'mm' }),
  'another yard': (job) => ({ ...job, yard: SAMPLE_YARDS[1]! }),
  'no spares': (job) => ({ ...job, spares: 'none' }),
  'all tools': shopOf({ tools: TOOL_NAMES }),
  'hand tools': shopOf({ tools: ['hand saw', 'drill'] }),
  'a thicker saw': shopOf({ kerf: inches(3 / 16) }),
  'a short driver': shopOf({ drivers: ['right-angle head'] }),
  'pockets nearer': shopOf({ spacing: inches(5) }),
  'few clamps': shopOf({ clamps: [{ length: inches(24), count: 2 }] }),
  'a narrow door': shopOf({ door: inches(20) }),
  'a weak back': shopOf({ lift: 20 }),
  'a small car': shopOf({ car: inches(60) }),
  'straight edges otherwise': shopOf({ edgeRip: inches(1 / 4) }),
  'ends squared by more': shopOf({ squareEnds: inches(1) }),
  'left longer': shopOf({ partExtra: inches(2), topExtra: inches(3) }),
};

/** Starts that are soon planned; the changes go round them. */
const FEW = ['splayed', 'hairpin', 'x-frame', 'end-table', 'cupboard', 'bookcase'] as const;
const caches = new Map<string, PlanCache>();

describe('what is remembered between plans changes none: after a change it is the plan that is made anew', () => {
  test.each(Object.keys(CHANGES).map((kind, at) => [kind, FEW[at % FEW.length]!] as const))('%s: %s', (kind, start) => {
    const job: Job = { ...newJob('remembered'), pieces: [newPiece('p', start), newPiece('q', 'top')] };
    const cache = caches.get(start) ?? newPlanCache();
    caches.set(start, cache);
    planJob(job, { ...OPTIONS, cache });
    const changed = CHANGES[kind]!(job);
    expect(changed).not.toEqual(job);
    const [kept, anew] = [planJob(changed, { ...OPTIONS, cache }), planJob(changed, OPTIONS)];
    expectSame(kept, anew);
    expect(anew.pieces).toHaveLength(2);
  });
});
