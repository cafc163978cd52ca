import { nth } from '../lists';
import { singleLane } from './ways';
import type { Group } from './group';
import { piecesIn } from './region';
import type { Cutting } from './search';

/**
 * Settings of the saw for a cutting, where boards that are cut alike are cut together: of every different layout the
 * different lengths and, where it is ripped, widths.
 */
export function settingsOf(group: Group, { patterns }: Pick<Cutting, 'patterns'>): number {
  const layouts = new Map(patterns.map((pattern) => [JSON.stringify([pattern.bin, pattern.regions]), pattern]));
  return [...layouts.values()].reduce((sum, { bin, regions }) => {
    const pieces = regions.flatMap(piecesIn);
    const lengths = new Set(pieces.map(({ length }) => length));
    const widths = new Set(
      pieces.map(({ width }) => width).filter((width) => width < nth(group.bins, bin).usableWidth),
    );
    return sum + lengths.size + (singleLane(group, nth(group.bins, bin)) ? 0 : widths.size);
  }, 0);
}
