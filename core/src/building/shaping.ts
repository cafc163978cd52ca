import { first, nth } from '../lists';
import { inches, type Length, type Units } from '../length';
import { toolFor, WAYS, type Ways } from '../job';
import { middleOfParts } from '../joinery';
import { angled, shortLength, type Part } from '../piece';
import type { Outline } from '../solid';
import {
  cutoutName,
  degreesText,
  isPloughed,
  named,
  several,
  tagList,
  tellCuts,
  together,
  told,
  type Operation,
  type PartSide,
  type Teller,
  operation,
} from '../work';
import { dim, plain, say, strong, type Phrase } from '../words';
import { type Making } from './making';

/** Minutes to cut a pair of ends, a cut-out, an outline. Typical for one person who is not hurried. */
const ENDS = 4;
const CUT = 3;
const OUTLINE = 15;

/** Cut-outs of a part in order: what is ploughed comes before its ends are slanted, the others after. */
type When = 'square' | 'shaped';

/** How the ends of a part are cut, in words: angles, and which way they slant. */
export function endsInWords(part: Part): Phrase | null {
  if (!angled(part)) return null;
  const { left, right } = part.ends;
  const angle = (end: Part['ends']['left']) =>
    [
      end.mitre !== 0 ? `${degreesText(end.mitre)} across the face` : '',
      end.bevel !== 0 ? `${degreesText(end.bevel)} through the thickness` : '',
    ]
      .filter((text) => text !== '')
      .join(' and ') || 'square';
  const both =
    angle(left) === angle(right)
      ? say`both ends ${strong(angle(left))}`
      : say`one end ${strong(angle(left))}, the other ${strong(angle(right))}`;
  const parallel = left.mitre === right.mitre && left.bevel === right.bevel;
  return say`${both}${parallel ? ', slanting the same way' : ''}: ${dim(part.length)} long point to long point, ${dim(shortLength(part))} between the short points`;
}

const tellerOf = ({ model, units }: Pick<Making, 'model' | 'units'>): Teller => ({
  units,
  middle: middleOfParts(model.parts),
});

/** The cut-outs of a part in words, as they are marked. */
export function cutsInWords(part: Part, model: Making['model'], units: Making['units']): readonly Phrase[] {
  return tellCuts(part, tellerOf({ model, units })).map(({ kind, taken, for: names, says }) =>
    taken.length > 1
      ? say`${several(cutoutName(kind))}, ${says}`
      : say`${cutoutName(kind)}${names.length > 0 ? say` for ${tagList(names)}` : ''}, ${says}`,
  );
}

/** The sides on which an end is longest. */
function longSides(part: Part, end: 'left' | 'right', teller: Teller) {
  const { mitre, bevel } = part.ends[end];
  const out = end === 'left' ? -1 : 1;
  const longest = (slope: number): 1 | -1 => (slope * out > 0 ? 1 : -1);
  return [
    ...(mitre !== 0 ? [named(part, { axis: 1, sign: longest(mitre) }, teller)] : []),
    ...(bevel !== 0 ? [named(part, { axis: 2, sign: longest(bevel) }, teller)] : []),
  ];
}

const END_OF: Readonly<Record<'left' | 'right', PartSide>> = {
  left: { axis: 0, sign: -1 },
  right: { axis: 0, sign: 1 },
};

/** Both ends of parts to their angles; those the saw cut when it cut them out are left out by the caller. */
function endsOperations(parts: readonly Part[], making: Making): readonly Operation[] {
  const teller = tellerOf(making);
  const angles = parts.filter(angled).map((part) => ({
    part,
    ends: (['left', 'right'] as const).map((end) => ({
      end: named(part, END_OF[end], teller),
      ...part.ends[end],
      long: longSides(part, end, teller),
    })),
  }));
  const alike = together(angles, ({ part, ends }) =>
    JSON.stringify([
      part.length,
      ends.map(({ end, mitre, bevel, long }) => [end.name, mitre, bevel, long.map(({ name }) => name)]),
    ]),
  );
  return alike.map((group) => {
    const { part, ends } = first(group);
    const tool = toolFor(making.shop.tools, WAYS.angle);
    const does = { kind: 'mitre' as const, ends, length: part.length, short: shortLength(part) };
    return operation(
      making,
      part.tag,
      does,
      group.map((one) => one.part),
      ENDS * group.length,
      { tool },
    );
  });
}

