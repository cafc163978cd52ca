import {
  splitOff,
  SURFACES,
  surfaceOfKey,
  type Coat,
  type Colour,
  type Finish,
  type Job,
  type Piece,
  type Recipe,
  type SurfaceKey,
} from '../job';
import { inTone, isSheet, type HardwareKind } from '../stock';
import type { Take } from '../work';
import type { OpenFace } from './patches';
import { COATS, END_GRAIN, LOSS, OUNCES_A_QUART, ROUGH, ROUGH_GRIT, UNDER, waitOver, type Product } from './products';
import { recipeOf } from './recipes';

/** Square feet, of which end grain, and of which sheets. */
export type Spread = { readonly area: number; readonly ends: number; readonly sheets: number };

/** How much of a surface there is: what is shut in for good is not counted. */
export function extentOf(patches: readonly OpenFace[]): Spread {
  const open = patches.filter(({ closed }) => !closed);
  const sum = (of: readonly OpenFace[]) => of.reduce((total, { area }) => total + area, 0);
  return {
    area: sum(open),
    ends: sum(open.filter(({ end }) => end)),
    sheets: sum(open.filter(({ part }) => part.material !== 'bought' && isSheet(part.material))),
  };
}

/** What a patch is treated with: all of its surface, or parts of its role by themselves where a person says so. */
export function keyOf({ on }: Pick<Finish, 'on'>, { surface, part }: Pick<OpenFace, 'surface' | 'part'>): SurfaceKey {
  const own = splitOff(surface, part.role);
  return on[own] ? own : surface;
}

/** Surfaces that a piece has, in the usual order; what is treated by itself after the rest of its own. */
export function surfacesIn(finish: Pick<Finish, 'on'>, patches: readonly OpenFace[]): readonly SurfaceKey[] {
  const keys = new Set(patches.flatMap((patch) => (patch.closed ? [] : [keyOf(finish, patch)])));
  return SURFACES.flatMap((name) => [...keys].filter((key) => surfaceOfKey(key).surface === name).sort());
}

/** Surfaces that take one recipe in as many coats: they are worked together. */
export type Treatment = {
  readonly recipe: Recipe;
  readonly coats: number;
  readonly surfaces: readonly SurfaceKey[];
};

/** Who takes what: surfaces of one recipe and as many coats together; what is left bare is in none. */
export function treatmentsOf(
  { finish }: Pick<Piece, 'finish'>,
  job: Pick<Job, 'recipes'>,
  surfaces: readonly SurfaceKey[],
): readonly Treatment[] {
  const found = new Map<string, Treatment>();
  for (const surface of surfaces) {
    const on = finish.on[surface];
    const recipe = on ? recipeOf(job, on.recipe) : null;
    if (!on || !recipe) continue;
    const coats = recipe.coat === 'none' ? 0 : (on.coats ?? recipe.coats);
    const key = `${recipe.id} ${coats}`;
    const known = found.get(key);
    found.set(key, { recipe, coats, surfaces: [...(known?.surfaces ?? []), surface] });
  }
  return [...found.values()];
}

/** What tells apart what is put on: treatments alike in this are coated as one, whatever they were sanded to. */
export const putOnAs = ({ recipe, coats }: Pick<Treatment, 'recipe' | 'coats'>): string =>
  JSON.stringify([
    recipe.conditioner,
    recipe.colours,
    recipe.coat,
    coats,
    recipe.coat === 'enamel' && recipe.tone,
    recipe.by,
  ]);

/** One layer of what is put on: a colour, primer or a coat. */
export type Coating = {
  readonly product: string;
  readonly facts: Product;
  readonly mix: Colour['mix'];
  readonly by: Recipe['by'];
  readonly nth: number;
  readonly of: number;
  readonly between: number;
  /** Minutes before it is wiped; null where it is left. */
  readonly wipe: number | null;
  /** Hours before what comes next, 0 after the last; and after which that is sanded first. */
  readonly hours: number;
  readonly window: number | null;
  /** The first that meets bare wood drinks in. */
  readonly isFirst: boolean;
};

const layerOf = (
  product: string,
  facts: Product,
  more: Partial<Coating> & Pick<Coating, 'by' | 'isFirst'>,
): Coating => ({
  product,
  facts,
  mix: [],
  nth: 1,
  of: 1,
  between: 0,
  wipe: facts.wipe,
  hours: facts.hours,
  window: facts.window,
  ...more,
});

const coatsOf = (
  coat: Coat,
  { by, tone }: Recipe,
  coats: number,
  first: boolean,
  over: Coating | null,
): readonly Coating[] =>
  Array.from({ length: coats }, (_, at) => {
    const facts = COATS[coat];
    return layerOf(coat, facts, {
      by,
      nth: at + 1,
      of: coats,
      // Over stain it is not sanded: that would cut through the colour.
      between: at > 0 ? facts.between : over?.product === 'primer' ? facts.between : 0,
      mix: coat === 'enamel' ? [{ tone, parts: 1 }] : [],
      hours: at + 1 === coats ? 0 : facts.hours,
      window: at + 1 === coats ? null : facts.window,
      isFirst: first && at === 0,
    });
  });

/**
 * What is put on in order: conditioner, colours one over another, primer, coats; each with its wait before the next.
 *
 * @param hours at the bench in one day: what dries longer than that waits for another, past the time in which the next
 *   coat takes by itself, so it is sanded first.
 */
