import type { BuyingList } from '@sill/core';
/** `18840` cents is "188.40". */
export const cents = (value: number): string => (value / 100).toFixed(2);

export const dollars = (value: number): string => `${value < 0 ? '−' : ''}$${cents(Math.abs(value))}`;

/** "+$9.20" or "−$5.20". */
export const difference = (value: number): string => `${value < 0 ? '−' : '+'}$${cents(Math.abs(value))}`;

/** What tax there is in a list: "Tax at 6.5 %", or of each yard. */
export const taxWords = ({ byYard }: BuyingList): string =>
  `Tax at ${[...new Set(byYard.map(({ yard }) => `${yard.tax} %`))].join(' and ')}`;
