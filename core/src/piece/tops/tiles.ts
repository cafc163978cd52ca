import { inches, printLength, toInches, type Length } from '../../length';
import { planeAt, rectangle, type Vec } from '../../solid';
import type { LumberSizes, Nominal } from '../../stock';
import { dim, say } from '../../words';
import { count, measure, pick, type Choices, type Values } from '../choice';
import { top, type Room } from '../family';
import { boxAt, kitFor, type Kit } from '../kit';
import type { Cutout } from '../part';

const BED = 'ply 3/4' as const;
const FRAME: Nominal = '2x4';
const TILES = { '6': '6', '8': '8', '12': '12', own: 'a size of your own' } as const;
const TILE_THICK: Length = inches(3 / 8);
/** The thickest tile: under it and the bed the frame still has its lip. */
const MOST_THICK: Length = inches(1 / 2);
/** lb a square foot of ceramic tile 3/8 thick; thicker ones weigh more. */
const POUNDS = 4;
/** The frame's lip under the bed, seen from above. */
const LIP: Length = inches(3 / 4);

/** So many tiles at most along and across. */
const MOST_TILES = { long: 12, wide: 8 } as const;

/** Inside of the frame above its lip: tiles, the joints between them, and one at each edge. */
export const tileRun = (tile: Length, number: number, joint: Length): Length => number * tile + (number + 1) * joint;
/** Outside of the frame round a run of tiles. */
export const tiledSize = (tile: Length, number: number, joint: Length, sizes: LumberSizes): Length =>
  tileRun(tile, number, joint) + 2 * (sizes.dressed(FRAME).width - LIP);

type Tiling = { readonly long: number; readonly wide: number; readonly joint: Length };
/** One tile as it is bought: along the table, across it, its thickness. */
type Tile = {
  readonly along: Length;
  readonly across: Length;
  readonly thick: Length;
  readonly size: string;
  readonly price: number | null;
};

const ownTile = (choices: Choices) => choices.tile === 'own';
const tileChoices = {
  tile: pick('Tile, inches square', TILES, '12'),
  tileLong: measure('Tile, along the table', inches(12), inches(2), inches(48), { when: ownTile }),
  tileWide: measure('Tile, across it', inches(12), inches(2), inches(48), { when: ownTile }),
  tileThick: measure('Tile, thickness', TILE_THICK, inches(1 / 8), MOST_THICK, { when: ownTile }),
  tilePrice: count('Price of one, in cents', 0, 0, 100_000, {
    when: ownTile,
    help: 'Nothing for tiles that are there already.',
  }),
};

function tileOf(choices: Values<typeof tileChoices>): Tile {
  if (choices.tile !== 'own') {
    const side = inches(Number(choices.tile));
    return { along: side, across: side, thick: TILE_THICK, size: choices.tile, price: null };
  }
  const { tileLong: along, tileWide: across, tileThick: thick, tilePrice: price } = choices;
  return { along, across, thick, size: `${printLength(along, 'in')} x ${printLength(across, 'in')}`, price };
}

/** Says so where whole tiles do not come to the size asked for. False where it can not be built. */
function checkTiles(kit: Kit, room: Room, tile: Tile, choices: Tiling): boolean {
  const size = {
    length: tiledSize(tile.along, choices.long, choices.joint, room.sizes),
    width: tiledSize(tile.across, choices.wide, choices.joint, room.sizes),
  };
  if (room.length !== size.length || room.width !== size.width) {
    const fit = (side: Length, one: Length) =>
      Math.max(1, Math.ceil((side - tiledSize(one, 0, choices.joint, room.sizes)) / (one + choices.joint)));
    const long = Math.min(MOST_TILES.long, fit(room.length, tile.along));
    const wide = Math.min(MOST_TILES.wide, fit(room.width, tile.across));
    const near = {
      length: tiledSize(tile.along, long, choices.joint, room.sizes),
      width: tiledSize(tile.across, wide, choices.joint, room.sizes),
    };
    const set = (l: number, w: number, s: typeof size) => [
      kit.change(['topChoices', 'long'], l),
      kit.change(['topChoices', 'wide'], w),
      kit.change(['size', 'length'], s.length),
      kit.change(['size', 'width'], s.width),
    ];
    kit.stop(
      'tile-size',
      say`Whole tiles do not make this size`,
      say`${choices.long} by ${choices.wide} tiles of ${dim(tile.along)} by ${dim(tile.across)} with joints of ${dim(choices.joint)} and the frame come to ${dim(size.length)} by ${dim(size.width)}.`,
      size,
      [
        {
          label: say`${long} by ${wide} tiles: ${dim(near.length)} by ${dim(near.width)}`,
          changes: set(long, wide, near),
        },
        ...(long !== choices.long || wide !== choices.wide
          ? [
              {
                label: say`${choices.long} by ${choices.wide} tiles: ${dim(size.length)} by ${dim(size.width)}`,
                changes: set(choices.long, choices.wide, size),
              },
            ]
          : []),
      ],
    );
    return false;
  }
  return true;
}

