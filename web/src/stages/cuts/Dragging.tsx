import { DndContext, DragOverlay } from '@dnd-kit/core';
import { useState, type ReactNode } from 'react';
import type { HeldPiece } from '../../drawing/held';
import { SCROLLING, useDragSensors } from '../../ui/dragging';
import { useLabel } from '../../words/labels';
import { useBoards } from './useBoards';
import './Dragging.css';

/** Pieces inside can be dragged from board to board. With the keyboard the board's menu does the same. */
export function Dragging({ children }: { readonly children: ReactNode }) {
  const label = useLabel();
  const { bring } = useBoards();
  const [held, setHeld] = useState<HeldPiece | null>(null);
  const sensors = useDragSensors();
  return (
    <DndContext
      sensors={sensors}
      autoScroll={SCROLLING}
      onDragStart={({ active }) => setHeld(active.data.current as HeldPiece)}
      onDragCancel={() => setHeld(null)}
      onDragEnd={({ over }) => {
        setHeld(null);
        // What was taken up, though better boards were found meanwhile.
        if (held && over) bring(held.piece, held.board, (over.data.current as Pick<HeldPiece, 'board'>).board);
      }}
    >
      {children}
      <DragOverlay dropAnimation={null}>
        {held && <span className="dragged-piece">{label(held.piece.blank.part.id)}</span>}
      </DragOverlay>
    </DndContext>
  );
}
