import { inches } from '../length';
import { clampsOver, DEFAULT_SHOP, newJob, type Method, type Piece, type Shop } from '../job';
import { fastenings } from '../joinery';
import { around, boxOf, buildPiece, extent, pieceFrom, STARTS, topCandidates, type Known } from '../piece';
import { TABLE_SIZES } from '../stock';
import { plain } from '../words';
import { stepsOf, type Step } from './index';

const start = (id: string, more: Partial<Piece> = {}): Piece => ({
  ...pieceFrom(
    STARTS.find((one) => one.id === id)!,
    'p',
  ),
  ...more,
});
const stepsIn = (piece: Piece, shop: Shop = DEFAULT_SHOP, asBuilt: Known['asBuilt'] = {}) => {
  const known = { salvage: [], asBuilt };
  const model = buildPiece(piece, topCandidates(piece)[0]!, shop, 'in', TABLE_SIZES, known);
  const made = fastenings(model.joints, model.parts, 'in', piece, shop);
  return { model, made, steps: stepsOf(piece, model, made, { ...newJob('j'), shop }) };
};
const words = (step: Step) => step.actions.map(({ text }) => plain(text, 'in'));
const pickUp = (step: Step) => plain(step.pickUp, 'in');
const titled = (steps: readonly Step[], title: RegExp) => steps.find((step) => title.test(plain(step.title, 'in')))!;

describe('a cupboard', () => {
  const { steps, made } = stepsIn(start('cupboard'));

  test('doors: hinges to pick up, their middles as the joints have them, one screw a leaf first', () => {
    const step = titled(steps, /^Hang the doors/);
    const [hinge] = made.filter(({ joint }) => joint.kind === 'hinge');
    expect(pickUp(step)).toContain('4 butt hinges');
    // 30 1/4 high: a sixth is more than 4, so 4 from each end.
    expect(hinge!.hinges.map((place) => place / inches(1))).toEqual([4, 26.25]);
    expect(words(step).find((text) => text.includes('middles'))).toContain('4 and 26 1/4 from the top edge');
    expect(words(step).at(-1)).toContain('one in each leaf');
  });

  test('loose shelves: as many holes as pins, as high as the shelf less half a pin, never through', () => {
    const step = titled(steps, /^Set the loose shelves/);
    expect(pickUp(step)).toContain('8 shelf pins');
    // Bored while the uprights lie on the bench.
    const bored = words(titled(steps, /^Drill holes/)).find((text) => text.includes('shelf pins'))!;
    expect(bored).toMatch(/^Bore 8 holes for shelf pins, no deeper, 1\/4 wide, 5\/16 deep/);
    const pins = made.filter(({ joint }) => joint.kind === 'pins');
    for (const { into, shanks } of pins)
      for (const { length } of shanks) expect(length).toBeLessThan(into.thickness / 2);
    // Measured before they are cut, as the uprights stand.
    expect(words(step)[0]).toContain('measure the clear width between the uprights');
  });
});

test('a cart: slides by the pair, their middle told from the lower edge of the uprights, tried at once', () => {
  const { steps, model, made } = stepsIn(start('chest'));
  const hung = steps.filter(({ title }) => /^Hang drawer/.test(plain(title, 'in')));
  expect(hung).toHaveLength(4);
  for (const step of hung) {
    expect(pickUp(step)).toContain('1 pair of drawer slides 16');
    const slide = made.find(({ joint }) => joint.kind === 'slide' && step.makes.includes(joint.id))!;
    const upright = model.parts.find(({ id }) => id === slide.into.id)!;
    const at = slide.shanks.find(({ through }) => through === upright.id)!;
    const up = at.from[2] - upright.frame.at[2];
    expect(up % (inches(1) / 16)).toBe(0);
    expect(words(step).some((text) => text.includes('from the lower edge of G1 and G2'))).toBe(true);
    expect(words(step).some((text) => text.startsWith('Slide drawer'))).toBe(true);
  }
});