/** What nobody saws off: a corner that the tape can not tell from none. */
const NOTHING: Length = inches(1 / 32);

/**
 * The corners of a part's face as they are told, those that the tape tells apart; null where it is a rectangle by the
 * tape.
 */
export function toldOutline({ outline, length, width }: Part, units: Units): Outline | null {
  if (!outline) return null;
  const corners = outline.map(([x, y, bulge = 0]) => [told(x, units), told(y, units), bulge] as const);
  const apart = corners.filter(([x, y, bulge], at) => {
    const [nextX, nextY] = nth(corners, (at + 1) % corners.length);
    return bulge !== 0 || Math.abs(nextX - x) > NOTHING || Math.abs(nextY - y) > NOTHING;
  });
  const at = (value: number, size: number) => value <= NOTHING || value >= size - NOTHING;
  const plain = apart.length === 4 && apart.every(([x, y, bulge]) => bulge === 0 && at(x, length) && at(y, width));
  return plain ? null : apart;
}

function outlineOperations(parts: readonly Part[], making: Making): readonly Operation[] {
  const teller = tellerOf(making);
  const own = parts.flatMap((part) => {
    const outline = toldOutline(part, making.units);
    return outline ? [{ part, outline }] : [];
  });
  const alike = together(own, ({ part, outline }) =>
    JSON.stringify([outline, part.length, part.width, part.frame.u, part.frame.v]),
  );
  return alike.map((group) => {
    const { part, outline } = first(group);
    const tool = toolFor(making.shop.tools, WAYS.curve);
    const does = {
      kind: 'outline' as const,
      outline,
      from: named(part, END_OF.left, teller),
      up: named(part, { axis: 1, sign: -1 }, teller),
      face: named(part, { axis: 2, sign: 1 }, teller),
    };
    return operation(
      making,
      part.tag,
      does,
      group.map((one) => one.part),
      OUTLINE * group.length,
      { tool },
    );
  });
}

/** Cut-outs of parts, once for those that are told alike. */
function cutOperations(parts: readonly Part[], when: When, making: Making): readonly Operation[] {
  const teller = tellerOf(making);
  const cuts = parts.flatMap((part) =>
    tellCuts(part, teller)
      .filter(({ kind }) => isPloughed(kind) === (when === 'square'))
      .map((cut) => ({ part, ...cut })),
  );
  const alike = together(
    cuts,
    ({ kind, for: names, says }) => `${kind} ${names.length > 4 ? '' : names.join()} ${plain(says, making.units)}`,
  );
  return alike.map((group) => {
    const { part, kind, for: names, says } = first(group);
    const does = {
      kind: 'cut' as const,
      taken: Object.fromEntries(group.map((one) => [one.part.id, one.taken])),
      what: first(group).taken.length > 1 ? several(cutoutName(kind)) : cutoutName(kind),
      for: names,
      says,
    };
    const owned = (ways: Ways) => toolFor(making.shop.tools, ways);
    const tool =
      kind === 'hole' ? 'drill' : when === 'square' ? owned(WAYS.groove) : kind === 'taper' ? owned(WAYS.taper) : null;
    return operation(
      making,
      `${part.tag}.${kind}`,
      does,
      group.map((one) => one.part),
      CUT * group.length * (1 + first(group).taken.length),
      { tool },
    );
  });
}

/**
 * What is cut on parts that have their length: grooves and rebates while they are square, then their ends, outlines and
 * the other cut-outs.
 *
 * @param sawn parts whose ends the saw slanted when it cut them out of the board.
 * @param round parts that are cut to their outline with the whole panel.
 */
export function shapingOperations(
  parts: readonly Part[],
  making: Making,
  sawn: (part: Part) => boolean,
  round: (part: Part) => boolean = () => false,
): readonly Operation[] {
  const own = parts.filter((part) => !part.loose && part.bought === null && part.material !== 'bought');
  return [
    ...cutOperations(own, 'square', making),
    ...endsOperations(
      own.filter((part) => !sawn(part)),
      making,
    ),
    ...outlineOperations(
      own.filter((part) => !round(part)),
      making,
    ),
    ...cutOperations(own, 'shaped', making),
  ];
}
