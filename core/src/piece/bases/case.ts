import { nth } from '../../lists';
import { inches, type Length } from '../../length';
import type { Sheet } from '../../stock';
import { dim, say } from '../../words';
import { count, measure, pick, type Choices, type Values } from '../choice';
import { assembleDrawers, drawerBacks } from '../drawers';
import { family, type Room } from '../family';
import { putFoundTop } from '../found-top';
import { boxAt, cutFor, holed, kitFor, level, type Kit } from '../kit';
import { planeAt, type Vec } from '../../solid';
import { boxOf } from '../shape';
import { drawerBank, fronts, shelves, type CaseBody, type CaseColumn } from './case-fittings';
import { CASE_LEGS, caseLegHeight, standOn } from './case-stand';

const STOCK = {
  'ply 3/4': '3/4 plywood',
  'mdf 3/4': '3/4 MDF',
  'panel 3/4': 'edge-glued panel',
  'panel found': 'panels that are there',
} as const;
const BACK: Sheet = 'ply 1/4';

/** Shelves end so far behind inset doors. */
const CLEAR: Length = inches(1 / 8);

const swings = (c: Choices) => c.front === 'doors' || c.front === 'drop front';
const closed = (choices: Choices) => choices.front !== 'open';
/** Behind drawers an opening serves nothing. */
const corded = ({ back, front }: Choices) => back === 'closed' && front !== 'drawers';

const CHOICES = {
  stock: pick('Case of', STOCK, 'ply 3/4', {
    help: 'Old shelves, doors and table leaves serve as well: write them down under Stock, On hand, as found panel with their sizes, and how thick they are under Measured.',
  }),
  held: pick('Case joined by', { screws: 'screws through', pockets: 'pocket screws' }, 'screws', {
    help: 'Pocket screws leave the outside clean: their pockets are on the faces that are seen least.',
  }),
  corners: pick('Upper corners', { butted: 'top over the sides', mitred: 'mitred, the grain runs over' }, 'butted', {
    help: 'Mitred the grain runs up one side, over the top and down the other, and no edge of a sheet shows. Glue alone holds it: it wants an even 45 degrees, and a back. Side, top and side are cut one after the other from one strip, where a sheet is long enough.',
    when: (c) => c.held === 'screws',
  }),
  lid: pick('Top', { made: 'of the same', found: 'a panel that is there' }, 'made', {
    when: (c) => c.corners !== 'mitred' || c.held !== 'screws',
    help: 'One that you have, as it is: the piece is as long and, less its fronts, as deep. It is held from inside, so that no head shows on it.',
  }),
  lidThick: measure('Top, thickness measured', inches(1), inches(3 / 8), inches(4), { when: (c) => c.lid === 'found' }),
  columns: count('Columns', 1, 1, 4),
  shelves: count('Shelves a column', 2, 0, 8, { when: (c) => c.front !== 'drawers' }),
  shelfKind: pick('Shelves', { fixed: 'fixed in dados', loose: 'loose on pins' }, 'fixed', {
    when: (c) => c.front !== 'drawers',
    help: 'Fixed shelves hold the sides together; loose ones can be moved.',
  }),
  front: pick('Front', { open: 'open', doors: 'doors', 'drop front': 'drop front', drawers: 'drawers' }, 'open'),
  fronts: pick('Fronts stand', { over: 'over the edges', inset: 'inside the case' }, 'over', {
    help: 'Over the edges is forgiving: the gap is hidden. Inside, every gap shows and must be even.',
    when: closed,
  }),
  hinges: pick('Hinges', { butt: 'two or more butt hinges', long: 'one along all of it' }, 'butt', {
    when: swings,
    help: 'A long hinge carries more and lets nothing sag, and shows all along; it is cut to length with a hacksaw.',
  }),
  gap: measure('Gap round fronts', inches(1 / 8), inches(1 / 16), inches(3 / 8), { when: closed }),
  drawers: count('Drawers a column', 3, 1, 8, { when: (c) => c.front === 'drawers' }),
  backs: { ...drawerBacks.backs, when: (c: Choices) => c.front === 'drawers' },
  back: pick('Back', { closed: 'closed, in a rebate', open: 'open' }, 'closed', {
    help: 'A back keeps the case square. Without one, fixed shelves and the joints must.',
  }),
  cords: measure('Cord openings', 0, 0, inches(3), {
    when: corded,
    help: 'How far across: a round hole low in the back of each column. 0 for none.',
  }),
  stand: pick(
    'Stands on',
    { floor: 'the floor', plinth: 'a plinth', legs: 'legs in a frame', bought: 'bought legs' },
    'plinth',
    { firms: true },
  ),
  standHeight: measure('Plinth or leg height', inches(3.5), inches(1), inches(20), {
    when: (c) => c.stand === 'plinth' || c.stand === 'legs',
  }),
  standLeg: pick('Bought legs', CASE_LEGS, 'turned 6', { when: (c) => c.stand === 'bought' }),
};
type Chosen = Values<typeof CHOICES>;

