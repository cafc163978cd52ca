import { first, last } from '../lists';
import type { Job, Piece } from '../job';
import { middleOfParts } from '../joinery';
import { weightOf, type PieceModel } from '../piece';
import { listOf, say, type Phrase } from '../words';
import { operation, tagList, type Does, type Operation } from '../work';
import {
  caulking,
  filling,
  layerOperation,
  masking,
  samplesFor,
  sanding,
  stripping,
  whereOf,
  type Bench,
  type CoatPass,
  type Share,
} from './operations';
import { reachesOf, type OpenFace, type Touch } from './patches';
import {
  coatedTogether,
  fitsAmong,
  flatteningTakes,
  isCoated,
  partsOf,
  touchedUp,
  type FinishPlan,
  type Treated,
} from './plan-finish';
import { COATS } from './products';
import { extentOf, lacking, sittingsOf, type Coating } from './treatments';

/** A sitting of sanding or finishing: what is done, and how long it dries. */
type FinishingStep = {
  readonly name: string;
  readonly title: Phrase;
  readonly ops: readonly Operation[];
  readonly adds: readonly string[];
  /** Minutes before the next. */
  readonly wait: number;
};

/** All finishing of a piece, by when it is done. */
export type FinishingWork = {
  readonly when: Piece['finish']['when'];
  /** What nothing reaches later, before its parts are joined; and those parts, by id. */
  readonly closing: readonly FinishingStep[];
  readonly closes: ReadonlySet<string>;
  /** Samples on offcuts: made first, and dry before the first coat goes on. */
  readonly samples: readonly FinishingStep[];
  /** Boards of a glued top: it is left a day, then flattened. */
  readonly flatten: readonly FinishingStep[];
  /** It is flattened before it is joined to anything: a planer takes nothing that stands. */
  readonly flattenAlone: boolean;
  readonly main: readonly FinishingStep[];
  /** Once all is coated and stands. */
  readonly last: readonly FinishingStep[];
};

/** Nothing is sanded or put on. */
export const NO_FINISHING: FinishingWork = {
  when: 'assembled',
  closing: [],
  closes: new Set(),
  samples: [],
  flatten: [],
  flattenAlone: false,
  main: [],
  last: [],
};

/** Minutes a square foot to flatten a glued top, and to rub one down. */
const FLATTEN = { sander: 4, 'belt sander': 3.5, 'hand plane': 5, planer: 1.5 } as const;
const RUB = 0.15;
/** Minutes that filler dries, paint is off, dust settles in before a brushed coat. */
const [FILLER_DRIES, STRIPPED_DRIES, DUST] = [120, 1440, 720] as const;
/** How long a glued top is left before it is flattened, minutes: fresh seams sink once they are sanded. */
export const TOP_RESTS = 1440;

/**
 * Less than the first that nothing reaches is a crevice: nobody sees it. Less than the second is coloured and coated
 * once: nobody touches it. Square feet.
 */
const [CREVICE, GLIMPSED] = [0.25, 1] as const;

const step = (name: string, title: Phrase, ops: readonly Operation[], wait = 0): FinishingStep => ({
  name,
  title,
  ops,
  adds: [],
  wait,
});

/** What a sitting is called: by what is put on in it. */
function titleOf(layers: readonly Coating[], round: number, rounds: number): Phrase {
  const products = new Set(layers.map(({ product }) => product));
  const all = (of: (layer: Coating) => boolean) => layers.every(of);
  if (all(({ product }) => product === 'primer')) return say`Prime it`;
  if (all(({ product }) => product === 'conditioner' || product.endsWith('stain'))) return say`Stain it`;
  if (all(({ product }) => product === 'wash')) return say`Wash it with colour`;
  const one = layers[0];
  if (products.size === 1 && one && all(({ of, nth: which }) => of === one.of && which === one.nth))
    return one.of === 1 ? say`Put on ${one.product}` : say`Finish, coat ${one.nth} of ${one.of}`;
  return say`Finish, sitting ${round} of ${rounds}`;
}

