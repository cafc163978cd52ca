import { inches } from '../length';
import type { Entry, EntryOf, OnHand } from '../job';
import { holdingsOf, misentryOf, misentryWords, rootOf, type Misentry } from './index';

const at = '2026-11-28T09:00';
const yard = { id: 'y', name: 'Yard', tax: 5 };
const wood = { material: '2x4', length: inches(96), width: inches(3.5) } as const;
const bought = (id: string): EntryOf<'bought'> => ({
  ...{ id, at, what: 'bought', offer: '2x4x8', ...wood, grade: '#2', price: 399, yard, parts: [] },
});
const piece = (part: string, x: number, length: number) => ({
  ...{ part, x: inches(x), y: 0, length: inches(length), width: inches(3.5) },
  ...{ turned: false, slants: { left: 0, right: 0 } },
});
const PIECES = [piece('p.L1', 0.5, 30), piece('p.L2', 31, 30)];
const OFFCUTS = [{ x: inches(62), y: 0, length: inches(33.5), width: inches(3.5) }];
const cut = (id: string, of: string, by: string | null = null): EntryOf<'cut'> => ({
  ...{ id, at, what: 'cut', of, ...wood, pieces: PIECES, cuts: [], offcuts: OFFCUTS, by },
});
const told = (id: string, what: 'returned' | 'spoiled' | 'gone' | 'corrected', of: string): Entry => ({
  ...{ id, at, what, of },
});
const hand: OnHand = { id: 'h', ...wood, count: 2, squared: true, bad: [], where: '', note: '' };
const states = (ledger: readonly Entry[], onHand: readonly OnHand[] = []) =>
  Object.fromEntries([...holdingsOf({ ledger, onHand }).bodies].map(([id, { state }]) => [id, state]));
const faults = (ledger: readonly Entry[], onHand: readonly OnHand[] = []) =>
  holdingsOf({ ledger, onHand }).faults.map(({ entry, why }): [string, Misentry['why']] => [entry.id, why]);

test('what is bought is whole, what is cut gives its pieces and offcuts, each of its own size', () => {
  expect(states([bought('b')])).toEqual({ b: 'whole' });
  const { bodies } = holdingsOf({ ledger: [bought('b'), cut('c', 'b')], onHand: [] });
  expect([...bodies.keys()]).toEqual(['b', 'b/p0', 'b/p1', 'b/o0']);
  expect(bodies.get('b/o0')).toMatchObject({ length: inches(33.5), material: '2x4', from: 'b', piece: null });
  expect(bodies.get('b/p1')?.piece?.part).toBe('p.L2');
  expect(rootOf('b/o0/p2')).toBe('b');
});

test('cut at one setting it is begun, at the last it is cut; its first layout holds', () => {
  const begun = [bought('b'), cut('c', 'b', 'stop:1'), cut('d', 'b', 'stop:2')];
  expect(states(begun)).toEqual({ b: 'begun' });
  expect(holdingsOf({ ledger: begun, onHand: [] }).bodies.get('b')?.settings).toEqual(['stop:1', 'stop:2']);
  expect(states([...begun, cut('e', 'b')])).toMatchObject({ b: 'cut', 'b/p0': 'whole' });
  const other: Entry = { ...cut('f', 'b'), pieces: [piece('p.L9', 0.5, 60)] };
  expect(faults([...begun, other])).toEqual([['f', 'cut before']]);
});

test('a board that is spoiled takes with it what was cut from it and is there still', () => {
  const ledger = [bought('b'), cut('c', 'b'), told('g', 'gone', 'b/o0'), told('s', 'spoiled', 'b')];
  expect(states(ledger)).toEqual({ b: 'spoiled', 'b/p0': 'spoiled', 'b/p1': 'spoiled', 'b/o0': 'gone' });
});

test('a correction takes an entry back, a correction of that one brings it again', () => {
  const wrong = [bought('b'), told('s', 'spoiled', 'b'), told('x', 'corrected', 's')];
  expect(states(wrong)).toEqual({ b: 'whole' });
  expect(states([...wrong, told('y', 'corrected', 'x')])).toEqual({ b: 'spoiled' });
});

test.each<[string, readonly Entry[], Misentry['why']]>([
  ['a return of what was never bought', [told('r', 'returned', 'nothing')], 'never bought'],
  ['a return of what is on hand', [told('r', 'returned', 'hand.h:1')], 'never bought'],
  ['a return of what is cut', [bought('b'), cut('c', 'b'), told('r', 'returned', 'b')], 'cut before'],
  ['a return twice', [bought('b'), told('q', 'returned', 'b'), told('r', 'returned', 'b')], 'not there'],
  ['a cut of what is spoiled', [bought('b'), told('s', 'spoiled', 'b'), cut('c', 'b')], 'not there'],
  ['a cut of what is cut', [bought('b'), cut('c', 'b'), cut('d', 'b')], 'cut before'],
  ['a third of two on hand', [cut('c', 'hand.h:3')], 'too many'],
  ['something spoiled that never was', [told('s', 'spoiled', 'nothing')], 'unknown'],
])('%s can not be so, and is told in a sentence', (_, ledger, why) => {
  const found = holdingsOf({ ledger, onHand: [hand] }).faults;
  expect(found.map((fault) => fault.why)).toEqual([why]);
  expect(found.map(misentryWords).join()).toMatch(/^(A|Something) .* of 2026-11-28, 09:00 can not be so: .*\.$/);
});

test('wood that is cut and was never told of is there and cut all the same: nothing of it is lost', () => {
  expect(states([cut('c', 'b')])).toMatchObject({ b: 'cut', 'b/p0': 'whole', 'b/o0': 'whole' });
  expect(faults([cut('c', 'b')])).toEqual([['c', 'unknown']]);
  // A row on hand may be taken out once it is cut up.
  expect(faults([cut('c', 'hand.h:1')])).toEqual([]);
});

test('a purchase can not be taken back once its board is cut; the cut first, then it can', () => {
  const job = { ledger: [bought('b'), cut('c', 'b')], onHand: [] };
  expect(misentryOf(job, [told('x', 'corrected', 'b')])?.why).toBe('unknown');
  expect(misentryOf(job, [told('x', 'corrected', 'c'), told('y', 'corrected', 'b')])).toBeNull();
});
