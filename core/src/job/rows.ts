/**
 * The name that a row of a list goes by: its id, the tag of a part of one's own, a word itself; null where it has none.
 */
export function nameOf(row: unknown): string | null {
  if (typeof row === 'string') return row;
  if (typeof row !== 'object' || row === null) return null;
  const { id, tag } = row as { readonly id?: unknown; readonly tag?: unknown };
  return typeof id === 'string' ? id : typeof tag === 'string' ? tag : null;
}
