import { inches, type Length } from '../length';
import type { CutPiece } from '../buying';
import { boxOf, isNextInRun, waysOf, type Part } from '../piece';
import { add, dot, sub, times, type Vec } from '../solid';
import { listOf, say, tag, type Phrase } from '../words';
import { named, tagList } from '../work';

/** No saw is as wide: pieces nearer than this to each other were one until it parted them. */
const KERF: Length = inches(1 / 4);

/** Whether the grain runs on from one piece of a sheet into another: next to each other in their run, and on it. */
export const runsInto = ({ blank, x, y, length }: CutPiece, other: CutPiece): boolean => {
  const gap = other.x - x - length;
  return isNextInRun(blank.part, other.blank.part) && other.y === y && gap >= 0 && gap < KERF;
};

/** Pieces of a sheet that lie one after the other so that their grain runs on, run by run. */
function runsOf(all: readonly CutPiece[]): readonly (readonly CutPiece[])[] {
  const pieces = all.filter(({ blank }) => blank.part.run !== null);
  const follows = (piece: CutPiece): readonly CutPiece[] => {
    const next = pieces.find((other) => runsInto(piece, other));
    return [piece, ...(next ? follows(next) : [])];
  };
  const starts = pieces.filter((piece) => !pieces.some((other) => runsInto(other, piece)));
  return starts.map(follows).filter((run) => run.length > 1);
}

const middleOf = (part: Part): Vec => {
  const { min, max } = boxOf(part);
  return times(add(min, max), 1 / 2);
};

/** The end of a part that looks at another, or away from it. */
function endTo(part: Part, other: Part, at: boolean): string {
  const looks = dot(waysOf(part)[0], sub(middleOf(other), middleOf(part))) > 0 === at;
  return named(part, { axis: 0, sign: looks ? 1 : -1 }, { units: 'in', middle: [0, 0, 0] }).name;
}

/** How parts of a strip are marked before they are parted: which end of each comes first. */
function firstEnds(run: readonly CutPiece[]): Phrase {
  const parts = run.map(({ blank }) => blank.part);
  return listOf(
    parts.map((part, at): Phrase => {
      const [before, after] = [parts[at - 1], parts[at + 1]];
      const end = before ? endTo(part, before, true) : after ? endTo(part, after, false) : '';
      return say`${tag(part.tag)} ${end}`;
    }),
  );
}

/** What is marked on strips whose grain runs on from part to part. */
export const grainMarks = (pieces: readonly CutPiece[]): readonly Phrase[] =>
  runsOf(pieces).map(
    (run) =>
      say`${tagList(run.map(({ blank }) => blank.part.tag))} lie one after the other so that the grain runs on. Before they are parted write on all of them which face is outside, and at the end that comes first: ${firstEnds(run)}.`,
  );
