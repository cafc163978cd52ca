import { addMonths, format, parseISO } from 'date-fns';
import { Button } from '@mui/material';
import { hardwareName, keepsFor, leftInCans, type Can, type LeftInCans, type Plan } from '@sill/core';
import { useEdges, useJob } from '../../state/hooks';
import { newId } from '../../state/newId';
import { useErrand } from '../../state/useErrand';
import { STAMP, useHoldings, useTell } from '../../state/useLedger';
import { useRack } from '../../state/useRack';

/** The last day that a can is good on; null where nobody knows when it was opened. */
const goodUntil = ({ kind, size, since }: Can): Date | null =>
  since === null ? null : addMonths(parseISO(since), keepsFor(kind, size));

const named = ({ kind, size, ounces }: Pick<Can, 'kind' | 'size' | 'ounces'>): string =>
  `${ounces} fl oz of ${hardwareName(kind, size)}`;

/** How long a can is good for still. */
function Good({ can }: { readonly can: Can }) {
  const { today } = useEdges();
  const until = goodUntil(can);
  if (until === null) return <span className="soft">opened nobody knows when: try it on a scrap</span>;
  return until < parseISO(today()) ? (
    <span className="past">past its time since {format(until, 'MMM yyyy')}: try it on a scrap</span>
  ) : (
    <span className="soft">good until {format(until, 'MMM yyyy')}</span>
  );
}

/** What is left in cans, put on the rack for any job; and what lies there, used before any is bought. */
export function Cans({ plan }: { readonly plan: Plan }) {
  const job = useJob();
  const rack = useRack();
  const tell = useTell();
  const { today } = useEdges();
  const { busy, run } = useErrand();
  const { cans: used } = useHoldings();
  const wanted = new Set(
    [...plan.list.hardware.map(({ need }) => need), ...plan.list.there].map(({ kind, size }) => `${kind} ${size}`),
  );
  const left = leftInCans(plan, job);
  const onRack = [...(rack.cans ?? [])].sort((a, b) => {
    const isWanted = ({ kind, size }: Can) => Number(wanted.has(`${kind} ${size}`));
    return isWanted(b) - isWanted(a) || a.size.localeCompare(b.size);
  });
  const toRack = ({ kind, size, ounces }: LeftInCans) =>
    run(async () => {
      const can: Can = { id: newId(), kind, size, ounces, since: today(), note: `from ${job.name}` };
      await rack.putCans([...(rack.cans ?? []), can]);
      tell([{ id: newId(), at: STAMP.at, what: 'can racked', can }]);
      return `${named(can)} stands on the rack now, for any job.`;
    });
  const fromRack = (can: Can) =>
    run(async () => {
      await rack.putCans((rack.cans ?? []).filter(({ id }) => id !== can.id));
      tell([{ id: newId(), at: STAMP.at, what: 'can fetched', can }]);
      return `${named(can)} is for this job now: so much less is bought.`;
    });
  const empty = (can: Can) =>
    run(async () => {
      await rack.putCans((rack.cans ?? []).filter(({ id }) => id !== can.id));
      return `${named(can)} is off the rack.`;
    });
  return (
    <>
      {left.length > 0 && (
        <>
          <h3>Left over</h3>
          <ul className="taken" aria-label="Left in cans">
            {left.map((row) => (
              <li key={`${row.kind} ${row.size}`}>
                <span>
                  {named(row)}
                  <span className="soft"> keeps {keepsFor(row.kind, row.size)} months</span>
                </span>
                <Button
                  size="small"
                  aria-label={`${hardwareName(row.kind, row.size)} to the rack`}
                  disabled={busy || !row.isHere || rack.cans === null}
                  onClick={() => toRack(row)}
                >
                  {row.isHere ? 'To the rack' : 'Once it is bought'}
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
      <h3>On the rack, for any job</h3>
      {rack.cans === null ? (
        <p className="soft">The rack is kept by the server, which does not answer.</p>
      ) : onRack.length === 0 ? (
        <p className="soft">No cans. What a job leaves over can be put here with its day.</p>
      ) : (
        <ul className="taken" aria-label="Cans on the rack">
          {onRack.map((can) => (
            <li key={can.id}>
              <span>
                {named(can)} <Good can={can} />
              </span>
              <span className="strip-does">
                <Button
                  size="small"
                  aria-label={`Use ${hardwareName(can.kind, can.size)} here`}
                  disabled={busy}
                  onClick={() => fromRack(can)}
                >
                  Use it here
                </Button>
                <Button
                  size="small"
                  aria-label={`${hardwareName(can.kind, can.size)} is used up or dried out`}
                  disabled={busy}
                  onClick={() => empty(can)}
                >
                  Empty
                </Button>
              </span>
            </li>
          ))}
        </ul>
      )}
      {used.length > 0 && <p className="soft">For this job from the rack: {used.map(named).join(', ')}.</p>}
    </>
  );
}
