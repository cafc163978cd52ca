import { nth } from '../lists';
import { inches } from '../length';
import {
  note,
  able,
  TOOLS,
  WAYS,
  type Finding,
  type Job,
  type Piece,
  type Remedy,
  type Tool,
  type Ways,
  set,
} from '../job';
import { blankOf } from '../milling';
import { profileOf, topOf, type Part } from '../piece';
import { isBoard, isSheet, nominalOf, sizesOf } from '../stock';
import { dim, listOf, say, tag, type Phrase } from '../words';
import type { PieceFacts } from './facts';

type Need = {
  readonly id: string;
  readonly parts: readonly Part[];
  readonly ways: Ways;
  /** Nothing but this will do: the job can not go on without. */
  readonly stop: boolean;
  readonly title: Phrase;
  /** What to do without. */
  readonly instead: Phrase;
  readonly remedies: readonly Remedy[];
};

const tagsOf = (parts: readonly Part[]): Phrase => {
  const tags = [...new Set(parts.map((part) => part.tag))];
  return tags.length > 5
    ? say`${listOf(tags.slice(0, 5).map(tag))} and ${tags.length - 5} more`
    : listOf(tags.map(tag));
};

/** The ways in words: "a table saw, or a circular saw with a straight guide". */
const waysText = (ways: Ways): string =>
  ways.map((way) => `a ${way.map((tool) => TOOLS[tool]).join(' and a ')}`).join(', or ');

/** A way to have it in one click: the tool is there after all. */
const haveIt = (job: Job, ways: Ways): Remedy => {
  const [way] = ways as readonly [readonly Tool[], ...unknown[]];
  const lacking = way.filter((tool) => !job.shop.tools.includes(tool));
  return {
    label: say`I can have a ${lacking.map((tool) => TOOLS[tool]).join(' and a ')}`,
    changes: lacking.map((tool) => set(null, ['shop', 'tools', tool], tool)),
  };
};

/** Another choice of the top that needs less, where it has one. */
const otherTop = (piece: Piece, key: string, value: string, label: Phrase): readonly Remedy[] => {
  const spec = topOf(piece)?.choices[key];
  return spec?.kind === 'pick' && value in spec.options && (piece.topChoices[key] ?? spec.initial) !== value
    ? [{ label, changes: [set(piece.id, ['topChoices', key], value)] }]
    : [];
};

/** A top of whole boards as they are bought, so wide that none need be ripped; where only the top asks for it. */
function unripped(piece: Piece, ripped: readonly Part[], job: Job): readonly Remedy[] {
  const [first] = ripped;
  if (!first || !isBoard(first.material) || piece.top !== 'joined') return [];
  if (ripped.some(({ role, material }) => role !== 'top' || material !== first.material)) return [];
  const board = sizesOf(job.measured).board(first.material).width;
  const width = Math.max(1, Math.round(piece.size.width / board)) * board;
  return [
    {
      label: say`Boards as bought, ${dim(width)} wide`,
      changes: [
        set(piece.id, ['topChoices', 'edges'], 'as bought'),
        set(piece.id, ['topChoices', 'width'], nth(nominalOf(first.material).split('x'), 1)),
        set(piece.id, ['size', 'width'], width),
      ],
    },
  ];
}

const isCurved = (part: Part): boolean =>
  (part.outline?.some((corner) => (corner[2] ?? 0) !== 0) ?? false) || part.cuts.some(({ kind }) => kind === 'relief');
const steepest = ({ ends }: Part): number =>
  Math.max(...[ends.left, ends.right].flatMap(({ mitre, bevel }) => [Math.abs(mitre), Math.abs(bevel)]));

