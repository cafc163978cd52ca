import { first } from '../lists';
import { readCsv, writeCsv } from './csv';
import { parseLength, printLength, readAmount, type Length, type Units } from '../length';
import { LoosePartSchema, MOST_LOOSE, read, type Piece } from '../job';
import type { Part } from '../piece';
import { isSheet, readMaterial, SHEETS, TABLE_SIZES } from '../stock';
import { tooWide, type RowProblem } from './rows';

type LooseRow = Piece['loose'][number];

/** Column names people use, by what they mean. */
const NAMES: Readonly<Record<string, 'tag' | 'name' | 'material' | 'length' | 'width' | 'count'>> = {
  tag: 'tag',
  part: 'name',
  name: 'name',
  description: 'name',
  material: 'material',
  from: 'material',
  'made from': 'material',
  stock: 'material',
  long: 'length',
  length: 'length',
  wide: 'width',
  width: 'width',
  count: 'count',
  quantity: 'count',
  qty: 'count',
};

/** Columns of our own list that a part of a person's own can not have. */
const LOST = ['left end', 'right end', 'cut-outs'] as const;

/**
 * Parts from a CSV text with a heading line: part, material, length, width, count, and tag where it has one. Good rows
 * come back as parts; every bad one is named with what would be right. Lengths are read as a person types them.
 *
 * @param room how many parts the piece still takes; the rows after are left out, and that is said once.
 */
export function readPartsCsv(
  text: string,
  units: Units,
  taken: ReadonlySet<string>,
  room = MOST_LOOSE,
): {
  readonly parts: readonly LooseRow[];
  readonly problems: readonly RowProblem[];
  /** Rows that were taken, with what of them a part of one's own can not have: it is cut square. */
  readonly losses: readonly RowProblem[];
} {
  const parsed = readCsv(text, (head) => NAMES[head.trim().toLowerCase()] ?? head.trim().toLowerCase());
  const heads = parsed.meta.fields ?? [];
  const lacking = (['material', 'length'] as const).filter((name) => !heads.includes(name));
  if (lacking.length > 0)
    return {
      parts: [],
      losses: [],
      problems: [{ row: 1, message: `The heading line needs a column for ${lacking.join(' and ')}.` }],
    };
  const parts: LooseRow[] = [];
  const [problems, losses]: [RowProblem[], RowProblem[]] = [[], []];
  const tags = new Set(taken);
  let number = 1;
  for (const [at, row] of parsed.data.entries()) {
    if (parts.length >= room) {
      problems.push({
        row: at + 2,
        message: `A piece takes ${MOST_LOOSE} parts of your own, and has them. This row and the ${parsed.data.length - at - 1} after it were left out: put them into another piece.`,
      });
      break;
    }
    readRow(row, at + 2);
  }
  return { parts, problems, losses };

  function readRow(row: (typeof parsed.data)[number], line: number): void {
    const wrong = (message: string): void => void problems.push({ row: line, message });
    const wide = tooWide(row);
    if (wide) return wrong(wide);
    const material = readMaterial(row.material ?? '');
    if (!material)
      return wrong(
        `“${row.material ?? ''}” is no material. Write a board such as 2x4 or a sheet such as ${SHEETS['ply 3/4'].name}.`,
      );
    const size = (name: 'length' | 'width', otherwise: Length | null): Length | null => {
      const given = (row[name] ?? '').trim();
      if (given === '' && otherwise !== null) return otherwise;
      const length = parseLength(given, units);
      if (length.ok && length.length > 0) return length.length;
      wrong(`The ${name} “${given}” can not be read: ${length.ok ? 'it must be more than 0.' : length.message}`);
      return null;
    };
    const length = size('length', null);
    if (length === null) return;
    const width = size('width', isSheet(material) ? null : TABLE_SIZES.board(material).width);
    if (width === null) return;
    while (tags.has(`X${number}`)) number++;
    const tag = (row.tag ?? '').trim() || `X${number}`;
    if (tags.has(tag)) return wrong(`The tag ${tag} is taken already. Give it another, or leave the tag out.`);
    const counted = readAmount((row.count ?? '').trim() || '1', 1, 1_000_000);
    if (!counted.ok) return wrong(`The count “${row.count}” can not be read. Write a whole number.`);
    const made = read(
      LoosePartSchema,
      { tag, name: (row.name ?? '').trim() || 'part', material, length, width, count: counted.value },
      'row',
    );
    if (!made.ok) return wrong(`${first(made.fields).field} ${first(made.fields).message}.`);
    tags.add(tag);
    parts.push(made.value);
    const lost = LOST.filter((name) => (row[name] ?? '').trim() !== '');
    if (lost.length > 0)
      losses.push({
        row: line,
        message: `${tag}: ${lost.map((name) => `${name} ${(row[name] ?? '').trim()}`).join(', ')}`,
      });
  }
}

/** A parts list as CSV, readable by the same columns; lengths as the person's tape shows them. */
export const partsCsv = (parts: readonly Part[], units: Units): string =>
  writeCsv(
    ['tag', 'part', 'count', 'length', 'width', 'thickness', 'material', 'left end', 'right end', 'cut-outs'],
    parts.map((part) => [
      part.tag,
      part.name,
      part.count,
      printLength(part.length, units),
      printLength(part.width, units),
      printLength(part.thickness, units),
      part.plies > 1 ? `${part.plies} x ${part.material}` : part.material,
      endText(part.ends.left),
      endText(part.ends.right),
      part.cuts.map(({ kind }) => kind).join(' + '),
    ]),
  );

const half = (angle: number) => Math.round(Math.abs(angle) * 2) / 2;
/** `15° mitre`, `45° bevel`, `8° mitre, 5.5° bevel`; square ends are empty. */
export const endText = ({ mitre, bevel }: Part['ends']['left']): string =>
  [mitre !== 0 ? `${half(mitre)}° mitre` : '', bevel !== 0 ? `${half(bevel)}° bevel` : '']
    .filter((text) => text !== '')
    .join(', ');
