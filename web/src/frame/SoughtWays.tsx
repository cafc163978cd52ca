import { Link } from '@mui/material';
import { useState } from 'react';
import type { Finding, Help } from '@sill/core';
import { useChange, useEdges, useJob } from '../state/hooks';
import { useExploring } from '../state/useExploring';
import { difference } from '../words/money';
import { Words } from '../words/Words';

const NONE: readonly Help[] | null = null;

/** Ways out that are tried on the whole piece once a person asks for them, each with what it costs. */
export function SoughtWays({ note }: { readonly note: Finding }) {
  const job = useJob();
  const [of, setOf] = useState<typeof job | null>(null);
  // Another change of the job: what was found is not asked for any more.
  if (of !== job)
    return (
      <Link component="button" type="button" className="remedy" onClick={() => setOf(job)}>
        What would help
      </Link>
    );
  return <Found note={note} />;
}

function Found({ note }: { readonly note: Finding }) {
  const job = useJob();
  const change = useChange();
  const { explorer } = useEdges();
  const { found, state } = useExploring<readonly Help[] | null>(note.id, NONE, (tell) =>
    explorer.exploreHelps(job, note.id, (helps) => tell(() => helps)),
  );
  if (state === 'failed') return <span className="soft">It could not be worked out.</span>;
  if (!found) return <span className="soft">Trying changes on the whole piece…</span>;
  if (found.length === 0) return <span className="soft">No single change of those tried is enough.</span>;
  return (
    <span role="status">
      {found.map(({ label, changes, adds }, at) => (
        <span key={at}>
          {at > 0 && ' '}
          <Link component="button" type="button" className="remedy" onClick={() => change(changes)}>
            <Words of={label} piece={note.piece} /> ({adds === 0 ? 'the same price' : difference(adds)})
          </Link>
        </span>
      ))}
    </span>
  );
}