/** Sizes that all else follows from. */
function sizesOf(kit: Kit, room: Room, choices: Chosen) {
  const stock = choices.stock as Sheet;
  const t = kit.sizes.thickness(stock);
  const stand =
    choices.stand === 'floor' ? 0 : choices.stand === 'bought' ? caseLegHeight(choices.standLeg) : choices.standHeight;
  const lid = choices.lid === 'found' ? choices.lidThick : t;
  const isInset = closed(choices) && choices.fronts === 'inset';
  const front = closed(choices) && !isInset ? t : 0;
  const rebate = kit.sizes.thickness(BACK);
  const drawers = choices.front === 'drawers';
  const body: CaseBody = {
    front,
    back: room.width - (choices.back === 'closed' ? rebate : 0),
    bottom: stand + t,
    top: room.height - lid,
    thick: t,
    rim: Math.min(t, lid),
  };
  return {
    stock,
    t,
    fronts: { inset: isInset, gap: choices.gap },
    behind: isInset ? t : 0,
    stand,
    rebate,
    body,
    drawers,
    rows: drawers ? choices.drawers : choices.shelves,
    columns: choices.columns,
    lid,
    inner: room.height - stand - t - lid,
    clearWidth: (room.length - (choices.columns + 1) * t) / choices.columns,
    depth: room.width - front,
  };
}
type Sizes = ReturnType<typeof sizesOf>;

/** Says what there is no room for, and what no sheet or board gives. */
function check(kit: Kit, room: Room, choices: Chosen, sizes: Sizes): void {
  const { stock, t, stand, rebate, behind, drawers, rows, columns, inner, clearWidth, depth } = sizes;
  const column = inches(drawers ? 6 : 4);
  // As many columns as have room, a side beside each and one more.
  const fewer = Math.floor((room.length - t) / (column + t));
  const need = (name: string, side: 'length' | 'width' | 'height', has: number, least: Length, what: string) => {
    if (has >= least) return;
    const size = room[side] + Math.ceil((least - has) * (side === 'length' ? columns : 1));
    kit.stop(
      name,
      say`Not enough room ${what}`,
      say`There is ${dim(Math.max(0, Math.floor(has)))}; it needs ${dim(least)}.`,
      { has, least },
      [
        {
          label: say`Make it ${dim(size)} ${side === 'length' ? 'long' : side === 'width' ? 'deep' : 'high'}`,
          changes: [kit.change(['size', side], size)],
        },
        ...(name === 'case-narrow' && fewer > 0 && fewer < columns
          ? [
              {
                label: say`Make ${fewer} ${fewer === 1 ? 'column' : 'columns'}`,
                changes: [kit.change(['choices', 'columns'], fewer)],
              },
            ]
          : []),
      ],
    );
  };
  need('case-narrow', 'length', clearWidth, column, 'in a column');
  need('case-shallow', 'width', depth - rebate - behind, drawers ? inches(11) : inches(4), 'from front to back');
  need(
    'case-low',
    'height',
    inner,
    drawers ? rows * inches(3.5) : rows * (t + inches(4)) + inches(4),
    drawers ? 'for the drawers' : 'for the shelves',
  );
  if (stock === 'panel 3/4' && depth > inches(24))
    kit.stop(
      'panel-deep',
      say`Deeper than panels are sold`,
      say`Edge-glued panels are up to ${dim(inches(24))} wide; this case is ${dim(depth)} deep.`,
      { depth },
      [{ label: say`Take plywood`, changes: [kit.change(['choices', 'stock'], 'ply 3/4')] }],
    );
  const tallest = kit.sizes.dressed('1x12').width;
  if (choices.stand === 'plinth' && stand > tallest)
    kit.stop(
      'plinth-high',
      say`The plinth is higher than its boards`,
      say`A plinth ${dim(stand)} high can not be cut from one board; the widest is ${dim(tallest)}.`,
      { stand },
      [
        { label: say`Stand it on legs`, changes: [kit.change(['choices', 'stand'], 'legs')] },
        { label: say`Make it ${dim(tallest)} high`, changes: [kit.change(['choices', 'standHeight'], tallest)] },
      ],
    );
}

