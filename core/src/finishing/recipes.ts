import {
  set,
  type Change,
  type Coat,
  type Colour,
  type Finish,
  type Job,
  type Piece,
  type Recipe,
  type SurfaceKey,
} from '../job';
import type { Tone } from '../stock';
import { COATS } from './products';

/** How it should look: the wood as it is, a colour through which its grain shows, or paint. */
export const SHADES = {
  natural: 'the wood as it is',
  honey: 'honey',
  brown: 'brown',
  dark: 'dark',
  grey: 'grey',
  washed: 'washed white',
  painted: 'painted white',
} as const;
export type Shade = keyof typeof SHADES;

/** What it must bear. */
export const WEARS = {
  bare: 'left bare',
  wipeable: 'wiped clean',
  quick: 'done in a day',
  mended: 'easily mended',
  oiled: 'oiled',
  outdoors: 'sun and rain',
} as const;
export type Wear = keyof typeof WEARS;

const TONE_OF: Readonly<Partial<Record<Shade, Tone>>> = {
  honey: 'honey',
  brown: 'nut brown',
  dark: 'dark brown',
  grey: 'grey',
  washed: 'white',
};
const COAT_OF: Readonly<Record<Wear, Coat | 'none'>> = {
  bare: 'none',
  wipeable: 'oil polyurethane',
  quick: 'water polyurethane',
  mended: 'hard-wax oil',
  oiled: 'penetrating oil',
  outdoors: 'exterior urethane',
};
/** Grits: tops that stay as they are; what is seen less, what takes colour, and oils, which need open wood. */
const [FINE, REST] = [180, 150] as const;

/** Under a coat thinned with water a stain that water raised is dry in hours; an oil stain would need days. */
function colourFor(tone: Tone, coat: Coat | 'none', isWash: boolean): Colour {
  const isWater = coat !== 'none' && COATS[coat].base === 'water';
  const product = isWash ? 'wash' : isWater ? 'water stain' : 'oil stain';
  return { product, mix: [{ tone, parts: 1 }], leave: isWash ? 2 : isWater ? 3 : 10 };
}

/** A recipe that the program has ready, by look and wear; `rest` for what is seen less than a top. */
function made(shade: Shade, wear: Wear, rest: boolean): Recipe {
  const tone = TONE_OF[shade];
  const isPainted = shade === 'painted';
  const coat = isPainted ? 'enamel' : COAT_OF[wear];
  const colours = tone ? [colourFor(tone, coat, shade === 'washed')] : [];
  const isBare = shade === 'natural' && wear === 'bare';
  return {
    id: `${shade}.${wear}${rest ? '.rest' : ''}`,
    name: [isBare ? 'sanded' : shade, isPainted ? 'enamel' : wear, ...(rest ? ['base'] : [])].join(', '),
    sandTo: rest || isPainted || tone || coat === 'hard-wax oil' || coat === 'penetrating oil' ? REST : FINE,
    wetted: colours.some(({ product }) => product === 'water stain' || product === 'wash'),
    conditioner: colours.some(({ product }) => product === 'oil stain'),
    colours,
    coat,
    coats: coat === 'none' ? 0 : COATS[coat].coats,
    tone: 'white',
    by: coat !== 'none' && COATS[coat].wipe ? 'wipe' : 'brush',
    rubbed: false,
    note: '',
  };
}

/** The recipes that are ready: one for each look and wear, two where a top is sanded finer than the rest. */
export const READY: readonly Recipe[] = (Object.keys(SHADES) as Shade[]).flatMap((shade) =>
  (Object.keys(WEARS) as Wear[]).flatMap((wear) => {
    const top = made(shade, wear, false);
    return top.sandTo === REST ? [top] : [top, made(shade, wear, true)];
  }),
);
const READY_BY_ID = new Map(READY.map((recipe) => [recipe.id, recipe]));

/** A recipe of the job, or one that is ready, by its id; null where it is neither. */
export const recipeOf = ({ recipes }: Pick<Job, 'recipes'>, id: string): Recipe | null =>
  recipes.find((recipe) => recipe.id === id) ?? READY_BY_ID.get(id) ?? null;

/** The id of the recipe for a wish: of a top, or of what is seen less where that is sanded otherwise. */
export const recipeFor = (shade: Shade, wear: Wear, rest: boolean): string =>
  rest && made(shade, wear, false).sandTo !== REST ? `${shade}.${wear}.rest` : `${shade}.${wear}`;

/** Changes that take recipes of another job into this one, each under an id of its own; alike ones are there once. */
export function takenOver(job: Pick<Job, 'recipes'>, recipes: readonly Recipe[]): readonly Change[] {
  const alike = (recipe: Recipe) => JSON.stringify({ ...recipe, id: null });
  const there = new Set(job.recipes.map(alike));
  let all = job.recipes;
  return recipes.flatMap((recipe) => {
    if (there.has(alike(recipe))) return [];
    const own = { ...recipe, id: newId({ recipes: all }) };
    all = [...all, own];
    return [set(null, ['recipes', own.id], own)];
  });
}

/** An id for a recipe of the job's own that no other has. */
function newId({ recipes }: Pick<Job, 'recipes'>): string {
  const taken = new Set(recipes.map(({ id }) => id));
  let at = recipes.length + 1;
  while (taken.has(`own-${at}`)) at++;
  return `own-${at}`;
}

/** Surfaces of a piece that take a recipe, and how. */
const takersOf = ({ on }: Pick<Finish, 'on'>, recipe: string) =>
  (Object.entries(on) as [SurfaceKey, NonNullable<Finish['on'][SurfaceKey]>][]).filter(
    ([, taken]) => taken.recipe === recipe,
  );

/**
 * Changes that let a recipe that was tried win over the one that surfaces take: they take it, in as many coats as it
 * says. The other is kept as one that lost, and why.
 */
export const wins = (
  { id: piece, finish }: Pick<Piece, 'id' | 'finish'>,
  winner: string,
  over: string,
  why: string,
): readonly Change[] => [
  ...takersOf(finish, over).map(([surface]) => set(piece, ['finish', 'on', surface], { recipe: winner, coats: null })),
  set(piece, ['finish', 'tries', winner], undefined),
  set(piece, ['finish', 'tries', over], { id: over, lost: true, why }),
];

/**
 * Changes that make a recipe another. One of the job's own is changed for all that use it; one that is ready is copied,
 * and the surfaces of the piece that take it take the copy.
 */
export function recipeChanges(
  job: Pick<Job, 'recipes'>,
  { id: piece, finish }: Pick<Piece, 'id' | 'finish'>,
  recipe: Recipe,
  next: Partial<Omit<Recipe, 'id'>>,
): readonly Change[] {
  if (job.recipes.some(({ id }) => id === recipe.id))
    return [set(null, ['recipes', recipe.id], { ...recipe, ...next })];
  const id = newId(job);
  return [
    set(null, ['recipes', id], { ...recipe, name: `${recipe.name}, own`, ...next, id }),
    ...takersOf(finish, recipe.id).map(([surface, on]) => set(piece, ['finish', 'on', surface], { ...on, recipe: id })),
    ...finish.tries.flatMap(({ id: tried, ...rest }) =>
      tried === recipe.id
        ? [set(piece, ['finish', 'tries', tried], undefined), set(piece, ['finish', 'tries', id], { ...rest, id })]
        : [],
    ),
  ];
}
