import { longestDay, type Job, type Piece, type SurfaceKey } from '../job';
import type { Fastening } from '../joinery';
import { inches, type Length } from '../length';
import { around, boxOf, extent, type Part, type PieceModel } from '../piece';
import { dot, sub, type Vec } from '../solid';
import { first } from '../lists';
import { isPoured, type HardwareNeed } from '../stock';
import { together, type Take } from '../work';
import { sandingTakes } from './ladder';
import { patchesOf, type OpenFace, type Touch } from './patches';
import { proudOf } from './proud';
import { recipeOf } from './recipes';
import {
  extentOf,
  keyOf,
  lacking,
  LASTING,
  layersOf,
  sittingsOf,
  putOnAs,
  surfacesIn,
  takenTogether,
  takesOf,
  treatmentsOf,
  type Spread,
  type Coating,
  type Treatment,
} from './treatments';

/** What of a piece takes one recipe: how much of it there is, and what is put on in each sitting. */
export type Treated = Treatment & {
  readonly patches: readonly OpenFace[];
  readonly extent: Spread;
  readonly sittings: readonly (readonly Coating[])[];
  /** Heads that show on it, and parts cut to fit with ends that are seen: touched up where it is coated before. */
  readonly heads: number;
  readonly fits: readonly Part[];
};

/** A recipe that is only tried, on a sample. */
type Tried = Pick<Treated, 'recipe' | 'coats' | 'sittings'>;

/** How a piece is finished, without what a sander reaches: enough for what must be bought. */
export type FinishPlan = {
  readonly patches: readonly OpenFace[];
  readonly touches: readonly Touch[];
  readonly surfaces: readonly { readonly name: SurfaceKey; readonly extent: Spread }[];
  readonly worked: readonly Treated[];
  /** Heads of screws and brads that show on what is coloured or coated. */
  readonly heads: number;
  /** Feet of tape: around what is glued later, and where one finish meets another. */
  readonly tape: { readonly glue: number; readonly colours: number };
  /** Feet of seams under paint that are caulked. */
  readonly seams: number;
  /** Recipes that are tried beside those that it takes. */
  readonly tries: readonly Tried[];
  /** A top glued of boards: its upper face, square feet; how proud its joints may be, and how wide it is. */
  readonly glued: { readonly area: number; readonly proud: Length; readonly wide: Length } | null;
};

export const isCoated = ({ sittings }: Treated): boolean => sittings.length > 0;

/** Parts that patches are on, each once. */
export const partsOf = (worked: readonly Pick<Treated, 'patches'>[]): readonly Part[] => [
  ...new Map(worked.flatMap(({ patches }) => patches.map(({ part }) => [part.id, part] as const))).values(),
];

/** What of a treatment is sanded: end grain is told apart only under a finish, which it would drink. */
export const toSand = (treated: Treated): Spread => ({
  ...treated.extent,
  ends: isCoated(treated) ? treated.extent.ends : 0,
});

/** Treatments in which the same is put on: they are coated as one. */
export const coatedTogether = <T extends Treated>(worked: readonly T[]): readonly (readonly T[])[] =>
  together(worked.filter(isCoated), putOnAs);

/** A head lies this near to the surface that it shows on. */
const AT_SURFACE = inches(1 / 8);

/** Heads that show on patches: screws and brads that are driven through an open face. */
function headsOn(made: readonly Fastening[], patches: readonly OpenFace[]): number {
  const byPart = new Map<string, OpenFace[]>();
  for (const patch of patches) byPart.set(patch.part.id, [...(byPart.get(patch.part.id) ?? []), patch]);
  const shows = (part: string, from: Vec, direction: Vec) =>
    (byPart.get(part) ?? []).some(
      ({ normal, points }) =>
        dot(normal, direction) < -0.7 && Math.abs(dot(normal, sub(from, first(points)))) < AT_SURFACE,
    );
  return made
    .filter(({ by }) => by === 'screws' || by === 'brads')
    .flatMap(({ shanks }) => shanks)
    .filter(({ through, from, direction }) => shows(through, from, direction)).length;
}

