import { hardwareName, isPoured, type HardwareKind, KIT, type Job } from '@sill/core';
import { useChangeJob, useJob, usePlan } from '../../state/hooks';
import { cents } from '../../words/money';

const KINDS: ReadonlySet<HardwareKind> = new Set<HardwareKind>([
  'disc',
  'paper',
  'belt',
  'filler',
  'stain',
  'finish',
  'brush',
  'roller',
  'rag',
  'tape',
  'glove',
  'cartridge',
  'lead-test',
]);

const KIT_NAMES: Readonly<Record<Job['shop']['kit'][number], string>> = {
  brushes: 'Brushes',
  rollers: 'Rollers',
  rags: 'Rags',
  gloves: 'Gloves',
  tape: 'Tape',
  respirator: 'Respirator',
  filler: 'Filler',
};

/** What all pieces of the job are finished with: how much of it, in which cans, and what is there already. */
export function Amounts() {
  const plan = usePlan();
  const { shop } = useJob();
  const change = useChangeJob();
  const rows = (plan?.list.hardware ?? []).filter(({ offer, need }) => KINDS.has(offer.kind) && need.count > 0);
  const total = rows.reduce((sum, { total: own }) => sum + own, 0);
  return (
    <section className="sheet" aria-label="Amounts">
      <h2>For the whole job</h2>
      {rows.length === 0 ? (
        <p>Nothing is needed.</p>
      ) : (
        <table className="finish-table">
          <thead>
            <tr>
              <th>What</th>
              <th className="number">Need</th>
              <th className="number">Buy</th>
              <th className="number">$</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ offer, need, count, total: own }, at) => (
              <tr key={offer.id}>
                <th scope="row">{hardwareName(offer.kind, offer.size)}</th>
                <td className="number">
                  {/* Of one thing in boxes of two sizes it is told once. */}
                  {rows[at - 1]?.need !== need && `${need.count}${isPoured(offer.kind) ? ' fl oz' : ''}`}
                </td>
                <td className="number">
                  {count} x {offer.count}
                </td>
                <td className="number">{cents(own)}</td>
              </tr>
            ))}
            <tr>
              <th scope="row">Together, before tax</th>
              <td />
              <td />
              <td className="number">{cents(total)}</td>
            </tr>
          </tbody>
        </table>
      )}
      <fieldset className="kit">
        <legend>There already, not bought</legend>
        {KIT.map((name) => (
          <label key={name} className="tick">
            <input
              type="checkbox"
              checked={shop.kit.includes(name)}
              onChange={({ target }) =>
                change(
                  ['shop', 'kit'],
                  KIT.filter((one) => (one === name ? target.checked : shop.kit.includes(one))),
                )
              }
            />
            <span>{KIT_NAMES[name]}</span>
          </label>
        ))}
      </fieldset>
    </section>
  );
}
