import { inches } from '../length';
import { clampsOver, type Piece, type Shop } from '../job';
import {
  around,
  boxOf,
  extent,
  JOINT_KINDS,
  topOf,
  type Assembly,
  type Axis,
  type Box,
  type Part,
  type PieceModel,
} from '../piece';
import { CLIP_SLOT, type Fastening } from '../joinery';
import { about, dim, listOf, say, strong, tag, type Bit, type Phrase } from '../words';
import { CLAMP_MINUTES, clampsAlong, diagonalOf } from './clamping';
import { finished, type Draft } from './draft';
import { panelSteps } from './panel-steps';
import { GLASSES, GLUE_RAGS, HEAVY, places, SAW, screwsOf, tagsOf } from './phrases';
import { alike, needsShaping, shapingActions } from './shaping';
import type { Step } from './step';

/** Minutes for one pocket drilled, one screw driven, one board handled. Typical for one person who is not hurried. */
const POCKET = 1;
const SCREW = 0.75;
const HANDLE = 3;
const SHAPE = 6;

const idsOf = (parts: readonly Part[]) => parts.map((part) => part.id);

/** Glue-ups of boards face to face, alike ones together, and the cut to length after. */
function laminationSteps(parts: readonly Part[], shop: Shop): readonly Draft[] {
  return alike(parts.filter((part) => part.plies > 1)).flatMap((group, at): readonly Draft[] => {
    const part = group[0]!;
    const have = clampsOver(shop, part.thickness);
    const each = Math.min(have, clampsAlong(part.length));
    const together = Math.max(1, Math.min(group.length, Math.floor(have / Math.max(1, each))));
    const name = at === 0 ? '' : `-${at + 1}`;
    const several = `${part.name}s`;
    return [
      {
        name: `glue-legs${name}`,
        title: say`Glue up the ${several} ${tagsOf(group)}`,
        adds: idsOf(group),
        does: [
          say`Pair the boards so that bows face each other and the best faces look out.`,
          say`Spread glue on both faces, thin and whole. Bring the boards together with one long edge flush.`,
          say`Clamp every ${dim(inches(10))} or so, ${strong(each)} clamps each. You have ${strong(have)}: glue ${strong(together)} at a time.`,
          GLUE_RAGS,
        ],
        pickUp: say`${strong(group.length * part.plies)} boards · glue and a roller · ${strong(Math.min(have, each * together))} clamps`,
        clamps: Math.min(have, each * together),
        work: group.length * 10,
        wait: CLAMP_MINUTES * Math.ceil(group.length / together),
      },
      {
        name: `trim-legs${name}`,
        title: say`Cut the ${several} to length`,
        adds: idsOf(group),
        does: [
          say`Square one end of each, or cut it to its angle.`,
          say`Set the stop at ${dim(part.length)} and cut all ${strong(group.length)} without moving it.`,
          say`Each is ${dim(part.width)} by ${dim(part.thickness)}. If the section comes out thicker, what joins it is shorter: measure, do not assume.`,
        ],
        pickUp: say`${tagsOf(group)} · saw with a stop at ${dim(part.length)} · square`,
        cautions: [SAW],
        work: group.length * 6,
      },
    ];
  });
}

/** Angles, laps, notches, grooves and holes, before anything is joined. What is cut to fit waits for its place. */
function shapingStep(parts: readonly Part[]): readonly Draft[] {
  const shaped = parts.filter((part) => needsShaping(part) && part.fit === null && !part.trimmedLater);
  if (shaped.length === 0) return [];
  return [
    {
      name: 'shape',
      title: say`Cut angles, laps and grooves`,
      adds: idsOf(shaped),
      does: [
        ...shapingActions(shaped),
        say`Lay each part on its full-size template from Parts before and after: a traced line needs no arithmetic.`,
      ],
      pickUp: say`${tagsOf(shaped)} · templates · square and bevel gauge`,
      cautions: [SAW, say`Clamp small parts; never hold them by hand at the blade.`],
      work: SHAPE * shaped.length,
    },
  ];
}

