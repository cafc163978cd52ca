import { hardwareName, offerName, printLength, soldAt, writeCsv, type Job, type Plan } from '@sill/core';
import { cents, dollars, taxWords } from '../../words/money';
import { missingIn } from '../../words/missing';

type Label = (id: string) => string;

/** The list for the store as CSV: boards, hardware, what no yard has, tax and total. */
export function buyingCsv(plan: Plan, job: Job, label: Label): string {
  const { list } = plan;
  const missing = missingIn(plan, label);
  const toBuy = list.boards.filter(({ count }) => count > 0);
  const boxes = list.hardware.filter(({ count }) => count > 0);
  return writeCsv(
    ['yard', 'item', 'grade', 'count', 'each', 'total', 'of which spare'],
    [
      ...toBuy.map(({ offer, count, total, spare }) => [
        soldAt(job, offer).name,
        offerName(offer, job.units),
        'grade' in offer ? offer.grade : 'sheet',
        count,
        cents(offer.price),
        cents(total),
        spare,
      ]),
      ...boxes.map(({ offer, count, total }) => [
        soldAt(job, offer).name,
        hardwareName(offer.kind, offer.size),
        `${offer.count} in one`,
        count,
        cents(offer.price),
        cents(total),
        0,
      ]),
      ...bought(list, job).map(([name, owned, paid]) => ['bought', name, '', owned, '', cents(paid), '']),
      ...missing.map(({ name, count, why }) => ['no yard here', name, why, count, '', '', 0]),
      ['', 'tax', taxWords(list), '', '', cents(list.tax), ''],
      ['', missing.length > 0 ? 'total, incomplete' : 'total', '', '', '', cents(list.total), ''],
    ],
  );
}

/** What is bought already, by what it is. */
const bought = ({ boards, hardware }: Plan['list'], { units }: Job) =>
  [
    ...boards.map((line) => [offerName(line.offer, units), line.owned, line.paid] as const),
    ...hardware.map((line) => [hardwareName(line.offer.kind, line.offer.size), line.owned, line.paid] as const),
  ].filter(([, owned]) => owned > 0);

/** The list as a message: one line each, for a phone or a friend with a van. */
export function buyingText(plan: Plan, job: Job, label: Label): readonly string[] {
  const { list } = plan;
  const missing = missingIn(plan, label);
  const several = list.byYard.length > 1;
  return [
    `${job.name}, ${list.byYard.map(({ yard }) => yard.name).join(' and ')}`,
    ...list.boards.flatMap((line) => {
      const { offer, count, total, storeCuts } = line;
      if (count === 0) return [];
      const cuts = storeCuts.flatMap((at) => at ?? []).map((at) => printLength(at, job.units, true));
      return `${several ? `${soldAt(job, offer).name}: ` : ''}${count} x ${offerName(offer, job.units)}, ${cents(total)}${cuts.length > 0 ? `, cut at ${cuts.join(', ')}` : ''}`;
    }),
    ...list.hardware.flatMap(({ offer, count, total }) =>
      count === 0 ? [] : `${count} x ${hardwareName(offer.kind, offer.size)} (${offer.count}), ${cents(total)}`,
    ),
    ...bought(list, job).map(([name, owned, paid]) => `Bought: ${owned} x ${name}, ${cents(paid)}`),
    ...missing.map(({ name, count, why }) => `${count} ${name}: ${why}`),
    `${missing.length > 0 ? 'Incomplete, with' : 'With'} ${taxWords(list).toLowerCase()} ${dollars(list.total)}`,
  ];
}
