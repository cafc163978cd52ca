import { inches, type Length } from '../../length';
import type { Sheet } from '../../stock';
import { dim, say } from '../../words';
import { drawer, drawerSizes, sideOf, type Drawer } from '../drawers';
import { hingePlaces, longHingeFor } from '../hinges';
import { boxAt, cutFor, type Kit } from '../kit';

/** Shelves go this deep into the sides; loose ones hang this much clear of them. */
const DADO: Length = inches(1 / 4);
const PIN_CLEAR: Length = inches(1 / 16);
/** How doors and drawer fronts stand: over the edges of the case or inside it, with an even gap. */
export type Fronts = { readonly inset: boolean; readonly gap: Length };

/** Hangs a front on butt hinges, or on one along all of it where there is one so long. */
function hang(kit: Kit, name: string, on: string, run: Length, long: boolean): void {
  const size = long ? longHingeFor(run) : null;
  kit.join(size === null ? 'hinge' : 'long hinge', name, on, true);
  if (size === null) kit.need({ kind: 'hinge', size: '', count: hingePlaces(run).length });
  else kit.need({ kind: 'long-hinge', size: String(size), count: 1 });
}

/** A column between two uprights: its inner sides, and the uprights' tags. */
export type CaseColumn = {
  readonly from: Length;
  readonly to: Length;
  readonly left: string;
  readonly right: string;
  readonly number: number;
};
export type CaseBody = {
  readonly front: Length;
  readonly back: Length;
  readonly bottom: Length;
  readonly top: Length;
  readonly thick: Length;
  /** How high the edge of the top is that fronts may cover. */
  readonly rim: Length;
};

/** Shelves of one column, evenly spread: in dados, or loose on pins. */
export function shelves(
  kit: Kit,
  column: CaseColumn,
  body: CaseBody,
  number: number,
  loose: boolean,
  stock: Sheet,
  inset: Length,
): readonly string[] {
  const clear = (body.top - body.bottom - number * body.thick) / (number + 1);
  return Array.from({ length: number }, (_, at) => {
    const name = `H${column.number}${String.fromCharCode(65 + at)}`;
    const z = Math.round(body.bottom + (at + 1) * clear + at * body.thick);
    const [x0, x1] = loose ? [column.from + PIN_CLEAR, column.to - PIN_CLEAR] : [column.from - DADO, column.to + DADO];
    const spec = {
      tag: name,
      role: 'shelf' as const,
      name: loose ? 'loose shelf' : 'shelf',
      material: stock,
      ...(loose
        ? {
            fit: say`the clear width between the uprights, less ${dim(2 * PIN_CLEAR)}`,
            dependsOn: [column.left, column.right],
          }
        : {}),
    };
    kit.board(spec, boxAt([x0, body.front + inset, z], [x1 - x0, body.back - body.front - inset, body.thick]), 0, 1);
    for (const side of [column.left, column.right]) {
      if (!loose) kit.put(cutFor(kit.get(side), kit.get(name), 'dado', 2));
      kit.join(loose ? 'pins' : 'dado', name, side, loose);
    }
    if (loose) kit.need({ kind: 'shelf-pin', size: '', count: 4 });
    return name;
  });
}

/** Stays as sold, inches when stretched: the longest that a front so high takes at the same distance up its side. */
const stayFor = (high: Length): string => (high >= inches(12) ? '10' : '6');

/** From where to where fronts reach: inside the case, or over the edges of its bottom and top. */
const heightsOf = ({ bottom, top, thick, rim }: CaseBody, inset: boolean, gap: Length): readonly [Length, Length] =>
  inset ? [bottom + gap, top - gap] : [bottom - thick + gap, top + rim - gap];