function gluedTop(made: readonly Fastening[], patches: readonly OpenFace[], planed: boolean): FinishPlan['glued'] {
  const edges = made.filter(
    ({ joint, drilled, into }) => joint.kind === 'edge' && drilled.role === 'top' && into.role === 'top',
  );
  if (edges.length === 0) return null;
  const boards = new Map(edges.flatMap(({ drilled, into }) => [drilled, into]).map((part) => [part.id, part]));
  const box = around([...boards.values()].map(boxOf));
  const { area } = extentOf(patches.filter(({ surface, part }) => surface === 'top' && boards.has(part.id)));
  return area === 0 || !box
    ? null
    : { area, proud: proudOf(edges, planed), wide: Math.min(extent(box, 0), extent(box, 1)) };
}

const BARE = '';
const isTop = ({ role }: Part): boolean => role === 'top' || role === 'edging';

/** Feet around all touches where one side lies on what is coated and the parts are joined later. */
function tapeFor(touches: readonly Touch[], worked: readonly Treated[]): FinishPlan['tape'] {
  const ofPart = new Map<string, Set<string>>();
  for (const one of worked)
    for (const { part } of one.patches)
      ofPart.set(part.id, (ofPart.get(part.id) ?? new Set()).add(isCoated(one) ? putOnAs(one) : BARE));
  let [glue, colours] = [0, 0];
  for (const { a, b, around } of touches) {
    const own = ofPart.get(a.id) ?? new Set([BARE]);
    const other = ofPart.get(b.id) ?? new Set([BARE]);
    // Boards of a top are joined before: what is finished as a part is the whole top.
    if (!(isTop(a) && isTop(b)) && [...own].some((one) => one !== BARE)) glue += around / 12;
    // Each touch is told from both sides.
    if ([...own].every((one) => !other.has(one))) colours += around / 24;
  }
  return { glue, colours };
}

/** Feet of seams between parts that are painted: caulked where they are painted once they are joined. */
const seamsFor = (touches: readonly Touch[], worked: readonly Treated[]): number => {
  const painted = new Set(
    worked
      .filter((one) => isCoated(one) && one.recipe.coat === 'enamel')
      .flatMap(({ patches }) => patches.map(({ part }) => part.id)),
  );
  return touches
    .filter(({ a, b }) => painted.has(a.id) && painted.has(b.id) && !(isTop(a) && isTop(b)))
    .reduce((sum, { around: round }) => sum + round / 24, 0);
};

/** Parts that are cut to fit once the others stand: finished before, they are coated while still long. */
export const fitsAmong = (worked: readonly Pick<Treated, 'patches'>[]): readonly Part[] =>
  partsOf(worked).filter((part) => part.fit !== null && !isTop(part));

/** Whether end grain of a part is seen once it is joined. */
const showsEnds = (part: Part, patches: readonly OpenFace[]): boolean =>
  patches.some((patch) => patch.part === part && patch.end && !patch.closed && patch.area > A_SLIVER);
const A_SLIVER = 0.01;

/** Square feet to touch up around a head that was filled, and at the ends of a part that was cut to fit. */
const [A_HEAD, A_FIT] = [0.01, 0.03] as const;

/** Nothing is sanded or coated. */
export const UNPLANNED: FinishPlan = {
  patches: [],
  touches: [],
  surfaces: [],
  worked: [],
  heads: 0,
  tape: { glue: 0, colours: 0 },
  seams: 0,
  tries: [],
  glued: null,
};