test('a drawer is hung before its front goes on, and is out before the table is turned', () => {
  const { steps } = stepsIn(start('end-table'));
  const order = steps.map(({ title }) => plain(title, 'in')).filter((title) => /drawer 1|Set the top/.test(title));
  expect(order).toEqual(['Hang drawer 1', 'Fix the front of drawer 1: W1F', 'Set the top on the base']);
  expect(words(titled(steps, /^Fix the front of drawer 1/))[0]).toMatch(/^Tape the front on with even gaps/);
  for (const title of [/^Set the top/, /^Turn it upright/])
    expect(words(titled(steps, title)).join(' ')).toContain('First take the drawers out.');
});

describe('a top is measured from its outside, not from a seam that nobody sees', () => {
  test.each([
    // Apron set 1 3/4 in from an edge that is 3/4 of solid wood: 1 in from the sheet.
    ['end-table', 'R1 on the underside of the top: 4 1/2 from the left end and 1 3/4 from the front edge'],
    // End boards 3 1/2 wide are glued on by then.
    ['shelf-coffee', 'A1 on the underside of the top: 6 1/2 from the left end and 2 1/2 from the front edge'],
    ['x-frame', 'K1 on the underside of the top: 8 from the left end and 4 from the front edge'],
  ])('%s', (id, said) => {
    const { steps } = stepsIn(start(id));
    expect(words(titled(steps, /^Set the top/)).join(' ')).toContain(said);
  });

  test('while the edging is put on, the sheet is told by itself', () => {
    const { steps } = stepsIn(start('end-table'));
    expect(words(titled(steps, /^Edge the sheet/)).join(' ')).toContain(
      'G1 on the front edge of T1: its left end 3/4 beyond',
    );
  });
});

test('slats of a shelf: the spacer that sets their gaps, and places on whole sixteenths', () => {
  const { steps } = stepsIn(start('shelf-coffee'));
  const said = words(titled(steps, /^Lay the shelf/)).join(' ');
  expect(said).toContain('A spacer 9/16 thick sets the gaps between the slats.');
  expect(said).not.toMatch(/\/(32|64) from the (left|right) end/);
});

test('bought legs: the screws of their plates stay inside the top, and how long they may be is said', () => {
  const { steps, made } = stepsIn(start('hairpin'));
  const step = steps.find(({ makes }) => makes.some((id) => id.startsWith('p.L1>')))!;
  const said = words(step).find((text) => text.includes('plates'))!;
  expect(said).toContain('no longer than');
  for (const { joint, shanks, into } of made)
    if (joint.kind === 'plate')
      for (const { length, left } of shanks) {
        expect(length + left).toBeCloseTo(into.thickness, -1);
        expect(left).toBeGreaterThanOrEqual(inches(1 / 8) - 1);
      }
});

