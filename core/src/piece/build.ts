import { first, held, sure } from '../lists';
import { inches, type Length, type Units } from '../length';
import { note, set } from '../job';
import { handsThere, readingsOf, type Readings } from '../ledger';
import type { Finding, Job, Piece, Remedy, Shop } from '../job';
import { common, contacts, faceArea, volumeOf, type Solid } from '../solid';
import { boardKey, sizesIn, TABLE_SIZES, topNominals, type Nominal, type Sizes } from '../stock';
import { say } from '../words';
import { settled, type Choices } from './choice';
import { isTopAlone } from './bases/none';
import { familyOf, topOf, refusal } from './families';
import type { Bearer, Built, Room, Top } from './family';
import { levelled } from './feet';
import { tongued } from './tongues';
import { asBuilt } from './as-built';
import { overridden } from './overrides';
import type { Joint, JointKind, Part } from './part';
import { alongOf, boxOf, openedBy, solidOf } from './shape';
import { boredForPole, struckByPole } from './pole';
import { openedForCords } from './tops/cord';
import { planks, salvagedAs } from './tops/planks';
import { usableLengths } from './tops/salvage';
import type { PieceModel } from './model';

const NOTHING: PieceModel = {
  parts: [],
  joints: [],
  assemblies: [],
  motions: [],
  needs: [],
  findings: [],
  bearers: [],
  adaptations: [],
};

/** The square inside a round or octagonal top of a width: its corners lie on the edge. */
const inscribed = (across: Length): Length => Math.floor(across / Math.SQRT2);

/** A top by itself is laid so high, that nothing of it reaches below the floor. */
const ALOFT: Length = inches(12);

/** What is planed off each face of the boards of a top, or of all the rest. */
const planedFor = (piece: Piece, of: 'top' | 'rest'): Length =>
  piece.planedFor === 'all' || piece.planedFor === of || topOf(piece) === null ? piece.planed : 0;

/** How the boards of a top are planed, and what they measure then. */
function inTop(piece: Piece, measured: Sizes): Pick<Room, 'planed' | 'sizes'> {
  const planed = planedFor(piece, 'top');
  return { planed, sizes: sizesIn({ ...piece, planed }, measured) };
}

export function roomOf(
  piece: Piece,
  topNominal: Nominal,
  shop: Shop,
  units: Units,
  measured: Sizes,
  salvage: readonly Length[] = [],
): Room {
  const { length, width, height } = piece.size;
  const top = topOf(piece);
  const planed = planedFor(piece, 'rest');
  const sizes = sizesIn({ ...piece, planed }, measured);
  const ofTop = inTop(piece, measured);
  const topThickness = top ? top.thickness(settled(top.choices, piece.topChoices), ofTop.sizes) : 0;
  const deck = top?.deck ?? 'rectangle';
  // A top by itself lies high enough for an edging that hangs below it.
  const high = isTopAlone(piece) ? topThickness + ALOFT : height;
  const side = inscribed(Math.min(length, width));
  const inside =
    deck === 'rectangle'
      ? { x: 0, y: 0, length, width }
      : { x: Math.round((length - side) / 2), y: Math.round((width - side) / 2), length: side, width: side };
  return {
    piece,
    shop,
    units,
    sizes,
    planed,
    length,
    width,
    height: high,
    topThickness,
    under: high - topThickness,
    deck,
    inside,
    topNominal,
    bearers: [],
    salvage,
  };
}

/** Touching less than this over a rail is no place for a fastener. */
const LEAST_BEARING = inches(1) * inches(1 / 2);
/** So far beside a rail's face the screw of a clip goes up. */
const CLIP_REACH: Length = inches(1 / 2);

