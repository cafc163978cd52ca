import { inches, toInches } from '../length';
import { applyChanges, newJob, type Change, type Job, type Piece, set } from '../job';
import { boxOf, demoJob, newPiece } from '../piece';
import { planJob, type Plan } from '../plan';
import { plain } from '../words';
import { weightOf } from '../piece';
import { planning } from '../testing/planning';
import { isComplete, kneeRoom, seating } from './index';

const job = (piece: Piece, rest: Partial<Job> = {}): Job => ({ ...newJob('j'), pieces: [piece], ...rest });
const plan = planning('2026-11-24');
const finding = (of: Job, id: string) => plan(of).findings.find((note) => note.id.endsWith(`.${id}`));

const sized = (piece: Piece, length: number, width: number, height: number): Piece => ({
  ...piece,
  size: { length: inches(length), width: inches(width), height: inches(height) },
});

const seats = (piece: Piece) => seating(piece, plan(job(piece)).pieces[0]!.parts, 'rectangle');

describe('people', () => {
  test('places: 24 in each between the legs, ends only where they overhang', () => {
    // Dining 66 long, overhang 10, legs 3 1/2 along: 66 - 20 - 7 = 39 is one place a side, and one at each end.
    expect(seats(newPiece('t', 'dining'))).toEqual({ sides: 2, ends: 2, total: 4 });
    // 84: 57 between the legs is two a side.
    expect(seats(sized(newPiece('t', 'dining'), 84, 34, 29.5)).total).toBe(6);
    expect(seats(newPiece('t', 'desk')).ends).toBe(0);
  });

  test('knees: height less top and apron', () => {
    const { parts } = plan(job(newPiece('t', 'dining'))).pieces[0]!;
    expect(kneeRoom(parts)).toBe(inches(29.5 - 1.5 - 3.5));
    expect(kneeRoom([])).toBeNull();
  });

  test('too few seats: the remedy lengthens to just enough', () => {
    const wanted = job({ ...newPiece('t', 'dining'), seats: 8 });
    const note = finding(wanted, 'seats')!;
    expect(note.level).toBe('care');
    const longer = applyChanges(wanted, note.remedies[0]!.changes);
    expect(finding(longer, 'seats')).toMatchObject({ level: 'good', numbers: { seats: 8 } });
    const shorter = applyChanges(longer, [
      set('t', ['size', 'length'], longer.pieces[0]!.size.length - inches(1 / 16)),
    ]);
    expect(finding(shorter, 'seats')!.level).toBe('care');
  });

  test('knees against a deep apron, and a height out of the usual', () => {
    const deep = job({
      ...sized(newPiece('t', 'desk'), 52, 26, 28),
      choices: { ...newPiece('t', 'desk').choices, apron: '2x6' },
    });
    const knees = finding(deep, 'knees')!;
    expect(knees.numbers).toEqual({ kneesInches: 21 });
    expect(finding(applyChanges(deep, knees.remedies[0]!.changes), 'knees')).toBeUndefined();
    const high = finding(job(sized(newPiece('t', 'dining'), 66, 34, 40)), 'height')!;
    expect(plain(high.because, 'in')).toBe('A dining table is usually 28 to 30 high. This one is 40.');
  });
});

describe('wood, by hand', () => {
  const { parts } = plan(
    job(
      sized(
        {
          ...newPiece('t', 'standing'),
          topChoices: { thickness: '2x', width: '6', edges: 'ripped' },
        },
        60,
        31.5,
        36,
      ),
    ),
  ).pieces[0]!;

  test('weight of a board: volume times density', () => {
    const top = parts.find((part) => part.tag === 'T1')!;
    // 60 x 5 1/4 x 1 1/2 in is 472.5 cubic inches, 0.2734 cubic feet, at 29 lb.
    expect(weightOf(top)).toBeCloseTo(7.93, 2);
  });
});

