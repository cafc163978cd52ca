import { inches, type Length } from '../../length';
import { isSolid, type Nominal } from '../../stock';
import { say } from '../../words';
import type { Room } from '../family';
import { boxAt, type Kit } from '../kit';
import { railsBetween } from './common';
import { hairpinLeg, PLATE } from './hairpin';
import type { Leg } from './legs';

/** What a case stands on stands back so far from its edges. */
const INSET: Length = inches(1);
/** Bought legs as sold for cases: on a plate, turned or of bent rod; their heights in inches. */
export const CASE_LEGS = {
  'turned 4': 'turned, 4 in',
  'turned 6': 'turned, 6 in',
  'turned 8': 'turned, 8 in',
  'hairpin 8': 'hairpin, 8 in',
  'hairpin 16': 'hairpin, 16 in',
} as const;
export type CaseLeg = keyof typeof CASE_LEGS;
export const caseLegHeight = (leg: CaseLeg): Length => inches(Number(leg.split(' ')[1]));
/** A turned leg is about so thick, and weighs so much a foot. */
const TURNED: Length = inches(2);
const TURNED_POUNDS = 1.3;

/** The corners that it stands within. */
type Footing = { readonly x0: Length; readonly x1: Length; readonly front: Length; readonly back: Length };

/** Lower than this legs stand by themselves: there is no room for rails, and little to lever with. */
const LEAST_FRAMED: Length = inches(2.5);

const LEGS = ['L1', 'L2', 'L3', 'L4'] as const;

/** Four square legs at the corners. */
function legs(kit: Kit, { x0, x1, front, back }: Footing, height: Length): readonly [Leg, Leg, Leg, Leg] {
  const { width, thickness } = kit.sizes.dressed('2x2');
  return LEGS.map((tag, at): Leg => {
    const [x, y] = [at > 1 ? x1 - width : x0, at % 2 === 1 ? back - thickness : front];
    const box = boxAt([x, y, 0], [width, thickness, height]);
    kit.board({ tag, role: 'leg', name: 'leg', material: '2x2' }, box, 2, 0);
    return { tag, box, tags: [tag] };
  }) as unknown as readonly [Leg, Leg, Leg, Leg];
}

/** A bottom of boards moves with the seasons: but for its front it is held by screws in slots. */
type Holds = 'screws' | 'float';

/** Low legs, each by itself. */
function feet(kit: Kit, footing: Footing, height: Length): readonly string[] {
  legs(kit, footing, height);
  for (const name of LEGS) kit.join('screws', 'B1', name);
  return LEGS;
}

/** Four legs with rails between them: one frame, screwed to the case's bottom from inside. */
function frame(kit: Kit, footing: Footing, height: Length, holds: Holds): void {
  const four = legs(kit, footing, height);
  const nominal: Nominal = height < inches(4) ? '1x2' : '1x3';
  const rail = kit.sizes.dressed(nominal);
  const setback = Math.round((kit.sizes.dressed('2x2').thickness - rail.thickness) / 2);
  const names = { long: 'R', end: 'S', longName: 'base rail', endName: 'base end rail', role: 'rail' } as const;
  railsBetween(kit, four, { ...names, nominal, from: height - rail.width, setback });
  const rails = ['R1', 'R2', 'S1', 'S2'];
  for (const name of LEGS) kit.join('rest', name, 'B1');
  for (const name of rails) kit.join(name === 'R1' ? 'screws' : holds, 'B1', name);
  // Both ends first: with tenons the four would close along two lines at once.
  kit.assemble('base-1', say`Join the left end of the base`, ['L1', 'L2', 'S1']);
  kit.assemble('base-2', say`Join the right end of the base`, ['L3', 'L4', 'S2']);
  kit.assemble('base', say`Join the ends of the base`, ['R1', 'R2'], ['base-1', 'base-2']);
}

/** Four bought legs on their plates, screwed to the case's bottom from below. */
function onPlates(kit: Kit, { x0, x1, front, back }: Footing, leg: CaseLeg): readonly string[] {
  const [kind, size] = leg.split(' ') as ['turned' | 'hairpin', string];
  LEGS.forEach((name, at) => {
    const [isRight, isBack] = [at > 1, at % 2 === 1];
    if (kind === 'hairpin') {
      const y = isBack ? back - PLATE / 2 : front + PLATE / 2;
      hairpinLeg(kit, name, size, [isRight ? x1 - PLATE : x0, y]);
    } else
      kit.board(
        {
          tag: name,
          role: 'leg',
          name: 'leg',
          material: 'bought',
          bought: { kind: 'leg', size, pounds: (TURNED_POUNDS * Number(size)) / 12 },
        },
        boxAt([isRight ? x1 - TURNED : x0, isBack ? back - TURNED : front, 0], [TURNED, TURNED, caseLegHeight(leg)]),
        2,
        0,
      );
    kit.join('plate', name, 'B1');
  });
  return LEGS;
}

/** Four boards on edge, set back all round. */
function plinth(kit: Kit, { x0, x1, front, back }: Footing, height: Length, holds: Holds): readonly string[] {
  const stock = (['1x4', '1x6', '1x8'] as const).find((size) => height <= kit.sizes.dressed(size).width) ?? '1x12';
  const { thickness } = kit.sizes.dressed(stock);
  const put = (
    tag: string,
    name: string,
    at: readonly [Length, Length],
    size: readonly [Length, Length],
    along: 0 | 1,
  ) =>
    kit.board(
      { tag, role: 'foot', name, material: stock },
      boxAt([at[0], at[1], 0], [size[0], size[1], height]),
      along,
      2,
    );
  const between = back - front - 2 * thickness;
  put('P1', 'plinth front', [x0, front], [x1 - x0, thickness], 0);
  put('P2', 'plinth back', [x0, back - thickness], [x1 - x0, thickness], 0);
  put('P3', 'plinth end', [x0, front + thickness], [thickness, between], 1);
  put('P4', 'plinth end', [x1 - thickness, front + thickness], [thickness, between], 1);
  const names = ['P1', 'P2', 'P3', 'P4'];
  for (const end of ['P3', 'P4']) for (const long of ['P1', 'P2']) kit.join('screws', long, end);
  for (const name of names) kit.join(name === 'P1' ? 'screws' : holds, 'B1', name);
  return names;
}

export type Stand = { readonly stand: 'floor' | 'plinth' | 'legs' | 'bought'; readonly standLeg: CaseLeg };

/**
 * What the case stands on: nothing, a plinth of four boards set back, legs in a frame, or bought legs.
 *
 * @param from the assembly that it is fixed to.
 * @returns the last assembly then.
 */
export function standOn(
  kit: Kit,
  room: Room,
  { stand, standLeg }: Stand,
  height: Length,
  front: Length,
  from: string,
): string {
  if (stand === 'floor') return from;
  const { material } = kit.get('B1');
  const holds: Holds = material !== 'bought' && isSolid(material) ? 'float' : 'screws';
  const footing = { x0: INSET, x1: room.length - INSET, front: front + INSET, back: room.width - INSET };
  const isFramed = stand === 'legs' && height >= LEAST_FRAMED;
  if (isFramed) frame(kit, footing, height, holds);
  const loose = isFramed
    ? []
    : stand === 'plinth'
      ? plinth(kit, footing, height, holds)
      : stand === 'bought'
        ? onPlates(kit, footing, standLeg)
        : feet(kit, footing, height);
  kit.assemble('stand', say`Fix what it stands on`, loose, [from, ...(isFramed ? ['base'] : [])]);
  return 'stand';
}