/** How a piece is finished: who takes what, and how much of it there is. */
export function finishPlan(
  piece: Piece,
  model: Pick<PieceModel, 'parts' | 'motions' | 'joints'>,
  made: readonly Fastening[],
  job: Pick<Job, 'recipes' | 'calendar'>,
): FinishPlan {
  if (Object.keys(piece.finish.on).length === 0) return UNPLANNED;
  const { patches, touches } = patchesOf(model);
  const names = surfacesIn(piece.finish, patches);
  const worked = treatmentsOf(piece, job, names).map((treatment): Treated => {
    const own = patches.filter((patch) => !patch.closed && treatment.surfaces.includes(keyOf(piece.finish, patch)));
    const sittings = sittingsOf(layersOf(treatment, longestDay(job.calendar) / 60));
    const shown = own.filter(({ surface }) => surface !== 'underside' && surface !== 'back');
    return {
      ...treatment,
      patches: own,
      extent: extentOf(own),
      sittings,
      heads: sittings.length > 0 ? headsOn(made, shown) : 0,
      fits: sittings.length > 0 ? fitsAmong([{ patches: own }]).filter((part) => showsEnds(part, own)) : [],
    };
  });
  const isSanded = worked.some(({ surfaces, recipe }) => surfaces.includes('top') && recipe.sandTo > 0);
  return {
    patches,
    touches,
    surfaces: names.map((name) => ({
      name,
      extent: extentOf(patches.filter((patch) => keyOf(piece.finish, patch) === name)),
    })),
    worked,
    heads: worked.reduce((sum, { heads }) => sum + heads, 0),
    tape: tapeFor(touches, worked),
    seams: piece.finish.when === 'parts' ? 0 : seamsFor(touches, worked),
    tries: piece.finish.tries.flatMap(({ id, lost }): readonly Tried[] => {
      // Where nothing is finished there is nothing to choose.
      const recipe = lost || worked.length === 0 ? null : recipeOf(job, id);
      if (!recipe) return [];
      const coats = recipe.coat === 'none' ? 0 : recipe.coats;
      return [{ recipe, coats, sittings: sittingsOf(layersOf({ recipe, coats }, longestDay(job.calendar) / 60)) }];
    }),
    glued: isSanded ? gluedTop(made, patches, piece.planed !== 0 && piece.planedFor !== 'rest') : null,
  };
}

/** How a piece is finished, as it is told: without its patches. */
export type FinishTold = Pick<FinishPlan, 'surfaces' | 'heads' | 'tape' | 'tries' | 'glued'> & {
  readonly treatments: readonly (Treatment & Pick<Treated, 'extent' | 'sittings'>)[];
};

export const finishingTold = ({ surfaces, heads, tape, tries, glued, worked }: FinishPlan): FinishTold => ({
  surfaces,
  heads,
  tape,
  tries,
  glued,
  treatments: worked.map(({ patches, ...told }) => {
    void patches;
    return told;
  }),
});

/** Heads to an ounce of filler; square feet of knots and cracks to one, and to one of thin glue; feet of caulk. */
const [HEADS_AN_OUNCE, FEET_AN_OUNCE, FEET_OF_GLUE, SEAM_AN_OUNCE] = [60, 40, 80, 8] as const;
/** Feet on a roll. */
const ROLL = 60;

export const tapeTakes = (feet: number): readonly Take[] =>
  feet > 0 ? [{ kind: 'tape', size: '', count: feet / ROLL }] : [];

/** Filler for heads, and what sets the knots and cracks of what is coloured or coated. */
export function fillerTakes(
  { finish }: Pick<Piece, 'finish'>,
  { worked }: FinishPlan,
  heads: number,
  withKnots: boolean,
): readonly Take[] {
  const coated = worked.filter(isCoated);
  if (coated.length === 0) return [];
  const area = withKnots ? coated.reduce((sum, { extent }) => sum + extent.area, 0) : 0;
  const filler = heads / HEADS_AN_OUNCE + (finish.cracks === 'filler' ? area / FEET_AN_OUNCE : 0);
  const takes: readonly Take[] = [
    { kind: 'filler', size: fillerFor(coated), count: filler },
    { kind: 'thin-glue', size: '', count: finish.cracks === 'thin glue' ? area / FEET_OF_GLUE : 0 },
  ];
  return takes.filter(({ count }) => count > 0);
}

export const caulkTakes = ({ seams }: FinishPlan): readonly Take[] =>
  seams < 0.5 ? [] : [{ kind: 'caulk', size: '', count: seams / SEAM_AN_OUNCE }];

/** Square feet of a sample. */
const A_SAMPLE: Spread = { area: 0.5, ends: 0, sheets: 0 };