describe('money and shop', () => {
  const piece = { ...newPiece('t', 'coffee'), boughtPrice: 14900 };
  test('over budget stops, with ways out that lower the total', () => {
    const poor = job({ ...piece, topChoices: { width: '12' } }, { budget: 3000 });
    const note = finding(poor, 'budget')!;
    expect(note.level).toBe('stop');
    const before = plan(poor).list.total;
    expect(note.numbers).toEqual({ overCents: before - 3000 });
    for (const remedy of note.remedies)
      expect(plan(applyChanges(poor, remedy.changes)).list.total).toBeLessThan(before);
  });

  test.each<[string, Change[], string, string]>([
    ['under budget', [set(null, ['budget'], 90000)], 'budget', 'good'],
    ['less than bought', [], 'bought', 'good'],
    ['dearer than bought', [set('t', ['boughtPrice'], 100)], 'bought', 'care'],
    ['spares', [], 'spares', 'care'],
    ['longer than the car', [set(null, ['shop', 'car'], inches(40))], 'car', 'care'],
    ['all clamps', [set(null, ['shop', 'clamps'], [{ length: inches(50), count: 2 }])], 'clamps', 'care'],
    ['a screw that is not sold', [set(null, ['yard', 'hardware'], [])], 'not-sold', 'stop'],
    [
      'short pieces',
      [set('t', ['size'], { length: inches(24), width: inches(15.5), height: inches(7) })],
      'short',
      'care',
    ],
    [
      'a top that pocket screws hold fast on both sides moves',
      [set('t', ['choices', 'fixing'], 'screwed'), set('t', ['choices', 'apron'], '2x4')],
      'movement',
      'care',
    ],
    // On low aprons only screws in slots reach it, and they let it.
    ['one on screws in slots may', [set('t', ['choices', 'fixing'], 'screwed')], 'movement', 'good'],
    ['a far overhang tips', [set('t', ['choices', 'overhangEnds'], inches(10))], 'tipping', 'care'],
  ])('%s', (_, changes, id, level) => {
    expect(finding(applyChanges(job(piece), changes), id)?.level).toBe(level);
  });

  test('thin top screwed to thick aprons: clips offered, and they end it', () => {
    const thin = job({
      ...piece,
      choices: { ...piece.choices, fixing: 'screwed' },
      topChoices: { thickness: '1x', width: '6' },
      joins: Object.fromEntries(
        ['A1', 'A2', 'E1', 'E2', 'C1', 'C2'].flatMap((rail) =>
          [1, 2, 3, 4, 5, 6, 7].map((board) => [`${rail}>T${board}`, { by: 'pocket screws' as const }]),
        ),
      ),
    });
    const note = finding(thin, 'reach')!;
    expect(note.level).toBe('stop');
    expect(finding(applyChanges(thin, note.remedies[0]!.changes), 'reach')).toBeUndefined();
  });
});

