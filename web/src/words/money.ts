import type { BuyingList } from '@sill/core';
/** `18840` cents is "188.40". */
export const cents = (value: number): string => (value / 100).toFixed(2);

export const dollars = (value: number): string => `${value < 0 ? '−' : ''}$${cents(Math.abs(value))}`;

/** "+$9.20" or "−$5.20". */
export const difference = (value: number): string => `${value < 0 ? '−' : '+'}$${cents(Math.abs(value))}`;

/** Where the money of a list is, once some is spent: with tax, to the cent what it comes to. */
export const sumRows = ({ receipts, sums }: BuyingList): readonly (readonly [string, number])[] =>
  receipts.length === 0
    ? []
    : (
        [
          ['Bought, in use', sums.used],
          ['Bought, not used now', sums.idle],
          ['Bought, spoiled or given away', sums.lost],
          ['Still to buy', sums.toBuy],
        ] as const
      ).filter(([, value]) => value !== 0);

/** What tax there is in a list: "Tax at 6.5 %", or of each yard. */
export const taxWords = ({ byYard }: BuyingList): string =>
  `Tax at ${[...new Set(byYard.map(({ yard }) => `${yard.tax} %`))].join(' and ')}`;
