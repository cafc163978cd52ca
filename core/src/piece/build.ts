import { inches, type Length, type Units } from '../length';
import type { Finding, Piece, Shop } from '../job';
import { contacts, faceArea, type Solid } from '../solid';
import { topNominals, type Nominal } from '../stock';
import { say } from '../words';
import { settled, type Choices } from './choice';
import { familyOf, topOf, refusal } from './families';
import type { Bearer, Built, Room, Top } from './family';
import { holed, UP } from './kit';
import { overridden } from './overrides';
import type { Joint, JointKind, Part } from './part';
import { boxOf, solidOf } from './shape';

/** Parts and joints of one copy of a piece, with what moves in it and the order it goes together. */
export type PieceModel = Omit<Built, 'bearers'> & {
  /** The parts that carry the top, by id. */
  readonly bearers: readonly string[];
};

const NOTHING: PieceModel = { parts: [], joints: [], assemblies: [], motions: [], needs: [], findings: [], bearers: [] };

/** The square inside a round or octagonal top of a width: its corners lie on the edge. */
const inscribed = (across: Length): Length => Math.floor(across / Math.SQRT2);

export function roomOf(piece: Piece, topNominal: Nominal, shop: Shop, units: Units): Room {
  const { length, width, height } = piece.size;
  const top = topOf(piece);
  const topThickness = top ? top.thickness(settled(top.choices, piece.topChoices)) : 0;
  const deck = top?.deck ?? 'rectangle';
  const side = inscribed(Math.min(length, width));
  const inside =
    deck === 'rectangle'
      ? { x: 0, y: 0, length, width }
      : { x: Math.round((length - side) / 2), y: Math.round((width - side) / 2), length: side, width: side };
  return { piece, shop, units, length, width, height, topThickness, under: height - topThickness, deck, inside, topNominal };
}

/** Touching less than this over a rail is no place for a fastener. */
const LEAST_BEARING = inches(1) * inches(1 / 2);

/** How each bearer holds each part of the top it lies against. */
function fixTop(bearers: readonly Bearer[], base: readonly Part[], tops: readonly Part[], top: Top, choices: Choices): readonly Joint[] {
  const byTag = new Map(base.map((part) => [part.tag, part]));
  const joints: Joint[] = [];
  for (const { tag, by } of bearers) {
    const rail = byTag.get(tag)!;
    const kind: JointKind = !top.holdsScrews
      ? 'rest'
      : by === 'plate'
        ? 'plate'
        : by === 'screws'
          ? 'screws'
          : choices.fixing === 'screwed'
            ? 'top screws'
            : 'top clips';
    const touching = tops
      .map((part) => ({ part, area: bearing(solidOf(rail), part) }))
      .filter(({ area }) => area > 0)
      .sort((a, b) => b.area - a.area);
    const wide = touching.filter(({ area }) => area >= LEAST_BEARING);
    const narrow = boxOf(rail).max[1] - boxOf(rail).min[1] < boxOf(rail).max[0] - boxOf(rail).min[0];
    // A rail along the boards is fixed to the one it bears on most; one across them to all it crosses well.
    const chosen = wide.length === 0 ? touching.slice(0, 1) : narrow ? wide.slice(0, 1) : wide;
    for (const { part } of chosen)
      joints.push({ id: `${rail.id}>${part.tag}`, piece: rail.piece, kind, drilled: rail.id, into: part.id, apart: false });
  }
  return joints;
}

const bearing = (solid: Solid, part: Part): number =>
  contacts(solid, solidOf(part)).reduce((sum, face) => sum + (face.normal[2] > 0.9 ? faceArea(face.points) : 0), 0);

const refused = (piece: Piece, top: Top, because: string): Finding => ({
  id: `${piece.id}.top-refused`,
  level: 'stop',
  stage: 'shape',
  piece: piece.id,
  about: [piece.id],
  title: say`This top can not stand on this base`,
  because: say`${{ strong: top.name }}: ${because}`,
  numbers: {},
  remedies: [
    {
      label: say`Take joined boards`,
      changes: [
        { piece: piece.id, path: ['top'], value: 'joined' },
        { piece: piece.id, path: ['topChoices'], value: {} },
      ],
    },
    {
      label: say`Take four legs and aprons`,
      changes: [
        { piece: piece.id, path: ['family'], value: 'aprons' },
        { piece: piece.id, path: ['choices'], value: {} },
      ],
    },
  ],
});

