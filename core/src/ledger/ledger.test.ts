import { inches } from '../length';
import type { Entry, EntryOf, OnHand, Side } from '../job';
import { handsThere, holdingsOf, misentryOf, misentryWords, readingsOf, rootOf, type Misentry } from './index';

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
const found: EntryOf<'found'> = { id: 'found', at, what: 'found', hand };
const states = (ledger: readonly Entry[]) =>
  Object.fromEntries([...holdingsOf({ ledger }).bodies].map(([id, { state }]) => [id, state]));
const faults = (ledger: readonly Entry[]) =>
  holdingsOf({ ledger }).faults.map(({ entry, why }): [string, Misentry['why']] => [entry.id, why]);

test('what is bought is whole, what is cut gives its pieces and offcuts, each of its own size', () => {
  expect(states([bought('b')])).toEqual({ b: 'whole' });
  const { bodies } = holdingsOf({ ledger: [bought('b'), cut('c', 'b')] });
  expect([...bodies.keys()]).toEqual(['b', 'b/p0', 'b/p1', 'b/o0']);
  expect(bodies.get('b/o0')).toMatchObject({ length: inches(33.5), material: '2x4', from: 'b', piece: null });
  expect(bodies.get('b/p1')?.piece?.part).toBe('p.L2');
  expect(rootOf('b/o0/p2')).toBe('b');
});

test('cut at one setting it is begun, at the last it is cut; its first layout holds', () => {
  const begun = [bought('b'), cut('c', 'b', 'stop:1'), cut('d', 'b', 'stop:2')];
  expect(states(begun)).toEqual({ b: 'begun' });
  expect(holdingsOf({ ledger: begun }).bodies.get('b')?.settings).toEqual(['stop:1', 'stop:2']);
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
  const wrong = holdingsOf({ ledger: [found, ...ledger] }).faults;
  expect(wrong.map((fault) => fault.why)).toEqual([why]);
  expect(wrong.map(misentryWords).join()).toMatch(/^(A|Something) .* of 2026-11-28, 09:00 can not be so: .*\.$/);
});

test('wood that is cut and was never told of is there and cut all the same: nothing of it is lost', () => {
  expect(states([cut('c', 'b')])).toMatchObject({ b: 'cut', 'b/p0': 'whole', 'b/o0': 'whole' });
  expect(faults([cut('c', 'b')])).toEqual([['c', 'unknown']]);
});

test('wood that was found is there so many times; once some is cut, its finding can not be a mistake', () => {
  expect(states([found])).toEqual({ 'hand.h:1': 'whole', 'hand.h:2': 'whole' });
  expect(states([found, told('x', 'corrected', 'found')])).toEqual({});
  const job = { ledger: [found, cut('c', 'hand.h:1')] };
  expect(misentryOf(job, [told('x', 'corrected', 'found')])?.why).toBe('unknown');
  expect(faults([found, { ...found, id: 'again' }])).toEqual([['again', 'told before']]);
  expect(handsThere({ ledger: [found, told('g', 'gone', 'hand.h:2')] })).toEqual([{ ...hand, count: 1 }]);
});

test('a photo is put to the row, a true size to the board, while it is whole', () => {
  const photo: Entry = { id: 'p', at, what: 'photographed', of: 'h', photo: 'pic' };
  expect(holdingsOf({ ledger: [found, photo] }).hands.get('h')).toEqual({ ...hand, photo: 'pic' });
  expect(faults([photo])).toEqual([['p', 'unknown']]);
  const sized: Entry = { id: 's', at, what: 'sized', of: 'b', length: inches(95), width: inches(3.5) };
  expect(holdingsOf({ ledger: [bought('b'), sized] }).bodies.get('b')?.length).toBe(inches(95));
  expect(faults([bought('b'), cut('c', 'b'), sized])).toEqual([['s', 'cut before']]);
});

test('of what was read of a part the last holds; what is taken back was never read', () => {
  const read = (id: string, size: number, side: Side = 'length'): Entry => ({
    ...{ id, at, what: 'measured', piece: 't', tag: 'A1', side, size: inches(size), simulated: false, planned: null },
  });
  const diagonal = (id: string, which: 0 | 1): Entry => ({
    ...{ id, at, what: 'diagonal', piece: 't', step: 't.s1', which, size: inches(40), simulated: true },
  });
  const ledger = [read('a', 20), read('w', 3, 'width'), read('b', 21), diagonal('d', 1)];
  expect(readingsOf({ ledger }, 't')).toMatchObject({
    asBuilt: { A1: { length: inches(21), width: inches(3) } },
    diagonals: { 't.s1': [null, inches(40)] },
  });
  expect(readingsOf({ ledger }, 't').from.map(({ id }) => id)).toEqual(['a', 'w', 'b', 'd']);
  expect(readingsOf({ ledger: [...ledger, told('x', 'corrected', 'b')] }, 't').asBuilt['A1']?.length).toBe(inches(20));
  const fitted: Entry = { id: 'f', at, what: 'fitted', piece: 't', tag: 'B1' };
  expect(readingsOf({ ledger: [fitted] }, 't').asBuilt).toEqual({ B1: { cut: true } });
  expect(readingsOf({ ledger }, 'other').from).toEqual([]);
});

test('a purchase can not be taken back once its board is cut; the cut first, then it can', () => {
  const job = { ledger: [bought('b'), cut('c', 'b')] };
  expect(misentryOf(job, [told('x', 'corrected', 'b')])?.why).toBe('unknown');
  expect(misentryOf(job, [told('x', 'corrected', 'c'), told('y', 'corrected', 'b')])).toBeNull();
});
