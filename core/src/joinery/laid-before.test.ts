import { inches } from '../length';
import type { Part } from '../piece';
import { board, boxAt } from '../piece/kit';
import type { Fastening } from './fastening';
import type { Access } from './joint-room';
import { laidBefore } from './laid-before';
import type { Shank } from './shank';

type Place = readonly [number, number, number];
const at = (place: Place): Place => place.map((value) => inches(value)) as unknown as Place;
const part = (tag: string, from: Place, size: Place): Part =>
  board('p', { tag, role: 'rail', name: tag, material: '2x4' }, boxAt(at(from), at(size)), 0, 1);

/** Driven at the end of a rail along x, from 3 in before it: a driver stands behind it, along the rail. */
const shank: Shank = {
  from: at([30, 1, 1]),
  direction: [1, 0, 0],
  length: inches(2.5),
  radius: inches(1 / 16),
  behind: inches(1),
  hole: inches(3 / 16),
  position: inches(1),
  bite: inches(1),
  left: inches(1),
  held: true,
  through: 'p.R',
  driven: true,
};
const [rail, post] = [part('R', [0, 0, 0], [33, 1.5, 3.5]), part('P', [33, 0, 0], [3.5, 3.5, 30])];
const inTheWay = part('W', [25, 0.5, 0.5], [1, 1, 1]);
const aside = part('S', [25, 12, 0.5], [1, 1, 1]);

/** Lays a joint out among some parts, looking for room behind its one screw; whether that was done anew. */
function laid(told: string, about: readonly Part[], taken: readonly Shank[] = [], parts = [rail, post]) {
  let times = 0;
  const access: Access = {
    always: () => [],
    least: inches(5),
    roomAround: () => inches(5),
    rooms: [inches(5)],
    alike: false,
    free: false,
    one: [],
    about,
  };
  const found = laidBefore([told], parts, taken, access, ({ roomAround }) => {
    times++;
    return { meets: roomAround(shank) } as Fastening;
  });
  return { found, anew: times === 1 };
}

describe('a joint laid out before', () => {
  test('is taken as it was where all is the same, built anew or not', () => {
    const [one, again] = [laid('a', [inTheWay]), laid('a', [{ ...inTheWay }], [], [{ ...rail }, { ...post }])];
    expect(one.anew).toBe(true);
    expect(again.anew).toBe(false);
    expect(again.found).toBe(one.found);
  });

  test('is taken where something else changed than what stands behind its screws', () => {
    expect(laid('b', [inTheWay]).anew).toBe(true);
    expect(laid('b', [inTheWay, aside]).anew).toBe(false);
  });

  test('is laid out anew where something came or went behind them; both ways are known from then on', () => {
    expect(laid('c', [aside]).anew).toBe(true);
    expect(laid('c', [aside, inTheWay]).anew).toBe(true);
    expect(laid('c', [part('W', [26, 0.5, 0.5], [1, 1, 1])]).anew).toBe(true);
    expect(laid('c', []).anew).toBe(false);
    expect(laid('c', [inTheWay]).anew).toBe(false);
  });

  test('among more things that stood behind than are remembered, the oldest is laid out anew', () => {
    const standing = (at: number) => [part('W', [20 + at, 0.5, 0.5], [0.5, 1, 1])];
    for (let at = 0; at < 9; at++) expect(laid('f', standing(at)).anew).toBe(true);
    expect(laid('f', standing(8)).anew).toBe(false);
    expect(laid('f', standing(0)).anew).toBe(true);
  });

  test('is laid out anew where another bore is there, a part has another size, or something else was said', () => {
    expect(laid('d', []).anew).toBe(true);
    expect(laid('d', [], [shank]).anew).toBe(true);
    expect(laid('d', [], [{ ...shank, radius: inches(1 / 8) }]).anew).toBe(true);
    expect(laid('d', [], [], [rail, part('P', [33, 0, 0], [3.5, 5.5, 30])]).anew).toBe(true);
    expect(laid('e', []).anew).toBe(true);
  });
});