describe('parts', () => {
  const base = newPiece('t', 'standing');

  test('set by hand: told, wider than its board a stop, one click back to the plan', () => {
    const by = job({ ...base, overrides: { A1: { length: inches(60), count: 3 }, A2: { width: inches(4) } } });
    const note = finding(by, 'by-hand')!;
    expect([note.level, note.about]).toEqual(['care', ['t.A1', 't.A2']]);
    expect(finding(by, 'wide-A2')!.level).toBe('stop');
    const part = plan(by).parts.find((one) => one.tag === 'A1')!;
    expect(part).toMatchObject({ length: inches(60), count: 3, changed: { length: inches(60 - 6 - 7), count: 1 } });
    // Three are cut, and the model still shows the plan's.
    const cut = plan(by)
      .buying.boards.flatMap((board) => board.pieces)
      .filter((piece) => piece.blank.part.tag === 'A1');
    expect(cut.map((piece) => piece.length)).toEqual([inches(60), inches(60), inches(60)]);
    expect(toInches(boxOf(part).max[0] - boxOf(part).min[0])).toBe(47);
    const back = applyChanges(by, note.remedies[0]!.changes);
    expect(back.pieces[0]!.overrides).toEqual({});
    expect(finding(back, 'by-hand')).toBeUndefined();
  });

  test('left out by a count of nothing: bought, joined and built without it', () => {
    const without = plan(job({ ...base, overrides: { C1: { count: 0 } } })).pieces[0]!;
    expect(without.parts.some((part) => part.tag === 'C1')).toBe(false);
    expect(without.fastenings.some(({ drilled }) => drilled.tag === 'C1')).toBe(false);
    expect(without.steps.flatMap((step) => step.adds)).not.toContain('t.C1');
  });

  test('another stock: thickness and price follow it', () => {
    const thin = plan(job({ ...base, overrides: { A1: { material: '1x4' } } }));
    expect(thin.parts.find((part) => part.tag === 'A1')).toMatchObject({ thickness: inches(0.75), material: '1x4' });
    expect(thin.buying.boards.some((board) => board.material === '1x4')).toBe(true);
  });

  test('added by hand: bought and cut, weighed, in no joint; too wide for its board a stop', () => {
    const loose = {
      tag: 'X1',
      name: 'cleat',
      material: '1x2' as const,
      length: inches(20),
      width: inches(1.5),
      count: 4,
    };
    const with4 = plan(job({ ...base, loose: [loose] }));
    expect(
      with4.buying.boards.flatMap((board) => board.pieces).filter((piece) => piece.blank.part.tag === 'X1'),
    ).toHaveLength(4);
    // Four of 20 x 1 1/2 x 3/4 in of pine at 28 lb per cubic foot.
    expect(weightOf(with4.parts.find((part) => part.tag === 'X1')!)).toBeCloseTo((4 * 20 * 1.5 * 0.75 * 28) / 1728, 3);
    expect(with4.joints.some((joint) => joint.drilled.endsWith('X1') || joint.into.endsWith('X1'))).toBe(false);
    expect(finding(job({ ...base, loose: [{ ...loose, width: inches(2) }] }), 'wide-X1')!.level).toBe('stop');
  });

  test('a round top says what its chords save; what is tall is anchored', () => {
    const note = finding(job({ ...newPiece('t', 'pedestal'), topChoices: { width: '6' } }), 'chords')!;
    expect(plain(note.title, 'in')).toBe('Round saves 42 of board');
    expect(finding(job(newPiece('t', 'bookcase')), 'anchor')!.level).toBe('care');
    // Low, but its drawers pull it over.
    expect(finding(job(newPiece('t', 'chest')), 'anchor')!.numbers.tipsAtPounds).toBeLessThan(60);
    const low: Piece = {
      ...newPiece('t', 'bookcase'),
      size: { ...newPiece('t', 'bookcase').size, height: inches(28) },
    };
    expect(finding(job(low), 'anchor')).toBeUndefined();
  });

  test('places round a round table, and along a bench', () => {
    const at = (start: string, deck: 'round' | 'rectangle') => {
      const piece = newPiece('t', start);
      return seating(piece, plan(job(piece)).pieces[0]!.parts, deck).total;
    };
    // 42 pi / 24 is 5.5; 48 / 24 is 2.
    expect([at('pedestal', 'round'), at('bench', 'rectangle')]).toEqual([5, 2]);
    expect(plain(finding(job(newPiece('t', 'pedestal')), 'seats')!.because, 'in')).toMatch(
      /^One every 24 round its rim\./,
    );
  });
});

describe('a total of a part only is never praised', () => {
  const glaze = demoJob().pieces[0]!;
  const of = (size: Partial<Piece['size']>) =>
    planJob(
      { ...demoJob(), pieces: [{ ...glaze, size: { ...glaze.size, ...size }, boughtPrice: 90_000 }] },
      { today: '2026-01-31', effort: 'quick' },
    );
  const praised = (plan: Plan) =>
    plan.findings.filter(({ id, level }) => level === 'good' && /budget|bought|proved/.test(id));

  test('what is on the list is all there is: praised', () => {
    const whole = of({});
    expect(isComplete(whole)).toBe(true);
    expect(praised(whole).map(({ id }) => id)).toEqual(expect.arrayContaining(['job.budget', 'job.bought']));
  });
  test.each([
    ['200 in long: no board gives its top', { length: inches(200) }],
    ['2 in high: nothing of it can be built', { height: inches(2) }],
  ])('%s', (_, size) => {
    const part = of(size);
    expect(isComplete(part)).toBe(false);
    expect(praised(part)).toEqual([]);
    expect(part.findings.some(({ level }) => level === 'stop')).toBe(true);
  });
});
