import { found } from '../lists';
import { inches } from '../length';
import { newJob } from '../job';
import { boxOf, isTopAlone, newPiece, SQUARE, STARTS, type Part } from '../piece';
import type { Vec } from '../solid';
import { planned, startJob } from '../testing/planning';
import { bodiesOf } from './bodies';
import { casesOf } from './cases';
import { given, motionOf, solver, type Mode } from './frame';
import { lay, stations } from './laying';
import { judged } from './judge';
import { leanOn } from './lean';
import { modelOf } from './model';
import { holdsOf } from './springs';

const pieceOf = (start: string) => planned(startJob(start)).pieces[0]!;
const tagged = (start: string, tag: string): Part => found(pieceOf(start).parts, (part) => part.tag === tag);

/** A sheet that lies flat, by itself. */
const sheet = (length: number, width: number, material: Part['material'], thickness = 0.75): Part => ({
  ...tagged('cupboard', 'H1A'),
  id: 'sheet',
  material,
  length: inches(length),
  width: inches(width),
  thickness: inches(thickness),
  outline: null,
  ends: { left: SQUARE, right: SQUARE },
  cuts: [],
  changed: {},
  frame: { at: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0] },
});

describe('plates against closed forms', () => {
  /** Middle of a plate under a load spread over it, carried all round, so many lines each way. */
  const sagOf = (size: number, lines: number): number => {
    const part = sheet(size, size, 'mdf 3/4');
    const [body] = bodiesOf([part], []);
    const at = Array.from({ length: lines }, (_, k) => (size * k) / (lines - 1));
    const { places, modes } = lay(
      body!,
      at.flatMap((x) => at.map((y): Vec => [x, y, 0.375])),
      0,
    );
    const isEdge = ([x, y]: Vec) => [x, y].some((one) => one < 1e-6 || one > size - 1e-6);
    const carried = places.flatMap((place, node): Mode[] =>
      isEdge(place) ? [{ stiffness: 1e9, on: [[6 * node + 2, 1]] }] : [],
    );
    const still = [0, 1, 5].map((way): Mode => ({ stiffness: 1e6, on: [[way, 1]] }));
    // Half of each step to both sides, as the strips have it.
    const xs = [...new Set(places.map(([x]) => x.toFixed(6)))].map(Number);
    const share = (value: number) => {
      const k = xs.findIndex((x) => Math.abs(x - value) < 1e-5);
      return ((xs[k + 1] ?? xs[k]!) - (xs[k - 1] ?? xs[k]!)) / 2;
    };
    const forces = places.map(([x, y], node) => ({
      at: [{ node, share: 1, arm: [0, 0, 0] as Vec }],
      force: [0, 0, -share(x) * share(y)] as Vec,
    }));
    const { moved } = solver({ nodes: places.length, modes: [...modes, ...carried, ...still], feet: [] })(forces)!;
    const middle = places.findIndex(([x, y]) => Math.hypot(x - size / 2, y - size / 2) < 1e-6);
    return -moved[6 * middle + 2]!;
  };

  test('carried all round under one pound a square inch: Navier’s series, within one in a hundred', () => {
    const [a, e] = [36, 0.5e6];
    const [d, g] = [(e * 0.75 ** 3) / 12, 0.4 * e];
    // Twice the twist, as no wood of these widens where it is bent.
    const h = (2 * g * 0.75 ** 3) / 12;
    let exact = 0;
    for (let m = 1; m < 40; m += 2)
      for (let n = 1; n < 40; n += 2)
        exact +=
          ((16 / Math.PI ** 6) * a ** 4 * Math.sin((m * Math.PI) / 2) * Math.sin((n * Math.PI) / 2)) /
          (m * n * (d * m ** 4 + 2 * h * m ** 2 * n ** 2 + d * n ** 4));
    expect(Math.abs(sagOf(a, 7) / exact - 1)).toBeLessThan(0.01);
    // Finer lines move it by under two in a hundred.
    expect(Math.abs(sagOf(a, 5) / sagOf(a, 7) - 1)).toBeLessThan(0.02);
  });

  test('a strip of plate on its two ends bends as the beam it is, within one in a hundred', () => {
    const [long, wide, e] = [40, 10, 0.5e6];
    const [body] = bodiesOf([sheet(long, wide, 'mdf 3/4')], []);
    const { places, modes } = lay(body!, [[long / 2, wide / 2, 0.375]], 0);
    const at = (x: number) => places.flatMap((place, node) => (Math.abs(place[0] - x) < 1e-6 ? [node] : []));
    const carried = [0, long].flatMap((x) => at(x).map((node): Mode => ({ stiffness: 1e9, on: [[6 * node + 2, 1]] })));
    const still = [0, 1, 5].map((way): Mode => ({ stiffness: 1e6, on: [[way, 1]] }));
    // A line load across the middle, by half of each step to both sides.
    const line = at(long / 2);
    const ys = line.map((node) => places[node]![1]);
    const forces = line.map((node, k) => ({
      at: [{ node, share: 1, arm: [0, 0, 0] as Vec }],
      force: [0, 0, -((ys[k + 1] ?? ys[k]!) - (ys[k - 1] ?? ys[k]!)) / 2] as Vec,
    }));
    const { moved } = solver({ nodes: places.length, modes: [...modes, ...carried, ...still], feet: [] })(forces)!;
    const sag = line.reduce((sum, node) => sum - moved[6 * node + 2]!, 0) / line.length;
    expect(sag / ((wide * long ** 3) / (48 * e * ((wide * 0.75 ** 3) / 12)))).toBeCloseTo(1, 2);
  });

  test('stations: both ends, what is held, none nearer and none farther than told', () => {
    expect(stations(20, [10], 1, 40)).toEqual([0, 10, 20]);
    expect(stations(20, [0.5, 10, 10.2, 19.8], 1, 40)).toEqual([0, 10, 20]);
    expect(stations(30, [], 1, 10)).toEqual([0, 10, 20, 30]);
  });
});