/** How each bearer holds each part of the top it lies against. */
function fixTop(
  bearers: readonly Bearer[],
  base: readonly Part[],
  tops: readonly Part[],
  top: Top,
  choices: Choices,
): readonly Joint[] {
  const byTag = new Map(base.map((part) => [part.tag, part]));
  const joints: Joint[] = [];
  const sides = base.flatMap((part) => [boxOf(part).min[1], boxOf(part).max[1]]);
  const middle = (Math.min(...sides) + Math.max(...sides)) / 2;
  for (const { tag, by } of bearers) {
    const rail = held(byTag, tag);
    const kind: JointKind = !top.holdsScrews
      ? 'rest'
      : by === 'plate'
        ? 'plate'
        : by === 'screws'
          ? // Held fast across its grain a top of boards cracks.
            top.moves
            ? 'float'
            : 'screws'
          : choices.fixing === 'screwed'
            ? 'top screws'
            : 'top clips';
    const touching = tops
      .map((part) => ({ part, area: bearing(solidOf(rail), part) }))
      .filter(({ area }) => area > 0)
      .sort((a, b) => b.area - a.area);
    const wide = touching.filter(({ area }) => area >= LEAST_BEARING);
    const { min, max } = boxOf(rail);
    const narrow = max[1] - min[1] < max[0] - min[0];
    // A clip goes up beside the rail, on the side that is not seen.
    const beside =
      kind === 'top clips' ? ((min[1] + max[1]) / 2 < middle ? max[1] + CLIP_REACH : min[1] - CLIP_REACH) : 0;
    const inside = wide.find(({ part }) => boxOf(part).min[1] < beside && boxOf(part).max[1] > beside);
    // A rail along the boards is fixed to one of those it bears on: for clips the inner, else the one it bears on most;
    // one across them, or across the battens of a top, to all it crosses well.
    const along = narrow && wide.some(({ part }) => alongOf(part) === 0);
    const chosen = wide.length === 0 ? touching.slice(0, 1) : along ? [inside ?? first(wide)] : wide;
    for (const { part } of chosen)
      joints.push({
        id: `${rail.id}>${part.tag}`,
        piece: rail.piece,
        kind,
        drilled: rail.id,
        into: part.id,
        apart: false,
      });
  }
  return joints;
}

const bearing = (solid: Solid, part: Part): number =>
  contacts(solid, solidOf(part)).reduce((sum, face) => sum + (face.normal[2] > 0.9 ? faceArea(face.points) : 0), 0);

const takeJoined = ({ id }: Piece): Remedy => ({
  label: say`Take joined boards`,
  changes: [set(id, ['top'], 'joined'), set(id, ['topChoices'], {})],
});

/** What a person can take instead where a top can not stand on a base: only what then can. */
function refused(piece: Piece, top: Top, because: string): Finding {
  const plainTop = { ...piece, top: 'joined', topChoices: {} };
  const plainBase = { ...piece, family: 'aprons', choices: {} };
  const stands = (other: Piece) => refusal(other, familyOf(other), sure(topOf(other), 'top')) === null;
  return note(piece.id, 'top-refused', 'stop', 'shape', {
    title: say`This top can not stand on this base`,
    because: say`${{ strong: top.name }}: ${because}`,
    remedies: [
      ...(stands(plainTop) && top.id !== 'joined' ? [takeJoined(piece)] : []),
      ...(stands(plainBase)
        ? [
            {
              label: say`Take four legs and aprons`,
              changes: [set(piece.id, ['family'], 'aprons'), set(piece.id, ['choices'], {})],
            },
          ]
        : []),
    ],
  });
}

/** Less than this is the rounding of slanted lengths, not a collision: a thousandth of a cubic inch. */
const SLIVER = inches(1) ** 3 / 1000;

/** Where a motion is looked at: near enough together that nothing as thick as an edging slips between. */
const SHARES = Array.from({ length: 20 }, (_, at) => (at + 1) / 20);

/** An edging that hangs below the top must clear what is under it, shut and open. */
function edgingHits(piece: Piece, base: Built, over: Built): readonly Finding[] {
  const edging = over.parts.filter((part) => part.role === 'edging');
  if (edging.length === 0) return [];
  const hits = (body: Solid) => edging.some((part) => volumeOf(common(body, solidOf(part))) > SLIVER);
  const motionOf = (part: Part) => base.motions.find((motion) => motion.parts.includes(part.id));
  const struck = base.parts.find((part) => {
    const motion = motionOf(part);
    return hits(solidOf(part)) || (motion && SHARES.some((share) => hits(openedBy(solidOf(part), motion, share))));
  });
  if (!struck) return [];
  return [
    note(piece.id, 'edging-hits', 'stop', 'shape', {
      about: [struck.id],
      title: say`The edging runs into ${{ tag: struck.tag }}`,
      because: say`It hangs below the top, where ${struck.name} ${{ tag: struck.tag }} stands or moves.`,
      remedies: [
        {
          label: say`Keep it level with the top`,
          changes: [set(piece.id, ['topChoices', 'edging'], 'flush')],
        },
      ],
    }),
  ];
}

