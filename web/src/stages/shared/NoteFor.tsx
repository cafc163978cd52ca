import type { Finding } from '@sill/core';
import { useNotes } from '../../state/hooks';

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

/** The number of the note whose id ends so, to stand beside what it is about. */
export function NoteFor({ id }: { readonly id: string }) {
  const notes = useNotes();
  const at = notes.findIndex((note) => note.id.endsWith(`.${id}`));
  const note = notes[at];
  return note ? <NoteMark number={at + 1} level={note.level} /> : null;
}