describe('holds by hand', () => {
  test('an apron’s two pocket screws: what they bear by the code’s formula, how they give by the standard’s', () => {
    const item = found(pieceOf('dining').fastenings, ({ drilled, into }) => drilled.tag === 'A1' && into.tag === 'L1');
    const [hold] = holdsOf(item);
    const gravity = 29 / 62.4;
    const bite = item.shanks.reduce((sum, one) => sum + one.bite / 8128, 0);
    const [d, lean] = [(2 * item.shanks[0]!.radius) / 8128, Math.cos((15 * Math.PI) / 180) ** 2];
    expect(hold!.bears.pull).toBeCloseTo(2850 * gravity ** 2 * (item.fastener!.shank / 8128) * bite, 3);
    const aside = (((1000 * gravity) ** 1.5 * d * 25.4) / 23) * 5.71;
    const pulled = 25 * d * 25.4 * 25.4 * 5.71 * bite;
    expect(hold!.along[0]).toBeCloseTo(pulled * lean + 2 * aside * (1 - lean) + 8000, -2);
    // End grain: the glue adds nothing.
    expect(hold!.along[1]).toBeCloseTo(2 * aside * lean + pulled * (1 - lean) + 400, -2);
    // What turns it open about its lower edge stretches the upper screw more.
    expect(hold!.about[2]).toBeGreaterThan(hold!.about[1]);
  });

  test('long grain glued along an edge is as stiff as wood; clips hold a top down and let it slide', () => {
    const edge = found(pieceOf('dining').fastenings, ({ joint }) => joint.kind === 'edge');
    const clip = found(pieceOf('dining').fastenings, ({ by }) => by === 'clips');
    const [glued, clipped] = [holdsOf(edge)[0]!, holdsOf(clip).find(({ bears }) => Number.isFinite(bears.pull))!];
    expect(glued.along[1]).toBeGreaterThan(100 * clipped.along[1]);
    expect(clipped.bears.slide).toBe(Infinity);
    expect(clipped.bears.pull).toBeGreaterThan(20);
  });

  test('hinges and slides hold nothing; a mortise and tenon more than pocket screws', () => {
    for (const item of pieceOf('chest').fastenings)
      if (item.joint.kind === 'slide' || item.joint.kind === 'hinge') expect(holdsOf(item)).toEqual([]);
    const with_ = (by: 'mortise and tenon' | 'dowels' | 'pocket screws') => {
      const piece = { ...newPiece('p', 'dining'), joins: { 'rail end': { by } } };
      const { fastenings } = planned({ ...newJob('j'), pieces: [piece] }).pieces[0]!;
      return holdsOf(found(fastenings, ({ drilled, into }) => drilled.tag === 'A1' && into.tag === 'L1'))[0]!;
    };
    expect(with_('mortise and tenon').bears.turn[2]).toBeGreaterThan(2 * with_('pocket screws').bears.turn[2]);
  });
});

