import { inches, type Length } from '../../length';
import { dressed, thicknessAsSold, type Sheet } from '../../stock';
import { dim, say } from '../../words';
import { count, measure, pick, type Choices } from '../choice';
import { assembleDrawers, drawer, drawerSizes, sideOf } from '../drawers';
import { family, type Room } from '../family';
import { boxAt, cutFor, kitFor, type Kit } from '../kit';

const STOCK = { 'ply 3/4': '3/4 plywood', 'mdf 3/4': '3/4 MDF', 'panel 3/4': 'edge-glued panel' } as const;
const BACK: Sheet = 'ply 1/4';
/** Shelves go this deep into the sides; loose ones hang this much clear of them. */
const DADO: Length = inches(1 / 4);
const PIN_CLEAR: Length = inches(1 / 16);
const REVEAL: Length = inches(1 / 8);

const closed = (choices: Choices) => choices.front !== 'open';

/** A column between two uprights: its inner sides, and the uprights' tags. */
type Column = {
  readonly from: Length;
  readonly to: Length;
  readonly left: string;
  readonly right: string;
  readonly number: number;
};
type Body = {
  readonly front: Length;
  readonly back: Length;
  readonly bottom: Length;
  readonly top: Length;
  readonly thick: Length;
};

/** Shelves of one column, evenly spread: in dados, or loose on pins. */
function shelves(
  kit: Kit,
  column: Column,
  body: Body,
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

/** One or two doors before a column, hinged at its outer edges, or one drop front hinged below. */
function fronts(
  kit: Kit,
  column: Column,
  body: Body,
  choices: { front: string },
  stock: Sheet,
  cover: readonly [Length, Length],
): readonly string[] {
  const t = thicknessAsSold(stock);
  const y = body.front - t;
  const [x0, x1] = [column.from - cover[0], column.to + cover[1]];
  const [z0, z1] = [body.bottom - body.thick + REVEAL, body.top + body.thick - REVEAL];
  const n = column.number;
  if (choices.front === 'drop front') {
    const name = `D${n}A`;
    kit.board(
      { tag: name, role: 'door', name: 'drop front', material: stock },
      boxAt([x0, y, z0], [x1 - x0, t, z1 - z0]),
      0,
      2,
    );
    kit.join('hinge', name, 'B1', true);
    kit.need({ kind: 'hinge', size: '', count: 2 });
    kit.need({ kind: 'stay', size: '', count: 2 });
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
        ['A', x0, middle - Math.round(REVEAL / 2), 'left'],
        ['B', middle + Math.round(REVEAL / 2), x1, 'right'],
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
    kit.join('hinge', name, side === 'left' ? column.left : column.right, true);
    kit.need({ kind: 'hinge', size: '', count: 2 });
    kit.need({ kind: 'pull', size: '', count: 1 });
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
function drawerBank(
  kit: Kit,
  column: Column,
  body: Body,
  number: number,
  first: number,
  stock: Sheet,
  cover: readonly [Length, Length],
): readonly number[] | null {
  const pitch = (body.top - body.bottom) / number;
  const t = thicknessAsSold(stock);
  const width = column.to - column.from;
  const done: number[] = [];
  for (let at = 0; at < number; at++) {
    const [z0, z1] = [Math.round(body.bottom + at * pitch), Math.round(body.bottom + (at + 1) * pitch)];
    const sizes = drawerSizes(
      { width, height: z1 - z0, depth: body.back - body.front - inches(1 / 2) },
      sideOf('ply 1/2'),
      { width: 0, height: 0 },
    );
    if (!sizes) return null;
    const half = Math.round(REVEAL / 2);
    const low = at === 0 ? body.bottom - body.thick + REVEAL : z0 + half;
    const high = at === number - 1 ? body.top + body.thick - REVEAL : z1 - half;
    const [x0, x1] = [column.from - cover[0], column.to + cover[1]];
    drawer(kit, sizes, {
      number: first + at,
      opening: { min: [column.from, body.front, z0], max: [column.to, body.back, z1] },
      sides: [column.left, column.right],
      stock: 'ply 1/2',
      side: sideOf('ply 1/2'),
      front: { material: stock, box: boxAt([x0, body.front - t, low], [x1 - x0, t, high - low]) },
    });
    done.push(first + at);
  }
  return done;
}

/** Sides, bottom, top and dividers in sheet or panel; shelves, doors, a drop front or drawers; on legs, a plinth or the floor. */
export const caseFamily = family({
  id: 'case',
  name: 'Case',
  about: 'A box with shelves, doors or drawers: cupboard, chest, bookcase, cart.',
  topped: false,
  choices: {
    stock: pick('Case of', STOCK, 'ply 3/4'),
    columns: count('Columns', 1, 1, 4),
    shelves: count('Shelves a column', 2, 0, 8, { when: (c) => c.front !== 'drawers' }),
    shelfKind: pick('Shelves', { fixed: 'fixed in dados', loose: 'loose on pins' }, 'fixed', {
      when: (c) => c.front !== 'drawers',
      help: 'Fixed shelves hold the sides together; loose ones can be moved.',
    }),
    front: pick('Front', { open: 'open', doors: 'doors', 'drop front': 'drop front', drawers: 'drawers' }, 'open'),
    drawers: count('Drawers a column', 3, 1, 8, { when: (c) => c.front === 'drawers' }),
    back: pick('Back', { closed: 'closed, in a rebate', open: 'open' }, 'closed', {
      help: 'A back keeps the case square. Without one, fixed shelves and the joints must.',
    }),
    stand: pick('Stands on', { floor: 'the floor', plinth: 'a plinth', legs: 'legs' }, 'plinth'),
    standHeight: measure('Plinth or leg height', inches(3.5), inches(1), inches(20), {
      when: (c) => c.stand !== 'floor',
    }),
  },
  build(room, choices) {
    const kit = kitFor(room);
    const stock = choices.stock as Sheet;
    const t = thicknessAsSold(stock);
    const stand = choices.stand === 'floor' ? 0 : choices.standHeight;
    const inner = room.height - stand - 2 * t;
    const columns = choices.columns;
    const clearWidth = (room.length - (columns + 1) * t) / columns;
    const front = closed(choices) ? t : 0;
    const depth = room.width - front;
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
          ...(name === 'case-narrow' && columns > 1
            ? [{ label: say`Make one column fewer`, changes: [kit.change(['choices', 'columns'], columns - 1)] }]
            : []),
        ],
      );
    };
    const drawers = choices.front === 'drawers';
    need('case-narrow', 'length', clearWidth, inches(drawers ? 6 : 4), 'in a column');
    need(
      'case-shallow',
      'width',
      depth - thicknessAsSold(BACK),
      drawers ? inches(11) : inches(4),
      'from front to back',
    );
    const rows = drawers ? choices.drawers : choices.shelves;
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
    const tallest = dressed('1x12').width;
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
    if (kit.stopped()) return kit.built();

    const y0 = front;
    const length = room.length;
    const rebate = thicknessAsSold(BACK);
    const body: Body = {
      front: y0,
      back: room.width - (choices.back === 'closed' ? rebate : 0),
      bottom: stand + t,
      top: room.height - t,
      thick: t,
    };
    const spec = (tag: string, role: 'side' | 'top', name: string) => ({ tag, role, name, material: stock });
    // Sides from the stand up to the top; the bottom between them; the top over all.
    kit.board(spec('G1', 'side', 'left side'), boxAt([0, y0, stand], [t, depth, room.height - stand - t]), 2, 1);
    kit.board(
      spec('G2', 'side', 'right side'),
      boxAt([length - t, y0, stand], [t, depth, room.height - stand - t]),
      2,
      1,
    );
    kit.board(spec('T1', 'top', 'top'), boxAt([0, y0, room.height - t], [length, depth, t]), 0, 1);
    kit.board(spec('B1', 'side', 'bottom'), boxAt([t, y0, stand], [length - 2 * t, body.back - y0, t]), 0, 1);
    for (const side of ['G1', 'G2']) {
      kit.join('screws', 'T1', side);
      kit.join('screws', side, 'B1');
    }
    const uprights = ['G1'];
    const edges: Length[] = [];
    for (let at = 1; at < columns; at++) {
      const x = Math.round(t * at + clearWidth * at);
      const name = `V${at}`;
      kit.board(spec(name, 'side', 'divider'), boxAt([x, y0, stand + t], [t, body.back - y0, inner]), 2, 1);
      kit.join('screws', 'T1', name);
      kit.join('screws', 'B1', name);
      uprights.push(name);
      edges.push(x);
    }
    uprights.push('G2');
    const insides: Column[] = Array.from({ length: columns }, (_, at) => ({
      number: at + 1,
      from: at === 0 ? t : edges[at - 1]! + t,
      to: at === columns - 1 ? length - t : edges[at]!,
      left: uprights[at]!,
      right: uprights[at + 1]!,
    }));
    if (choices.back === 'closed') {
      const into = Math.round(t / 2);
      kit.board(
        { tag: 'K1', role: 'back', name: 'back', material: BACK },
        boxAt([into, body.back, stand], [length - 2 * into, rebate, room.height - stand - t + into]),
        0,
        2,
      );
      for (const name of ['G1', 'G2', 'T1']) kit.put(cutFor(kit.get(name), kit.get('K1'), 'rebate', 2));
      for (const name of ['G1', 'G2', 'T1', 'B1']) kit.join('glue', 'K1', name);
    }
    const half = Math.round((t - REVEAL) / 2);
    const cover = (column: Column): readonly [Length, Length] => [
      column.left === 'G1' ? t - REVEAL : half,
      column.right === 'G2' ? t - REVEAL : half,
    ];
    const laid: string[] = [];
    const hung: string[] = [];
    const numbers: number[] = [];
    for (const column of insides) {
      if (drawers) {
        const bank = drawerBank(kit, column, body, rows, numbers.length + 1, stock, cover(column));
        if (!bank) {
          kit.stop(
            'drawer-opening',
            say`No box fits its opening`,
            say`A column is ${dim(column.to - column.from)} wide inside; with slides a box needs ${dim(inches(5))}.`,
            {},
            [
              {
                label: say`Make one column fewer`,
                changes: [kit.change(['choices', 'columns'], Math.max(1, columns - 1))],
              },
            ],
          );
          return kit.built();
        }
        numbers.push(...bank);
        continue;
      }
      laid.push(...shelves(kit, column, body, rows, choices.shelfKind === 'loose', stock, 0));
      if (closed(choices)) hung.push(...fronts(kit, column, body, choices, stock, cover(column)));
    }
    const under = base(kit, room, choices.stand, stand, y0);
    const fixed = choices.shelfKind === 'fixed' ? laid : [];
    kit.assemble(
      'case',
      say`Join the case`,
      ['G1', 'G2', 'B1', 'T1', ...uprights.slice(1, -1), ...fixed],
      [],
      [
        say`Stand bottom${fixed.length > 0 ? ', shelves' : ''} and dividers on one side, close with the other, lay the top on. Read both diagonals of the front before the screws.`,
      ],
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
    const stands = under.length > 0 ? 'stand' : last;
    if (under.length > 0) kit.assemble('stand', say`Fix what it stands on`, under, [last]);
    if (choices.shelfKind === 'loose' && laid.length > 0)
      kit.assemble('loose', say`Set the loose shelves on their pins`, laid, [stands]);
    if (hung.length > 0)
      kit.assemble(
        'doors',
        say`Hang the ${choices.front === 'doors' ? 'doors' : 'drop front'}`,
        hung,
        [choices.shelfKind === 'loose' && laid.length > 0 ? 'loose' : stands],
        [say`Gap ${dim(REVEAL)} all round; shim with card while you drive the first screw of each hinge.`],
      );
    const ready = hung.length > 0 ? 'doors' : choices.shelfKind === 'loose' && laid.length > 0 ? 'loose' : stands;
    assembleDrawers(kit, numbers, ready);
    return kit.built();
  },
});

/** What the case stands on: nothing, a plinth of four boards set back, or four legs. */
function base(kit: Kit, room: Room, stand: string, height: Length, y0: Length): readonly string[] {
  if (stand === 'floor') return [];
  const inset = inches(1);
  const [x0, x1, f, b] = [inset, room.length - inset, y0 + inset, room.width - inset];
  if (stand === 'legs') {
    const leg = dressed('2x2');
    return [
      [x0, f],
      [x0, b - leg.width],
      [x1 - leg.width, f],
      [x1 - leg.width, b - leg.width],
    ].map(([x, y], at) => {
      kit.board(
        { tag: `L${at + 1}`, role: 'leg', name: 'leg', material: '2x2' },
        boxAt([x!, y!, 0], [leg.width, leg.width, height]),
        2,
        0,
      );
      kit.join('screws', 'B1', `L${at + 1}`);
      return `L${at + 1}`;
    });
  }
  const stock =
    height <= dressed('1x4').width
      ? '1x4'
      : height <= dressed('1x6').width
        ? '1x6'
        : height <= dressed('1x8').width
          ? '1x8'
          : '1x12';
  const { thickness } = dressed(stock);
  const deep = height;
  kit.board(
    { tag: 'P1', role: 'foot', name: 'plinth front', material: stock },
    boxAt([x0, f, 0], [x1 - x0, thickness, deep]),
    0,
    2,
  );
  kit.board(
    { tag: 'P2', role: 'foot', name: 'plinth back', material: stock },
    boxAt([x0, b - thickness, 0], [x1 - x0, thickness, deep]),
    0,
    2,
  );
  kit.board(
    { tag: 'P3', role: 'foot', name: 'plinth end', material: stock },
    boxAt([x0, f + thickness, 0], [thickness, b - f - 2 * thickness, deep]),
    1,
    2,
  );
  kit.board(
    { tag: 'P4', role: 'foot', name: 'plinth end', material: stock },
    boxAt([x1 - thickness, f + thickness, 0], [thickness, b - f - 2 * thickness, deep]),
    1,
    2,
  );
  for (const end of ['P3', 'P4']) for (const long of ['P1', 'P2']) kit.join('screws', long, end);
  for (const name of ['P1', 'P2', 'P3', 'P4']) kit.join('screws', 'B1', name);
  return ['P1', 'P2', 'P3', 'P4'];
}
