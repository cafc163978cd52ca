import type { Finding, FindingKind } from '@sill/core';
import { useNotes } from '../../state/hooks';
import './NoteFor.css';

const LEVEL = { stop: 'Stop', care: 'Take care', good: 'Good' } as const;

export function NoteMark({ number, level }: { readonly number: number; readonly level: Finding['level'] }) {
  return (
    <span
      className="note-mark"
      data-level={level}
      role="img"
      aria-label={`note ${number}, ${LEVEL[level].toLowerCase()}`}
    >
      {number}
    </span>
  );
}

/** The number of the first note of a kind, to stand beside what it is about. */
export function NoteFor({ kind }: { readonly kind: FindingKind }) {
  const notes = useNotes();
  const at = notes.findIndex((note) => note.kind === kind);
  const note = notes[at];
  return note ? <NoteMark number={at + 1} level={note.level} /> : null;
}
