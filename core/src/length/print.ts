import { PER_FOOT, PER_INCH, PER_MM, type Length, type Units } from './length';

/**
 * A length taken apart for the eye: whole units and a fraction of an inch, or half a millimetre. `over` is 0 where
 * there is none.
 */
export type Reading = {
  readonly negative: boolean;
  readonly feet: number | null;
  readonly whole: number;
  readonly over: number;
  readonly under: number;
  /** True where the length is not exactly this and was rounded to the finest mark. */
  readonly rounded: boolean;
};

/**
 * Takes a length apart as read off a rule: inches to the nearest 1/64, or millimetres to the nearest half.
 *
 * @param feet write whole feet apart, as in 5 ft 6; off by default, since furniture is measured in inches.
 */
export function readLength(length: Length, units: Units, feet = false): Reading {
  const size = Math.abs(length);
  const negative = length < 0;
  if (units === 'mm') {
    const halves = Math.round((2 * size) / PER_MM);
    const [whole, over] = [Math.floor(halves / 2), halves % 2];
    return {
      negative: negative && halves > 0,
      feet: null,
      whole,
      over,
      under: over > 0 ? 2 : 1,
      rounded: halves * PER_MM !== 2 * size,
    };
  }
  const marks = Math.round((size * 64) / PER_INCH);
  const rounded = marks * PER_INCH !== size * 64;
  const feetCount = feet && size >= PER_FOOT ? Math.floor(marks / (64 * 12)) : null;
  const inchMarks = marks - (feetCount ?? 0) * 64 * 12;
  let over = inchMarks % 64;
  let under = 64;
  while (over > 0 && over % 2 === 0) {
    over /= 2;
    under /= 2;
  }
  return { negative: negative && marks > 0, feet: feetCount, whole: Math.floor(inchMarks / 64), over, under, rounded };
}

/** Millimetres as they are written: the half as a decimal. */
export const metric = (whole: number, over: number): string => `${whole}${over > 0 ? '.5' : ''}`;

/** Plain text of a length: `34 1/2`, `876`, `9.5`; with `mark` also the unit: `34 1/2"`, `876 mm`. */
export function printLength(length: Length, units: Units, mark = false): string {
  const { negative, whole, over, under } = readLength(length, units);
  const fraction = over > 0 && units === 'in' ? `${over}/${under}` : '';
  const number =
    units === 'mm' ? metric(whole, over) : fraction && whole > 0 ? `${whole} ${fraction}` : fraction || String(whole);
  const unit = mark ? (units === 'in' ? '"' : ' mm') : '';
  return `${negative ? '-' : ''}${number}${unit}`;
}

/** Down to whole inches: nobody measures what is left over to the sixteenth. */
export const wholeInches = (length: Length): Length => Math.floor(length / PER_INCH) * PER_INCH;
