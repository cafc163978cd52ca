import { first } from '../lists';
import { surfaceOfKey, type Job, type Piece, type Role, type SurfaceKey, type SurfaceName } from '../job';
import type { Part } from '../piece';
import { times, type Vec } from '../solid';
import { listOf, say, type Phrase } from '../words';
import { liftFor, named, operation, sideAgainst, tagList, together, type Does, type Operation } from '../work';
import { BETWEEN, BY_HAND, endGrit, gritsTo, sandingMinutes, sandingTakes, SHEET_FROM } from './ladder';
import type { OpenFace } from './patches';
import {
  caulkTakes,
  fillerFor,
  fillerTakes,
  isCoated,
  partsOf,
  strippingTakes,
  tapeTakes,
  toSand,
  triesTakes,
  type FinishPlan,
  type Treated,
} from './plan-finish';
import { lacking, ouncesOf, takenTogether, takesOf, type Coating } from './treatments';

/** Minutes a square foot, by how it is put on: one person, not hurried. */
const PUT_ON = { brush: 0.9, wipe: 0.5, roller: 0.5, spray: 0.35 } as const;
/** Minutes a square foot to wipe off again; to set up and clean what sprays. */
const WIPE_OFF = 0.2;
const SPRAY_SET = 20;
/** Minutes a square foot to take a finish off. */
const STRIP = { clear: 3, paint: 6 } as const;
/** Minutes for a head, and a square foot to look over for knots and cracks; to tape a foot. */
const FILL = 0.25;
const [LOOK_OVER, TAPE] = [0.1, 0.3] as const;
/** Minutes that a sample takes. */
const SAMPLE = 12;

const WORDS: Readonly<Record<SurfaceName, string>> = {
  top: 'the top',
  edges: 'its edges',
  underside: 'its underside',
  fronts: 'the fronts',
  base: 'the base',
  inside: 'the inside',
  back: 'the back',
};

/** Parts of one role, where they are treated by themselves. */
const OF_ROLE: Readonly<Record<Role, string>> = {
  top: 'the boards of the top',
  leg: 'the legs',
  apron: 'the aprons',
  support: 'the supports',
  rail: 'the rails',
  stretcher: 'the stretchers',
  brace: 'the braces',
  foot: 'the feet',
  shelf: 'the shelves',
  side: 'the sides',
  back: 'the back',
  door: 'the doors',
  drawer: 'the drawers',
  edging: 'the edging',
  runner: 'the runners',
  loose: 'what lies loose',
};
/** Where on those parts a surface is, unless it goes without saying. */
const OF_PARTS: Readonly<Partial<Record<SurfaceName, string>>> = {
  top: ', above',
  underside: ', from below',
  inside: ', inside',
  back: ', at the back',
};

/** Surfaces in a sentence: `the top, its edges and the base`; of what is split `the legs and the rest of the base`. */
function surfacesInWords(surfaces: readonly SurfaceKey[], all: readonly SurfaceKey[], loose = false): Phrase {
  if (surfaces.length === all.length && all.length > 1) return loose ? say`every part` : say`all of it`;
  const word = (key: SurfaceKey): string => {
    const { surface, role } = surfaceOfKey(key);
    if (role !== null) return `${OF_ROLE[role]}${OF_PARTS[surface] ?? ''}`;
    if (surface === 'edges' && !surfaces.includes('top')) return 'the edges of the top';
    if (surface === 'underside' && !surfaces.includes('top')) return 'the underside of the top';
    return loose && surface === 'base' ? 'the parts of the base' : WORDS[surface];
  };
  const isSplit = (key: SurfaceKey) => surfaceOfKey(key).role === null && all.some((one) => one.startsWith(`${key}/`));
  return listOf(surfaces.map((key) => say`${isSplit(key) ? `the rest of ${word(key)}` : word(key)}`));
}

export type Bench = {
  readonly piece: Piece;
  readonly plan: FinishPlan;
  readonly shop: Job['shop'];
  readonly pounds: number;
  /** The middle of the piece: what looks at it is inside. */
  readonly middle: Vec;
};

/** What is worked at one time: a treatment, and those of its patches that are within reach. */
export type Share = Treated & { readonly hand: number; /** Before its parts are joined. */ readonly early: boolean };