const pocketed = (made: readonly Fastening[]) =>
  made.filter((item) => item.by === 'pocket screws' && item.positions.length > 0);

/** Pockets in all parts that are cut by now, by jig setting. */
function pocketStep(made: readonly Fastening[]): readonly Draft[] {
  const now = pocketed(made).filter((item) => item.drilled.fit === null);
  if (now.length === 0) return [];
  const settings = [...new Set(now.map(({ jig }) => jig))];
  const parts = [...new Set(now.map((item) => item.drilled))];
  const rows = new Map<string, { item: Fastening; drilled: Part[]; count: number }>();
  for (const item of now) {
    const key = [item.joint.kind, item.face, item.jig, item.positions.join()].join();
    const row = rows.get(key) ?? { item, drilled: [], count: 0 };
    if (!row.drilled.includes(item.drilled)) row.drilled.push(item.drilled);
    rows.set(key, { ...row, count: row.count + 1 });
  }
  return [
    {
      name: 'pockets',
      title: say`Drill the pockets`,
      adds: idsOf(parts),
      does: [
        ...settings.map((jig) => say`Set jig and drill collar for ${dim(jig)} stock.`),
        ...[...rows.values()].map(({ item, drilled }) => {
          const where =
            item.joint.kind === 'edge'
              ? say`along the edge that meets the next board: ${places(item.positions)} from the left end`
              : item.joint.kind === 'rail end'
                ? say`${strong(item.positions.length)} pockets in each end: ${places(item.positions)} from the top edge`
                : say`up through the top edge: ${places(item.positions)} from the near end`;
          return say`${tagsOf(drilled)}, ${item.face === 'inside' ? 'inside face' : item.face}, ${where}.`;
        }),
        say`Try the setting on an offcut first: the screw must not come through.`,
      ],
      pickUp: say`pocket jig, step bit, collar · clamp · ${tagsOf(parts)}`,
      cautions: [GLASSES],
      clamps: 1,
      work: POCKET * screwsOf(now) + HANDLE * parts.length,
    },
  ];
}

const sizesOf = (box: Box): readonly number[] => ([0, 1, 2] as const).map((axis: Axis) => extent(box, axis));

/**
 * The diagonal to read where a rectangle is made: of a flat frame its own, of frames joined by rails their plan, of a
 * case its front, of a drawer its plan. Null where nothing square is made.
 */
function diagonalFor(own: readonly Part[], before: readonly Part[], joints: readonly Fastening[]): number | null {
  const box = around([...before, ...own].map(boxOf));
  if (!box || [...before, ...own].some((part) => part.ends.left.mitre !== 0 && part.ends.left.bevel !== 0)) return null;
  const [x, y, z] = sizesOf(box) as [number, number, number];
  const has = (role: Part['role'], count: number) => own.filter((part) => part.role === role).length >= count;
  if (before.length === 0 && has('side', 2)) return diagonalOf(x, z);
  if (before.length === 0 && has('drawer', 4)) return diagonalOf(x, y);
  const rails = new Set(joints.filter(({ joint }) => joint.kind === 'rail end').map((item) => item.drilled));
  const sizes = [x, y, z].sort((a, b) => a - b) as [number, number, number];
  const flat = sizes[0] < sizes[1] / 3;
  if (before.length === 0) return flat && rails.size > 0 ? diagonalOf(sizes[1], sizes[2]) : null;
  return rails.size >= 2 && own.every((part) => part.role !== 'support') ? diagonalOf(x, y) : null;
}

