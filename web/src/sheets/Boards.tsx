import { useMediaQuery } from '@mui/material';
import type { ReactNode } from 'react';
import { tapeMarks, type Board, type NumberedCut, type Plan, type Setup } from '@sill/core';
import { BoardRow } from '../drawing/BoardRow';
import { Seen } from '../drawing/Seen';
import { SheetPlan } from '../drawing/SheetPlan';
import { Dim } from '../words/Dim';
import { useLabel } from '../words/labels';
import './Boards.css';

/** How the tape is read: hooked once over the squared end, measured after every cut, or not shown. */
export type TapeReading = 'hooked' | 'steps' | 'none';

/** Cuts that a setting or a pass makes; for a fence those at the ends of what it rips. */
const cutsOf = (plan: Plan, { cuts, pieces: of }: Lit): ReadonlySet<number> => {
  if (cuts.length > 0) return new Set(cuts);
  const pieces = new Set(of);
  return new Set(plan.cuts.filter((cut) => cut.piece && pieces.has(cut.piece)).map((cut) => cut.number));
};

/** What is looked at; the rest steps back. */
type Lit = Pick<Setup, 'cuts' | 'pieces'>;

type Props = {
  readonly plan: Plan;
  readonly lit: Lit | null;
  readonly only?: ReadonlySet<number>;
  readonly tape?: TapeReading;
  /**
   * What can be done with a board, beside its name. Where there is such, many boards are drawn as they come into view.
   */
  readonly tools?: (board: Board) => ReactNode;
  /** How many times larger than the page is wide; the drawings are then scrolled. */
  readonly zoom?: number;
};

/** Boards and sheets as they are cut, to one scale. */
export function Boards({ plan, lit, only, tape = 'none', zoom = 1, tools }: Props) {
  const label = useLabel();
  const narrow = useMediaQuery('(max-width: 599px)');
  const lanes = plan.buying.boards.filter((board) => !isBroken(board, plan.cuts));
  const longest = Math.max(0, ...lanes.map((board) => board.length));
  const litCuts = lit && cutsOf(plan, lit);
  const shown = plan.buying.boards.filter((board) => only === undefined || only.has(board.number));
  const drawn = (board: Board) => {
    const own = {
      board,
      cuts: plan.cuts.filter((cut) => cut.board === board.number),
      label,
      lit: litCuts,
      tools: tools?.(board),
      wide: (narrow ? 330 : 640) * zoom,
    };
    return lanes.includes(board) ? (
      <BoardRow
        key={board.number}
        {...own}
        longest={longest}
        uses={plan.offcuts.filter((use) => use.board === board.number)}
      >
        {tape !== 'none' && <TapeLine board={board} cuts={own.cuts} tape={tape} />}
      </BoardRow>
    ) : (
      <SheetPlan key={board.number} {...own} />
    );
  };
  return (
    <div className="boards" data-zoomed={zoom > 1}>
      {tools && shown.length > MANY
        ? shown.map((board) => (
            <Seen key={board.number} height={lanes.includes(board) ? LANE_HIGH : SHEET_HIGH}>
              {() => drawn(board)}
            </Seen>
          ))
        : shown.map(drawn)}
    </div>
  );
}

/** More boards than this are drawn as they come into view; about so high, px. */
const MANY = 16;
const LANE_HIGH = 70;
const SHEET_HIGH = 380;

/** True for sheets, and for boards that are broken down like one. */
const isBroken = (board: Board, cuts: readonly NumberedCut[]): boolean =>
  'sheet' in board.offer || cuts.some((cut) => cut.board === board.number && cut.setting !== null);

/** Where the tape reads at each cut of a board. */
function TapeLine({
  board,
  cuts,
  tape,
}: {
  readonly board: Board;
  readonly cuts: readonly NumberedCut[];
  readonly tape: TapeReading;
}) {
  return (
    <p className="tape-line">
      {tapeMarks(board, cuts).map(({ square, marks }) => (
        <span key={square}>
          {tape === 'hooked' ? 'Hook the squared end' : 'From each fresh end'}
          {square > 0 && tape === 'hooked' && (
            <>
              {' '}
              (<Dim of={square} /> off)
            </>
          )}
          :{' '}
          {marks.map(({ number, hooked, step }) => (
            <span key={number} className="tape-mark">
              <small>{number}</small> <Dim of={tape === 'hooked' ? hooked : step} />
            </span>
          ))}
        </span>
      ))}
    </p>
  );
}
