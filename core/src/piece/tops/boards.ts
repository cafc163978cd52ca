import { nth } from '../../lists';
import type { Length } from '../../length';
import { topNominals, type LumberSizes, type Nominal } from '../../stock';
import { pick, type Choices } from '../choice';
import type { Room } from '../family';
import { boxAt, type Kit } from '../kit';
import type { Box } from '../geometry';
import { divideTop } from '../top';
import { say } from '../../words';

export const THICKNESSES = { '1x': '1× boards', '5/4x': '5/4 boards', '2x': '2× boards' } as const;
export const WIDTHS = { cheapest: 'cheapest', '4': '4', '6': '6', '8': '8', '10': '10', '12': '12' } as const;
const HELD = {
  'pocket screws': 'pocket screws',
  glue: 'glue alone',
} as const;

/** The choices of any top that is joined from boards side by side. */
export const boardChoices = {
  thickness: pick('Top thickness', THICKNESSES, '2x'),
  width: pick('Top boards', WIDTHS, 'cheapest'),
  edges: pick('Straight edges', { ripped: 'ripped square', 'as bought': 'as bought' }, 'ripped', {
    help: 'Store boards have rounded edges: ripped square they close tight; as bought they leave a small valley.',
  }),
  held: pick('Held edge to edge by', HELD, 'pocket screws', {
    help: 'Glue alone is as strong when edges are straight; pocket screws clamp while it sets and need fewer clamps.',
  }),
};

/** Nominal widths a top of boards may be joined from. */
export function boardCandidates(choices: {
  readonly thickness: keyof typeof THICKNESSES;
  readonly width: keyof typeof WIDTHS;
}): readonly Nominal[] {
  const all = topNominals(choices.thickness);
  return choices.width === 'cheapest'
    ? all
    : all.filter((nominal) => nominal === `${choices.thickness}${choices.width}`);
}

export const boardThickness = (choices: { readonly thickness: keyof typeof THICKNESSES }, sizes: LumberSizes): Length =>
  sizes.dressed(`${choices.thickness}4` as Nominal).thickness;

type Joined = { readonly edges: 'ripped' | 'as bought'; readonly held: keyof typeof HELD };

/** Boards side by side that fill a box, front to back, joined edge to edge. Tags T1, T2, ... */
export function joinBoards(kit: Kit, room: Room, choices: Joined, box: Box): readonly string[] {
  const { widths } = divideTop(
    box.max[1] - box.min[1],
    room.topNominal,
    choices.edges,
    room.shop.edgeRip,
    room.units,
    room.sizes,
  );
  let y = box.min[1];
  const names = widths.map((width, at) => {
    const tag = `T${at + 1}`;
    kit.board(
      {
        tag,
        role: 'top',
        name: 'top board',
        material: room.topNominal,
        trimmedLater: true,
        squared: choices.edges === 'ripped',
      },
      boxAt([box.min[0], y, box.min[2]], [box.max[0] - box.min[0], width, box.max[2] - box.min[2]]),
      0,
      1,
    );
    y += width;
    return tag;
  });
  const kind = choices.held === 'glue' ? 'lamination' : 'edge';
  names.slice(1).forEach((name, at) => kit.join(kind, nth(names, at), name));
  return names;
}

/** The assembly of a top's boards. */
export const assembleTop = (kit: Kit, tags: readonly string[], from: readonly string[] = []): void =>
  kit.assemble('top', say`Glue up the top`, tags, from);

/** The whole box of the top. */
export const topBox = (room: Room): Box => boxAt([0, 0, room.under], [room.length, room.width, room.topThickness]);

export const skirtChoices = {
  edging: pick('Edging', { flush: 'level with the top', '1x2': '1×2, hangs down', '1x3': '1×3, hangs down' }, 'flush', {
    help: 'An edging that hangs below the top makes a thin top look thick.',
  }),
};
/** How far an edging stands out from what it covers. */
export const edgeOf = (sizes: LumberSizes): Length => sizes.dressed('1x2').thickness;
/** How deep an edging stands for a top so thick. */
export const edgingDepth = (edging: Choices[string], thickness: Length, sizes: LumberSizes): Length =>
  edging === '1x2'
    ? Math.max(thickness, sizes.dressed('1x2').width)
    : edging === '1x3'
      ? sizes.dressed('1x3').width
      : thickness;
