import { SPECIES, type Species } from '../stock';

/** Change of width in inches of a joined top between two moisture contents: width x Ct x change (plain-sawn boards). */
export function movement(width: number, species: Species, change: number): number {
  return width * SPECIES[species].tangential * change;
}
