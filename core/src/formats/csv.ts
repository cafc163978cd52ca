import Papa from 'papaparse';

/** What a spreadsheet would work out instead of showing it; a number with its sign is none. */
const LIVE = /^(?![+-]?[\d.,]+(?:[ -]\d+\/\d+)?["″%]?$)[=+\-@\t\r]/;
/** A mark before such a text, as spreadsheets use it for "take this as written". */
const MARKED = /^'(?=[=+\-@\t\r])/;

type Cell = string | number | null | undefined;

/** Rows under a heading as CSV text. Nothing in it is worked out by a spreadsheet that opens it. */
export const writeCsv = (fields: readonly string[], data: readonly (readonly Cell[])[]): string =>
  Papa.unparse({ fields: [...fields], data: data.map((row) => [...row]) }, { escapeFormulae: LIVE });

/**
 * CSV text with a heading line, as rows by their heads; empty rows left out, a byte order mark too.
 *
 * @param head what a head is called here.
 */
export const readCsv = (text: string, head: (said: string) => string) =>
  Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: head,
    transform: (value) => value.replace(MARKED, ''),
  });
