import { inches, mm, printLength, toInches, type Length } from '../../length';
import { rectangle, type Vec } from '../../solid';
import type { LumberSizes, Nominal } from '../../stock';
import { dim, say } from '../../words';
import { count, measure, pick, type Choices, type Values } from '../choice';
import { top, type Room } from '../family';
import { edgeOf } from './boards';
import { edgingRound, mitredRound } from './edging';
import { boxAt, kitFor, type Kit } from '../kit';
import type { Cutout } from '../part';
import { BEDDING, tilingOf } from '../tiling';

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

/** Inside of the frame: tiles, the joints between them, and one at each edge. */
export const tileRun = (tile: Length, number: number, joint: Length): Length => number * tile + (number + 1) * joint;

type Choosing = { readonly long: number; readonly wide: number; readonly joint: Length; readonly set: string };
/** One tile as it is bought: along the table, across it, its thickness. */
type Tile = {
  readonly along: Length;
  readonly across: Length;
  readonly thick: Length;
  readonly size: string;
  readonly price: number | null;
};

const isSet = ({ set }: Pick<Choosing, 'set'>): boolean => set === 'adhesive';
/** How far a frame, or an edging round set tiles, stands out from where the tiles lie. */
const border = (choices: Pick<Choosing, 'set'>, sizes: LumberSizes): Length =>
  isSet(choices) ? edgeOf(sizes) : sizes.dressed(FRAME).width - LIP;
/** Outside of a top along a run of tiles. */
export const tiledSize = (
  tile: Length,
  number: number,
  choices: Pick<Choosing, 'joint' | 'set'>,
  sizes: LumberSizes,
): Length => tileRun(tile, number, choices.joint) + 2 * border(choices, sizes);

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

/** Set tiles closer than this leave nothing to grout, and break each other's edges. */
const LEAST_JOINT: Length = inches(1 / 16);

/** Says so where tiles are to be set without a joint, with what the joint makes of the size. */
function noJoint(kit: Kit, room: Room, tile: Tile, choices: Choosing): void {
  const joint = room.units === 'mm' ? mm(3) : inches(1 / 8);
  const apart = { ...choices, joint };
  kit.stop(
    'no-joint',
    say`Set tiles need a joint`,
    say`At ${dim(choices.joint)} no grout gets between them, and edge on edge they chip. ${dim(LEAST_JOINT)} is the least.`,
    { joint: choices.joint },
    [
      {
        label: say`Joints of ${dim(joint)}`,
        changes: [
          kit.change(['topChoices', 'joint'], joint),
          kit.change(['size', 'length'], tiledSize(tile.along, choices.long, apart, room.sizes)),
          kit.change(['size', 'width'], tiledSize(tile.across, choices.wide, apart, room.sizes)),
        ],
      },
      { label: say`Lay them loose`, changes: [kit.change(['topChoices', 'set'], 'loose')] },
    ],
  );
}

