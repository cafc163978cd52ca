import { hardwareName, printMaterial, type Plan } from '@sill/core';
import { runs } from './labels';

/** What the plan needs and no list can hold: it stands where the list stands, and in no total. */
export type Missing = { readonly name: string; readonly count: number; readonly why: string };

/**
 * What no yard of the job sells and nothing on hand gives: boxes of hardware, and boards by what they are made of with the
 * parts that want them.
 */
export function missingIn({ list, buying }: Pick<Plan, 'list' | 'buying'>, label: (id: string) => string): readonly Missing[] {
  const hardware = list.notSold.map(({ kind, size, count }) => ({ name: hardwareName(kind, size), count, why: 'not sold here, not in the total: get it elsewhere' })); // prettier-ignore
  const materials = [...new Set(buying.unplaced.map(({ blank }) => blank.material))];
  const boards = materials.map((material) => {
    const own = buying.unplaced.filter(({ blank }) => blank.material === material);
    return {
      name: printMaterial(material),
      count: own.reduce((sum, { quantity }) => sum + quantity, 0),
      why: `${runs(own.map(({ blank }) => label(blank.part.id)))}: nothing on sale or on hand gives them, not in the total`,
    };
  });
  return [...boards, ...hardware];
} // prettier-ignore
