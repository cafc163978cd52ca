import { clampCount, clampsOver } from '../job';
import type { Fastening } from '../joinery';
import { leftOn } from '../milling';
import type { Part } from '../piece';
import { times } from '../solid';
import { say, type Phrase } from '../words';
import { tagList, type Operation } from '../work';
import { CLAMP_MINUTES, caulsAlong, clampsAlong, diagonalOf, panels } from './clamping';
import type { Draft } from './draft';
import { joined, liftOf, operation, prepared, type Making } from './making';
import { isSawn, holeTitle } from './preparing';
import { shapingOperations } from './shaping';

const HANDLE = 3;
const SPREAD = 3;
const TRIM = 16;
const ROUND = 26;

/** Whether a part's outline is only cut once the whole panel is round. */
const isRound = ({ outline }: Part): boolean => outline !== null && outline.some(([, , bulge = 0]) => bulge !== 0);

/**
 * Boards joined edge to edge: laid out, bored along their edges, glued in panels that the open time allows, cut to size
 * together, and only then cut and bored for what comes to them. `boards` are in order, each joined to the next by one of
 * `edges`.
 */
export function panelSteps(
  name: string,
  what: string,
  boards: readonly Part[],
  edges: readonly Fastening[],
  making: Making,
): readonly Draft[] {
  const { shop } = making;
  const length = Math.max(...boards.map((part) => part.length));
  const unequal = boards.some((part) => part.length !== length);
  const width = boards.reduce((sum, part) => sum + part.width, 0);
  const joinOf = (a: Part, b: Part) => edges.find((item) => item.drilled === a && item.into === b)!;
  const wayOf = (joint: Fastening | undefined) => (joint?.closes ? times(joint.closes, -1) : null);
  const over = leftOn(boards[0]!, making.piece, shop).extra;
  const heaviest = (group: readonly Part[]) =>
    group
      .map((board) => liftOf([board], shop, over))
      .reduce((a, b) => ((b?.pounds ?? 0) > (a?.pounds ?? 0) ? b : a), null);
  const ids = new Set(boards.map(({ id }) => id));
  const coming = (part: Part, way: ReturnType<typeof wayOf>) => ({ parts: [part.id], tags: [part.tag], way });
  const glueUp = (
    id: string,
    title: Phrase,
    group: readonly Part[],
    joints: readonly Fastening[],
    there: readonly Part[],
  ): Draft => {
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
      puts:
        there.length === 0
          ? group.map((board, at) => ({ parts: [board.id], way: wayOf(joints[at - 1]) }))
          : [
              { parts: there.map((part) => part.id), way: null },
              { parts: group.map((part) => part.id), way: wayOf(joints[0]) },
            ],
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
            comes:
              there.length === 0
                ? group.map((board, at) => coming(board, wayOf(joints[at - 1])))
                : [
                    { parts: there.map((part) => part.id), tags: there.map(({ tag }) => tag), way: null },
                    { parts: group.map((part) => part.id), tags: group.map(({ tag }) => tag), way: wayOf(joints[0]) },
                  ],
            marks: [],
            row: unequal ? 'middles' : 'ends',
            fixed: true,
            over: false,
            out: [],
            says,
          },
          HANDLE * group.length,
          there.length === 0 ? heaviest(group) : liftOf(group, shop, over),
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
    };
  };
  const bored = prepared({ ...making, only: ids }, edges, 'edge');
  const lay: Draft = {
    name: `arrange-${name}`,
    title: say`Lay out the boards of the ${what}${bored.length > 0 ? say` and ${holeTitle(bored).toLowerCase()}` : ''}`,
    ops: [
      operation(
        making,
        name,
        { kind: 'arrange', what, straightedge: length, unequal },
        boards,
        10 + HANDLE * boards.length,
      ),
      ...bored,
    ],
  };
  const sizes = panels(boards.length);
  const groups: Part[][] = [];
  for (const size of sizes) groups.push(boards.slice(groups.flat().length, groups.flat().length + size));
  const glued = groups.flatMap((group, at): readonly Draft[] => {
    if (group.length < 2) return [];
    const joints = group.slice(1).map((board, k) => joinOf(group[k]!, board));
    const title =
      sizes.length === 1
        ? say`Glue up the ${what}`
        : say`Glue up panel ${at + 1} of the ${what}: ${tagList(group.map(({ tag }) => tag))}`;
    return [glueUp(`${name}-panel-${at + 1}`, title, group, joints, [])];
  });
  const joins = groups.slice(1).map((group, at) => {
    const before = groups.slice(0, at + 1).flat();
    const title = say`Join the panels at ${tagList([before.at(-1)!.tag, group[0]!.tag])}`;
    return glueUp(`${name}-join-${at + 1}`, title, group, [joinOf(before.at(-1)!, group[0]!)], before);
  });
  const round = boards.some(isRound);
  const { extra } = leftOn(boards[0]!, making.piece, shop);
  const saw = (['circular saw', 'hand saw'] as const).find((tool) => shop.tools.includes(tool)) ?? null;
  const curve = (['router', 'jigsaw', 'band saw'] as const).find((tool) => shop.tools.includes(tool)) ?? null;
  const trim: Draft = {
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
          off: Math.round(extra / 2),
          width,
          round: round ? Math.round(width / 2) : null,
          along: { axis: 0, sign: -1 },
        },
        boards,
        round ? ROUND : TRIM,
        { tool: round ? curve : saw, lift: liftOf(boards, shop, over) },
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
  const own = { ...making, only: ids };
  const whole = [
    ...shapingOperations(
      boards.filter(({ fit }) => fit === null),
      own,
      isSawn(making),
      isRound,
    ),
    ...prepared(own, making.made, 'whole'),
  ];
  const shaped: readonly Draft[] =
    whole.length > 0
      ? [
          {
            name: `shape-${name}`,
            title: say`${whole.some(({ kind }) => kind === 'cut' || kind === 'outline' || kind === 'mitre') ? 'Cut and drill' : `${holeTitle(whole)} in`} the glued ${what}`,
            ops: whole,
          },
        ]
      : [];
  return [lay, ...glued, ...joins, trim, ...shaped];
}
