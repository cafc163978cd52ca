import type { Job, Piece, SurfaceName } from '../job';
import type { Fastening } from '../joinery';
import { inches } from '../length';
import type { Part, PieceModel } from '../piece';
import { dot, sub, type Vec } from '../solid';
import { first } from '../lists';
import type { HardwareNeed } from '../stock';
import { together, type Take } from '../work';
import { sandingTakes } from './ladder';
import { patchesOf, type OpenFace, type Touch } from './patches';
import {
  extentOf,
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
};

/** How a piece is finished, without what a sander reaches: enough for what must be bought. */
export type FinishPlan = {
  readonly patches: readonly OpenFace[];
  readonly touches: readonly Touch[];
  readonly surfaces: readonly { readonly name: SurfaceName; readonly extent: Spread }[];
  readonly worked: readonly Treated[];
  /** Heads of screws and brads that show on what is coloured or coated. */
  readonly heads: number;
  /** Feet of tape: around what is glued later, and where one finish meets another. */
  readonly tape: { readonly glue: number; readonly colours: number };
  /** A top glued of boards: its upper face, square feet; how proud its joints may be. */
  readonly glued: { readonly area: number; readonly proud: number } | null;
};

export const isCoated = ({ sittings }: Treated): boolean => sittings.length > 0;

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

/** How proud a joint may be: made so that its boards are kept level, and by glue alone, which lets them slide. */
const LEVEL_TO = inches(1 / 64);
const LOOSE_TO = inches(1 / 32);

function gluedTop(made: readonly Fastening[], patches: readonly OpenFace[]): FinishPlan['glued'] {
  const edges = made.filter(
    ({ joint, drilled, into }) => joint.kind === 'edge' && drilled.role === 'top' && into.role === 'top',
  );
  if (edges.length === 0) return null;
  const ids = new Set(edges.flatMap(({ drilled, into }) => [drilled.id, into.id]));
  const { area } = extentOf(patches.filter(({ surface, part }) => surface === 'top' && ids.has(part.id)));
  return area === 0 ? null : { area, proud: edges.some(({ by }) => by === 'glue') ? LOOSE_TO : LEVEL_TO };
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

/** Nothing is sanded or coated. */
export const UNPLANNED: FinishPlan = {
  patches: [],
  touches: [],
  surfaces: [],
  worked: [],
  heads: 0,
  tape: { glue: 0, colours: 0 },
  glued: null,
};

/** How a piece is finished: who takes what, and how much of it there is. */
export function finishPlan(
  piece: Piece,
  model: Pick<PieceModel, 'parts' | 'motions'>,
  made: readonly Fastening[],
  job: Pick<Job, 'recipes' | 'shop'>,
): FinishPlan {
  if (Object.keys(piece.finish.on).length === 0) return UNPLANNED;
  const { patches, touches } = patchesOf(model);
  const names = surfacesIn(patches);
  const worked = treatmentsOf(piece, job, names).map((treatment): Treated => {
    const own = patches.filter(({ surface, closed }) => !closed && treatment.surfaces.includes(surface));
    return {
      ...treatment,
      patches: own,
      extent: extentOf(own),
      sittings: sittingsOf(layersOf(treatment, job.shop.hours)),
    };
  });
  const shown = worked
    .filter(isCoated)
    .flatMap(({ patches: own }) => own.filter(({ surface }) => surface !== 'underside' && surface !== 'back'));
  const isSanded = worked.some(({ surfaces, recipe }) => surfaces.includes('top') && recipe.sandTo > 0);
  return {
    patches,
    touches,
    surfaces: names.map((name) => ({ name, extent: extentOf(patches.filter(({ surface }) => surface === name)) })),
    worked,
    heads: headsOn(made, shown),
    tape: tapeFor(touches, worked),
    glued: isSanded ? gluedTop(made, patches) : null,
  };
}

/** How a piece is finished, as it is told: without its patches. */
export type FinishTold = Pick<FinishPlan, 'surfaces' | 'heads' | 'tape'> & {
  readonly treatments: readonly (Treatment & Pick<Treated, 'extent' | 'sittings'>)[];
};

export const finishingTold = ({ surfaces, heads, tape, worked }: FinishPlan): FinishTold => ({
  surfaces,
  heads,
  tape,
  treatments: worked.map(({ patches, ...told }) => {
    void patches;
    return told;
  }),
});

/** Heads that an ounce of filler fills, and square feet whose knots and cracks one does. */
const [HEADS_AN_OUNCE, FEET_AN_OUNCE] = [60, 40] as const;
/** Feet on a roll. */
const ROLL = 60;

export const tapeTakes = (feet: number): readonly Take[] =>
  feet > 0 ? [{ kind: 'tape', size: '', count: feet / ROLL }] : [];

/** Filler for heads, and for the knots and cracks of what is coloured or coated. */
export function fillerTakes({ worked }: FinishPlan, heads: number, withKnots: boolean): readonly Take[] {
  const coated = worked.filter(isCoated);
  const area = withKnots ? coated.reduce((sum, { extent }) => sum + extent.area, 0) : 0;
  const count = heads / HEADS_AN_OUNCE + area / FEET_AN_OUNCE;
  return coated.length === 0 || count === 0 ? [] : [{ kind: 'filler', size: fillerFor(coated), count }];
}

/** Under paint any filler will do that sands well; under stain and clear coats one that takes colour. */
export const fillerFor = (worked: readonly Treated[]): 'stainable' | 'paintable' =>
  worked.every(({ recipe }) => recipe.coat === 'enamel') ? 'paintable' : 'stainable';

/** What flattening a glued top uses up. */
export const flatteningTakes = ({ finish }: Piece, { glued }: FinishPlan): readonly Take[] =>
  glued === null || finish.flatten === 'hand plane'
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
  return [
    ...strippingTakes(piece, plan),
    ...flatteningTakes(piece, plan),
    ...fillerTakes(plan, plan.heads, true),
    ...plan.worked.flatMap(({ recipe, extent }) => sandingTakes(recipe.sandTo, extent)),
    ...coatedTogether(plan.worked).flatMap((group) =>
      first(group)
        .sittings.flat()
        .flatMap((layer) => takenTogether(group.flatMap(({ recipe, extent }) => takesOf(layer, recipe, extent)))),
    ),
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
