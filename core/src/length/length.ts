/**
 * A length is one integer: 1/320 mm. One inch is 8128 of them and 1/64 in is 127, so inch fractions and whole
 * millimetres are both exact, and sums, halves and kerfs never drift.
 */
export type Length = number;

/** How a person reads a tape. */
export type Units = 'in' | 'mm';

export const PER_MM = 320;
export const PER_INCH = 8128;
export const PER_FOOT = 12 * PER_INCH;

/** The longest length anyone may type: 100 m. Guards every later sum against leaving exact integers. */
export const LONGEST: Length = 100_000 * PER_MM;

/** `inches(34.5)` is 34 1/2 in. Exact for multiples of 1/64, else rounded to the nearest 1/320 mm. */
export const inches = (value: number): Length => Math.round(value * PER_INCH);

/** `mm(876)` is 876 mm. */
export const mm = (value: number): Length => Math.round(value * PER_MM);

/** Decimal inches, for formulas that are not exact (weights, stiffness) and for the cut problem format. */
export const toInches = (length: Length): number => length / PER_INCH;

export const toMm = (length: Length): number => length / PER_MM;

/** The step a tape is read to: 1/16 in or 1 mm. */
export const tapeStep = (units: Units): Length => (units === 'in' ? PER_INCH / 16 : PER_MM);

/** Down to a whole tape step; what a fence or a stop is set to. */
export const floorToTape = (length: Length, units: Units): Length =>
  Math.floor(length / tapeStep(units)) * tapeStep(units);

/** To the nearest tape step; for numbers that are read off, such as a diagonal. */
export const roundToTape = (length: Length, units: Units): Length =>
  Math.round(length / tapeStep(units)) * tapeStep(units);