const isMitred = ({ held, corners }: Pick<Chosen, 'held' | 'corners'>): boolean =>
  corners === 'mitred' && held === 'screws';

/** Sides and top that meet in mitres: the grain runs up, over and down. */
function mitredCorners(
  kit: Kit,
  { length, height }: Room,
  {
    stock,
    t,
    stand,
    depth,
    front,
  }: {
    readonly stock: Sheet;
    readonly t: Length;
    readonly stand: Length;
    readonly depth: Length;
    readonly front: Length;
  },
): void {
  const half = t / 2;
  const y = front + depth / 2;
  const across: Vec = [0, 1, 0];
  const body = { across, width: depth, thickness: t };
  // The planes of the two mitres: through the outer and the inner corner.
  const low = level(stand);
  const mitre = (x: number, way: 1 | -1) => planeAt([x, y, height], [Math.SQRT1_2, 0, -way * Math.SQRT1_2]);
  const spec = (tag: string, role: 'side' | 'top', name: string, at: number) => ({
    ...{ tag, role, name, material: stock },
    run: { of: 'case', at },
  });
  const upright = (tag: string, name: string, x: number, edge: number, way: 1 | -1) =>
    kit.member(spec(tag, 'side', name, way === -1 ? 0 : 2), {
      ...body,
      from: [x, y, stand],
      to: [x, y, height],
      ends: [low, mitre(edge, way)],
    });
  upright('G1', 'left side', half, 0, -1);
  upright('G2', 'right side', length - half, length, 1);
  kit.member(spec('T1', 'top', 'top', 1), {
    ...body,
    from: [0, y, height - half],
    to: [length, y, height - half],
    ends: [mitre(0, -1), mitre(length, 1)],
  });
}

