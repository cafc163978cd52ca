import { inches, mm, printLength } from '../length';
import { DEFAULT_SHOP, newJob, type Piece, type Shop } from '../job';
import { fastenings } from '../joinery';
import { buildPiece, newPiece, STARTS } from '../piece';
import { plain } from '../words';
import { wordsOf, type Operation } from '../work';
import { stepsOf, workOn } from './index';
import { toldOutline } from './shaping';

const built = (piece: Piece, shop: Shop = DEFAULT_SHOP) => {
  const model = buildPiece(piece, '2x6', shop, 'in');
  const made = fastenings(model.joints, model.parts, 'in', piece, shop);
  return { model, made, steps: stepsOf(piece, model, made, { ...newJob('j'), shop }) };
};
const table = newPiece('t', 'standing');
const wide: Piece = {
  ...table,
  size: { ...table.size, width: inches(31.5) },
  topChoices: { thickness: '2x', width: '6', edges: 'ripped' },
};
const kinds = (operations: readonly Operation[]) => operations.map(({ kind }) => kind);
const on = (piece: Piece, tag: string, shop?: Shop) => workOn(built(piece, shop).steps, `t.${tag}`);
const said = (operation: Operation | undefined) => (operation ? plain(wordsOf(operation), 'in') : '');

describe('what is done to a part, in an order that can be done', () => {
  test('a leg of plies is glued up, then cut to length; proud ones are ripped clean in between', () => {
    const glued = on({ ...wide, choices: { legs: 'two 2x4' } }, 'L1');
    expect(kinds(glued).slice(0, 2)).toEqual(['laminate', 'trim']);
    // Half an inch is left on, half of it at each end; 36 less 1 1/2 of top.
    expect(said(glued[1])).toContain('about 1/4; stop at 34 1/2');
    const proud = on({ ...wide, choices: { legs: 'two 2x4', legEdges: 'ripped' } }, 'L1');
    expect(kinds(proud).slice(0, 3)).toEqual(['laminate', 'rip', 'trim']);
    expect(said(proud[1])).toContain('3 3/8');
  });

  test('boards of a top: bored along their edges while they are long, cut to length as one, then the rest', () => {
    const work = on(wide, 'T2');
    expect(kinds(work).slice(0, 2)).toEqual(['pocket', 'trim whole']);
    const [pocket, whole] = work;
    // An inch over, half of it at each end: the first pocket is 2 from where the end will be.
    if (pocket?.kind !== 'pocket' || whole?.kind !== 'trim whole') throw new Error('another order');
    const own = pocket.spots.filter(({ tag }) => tag === 'T2').map(({ at }) => printLength(at, 'in'));
    expect(own[0]).toBe('2 1/2');
    expect(own.at(-1)).toBe('58 1/2');
    expect([whole.off, whole.to].map((length) => printLength(length, 'in'))).toEqual(['1/2', '60']);
  });

  test('planed boards: four passes of a thirty-second for an eighth; the gouged ends go with the squaring', () => {
    const shop: Shop = {
      ...DEFAULT_SHOP,
      snipe: inches(2),
      tools: ['table saw', 'planer', 'pocket jig', 'drill', 'mitre saw'],
    };
    const work = on({ ...wide, planed: inches(1 / 8) }, 'T2', shop);
    expect(kinds(work).slice(0, 3)).toEqual(['plane', 'pocket', 'trim whole']);
    expect(said(work[0])).toContain('to 1 1/4 thick: 4 passes a face');
    const whole = work[2]!;
    expect(whole.kind === 'trim whole' && printLength(whole.off, 'in')).toBe('2');
    // What is not part of a panel loses its ends before anything is bored in it.
    const apron = on({ ...wide, planed: inches(1 / 8) }, 'A1', shop);
    expect(kinds(apron).slice(0, 3)).toEqual(['plane', 'trim', 'pocket']);
    expect(said(apron[1])).toMatch(/^Cut 2 off each end/);
    const none = on({ ...wide, planed: inches(1 / 8) }, 'T2', { ...shop, tools: ['table saw', 'drill', 'pocket jig'] });
    expect(said(none[0])).toMatch(/^Have T1 to T6.* planed to 1 1\/4 thick/);
  });

  test.each(STARTS.map(({ id }) => id))('%s: square work before angles, sizes before holes, each thing once', (id) => {
    const { steps, model } = built({ ...newPiece('t', id) });
    const rank: Partial<Record<Operation['kind'], number>> = {
      plane: 0,
      laminate: 1,
      rip: 2,
      trim: 3,
      fit: 3,
      mitre: 5,
      outline: 6,
      pocket: 8,
      bore: 8,
      slot: 8,
    };
    for (const part of model.parts.filter(({ material }) => material !== 'bought')) {
      const work = workOn(steps, part.id);
      const ids = work.map((operation) => operation.id);
      expect(new Set(ids).size).toBe(ids.length);
      const order = work.flatMap((operation) =>
        operation.kind === 'cut' ? [/groove|rebate/.test(operation.what) ? 4 : 7] : (rank[operation.kind] ?? []),
      );
      if (!part.trimmedLater) expect(order).toEqual([...order].sort((a, b) => a - b));
      const slanted = [part.ends.left, part.ends.right].some(({ mitre, bevel }) => mitre !== 0 || bevel !== 0);
      expect(work.filter(({ kind }) => kind === 'mitre').length).toBeLessThanOrEqual(slanted ? 1 : 0);
      const taken = work.reduce((sum, one) => sum + (one.kind === 'cut' ? (one.taken[part.id]?.length ?? 0) : 0), 0);
      expect(taken).toBe(part.cuts.length);
    }
  });
});

test('a corner that the tape can not tell from none is not sawn off, and one that it can is told once', () => {
  const [part] = built(table).model.parts;
  const [length, width] = [mm(1058), mm(139.7)];
  const slat = (nibble: number) => ({
    ...part!,
    length,
    width,
    outline: [
      [0, 0],
      [length, 0],
      [length, width - nibble],
      [length - nibble, width],
      [nibble, width],
      [0, width - nibble],
    ] as const,
  });
  expect(toldOutline(slat(98), 'mm')).toBeNull();
  expect(toldOutline(slat(mm(20)), 'mm')).toHaveLength(6);
  // Two corners that the tape reads alike are told as one.
  expect(
    toldOutline(
      {
        ...slat(0),
        outline: [
          [0, 0],
          [length, 0],
          [length, width],
          [mm(60), width],
          [0, width - mm(30)],
          [0, width - mm(30) - 20],
        ],
      },
      'mm',
    ),
  ).toHaveLength(5);
});
