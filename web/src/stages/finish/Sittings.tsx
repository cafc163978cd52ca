import { Link } from 'react-router';
import type { Finish, OperationKind, Plan } from '@sill/core';
import { useChangePiece, usePiece } from '../../state/hooks';
import { useGo } from '../../state/useGo';
import { Pick } from '../../ui/Pick';
import { Words } from '../../words/Words';
import { NoteFor } from '../shared/NoteFor';

type Facts = Plan['pieces'][number];

const FINISHING: ReadonlySet<OperationKind> = new Set([
  'sample',
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
  ['planer', 'planer, before it is joined'],
];
const CRACKS: readonly (readonly [Finish['cracks'], string])[] = [
  ['filler', 'filler'],
  ['thin glue', 'thin glue, hard at once'],
  ['sawdust', 'sawdust and glue'],
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
  const { finish } = usePiece() ?? facts.piece;
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
          <Pick
            label="Top flattened with"
            value={finish.flatten}
            options={FLATTEN}
            onChange={(by) => change(['finish', 'flatten'], by)}
          />
        )}
        <Pick
          label="Knots and cracks"
          value={finish.cracks}
          options={CRACKS}
          onChange={(cracks) => change(['finish', 'cracks'], cracks)}
        />
        <Pick
          label="On it already"
          value={finish.old}
          options={OLD}
          onChange={(old) => change(['finish', 'old'], old)}
        />
      </div>
      <NoteFor kind="no-planer" />
    </section>
  );
}
