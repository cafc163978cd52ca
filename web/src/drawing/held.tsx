import { useDraggable, useDroppable } from '@dnd-kit/core';
import type { ReactNode } from 'react';
import type { Board, CutPiece } from '@sill/core';

/** A piece that is dragged, with the board it comes from. */
export type HeldPiece = { readonly piece: CutPiece; readonly board: Board };

/** Handlers for a piece that may be dragged. */
export function useHeld(board: Board, piece: CutPiece, at: number) {
  const { setNodeRef, listeners } = useDraggable({ id: `piece ${board.number} ${at}`, data: { piece, board } });
  return { ref: (node: SVGGElement | null) => setNodeRef(node as unknown as HTMLElement | null), ...listeners };
}

/** The place a dragged piece may be dropped on: a whole board. */
export function DropPlace({ board, children }: { readonly board: Board; readonly children: ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id: `board ${board.number}`, data: { board } });
  return (
    <div ref={setNodeRef} className="drop-place" data-over={isOver}>
      {children}
    </div>
  );
}
