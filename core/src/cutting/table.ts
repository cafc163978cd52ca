// Looked up millions of times: indices count levels, cells and items of the table.
/* oxlint-disable typescript/no-non-null-assertion */
import type { Orientation } from './region';
import type { CutGrid } from './frame';
import type { CutTree } from './tree';

/** What a cell was filled with: nothing more than the cell before, the narrower level, a way, or a section ripped. */
const [CARRY, NARROWER, RIPPED] = [-1, -2, -3];

export type Table = {
  /** Most a cell gives, and most it gives when it is ripped along its whole length. */
  readonly best: readonly Float64Array[];
  readonly whole: readonly Float64Array[];
  /**
   * CARRY, NARROWER, RIPPED as a whole, a way of the level, or past the ways the length of a section that is ripped.
   */
  readonly choice: readonly Int32Array[];
  /** Which rip of the level a cell ripped as a whole takes. */
  readonly rip: readonly Int16Array[];
};

/** Fills the table for what items are worth, level by level from the narrowest, cell by cell. */
export function tableOf({ cells, levels }: CutGrid, values: readonly number[]): Table {
  const best: Float64Array[] = [];
  const choice: Int32Array[] = [];
  const rip: Int16Array[] = [];
  const wholes: Float64Array[] = [];
  for (const [at, { rips, ways }] of levels.entries()) {
    const value = new Float64Array(cells + 1);
    const chosen = new Int32Array(cells + 1).fill(CARRY);
    const ripped = new Int16Array(cells + 1).fill(-1);
    const narrower = at > 0 ? best[at - 1]! : null;
    const worth = Float64Array.from(ways, ({ way }) => values[way.item]!);
    const taken = Int32Array.from(ways, (way) => way.cells);
    const lows = rips.map(([low]) => best[low]!);
    const highs = rips.map(([, high]) => best[high]!);
    const sections = new Int32Array(cells);
    let sectionCount = 0;
    const whole = new Float64Array(cells + 1);
    for (let cell = 1; cell <= cells; cell++) {
      let most = value[cell - 1]!;
      let how = CARRY;
      if (narrower && narrower[cell]! > most) [most, how] = [narrower[cell]!, NARROWER];
      for (let k = 0; k < taken.length; k++) {
        const rest = cell - taken[k]!;
        if (rest < 0) continue;
        const sum = worth[k]! + value[rest]!;
        if (sum > most + 1e-9) {
          most = sum;
          how = k;
        }
      }
      for (let k = 0; k < sectionCount; k++) {
        const section = sections[k]!;
        const sum = whole[section]! + value[cell - section]!;
        if (sum > most + 1e-9) {
          most = sum;
          how = ways.length + section;
        }
      }
      for (let k = 0; k < lows.length; k++) {
        const sum = lows[k]![cell]! + highs[k]![cell]!;
        if (sum > whole[cell]!) {
          whole[cell] = sum;
          ripped[cell] = k;
        }
      }
      if (whole[cell]! > most + 1e-9) {
        most = whole[cell]!;
        how = RIPPED;
        sections[sectionCount++] = cell;
      }
      value[cell] = most;
      chosen[cell] = how;
    }
    best.push(value);
    choice.push(chosen);
    rip.push(ripped);
    wholes.push(whole);
  }
  return { best, whole: wholes, choice, rip };
}

/** Walks back through the table from a cell. */
export function treeOf(frame: CutGrid, table: Table, level: number, cells: number): CutTree {
  const { ways, rips } = frame.levels[level]!;
  const ends: Orientation[] = [];
  const sections: CutTree['sections'][number][] = [];
  const section = (cell: number) => {
    const [low, high] = rips[table.rip[level]![cell]!]!;
    sections.push({
      width: frame.levels[low]!.width,
      low: treeOf(frame, table, low, cell),
      high: treeOf(frame, table, high, cell),
    });
  };
  for (let cell = cells; cell > 0;) {
    const how = table.choice[level]![cell]!;
    if (how === CARRY) cell--;
    else if (how === NARROWER) {
      const rest = treeOf(frame, table, level - 1, cell);
      return { ends: [...ends, ...rest.ends], sections: [...sections, ...rest.sections] };
    } else if (how === RIPPED) {
      section(cell);
      break;
    } else if (how < ways.length) {
      ends.push(ways[how]!.way);
      cell -= ways[how]!.cells;
    } else {
      section(how - ways.length);
      cell -= how - ways.length;
    }
  }
  return { ends, sections };
}