/** What samples of recipes that are only tried are made with: of what the piece takes there is enough. */
export const triesTakes = ({ tries }: FinishPlan): readonly Take[] =>
  takenTogether(
    tries.flatMap(({ recipe, sittings }) =>
      sittings
        .flat()
        .flatMap((layer) => takesOf(layer, recipe, A_SAMPLE))
        .filter(({ kind }) => isPoured(kind)),
    ),
  );

/** A treatment on what of it is touched up once the parts are joined. */
export const touchedUp = <T extends Treated>(treated: T): T => ({
  ...treated,
  extent: { area: treated.heads * A_HEAD + treated.fits.length * A_FIT, ends: 0, sheets: 0 },
});

/** Under paint any filler will do that sands well; under stain and clear coats one that takes colour. */
export const fillerFor = (worked: readonly Treated[]): 'stainable' | 'paintable' =>
  worked.every(({ recipe }) => recipe.coat === 'enamel') ? 'paintable' : 'stainable';

/** What flattening a glued top uses up. */
export const flatteningTakes = ({ finish }: Piece, { glued }: FinishPlan): readonly Take[] =>
  glued === null || finish.flatten === 'hand plane' || finish.flatten === 'planer'
    ? []
    : finish.flatten === 'sander'
      ? [{ kind: 'disc', size: '60', count: glued.area / 8 }]
      : [{ kind: 'belt', size: '60', count: glued.area / 25 }];

/** What taking off an old finish uses up. */
export function strippingTakes({ finish }: Piece, { worked }: FinishPlan): readonly Take[] {
  const area = worked.reduce((sum, { extent }) => sum + extent.area, 0);
  if (finish.old === 'none' || area === 0) return [];
  return finish.old === 'clear'
    ? [{ kind: 'disc', size: '80', count: area / 8 }]
    : [
        { kind: 'lead-test', size: '', count: 1 },
        { kind: 'finish', size: 'stripper', count: (area / 50) * 32 },
        { kind: 'glove', size: '', count: 1 },
      ];
}

/** All that finishing one copy of a piece uses up. */
function takesFor(piece: Piece, plan: FinishPlan): readonly Take[] {
  const coated = plan.worked.some(isCoated);
  const coats = (worked: readonly Treated[]) =>
    coatedTogether(worked).flatMap((group) =>
      first(group)
        .sittings.flat()
        .flatMap((layer) => takenTogether(group.flatMap(({ recipe, extent }) => takesOf(layer, recipe, extent)))),
    );
  return [
    ...strippingTakes(piece, plan),
    ...flatteningTakes(piece, plan),
    ...fillerTakes(piece, plan, plan.heads, true),
    ...caulkTakes(plan),
    ...triesTakes(plan),
    ...plan.worked.flatMap((one) => sandingTakes(one.recipe.sandTo, toSand(one))),
    ...coats(plan.worked),
    ...(piece.finish.when === 'parts' ? coats(plan.worked.map(touchedUp)) : []),
    ...(coated ? tapeTakes((piece.finish.when === 'parts' ? plan.tape.glue : 0) + plan.tape.colours) : []),
  ];
}

/**
 * Sandpaper, stain, finish and what they are put on with, for all copies of all pieces: what several share is bought
 * together, and of what is used again one will do. What is there is not bought.
 */
export function finishingNeeds(
  pieces: readonly { readonly piece: Piece; readonly plan: FinishPlan }[],
  shop: Pick<Job['shop'], 'kit'>,
): readonly HardwareNeed[] {
  const amounts = new Map<string, Take>();
  for (const { piece, plan } of pieces)
    for (const take of lacking(takesFor(piece, plan), shop)) {
      const key = `${take.kind} ${take.size}`;
      const before = amounts.get(key)?.count ?? 0;
      const count = LASTING.includes(take.kind) ? Math.max(before, take.count) : before + take.count * piece.copies;
      amounts.set(key, { ...take, count });
    }
  return [...amounts.values()]
    .map(({ kind, size, count }) => ({ kind, size, count: Math.ceil(count - 1e-9) }))
    .filter(({ count }) => count > 0)
    .sort((a, b) => a.kind.localeCompare(b.kind) || a.size.localeCompare(b.size, 'en', { numeric: true }));
}
