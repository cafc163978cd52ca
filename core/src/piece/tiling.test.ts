import { inches, mm, type Length } from '../length';
import { built } from '../testing/built';
import { BEDDING, tilingOf } from './index';

/** A table of just that size: tiles, the joints between and around them, an edging of 3/4 all round. */
const set = ({ tile, long, wide, joint }: { tile: string; long: number; wide: number; joint: Length }) => {
  const side = (count: number) => count * Number(tile) + ((count + 1) * joint) / inches(1) + 2 * 0.75;
  const { parts, joints, findings } = built('tiled', {
    size: [side(long), side(wide), 24],
    choices: { crossSupports: 0 },
    topChoices: {
      ...{ set: 'adhesive', long, wide, joint },
      ...(tile === '24' ? { tile: 'own', tileLong: inches(24), tileWide: inches(24) } : { tile }),
    },
  });
  expect(findings).toEqual([]);
  return tilingOf(parts, joints)!;
};
const counts = (needs: readonly { kind: string; size: string; count: number }[]) =>
  Object.fromEntries(needs.map(({ kind, size, count }) => [kind === 'tile-tool' ? size : kind, count]));

test('loose tiles, and a top without any, are set in nothing', () => {
  const loose = built('tiled');
  expect(tilingOf(loose.parts, loose.joints)).toBeNull();
  const desk = built('desk');
  expect(tilingOf(desk.parts, desk.joints)).toBeNull();
});

test('three by two tiles of 12 with joints of 3/16, by hand', () => {
  const tiling = set({ tile: '12', long: 3, wide: 2, joint: inches(3 / 16) });
  expect(tiling.tiles).toHaveLength(6);
  expect([tiling.joint, tiling.spaced]).toEqual([inches(3 / 16), true]);
  const [tile] = tiling.tiles;
  const side = tile!.length / inches(1);
  const deep = (tile!.thickness - BEDDING) / inches(1);
  const joint = 3 / 16;
  const { setting, grouting, sealing, notch } = tiling;
  // Large tiles: 6 square feet at 4.3 fl oz; corners of three by two fields.
  expect(notch).toBe(inches(1 / 4));
  expect(counts(setting)).toEqual({
    'tile-adhesive': Math.ceil(((6 * side * side) / 144) * 4.3),
    'tile-spacer': 4 * 3,
    'notched trowel 1/4': 1,
  });
  // Joints between: two across the table and one along it, the crossings once. 1.805 cubic inches an ounce, 15 % lost.
  const [long, wide] = [3 * side + 2 * joint, 2 * side + joint];
  const between = (2 * wide + long - 2 * joint) * joint * deep;
  expect(counts(grouting)).toEqual({ grout: Math.ceil((between * 1.15) / 1.805), 'rubber float': 1, sponge: 1 });
  const around = 2 * (long + wide + 2 * joint) * joint * deep;
  expect(counts(sealing)).toEqual({ sealant: Math.ceil((around * 1.15) / 1.805) });
});

test('small tiles take the smaller teeth, and so less under each foot', () => {
  const [small, large] = [
    set({ tile: '6', long: 4, wide: 4, joint: inches(1 / 8) }),
    set({ tile: '12', long: 2, wide: 2, joint: inches(1 / 8) }),
  ];
  expect([small.notch, large.notch]).toEqual([inches(3 / 16), inches(1 / 4)]);
  expect(counts(small.setting)['notched trowel 3/16']).toBe(1);
  // Both are four square feet.
  expect(counts(small.setting)['tile-adhesive']!).toBeLessThan(counts(large.setting)['tile-adhesive']!);
});

test('a joint for which no spacer is sold has none on the list', () => {
  const odd = set({ tile: '6', long: 4, wide: 3, joint: mm(4) });
  expect(odd.spaced).toBe(false);
  expect(counts(odd.setting)).not.toHaveProperty('tile-spacer');
  expect(set({ tile: '6', long: 4, wide: 3, joint: mm(3) }).setting).toContainEqual({
    kind: 'tile-spacer',
    size: '3 mm',
    count: 5 * 4,
  });
});

test('one tile alone: no joint to grout, its edge to seal', () => {
  const one = set({ tile: '24', long: 1, wide: 1, joint: inches(1 / 8) });
  expect(one.grouting).toEqual([]);
  expect(counts(one.sealing)['sealant']!).toBeGreaterThan(0);
});
