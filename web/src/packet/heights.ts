import {
  inches,
  plain,
  tapeMarks,
  type Board,
  type NumberedCut,
  type Phrase,
  type Plan,
  type Setup,
  type Step,
} from '@sill/core';
import { moreRows } from '../drawing/BoardRow';
import { pictureHeight } from '../drawing/PartPicture';
import { drawnIn, joinedIn } from '../stages/build/BuildStage';

export type Paper = 'letter' | 'a4';

/** Height inside the margins, mm, less the head and foot of a page. */
export const ROOM: Record<Paper, number> = { letter: 219, a4: 237 };

/** A step on paper, or so many of its actions where all of them do not go on one page. */
export type StepBlock = {
  readonly facts: Plan['pieces'][number];
  readonly step: Step;
  readonly number: number;
  /** Goes on from the page before: no picture, nothing to pick up. */
  readonly goesOn?: boolean;
  /** In words alone: the short packet. */
  readonly plain?: boolean;
};

/** A step in as many blocks as pages want. */
export function blocksOf(block: StepBlock, paper: Paper): readonly StepBlock[] {
  const high = stepHeight(paper);
  const most = ROOM[paper] - 6;
  const blocks: StepBlock[] = [];
  let rest = block.step.actions;
  while (rest.length > 0) {
    const goesOn = blocks.length > 0;
    const with_ = (count: number): StepBlock => ({ ...block, goesOn, step: { ...block.step, actions: rest.slice(0, count) } }); // prettier-ignore
    let count = rest.length;
    while (count > 1 && high(with_(count)) > most) count--;
    blocks.push(with_(count));
    rest = rest.slice(count);
  }
  return blocks;
}

/** Letters in a line of actions beside the picture, and in one across the page, as measured on print-outs. */
const LETTERS: Record<Paper, { readonly beside: number; readonly across: number }> = {
  letter: { beside: 57, across: 92 },
  a4: { beside: 53, across: 88 },
};
/** The picture's width in its own units; on paper it is 66 mm wide and at most 60 high. */
export const PICTURE = 290;

/** Height of a step on paper, mm: its picture or the lines of its actions beside it, and the rest. */
export const stepHeight =
  (paper: Paper) =>
  ({ facts, step, goesOn = false, plain: bare = false }: StepBlock): number => {
    const linesOf = (text: Phrase, letters: number) => Math.ceil(plain(text, 'in').length / letters);
    const { beside, across } = LETTERS[paper];
    const letters = goesOn || bare ? across : beside;
    const actions = step.actions.reduce((sum, action) => sum + linesOf(action.text, letters) * 5.3 + 1.7, 0);
    if (goesOn) return actions + 13;
    const below = [...step.cautions, step.pickUp].reduce((sum, text) => sum + linesOf(text, across) * 5.3 + 1.2, 0);
    if (bare) return actions + below + 17 + (step.diagonals ? 7 : 0) + 6.5 * step.spacers.length;
    const picture = Math.min(
      60,
      (66 * pictureHeight(drawnIn(step, facts), PICTURE, joinedIn(step, facts.fastenings))) / PICTURE,
    );
    return Math.max(picture, actions) + below + 17 + (step.diagonals ? 7 : 0) + 6.5 * step.spacers.length;
  };

/** Height of a board's drawing on paper, mm: a row of one height, or a sheet to the scale of a whole one and its sizes. */
export function boardHeight(board: Board, plan: Pick<Plan, 'cuts' | 'buying'>): number {
  const cuts = plan.cuts.filter((cut) => cut.board === board.number);
  return 'sheet' in board.offer
    ? Math.max(22, (DRAWING * board.width) / Math.max(inches(96), board.length) + 14) + 6 * Math.ceil(sizes(board) / 3)
    : 22 + (DRAWING / UNITS) * moreRows(board, cuts, longestOf(plan), UNITS) + tapeHeight(board, cuts);
}
/** Readings of the tape below a board, mm: so many a line, the first with words before them. */
const tapeHeight = (board: Board, cuts: readonly NumberedCut[]): number =>
  tapeMarks(board, cuts).reduce((sum, { marks }) => sum + 5.8 * Math.ceil((marks.length + 3) / 7), 0);
/** Units that a board's drawing is wide. */
const UNITS = 640;
const longestOf = ({ buying }: Pick<Plan, 'buying'>): number =>
  Math.max(...buying.boards.filter(({ offer }) => !('sheet' in offer)).map(({ length }) => length));

/** Height of a setting in the order of cuts, mm: its words break after so many letters. */
export const settingHeight = (setup: Setup, tags: string): number => {
  const names = [...new Set(setup.parts.map(({ name }) => name))].join(' and ');
  const letters = names.length + tags.length + setup.cuts.length * 5 + (setup.extraFor?.length ?? 0) + 50;
  return 4 + 5.5 * Math.max(1, Math.ceil(letters / 66));
};
/** How many sizes of piece there are on a sheet. */
const sizes = ({ pieces }: Board): number => new Set(pieces.map(({ length, width }) => `${length} ${width}`)).size;
/** Width of the drawings on paper, mm. */
const DRAWING = 162;

/** Height of a row of the parts list, mm: its tags and its name break after so many letters. */
export const rowHeight = (tags: string, name: string, material: string): number =>
  2.8 + 5.5 * Math.max(Math.ceil(tags.length / 28), Math.ceil(name.length / 10), Math.ceil(material.length / 8));