/** Sittings of all treatments side by side: what dries on the one waits for nothing on the other. */
function rounds(
  shares: readonly Share[],
  bench: Bench,
  pass: CoatPass,
  before: (coated: readonly Share[]) => readonly Operation[] = () => [],
): readonly FinishingStep[] {
  const groups = coatedTogether(shares.filter(({ extent }) => extent.area > 0)).map((group) => ({
    group,
    sittings: first(group).sittings,
  }));
  const count = Math.max(0, ...groups.map(({ sittings }) => sittings.length));
  return Array.from({ length: count }, (_, at) => {
    const now = groups.flatMap(({ group, sittings }) => {
      const layers = sittings[at];
      return layers ? [{ group, layers, more: at + 1 < sittings.length }] : [];
    });
    // What is done sooner dries while the other goes on; at the end all must be fit to handle.
    const due = now.map(({ layers, more }) =>
      more ? last(layers).hours : Math.max(last(layers).hours, last(layers).facts.handled),
    );
    return step(
      `${pass.about.replace('.', '-')}coat-${at + 1}`,
      titleOf(
        now.flatMap(({ layers }) => layers),
        at + 1,
        count,
      ),
      [
        ...(at === 0 ? before(groups.flatMap(({ group }) => group)) : []),
        ...now.flatMap(({ group, layers }) => layers.map((layer) => layerOperation(layer, group, bench, pass))),
      ],
      Math.round(60 * Math.max(0, ...due)),
    );
  });
}

/** Brushed and sprayed coats show dust: it settles overnight before the first. Wiped ones do not. */
const dustFor = (shares: readonly Share[]): number =>
  shares.some(({ sittings }) => sittings[0]?.some(({ wipe, by }) => wipe === null && by !== 'wipe')) ? DUST : 0;

/** A treatment on some of its patches. */
function shareOf(
  worked: Treated,
  patches: readonly OpenFace[],
  early: boolean,
  hand: (patch: OpenFace) => number,
): Share {
  return {
    ...worked,
    early,
    patches,
    extent: extentOf(patches),
    hand: patches.reduce((sum, patch) => sum + patch.area * hand(patch), 0),
  };
}

/**
 * Samples of all that is put on, and of what is tried. Colours are looked at dry and under their first coat; what only
 * covers is no choice to wait for.
 */
function sampling(shares: readonly Share[], bench: Bench): readonly FinishingStep[] {
  const ops = samplesFor(shares, bench);
  const waits = [...shares.filter(isCoated), ...bench.plan.tries].map(({ recipe, sittings }) => {
    const layers = sittings.flat();
    const coat = layers.findIndex(({ product }) => product === recipe.coat);
    const shown = coat < 0 ? layers : layers.slice(0, coat + 1);
    return recipe.colours.length === 0 && bench.plan.tries.length === 0
      ? 0
      : shown.reduce((sum, { hours, facts }) => sum + (hours > 0 ? hours : facts.hours), 0);
  });
  return ops.length === 0 ? [] : [step('samples', say`Make samples`, ops, Math.round(60 * Math.max(...waits)))];
}

/** A top that is left until its glue has set through, then flattened. */
function flattening(bench: Bench, model: Pick<PieceModel, 'parts'>): readonly FinishingStep[] {
  const { piece, plan, shop } = bench;
  if (!plan.glued) return [];
  const { area, proud } = plan.glued;
  const boards = model.parts.filter(({ role, trimmedLater }) => role === 'top' && trimmedLater);
  const parts = boards.length > 0 ? boards : model.parts.filter(({ role }) => role === 'top');
  const thick = Math.max(...parts.map(({ thickness }) => thickness));
  const by = piece.finish.flatten;
  const does: Does = {
    kind: 'flatten',
    by,
    proud,
    // A planer takes it off both faces: it needs one that is flat to lie on.
    left: thick - (by === 'planer' ? 2 : 1) * proud,
    takes: lacking(flatteningTakes(piece, plan), shop),
  };
  return [
    step('flatten', say`Flatten the top`, [
      operation(bench, 'top', does, parts, area * FLATTEN[by], {
        tool: by === 'sander' || by === 'planer' ? by : null,
      }),
    ]),
  ];
}

