import fc from 'fast-check';
import { inches, mm, type Units } from '../length';
import { READY } from '../finishing';
import { DEFAULT_SHOP, finishedWith, newJob, TOOL_NAMES, UNFINISHED, type Job, type Piece, type Shop } from '../job';
import { WAYS_FOR } from '../joinery';
import { FAMILIES, refusal, TOPS, type Family, type JointKind, type Top } from '../piece';
import { BOARD_KEYS, SAMPLE_YARD, SHEETS, type Sheet, type Yard } from '../stock';
import { mended, piecesOf } from './pieces';

/** Every family with every top that can stand on it, and those that carry none: what it is called, and its number. */
export const KINDS = FAMILIES.flatMap((family): readonly (readonly [string, Family, Top | null])[] =>
  family.topped
    ? TOPS.map((top) => [`${family.id} under ${top.id}`, family, top] as const)
    : [[family.id, family, null] as const],
).map(([name, family, top], at) => [name, family, top, at] as const);

/**
 * A yard that sells every board in three lengths and every sheet whole: what is rehearsed is the work, not the supply.
 */
export const EVERYTHING: Yard = {
  ...SAMPLE_YARD,
  id: 'everything',
  boards: BOARD_KEYS.flatMap((board) =>
    [8, 12, 16].map((feet) => ({
      id: `${board} ${feet}`,
      board,
      length: inches(12 * feet),
      grade: '',
      price: 100 * feet,
      inStock: true,
    })),
  ),
  sheets: (Object.keys(SHEETS) as Sheet[]).map((sheet) => ({
    id: sheet,
    sheet,
    length: inches(97),
    width: inches(49),
    price: 6000,
    inStock: true,
  })),
};

/** One way for one kind of joint that may be made in several; none in one of three. */
const joins: fc.Arbitrary<Piece['joins']> = fc.option(
  fc
    .constantFrom(...(Object.keys(WAYS_FOR) as JointKind[]).filter((kind) => WAYS_FOR[kind].length > 1))
    .chain((kind) =>
      fc.record({ by: fc.constantFrom(...WAYS_FOR[kind]), plugs: fc.boolean() }).map((join) => ({ [kind]: join })),
    ),
  { nil: {}, freq: 2 },
);

/** Shops that have all tools, or a few; clamps of some lengths; what they leave on, and how thick a saw. */
const shops: fc.Arbitrary<Shop> = fc
  .record({
    jointer: fc.boolean(),
    kerf: fc.constantFrom(inches(3 / 32), inches(1 / 8), mm(2)),
    topExtra: fc.constantFrom(inches(1), inches(2), mm(20)),
    partExtra: fc.constantFrom(inches(1 / 2), inches(1)),
    snipe: fc.constantFrom(0, inches(2), inches(3)),
    clamps: fc.constantFrom(DEFAULT_SHOP.clamps, [{ length: inches(24), count: 4 }]),
    drivers: fc.constantFrom(DEFAULT_SHOP.drivers, ['long bit', 'short bit', 'right-angle head'] as const),
    lift: fc.constantFrom(30, 50, 80),
  })
  .map(({ jointer, ...shop }) => ({
    ...DEFAULT_SHOP,
    ...shop,
    tools: TOOL_NAMES.filter((tool) => jointer || tool !== 'jointer'),
  }));

/**
 * Any two of the recipes that are ready on the top and the rest, another on parts of one role, one more tried; before,
 * after, or where it stays; levelled and filled in any way.
 */
export const anyFinish: fc.Arbitrary<Piece['finish']> = fc
  .record({
    top: fc.constantFrom(...READY.map(({ id }) => id)),
    rest: fc.constantFrom(...READY.map(({ id }) => id)),
    when: fc.constantFrom('assembled' as const, 'parts' as const, 'site' as const),
    old: fc.constantFrom('none' as const, 'none' as const, 'clear' as const, 'paint' as const),
    flatten: fc.constantFrom('sander' as const, 'belt sander' as const, 'hand plane' as const, 'planer' as const),
    cracks: fc.constantFrom('filler' as const, 'thin glue' as const, 'sawdust' as const),
    apart: fc.option(
      fc.record({
        key: fc.constantFrom(
          ...(['base/leg', 'base/apron', 'base/shelf', 'inside/shelf', 'fronts/drawer', 'edges/edging'] as const),
        ),
        recipe: fc.constantFrom(...READY.map(({ id }) => id)),
      }),
      { nil: null },
    ),
    tried: fc.option(fc.constantFrom(...READY.map(({ id }) => id)), { nil: null }),
  })
  .map(({ top, rest, apart, tried, ...how }): Piece['finish'] => {
    const whole = { ...finishedWith(top, rest), ...how };
    return {
      ...whole,
      on: apart ? { ...whole.on, [apart.key]: { recipe: apart.recipe, coats: null } } : whole.on,
      tries: tried === null ? [] : [{ id: tried, lost: false, why: '' }],
    };
  });
const finishes = fc.option(anyFinish, { nil: UNFINISHED, freq: 4 });

/** Jobs of one piece of a family with a top, in any shop, with any ways to join. Null where that can not be built. */
export const jobsOf = (family: Family, top: Top | null, units: Units): fc.Arbitrary<Job | null> =>
  fc
    .record({
      wish: piecesOf(family, top, units),
      joins,
      shop: shops,
      finish: finishes,
      first: fc.constantFrom('top' as const, 'base' as const),
    })
    .map(({ wish, joins: ways, shop, finish, first }) => {
      if (top && refusal(wish, family, top)) return null;
      const { piece, model } = mended(wish, units);
      if (model.parts.length === 0) return null;
      return {
        ...newJob('rehearsed'),
        units,
        yard: EVERYTHING,
        shop,
        pieces: [{ ...piece, joins: ways, finish, first }],
      };
    });
