import { didYouMean, meaningsOf } from './amount';
import { LONGEST, PER_FOOT, PER_INCH, PER_MM, type Length, type Units } from './length';

export type Parsed = { ok: true; length: Length } | { ok: false; message: string };

const VULGAR: Record<string, string> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅐': '1/7',
  '⅑': '1/9',
  '⅒': '1/10',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

const UNIT_SIZE: Record<string, number> = {
  "'": PER_FOOT,
  ft: PER_FOOT,
  foot: PER_FOOT,
  feet: PER_FOOT,
  '"': PER_INCH,
  in: PER_INCH,
  inch: PER_INCH,
  inches: PER_INCH,
  mm: PER_MM,
  cm: 10 * PER_MM,
  m: 1000 * PER_MM,
};

/** A number (34, 34.5, 1,500, 1/2, 34 1/2, 34-1/2) and an optional unit, at the start of the text. */
const AMOUNT =
  /^(?:(\d+)(?:\s+|-)(\d+)\/(\d+)|(\d+)\/(\d+)|(\d(?:[\d.,\u00a0\u202f\u2009]*\d)?[.,]?|[.,]\d+))\s*(?:('|"|[a-z]+)\.?)?\s*/;

const example = (units: Units): string =>
  units === 'in' ? 'Try 34 1/2, 2\' 10 1/2" or 876mm.' : 'Try 876, 87.6 cm or 34 1/2 in.';

const tidy = (text: string): string =>
  text
    .trim()
    .toLowerCase()
    .replace(/[¼½¾⅐⅑⅒⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign]}`)
    .replace(/⁄/g, '/')
    .replace(/''|[″”“]/g, '"')
    .replace(/[′’‘]/g, "'")
    .replace(/[–—−]/g, '-')
    .replace(/×/g, 'x')
    .trim();

const refuse = (message: string): Parsed => ({ ok: false, message });

/**
 * The one value of a number in a unit, or what is to be asked. Thousands of millimetres are grouped by a comma, inches
 * have three decimals behind a point; the other way round nobody can tell.
 */
function valueOf(number: string, unit: number, typed: string): number | Parsed {
  const [first, second] = meaningsOf(number);
  if (first === undefined) return refuse(`“${typed}” is not a length.`);
  if (second === undefined) return first;
  const inMm = unit === PER_MM;
  if (number.includes(',')) return inMm ? first : refuse(didYouMean(typed, [first, second]));
  // 876.000 is how some programs write 876.
  return !inMm || (Number.isInteger(second) && second >= 10) ? second : refuse(didYouMean(typed, [first, second]));
}

/**
 * Reads a length the way people write one: `34 1/2`, `34.5`, `34-1/2"`, `2' 10 1/2"`, `2'-10 1/2"`, `5 ft. 6 in.`,
 * `876mm`, `1,500 mm`, `87.6 cm`, and sums and differences of these such as `36 - 1 1/2`. A bare number is in `units`;
 * after feet a bare number is inches. A hyphen between a whole number and a fraction, or right behind feet, joins them;
 * any other hyphen takes away. What could be read two ways is asked about: no other number is ever taken than the one
 * meant.
 *
 * @returns the length rounded to 1/320 mm, or a message that says what would be right. Negative results are allowed
 * here; whether a size may be negative is the field's business.
 */
export function parseLength(text: string, units: Units): Parsed {
  const typed = text.trim();
  let rest = tidy(text);
  if (rest === '') return refuse(`A length is needed. ${example(units)}`);
  if (/\d\s*x\s*\d/.test(rest))
    return refuse(`“${typed}” is two sizes. A length is one: try ${units === 'in' ? '34 1/2' : '876'}.`);
  let total = 0;
  let sign = 1;
  let started = false;
  let lastUnit = 0;
  let [spaced, whole] = [false, false];
  while (rest !== '') {
    const operator = /^([+-])(\s*)/.exec(rest);
    let joined = false;
    if (operator) {
      const after = rest.slice(operator[0].length);
      const uneven = operator[1] === '-' && started && spaced !== (operator[2] !== '');
      joined = operator[1] === '-' && lastUnit === PER_FOOT && !spaced && operator[2] === '';
      if (uneven && (lastUnit === PER_FOOT || (whole && /^\d+\/\d+/.test(after)))) {
        const before = tidy(text)
          .slice(0, tidy(text).length - rest.length)
          .trim();
        return refuse(didYouMean(typed, [`${before} ${after}`, `${before} − ${after}`]));
      }
      if (!joined) {
        sign = operator[1] === '-' ? -1 : 1;
        lastUnit = 0;
      }
      rest = after;
    } else if (started && lastUnit !== PER_FOOT && /^[\d.]/.test(rest)) {
      return refuse(`“${typed}” is two lengths side by side. Put + or − between them.`);
    }
    const amount = AMOUNT.exec(rest);
    if (!amount) return refuse(`“${typed}” is not a length. ${example(units)}`);
    const [matched, full, over, under, justOver, justUnder, number, unitName] = amount;
    const denominator = under ?? justUnder;
    if (denominator !== undefined && Number(denominator) === 0)
      return refuse(`“${typed}” divides by zero. ${example(units)}`);
    if (full !== undefined && Number(over) >= Number(under))
      return refuse(`“${over}/${under}” is not less than 1. ${example(units)}`);
    if (unitName !== undefined && !(unitName in UNIT_SIZE))
      return refuse(`“${unitName}” is not a unit known here. Use in, ft, mm, cm or m.`);
    const afterFeet = lastUnit === PER_FOOT;
    const bare = afterFeet || units === 'in' ? PER_INCH : PER_MM;
    const unit = unitName === undefined ? bare : (UNIT_SIZE[unitName] ?? bare);
    if (afterFeet && unit !== PER_INCH) return refuse(`“${typed}”: after feet come inches. ${example(units)}`);
    const value = number === undefined ? 0 : valueOf(number, unit, typed);
    if (typeof value !== 'number') return value;
    if (afterFeet && value >= 100)
      return refuse(didYouMean(typed, [typed.replace(/['’′]/g, ''), typed.replace(/['’′]/g, ' ft ')]));
    const fraction = denominator === undefined ? 0 : Number(over ?? justOver) / Number(denominator);
    total += sign * (Number(full ?? 0) + value + fraction) * unit;
    lastUnit = unit;
    started = true;
    spaced = /\s$/.test(matched);
    whole = number !== undefined && /^\d+$/.test(number) && unitName === undefined;
    rest = rest.slice(matched.length);
  }
  const length = Math.round(total);
  if (Math.abs(length) > LONGEST) return refuse('That is longer than 100 m. Check the unit.');
  return { ok: true, length };
}
