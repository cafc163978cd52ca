import { seeded, type CutProblem } from '../core/src';
import { boardOf, partOf, type Part, type Stock } from '../core/src/cutting/testing/lists';

/**
 * The published random sets: cut lists made from a seed, so that anyone gets the same ones. Lengths in inches, prices
 * from an invented yard.
 */
const dice = (seed: number) => {
  const random = seeded(seed);
  const whole = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  const pick = <T>(of: readonly T[]): T => of[whole(0, of.length - 1)]!;
  return { random, whole, pick };
};

const problemOf = (
  stock: readonly Stock[],
  parts: readonly Part[],
  kerf = 0.125,
  unit: 'in' | 'mm' = 'in',
): CutProblem => ({
  format: 'sill-plan/cut-problem@1',
  unit,
  kerf,
  objective: 'cost',
  stock: [...stock],
  parts: [...parts],
});

const board = (id: string, length: number, width: number, price: number, more: Partial<Stock> = {}): Stock => ({
  ...boardOf(id, length, width, Math.round(price * 100) / 100, 0.5),
  ...more,
});

const part = (id: string, quantity: number, length: number, width: number, more: Partial<Part> = {}): Part => ({
  ...partOf(id, quantity, length, width),
  ...more,
});

/** Boards of one width in four lengths: 2 to `mostKinds` lengths of piece, 1 to 6 of each, prices near proportional. */
export function oneWidth(count: number, seed: number, mostKinds: number): readonly CutProblem[] {
  const { random, whole } = dice(seed);
  return Array.from({ length: count }, () => {
    const stock = [8, 10, 12, 16].map((feet) => board(`2x4x${feet}`, feet * 12, 3.5, feet * (0.52 + 0.1 * random())));
    const parts = Array.from({ length: whole(2, mostKinds) }, (_, at) =>
      part(`p${at}`, whole(1, 6), whole(8 * 8, 60 * 8) / 8, 3.5),
    );
    return problemOf(stock, parts);
  });
}

/**
 * Home-size lists, to 80 pieces: three widths in up to four lengths, two offcuts on hand, some pieces ripped narrower.
 */
export function homeSize(count: number, seed: number): readonly CutProblem[] {
  const { random, whole, pick } = dice(seed);
  const widths = [3.5, 5.5, 7.25];
  return Array.from({ length: count }, () => {
    const sold = widths.flatMap((width) =>
      [8, 10, 12, 16]
        .filter(() => random() < 0.75)
        .map((feet) => board(`${width}x${feet}`, feet * 12, width, feet * width * (0.15 + 0.03 * random()))),
    );
    const stock = [
      ...sold,
      board('new', 96, 7.25, 9.2),
      board('hand1', whole(20, 90), pick(widths), 0, { available: whole(1, 2) }),
      board('hand2', whole(20, 90), pick(widths), 0, { available: 1, defects: [{ from: 10, to: 12 }] }),
    ];
    const kinds = whole(3, 14);
    const parts: Part[] = [];
    let pieces = 0;
    for (let at = 0; at < kinds && pieces < 80; at++) {
      const quantity = Math.min(80 - pieces, pick([1, 2, 2, 2, 4, 4, 6, 8, 12]));
      const width = random() < 0.7 ? pick(widths) : pick([1.5, 2.5, 2.75, 4.5, 5]);
      parts.push(part(`p${at}`, quantity, whole(6 * 8, 66 * 8) / 8, width));
      pieces += quantity;
    }
    return problemOf(stock, parts);
  });
}

