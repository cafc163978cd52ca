import { Link } from 'react-router';
import { dayWords, earnedAnHour, savedBy, stateOf, type JobRecord } from '@sill/core';
import { spanWords } from '../words/days';
import { dollars } from '../words/money';

const ORDER = { 'under way': 0, planned: 1, finished: 2 } as const;

/** Jobs side by side: those under way first, what each came to and what it saved. */
export function JobsTable({ records }: { readonly records: readonly JobRecord[] }) {
  const rows = [...records].sort((a, b) => ORDER[stateOf(a)] - ORDER[stateOf(b)]);
  const saved = rows.flatMap((record) => savedBy(record) ?? []);
  return (
    <div className="scroll">
      <table className="record-table">
        <thead>
          <tr>
            <th scope="col">Job</th>
            <th scope="col">How it stands</th>
            <th scope="col">Hours</th>
            <th scope="col">Paid</th>
            <th scope="col">Saved</th>
            <th scope="col">An hour earned</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((record) => {
            const { id, name, closed, from, minutes, cents } = record;
            const state = stateOf(record);
            const own = savedBy(record);
            const earned = closed && earnedAnHour(closed.bought, closed);
            return (
              <tr key={id}>
                <th scope="row">
                  <Link to={`/jobs/${id}/log`}>{name}</Link>
                </th>
                <td>
                  {state === 'finished' && closed?.ready
                    ? `finished ${dayWords(closed.ready)}`
                    : state === 'under way' && from !== null
                      ? `under way since ${dayWords(from)}`
                      : state}
                </td>
                <td>{minutes > 0 ? spanWords(Math.round(closed?.minutes ?? minutes)) : ''}</td>
                <td>{cents > 0 ? dollars(closed?.cents ?? cents) : ''}</td>
                <td className={own !== null && own < 0 ? 'over' : 'under'}>{own === null ? '' : dollars(own)}</td>
                <td>{earned ? dollars(earned) : ''}</td>
              </tr>
            );
          })}
        </tbody>
        {saved.length > 1 && (
          <tfoot>
            <tr>
              <th scope="row">Together</th>
              <td />
              <td />
              <td />
              <td>{dollars(saved.reduce((sum, one) => sum + one, 0))}</td>
              <td />
            </tr>
          </tfoot>
        )}
      </table>
    </div>
  );
}
