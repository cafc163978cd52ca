/** What a written number can mean: one value, two where a separator may group thousands or begin decimals, none. */
import { first } from '../lists';
export type Meanings = readonly number[];

/** Spaces that people and programs set between thousands; a plain one only where `spaced`. */
const THIN = /(\d)[\u00a0\u202f\u2009](?=\d{3}(?!\d))/g;
const PLAIN = /(\d) (?=\d{3}(?!\d))/g;

/** Three digits after one separator, behind one to three that do not begin with a nought: `1,500` and `1.500`. */
const TWO_WAYS = /^([1-9]\d{0,2})([.,])(\d{3})$/;

/**
 * What a number may mean as people write it: `1500`, `34.5`, `34,5`, `1,500`, `1.500,25`, `1 500`. The grouped reading
 * comes first where there are two. Empty where it is no number.
 *
 * @param spaced whether a plain space may group thousands, as in money: in a length it parts two numbers.
 */
export function meaningsOf(text: string, spaced = false): Meanings {
  const bare = (spaced ? text.trim().replace(PLAIN, '$1') : text.trim()).replace(THIN, '$1');
  const two = TWO_WAYS.exec(bare);
  if (two) return [Number(`${two[1]}${two[3]}`), Number(`${two[1]}.${two[3]}`)];
  if (/^(\d+[.,]?\d*|[.,]\d+)$/.test(bare)) return [Number(bare.replace(',', '.'))];
  // Groups of three, then decimals behind the other separator where there are any.
  const grouped = /^\d{1,3}(?:,\d{3})+(\.\d+)?$/.test(bare)
    ? bare.replace(/,/g, '')
    : /^\d{1,3}(?:\.\d{3})+(,\d+)?$/.test(bare)
      ? bare.replace(/\./g, '').replace(',', '.')
      : null;
  return grouped === null ? [] : [Number(grouped)];
}

/** The question that is asked where a number can be read two ways. */
export const didYouMean = (typed: string, ways: readonly (string | number)[]): string =>
  `“${typed.trim()}” can be read two ways. Did you mean ${ways.join(' or ')}?`;

export type ReadAmount =
  | { readonly ok: true; readonly value: number }
  | { readonly ok: false; readonly mean: Meanings };

/**
 * A number of a field that knows its limits: of two readings the one that is within them. Where both are, a comma
 * groups thousands; a point is asked about, as money and counts have no three decimals.
 */
export function readAmount(text: string, least: number, most: number): ReadAmount {
  const bare = text
    .trim()
    .replace(/^[$€£]\s*/, '')
    .replace(/\s*[$€£]$/, '');
  const sign = /^[-−]\s*/.test(bare) ? -1 : 1;
  const all = meaningsOf(bare.replace(/^[-−+]\s*/, ''), true).map((value) => sign * value);
  const within = all.filter((value) => value >= least && value <= most);
  if (within.length === 1) return { ok: true, value: first(within) };
  if (within.length === 2 && bare.includes(',')) return { ok: true, value: first(within) };
  return { ok: false, mean: within };
}