describe('what a sitting says follows how its joints are made', () => {
  const by = (way: Method) => stepsIn(start('standing', { joins: { 'rail end': { by: way } } }));
  const frame = (steps: readonly Step[]) => titled(steps, /^Join the left end frame/);

  test('pocket screws: no dry fit, the end grain twice, half an hour', () => {
    const step = frame(by('pocket screws').steps);
    expect(words(step).some((text) => text.includes('dry first'))).toBe(false);
    expect(words(step).some((text) => text.includes('End grain drinks: glue it, wait a minute, glue it again'))).toBe(
      true,
    );
    expect(step.wait).toBe(30);
  });

  test('mortise and tenon: dry first, clamps over it, an hour', () => {
    const step = frame(by('mortise and tenon').steps);
    expect(words(step).some((text) => text.includes('dry first'))).toBe(true);
    expect(step.clamps).toBeGreaterThanOrEqual(2);
    expect(step.wait).toBe(60);
    expect(pickUp(step)).toContain('glue');
    expect(pickUp(frame(by('dowels').steps))).toContain('dowel pins 1/2 x 2');
  });

  test('corner blocks: picked up by number, cut to size, countersunk', () => {
    const step = frame(by('corner block').steps);
    const blocks = step.makes.length;
    expect(pickUp(step)).toContain(`${blocks} corner block`);
    expect(words(step).some((text) => text.includes('1 1/2 by 1 1/2'))).toBe(true);
    expect(words(step).find((text) => text.startsWith('Cut'))).toContain('countersunk');
  });

  test('clamps reach over what closes: rail and both legs; where none does, a strap is said', () => {
    const piece = start('standing', { joins: { 'rail end': { by: 'dowels' } } });
    const clamps = [{ length: inches(30), count: 3 }];
    const { steps, made } = stepsIn(piece, { ...DEFAULT_SHOP, clamps });
    const end = frame(steps);
    const rails = made.filter(({ joint }) => end.makes.includes(joint.id));
    const wide = around(rails.flatMap(({ drilled, into }) => [boxOf(drilled), boxOf(into)]))!;
    // Across the table the frame is less than 30, though its legs are longer than that.
    expect(extent(wide, 1)).toBeLessThan(inches(30));
    expect(extent(wide, 2)).toBeGreaterThan(inches(30));
    expect(end.clamps).toBe(clampsOver({ ...DEFAULT_SHOP, clamps }, extent(wide, 1)) >= 2 ? 2 : 3);
    expect(words(end).some((text) => text.includes('strap'))).toBe(false);
    // Along it the aprons with their legs are longer than any clamp.
    const long = titled(steps, /^Join the end frames/);
    expect(long.clamps).toBe(0);
    expect(words(long).some((text) => text.startsWith('No clamp of yours opens 54'))).toBe(true);
  });
});

test('each action of a step has an id of its own, that of its operation, and every id is of its piece', () => {
  for (const { id } of STARTS)
    for (const step of stepsIn(start(id)).steps) {
      const ids = step.actions.map((action) => action.id);
      expect(new Set(ids).size).toBe(ids.length);
      expect(ids.every((one) => one.startsWith(`${step.piece}.`))).toBe(true);
      expect(step.operations.map((one) => one.id)).toEqual(ids);
    }
});

test('a loose shelf measured too long for its uprights has no place for its pins: the step still says to set them', () => {
  const piece = start('cupboard');
  const { model } = stepsIn(piece);
  const shelf = model.parts.find(({ tag }) => tag === 'H1A')!;
  const long = { H1A: { length: shelf.length + inches(1 / 4), cut: true } };
  const { steps, made } = stepsIn(piece, DEFAULT_SHOP, long);
  const step = titled(steps, /^Set the loose shelves/);
  expect(words(step).some((text) => text.includes('shelf pins') || text.startsWith('Bore'))).toBe(true);
  expect(made.filter(({ joint }) => joint.kind === 'pins')).toHaveLength(4);
});

test('legs on plates are screwed on with the case on its head; it is turned back before a drawer is hung', () => {
  const { steps } = stepsIn(start('chest', { choices: { front: 'drawers', stand: 'bought' } }));
  const stand = titled(steps, /^Fix what it stands on/);
  expect(words(stand).join(' ')).toContain('All of it upside down, on a blanket.');
  expect(words(stand).at(-1)).toMatch(/^Turn it over onto its feet/);
  const places = steps.flatMap(({ operations }) =>
    operations.flatMap((one) => (one.kind === 'place' ? [one.over] : [])),
  );
  expect(places.filter(Boolean)).toHaveLength(1);
  expect(plain(steps.find(({ title }) => /level it/i.test(plain(title, 'in')))!.title, 'in')).toBe('Level it');
});

test('catches and stays are placed: where the magnet comes, how far from the hinge', () => {
  const { steps } = stepsIn(start('cupboard', { choices: { front: 'drop front' } }));
  const fitted = titled(steps, /^Fit the pulls, catches and stays/);
  // A stay of 10 stands at 45 degrees when it is stretched: 10 over the root of two.
  expect(words(fitted).find((one) => one.includes('stays'))).toContain('7 1/16 from the hinged edge');
  expect(words(fitted).find((one) => one.includes('catches'))).toContain("under the case's top");
});