/** What happened that a piece is built by. */
export type Known = {
  /** Lengths of what is on hand for its top. */
  readonly salvage: readonly Length[];
  /** What its parts measure. */
  readonly asBuilt: Readings['asBuilt'];
};
const UNKNOWN: Known = { salvage: [], asBuilt: {} };

/**
 * Parts and joints of one copy of a piece, or the findings that say why it can not be built.
 *
 * @param topNominal the nominal width the top is joined from, already settled where the choice is "cheapest".
 * @param sizes what boards and sheets measure: the table, unless today's boards were measured.
 * @param known what there is for it, and what was measured of it: nothing where it is only tried.
 */
export function buildPiece(
  piece: Piece,
  topNominal: Nominal,
  shop: Shop,
  units: Units,
  sizes: Sizes = TABLE_SIZES,
  known: Known = UNKNOWN,
): PieceModel {
  const family = familyOf(piece);
  const top = topOf(piece);
  const choices = settled(family.choices, piece.choices);
  const room = roomOf(piece, topNominal, shop, units, sizes, known.salvage);
  if (top) {
    const because = refusal(piece, family, top);
    if (because) return { ...NOTHING, findings: [refused(piece, top, because)] };
  }
  const base = family.build(room, choices);
  const topChoices = top ? settled(top.choices, piece.topChoices) : {};
  const bearers = base.parts.filter((part) => base.bearers.some(({ tag }) => tag === part.tag)).map(boxOf);
  const over = top ? top.build({ ...room, ...inTop(piece, sizes), bearers }, topChoices) : null;
  const findings = [...base.findings, ...(over?.findings ?? []), ...(over ? edgingHits(piece, base, over) : [])];
  if (findings.length > 0) return { ...NOTHING, findings };
  const fixed = over && top ? fixTop(base.bearers, base.parts, over.parts, top, choices) : [];
  if (over && top) {
    const unborne = unsupported(piece, base, fixed, choices);
    if (unborne) return { ...NOTHING, findings: [unborne] };
  }
  const joints = [...base.joints, ...(over?.joints ?? []), ...fixed];
  const ids = base.bearers.map(({ tag }) => `${piece.id}.${tag}`);
  const assemblies = over ? [...over.assemblies, ...base.assemblies, ...topOn(base, over)] : base.assemblies;
  const across = typeof topChoices.hole === 'number' ? topChoices.hole : 0;
  const cord = typeof topChoices.cord === 'number' ? topChoices.cord : 0;
  const corded = cord > 0 && over ? openedForCords(room, over.parts, base.parts, cord) : (over?.parts ?? []);
  if (!corded) return { ...NOTHING, findings: [noCords(piece, cord)] };
  const whole = [...corded, ...base.parts];
  const drilled = across > 0 ? boredForPole(room, whole, across) : whole;
  const struck = across > 0 ? struckByPole(room, drilled, across) : null;
  if (struck) return { ...NOTHING, findings: [struck] };
  const made: PieceModel = {
    parts: tongued(piece, drilled, joints),
    joints,
    assemblies,
    motions: base.motions,
    needs: [
      ...base.needs,
      ...(over?.needs ?? []),
      ...((choices as Choices).levellers === true ? levellers(drilled) : []),
    ],
    findings,
    bearers: ids,
    adaptations: [],
  };
  const settledModel = overridden(piece, made, sizes);
  return { ...settledModel, ...asBuilt(known.asBuilt, settledModel.parts, settledModel.joints) };
}

