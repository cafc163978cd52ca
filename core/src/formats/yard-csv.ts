import { first } from '../lists';
import { readCsv, writeCsv } from './csv';
import { didYouMean, PER_FOOT, parseLength, printLength, readAmount, toMm, type Length, type Units } from '../length';
import { BoardOfferSchema, HardwareOfferSchema, SheetOfferSchema, read } from '../job';
import {
  HARDWARE_KINDS,
  SHEETS,
  boardFeet,
  isMetric,
  isSheet,
  boardKey,
  lumberAbout,
  lumberOf,
  readLumber,
  nominalOf,
  printMaterial,
  readMaterial,
  type BoardKey,
  type BoardOffer,
  type HardwareOffer,
  type Sheet,
  type SheetOffer,
  type Yard,
} from '../stock';
import { tooWide, type RowProblem } from './rows';

const FIELDS = ['kind', 'size', 'length', 'width', 'grade', 'count', 'price', 'per', 'in stock'] as const;

/** A price list as CSV: one row an offer. The same columns are read back. Prices in whole money, not cents. */
export const yardCsv = (yard: Yard, units: Units): string =>
  writeCsv(
    [...FIELDS],
    [
      ...yard.boards.map((offer) => [
        'board',
        printMaterial(offer.board).replace('×', 'x'),
        longText(offer.board, offer.length),
        '',
        offer.grade,
        1,
        money(offer.price),
        'piece',
        yesNo(offer.inStock),
      ]),
      ...yard.sheets.map((offer) => [
        'sheet',
        SHEETS[offer.sheet].name,
        sheetSize(offer.sheet, offer.length, units),
        sheetSize(offer.sheet, offer.width, units),
        '',
        1,
        money(offer.price),
        'sheet',
        yesNo(offer.inStock),
      ]),
      ...yard.hardware.map((offer) => [
        offer.kind,
        offer.size,
        '',
        '',
        '',
        offer.count,
        money(offer.price),
        'box',
        'yes',
      ]),
    ],
  );

const inFeet = (board: BoardKey): boolean => lumberAbout(board).region === 'us';
const longText = (board: BoardKey, length: Length): string =>
  inFeet(board) ? `${+(length / PER_FOOT).toFixed(3)} ft` : `${+(toMm(length) / 1000).toFixed(3)} m`;

/** A metric sheet is told in mm whatever the job's units are: its size is a whole number of those. */
const sheetSize = (sheet: Sheet, length: Length, units: Units): string =>
  isMetric(sheet) ? `${toMm(length)} mm` : printLength(length, units);

const money = (cents: number): string => (cents / 100).toFixed(2);
const yesNo = (value: boolean): string => (value ? 'yes' : 'no');

/** What was read of a price list: the rows that are right, and each that is not with what would be. */
export type YardRows = Pick<Yard, 'boards' | 'sheets' | 'hardware'> & { readonly problems: readonly RowProblem[] };

type Row = Readonly<Record<string, string | undefined>>;
const text = (row: Row, name: string): string => (row[name] ?? '').trim();

/** A price list has nothing that costs more, in whole money. */
const DEAREST = 1_000_000;

/** Cents of "12.40", "$12.40", "12,40" or "1,200"; else what is wrong. */
function centsOf(price: string): { readonly cents: number } | { readonly wrong: string } {
  const read = readAmount(price, 0, DEAREST);
  if (read.ok && Math.abs(read.value * 100 - Math.round(read.value * 100)) < 1e-6)
    return { cents: Math.round(read.value * 100) };
  return {
    wrong:
      !read.ok && read.mean.length > 1
        ? didYouMean(price, read.mean)
        : `The price “${price}” can not be read. Write it as 12.40.`,
  };
}

type Told<T> = { readonly offer: T } | { readonly wrong: string };

/** Price in cents of the whole, told by the piece or by what it measures. */
function eachPrice(row: Row, ways: Readonly<Record<string, number>>): Told<number> {
  const told = centsOf(text(row, 'price'));
  if ('wrong' in told) return told;
  const per = text(row, 'per').toLowerCase() || first(Object.keys(ways));
  const times = ways[per];
  if (times === undefined)
    return { wrong: `“per ${per}” is not known for it. Use ${Object.keys(ways).join(', ')}, or leave it out.` };
  return { offer: Math.round(told.cents * times) };
}