/** One or two doors before a column, hinged at its outer edges, or one drop front hinged below. */
export function fronts(
  kit: Kit,
  column: CaseColumn,
  body: CaseBody,
  choices: { readonly front: string; readonly hinges: string },
  stock: Sheet,
  cover: readonly [Length, Length],
  { inset, gap }: Fronts,
): readonly string[] {
  const t = kit.sizes.thickness(stock);
  const y = inset ? body.front : body.front - t;
  const [x0, x1] = [column.from - cover[0], column.to + cover[1]];
  const [z0, z1] = heightsOf(body, inset, gap);
  const n = column.number;
  if (choices.front === 'drop front') {
    const name = `D${n}A`;
    kit.board(
      { tag: name, role: 'door', name: 'drop front', material: stock },
      boxAt([x0, y, z0], [x1 - x0, t, z1 - z0]),
      0,
      2,
    );
    hang(kit, name, 'B1', x1 - x0, choices.hinges === 'long');
    kit.need({ kind: 'stay', size: stayFor(z1 - z0), count: 2 });
    kit.need({ kind: 'catch', size: '', count: 2 });
    kit.need({ kind: 'pull', size: '', count: 1 });
    kit.moves(`drop-${n}`, `drop front ${n}`, [name], {
      kind: 'turn',
      about: [x0, y, z0],
      axis: [1, 0, 0],
      degrees: 90,
    });
    return [name];
  }
  const pair = x1 - x0 > inches(24);
  const middle = Math.round((x0 + x1) / 2);
  const leaves = pair
    ? ([
        ['A', x0, middle - Math.round(gap / 2), 'left'],
        ['B', middle + Math.round(gap / 2), x1, 'right'],
      ] as const)
    : ([['A', x0, x1, 'left']] as const);
  return leaves.map(([letter, from, to, side]) => {
    const name = `D${n}${letter}`;
    kit.board(
      { tag: name, role: 'door', name: 'door', material: stock },
      boxAt([from, y, z0], [to - from, t, z1 - z0]),
      2,
      0,
    );
    hang(kit, name, side === 'left' ? column.left : column.right, z1 - z0, choices.hinges === 'long');
    kit.need({ kind: 'pull', size: '', count: 1 });
    kit.need({ kind: 'catch', size: '', count: 1 });
    // The knuckle stands at the front edge, so that the door clears its neighbour.
    kit.moves(`door-${name}`, `door ${name}`, [name], {
      kind: 'turn',
      about: [side === 'left' ? from : to, y, z0],
      axis: [0, 0, side === 'left' ? -1 : 1],
      degrees: 90,
    });
    return name;
  });
}

/** Drawers that fill a column, one above the other, with overlaid fronts. */
export function drawerBank(
  kit: Kit,
  column: CaseColumn,
  body: CaseBody,
  number: number,
  first: number,
  stock: Sheet,
  cover: readonly [Length, Length],
  { inset, gap, shortBack }: Fronts & Pick<Drawer, 'shortBack'>,
): readonly number[] | null {
  const pitch = (body.top - body.bottom) / number;
  const t = kit.sizes.thickness(stock);
  const width = column.to - column.from;
  // Behind an inset front the box begins.
  const front = inset ? body.front + t : body.front;
  const [lowest, highest] = heightsOf(body, inset, gap);
  const done: number[] = [];
  for (let at = 0; at < number; at++) {
    const [z0, z1] = [Math.round(body.bottom + at * pitch), Math.round(body.bottom + (at + 1) * pitch)];
    const sizes = drawerSizes(
      { width, height: z1 - z0, depth: body.back - front - inches(1 / 2) },
      sideOf('ply 1/2', kit.sizes),
      { width: 0, height: 0 },
    );
    if (!sizes) return null;
    const half = Math.round(gap / 2);
    const low = at === 0 ? lowest : z0 + half;
    const high = at === number - 1 ? highest : z1 - half;
    const [x0, x1] = [column.from - cover[0], column.to + cover[1]];
    drawer(kit, sizes, {
      number: first + at,
      opening: { min: [column.from, front, z0], max: [column.to, body.back, z1] },
      sides: [column.left, column.right],
      stock: 'ply 1/2',
      side: sideOf('ply 1/2', kit.sizes),
      shortBack,
      front: { material: stock, box: boxAt([x0, front - t, low], [x1 - x0, t, high - low]) },
    });
    done.push(first + at);
  }
  return done;
}
