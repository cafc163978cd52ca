import { first, found, last, nth } from '../lists';
import { clampCount, clampsOver } from '../job';
import type { Fastening } from '../joinery';
import { leftOn } from '../milling';
import type { Part } from '../piece';
import { times } from '../solid';
import { say, type Phrase } from '../words';
import { tagList, type Operation, operation } from '../work';
import { CLAMP_MINUTES, caulsAlong, clampsAlong, diagonalOf, panels } from './clamping';
import type { Draft } from './draft';
import { guidedSaw, joined, liftOf, prepared, type Making } from './making';
import { accessTo } from './order';
import { isSawn, holeTitle } from './preparing';
import { shapingOperations } from './shaping';

const HANDLE = 3;
const SPREAD = 3;
const TRIM = 16;
const ROUND = 26;

/** Whether a part's outline is only cut once the whole panel is round. */
const isRound = ({ outline }: Part): boolean => outline !== null && outline.some(([, , bulge = 0]) => bulge !== 0);

/** A panel to be made: its boards in order, each joined to the next by one of the edges, and what it is called. */
type Panel = {
  readonly name: string;
  readonly what: string;
  readonly boards: readonly Part[];
  readonly edges: readonly Fastening[];
  readonly making: Making;
};

const lengthOf = (boards: readonly Part[]) => Math.max(...boards.map((part) => part.length));
const widthOf = (boards: readonly Part[]) => boards.reduce((sum, part) => sum + part.width, 0);
const isUnequal = (boards: readonly Part[]) => boards.some((part) => part.length !== lengthOf(boards));
const wayOf = (joint: Fastening | undefined) => (joint?.closes ? times(joint.closes, -1) : null);
/** Left on its ends until it is trimmed. */
const overOf = ({ boards, making }: Panel) => leftOn(first(boards), making.shop).extra;
const idsOf = (boards: readonly Part[]) => new Set(boards.map(({ id }) => id));

/** The boards in the order that lies flattest, bored along their edges. */
function laidOut({ name, what, boards, edges, making }: Panel): Draft {
  const bored = prepared({ ...making, only: idsOf(boards) }, edges, 'edge');
  const does = { kind: 'arrange', what, straightedge: lengthOf(boards), unequal: isUnequal(boards) } as const;
  return {
    name: `arrange-${name}`,
    title: say`Lay out the boards of the ${what}${bored.length > 0 ? say` and ${holeTitle(bored).toLowerCase()}` : ''}`,
    ops: [operation(making, name, does, boards, 10 + HANDLE * boards.length), ...bored],
  };
}

/** Boards glued at one time: to each other, or all of them to what is `there`. */
function glueUp(
  panel: Panel,
  id: string,
  title: Phrase,
  group: readonly Part[],
  joints: readonly Fastening[],
  there: readonly Part[],
): Draft {
  const { boards, making } = panel;
  const { shop } = making;
  const length = lengthOf(boards);
  const over = overOf(panel);
  const heaviest = () =>
    group
      .map((board) => liftOf([board], shop, over))
      .reduce((a, b) => ((b?.pounds ?? 0) > (a?.pounds ?? 0) ? b : a), null);
  const coming = (parts: readonly Part[], way: ReturnType<typeof wayOf>) => ({
    parts: parts.map((part) => part.id),
    tags: parts.map(({ tag }) => tag),
    way,
  });
  const comes =
    there.length === 0
      ? group.map((board, at) => coming([board], wayOf(joints[at - 1])))
      : [coming(there, null), coming(group, wayOf(joints[0]))];
  const across = [...group, ...there].reduce((sum, part) => sum + part.width, 0);
  const have = clampsOver(shop, across);
  const clamps = Math.min(have, clampsAlong(length));
  const makes = joined(making, joints);
  const screwed = makes.some(({ kind }) => kind === 'drive');
  const on = (does: Parameters<typeof operation>[2], minutes: number, lift: Operation['lift'] = null) =>
    operation(making, id, does, group, minutes, { lift });
  const says =
    there.length === 0
      ? say`Face down on cauls; read the numbers once more, press each joint flush.`
      : say`Press the joint flush.`;
  return {
    name: id,
    title,
    adds: group.map((part) => part.id),
    there: there.map((part) => part.id),
    puts: comes.map(({ parts, way }) => ({ parts, way })),
    makes: joints.map(({ joint }) => joint.id),
    ops: [
      on(
        {
          kind: 'glue',
          joints: joints.map(({ joint }) => joint.id),
          count: joints.length,
          ends: false,
          slow: false,
          only: null,
        },
        SPREAD * joints.length,
      ),
      ...makes.filter(({ kind }) => kind === 'peg'),
      on(
        {
          kind: 'place',
          comes,
          marks: [],
          row: isUnequal(boards) ? 'middles' : 'ends',
          fixed: true,
          over: false,
          out: [],
          says,
        },
        HANDLE * group.length,
        there.length === 0 ? heaviest() : liftOf(group, shop, over),
      ),
      on(
        { kind: 'clamp', count: clamps, span: across, cauls: caulsAlong(length), holds: screwed ? 'screws' : null },
        6,
      ),
      ...makes.filter(({ kind }) => kind !== 'peg'),
      on({ kind: 'wait', wait: CLAMP_MINUTES, clamped: clamps > 0 }, 0),
    ],
    clamps,
    wait: CLAMP_MINUTES,
    // A narrow board lets the driver run into its neighbour.
    noRoom: joints
      .filter((item) => accessTo(item, [...there, ...group], shop.drivers).driver === null)
      .map(({ joint }) => joint.id),
  };
}

