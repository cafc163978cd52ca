import { addMonths, format, parseISO } from 'date-fns';
import { Button } from '@mui/material';
import { hardwareName, keepsFor, leftInCans, type Can, type LeftInCans, type Plan } from '@sill/core';
import { useEdges, useJob } from '../../state/hooks';
import { newId } from '../../state/newId';
import { useErrand } from '../../state/useErrand';
import { STAMP, useHoldings, useTell } from '../../state/useLedger';
import { useLeftOver } from '../../state/useLeftOver';
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
  const { toRack: put } = useLeftOver(plan);
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
  const toRack = (row: LeftInCans) =>
    run(async () => {
      tell(await put([], [row]));
      return `${named(row)} stands on the rack now, for any job.`;
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
    <section className="sheet" aria-label="Cans">
      {left.length > 0 && (
        <>
          <h2>Left in cans</h2>
          <ul className="taken" aria-label="Left in cans">
            {left.map((row) => (
              <li key={`${row.kind} ${row.size}`}>
                <span>
                  {named(row)}
                  <span className="soft"> keeps {keepsFor(row.kind, row.size)} months</span>
                </span>
                {row.isHere ? (
                  <Button
                    size="small"
                    aria-label={`${hardwareName(row.kind, row.size)} to the rack`}
                    disabled={busy || rack.cans === null}
                    onClick={() => toRack(row)}
                  >
                    To the rack
                  </Button>
                ) : (
                  <span className="soft">to be bought</span>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
      <h2>Cans on the rack, for any job</h2>
      {rack.cans === null ? (
        <p className="soft">The rack is kept by the server, which does not answer.</p>
      ) : onRack.length === 0 ? (
        <p className="soft">No cans. What a job leaves over can be put here with its day.</p>
      ) : (
        <OnRack cans={onRack} busy={busy} onUse={fromRack} onEmpty={empty} />
      )}
      {used.length > 0 && <p className="soft">For this job from the rack: {used.map(named).join(', ')}.</p>}
    </section>
  );
}

type OnRackProps = {
  readonly cans: readonly Can[];
  readonly busy: boolean;
  readonly onUse: (can: Can) => void;
  readonly onEmpty: (can: Can) => void;
};

function OnRack({ cans, busy, onUse, onEmpty }: OnRackProps) {
  return (
    <ul className="taken" aria-label="Cans on the rack">
      {cans.map((can) => {
        const name = hardwareName(can.kind, can.size);
        return (
          <li key={can.id}>
            <span>
              {named(can)} <Good can={can} />
            </span>
            <span className="strip-does">
              <Button size="small" aria-label={`Use ${name} here`} disabled={busy} onClick={() => onUse(can)}>
                Use it here
              </Button>
              <Button
                size="small"
                aria-label={`${name} is used up or dried out`}
                disabled={busy}
                onClick={() => onEmpty(can)}
              >
                Empty
              </Button>
            </span>
          </li>
        );
      })}
    </ul>
  );
}
