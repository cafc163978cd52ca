import { inches } from '../length';
import { first } from '../lists';
import { dim, listOf, say, strong, type Phrase } from '../words';
import type { Operation, OperationOf } from './operation';

/** What is done to a surface. */
export type Finishing = 'sample' | 'strip' | 'flatten' | 'fill' | 'sand' | 'mask' | 'coat' | 'rub' | 'cure';

const MIXED = (mix: OperationOf<'coat'>['mix']): Phrase =>
  mix.length === 0
    ? say``
    : mix.length === 1
      ? say` ${first(mix).tone}`
      : say`, ${listOf(mix.map(({ tone, parts }) => say`${strong(parts)} ${parts === 1 ? 'part' : 'parts'} ${tone}`))}, stirred well`;

const SPREAD = {
  brush: 'brush it on thin, along the grain',
  wipe: 'wipe it on with a rag',
  roller: 'roll it on thin',
  spray: 'spray it thin, each pass half over the last',
} as const;

const hoursOf = (hours: number): Phrase =>
  hours < 1
    ? say`${strong(Math.round(60 * hours))} min`
    : hours < 96
      ? say`${strong(Math.round(hours))} hours`
      : say`${strong(Math.round(hours / 24))} days`;

/** A quantity of what is poured, as it is measured out. */
const ouncesOf = (ounces: number): Phrase =>
  ounces < 1 ? say`under an ounce` : say`about ${strong(Math.round(ounces))} fl oz`;

function coat(operation: OperationOf<'coat'>): Phrase {
  const { product, mix, where, under, by, nth: which, of, between, hours, window, wipe, ounces, air } = operation;
  const named = say`${product}${MIXED(mix)}`;
  const title = of > 1 ? say`Coat ${strong(which)} of ${strong(of)}, ${named},` : say`Put ${named}`;
  const sanded = between > 0 ? say` First sand lightly with ${strong(between)} and wipe off the dust.` : say``;
  const thinned = product === 'wash' ? say` Thin it by half with water.` : say``;
  const wiped = wipe === null ? say`` : say` Wipe off what is still wet after ${strong(wipe)} min; no puddles stay.`;
  const next =
    hours === 0
      ? say``
      : window === null
        ? say` Dry ${hoursOf(hours)}.`
        : say` The next goes on after ${hoursOf(hours)}; later than ${hoursOf(window)} only once it is sanded.`;
  const [cold, hot, damp] = air;
  const shop =
    which === 1 ? say` Shop between ${strong(cold)} and ${strong(hot)} °F, under ${strong(damp)} % humidity.` : say``;
  const ends =
    which > 1 || wipe !== null || product === 'wash'
      ? say``
      : product === 'exterior urethane'
        ? say` End grain lets water in: go over it until it drinks no more, the ends of feet above all.`
        : say` End grain drinks: go over it again at once.`;
  return say`${title} on ${where}: ${SPREAD[by]}, ${ouncesOf(ounces)}${under ? say`, the underside first: turned over on a blanket, then back on its feet` : say``}.${sanded}${thinned}${ends}${wiped}${next}${shop}`;
}

function sand({ grits, sheets, ends, where, area, hand, wetted }: OperationOf<'sand'>): Phrase {
  const list = listOf(grits.map((grit) => strong(grit)));
  const veneer = sheets === null ? say`` : say` Sheets from ${strong(sheets)} on, lightly: their faces are thin.`;
  const finer = ends === null ? say`` : say` End grain to ${strong(ends)}: it drinks less then.`;
  const corners =
    hand < 0.05
      ? say``
      : say` About ${strong(Math.max(1, Math.round(hand)))} of ${strong(Math.max(1, Math.round(area)))} sq ft only by hand: a block, or folded paper in corners.`;
  const wet = wetted
    ? say` Before the last grit wipe it with a damp cloth and let it dry an hour: the grain stands up and is cut off.`
    : say``;
  return say`Sand ${where} with ${list}, every grit over all of it, light from the side. Pencil lines across before each: once they are gone it is enough, and a scratch of the grit before shows under finish. Break every edge with the last.${veneer}${finer}${corners}${wet} Vacuum, then wipe with a cloth damp with spirits; with water under a water finish.`;
}

const FLATTENED = {
  sander: 'with the sander and 60, across the grain first, then along it',
  'belt sander': 'with the belt sander and a belt of 60, aslant to the grain, then along it, never still',
  'hand plane': 'with a sharp plane, aslant across the joints, then along the grain',
  planer: 'in the planer, its flatter face down',
} as const;