/** What is worked on, in words: surfaces, of loose parts or of what stands; before it is closed in, sides of parts. */
export function whereOf(
  shares: readonly Pick<Share, 'surfaces' | 'patches' | 'early'>[],
  { plan, piece, middle }: Bench,
  loose = piece.finish.when === 'parts',
): Phrase {
  if (shares.some(({ early }) => early))
    return sidesInWords(
      shares.flatMap(({ patches }) => patches),
      middle,
    );
  const all = plan.surfaces.map(({ name }) => name);
  const own = new Set(shares.flatMap(({ surfaces }) => surfaces));
  return surfacesInWords(
    all.filter((key) => own.has(key)),
    all,
    loose,
  );
}

/** Sides of parts: `the front edge and the back edge of T2 to T6`. */
function sidesInWords(patches: readonly OpenFace[], middle: Vec): Phrase {
  const sides = new Map<Part, Set<string>>();
  for (const { part, normal } of patches) {
    const { name } = named(part, sideAgainst(part, times(normal, -1)), { units: 'in', middle });
    sides.set(part, (sides.get(part) ?? new Set()).add(name));
  }
  const groups = together([...sides], ([, names]) => [...names].sort().join());
  return listOf(
    groups.map((group): Phrase => {
      const names = [...first(group)[1]].sort();
      return say`${listOf(names.map((name) => say`the ${name}`))} of ${tagList(group.map(([part]) => part.tag))}`;
    }),
  );
}

const idOf = ({ surfaces }: Pick<Treated, 'surfaces'>): string => surfaces.join('-').replaceAll('/', '.');

const isUnderside = (key: SurfaceKey): boolean => surfaceOfKey(key).surface === 'underside';

/** Sanding of each treatment, through its grits. */
export const sanding = (shares: readonly Share[], bench: Bench, about: string): readonly Operation[] =>
  shares
    .filter(({ recipe, extent }) => recipe.sandTo > 0 && extent.area > 0)
    .map((share) => {
      const { recipe, extent, hand } = share;
      const grits = gritsTo(recipe.sandTo);
      const isSheets = extent.sheets > 0 && recipe.sandTo > SHEET_FROM;
      const wetted = recipe.wetted && isCoated(share);
      const does: Does = {
        kind: 'sand',
        grits: isSheets && extent.sheets > extent.area - 0.05 ? gritsTo(recipe.sandTo, SHEET_FROM) : grits,
        sheets: isSheets && extent.sheets <= extent.area - 0.05 ? SHEET_FROM : null,
        ends: endGrit(recipe.sandTo, toSand(share)),
        where: whereOf([share], bench),
        area: extent.area,
        hand,
        wetted,
        takes: lacking(sandingTakes(recipe.sandTo, toSand(share)), bench.shop),
      };
      const minutes = sandingMinutes(recipe.sandTo, toSand(share), hand) + (wetted ? extent.area * LOOK_OVER : 0);
      return operation(bench, `${about}${idOf(share)}`, does, partsOf([share]), minutes, { tool: 'sander' });
    });

/** A pass over what is coated: what its operations are told by, and where it goes where that is not all of it. */
export type CoatPass = {
  readonly about: string;
  readonly where: ((shares: readonly Share[]) => Phrase) | null;
};

