/** A row of a file that was not taken as it stands, and what would be right. */
export type RowProblem = { readonly row: number; readonly message: string };

/**
 * Why a row that has more fields than the heading line can not be trusted: a comma inside a field has parted it, and
 * all that stands behind is one column off. Null where it has no more.
 */
export function tooWide(row: object): string | null {
  const more = (row as { readonly __parsed_extra?: readonly string[] }).__parsed_extra;
  if (!more || more.every((field) => field.trim() === '')) return null;
  return `It has ${more.length === 1 ? 'a field' : `${more.length} fields`} more than the heading line. Put quotes round what has a comma in it, such as "1,200".`;
}