function needsOf({ piece, parts, fastenings }: PieceFacts, job: Job): readonly Need[] {
  const sizes = sizesOf(job.measured);
  const wooden = parts.filter((part) => part.material !== 'bought');
  const ripped = wooden.filter((part) => isBoard(part.material) && blankOf(part, piece, job.shop, sizes)?.rip);
  const grooved = wooden.filter((part) =>
    part.cuts.some(({ kind }) => kind === 'groove' || kind === 'rebate' || kind === 'dado'),
  );
  const pockets = fastenings.filter(({ by }) => by === 'pocket screws').map(({ drilled }) => drilled);
  const wide = wooden.filter((part) => isBoard(part.material) && sizes.board(part.material).width > job.shop.crosscut);
  return [
    {
      id: 'rip',
      parts: ripped,
      ways: WAYS.rip,
      stop: false,
      title: say`Nothing here rips boards`,
      instead: say`Have the yard rip them, or choose boards that come square and leave their edges.`,
      remedies: unripped(piece, ripped, job),
    },
    {
      id: 'plane',
      parts: wooden.filter((part) => part.planed > 0),
      ways: WAYS.plane,
      stop: false,
      title: say`Nothing here planes boards`,
      instead: say`Have the yard plane them to ${dim(inches(1 / 16))} over, or take boards as they come.`,
      remedies: [
        piece.planed > 0
          ? { label: say`Leave them as they come`, changes: [set(piece.id, ['planed'], 0)] }
          : { label: say`Take legs of two 2×4`, changes: [set(piece.id, ['choices', 'legs'], 'two 2x4')] },
      ],
    },
    {
      id: 'bead',
      parts: profileOf(piece, parts)?.name === 'bead' ? parts.filter(({ role }) => role === 'top') : [],
      ways: WAYS.bead,
      stop: false,
      title: say`Nothing here cuts a bead`,
      instead: say`A chamfer or a round edge comes off a plane.`,
      remedies: otherTop(piece, 'profile', 'round 1/4', say`Round it over, 1/4`),
    },
    {
      id: 'sheet',
      parts: wooden.filter((part) => isSheet(part.material)),
      ways: WAYS.sheet,
      stop: false,
      title: say`Nothing here breaks down sheets`,
      instead: say`Have the yard cut them to the sizes on the cut sheet; leave what must fit a little large.`,
      remedies: [],
    },
    {
      id: 'groove',
      parts: grooved,
      ways: WAYS.groove,
      stop: false,
      title: say`Nothing here cuts grooves`,
      instead: say`Glue a strip beside the panel instead of a groove, or nail the back on flat.`,
      remedies: [],
    },
    {
      id: 'curve',
      parts: wooden.filter(isCurved),
      ways: WAYS.curve,
      stop: false,
      title: say`Nothing here cuts curves`,
      instead: say`Cut straight across the corners with a hand saw and round them with a rasp.`,
      remedies: [],
    },
    {
      id: 'pockets',
      parts: pockets,
      ways: WAYS.pockets,
      stop: true,
      title: say`Pocket screws without a jig`,
      instead: say`Drill from outside and plug the holes, or borrow one: they are small.`,
      remedies: otherTop(piece, 'hold', 'glue', say`Hold the top by glue alone`),
    },
    {
      id: 'wide',
      parts: wide,
      ways: WAYS.sheet,
      stop: false,
      title: say`Wider than the saw crosscuts`,
      instead: say`The saw takes ${dim(job.shop.crosscut)} at once. Cut from both edges to one line, or have the yard cut them.`,
      remedies: [],
    },
  ];
}

/** What the shop can not do, with another way: everything that is cut or driven asks for a tool that is there. */
export function shopNotes(facts: PieceFacts, job: Job): readonly Finding[] {
  const { piece, parts } = facts;
  const lacking = needsOf(facts, job)
    .filter((need) => need.parts.length > 0 && !able(job.shop.tools, need.ways))
    .map((need) =>
      note(piece.id, 'shop', need.stop ? 'stop' : 'care', 'stock', {
        which: need.id,
        about: need.parts.map(({ id }) => id),
        title: need.title,
        because: say`${tagsOf(need.parts)} ask for ${waysText(need.ways)}. ${need.instead}`,
        numbers: { parts: need.parts.length },
        remedies: [...need.remedies, haveIt(job, need.ways)],
      }),
    );
  const angled = parts.filter((part) => steepest(part) > job.shop.mitre && part.material !== 'bought');
  return [
    ...lacking,
    ...(angled.length > 0
      ? [
          note(piece.id, 'shop-angle', 'care', 'stock', {
            about: angled.map(({ id }) => id),
            title: say`Steeper than the saw turns`,
            because: say`${tagsOf(angled)} end at more than ${job.shop.mitre}° from square. Print the template, trace the line and cut it by hand, or clamp the board on a square block against the fence.`,
            numbers: { degrees: Math.max(...angled.map(steepest)) },
          }),
        ]
      : []),
  ];
}