/** What is done once the last coat is dry to the touch. */
function curing(shares: readonly Share[], bench: Bench): readonly FinishingStep[] {
  const coated = shares.filter(isCoated);
  if (coated.length === 0) return [];
  const finals = coated.map(({ sittings }) => last(last(sittings)).facts);
  const most = (of: (facts: (typeof finals)[number]) => number) => Math.max(...finals.map(of));
  const [handled, use, cured] = [most((one) => one.handled), most((one) => one.use), most((one) => one.cured)];
  const rubbed = coated.filter(({ recipe }) => recipe.rubbed);
  const smooth = coated.filter(({ recipe }) => recipe.coat !== 'none' && COATS[recipe.coat].wipe === null);
  const rub = (edges: boolean, of: readonly Share[]) => {
    const feet = of.reduce((sum, { extent }) => sum + extent.area, 0);
    return of.length === 0
      ? []
      : [
          operation(
            bench,
            edges ? 'edges' : 'paper',
            { kind: 'rub', edges, where: whereOf(of, bench, false) },
            partsOf(of),
            feet * RUB,
          ),
        ];
  };
  return [
    ...touchingUp(coated, bench),
    step(
      'cure',
      say`Rub it smooth and let it harden`,
      [
        ...rub(true, rubbed),
        ...rub(false, smooth),
        operation(bench, 'cure', { kind: 'cure', use, cured }, partsOf(coated), 5),
      ],
      Math.max(0, Math.round(60 * (use - handled))),
    ),
  ];
}

/** What was filled once the parts were joined, and what was cut of them then, in all the coats of the rest. */
function touchingUp(coated: readonly Share[], bench: Bench): readonly FinishingStep[] {
  const { plan } = bench;
  if (bench.piece.finish.when !== 'parts') return [];
  const isAll = coated.filter(({ heads }) => heads > 0).length < 2;
  const where = (shares: readonly Share[]) => {
    const ends = tagList([...new Set(shares.flatMap(({ fits }) => fits.map(({ tag }) => tag)))]);
    const filled = isAll ? say`the heads that were filled` : say`the filled heads of ${whereOf(shares, bench, false)}`;
    const spots = [
      ...(shares.some(({ heads }) => heads > 0) ? [filled] : []),
      ...(shares.some(({ fits }) => fits.length > 0) ? [say`the cut ends of ${ends}`] : []),
    ];
    return say`${listOf(spots)}, nowhere else`;
  };
  const spots = coated.map((share): Share => {
    const spot = touchedUp(share);
    return { ...spot, hand: spot.extent.area };
  });
  return [
    ...(plan.heads > 0
      ? [step('heads', say`Fill the heads`, [filling(bench, coated, plan.heads, false)], FILLER_DRIES)]
      : []),
    ...rounds(spots, bench, { about: 'touch.', where }).map((one) => ({
      ...one,
      title: say`${one.title}, where it was ${plan.heads > 0 ? 'filled' : 'cut'}`,
    })),
  ];
}

/** Parts that are coated before they are cut to fit: nothing is cut off them before. */
function leftLong(bench: Bench): readonly Operation[] {
  const fits = fitsAmong(bench.plan.worked.filter(isCoated));
  const says = say`${tagList(fits.map(({ tag }) => tag))} ${fits.length === 1 ? 'is' : 'are'} cut to fit later: coat ${fits.length === 1 ? 'it' : 'them'} as long as ${fits.length === 1 ? 'it is' : 'they are'}. Saw through the coat with tape over the line, then it does not chip.`;
  return fits.length === 0 ? [] : [operation(bench, 'long', { kind: 'heed', says, atHand: [] }, fits, 1)];
}

/** What is put on what is closed in and only glimpsed: all colours, and one coat over them. */
function onceOver(sittings: Treated['sittings']): Treated['sittings'] {
  const layers = sittings.flat();
  const coat = layers.findIndex(({ of, nth: which }) => of > 1 && which === 1);
  return coat < 0
    ? sittings
    : sittingsOf(
        layers
          .slice(0, coat + 1)
          .map((layer, at) => (at === coat ? { ...layer, of: 1, hours: 0, window: null } : layer)),
      );
}

