import { hardwareName, isPoured, type HardwareKind, KIT, LASTING, type Job, type Plan } from '@sill/core';
import { useChangeJob, useJob, usePlan } from '../../state/hooks';
import { cents } from '../../words/money';

const KINDS: ReadonlySet<HardwareKind> = new Set<HardwareKind>([
  'disc',
  'paper',
  'belt',
  'filler',
  'thin-glue',
  'caulk',
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
  'thin glue': 'Thin glue',
  caulk: 'Caulk',
};

type Named = { readonly kind: HardwareKind; readonly size: string };
const amount = ({ kind }: Named, count: number): string =>
  `${Number.isInteger(count) ? count : count < 1 ? 'under 1' : Math.ceil(count)}${isPoured(kind) ? ' fl oz' : ''}`;

/** What the steps of one piece use up, all its copies. */
function takenBy({ steps, piece }: Plan['pieces'][number]): (of: Named) => string {
  const counts = new Map<string, number>();
  for (const operation of steps.flatMap(({ operations }) => operations))
    for (const { kind, size, count } of 'takes' in operation ? operation.takes : []) {
      const before = counts.get(`${kind} ${size}`) ?? 0;
      // What is used again is needed once.
      counts.set(`${kind} ${size}`, LASTING.includes(kind) ? Math.max(before, count) : before + count * piece.copies);
    }
  return (of) => {
    const count = counts.get(`${of.kind} ${of.size}`);
    return count === undefined ? '' : amount(of, Math.round(100 * count) / 100);
  };
}

/** What all pieces of the job are finished with: how much of it, in which cans, and what is there already. */
export function Amounts({ facts }: { readonly facts: Plan['pieces'][number] }) {
  const plan = usePlan();
  const { shop, pieces } = useJob();
  const change = useChangeJob();
  const rows = (plan?.list.hardware ?? []).filter(({ offer, need }) => KINDS.has(offer.kind) && need.count > 0);
  const there = (plan?.list.there ?? []).filter(({ kind }) => KINDS.has(kind));
  const total = rows.reduce((sum, { total: own }) => sum + own, 0);
  const isShared = pieces.length > 1;
  const here = takenBy(facts);
  return (
    <section className="sheet" aria-label="Amounts">
      <h2>For the whole job</h2>
      {rows.length + there.length === 0 ? (
        <p>Nothing is needed.</p>
      ) : (
        <table className="finish-table">
          <thead>
            <tr>
              <th>What</th>
              {isShared && <th className="number">This piece</th>}
              <th className="number">All</th>
              <th className="number">Buy</th>
              <th className="number">$</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ offer, need, count, total: own }, at) => (
              <tr key={offer.id}>
                <th scope="row">{hardwareName(offer.kind, offer.size)}</th>
                {/* Of one thing in boxes of two sizes it is told once. */}
                {isShared && <td className="number">{rows[at - 1]?.need !== need && here(need)}</td>}
                <td className="number">{rows[at - 1]?.need !== need && amount(need, need.count)}</td>
                <td className="number">
                  {count} x {offer.count}
                </td>
                <td className="number">{cents(own)}</td>
              </tr>
            ))}
            {there.map((need) => (
              <tr key={`${need.kind} ${need.size}`}>
                <th scope="row">{hardwareName(need.kind, need.size)}, from the rack</th>
                {isShared && <td className="number" />}
                <td className="number">{amount(need, need.count)}</td>
                <td className="number">none</td>
                <td className="number">{cents(0)}</td>
              </tr>
            ))}
            <tr>
              <th scope="row">Together, before tax</th>
              {isShared && <td />}
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
