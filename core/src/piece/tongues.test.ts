import { inches } from '../length';
import { common, volumeOf } from '../solid';
import { built, type Changed } from '../testing/built';
import { solidOf, type Cutout, type Joint } from './index';
import { joinOf, pairKey } from './tongues';

const TENONS: Changed['joins'] = { 'rail end': { by: 'mortise and tenon' } };
const LAPS: Changed['joins'] = { 'rail end': { by: 'half lap' } };
const sizeOf = ({ outline, from, to }: Cutout): readonly number[] => {
  const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y)];
  return [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys), to - from];
};

describe('tenons on a dining table, aprons of 2x4 between legs of two 2x4', () => {
  const [plain, made] = [built('dining'), built('dining', { joins: TENONS })];

  test('worked by hand: 1 1/4 at both ends, of aprons and of what goes between them', () => {
    for (const tag of ['A1', 'A2', 'E1', 'E2', 'C1', 'C2'])
      expect([tag, made.part(tag).length - plain.part(tag).length]).toEqual([tag, inches(2.5)]);
  });

  test('a third of the rail thick, with shoulders: the mortise has its size and no more', () => {
    const [mortise] = made.part('L1').cuts.filter(({ kind, for: tag }) => kind === 'mortise' && tag === 'A1');
    // 1 1/2 thick: 1/2. 3 1/2 wide less two shoulders of a sixth, 9/16 to the sixteenth: 2 3/8.
    expect([...sizeOf(mortise!)].sort((a, b) => a - b)).toEqual([inches(0.5), inches(1.25), inches(2.375)]);
  });

  test('what the leg loses the aprons fill: nothing meets, nothing is left open', () => {
    const [leg, apron, end] = [made.part('L1'), made.part('A1'), made.part('E1')].map(solidOf);
    const inch = inches(1) ** 3;
    expect(volumeOf(common(leg!, apron!)) / inch).toBeCloseTo(0, 4);
    expect(volumeOf(common(apron!, end!)) / inch).toBeCloseTo(0, 4);
    const lost = volumeOf(solidOf(plain.part('L1'))) - volumeOf(leg!);
    expect(lost / inch).toBeCloseTo(2 * 0.5 * 1.25 * 2.375, 3);
  });

  test('no outside size changes: the legs stand where they stood', () => {
    expect(made.part('L1').frame.at).toEqual(plain.part('L1').frame.at);
    expect(made.part('T1')).toEqual(plain.part('T1'));
  });
});

describe('tenons where there is less wood', () => {
  test('two that would meet in a leg of 2x2 are shortened together until they pass', () => {
    const choices = { legs: '2x2', apron: '1x4', crossSupports: 0 };
    const [plain, made] = [built('desk', { choices }), built('desk', { choices, joins: TENONS })];
    const deep = (tag: string) => (made.part(tag).length - plain.part(tag).length) / 2;
    expect(deep('A1')).toBe(deep('E1'));
    expect(deep('A1')).toBeGreaterThanOrEqual(inches(0.5));
    expect(deep('A1')).toBeLessThan(inches(1.25));
    expect(volumeOf(common(solidOf(made.part('A1')), solidOf(made.part('E1'))))).toBeCloseTo(0, 0);
  });

  test('into what is under 1 1/4 thick there is none, and the rail stays as it was', () => {
    const choices = { apron: '1x4', crossSupports: 2 };
    const [plain, made] = [built('dining', { choices }), built('dining', { choices, joins: TENONS })];
    expect(made.part('C1').length).toBe(plain.part('C1').length);
    expect(made.part('A1').length).toBeGreaterThan(plain.part('A1').length);
  });

  test('one joint alone can be told to have it: by its two parts, over what is said for its kind', () => {
    const made = built('dining', { joins: { 'A1>L1': { by: 'mortise and tenon' } } });
    expect(made.part('A1').length - built('dining').part('A1').length).toBe(inches(1.25));
    const joint = made.joints.find(({ id }) => id === 'p.A1>L1') as Joint;
    expect(pairKey(joint)).toBe('A1>L1');
    const joins = { 'rail end': { by: 'dowels' }, 'A1>L1': { by: 'mortise and tenon' } } as const;
    expect(joinOf({ joins }, joint)).toEqual({ by: 'mortise and tenon' });
    expect(joinOf({ joins: { 'rail end': joins['rail end'] } }, joint)).toEqual({ by: 'dowels' });
    expect(joinOf({ joins: {} }, joint)).toBeNull();
  });
});

describe('half laps', () => {
  test('rails as thick as their posts and flush with them run over them, half and half', () => {
    const change = { family: 'shelf-unit', choices: { posts: '2x4', rails: '2x4', levels: 2 } } as const;
    const [plain, made] = [built('shelf-unit', change), built('shelf-unit', { ...change, joins: LAPS })];
    const lapped = made.parts.filter(({ cuts }) => cuts.some(({ kind }) => kind === 'lap'));
    for (const part of lapped.filter(({ tag }) => /^[RS]/.test(tag)))
      expect(part.length).toBeGreaterThan(plain.part(part.tag).length);
    for (const one of lapped)
      for (const other of lapped)
        if (one !== other) expect(volumeOf(common(solidOf(one), solidOf(other)))).toBeCloseTo(0, 0);
  });

  test('aprons that stand back from the legs take none', () => {
    const made = built('dining', { joins: LAPS });
    expect(made.parts.flatMap(({ cuts }) => cuts).filter(({ kind }) => kind === 'lap')).toEqual([]);
    expect(made.part('A1').length).toBe(built('dining').part('A1').length);
  });
});
