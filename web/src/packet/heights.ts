import {
  type Board,
  first,
  inches,
  nth,
  type NumberedCut,
  type Phrase,
  plain,
  type Plan,
  type Setup,
  type Step,
  tapeMarks,
} from '@sill/core';
import { moreRows } from '../drawing/BoardRow';
import { pictureHeight } from '../drawing/PartPicture';
import { drawnIn, joinedIn } from '../drawing/steps';

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
  const most = ROOM[paper] - 6;
  const blocks: StepBlock[] = [];
  let rest = block.step.actions;
  while (rest.length > 0) {
    const begun = { ...block, goesOn: blocks.length > 0 };
    const high = heightWith(begun, paper);
    let count = 1;
    for (let actions = actionHeight(begun, first(rest), paper); count < rest.length; count++) {
      actions += actionHeight(begun, nth(rest, count), paper);
      if (high(actions) > most) break;
    }
    const whole = count === block.step.actions.length;
    blocks.push(whole ? begun : { ...begun, step: { ...block.step, actions: rest.slice(0, count) } });
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

/** Letters of a phrase: counted once, it is asked for at each way to break a page. */
const lengths = new WeakMap<Phrase, number>();
function linesOf(text: Phrase, letters: number): number {
  const length = lengths.get(text) ?? plain(text, 'in').length;
  lengths.set(text, length);
  return Math.ceil(length / letters);
}

/** Height of one action on paper, mm. */
function actionHeight(
  { goesOn = false, plain: bare = false }: StepBlock,
  action: Step['actions'][number],
  paper: Paper,
) {
  const { beside, across } = LETTERS[paper];
  return linesOf(action.text, goesOn || bare ? across : beside) * 5.3 + 1.7;
}

/** Height of a step's picture, in its own units. The step is asked at each way to break its page. */
const pictures = new WeakMap<Step, number>();
function pictureOf(step: Step, facts: StepBlock['facts']): number {
  const height = pictures.get(step) ?? pictureHeight(drawnIn(step, facts), PICTURE, joinedIn(step, facts.fastenings));
  pictures.set(step, height);
  return height;
}

/** Height of a step on paper, mm, whose actions are so high: its picture or the actions beside it, and the rest. */
function heightWith(
  { facts, step, goesOn = false, plain: bare = false }: StepBlock,
  paper: Paper,
): (actions: number) => number {
  if (goesOn) return (actions) => actions + 13;
  const { across } = LETTERS[paper];
  const below = [...step.cautions, step.pickUp].reduce((sum, text) => sum + linesOf(text, across) * 5.3 + 1.2, 0);
  const rest = below + 17 + (step.diagonals ? 7 : 0) + 6.5 * step.spacers.length;
  if (bare) return (actions) => actions + rest;
  const picture = Math.min(60, (66 * pictureOf(step, facts)) / PICTURE);
  return (actions) => Math.max(picture, actions) + rest;
}

/** Height of a step on paper, mm. */
export const stepHeight =
  (paper: Paper) =>
  (block: StepBlock): number =>
    heightWith(block, paper)(block.step.actions.reduce((sum, action) => sum + actionHeight(block, action, paper), 0));

/**
 * Height of a board's drawing on paper, mm: a row of one height, or a sheet to the scale of a whole one and its sizes.
 */
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

/** Height of a setting in the order of cuts, mm, with what to look out for at it: words break after so many letters. */
export const settingHeight = (setup: Setup, tags: string, cautions: readonly Phrase[] = []): number => {
  const names = [...new Set(setup.parts.map(({ name }) => name))].join(' and ');
  const letters = names.length + tags.length + setup.cuts.length * 5 + (setup.extraFor?.length ?? 0) + 50;
  const below = cautions.reduce((sum, caution) => sum + 5.5 * linesOf(caution, 66) + 1.2, 0);
  return 4 + 5.5 * Math.max(1, Math.ceil(letters / 66)) + below;
};
/** How many sizes of piece there are on a sheet. */
const sizes = ({ pieces }: Board): number => new Set(pieces.map(({ length, width }) => `${length} ${width}`)).size;
/** Width of the drawings on paper, mm. */
const DRAWING = 162;

/** Height of a row of the parts list, mm: its tags and its name break after so many letters. */
export const rowHeight = (tags: string, name: string, material: string): number =>
  2.8 + 5.5 * Math.max(Math.ceil(tags.length / 28), Math.ceil(name.length / 10), Math.ceil(material.length / 8));
