import { Link } from '@mui/material';
import { isSought } from '@sill/core';
import { NoteMark } from '../stages/shared/NoteFor';
import { useChange, useNotes, usePlan } from '../state/hooks';
import { Words } from '../words/Words';
import { SoughtWays } from './SoughtWays';
import './Margin.css';

/** Where the interface is general: the word that goes over all of it. */
const LAST_WORD =
  'Loads and times are estimates for ordinary home use. Local codes, the tool’s manual and the product’s label come first.';

/** Notes on what is in view: what, why with the number, and the way out. */
export function Margin() {
  const notes = useNotes();
  const plan = usePlan();
  const change = useChange();
  // Before there is a plan nobody knows whether there is anything to note.
  const none = plan ? 'Nothing to note here.' : 'The notes come with the plan.';
  return (
    <aside className="margin" aria-label="Margin notes" tabIndex={0}>
      <h2>Margin notes</h2>
      {notes.length === 0 && <p className="soft">{none}</p>}
      <ol>
        {notes.map((note, at) => (
          <li key={note.id}>
            <NoteMark number={at + 1} level={note.level} />
            <div>
              <h3>
                <Words of={note.title} piece={note.piece} />
              </h3>
              <p>
                <Words of={note.because} piece={note.piece} />
                {note.remedies.map((remedy, which) => (
                  <span key={which}>
                    {' '}
                    <Link component="button" type="button" className="remedy" onClick={() => change(remedy.changes)}>
                      <Words of={remedy.label} piece={note.piece} />
                    </Link>
                  </span>
                ))}
                {isSought(note) && (
                  <>
                    {' '}
                    <SoughtWays note={note} />
                  </>
                )}
              </p>
            </div>
          </li>
        ))}
      </ol>
      <p className="soft last-word">{LAST_WORD}</p>
    </aside>
  );
}