/** What to drive, by kind and size: how many, and from which parts into which. */
function drivingActions(joints: readonly Fastening[]): readonly Phrase[] {
  const groups = new Map<string, Fastening[]>();
  for (const item of joints) {
    const key = `${item.by} ${item.screw} ${item.by === 'hardware' || item.by === 'nothing' || item.by === 'glue' ? item.joint.kind : ''}`;
    groups.set(key, [...(groups.get(key) ?? []), item]);
  }
  return [...groups.values()].flatMap((group): readonly Phrase[] => {
    const { by, screw, positions, joint } = group[0]!;
    const from = listOf([...new Set(group.map((item) => item.drilled.tag))].slice(0, 12).map((name): Bit => tag(name)));
    const into = listOf([...new Set(group.map((item) => item.into.tag))].slice(0, 12).map((name): Bit => tag(name)));
    const even = group.every((item) => item.positions.length === positions.length);
    const each = even && group.length > 1 ? say`, ${strong(positions.length)} each joint` : '';
    const count = strong(screwsOf(group));
    switch (by) {
      case 'pocket screws':
        return [say`Drive ${count} pocket screws ${strong(`${screw} coarse`)}${each}: ${from} into ${into}.`];
      case 'screws':
        return [say`Drill, countersink and drive ${count} screws ${strong(screw)}${each}: ${from} into ${into}.`];
      case 'brads':
        return [say`Glue, and hold with ${count} brads ${strong(screw)} while it sets: ${from} on ${into}.`];
      case 'bolts':
        return [say`Bolt with ${count} of ${strong(screw)}, washer under head and nut: ${from} to ${into}.`];
      case 'clips':
        return [
          say`Cut a slot for the clips on the inside of ${from}, ${dim(CLIP_SLOT)} below the top edge: ${count} clips.`,
          say`Leave a gap of ${dim(inches(1 / 8))} between clip and slot end across the grain, so that the top can move.`,
        ];
      case 'glue':
        return [say`Glue ${from} to ${into} and clamp.`];
      case 'nothing':
        return joint.kind === 'groove'
          ? [say`Slide ${from} into its groove in ${into}, without glue.`]
          : [say`${from} rests on ${into}, not fixed.`];
      case 'hardware':
        return [say`Fix the ${JOINT_KINDS[joint.kind]}: ${from} to ${into}.`];
    }
  });
}

/** One assembly: parts that are cut to fit now, then its joints. */
function assemblyStep(
  assembly: Assembly,
  parts: readonly Part[],
  before: readonly Part[],
  joints: readonly Fastening[],
  shop: Shop,
): Draft {
  const fits = parts.filter((part) => part.fit !== null);
  const late = pocketed(joints).filter((item) => item.drilled.fit !== null);
  const glued = joints.some((item) => item.glue > 0);
  const diagonal = diagonalFor(parts, before, joints);
  const box = around(parts.map(boxOf));
  const longest = box ? Math.max(...sizesOf(box)) : 0;
  const clamps = glued ? Math.min(clampsOver(shop, longest), joints.length > 4 ? 4 : 2) : 0;
  const sizes = [...new Set(joints.map((item) => item.screw).filter((size) => size !== ''))];
  const ends = joints.some((item) => item.joint.kind === 'rail end');
  return {
    name: assembly.id,
    title: parts.length > 0 && parts.length <= 6 ? say`${assembly.title}: ${tagsOf(parts)}` : assembly.title,
    adds: idsOf(parts),
    there: idsOf(before),
    does: [
      ...assembly.notes,
      ...fits.slice(0, 6).map((part) => say`${tag(part.tag)}: measure ${part.fit!}, cut it to that.`),
      ...(fits.length > 6 ? [say`Cut the others to what you measure too.`] : []),
      ...shapingActions(fits.filter(needsShaping)),
      ...(late.length > 0
        ? [say`Drill its pockets: jig at ${dim(late[0]!.jig)}, ${strong(screwsOf(late))} in all.`]
        : []),
      ...(ends && glued ? [say`Glue the end grain, wait a minute, glue it again. Clamp across.`] : []),
      ...drivingActions(joints),
      ...(diagonal !== null
        ? [say`Measure both diagonals: ${about(diagonal)} each. Push the long corner until they match.`]
        : []),
      ...(glued ? [GLUE_RAGS] : []),
    ],
    pickUp: say`${parts.length > 0 ? tagsOf(parts) : 'what is made so far'}${assembly.spacers.length > 0 ? say` · ${strong(assembly.spacers.reduce((sum, { count }) => sum + count, 0))} spacers ${dim(assembly.spacers[0]!.thickness)}` : ''}${clamps > 0 ? say` · ${strong(clamps)} clamps over ${dim(longest)}` : ''}${sizes.length > 0 ? ` · screws ${sizes.join(', ')}` : ''}`,
    spacers: assembly.spacers,
    clamps,
    diagonal,
    cautions: [
      ...(fits.length > 0 ? [SAW] : []),
      ...(joints.some((item) => item.positions.length > 0) ? [GLASSES] : []),
    ],
    work: 8 + HANDLE * parts.length + SCREW * screwsOf(joints) + POCKET * screwsOf(late) + 6 * fits.length,
    wait: glued ? 30 : 0,
  };
}

