import { inches } from '../length';
import { DEFAULT_SHOP, type Piece } from '../job';
import { boxOf, buildPiece, newPiece, type PieceModel } from './index';

const desk = newPiece('d', 'desk');
const build = (change: Partial<Piece>): PieceModel => buildPiece({ ...desk, ...change }, '2x6', DEFAULT_SHOP, 'in');
const plain = build({});
const part = ({ parts }: PieceModel, tag: string) => parts.find((one) => one.tag === tag)!;
const loose = {
  tag: 'X1',
  name: 'shelf pin block',
  material: '1x4',
  length: inches(9),
  width: inches(2),
  count: 3,
} as const;

test('with nothing set by hand the model is what was worked out', () => {
  expect(plain.parts.every(({ changed, loose: isLoose }) => Object.keys(changed).length === 0 && !isLoose)).toBe(true);
});

test('a length set by hand is what is cut; what was worked out is kept beside it, and stays where it was', () => {
  const { length, id } = part(plain, 'A1');
  const set = build({ overrides: { A1: { length: length + inches(1) } } });
  expect(part(set, 'A1')).toMatchObject({ id, length: length + inches(1), changed: { length } });
  expect(boxOf(part(set, 'A1'))).toEqual(boxOf(part(plain, 'A1')));
  // No other part is touched.
  expect(set.parts.filter(({ tag }) => tag !== 'A1')).toEqual(plain.parts.filter(({ tag }) => tag !== 'A1'));
});

test('what is set to what it is already is no change', () => {
  const { length, width } = part(plain, 'A1');
  expect(part(build({ overrides: { A1: { length, width } } }), 'A1').changed).toEqual({});
});

test('other wood brings its own thickness, and what was to be planed off the first is not planed off it', () => {
  const was = part(plain, 'A1');
  const other = part(build({ overrides: { A1: { material: 'ply 3/4' } } }), 'A1');
  expect(other.thickness).toBe(inches(23 / 32));
  expect(other.planed).toBe(0);
  expect(other.changed).toEqual({ material: was.material, thickness: was.thickness });
});

test('none of it: the part goes, with its joints and from every step that named it', () => {
  const { id } = part(plain, 'A1');
  expect(plain.joints.some(({ drilled, into }) => drilled === id || into === id)).toBe(true);
  const without = build({ overrides: { A1: { count: 0 } } });
  expect(without.parts.map(({ tag }) => tag)).toEqual(plain.parts.map(({ tag }) => tag).filter((tag) => tag !== 'A1'));
  expect(without.joints.some(({ drilled, into }) => drilled === id || into === id)).toBe(false);
  expect(without.assemblies.flatMap(({ parts }) => parts)).not.toContain(id);
  expect(without.bearers).not.toContain(id);
  // Joints between others stay.
  expect(without.joints).toEqual(plain.joints.filter(({ drilled, into }) => drilled !== id && into !== id));
});

test('more than one of it is one part, made so often', () => {
  expect(part(build({ overrides: { A1: { count: 2 } } }), 'A1')).toMatchObject({ count: 2, changed: { count: 1 } });
});

test('a tag that there is no more is left alone', () => {
  expect(build({ overrides: { Z9: { length: inches(3) } } }).parts).toEqual(plain.parts);
});

test('a part added by hand is cut of its board, joined to nothing and in no step', () => {
  const { parts, joints, assemblies } = build({ loose: [loose] });
  const added = parts.at(-1)!;
  expect(added).toMatchObject({ id: 'd.X1', tag: 'X1', role: 'loose', loose: true, count: 3 });
  expect([added.length, added.width, added.thickness]).toEqual([inches(9), inches(2), inches(0.75)]);
  expect(joints).toEqual(plain.joints);
  expect(assemblies.flatMap((one) => one.parts)).not.toContain('d.X1');
});