/** One layer on all that takes it. */
export function layerOperation(
  layer: Coating,
  shares: readonly Share[],
  bench: Bench,
  { about, where }: CoatPass,
): Operation {
  const surfaces = shares.flatMap((share) => share.surfaces);
  const { product, mix, by, nth: which, of, between, hours, window, wipe, facts } = layer;
  const sum = (of: (share: Share) => number) => shares.reduce((total, share) => total + of(share), 0);
  const [area, hand] = [sum(({ extent }) => extent.area), sum((share) => share.hand)];
  const isEarly = shares.some(({ early }) => early);
  const under = surfaces.some(isUnderside) && bench.piece.finish.when !== 'parts' && !isEarly;
  const minutes =
    area * (PUT_ON[by] + (wipe === null ? 0 : WIPE_OFF)) +
    (between > 0 ? (area + hand * (BY_HAND - 1)) * BETWEEN : 0) +
    (by === 'spray' ? SPRAY_SET : 0);
  return operation(
    bench,
    `${about}${idOf({ surfaces })}.${product.replaceAll(' ', '-')}.${which}`,
    {
      kind: 'coat',
      product,
      mix,
      where:
        isEarly && shares.every(({ recipe }) => recipe.sandTo > 0)
          ? say`the sides that were sanded, and nowhere that is glued`
          : (where?.(shares) ?? whereOf(shares, bench)),
      under,
      by,
      nth: which,
      of,
      between,
      hours,
      window,
      wipe,
      oily: facts.base === 'oil',
      ounces: sum(({ recipe, extent }) => ouncesOf(layer, recipe, extent)),
      air: facts.air,
      takes: lacking(takenTogether(shares.flatMap(({ recipe, extent }) => takesOf(layer, recipe, extent))), bench.shop),
    },
    partsOf(shares),
    minutes,
    { lift: under ? liftFor(bench.pounds, bench.shop) : null },
  );
}

/** Heads that show are filled, and knots and cracks where those were not before. */
export function filling(bench: Bench, shares: readonly Share[], heads: number, withKnots: boolean): Operation {
  const { plan, shop, piece } = bench;
  const { cracks } = piece.finish;
  const coated = shares.filter(isCoated);
  const area = withKnots ? coated.reduce((sum, { extent }) => sum + extent.area, 0) : 0;
  return operation(
    bench,
    withKnots ? 'knots' : 'heads',
    {
      kind: 'fill',
      heads,
      knots: withKnots,
      product: fillerFor(coated),
      cracks,
      seams: 0,
      takes: lacking(fillerTakes(piece, plan, heads, withKnots), shop),
    },
    partsOf(coated),
    heads * FILL + area * LOOK_OVER,
  );
}

/** Seams under paint, once all is sanded. */
export function caulking(bench: Bench, shares: readonly Share[]): readonly Operation[] {
  const { plan, shop, piece } = bench;
  const painted = shares.filter((share) => isCoated(share) && share.recipe.coat === 'enamel');
  if (plan.seams < 0.5 || painted.length === 0) return [];
  const does: Does = {
    kind: 'fill',
    heads: 0,
    knots: false,
    product: 'paintable',
    cracks: piece.finish.cracks,
    seams: plan.seams,
    takes: lacking(caulkTakes(plan), shop),
  };
  return [operation(bench, 'seams', does, partsOf(painted), plan.seams * TAPE)];
}

export function masking(bench: Bench, why: 'glue' | 'colours', parts: readonly Part[]): readonly Operation[] {
  const feet = bench.plan.tape[why];
  return feet < 0.5
    ? []
    : [
        operation(
          bench,
          why,
          { kind: 'mask', feet, why, takes: lacking(tapeTakes(feet), bench.shop) },
          parts,
          feet * TAPE,
        ),
      ];
}

export function stripping(bench: Bench, old: 'clear' | 'paint'): Operation {
  const { piece, plan, shop } = bench;
  const area = plan.worked.reduce((sum, { extent }) => sum + extent.area, 0);
  return operation(
    bench,
    old,
    {
      kind: 'strip',
      what: old,
      where: whereOf(
        plan.worked.map((one) => ({ ...one, early: false })),
        bench,
      ),
      takes: lacking(strippingTakes(piece, plan), shop),
    },
    partsOf(plan.worked),
    area * STRIP[old],
    { tool: old === 'clear' ? 'sander' : null },
  );
}

export const samplesFor = (shares: readonly Share[], bench: Bench): readonly Operation[] => {
  const { plan, shop } = bench;
  const recipes = [...new Set(shares.filter(isCoated).map(({ recipe }) => recipe.name))];
  const tried = plan.tries.map(({ recipe }) => recipe.name);
  if (recipes.length + tried.length === 0) return [];
  const takes = lacking(triesTakes(plan), shop);
  const minutes = SAMPLE * (recipes.length + tried.length);
  return [operation(bench, 'sample', { kind: 'sample', recipes, tried, takes }, partsOf(shares), minutes)];
};