function flatten({ by, proud, left }: OperationOf<'flatten'>): Phrase {
  const until =
    by === 'planer'
      ? say`Chalk it over and send it through, ${dim(PASS)} a pass at most, until no chalk is left; then turn it over for the other face. A scrap of its thickness right before it and one behind take the gouges of the rollers.`
      : say`Chalk it over and go on until no chalk is left; a straightedge rocks nowhere.`;
  return say`Flatten the top ${FLATTENED[by]}: nine tops in ten come out of the clamps no more than ${dim(proud)} proud at a joint. ${until} About ${dim(left)} of its thickness is left.`;
}
/** What a pass of a planer takes from a wide top. */
const PASS = inches(1 / 32);

const SET_FAST = {
  'thin glue':
    'Run thin instant glue into loose knots and cracks until they take no more, then a puff of activator: hard in a minute. Glasses on, the window open; it glues skin. Where colour follows keep it off sound wood: it takes none.',
  sawdust:
    'Press sawdust of the same wood, stirred into glue, into knots, cracks and gaps with a knife; it dries two hours. Where colour follows it stays lighter.',
} as const;

function fill({ heads, knots, product, cracks, seams }: OperationOf<'fill'>): Phrase {
  if (seams > 0)
    return say`Draw a thin bead of paintable caulk along inside corners and seams, about ${strong(Math.ceil(seams))} ft, and smooth it with a wet finger. It dries two hours before paint, and is not sanded.`;
  const isFilled = knots && cracks === 'filler';
  const what = [
    ...(heads > 0 ? [say`${strong(heads)} ${heads === 1 ? 'head that shows' : 'heads that show'}`] : []),
    ...(isFilled ? [say`knots, cracks and gaps`] : []),
  ];
  const wide =
    product === 'stainable' && isFilled ? say`; sawdust of the same wood and glue where a gap is wide` : say``;
  const filled =
    what.length === 0
      ? []
      : [
          say`Fill ${listOf(what)} with ${product} filler, a little proud${wide}. Thin fills dry ${strong(2)} hours, deep ones a night.`,
        ];
  const fast = knots && cracks !== 'filler' ? [say`${SET_FAST[cracks]}`] : [];
  const level = say`Sand what was filled level.`;
  return [...fast, ...filled, level].reduce((all, one) => say`${all} ${one}`);
}

function sample({ recipes, tried }: OperationOf<'sample'>): Phrase {
  const named = (names: readonly string[]) => listOf(names.map((name) => say`“${name}”`));
  const beside =
    tried.length === 0
      ? say``
      : say` Beside ${recipes.length > 0 ? 'them' : 'each other'}, a line of tape between: ${named(tried)}.`;
  const own = recipes.length > 0 ? say`: ${named(recipes)}` : say``;
  return say`Make samples on offcuts of the same boards, sanded to the same grit${own}.${beside} Write on the back what is on them. Let them dry, choose, then go on.`;
}

/** The sentence of an operation that finishes a surface. */
export function finishSentence(operation: Extract<Operation, { kind: Finishing }>): Phrase {
  switch (operation.kind) {
    case 'sample':
      return sample(operation);
    case 'strip':
      return operation.what === 'clear'
        ? say`Take the old finish off ${operation.where} with ${strong(80)} until no shine is left; sanding dust of the same wood and glue fills its cracks.`
        : say`Old paint may hold lead: rub ${operation.where} with a test swab first, as its leaflet says. Where it turns red do not sand or scrape: have it stripped by someone with a licence. Else brush on stripper, let it work as its label says, lift it off with a dull scraper, wash, and let it dry a day.`;
    case 'flatten':
      return flatten(operation);
    case 'fill':
      return fill(operation);
    case 'sand':
      return sand(operation);
    case 'mask':
      return operation.why === 'glue'
        ? say`Tape off all that is glued later, about ${strong(Math.ceil(operation.feet))} ft in all: dry-fit, draw around each joint, tape just inside the line. Glue holds on bare wood only. Pull the tape while the last coat is soft.`
        : say`Tape along where one finish meets the other, about ${strong(Math.ceil(operation.feet))} ft in all, pressed down with a knuckle. Pull it while the coat is soft.`;
    case 'coat':
      return coat(operation);
    case 'rub':
      return operation.edges
        ? say`Rub the edges and corners of ${operation.where} through to the wood with ${strong(220)}, most where hands would wear them.`
        : say`Rub ${operation.where} with a piece of brown paper bag until it feels smooth.`;
    case 'cure':
      return say`Leave it alone: light use after ${hoursOf(operation.use)}; hot cups, boxes and books after ${hoursOf(operation.cured)}. Then pads under its feet, hardware back on, in its place with air behind it.`;
  }
}