/** One kind of leveller for all feet. */
function levellers(parts: readonly Part[]): PieceModel['needs'] {
  const count = levelled(parts).reduce((sum, one) => sum + one.count, 0);
  return count > 0 ? [{ kind: 'leveller', size: '', count }] : [];
}

/** The last assembly: top and base together. A base of loose legs comes in here too. */
function topOn(base: Built, over: Built): Built['assemblies'] {
  const used = new Set([...base.assemblies, ...over.assemblies].flatMap((assembly) => assembly.parts));
  const last = (built: Built) => {
    const taken = new Set(built.assemblies.flatMap((assembly) => assembly.from));
    return built.assemblies.filter((assembly) => !taken.has(assembly.id)).map((assembly) => assembly.id);
  };
  const loose = [...over.parts, ...base.parts].map((part) => part.id).filter((id) => !used.has(id));
  return [
    {
      id: 'top-on',
      title: say`Set the top on the base`,
      parts: loose,
      from: [...last(over), ...last(base)],
      notes: [],
      spacers: [],
    },
  ];
}

const noCords = (piece: Piece, across: Length): Finding =>
  note(piece.id, 'shape', 'stop', 'shape', {
    which: 'cords',
    title: say`There is no place for the cord opening`,
    because: say`Wherever a hole of ${{ dim: across }} would go, the base stands under it.`,
    numbers: { across },
    remedies: [{ label: say`Leave it out`, changes: [set(piece.id, ['topChoices', 'cord'], 0)] }],
  });

/** Says so where the top rests on nothing, or where a leg that only the top holds does not reach it. */
function unsupported(piece: Piece, base: Built, fixed: readonly Joint[], choices: Choices): Finding | null {
  const held = new Set(fixed.map((joint) => joint.drilled));
  const joined = new Set(base.joints.flatMap((joint) => [joint.drilled, joint.into]));
  const loose = base.parts.filter((part) => !held.has(part.id) && !joined.has(part.id));
  if (base.parts.length === 0 || (fixed.length > 0 && loose.length === 0)) return null;
  const overhangs = ['overhangEnds', 'overhangSides', 'overhang'].filter((name) => typeof choices[name] === 'number');
  // An inch first; where that is not near enough, none.
  const most = overhangs.some((name) => (choices[name] as number) > inches(1)) ? inches(1) : 0;
  const changes = overhangs.map((name) => set(piece.id, ['choices', name], Math.min(choices[name] as number, most)));
  const isNearer = overhangs.some((name) => (choices[name] as number) > most);
  return note(piece.id, 'top-unsupported', 'stop', 'shape', {
    title: say`The top does not rest on its base`,
    because: say`The underside of this top is not flat all over, and the base meets it where it is higher. Nearer to the edge it would lie on the frame.`,
    remedies: isNearer
      ? [{ label: most > 0 ? say`Overhang ${{ dim: most }} at most` : say`No overhang`, changes }]
      : [takeJoined(piece)],
  });
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

/** What happened in a job that one of its pieces is built by. */
export const knownOf = (piece: Piece, job: Pick<Job, 'pieces' | 'shop' | 'ledger'>): Known => ({
  salvage: salvageFor(piece, job),
  asBuilt: readingsOf(job, piece.id).asBuilt,
});

/** The boards that a top of random lengths is laid of from what is there; null for other pieces. */
export const laidFromHand = ({ top, topChoices }: Piece): Nominal | null =>
  top === planks.id ? salvagedAs(settled(planks.choices, topChoices) as Choices) : null;

/** What is on hand for a piece whose top is laid from it: of the first such piece of a job; nothing for others. */
function salvageFor(piece: Piece, job: Pick<Job, 'pieces' | 'shop' | 'ledger'>): readonly Length[] {
  const asked = laidFromHand(piece);
  if (asked === null || job.pieces.find((other) => laidFromHand(other) !== null)?.id !== piece.id) return [];
  const material = boardKey(piece.wood, asked);
  // What was cut was cut for it; what is on the rack, given away or spoiled is not there.
  const there = handsThere(job).filter((hand) => hand.material === material);
  return usableLengths(there, job.shop.squareEnds, piece.copies);
}
