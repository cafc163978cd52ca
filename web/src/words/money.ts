/** `18840` cents is "188.40". */
export const cents = (value: number): string => (value / 100).toFixed(2);

export const dollars = (value: number): string => `${value < 0 ? '−' : ''}$${cents(Math.abs(value))}`;

/** "+$9.20" or "−$5.20". */
export const difference = (value: number): string => `${value < 0 ? '−' : '+'}$${cents(Math.abs(value))}`;