/** Boards of one assembly joined edge to edge and nothing else: glued in panels. */
const isPanel = (parts: readonly Part[], joints: readonly Fastening[]): boolean =>
  parts.length > 1 &&
  joints.length === parts.length - 1 &&
  parts.every((part) => part.trimmedLater) &&
  joints.every(({ joint }) => joint.kind === 'edge' || joint.kind === 'lamination');

function lastStep(piece: Piece, parts: readonly Part[]): Draft {
  const { size } = piece;
  const tall = topOf(piece) === null && size.height > inches(30);
  return {
    name: 'level',
    title: say`Turn it over and level it`,
    there: idsOf(parts),
    does: [
      say`Stand it on a flat floor. If it rocks, find the long leg and take off what rocks, or fit levellers.`,
      say`Check the height: ${dim(size.height)}. Check the outside: ${dim(size.length)} by ${dim(size.width)}.`,
      ...(tall ? [say`Anchor it to the wall: a tall case tips onto a child who climbs an open drawer or shelf.`] : []),
      say`Break every edge with 120 grit before you finish it.`,
    ],
    pickUp: say`square, tape, sanding block`,
    cautions: [HEAVY],
    work: 15,
  };
}

/**
 * The steps of one piece: what is laminated, shaped and drilled first, then its assemblies in order; every joint in
 * exactly one of them. None where the piece can not be built.
 */
export function stepsOf(piece: Piece, model: PieceModel, made: readonly Fastening[], shop: Shop): readonly Step[] {
  const { parts, assemblies } = model;
  if (parts.length === 0) return [];
  const byId = new Map(parts.map((part) => [part.id, part]));
  const drafts: Draft[] = [...laminationSteps(parts, shop), ...shapingStep(parts), ...pocketStep(made)];
  const held = new Map<string, readonly Part[]>();
  for (const assembly of assemblies) {
    const own = assembly.parts.map((id) => byId.get(id)!);
    const groups = assembly.from.map((id) => held.get(id)!);
    const before = groups.flat();
    const all = new Set([...before, ...own]);
    const together = ({ drilled, into }: Fastening) => all.has(drilled) && all.has(into);
    const already = ({ drilled, into }: Fastening) =>
      groups.some((group) => group.includes(drilled) && group.includes(into));
    const joints = made.filter((item) => together(item) && !already(item));
    held.set(assembly.id, [...all]);
    if (own.length === 0 && joints.length === 0) continue;
    if (before.length === 0 && isPanel(own, joints))
      drafts.push(...panelSteps(assembly.id, own[0]!.role === 'top' ? 'top' : own[0]!.name, own, joints, shop));
    else drafts.push(assemblyStep(assembly, own, before, joints, shop));
  }
  drafts.push(
    lastStep(
      piece,
      parts.filter((part) => !part.loose),
    ),
  );
  return finished(piece.id, drafts);
}