/** Sides, bottom and top; dividers between them. The columns that they leave. */
function carcase(
  kit: Kit,
  room: Room,
  { stock, t, lid, stand, body, columns, inner, clearWidth, depth }: Sizes,
  { held, corners, lid: of }: Pick<Chosen, 'held' | 'corners' | 'lid'>,
): readonly CaseColumn[] {
  const mitred = isMitred({ held, corners });
  const y0 = body.front;
  const { length } = room;
  const spec = (tag: string, role: 'side' | 'top', name: string) => ({ tag, role, name, material: stock });
  // Sides from the stand up to the top; the bottom between them; the top over all.
  if (mitred) mitredCorners(kit, room, { stock, t, stand, depth, front: y0 });
  else {
    kit.board(spec('G1', 'side', 'left side'), boxAt([0, y0, stand], [t, depth, body.top - stand]), 2, 1);
    kit.board(spec('G2', 'side', 'right side'), boxAt([length - t, y0, stand], [t, depth, body.top - stand]), 2, 1);
    if (of === 'found') putFoundTop(kit, [length, depth, lid], [0, y0, body.top]);
    else kit.board(spec('T1', 'top', 'top'), boxAt([0, y0, body.top], [length, depth, t]), 0, 1);
  }
  kit.board(spec('B1', 'side', 'bottom'), boxAt([t, y0, stand], [length - 2 * t, body.back - y0, t]), 0, 1);
  // Screwed from outside, or pocketed from inside by what ends against it.
  const join = (outer: string, end: string) =>
    held === 'pockets' ? kit.join('rail end', end, outer) : kit.join('screws', outer, end);
  const underTop = (end: string) => (of === 'found' ? kit.join('rail end', end, 'T1') : join('T1', end));
  for (const side of ['G1', 'G2']) {
    if (mitred) kit.join('lamination', side, 'T1');
    else underTop(side);
    join(side, 'B1');
  }
  const uprights = ['G1'];
  const edges: Length[] = [];
  for (let at = 1; at < columns; at++) {
    const x = Math.round(t * at + clearWidth * at);
    const name = `V${at}`;
    kit.board(spec(name, 'side', 'divider'), boxAt([x, y0, stand + t], [t, body.back - y0, inner]), 2, 1);
    underTop(name);
    join('B1', name);
    uprights.push(name);
    edges.push(x);
  }
  uprights.push('G2');
  return Array.from({ length: columns }, (_, at) => ({
    number: at + 1,
    from: at === 0 ? t : nth(edges, at - 1) + t,
    to: at === columns - 1 ? length - t : nth(edges, at),
    left: nth(uprights, at),
    right: nth(uprights, at + 1),
  }));
}

/** Wood left under a cord opening. */
const UNDER_CORDS: Length = inches(3 / 4);
const EIGHTH: Length = inches(1 / 8);

/** An opening for cords low in the back of each column. */
function openForCords(kit: Kit, { body }: Sizes, columns: readonly CaseColumn[], across: Length): void {
  const { min } = boxOf(kit.get('K1'));
  // Told from the back's own edges, to the eighth.
  const near = (at: Length, edge: Length) => edge + Math.round((at - edge) / EIGHTH) * EIGHTH;
  for (const { from, to } of columns) {
    const low = near(body.bottom + UNDER_CORDS + across / 2, min[2]);
    kit.put(holed(kit.get('K1'), [near((from + to) / 2, min[0]), body.back, low], [0, 1, 0], across / 2));
  }
}

/** A thin back in a rebate all round. */
function letIn(kit: Kit, { length }: Room, { t, stand, rebate, body }: Sizes, lid: Chosen['lid']): void {
  const into = Math.round(t / 2);
  // Nothing is cut into a top that is there: the back ends under it.
  const [up, round] = lid === 'found' ? [0, ['G1', 'G2']] : [into, ['G1', 'G2', 'T1']];
  kit.board(
    { tag: 'K1', role: 'back', name: 'back', material: BACK },
    boxAt([into, body.back, stand], [length - 2 * into, rebate, body.top - stand + up]),
    0,
    2,
  );
  for (const name of round) kit.put(cutFor(kit.get(name), kit.get('K1'), 'rebate', 2));
  for (const name of [...round, 'B1']) kit.join('glue', 'K1', name);
}