/** Panels that the open time allows, then panel to panel. */
function gluedUp(panel: Panel): readonly Draft[] {
  const { name, what, boards, edges } = panel;
  const joinOf = (a: Part, b: Part) => found(edges, (item) => item.drilled === a && item.into === b);
  const sizes = panels(boards.length);
  const groups: Part[][] = [];
  for (const size of sizes) groups.push(boards.slice(groups.flat().length, groups.flat().length + size));
  const glued = groups.flatMap((group, at): readonly Draft[] => {
    if (group.length < 2) return [];
    const joints = group.slice(1).map((board, k) => joinOf(nth(group, k), board));
    const title =
      sizes.length === 1
        ? say`Glue up the ${what}`
        : say`Glue up panel ${at + 1} of the ${what}: ${tagList(group.map(({ tag }) => tag))}`;
    return [glueUp(panel, `${name}-panel-${at + 1}`, title, group, joints, [])];
  });
  const joins = groups.slice(1).map((group, at) => {
    const before = groups.slice(0, at + 1).flat();
    const title = say`Join the panels at ${tagList([last(before).tag, first(group).tag])}`;
    return glueUp(panel, `${name}-join-${at + 1}`, title, group, [joinOf(last(before), first(group))], before);
  });
  return [...glued, ...joins];
}

/** The glued panel cut to size in one go: straight, or round. */
function trimmed(panel: Panel): Draft {
  const { name, what, boards, making } = panel;
  const { shop } = making;
  const [length, width, over] = [lengthOf(boards), widthOf(boards), overOf(panel)];
  const round = boards.some(isRound);
  const curve = (['router', 'jigsaw', 'band saw'] as const).find((tool) => shop.tools.includes(tool)) ?? null;
  return {
    name: `trim-${name}`,
    title: round ? say`Cut the ${what} round` : say`Cut the ${what} to length`,
    ops: [
      operation(
        making,
        name,
        {
          kind: 'trim whole',
          what,
          to: length,
          off: Math.round(over / 2),
          width,
          round: round ? Math.round(width / 2) : null,
          flush: null,
          along: { axis: 0, sign: -1 },
        },
        boards,
        round ? ROUND : TRIM,
        { tool: round ? curve : guidedSaw(shop), lift: liftOf(boards, shop, over) },
      ),
      ...(round
        ? []
        : [
            operation(
              making,
              `${name}-whole`,
              { kind: 'square', reads: [diagonalOf(length, width), diagonalOf(length, width)] },
              boards,
              2,
            ),
          ]),
    ],
    clamps: Math.min(2, clampCount(shop)),
    diagonals: round ? null : [diagonalOf(length, width), diagonalOf(length, width)],
    sides: round ? null : [length, width],
  };
}

/** What is cut and bored in the panel only once it is whole. */
function shapedWhole({ name, what, boards, making }: Panel): readonly Draft[] {
  const own = { ...making, only: idsOf(boards) };
  const whole = [
    ...shapingOperations(
      boards.filter(({ fit }) => fit === null),
      own,
      isSawn(making),
      isRound,
    ),
    ...prepared(own, making.made, 'whole'),
  ];
  return whole.length > 0
    ? [
        {
          name: `shape-${name}`,
          title: say`${whole.some(({ kind }) => kind === 'cut' || kind === 'outline' || kind === 'mitre') ? 'Cut and drill' : `${holeTitle(whole)} in`} the glued ${what}`,
          ops: whole,
        },
      ]
    : [];
}

/**
 * Boards joined edge to edge: laid out, bored along their edges, glued in panels that the open time allows, cut to size
 * together, and only then cut and bored for what comes to them. `boards` are in order, each joined to the next by one
 * of `edges`.
 */
export function panelSteps(
  name: string,
  what: string,
  boards: readonly Part[],
  edges: readonly Fastening[],
  making: Making,
): readonly Draft[] {
  const panel = { name, what, boards, edges, making };
  return [laidOut(panel), ...gluedUp(panel), trimmed(panel), ...shapedWhole(panel)];
}