const inStockOf = (row: Row): boolean | null => {
  const said = text(row, 'in stock').toLowerCase();
  if (['', 'yes', 'y', 'true', '1'].includes(said)) return true;
  return ['no', 'n', 'false', '0', 'out'].includes(said) ? false : null;
};

function boardOf(row: Row): Told<BoardOffer> {
  const size = readMaterial(text(row, 'size'));
  if (!size || isSheet(size))
    return { wrong: `“${text(row, 'size')}” is no board. Write a size such as 2x4, 1x6 red oak or 140x45 pine.` };
  const wood = text(row, 'species') || text(row, 'wood');
  const lumber = wood === '' ? lumberOf(size) : readLumber(wood);
  if (!lumber) return { wrong: `The wood “${wood}” is none we know. Write one such as pine, red oak or treated.` };
  // A wood beside a bare size says which line it is of.
  const board = lumberOf(size) === 'common' ? boardKey(lumber, nominalOf(size)) : size;
  const length = parseLength(text(row, 'length').replace(/^(\d+(\.\d+)?)$/, inFeet(board) ? '$1 ft' : '$1 m'), 'in');
  if (!length.ok)
    return {
      wrong: `The length “${text(row, 'length')}” can not be read. Write ${inFeet(board) ? 'feet, such as 8 or 8 ft' : 'metres, such as 2.4 or 2.4 m'}.`,
    };
  const feet = length.length / PER_FOOT;
  const price = eachPrice(row, {
    piece: 1,
    foot: feet,
    ...(inFeet(board) ? { 'board foot': boardFeet(nominalOf(board), feet) } : {}),
    metre: feet * 0.3048,
  });
  if ('wrong' in price) return price;
  const inStock = inStockOf(row);
  if (inStock === null) return { wrong: `“In stock” is yes or no, not “${text(row, 'in stock')}”.` };
  const made = read(
    BoardOfferSchema,
    {
      id: `${board.replace(/[ /]/g, '-')}x${inFeet(board) ? +feet.toFixed(3) : +(toMm(length.length) / 1000).toFixed(3)}`,
      board,
      length: length.length,
      grade: text(row, 'grade'),
      price: price.offer,
      inStock,
    },
    'row',
  );
  return made.ok ? { offer: made.value } : { wrong: `The ${first(made.fields).field} ${first(made.fields).message}.` };
}

function sheetOf(row: Row, units: Units): Told<SheetOffer> {
  const sheet = readMaterial(text(row, 'size'));
  if (!sheet || !isSheet(sheet))
    return { wrong: `“${text(row, 'size')}” is no sheet. Write one such as ${SHEETS['ply 3/4'].name}.` };
  const [length, width] = [parseLength(text(row, 'length'), units), parseLength(text(row, 'width'), units)];
  if (!length.ok || !width.ok)
    return { wrong: `The size ${text(row, 'length')} by ${text(row, 'width')} can not be read. Write 96 and 48.` };
  const area = (length.length / PER_FOOT) * (width.length / PER_FOOT);
  const price = eachPrice(row, { sheet: 1, piece: 1, 'square foot': area });
  if ('wrong' in price) return price;
  const inStock = inStockOf(row);
  if (inStock === null) return { wrong: `“In stock” is yes or no, not “${text(row, 'in stock')}”.` };
  const name = (value: number) => printLength(value, isMetric(sheet) ? 'mm' : units).replace(/[ /]/g, '-');
  const id = `${sheet.replace(/[ /]/g, '-')}-${name(width.length)}x${name(length.length)}`;
  const made = read(
    SheetOfferSchema,
    { id, sheet, length: length.length, width: width.length, price: price.offer, inStock },
    'row',
  );
  return made.ok ? { offer: made.value } : { wrong: `The ${first(made.fields).field} ${first(made.fields).message}.` };
}