/** Parts that a touch closes with patches that nothing reaches after. */
const besides = (touches: readonly Touch[], ids: ReadonlySet<string>): ReadonlySet<string> =>
  new Set([...ids, ...touches.filter(({ a }) => ids.has(a.id)).map(({ b }) => b.id)]);

/**
 * What is sanded, coloured and coated, in order, each coat a sitting of its own. What nothing reaches once the piece
 * stands comes before its parts are joined; the rest once it stands, where it stays, or as parts, as the piece says.
 */
export function finishingWork(
  piece: Piece,
  model: Pick<PieceModel, 'parts' | 'motions' | 'joints'>,
  plan: FinishPlan,
  { shop }: Pick<Job, 'shop'>,
): FinishingWork {
  const { when, old, cracks } = piece.finish;
  if (plan.worked.length === 0) return NO_FINISHING;
  const reaches = reachesOf(model);
  const reachOf = (patch: OpenFace) => reaches.get(patch) ?? { sander: 1, hand: 0, none: 0 };
  const pounds = model.parts.reduce((sum, part) => sum + weightOf(part), 0);
  const bench: Bench = { piece, plan, shop, pounds, middle: middleOfParts(model.parts) };
  const split = plan.worked.map((worked) => {
    const hidden = worked.patches.filter((patch) => reachOf(patch).none > 0.5);
    const isCrevice = extentOf(hidden).area < CREVICE;
    const open = worked.patches.filter((patch) => !hidden.includes(patch));
    const hand = (patch: OpenFace) => (when === 'parts' ? 0 : 1 - reachOf(patch).sander);
    return {
      early: shareOf(worked, isCrevice ? [] : hidden, true, () => 0),
      later: shareOf(worked, open, false, hand),
    };
  });
  const hidden = split.map((one) => one.early).filter(({ extent }) => extent.area > 0);
  const isGlimpsed = hidden.reduce((sum, { extent }) => sum + extent.area, 0) < GLIMPSED;
  const early = isGlimpsed ? hidden.map((one) => ({ ...one, sittings: onceOver(one.sittings) })) : hidden;
  const later = split.map((one) => one.later).filter(({ extent }) => extent.area > 0);
  const sandedEarly = sanding(early, bench, 'closing.');
  const closing = [
    ...(sandedEarly.length > 0
      ? [step('closing-sand', say`Sand what can not be reached later`, sandedEarly, dustFor(early))]
      : []),
    ...rounds(early, bench, { about: 'closing.', where: null }).map((one) => ({
      ...one,
      title: say`${one.title}, before it is closed in`,
    })),
  ];
  const closes = besides(plan.touches, new Set(partsOf(early).map(({ id }) => id)));
  const isCoatedAtAll = later.some(isCoated);
  const heads = when === 'parts' ? 0 : plan.heads;
  const isDryAtOnce = cracks === 'thin glue' && heads === 0;
  const sanded = sanding(later, bench, '');
  const stripped = old === 'none' ? [] : [stripping(bench, old)];
  const main = [
    ...(stripped.length > 0
      ? [step('strip', say`Take off the old finish`, stripped, old === 'paint' ? STRIPPED_DRIES : 0)]
      : []),
    ...(isCoatedAtAll
      ? [step('fill', say`Fill it`, [filling(bench, later, heads, true)], isDryAtOnce ? 0 : FILLER_DRIES)]
      : []),
    ...(sanded.length > 0 ? [step('sand', say`Sand it`, [...sanded, ...caulking(bench, later)], dustFor(later))] : []),
    ...rounds(later, bench, { about: '', where: null }, (coated) => [
      ...(when === 'parts' ? [...masking(bench, 'glue', partsOf(coated)), ...leftLong(bench)] : []),
      ...masking(bench, 'colours', partsOf(coated)),
    ]),
  ];
  return {
    when,
    closing,
    closes,
    samples: sampling(
      split.map(({ later: all }) => all),
      bench,
    ),
    flatten: flattening(bench, model),
    flattenAlone: piece.finish.flatten === 'planer',
    main,
    last: curing(later, bench),
  };
}
