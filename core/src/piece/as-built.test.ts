import { inches } from '../length';
import { DEFAULT_SHOP, newJob, type Piece } from '../job';
import { planJob } from '../plan';
import { plain } from '../words';
import { TABLE_SIZES } from '../stock';
import { told } from '../testing/telling';
import { buildPiece, newPiece, topCandidates, type Adaptation, type Known } from './index';

type Measured = Known['asBuilt'];
const built = (piece: Piece, asBuilt: Measured = {}) =>
  buildPiece(piece, topCandidates(piece)[0]!, DEFAULT_SHOP, 'in', TABLE_SIZES, { salvage: [], asBuilt });
const lengthOf = (piece: Piece, tag: string, asBuilt: Measured = {}) =>
  built(piece, asBuilt).parts.find((part) => part.tag === tag)!.length;
const changes = (all: readonly Adaptation[]) =>
  all.map(({ part, changes, from, to, then }) => `${part} ${changes} ${(to - from) / inches(1)} ${then}`);

const table = newPiece('t', 'standing');
const bread: Piece = { ...table, top: 'breadboard', topChoices: {} };

describe('a top measured 1/8 narrow, and what follows', () => {
  const width = table.size.width - inches(1 / 8);
  test('both breadboard ends are cut 1/8 shorter, nothing else changes', () => {
    const narrow = { TOP: { width } };
    expect(changes(built(bread, narrow).adaptations)).toEqual(['B1 length -0.125 follows', 'B2 length -0.125 follows']);
    expect(lengthOf(bread, 'B1', narrow)).toBe(lengthOf(bread, 'B1') - inches(1 / 8));
    const [before, after] = [built(bread), built(bread, narrow)];
    const others = (model: typeof before) =>
      model.parts.filter(({ tag }) => !tag.startsWith('B')).map(({ tag, length }) => [tag, length]);
    expect(others(after)).toEqual(others(before));
  });

  test('an end that is cut already stays as it is: it is 1/8 too long, so it is trimmed', () => {
    const cut = { TOP: { width }, B1: { cut: true } };
    expect(changes(built(bread, cut).adaptations)).toEqual(['B1 length -0.125 trim', 'B2 length -0.125 follows']);
    expect(lengthOf(bread, 'B1', cut)).toBe(lengthOf(bread, 'B1'));
  });

  test('a top that came out wider leaves a cut end short: a shim to 3/16, anew beyond', () => {
    const by = (off: number) => ({ TOP: { width: table.size.width + inches(off) }, B1: { cut: true } });
    const then = (off: number) => built(bread, by(off)).adaptations.find(({ part }) => part === 'B1')!.then;
    expect([1 / 64, 1 / 8, 3 / 16, 1 / 4].map(then)).toEqual(['leave it', 'shim', 'shim', 'cut anew']);
  });
});

test('a leg 1/16 thicker along the table: each apron that ends on it is 1/16 shorter, once for each such leg', () => {
  const along = built(table).parts.find(({ tag }) => tag === 'L1')!;
  const side = Math.abs(along.frame.v[0]) > 0.9 ? 'width' : 'thickness';
  const thick = { L1: { [side]: along[side] + inches(1 / 16) } };
  expect(changes(built(table, thick).adaptations)).toEqual(['A1 length -0.0625 follows']);
  const both = { ...thick, L3: { [side]: along[side] + inches(1 / 16) } };
  expect(lengthOf(table, 'A1', both)).toBe(lengthOf(table, 'A1') - inches(1 / 8));
});

test('a leg of a splayed frame that came out 1/16 thicker takes as much from the rails that end on it', () => {
  const splayed = newPiece('t', 'splayed');
  const leg = built(splayed).parts.find(({ tag }) => tag === 'L1')!;
  const thick = { L1: { width: leg.width + inches(1 / 16), thickness: leg.thickness + inches(1 / 16) } };
  const all = changes(built(splayed, thick).adaptations);
  expect(all).toContain('A1 length -0.0625 follows');
  expect(all).toContain('E1 length -0.0625 follows');
});

test('a part that must fit takes the size of its gap; once it is cut, that is what it measures', () => {
  const planned = lengthOf(table, 'C1');
  const gap = { C1: { length: planned - inches(3 / 32) } };
  expect(lengthOf(table, 'C1', gap)).toBe(planned - inches(3 / 32));
  expect(built(table, gap).adaptations).toHaveLength(1);
  const cut = { C1: { length: planned - inches(3 / 32), cut: true } };
  expect(lengthOf(table, 'C1', cut)).toBe(planned);
});

test('the plan says what was measured, what changed and why, and buys for the sizes that follow', () => {
  const job = told({ ...newJob('j'), pieces: [bread] }, [
    ...[
      {
        ...({ id: 'm', at: null, what: 'measured', piece: 't', tag: 'TOP', side: 'width' } as const),
        simulated: false,
        planned: null,
      },
    ].map((entry) => ({ ...entry, size: table.size.width + inches(1 / 4) })),
    { id: 'f', at: null, what: 'fitted', piece: 't', tag: 'B2' },
  ]);
  const plan = planJob(job, { today: '2026-11-24', effort: 'quick' });
  const note = plan.findings.find(({ id }) => id === 't.measured-TOP-width')!;
  expect(note.level).toBe('care');
  expect(plain(note.title, 'in')).toBe('TOP is 1/4 over in width');
  expect(plain(note.because, 'in')).toMatch(/B1 .* becomes .*: the plan follows and B2 .*cut it anew/);
  const cutLength = plan.buying.boards.flatMap(({ pieces }) => pieces).filter(({ blank }) => blank.part.tag === 'B1');
  expect(Math.max(...cutLength.map(({ length }) => length))).toBeGreaterThanOrEqual(table.size.width + inches(1 / 4));
});