/**
 * Parts and joints of one copy of a piece, or the findings that say why it can not be built.
 *
 * @param topNominal the nominal width the top is joined from, already settled where the choice is "cheapest".
 */
export function buildPiece(piece: Piece, topNominal: Nominal, shop: Shop, units: Units): PieceModel {
  const family = familyOf(piece);
  const top = topOf(piece);
  const choices = settled(family.choices, piece.choices);
  const room = roomOf(piece, topNominal, shop, units);
  if (top) {
    const because = refusal(piece, family, top);
    if (because) return { ...NOTHING, findings: [refused(piece, top, because)] };
  }
  const base = family.build(room, choices);
  const topChoices = top ? settled(top.choices, piece.topChoices) : {};
  const over = top ? top.build(room, topChoices) : null;
  const findings = [...base.findings, ...(over?.findings ?? [])];
  if (findings.length > 0) return { ...NOTHING, findings };
  const joints = over && top ? [...base.joints, ...over.joints, ...fixTop(base.bearers, base.parts, over.parts, top, choices)] : base.joints;
  const ids = base.bearers.map(({ tag }) => `${piece.id}.${tag}`);
  const assemblies = over ? [...over.assemblies, ...base.assemblies, ...topOn(base, over)] : base.assemblies;
  const uncut = [...(over?.parts ?? []), ...base.parts];
  const across = typeof topChoices.hole === 'number' ? topChoices.hole : 0;
  const parts = across > 0 ? drilledForParasol(room, uncut, across) : uncut;
  if (parts.some((part, at) => part !== uncut[at] && part.role === 'leg')) return { ...NOTHING, findings: [hitsLeg(piece, across)] };
  const made: PieceModel = {
    parts,
    joints,
    assemblies,
    motions: base.motions,
    needs: [...base.needs, ...(over?.needs ?? [])],
    findings,
    bearers: ids,
  };
  return overridden(piece, made);
}

/** The last assembly: top and base together. A base of loose legs comes in here too. */
function topOn(base: Built, over: Built): Built['assemblies'] {
  const used = new Set([...base.assemblies, ...over.assemblies].flatMap((assembly) => assembly.parts));
  const last = (built: Built) => {
    const taken = new Set(built.assemblies.flatMap((assembly) => assembly.from));
    return built.assemblies.filter((assembly) => !taken.has(assembly.id)).map((assembly) => assembly.id);
  };
  const loose = [...over.parts, ...base.parts].map((part) => part.id).filter((id) => !used.has(id));
  return [{ id: 'top-on', title: say`Set the top on the base`, parts: loose, from: [...last(over), ...last(base)], notes: [], spacers: [] }];
}

const hitsLeg = (piece: Piece, across: Length): Finding => ({
  id: `${piece.id}.hole-in-leg`,
  level: 'stop',
  stage: 'shape',
  piece: piece.id,
  about: [piece.id],
  title: say`The parasol would stand on the post`,
  because: say`A hole of ${{ dim: across }} through the middle runs into a leg.`,
  numbers: { across },
  remedies: [{ label: say`Leave the hole out`, changes: [{ piece: piece.id, path: ['topChoices', 'hole'], value: 0 }] }],
});

/** A round hole down through the middle of the top and of whatever crosses it below. */
function drilledForParasol(room: Room, parts: readonly Part[], across: Length): readonly Part[] {
  const middle = [room.length / 2, room.width / 2, 0] as const;
  return parts.map((part) => (part.role === 'foot' ? part : holed(part, middle, UP, across / 2)));
}

/** The nominal widths the top may be joined from: the one chosen, or all of its thickness for "cheapest". */
export function topCandidates(piece: Piece): readonly Nominal[] {
  const top = topOf(piece);
  const found = top ? top.candidates(settled(top.choices, piece.topChoices)) : [];
  return found.length > 0 ? found : topNominals('2x').slice(0, 1);
}

/** Whether a top of boards has its width left to the cheapest. */
export const choosesWidth = (piece: Piece): boolean => {
  const top = topOf(piece);
  return top !== null && top.candidates(settled(top.choices, { ...piece.topChoices, width: 'cheapest' })).length > 1;
};
