import { hardwareName, printMaterial, type Plan } from '@sill/core';
import { runs } from './labels';

/** What the plan needs and no list can hold: it stands where the list stands, and in no total. */
export type Missing = { readonly name: string; readonly count: number; readonly why: string };

/**
 * What can not be built, and what no yard of the job sells and nothing on hand gives: pieces, boards by what they are
 * made of with the parts that want them, boxes of hardware.
 */
export function missingIn(
  { list, buying, pieces }: Pick<Plan, 'list' | 'buying' | 'pieces'>,
  label: (id: string) => string,
): readonly Missing[] {
  const unbuilt = pieces
    .filter(({ parts }) => parts.length === 0)
    .map(({ piece }) => ({
      name: piece.name,
      count: piece.copies,
      why: 'can not be built as it stands: nothing of it is on the list or in the total',
    }));
  const hardware = list.notSold.map(({ kind, size, count }) => ({
    name: hardwareName(kind, size),
    count,
    why: 'not sold here, not in the total: get it elsewhere',
  }));
  const materials = [...new Set(buying.unplaced.map(({ blank }) => blank.material))];
  const boards = materials.map((material) => {
    const own = buying.unplaced.filter(({ blank }) => blank.material === material);
    return {
      name: printMaterial(material),
      count: own.reduce((sum, { quantity }) => sum + quantity, 0),
      why: `${runs(own.map(({ blank }) => label(blank.part.id)))}: nothing on sale or on hand gives them, not in the total`,
    };
  });
  return [...unbuilt, ...boards, ...hardware];
}
