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

/** A number (34, 34.5, 1/2, 34 1/2, 34-1/2) and an optional unit, at the start of the text. */
const AMOUNT = /^(?:(\d+)(?:\s+|-)(\d+)\/(\d+)|(\d+)\/(\d+)|(\d+(?:\.\d*)?|\.\d+))\s*('|"|[a-z]+)?\s*/;

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
    .replace(/(\d),(\d)/g, '$1.$2')
    .trim();

/**
 * Reads a length the way people write one: `34 1/2`, `34.5`, `34-1/2"`, `2' 10 1/2"`, `876mm`, `87.6 cm`, and sums
 * and differences of these such as `36 - 1 1/2`. A bare number is in `units`; after feet a bare number is inches.
 * A hyphen between a whole number and a fraction joins them; any other hyphen takes away.
 *
 * @returns the length rounded to 1/320 mm, or a message that says what would be right. Negative results are allowed
 * here; whether a size may be negative is the field's business.
 */
export function parseLength(text: string, units: Units): Parsed {
  let rest = tidy(text);
  if (rest === '') return { ok: false, message: `A length is needed. ${example(units)}` };
  let total = 0;
  let sign = 1;
  let started = false;
  let lastUnit = 0;
  while (rest !== '') {
    const operator = /^([+-])\s*/.exec(rest);
    if (operator) {
      sign = operator[1] === '-' ? -1 : 1;
      rest = rest.slice(operator[0].length);
      lastUnit = 0;
    } else if (started && lastUnit !== PER_FOOT && /^[\d.]/.test(rest)) {
      return { ok: false, message: `“${text.trim()}” is two lengths side by side. Put + or − between them.` };
    }
    const amount = AMOUNT.exec(rest);
    if (!amount) return { ok: false, message: `“${text.trim()}” is not a length. ${example(units)}` };
    const [matched, whole, over, under, justOver, justUnder, decimal, unitName] = amount;
    const denominator = under ?? justUnder;
    if (denominator !== undefined && Number(denominator) === 0)
      return { ok: false, message: `“${text.trim()}” divides by zero. ${example(units)}` };
    const value = decimal !== undefined ? Number(decimal) : 0;
    const fraction = denominator === undefined ? 0 : Number(over ?? justOver) / Number(denominator);
    if (unitName !== undefined && !(unitName in UNIT_SIZE))
      return { ok: false, message: `“${unitName}” is not a unit known here. Use in, ft, mm, cm or m.` };
    const bare = lastUnit === PER_FOOT ? PER_INCH : units === 'in' ? PER_INCH : PER_MM;
    const unit = unitName === undefined ? bare : UNIT_SIZE[unitName]!;
    total += sign * (Number(whole ?? 0) + value + fraction) * unit;
    lastUnit = unit;
    started = true;
    rest = rest.slice(matched.length);
  }
  const length = Math.round(total);
  if (Math.abs(length) > LONGEST) return { ok: false, message: 'That is longer than 100 m. Check the unit.' };
  return { ok: true, length };
}
