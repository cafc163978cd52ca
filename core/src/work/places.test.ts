import { inches } from '../length';
import { plain } from '../words';
import { placesOf, standingsOf } from './places';
import type { Standing } from './operation';
import type { Named, Spot } from './side';

const left: Named = { axis: 0, sign: -1, name: 'left end' };
const right: Named = { axis: 0, sign: 1, name: 'right end' };
const top: Named = { axis: 1, sign: 1, name: 'top edge' };
const inside: Named = { axis: 2, sign: 1, name: 'inside face' };
const outside: Named = { axis: 2, sign: -1, name: 'outside face' };

describe('places of holes, as they are marked', () => {
  const spot = (tag: string, at: number, change: Partial<Spot> = {}): Spot => ({
    ...{ part: `p.${tag}`, tag, side: inside, from: left, at: inches(at), across: top, off: inches(0.75), joint: 'j' },
    ...change,
  });
  const said = (...spots: readonly Spot[]) => plain(placesOf(spots), 'in');

  test('one row: in order along it, each place once', () => {
    expect(said(spot('A1', 9), spot('A1', 2), spot('A1', 9))).toBe(
      'A1, inside face: 2 and 9 from the left end, 3/4 from the top edge',
    );
  });

  test('two rows on one face are told one after the other, two faces each by its name', () => {
    expect(said(spot('A1', 2), spot('A1', 4, { off: inches(2) }))).toBe(
      'A1, inside face: 2 from the left end, 3/4 from the top edge; 4 from the left end, 2 from the top edge',
    );
    expect(said(spot('A1', 2), spot('A1', 3, { side: outside, from: right, across: null }))).toBe(
      'A1, inside face: 2 from the left end, 3/4 from the top edge; outside face: 3 from the right end',
    );
  });

  test('parts that are alike are told together, others apart', () => {
    expect(said(spot('A10', 2), spot('A2', 2), spot('A1', 2), spot('B1', 5))).toBe(
      'A1, A2 and A10, inside face: 2 from the left end, 3/4 from the top edge. ' +
        'B1, inside face: 5 from the left end, 3/4 from the top edge',
    );
  });
});

describe('where a part stands on others', () => {
  const row = (from: Named, at: number, of: 'onto' | 'part' = 'onto'): Standing['rows'][number] => ({
    of,
    from,
    at: inches(at),
  });
  const mark = (tag: string, ontoTag: string, ...rows: readonly Standing['rows'][number][]): Standing => ({
    ...{ part: `p.${tag}`, tag, onto: `p.${ontoTag}`, ontoTag, side: inside, rows },
  });
  const said = (...marks: readonly Standing[]) => {
    const phrase = standingsOf(marks);
    return phrase && plain(phrase, 'in');
  };

  test('nothing stands on nothing', () => expect(said()).toBeNull());

  test('at nought it is flush: with the end of what it lies on, or its own', () => {
    expect(said(mark('S1', 'A1', row(left, 0), row(top, 2)))).toBe(
      'S1 on the inside face of A1: flush with the left end and 2 from the top edge',
    );
    expect(said(mark('S1', 'A1', row(left, 0, 'part'), row(top, 1, 'part')))).toBe(
      'S1 on the inside face of A1: its left end flush and its top edge 1 beyond',
    );
  });

  test('a row of slats on the same two rails is one sentence, their places in the order of their names', () => {
    const slats = [1, 2, 3, 4].flatMap((number) =>
      ['A1', 'A2'].map((rail) => mark(`S${number}`, rail, row(left, 3 * number))),
    );
    expect(said(...slats)).toBe('S1 to S4 on the inside face of A1 and A2: 3, 6, 9 and 12 from the left end');
  });

  test('one shelf on four legs that are alike is one sentence too', () => {
    const legs = ['L1', 'L2', 'L3', 'L4'].map((leg) => mark('S1', leg, row(left, 6)));
    expect(said(...legs)).toBe('S1 on the inside face of L1 to L4: 6 from the left end');
  });

  test('one on one is told in its order, whatever their names are; on the same, each lies on all of them', () => {
    const ring = [mark('G1', 'G2', row(left, 0)), mark('G8', 'G1', row(left, 0))];
    expect(said(...ring)).toBe('G1 and G8 on the inside face of G2 and G1, in that order: flush with the left end');
    const legs = ['E1', 'E2'].flatMap((rail) => ['L1', 'L2'].map((leg) => mark(rail, leg, row(left, 2))));
    expect(said(...legs)).toBe('E1 and E2 on the inside face of L1 and L2: 2 from the left end');
  });

  test('where some lie on one and some on another, each has its own sentence', () => {
    const some = [mark('S1', 'A1', row(left, 0)), mark('S2', 'A1', row(left, 0)), mark('S3', 'A2', row(left, 0))];
    expect(said(...some)).toBe(
      'S1 and S2 on the inside face of A1: flush with the left end. S3 on the inside face of A2: flush with the left end',
    );
  });

  test('one over several has its places in the order in which they are named', () => {
    expect(said(mark('B1', 'T5', row(left, 9, 'part')), mark('B1', 'T4', row(left, 7, 'part')))).toBe(
      'B1 on the inside face of T5 and T4: its left end 9 and 7 beyond',
    );
  });

  test('what differs in two places is told in two sentences', () => {
    expect(said(mark('S1', 'A1', row(left, 3), row(top, 1)), mark('S2', 'A2', row(left, 6), row(top, 2)))).toBe(
      'S1 on the inside face of A1: 3 from the left end and 1 from the top edge. ' +
        'S2 on the inside face of A2: 6 from the left end and 2 from the top edge',
    );
  });
});
