import { MenuItem, TextField } from '@mui/material';
import { Link } from 'react-router';
import type { Finish, OperationKind, Plan } from '@sill/core';
import { useChangePiece } from '../../state/hooks';
import { useGo } from '../../state/useGo';
import { Words } from '../../words/Words';

type Facts = Plan['pieces'][number];

const FINISHING: ReadonlySet<OperationKind> = new Set([
  'flatten',
  'strip',
  'fill',
  'sand',
  'mask',
  'coat',
  'rub',
  'cure',
]);

const time = (minutes: number): string =>
  minutes < 60
    ? `${minutes} min`
    : minutes < 48 * 60
      ? `${Math.round(minutes / 6) / 10} h`
      : `${Math.round(minutes / 1440)} days`;

const FLATTEN: readonly (readonly [Finish['flatten'], string])[] = [
  ['sander', 'sander'],
  ['belt sander', 'belt sander'],
  ['hand plane', 'hand plane'],
];
const OLD: readonly (readonly [Finish['old'], string])[] = [
  ['none', 'nothing'],
  ['clear', 'a clear finish'],
  ['paint', 'paint'],
];

/** Steps of the finish with their minutes and waits; each leads to its page of the build. */
export function Sittings({ facts }: { readonly facts: Facts }) {
  const { to } = useGo();
  const change = useChangePiece(facts.piece.id);
  const { finish } = facts.piece;
  const isGlued = facts.fastenings.some(({ joint, drilled }) => joint.kind === 'edge' && drilled.role === 'top');
  const rows = facts.steps
    .map((step, at) => ({ step, at }))
    .filter(({ step }) => step.operations.some(({ kind }) => FINISHING.has(kind)));
  return (
    <section className="sheet" aria-label="Sittings">
      <h2>In this order</h2>
      <ol className="sittings">
        {rows.map(({ step, at }) => (
          <li key={step.id}>
            <Link to={`${to('build')}${to('build').includes('?') ? '&' : '?'}step=${at + 1}`}>
              <Words of={step.title} piece={step.piece} />
            </Link>
            <span className="soft">
              {time(step.work)}
              {step.wait > 0 && `, then ${time(step.wait)}`}
            </span>
          </li>
        ))}
      </ol>
      <div className="row wrap">
        {isGlued && (
          <TextField
            select
            label="Top flattened"
            value={finish.flatten}
            onChange={({ target }) => change(['finish', 'flatten'], target.value as Finish['flatten'])}
          >
            {FLATTEN.map(([value, words]) => (
              <MenuItem key={value} value={value}>
                {words}
              </MenuItem>
            ))}
          </TextField>
        )}
        <TextField
          select
          label="On it already"
          value={finish.old}
          onChange={({ target }) => change(['finish', 'old'], target.value as Finish['old'])}
        >
          {OLD.map(([value, words]) => (
            <MenuItem key={value} value={value}>
              {words}
            </MenuItem>
          ))}
        </TextField>
      </div>
    </section>
  );
}