function hardwareOf(row: Row, kind: string): Told<HardwareOffer> {
  const price = eachPrice(row, { box: 1, piece: 1, bottle: 1 });
  if ('wrong' in price) return price;
  const counted = readAmount(text(row, 'count') || '1', 1, 1_000_000);
  if (!counted.ok) return { wrong: `The count “${text(row, 'count')}” can not be read. Write a whole number.` };
  const count = counted.value;
  const size = text(row, 'size');
  const id = [kind, size.replace(/[^\w]+/g, '-').replace(/^-|-$/g, ''), count].filter((bit) => bit !== '').join('-');
  const made = read(HardwareOfferSchema, { id, kind, size, count, price: price.offer }, 'row');
  return made.ok ? { offer: made.value } : { wrong: `The ${first(made.fields).field} ${first(made.fields).message}.` };
}

/**
 * A price list from CSV with a heading line. Every row that is right comes back, every other is named with what would
 * be right: nothing is guessed. A price may be told by the piece, foot, board foot, metre, sheet or square foot.
 */
export function readYardCsv(csv: string, units: Units): YardRows {
  const parsed = readCsv(csv, (head) => head.trim().toLowerCase().replace(/[_-]/g, ' '));
  const lacking = ['kind', 'size', 'price'].filter((name) => !(parsed.meta.fields ?? []).includes(name));
  const [boards, sheets, hardware]: [BoardOffer[], SheetOffer[], HardwareOffer[]] = [[], [], []];
  const problems: RowProblem[] = [];
  if (lacking.length > 0)
    return {
      boards,
      sheets,
      hardware,
      problems: [{ row: 1, message: `The heading line needs a column for ${lacking.join(' and ')}.` }],
    };
  const seen = new Set<string>();
  const keep = <T extends { readonly id: string }>(told: Told<T>, rows: T[], row: number) => {
    if ('wrong' in told) problems.push({ row, message: told.wrong });
    else if (seen.has(told.offer.id))
      problems.push({ row, message: 'This is in the list twice. The first one is kept.' });
    else {
      seen.add(told.offer.id);
      rows.push(told.offer);
    }
  };
  parsed.data.forEach((data, at) => {
    const row = at + 2;
    const kind = text(data, 'kind').toLowerCase();
    const wide = tooWide(data);
    if (wide) problems.push({ row, message: wide });
    else if (kind === 'board') keep(boardOf(data), boards, row);
    else if (kind === 'sheet' || kind === 'panel') keep(sheetOf(data, units), sheets, row);
    else if ((HARDWARE_KINDS as readonly string[]).includes(kind)) keep(hardwareOf(data, kind), hardware, row);
    else
      problems.push({
        row,
        message: `“${text(data, 'kind')}” is no kind. Use board, sheet, or one of ${HARDWARE_KINDS.join(', ')}.`,
      });
  });
  return { boards, sheets, hardware, problems };
}

/** The same thing for sale, whatever its price today. */
const sameBoard = (a: BoardOffer) => `${a.board} ${a.length} ${a.grade}`;
const sameSheet = (a: SheetOffer) => `${a.sheet} ${a.length} ${a.width}`;
const sameHardware = (a: HardwareOffer) => `${a.kind} ${a.size} ${a.count}`;

function merge<T extends { readonly id: string }>(
  old: readonly T[],
  read: readonly T[],
  same: (row: T) => string,
): T[] {
  const fresh = new Map(read.map((row) => [same(row), row]));
  const kept = old.map((row) => {
    const next = fresh.get(same(row));
    fresh.delete(same(row));
    return next ? { ...next, id: row.id } : row;
  });
  const taken = new Set(kept.map(({ id }) => id));
  const added = [...fresh.values()].map((row) => {
    let id = row.id;
    for (let number = 2; taken.has(id); number++) id = `${row.id}-${number}`;
    taken.add(id);
    return { ...row, id };
  });
  return [...kept, ...added];
}

/** A price list with rows read from a file: what it has takes the new price, what it lacks is added. */
export const withRows = (yard: Yard, rows: YardRows): Yard => ({
  ...yard,
  boards: merge(yard.boards, rows.boards, sameBoard),
  sheets: merge(yard.sheets, rows.sheets, sameSheet),
  hardware: merge(yard.hardware, rows.hardware, sameHardware),
});