// A top by itself stands on nothing.
describe.each(STARTS.filter((start) => !isTopAlone(start)).map(({ id }) => id))('%s as a whole', (id) => {
  const { parts, fastenings, piece } = pieceOf(id);
  const model = modelOf(parts, fastenings);

  test('stands by its own weight: the feet bear all of it, and the work of it is what is stored', () => {
    const response = model.answer(model.weight, { isHeld: true })!;
    const weight = model.weight.reduce((sum, { force }) => sum - force[2], 0);
    const borne = model.feet.reduce((sum, { grip }) => sum - 20_000 * motionOf(grip, response.moved)[2], 0);
    expect(borne / weight).toBeCloseTo(1, 4);
    const feet = model.feet.flatMap(({ grip }) => motionOf(grip, response.moved).map((by) => 20_000 * by ** 2));
    const held = [...model.laid.flatMap(({ modes }) => modes), ...model.ties.flatMap(({ modes }) => modes)];
    const stored = held.reduce((sum, mode) => sum + mode.stiffness * given(mode, response.moved) ** 2, 0);
    const work = model.weight.reduce((sum, { at, force }) => sum + force[2] * motionOf(at, response.moved)[2], 0);
    expect((stored + feet.reduce((sum, one) => sum + one, 0)) / work).toBeCloseTo(1, 4);
  });

  test('is judged: every load of its use gives numbers', () => {
    const { sway, weakest, falls } = judged(
      model,
      casesOf(
        model,
        parts,
        fastenings.map(({ joint }) => joint),
        piece,
      ),
    );
    if (sway) expect(sway.every((by) => by > 0 && by < 2)).toBe(true);
    expect(weakest!.share).toBeGreaterThan(0);
    expect(falls).toBeNull();
  });

  test('leaned on at any part that carries: a number, and no throw', () => {
    for (const part of parts) {
      const { min, max } = boxOf(part);
      const at: Vec = [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2, max[2]];
      const leaned = leanOn(parts, fastenings, { part: part.id, at, force: [0, 0, -20] });
      if (leaned && Number.isFinite(leaned.moves)) expect(leaned.moves).toBeGreaterThanOrEqual(0);
    }
  });
});

test('slats that only the middle batten holds: what tilts off is named', () => {
  const { parts, fastenings, piece } = pieceOf('octagon');
  const left = parts.filter(({ tag }) => tag !== 'B1' && tag !== 'B3');
  const made = fastenings.filter(({ drilled, into }) => left.includes(drilled) && left.includes(into));
  const model = modelOf(left, made);
  const { falls } = judged(
    model,
    casesOf(
      model,
      left,
      made.map(({ joint }) => joint),
      piece,
    ),
  );
  expect(falls!.kind).toBe('someone');
  expect(falls!.on!.name).toBe('slat');
});

test('mirrored: a load on either half, and a push either way, move a table alike', () => {
  const { parts, fastenings } = pieceOf('desk');
  const top = tagged('desk', 'T1');
  const whole = boxOf(top).max[0];
  const lean = (x: number, force: Vec) =>
    leanOn(parts, fastenings, { part: top.id, at: [x, inches(2), boxOf(top).max[2]], force })!;
  const [left, right] = [lean(whole / 8, [0, 0, -100]), lean((7 * whole) / 8, [0, 0, -100])];
  expect(left.moves / right.moves).toBeCloseTo(1, 1);
  expect(lean(whole / 2, [20, 0, 0]).moves / lean(whole / 2, [-20, 0, 0]).moves).toBeCloseTo(1, 2);
  expect(left.stands).toBe(right.stands);
});

test('leaning: the corner of a coffee table lifts a foot or tips it; a drawer hangs on what carries it', () => {
  const { parts, fastenings } = pieceOf('coffee');
  const top = tagged('coffee', 'T1');
  const at: Vec = [inches(0.5), inches(0.5), boxOf(top).max[2]];
  expect(leanOn(parts, fastenings, { part: top.id, at, force: [0, 0, -250] })!.stands).not.toBe('firm');
  expect(leanOn(parts, fastenings, { part: top.id, at, force: [0, 0, -5] })!.stands).toBe('firm');
  const chest = pieceOf('chest');
  const drawer = found(chest.parts, ({ role }) => role === 'drawer');
  expect(leanOn(chest.parts, chest.fastenings, { part: drawer.id, at: [0, 0, 0], force: [0, 0, -5] })).toBeNull();
});