/** A mitred frame with a rebate, a plywood bed in it, and loose tiles: sizes follow from the tiles. */
export const tiles = top({
  id: 'tiles',
  name: 'Frame with loose tiles',
  about: 'Tiles lie loose on a bed in a rebated frame: heat, glaze and water do not matter.',
  deck: 'rectangle',
  holdsScrews: true,
  moves: false,
  choices: {
    ...tileChoices,
    long: count('Tiles along', 3, 1, MOST_TILES.long),
    wide: count('Tiles across', 2, 1, MOST_TILES.wide),
    joint: measure('Joint between tiles', inches(1 / 8), 0, inches(1 / 2)),
  },
  thickness: (_, sizes) => sizes.dressed(FRAME).thickness,
  candidates: () => [],
  build(room, choices) {
    const kit = kitFor(room);
    const tile = tileOf(choices);
    if (!checkTiles(kit, room, tile, choices)) return kit.built();
    const frame = kit.sizes.dressed(FRAME);
    const bed = kit.sizes.thickness(BED);
    const deep = bed + tile.thick;
    const [l, w, half] = [room.length, room.width, frame.width / 2];
    const z = room.under + frame.thickness / 2;
    const sides: readonly (readonly [string, Vec, Vec])[] = [
      ['G1', [0, half, z], [l, half, z]],
      ['G2', [l, w - half, z], [0, w - half, z]],
      ['G3', [half, w, z], [half, 0, z]],
      ['G4', [l - half, 0, z], [l - half, w, z]],
    ];
    const mitre = (corner: Vec) => {
      const [sx, sy] = [corner[0] < l / 2 ? -1 : 1, corner[1] < w / 2 ? -1 : 1];
      return planeAt([sx < 0 ? 0 : l, sy < 0 ? 0 : w, z], [Math.SQRT1_2 * sx, -Math.SQRT1_2 * sy, 0]);
    };
    for (const [tag, from, to] of sides) {
      const inwards: Vec = tag === 'G1' ? [0, 1, 0] : tag === 'G2' ? [0, -1, 0] : tag === 'G3' ? [1, 0, 0] : [-1, 0, 0];
      const part = kit.member(
        { tag, role: 'edging', name: 'frame side', material: FRAME },
        { from, to, across: inwards, width: frame.width, thickness: frame.thickness, ends: [mitre(from), mitre(to)] },
      );
      const rebate: Cutout = {
        kind: 'rebate',
        axis: 2,
        outline: [
          [-1, frame.width - LIP],
          [part.length + 1, frame.width - LIP],
          [part.length + 1, frame.width + 1],
          [-1, frame.width + 1],
        ],
        from: frame.thickness - deep,
        to: frame.thickness + 1,
        for: 'Y1',
      };
      kit.put({ ...part, cuts: [rebate] });
    }
    for (const end of ['G3', 'G4']) for (const long of ['G1', 'G2']) kit.join('edge', end, long);
    const edge = frame.width - LIP;
    const bedZ = room.height - deep;
    kit.shaped(
      {
        tag: 'Y1',
        role: 'top',
        name: 'bed',
        material: BED,
        fit: say`the rebate, corner to corner`,
        dependsOn: ['G1', 'G2', 'G3', 'G4'],
      },
      rectangle(l - 2 * edge, w - 2 * edge),
      bed,
      { at: [edge, edge, bedZ], u: [1, 0, 0], v: [0, 1, 0] },
    );
    for (const tag of ['G1', 'G2', 'G3', 'G4']) kit.join('screws', 'Y1', tag);
    const feet = (toInches(tile.along) * toInches(tile.across)) / 144;
    const bought = {
      kind: 'tile' as const,
      size: tile.size,
      pounds: feet * POUNDS * Math.max(1, tile.thick / TILE_THICK),
      ...(tile.price === null ? {} : { price: tile.price }),
    };
    const laid: string[] = [];
    for (let row = 0; row < choices.wide; row++)
      for (let at = 0; at < choices.long; at++) {
        const tag = `Q${row * choices.long + at + 1}`;
        const corner = (index: number, one: Length) => edge + choices.joint + index * (one + choices.joint);
        kit.board(
          {
            tag,
            role: 'top',
            name: 'tile',
            material: 'bought',
            bought,
          },
          boxAt([corner(at, tile.along), corner(row, tile.across), bedZ + bed], [tile.along, tile.across, tile.thick]),
          0,
          1,
        );
        kit.join('rest', tag, 'Y1');
        laid.push(tag);
      }
    kit.assemble('frame', say`Glue up the frame`, ['G1', 'G2', 'G3', 'G4']);
    kit.assemble('top', say`Let in the bed`, ['Y1'], ['frame']);
    kit.assemble(
      'tiles',
      say`Lay the tiles`,
      laid,
      ['top'],
      [say`Seal the bed first if water will stand on the tiles.`],
    );
    return kit.built();
  },
});
