import { offcutsInWords, wholeInches, type Plan } from '@sill/core';
import { Dim } from '../../words/Dim';
import { Words } from '../../words/Words';
import './Offcuts.css';

/** What is left over, and what becomes of it: samples, spacers and tests, the rest for the rack. */
export function Offcuts({ plan }: { readonly plan: Plan }) {
  if (plan.offcuts.length === 0) return null;
  return (
    <section className="sheet offcuts" aria-label="Offcuts">
      <h2>
        Offcuts <small className="soft">{offcutsInWords(plan.offcuts)}</small>
      </h2>
      <ul>
        {plan.offcuts.map(({ board, offcut, jobs, keep }) => (
          <li key={`${board} ${offcut.x} ${offcut.y}`}>
            <strong>
              Board {board}, <Dim of={wholeInches(offcut.length)} mark />
            </strong>{' '}
            {jobs.map(({ what }, at) => (
              <span key={at}>
                {at > 0 && ', then '}
                <Words of={what} />
              </span>
            ))}
            {keep > 0 && (
              <span>
                {jobs.length > 0 ? '; ' : ''}keep <Dim of={wholeInches(keep)} mark /> for the rack
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
