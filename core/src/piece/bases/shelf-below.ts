import { first, nth } from '../../lists';
import { inches, tapeStep, type Length, type Units } from '../../length';
import { rectangle } from '../../solid';
import { isSheet, type Nominal } from '../../stock';
import { dim, say, tag } from '../../words';
import { measure, pick, type Choices } from '../choice';
import { boxAt, cutFor, slatsBetween, type Kit } from '../kit';
import { boxOf } from '../shape';
import { LEAST_RAIL, railsBetween } from './common';
import { wholeLeg, type Leg } from './legs';

const shelved = ({ below }: Choices) => below !== 'none';

/** What may stand between four legs, below what carries the top. */
export const shelfChoices = {
  below: pick(
    'Below',
    { none: 'nothing', stretchers: 'stretchers', 'ply shelf': 'plywood shelf', 'slat shelf': 'slatted shelf' },
    'none',
  ),
  shelfHeight: measure('Shelf or stretcher height', inches(6), inches(1), inches(60), { when: shelved }),
};

/** Says so where a shelf comes too near to what is `clear` above the floor. */
export function checkShelf(
  kit: Kit,
  { below, shelfHeight }: { readonly below: string; readonly shelfHeight: Length },
  clear: Length,
): void {
  const highest = clear - LEAST_RAIL;
  if (below !== 'none' && shelfHeight > highest) {
    const at = Math.round(clear / 3);
    // Lower than this its own rails go through the floor: then it is better left out.
    const lowest = inches(4.5);
    kit.stop(
      'shelf-high',
      say`The shelf meets the aprons`,
      say`Under the aprons there is ${dim(clear)}; a shelf at ${dim(shelfHeight)} leaves under ${dim(LEAST_RAIL)} above it.`,
      { at: shelfHeight },
      [
        ...(at >= lowest && at <= highest
          ? [{ label: say`Put it at ${dim(at)}`, changes: [kit.change(['choices', 'shelfHeight'], at)] }]
          : []),
        { label: say`Leave it out`, changes: [kit.change(['choices', 'below'], 'none')] },
      ],
    );
  }
}

/** What stands below the top: rails between the legs, and what lies on them. */
const SHELF_RAIL: Nominal = '2x3';
/** On legs too thin for that. */
const THIN_RAIL: Nominal = '1x3';
const THIN_LEG: Length = inches(2.25);
const SHELF_SHEET = 'ply 3/4';
const SHELF_SLAT: Nominal = '1x4';
const SLAT_GAP: Length = inches(0.5);

/** What is wanted below, and the tag of its long rails, thinner than usual where the piece is small. */
type ShelfBelow = {
  readonly kind: 'stretchers' | 'ply shelf' | 'slat shelf';
  readonly at: Length;
  readonly units: Units;
  readonly long: string;
  readonly thin: boolean;
};

/** Rails and shelf between four legs, the shelf's upper face at `at`. */
export function shelfBelow(
  kit: Kit,
  legs: readonly [Leg, Leg, Leg, Leg],
  { kind, at, units, long, thin }: ShelfBelow,
): void {
  const size = (axis: 0 | 1) => legs[0].box.max[axis] - legs[0].box.min[axis];
  const stock = thin || Math.min(size(0), size(1)) < THIN_LEG ? THIN_RAIL : SHELF_RAIL;
  const rail = kit.sizes.dressed(stock);
  const thick =
    kind === 'stretchers'
      ? 0
      : kind === 'ply shelf'
        ? kit.sizes.thickness(SHELF_SHEET)
        : kit.sizes.dressed(SHELF_SLAT).thickness;
  const from = at - thick - rail.width;
  if (from < 0) {
    const least = thick + rail.width + inches(1);
    kit.stop(
      'shelf-low',
      say`The shelf is too near the floor`,
      say`Its rails are ${dim(rail.width)} deep and the shelf ${dim(thick)}: at ${dim(at)} they would go through the floor.`,
      { at, least },
      [{ label: say`Put it at ${dim(least)}`, changes: [kit.change(['choices', 'shelfHeight'], least)] }],
    );
    return;
  }
  const inset = Math.round((Math.min(size(0), size(1)) - rail.thickness) / 2);
  const base = { role: 'stretcher', nominal: stock, from, setback: inset } as const;
  if (kind === 'stretchers') {
    railsBetween(kit, legs, { ...base, long: 'X', end: 'S', longName: '', endName: 'end stretcher', only: 'end' });
    const [left, right] = [boxOf(kit.get('S1')), boxOf(kit.get('S2'))];
    const y = Math.round((left.min[1] + left.max[1] - rail.thickness) / 2);
    kit.board(
      {
        tag: 'S3',
        role: 'stretcher',
        name: 'long stretcher',
        material: stock,
        fit: say`the gap between ${tag('S1')} and ${tag('S2')}`,
        dependsOn: ['S1', 'S2'],
      },
      boxAt([left.max[0], y, from], [right.min[0] - left.max[0], rail.thickness, rail.width]),
      0,
      2,
    );
    kit.join('rail end', 'S3', 'S1');
    kit.join('rail end', 'S3', 'S2');
    return;
  }
  railsBetween(kit, legs, { ...base, long, end: 'S', longName: 'long shelf rail', endName: 'end shelf rail' });
  const rails = [`${long}1`, `${long}2`, 'S1', 'S2'];
  const boxes = rails.map((name) => boxOf(kit.get(name)));
  const [x0, x1] = [nth(boxes, 2).min[0], nth(boxes, 3).max[0]];
  const [y0, y1] = [first(boxes).min[1], nth(boxes, 1).max[1]];
  if (isSheet(SHELF_SHEET) && kind === 'ply shelf') {
    let shelf = kit.shaped(
      { tag: 'H1', role: 'shelf', name: 'shelf', material: SHELF_SHEET },
      rectangle(x1 - x0, y1 - y0),
      thick,
      { at: [x0, y0, at - thick], u: [1, 0, 0], v: [0, 1, 0] },
    );
    for (const leg of legs) shelf = cutFor(shelf, wholeLeg(kit, leg), 'notch', 2);
    kit.put(shelf);
    rails.forEach((name) => kit.join('screws', 'H1', name));
    return;
  }
  const slat = kit.sizes.dressed(SHELF_SLAT);
  const [from0, to0] = [legs[0].box.max[0] + SLAT_GAP, legs[2].box.min[0] - SLAT_GAP];
  slatsBetween(from0, to0, slat.width, SLAT_GAP, tapeStep(units)).forEach((x, index) => {
    const name = `H${index + 1}`;
    kit.board(
      { tag: name, role: 'shelf', name: 'shelf slat', material: SHELF_SLAT },
      boxAt([x, y0, at - thick], [slat.width, y1 - y0, slat.thickness]),
      1,
      0,
    );
    kit.join('screws', name, `${long}1`);
    kit.join('screws', name, `${long}2`);
  });
}
