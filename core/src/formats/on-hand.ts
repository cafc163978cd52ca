import { nth } from '../lists';
import { parseLength, printLength, type Length, type Units } from '../length';
import type { OnHand } from '../job';
import { isSheet, printMaterial, readMaterial, sizesOf, type Measured, type Stocked } from '../stock';

export type QuickEntry =
  | { readonly ok: true; readonly value: Omit<OnHand, 'id'> }
  | { readonly ok: false; readonly message: string };

const EXAMPLE = 'Write it as 2x4 41 1/2 x3, split last 3; or 3/4 plywood 23 x 30.';
const fail = (message: string): QuickEntry => ({ ok: false, message });

/** The material at the start of a text, as many of its words as make one, and what comes after. */
function materialAt(text: string): { readonly material: Stocked; readonly rest: string } | null {
  const words = text.split(/\s+/);
  for (let count = Math.min(4, words.length - 1); count > 0; count--) {
    const material = readMaterial(words.slice(0, count).join(' '));
    if (material) return { material, rest: words.slice(count).join(' ') };
  }
  return null;
}

/** `split last 3`, `bad first 2`, `knots 12 to 15 1/2`: the stretch that is no good; null where it says none. */
function badStretch(
  clause: string,
  length: Length,
  units: Units,
): { readonly from: Length; readonly to: Length } | 'wrong' | null {
  const end = /\b(first|last)\s+(.+)$/.exec(clause);
  const between = /(?:\bfrom\s+)?([\d½¼¾][\d\s/.½¼¾-]*(?:"|in|mm|cm)?)\s*(?:to|–)\s*(.+)$/.exec(clause);
  if (!end && !between) return null;
  const read = (text: string) => {
    const typed = parseLength(text, units);
    return typed.ok ? typed.length : NaN;
  };
  const [from, to] = end
    ? end[1] === 'first'
      ? [0, read(nth(end, 2))]
      : [length - read(nth(end, 2)), length]
    : between
      ? [read(nth(between, 1)), read(nth(between, 2))]
      : [NaN, NaN];
  return from >= 0 && to <= length && from < to ? { from, to } : 'wrong';
}

/**
 * What lies there, from one typed line: material, length (and width of a sheet), how many, then after commas what is
 * bad, `squared`, `in` or `on` or `under` where it lies, and any other words as a note.
 */
export function readOnHand(text: string, units: Units, measured: Measured = {}): QuickEntry {
  const [head = '', ...clauses] = text
    .trim()
    .replace(/×/g, 'x')
    .split(/\s*,\s+/);
  const found = materialAt(head);
  if (!found) return fail(`It begins with no board or sheet that is known. ${EXAMPLE}`);
  const { material, rest } = found;
  const bits = rest.split(/\s*(?:\bx\s*|\bby\s+)(?=[\d½¼¾])/i).map((bit) => bit.trim());
  const sizes = isSheet(material) ? 2 : 1;
  if (bits.length < sizes || bits.length > sizes + 1 || bits[0] === '')
    return fail(`${isSheet(material) ? 'A sheet needs a length and a width' : 'A board needs a length'}. ${EXAMPLE}`);
  const [length, width] = bits.slice(0, sizes).map((bit) => parseLength(bit, units));
  for (const size of [length, width]) if (size && !size.ok) return fail(size.message);
  const count = bits.length > sizes ? Number(bits[sizes]) : 1;
  if (!Number.isInteger(count) || count < 1 || count > 500)
    return fail(`“x${bits[sizes]}” is no count. Write a whole number from 1 to 500.`);
  const long = (length as { length: Length }).length;
  const wide = isSheet(material) ? (width as { length: Length }).length : sizesOf(measured).board(material).width;
  if (long <= 0 || wide <= 0) return fail(`A size must be more than 0. ${EXAMPLE}`);

  const bad: { from: Length; to: Length }[] = [];
  const notes: string[] = [];
  let [squared, where] = [false, ''];
  for (const clause of clauses.filter((words) => words !== '')) {
    const stretch = badStretch(clause.toLowerCase(), long, units);
    if (stretch === 'wrong')
      return fail(
        `“${clause}” is no stretch of ${printLength(long, units, true)}. Write split last 3, or knots 12 to 15.`,
      );
    if (stretch) bad.push(stretch);
    else if (/^squared?$/i.test(clause)) squared = true;
    else if (where === '' && /^(in|on|under|behind|by)\s/i.test(clause)) where = clause.slice(0, 80);
    if (stretch || !/^squared?$|^(in|on|under|behind|by)\s/i.test(clause)) notes.push(clause);
  }
  return {
    ok: true,
    value: {
      material,
      length: long,
      width: wide,
      count,
      squared,
      bad,
      where,
      note: notes.join(', ').slice(0, 200),
    },
  };
}

/** The line that enters it again. */
export const printOnHand = ({ material, length, width, count }: OnHand, units: Units): string =>
  `${printMaterial(material)} ${printLength(length, units)}${isSheet(material) ? ` × ${printLength(width, units)}` : ''}${count > 1 ? ` ×${count}` : ''}`;
