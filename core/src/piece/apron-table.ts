import { inches, tapeStep, type Length, type Units } from '../length';
import type { Finding, Piece, Shop } from '../job';
import { dressed, type Nominal } from '../stock';
import { dim, say, tag } from '../words';
import { board, boxAt, join, mirror, spread } from './kit';
import { boxOf, type Joint, type Part } from './part';
import { divideTop } from './top';
import { impossible } from './impossible';

/** What a family gives back: parts and joints, or the findings that say why it can not be built. */
export type PieceModel = {
  readonly parts: readonly Part[];
  readonly joints: readonly Joint[];
  readonly findings: readonly Finding[];
};

/** Section of a leg: `along` the table and `across` it. Two-by-fours are glued face to face across the table. */
export function legSection(legs: Piece['choices']['legs']): {
  along: Length;
  across: Length;
  nominal: Nominal;
  plies: number;
} {
  if (legs === '4x4') return { along: inches(3.5), across: inches(3.5), nominal: '4x4', plies: 1 };
  const plies = legs === 'two 2x4' ? 2 : 3;
  const { width, thickness } = dressed('2x4');
  return { along: width, across: thickness * plies, nominal: '2x4', plies };
}

/** The least room between two legs that leaves an apron worth cutting. */
const LEAST_APRON = inches(4);

/**
 * Four legs and aprons: a joined top on four legs, two long aprons and two end aprons flush with the leg tops, and
 * cross supports between the long aprons. The outside is exactly the size stated.
 *
 * @param topNominal the nominal width the top is joined from, already settled where the choice is "cheapest".
 */
export function apronTable(piece: Piece, topNominal: Nominal, shop: Shop, units: Units): PieceModel {
  const { size, choices } = piece;
  const topThickness = dressed(topNominal).thickness;
  const apron = dressed(choices.apron);
  const leg = legSection(choices.legs);
  const legHeight = size.height - topThickness;
  const { ends, sides } = choices.overhang;
  const longRoom = size.length - 2 * ends - 2 * leg.along;
  const endRoom = size.width - 2 * sides - 2 * leg.across;

  const findings = impossible(piece, { topThickness, apron, leg, legHeight, longRoom, endRoom, least: LEAST_APRON });
  if (findings.length > 0) return { parts: [], joints: [], findings };

  const division = divideTop(size.width, topNominal, choices.top.edges, shop.edgeRip, units);
  let y = 0;
  const tops = division.widths.map((width, at) => {
    const box = boxAt([0, y, legHeight], [size.length, width, topThickness]);
    y += width;
    const spec = { tag: `T${at + 1}`, role: 'top', name: 'top board', nominal: topNominal } as const;
    return board(piece.id, spec, box, 0, 1);
  });

  const front = boxAt([ends, sides, 0], [leg.along, leg.across, legHeight]);
  const back = mirror(front, 1, size.width);
  const legBoxes = [front, back, mirror(front, 0, size.length), mirror(back, 0, size.length)];
  const legs = legBoxes.map((box, at) => {
    const spec = { tag: `L${at + 1}`, role: 'leg', name: 'leg', nominal: leg.nominal, plies: leg.plies } as const;
    return board(piece.id, spec, box, 2, 0);
  });
  const [l1, l2, l3, l4] = legs as [Part, Part, Part, Part];

  const apronBase = legHeight - apron.width;
  const apronSpec = { role: 'apron', nominal: choices.apron } as const;
  const frontApron = boxAt(
    [ends + leg.along, sides + choices.setback, apronBase],
    [longRoom, apron.thickness, apron.width],
  );
  const long = [frontApron, mirror(frontApron, 1, size.width)].map((box, at) =>
    board(piece.id, { ...apronSpec, tag: `A${at + 1}`, name: 'long apron' }, box, 0, 2),
  );
  const leftApron = boxAt(
    [ends + choices.setback, sides + leg.across, apronBase],
    [apron.thickness, endRoom, apron.width],
  );
  const end = [leftApron, mirror(leftApron, 0, size.length)].map((box, at) =>
    board(piece.id, { ...apronSpec, tag: `E${at + 1}`, name: 'end apron' }, box, 1, 2),
  );
  const [a1, a2] = long as [Part, Part];
  const [e1, e2] = end as [Part, Part];

  const between = boxOf(a2).min[1] - boxOf(a1).max[1];
  const starts = spread(boxOf(a1).min[0], boxOf(a1).max[0], apron.thickness, choices.crossSupports, tapeStep(units));
  const supports = starts.map((x, at) => {
    const box = boxAt([x, boxOf(a1).max[1], apronBase], [apron.thickness, between, apron.width]);
    const fit = say`the gap between ${tag('A1')} and ${tag('A2')} at this place (the plan says ${dim(between)})`;
    const spec = { ...apronSpec, tag: `C${at + 1}`, role: 'support', name: 'cross support', fit } as const;
    return board(piece.id, spec, box, 1, 2);
  });

  const fixing = choices.top.fixing === 'clips' ? 'top clips' : 'top screws';
  return {
    parts: [...tops, ...legs, ...long, ...end, ...supports],
    joints: [
      ...tops.slice(1).map((part, at) => join('edge', tops[at]!, part)),
      join('rail end', e1, l1),
      join('rail end', e1, l2),
      join('rail end', e2, l3),
      join('rail end', e2, l4),
      join('rail end', a1, l1),
      join('rail end', a1, l3),
      join('rail end', a2, l2),
      join('rail end', a2, l4),
      ...supports.flatMap((part) => [join('rail end', part, a1), join('rail end', part, a2)]),
      ...[...long, ...end, ...supports].flatMap((rail) => topsOver(rail, tops).map((top) => join(fixing, rail, top))),
    ],
    findings: [],
  };
}

/** Less of a top board than this over a rail is no place for a fastener. */
const LEAST_BEARING = inches(1);

/** The top boards fixed to a rail: the one over its middle for a rail along the boards, else all it crosses well. */
function topsOver(rail: Part, tops: readonly Part[]): readonly Part[] {
  const under = boxOf(rail);
  const bearing = (top: Part) => Math.min(boxOf(top).max[1], under.max[1]) - Math.max(boxOf(top).min[1], under.min[1]);
  const touching = tops.filter((top) => bearing(top) > 0);
  if (rail.along !== 0) return tops.length === 1 ? touching : touching.filter((top) => bearing(top) >= LEAST_BEARING);
  const middle = (under.min[1] + under.max[1]) / 2;
  return touching.filter((top) => boxOf(top).min[1] <= middle && middle < boxOf(top).max[1]);
}
