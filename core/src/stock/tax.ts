import type { Yard } from './yard';

/** Tax on a price, cents, rounded once. */
export const taxOn = (cents: number, { tax }: Pick<Yard, 'tax'>): number => Math.round((cents * tax) / 100);
