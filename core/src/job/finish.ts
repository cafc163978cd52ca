import * as v from 'valibot';
import { TONES } from '../stock';
import { id, name, oneOf, text, unique, whole, type Fixed } from './fields';
import { ROLES, type Role } from './roles';

/**
 * What is sanded, coloured and coated. A recipe is written once and kept in the job; a piece says which of its surfaces
 * takes which.
 */

/** What of a piece is treated alike: what is seen and touched, each by itself. */
export const SURFACES = ['top', 'edges', 'underside', 'fronts', 'base', 'inside', 'back'] as const;
export type SurfaceName = (typeof SURFACES)[number];

/** A surface, or what parts of one role have of it where that is treated by itself: `base/leg`. */
export type SurfaceKey = SurfaceName | `${SurfaceName}/${Role}`;
export const splitOff = (surface: SurfaceName, role: Role): SurfaceKey => `${surface}/${role}`;
const KEYS: readonly SurfaceKey[] = SURFACES.flatMap((surface): readonly SurfaceKey[] => [
  surface,
  ...ROLES.map((role) => splitOff(surface, role)),
]);
/** What of a piece is treated, surfaces and what is split off them. */
export const treatedKeys = ({
  on,
}: {
  readonly on: Readonly<Partial<Record<SurfaceKey, unknown>>>;
}): readonly SurfaceKey[] => Object.keys(on) as SurfaceKey[];

/** The surface that a key is of, and the role where it is only that of some parts. */
export function surfaceOfKey(key: SurfaceKey): { readonly surface: SurfaceName; readonly role: Role | null } {
  const [surface, role] = key.split('/') as [SurfaceName, Role | undefined];
  return { surface, role: role ?? null };
}

/** Grits that a surface may be sanded to; 0 leaves sanding out. */
export const SAND_TO = [0, 80, 120, 150, 180, 220, 320, 400] as const;

/** What colours the wood: a wash is paint thinned by half and wiped. */
export const COLOUR_NAMES = ['oil stain', 'water stain', 'gel stain', 'wash'] as const;
export const COAT_NAMES = [
  'none',
  'oil polyurethane',
  'water polyurethane',
  'wipe-on polyurethane',
  'hard-wax oil',
  'penetrating oil',
  'exterior urethane',
  'enamel',
] as const;

const MixSchema = v.object({ tone: oneOf(TONES), parts: whole(1, 20) });

/** One colour over the one before: what it is mixed of by parts, and how long it lies before it is wiped. */
const ColourSchema = v.object({
  product: oneOf(COLOUR_NAMES),
  mix: v.pipe(
    v.array(MixSchema),
    v.minLength(1, 'must hold at least one colour'),
    v.maxLength(4, 'must be at most 4 colours'),
  ),
  /** Minutes. */
  leave: whole(1, 60),
});

export const RecipeSchema = v.object({
  id,
  name,
  sandTo: v.picklist(SAND_TO, `must be one of ${SAND_TO.join(', ')}`),
  /** Wetted and let dry before the last grit, so that the grain does not rise under what comes. */
  wetted: v.boolean('must be true or false'),
  /** Wood conditioner before the first colour: blotchy woods take it evenly. */
  conditioner: v.boolean('must be true or false'),
  colours: v.pipe(v.array(ColourSchema), v.maxLength(3, 'must be at most 3 colours')),
  coat: oneOf(COAT_NAMES),
  coats: whole(0, 12),
  /** The colour of enamel. */
  tone: oneOf(TONES),
  by: oneOf(['brush', 'wipe', 'roller', 'spray']),
  /** Corners and edges rubbed through to the wood once all is dry. */
  rubbed: v.boolean('must be true or false'),
  /** What its sample said: which won, and why. */
  note: v.optional(text(400), ''),
});

export const FinishSchema = v.object({
  /** Once it stands; its parts before they are joined; or where the piece stays. */
  when: oneOf(['assembled', 'parts', 'site']),
  /** What is on the wood already, of what was found. */
  old: oneOf(['none', 'clear', 'paint']),
  /** What levels the boards of a glued top. */
  flatten: oneOf(['sander', 'belt sander', 'hand plane', 'planer']),
  /** What loose knots and cracks are set fast with. */
  cracks: oneOf(['filler', 'thin glue', 'sawdust']),
  /** By surface its recipe, and how many coats where that is not what the recipe says. What is left out stays bare. */
  on: v.record(
    v.picklist(KEYS, `must be one of ${SURFACES.join(', ')}, or that of one role of part, as base/leg`),
    v.object({ recipe: id, coats: v.nullable(whole(0, 12)) }),
  ),
  /** Recipes that are tried on an offcut beside those it takes, by their ids; whether they lost, and why. */
  tries: v.pipe(
    v.array(v.object({ id, lost: v.boolean('must be true or false'), why: text(200) })),
    v.maxLength(12, 'must be at most 12 recipes'),
    unique('a recipe is tried twice'),
  ),
});

export type Recipe = Fixed<v.InferOutput<typeof RecipeSchema>>;
export type Colour = Recipe['colours'][number];
export type ColourName = Colour['product'];
export type Coat = Exclude<Recipe['coat'], 'none'>;
export type Finish = Fixed<v.InferOutput<typeof FinishSchema>>;

/** Nothing is sanded or coated. */
export const UNFINISHED: Finish = {
  when: 'assembled',
  old: 'none',
  flatten: 'sander',
  cracks: 'filler',
  on: {},
  tries: [],
};

/** Surfaces of a top; the rest is seen less. */
export const TOP_SURFACES: readonly SurfaceName[] = ['top', 'edges', 'underside'];

/** A finish once it stands, by the ids of recipes: of the top and its edges, and of the rest. */
export const finishedWith = (top: string, rest: string = top): Finish => ({
  ...UNFINISHED,
  on: Object.fromEntries(
    SURFACES.map((surface) => [surface, { recipe: TOP_SURFACES.includes(surface) ? top : rest, coats: null }]),
  ),
});

/** What is there for finishing already, and need not be bought. */
export const KIT = [
  'brushes',
  'rollers',
  'rags',
  'gloves',
  'tape',
  'respirator',
  'filler',
  'thin glue',
  'caulk',
] as const;