/** Says so where whole tiles do not come to the size asked for. */
function checkTiles(kit: Kit, room: Room, tile: Tile, choices: Choosing): void {
  const sizeOf = (long: number, wide: number) => ({
    length: tiledSize(tile.along, long, choices, room.sizes),
    width: tiledSize(tile.across, wide, choices, room.sizes),
  });
  const size = sizeOf(choices.long, choices.wide);
  if (room.length === size.length && room.width === size.width) return;
  const fit = (side: Length, one: Length) =>
    Math.max(1, Math.ceil((side - tiledSize(one, 0, choices, room.sizes)) / (one + choices.joint)));
  const long = Math.min(MOST_TILES.long, fit(room.length, tile.along));
  const wide = Math.min(MOST_TILES.wide, fit(room.width, tile.across));
  const near = sizeOf(long, wide);
  const set = (l: number, w: number, s: typeof size) => [
    kit.change(['topChoices', 'long'], l),
    kit.change(['topChoices', 'wide'], w),
    kit.change(['size', 'length'], s.length),
    kit.change(['size', 'width'], s.width),
  ];
  kit.stop(
    'tile-size',
    say`Whole tiles do not make this size`,
    say`${choices.long} by ${choices.wide} tiles of ${dim(tile.along)} by ${dim(tile.across)} with joints of ${dim(choices.joint)} and the ${isSet(choices) ? 'edging' : 'frame'} come to ${dim(size.length)} by ${dim(size.width)}.`,
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
}

/** Tiles in rows on the bed, its lower left corner `edge` in from the outside, their undersides at `z`. */
function tilesOn(kit: Kit, tile: Tile, choices: Choosing, edge: Length, z: Length): readonly string[] {
  const set = isSet(choices);
  const feet = (toInches(tile.along) * toInches(tile.across)) / 144;
  const bought = {
    kind: 'tile' as const,
    size: tile.size,
    pounds: feet * POUNDS * Math.max(1, tile.thick / TILE_THICK),
    ...(tile.price === null ? {} : { price: tile.price }),
  };
  const corner = (index: number, one: Length) => edge + choices.joint + index * (one + choices.joint);
  return Array.from({ length: choices.long * choices.wide }, (_, number) => {
    const [row, at] = [Math.floor(number / choices.long), number % choices.long];
    const tag = `Q${number + 1}`;
    kit.board(
      { tag, role: 'top', name: set ? 'tile on its adhesive' : 'tile', material: 'bought', bought },
      boxAt(
        [corner(at, tile.along), corner(row, tile.across), z],
        [tile.along, tile.across, tile.thick + (set ? BEDDING : 0)],
      ),
      0,
      1,
    );
    kit.join(set ? 'set' : 'rest', tag, 'Y1');
    return tag;
  });
}

/** Tiles set on plywood, with an edging round both that keeps their edges. */
function setInEdging(kit: Kit, room: Room, tile: Tile, choices: Choosing): void {
  const edge = edgeOf(room.sizes);
  const bed = kit.sizes.thickness(BED);
  kit.shaped(
    { tag: 'Y1', role: 'top', name: 'bed', material: BED },
    rectangle(room.length - 2 * edge, room.width - 2 * edge),
    bed,
    { at: [edge, edge, room.under], u: [1, 0, 0], v: [0, 1, 0] },
  );
  const edging = edgingRound(kit, room, room.height, room.topThickness, [['Y1'], ['Y1'], ['Y1'], ['Y1']]);
  kit.assemble(
    'top',
    say`Edge the bed`,
    ['Y1', ...edging],
    [],
    [
      say`Its underside level with the bed's: above the bed it stands ${dim(room.topThickness - bed)} proud, as high as a tile in its adhesive. Cut one mitre, hold the piece in place, mark the other.`,
    ],
  );
  kit.assemble('tiles', say`Set the tiles`, tilesOn(kit, tile, choices, edge, room.under + bed), ['top']);
  const tiling = tilingOf(kit.all(), kit.joints());
  if (tiling) [...tiling.setting, ...tiling.grouting, ...tiling.sealing].forEach(kit.need);
}

/** Tiles that lie loose on plywood let into a rebated frame. */
function looseInFrame(kit: Kit, room: Room, tile: Tile, choices: Choosing): void {
  const frame = kit.sizes.dressed(FRAME);
  const bed = kit.sizes.thickness(BED);
  const deep = bed + tile.thick;
  const z = room.under + frame.thickness / 2;
  for (const { tag, from, to, ends } of mitredRound(room, frame.width, z)) {
    const inwards: Vec = tag === 'G1' ? [0, 1, 0] : tag === 'G2' ? [0, -1, 0] : tag === 'G3' ? [1, 0, 0] : [-1, 0, 0];
    const part = kit.member(
      { tag, role: 'edging', name: 'frame side', material: FRAME },
      { from, to, across: inwards, width: frame.width, thickness: frame.thickness, ends },
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
    rectangle(room.length - 2 * edge, room.width - 2 * edge),
    bed,
    { at: [edge, edge, bedZ], u: [1, 0, 0], v: [0, 1, 0] },
  );
  for (const tag of ['G1', 'G2', 'G3', 'G4']) kit.join('screws', 'Y1', tag);
  const laid = tilesOn(kit, tile, choices, edge, bedZ + bed);
  kit.assemble('frame', say`Glue up the frame`, ['G1', 'G2', 'G3', 'G4']);
  kit.assemble('top', say`Let in the bed`, ['Y1'], ['frame']);
  kit.assemble('tiles', say`Lay the tiles`, laid, ['top'], [say`Seal the bed first if water will stand on the tiles.`]);
}

/** Tiles loose in a rebated frame, or set on an edged bed: sizes follow from the tiles. */
export const tiles = top({
  id: 'tiles',
  name: 'Frame with tiles',
  about: 'Tiles loose in a rebated frame, or set and grouted: heat, glaze and water do not matter.',
  deck: 'rectangle',
  holdsScrews: true,
  moves: false,
  choices: {
    ...tileChoices,
    long: count('Tiles along', 3, 1, MOST_TILES.long),
    wide: count('Tiles across', 2, 1, MOST_TILES.wide),
    joint: measure('Joint between tiles', inches(1 / 8), 0, inches(1 / 2)),
    set: pick('Tiles', { loose: 'loose, lifted out', adhesive: 'set in adhesive, grouted' }, 'loose', {
      help: 'Loose ones are lifted out to be washed or changed; set ones keep water out of the joints.',
    }),
  },
  thickness: (choices, sizes) =>
    isSet(choices) ? sizes.thickness(BED) + BEDDING + tileOf(choices).thick : sizes.dressed(FRAME).thickness,
  candidates: () => [],
  build(room, choices) {
    const kit = kitFor(room);
    const tile = tileOf(choices);
    if (isSet(choices) && choices.joint < LEAST_JOINT) noJoint(kit, room, tile, choices);
    else checkTiles(kit, room, tile, choices);
    if (kit.stopped()) return kit.built();
    if (isSet(choices)) setInEdging(kit, room, tile, choices);
    else looseInFrame(kit, room, tile, choices);
    return kit.built();
  },
});