/** Mitred frames, struts and braces beside square rails, from boards of one width. */
export function mitred(count: number, seed: number): readonly CutProblem[] {
  const { random, whole, pick } = dice(seed);
  return Array.from({ length: count }, () => {
    const stock = [8, 10, 12, 16].map((feet) => board(`2x4x${feet}`, feet * 12, 3.5, feet * (0.52 + 0.1 * random())));
    const parts = Array.from({ length: whole(2, 6) }, (_, at) => {
      const angle = pick([45, 45, 30, 22.5]);
      const ends = pick([
        null,
        { left: angle, right: -angle },
        { left: angle, right: angle },
        { left: angle, right: 0 },
      ]);
      return part(`p${at}`, whole(1, 6), whole(10 * 8, 48 * 8) / 8, 3.5, ends ? { ends } : {});
    });
    return problemOf(stock, parts);
  });
}

/** A long list on boards: so many pieces of all lengths from 6 to 72 in. */
export function longList(pieces: number, seed: number): CutProblem {
  const { random, whole } = dice(seed);
  const stock = [8, 10, 12, 16].map((feet) => board(`2x4x${feet}`, feet * 12, 3.5, feet * (0.52 + 0.1 * random())));
  const parts: Part[] = [];
  for (let left = pieces, at = 0; left > 0; at++) {
    const quantity = Math.min(left, whole(1, 8));
    parts.push(part(`p${at}`, quantity, whole(6 * 16, 72 * 16) / 16, 3.5));
    left -= quantity;
  }
  return problemOf(stock, parts);
}

/**
 * The ten classic classes of two-dimensional bin packing: 1 to 6 of Berkey and Wang (1987), 7 to 10 of Martello and
 * Vigo (1998). Square sheets, no kerf, pieces may not turn.
 */
export function rectangles(kind: number, pieces: number, seed: number): CutProblem {
  const { random, whole } = dice(seed);
  const square = (side: number, most: number) => ({ side, draw: () => [whole(1, most), whole(1, most)] as const });
  const kinds = [square(10, 10), square(30, 10), square(40, 35), square(100, 35), square(100, 100), square(300, 100)];
  const third = (from: number, to: number) => whole(Math.ceil(from), Math.floor(to));
  const shapes = [
    () => [third(200 / 3, 100), whole(1, 50)] as const,
    () => [whole(1, 50), third(200 / 3, 100)] as const,
    () => [whole(50, 100), whole(50, 100)] as const,
    () => [whole(1, 50), whole(1, 50)] as const,
  ];
  const main = kind - 7;
  const mixed = () => {
    const at = random() < 0.7 ? main : pickOther(main, whole(0, 2));
    return shapes[at]!();
  };
  const { side, draw } = kind <= 6 ? kinds[kind - 1]! : { side: 100, draw: mixed };
  const stock = [
    board('sheet', side, side, 1, { kind: 'sheet', material: 'ply', thickness: 1, trim: { ends: 0, edges: 0 } }),
  ];
  const parts = Array.from({ length: pieces }, (_, at) => {
    const [length, width] = draw();
    return part(`r${at}`, 1, length, width, { material: 'ply', thickness: 1, grain: 'length' });
  });
  return problemOf(stock, parts, 0);
}

const pickOther = (main: number, at: number) => [0, 1, 2, 3].filter((kind) => kind !== main)[at]!;

/** Case work from plywood: whole, half and quarter sheets, 6 to 30 pieces, half of them with the grain along. */
export function homeSheets(count: number, seed: number): readonly CutProblem[] {
  const { random, whole } = dice(seed);
  return Array.from({ length: count }, () => {
    const sheet = (id: string, length: number, width: number, price: number): Stock =>
      board(id, length, width, price, { kind: 'sheet', trim: { ends: 0, edges: 0 } });
    const stock = [sheet('whole', 96, 48, 54.8), sheet('half', 48, 48, 31.9), sheet('quarter', 48, 24, 18.4)];
    const parts = Array.from({ length: whole(4, 12) }, (_, at) =>
      part(`p${at}`, whole(1, 4), whole(8 * 8, 60 * 8) / 8, whole(4 * 8, 24 * 8) / 8, {
        grain: random() < 0.5 ? 'length' : 'any',
      }),
    );
    return problemOf(stock, parts);
  });
}