/** What stands in the columns: shelves and fronts, or drawers. Null where no drawer fits. */
function fittings(kit: Kit, columns: readonly CaseColumn[], choices: Chosen, sizes: Sizes) {
  const { stock, t, body, behind, drawers, rows } = sizes;
  const { inset, gap } = sizes.fronts;
  const half = Math.round((t - gap) / 2);
  const cover = (column: CaseColumn): readonly [Length, Length] =>
    inset ? [-gap, -gap] : [column.left === 'G1' ? t - gap : half, column.right === 'G2' ? t - gap : half];
  const laid: string[] = [];
  const hung: string[] = [];
  const numbers: number[] = [];
  for (const column of columns) {
    if (drawers) {
      const bank = drawerBank(kit, column, body, rows, numbers.length + 1, stock, cover(column), {
        ...sizes.fronts,
        shortBack: choices.backs === 'short',
      });
      if (!bank) {
        kit.stop(
          'drawer-opening',
          say`No box fits its opening`,
          say`A column is ${dim(column.to - column.from)} wide inside; with slides a box needs ${dim(inches(5))}.`,
          {},
          [
            {
              label: say`Make one column fewer`,
              changes: [kit.change(['choices', 'columns'], Math.max(1, choices.columns - 1))],
            },
          ],
        );
        return null;
      }
      numbers.push(...bank);
      continue;
    }
    laid.push(
      ...shelves(kit, column, body, rows, choices.shelfKind === 'loose', stock, behind > 0 ? behind + CLEAR : 0),
    );
    if (closed(choices)) hung.push(...fronts(kit, column, body, choices, stock, cover(column), sizes.fronts));
  }
  return { laid, hung, numbers };
}
type Fittings = NonNullable<ReturnType<typeof fittings>>;

/** The case first, then its back and what it stands on, then what hangs and slides in it. */
function assemble(
  kit: Kit,
  room: Room,
  choices: Chosen,
  sizes: Sizes,
  columns: readonly CaseColumn[],
  { laid, hung, numbers }: Fittings,
): void {
  const dividers = columns.slice(1).map(({ left }) => left);
  const fixed = choices.shelfKind === 'fixed' ? laid : [];
  const taped = say`Tape over the mitres from outside before they are closed; glue both faces of each twice: end grain drinks it.`;
  kit.assemble(
    'case',
    say`Join the case`,
    ['G1', 'G2', 'B1', 'T1', ...dividers, ...fixed],
    [],
    isMitred(choices) ? [taped] : [],
  );
  const last = choices.back === 'closed' ? 'back' : 'case';
  if (choices.back === 'closed')
    kit.assemble(
      'back',
      say`Let in the back`,
      ['K1'],
      ['case'],
      [say`The back squares the case: pull it to equal diagonals before you nail.`],
    );
  const stands = standOn(kit, room, choices, sizes.stand, sizes.body.front, last);
  if (choices.shelfKind === 'loose' && laid.length > 0)
    kit.assemble('loose', say`Set the loose shelves on their pins`, laid, [stands]);
  if (hung.length > 0)
    kit.assemble(
      'doors',
      say`Hang the ${choices.front === 'doors' ? 'doors' : 'drop front'}`,
      hung,
      [choices.shelfKind === 'loose' && laid.length > 0 ? 'loose' : stands],
      [say`Gap ${dim(choices.gap)} all round; shim with card while you drive the first screw of each hinge.`],
    );
  const ready = hung.length > 0 ? 'doors' : choices.shelfKind === 'loose' && laid.length > 0 ? 'loose' : stands;
  assembleDrawers(kit, numbers, ready, choices.backs === 'short');
}

/**
 * Sides, bottom, top and dividers in sheet or panel; shelves, doors, a drop front or drawers; on legs, a plinth or the
 * floor.
 */
export const caseFamily = family({
  id: 'case',
  name: 'Case',
  about: 'A box with shelves, doors or drawers: cupboard, chest, bookcase, cart.',
  topped: false,
  choices: CHOICES,
  build(room, choices) {
    const kit = kitFor(room);
    const sizes = sizesOf(kit, room, choices);
    check(kit, room, choices, sizes);
    if (kit.stopped()) return kit.built();
    const columns = carcase(kit, room, sizes, choices);
    if (choices.back === 'closed') letIn(kit, room, sizes, choices.lid);
    if (choices.cords > 0 && corded(choices)) openForCords(kit, sizes, columns, choices.cords);
    const fitted = fittings(kit, columns, choices, sizes);
    if (!fitted) return kit.built();
    assemble(kit, room, choices, sizes, columns, fitted);
    return kit.built();
  },
});