export function layersOf({ recipe, coats }: Pick<Treatment, 'recipe' | 'coats'>, hours: number): readonly Coating[] {
  const coat = recipe.coat !== 'none' && coats > 0 ? recipe.coat : null;
  const before: Coating[] = [];
  if (recipe.conditioner && recipe.colours.length > 0)
    before.push(layerOf('conditioner', UNDER.conditioner, { by: 'wipe', isFirst: true }));
  recipe.colours.forEach(({ product, mix, leave }, at) => {
    const next = recipe.colours[at + 1];
    before.push(
      layerOf(product, UNDER[product], {
        by: product === 'wash' ? 'brush' : 'wipe',
        mix,
        wipe: leave,
        hours: next ? UNDER[product].hours : coat ? waitOver(product, coat) : 0,
        isFirst: before.length === 0,
      }),
    );
  });
  if (coat === 'enamel')
    before.push(
      layerOf('primer', UNDER.primer, {
        by: recipe.by,
        isFirst: before.length === 0,
        between: 0,
      }),
    );
  if (!coat) return before;
  const all = [...before, ...coatsOf(coat, recipe, coats, before.length === 0, before.at(-1) ?? null)];
  return all.map((layer, at) => {
    const under = all[at - 1];
    const isLate = under && under.product === layer.product && under.window !== null && under.hours >= hours;
    return isLate && layer.between === 0 ? { ...layer, between: LATE_GRIT } : layer;
  });
}

/** What a coat that has set too hard for the next is sanded with. */
const LATE_GRIT = 320;

/** Layers that follow each other within the hour are put on in one sitting. */
const SOON = 1;
export function sittingsOf(layers: readonly Coating[]): readonly (readonly Coating[])[] {
  const sittings: Coating[][] = [];
  let soon = false;
  for (const layer of layers) {
    const now = sittings.at(-1);
    if (now && soon) now.push(layer);
    else sittings.push([layer]);
    soon = layer.hours > 0 && layer.hours < SOON;
  }
  return sittings;
}

/** Fluid ounces of a layer: what its area drinks, and what the way it is put on loses. */
export function ouncesOf({ facts, by, isFirst }: Coating, { sandTo }: Recipe, { area, ends }: Spread): number {
  const drinks = isFirst ? (area + ends * (END_GRAIN - 1)) * (sandTo > 0 && sandTo <= ROUGH_GRIT ? ROUGH : 1) : area;
  return (drinks / facts.coverage) * OUNCES_A_QUART * LOSS[by];
}

/** Square feet of a wiped layer that a rag takes up, and that a disc lasts: coarse ones load and tear sooner. */
const A_RAG = 15;
export const perDisc = (grit: number): number => (grit <= 150 ? 12 : 25);
/** Square feet over which a sheet of paper is used up in corners and on edges. */
export const A_SHEET = 60;
/** Things that are used again: of these one is enough for all. */
export const LASTING: readonly HardwareKind[] = ['brush', 'cartridge', 'lead-test'];

const KIT_OF: Readonly<Partial<Record<HardwareKind, Job['shop']['kit'][number]>>> = {
  brush: 'brushes',
  roller: 'rollers',
  rag: 'rags',
  glove: 'gloves',
  tape: 'tape',
  cartridge: 'respirator',
  filler: 'filler',
  'thin-glue': 'thin glue',
  caulk: 'caulk',
};

/** Things of which one does for a sitting, whatever it covers. */
const A_SITTING: readonly HardwareKind[] = [...LASTING, 'glove', 'roller'];

/** What several use up in one sitting. */
export function takenTogether(takes: readonly Take[]): readonly Take[] {
  const all = new Map<string, Take>();
  for (const take of takes) {
    const key = `${take.kind} ${take.size}`;
    const before = all.get(key)?.count ?? 0;
    all.set(key, {
      ...take,
      count: A_SITTING.includes(take.kind) ? Math.max(before, take.count) : before + take.count,
    });
  }
  return [...all.values()];
}

/** What is not there already. */
export const lacking = (takes: readonly Take[], { kit }: Pick<Job['shop'], 'kit'>): readonly Take[] =>
  takes.filter(({ kind, count }) => {
    const own = KIT_OF[kind];
    return count > 0 && (own === undefined || !kit.includes(own));
  });

/** The cans a layer is poured from, each with its share of the ounces. */
function poured({ product, mix }: Coating, ounces: number): readonly Take[] {
  const parts = mix.reduce((sum, one) => sum + one.parts, 0);
  const kind = product === 'conditioner' || product.endsWith('stain') ? 'stain' : 'finish';
  if (product === 'wash')
    return mix.map(({ tone, parts: own }) => ({
      kind: 'finish',
      size: inTone('enamel', tone),
      count: (ounces * own) / parts / 2,
    }));
  if (mix.length === 0) return [{ kind, size: product, count: ounces }];
  return mix.map(({ tone, parts: own }) => ({
    kind,
    size: inTone(product as Parameters<typeof inTone>[0], tone),
    count: (ounces * own) / parts,
  }));
}

/** What a layer uses up over an extent. */
export function takesOf(layer: Coating, recipe: Recipe, extent: Spread): readonly Take[] {
  const { facts, by, wipe, between } = layer;
  const { area } = extent;
  if (area === 0) return [];
  return [
    ...poured(layer, ouncesOf(layer, recipe, extent)),
    ...(by === 'brush' ? [{ kind: 'brush' as const, size: facts.base, count: 1 }] : []),
    ...(by === 'roller' ? [{ kind: 'roller' as const, size: '', count: 1 }] : []),
    ...(by === 'spray' ? [{ kind: 'cartridge' as const, size: '', count: 1 }] : []),
    ...(wipe !== null || by === 'wipe' ? [{ kind: 'rag' as const, size: '', count: area / A_RAG }] : []),
    { kind: 'glove', size: '', count: 1 },
    ...(between > 0 ? [{ kind: 'disc' as const, size: `${between}`, count: area / perDisc(between) }] : []),
  ];
}
