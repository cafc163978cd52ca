import { inches, type Length } from '../length';
import type { Fastening } from '../joinery';
import { boxOf, type JointKind, type Part } from '../piece';
import { dim, listOf, say, strong, tag, type Bit, type Phrase } from '../words';

/**
 * How hinges, pins, slides and plates are set, for joints of one kind that are made at one time. Null for other hardware,
 * and where a place for its screws was not found.
 */
export function hardwareActions(kind: JointKind, group: readonly Fastening[]): readonly Phrase[] | null {
  if (group.some(({ shanks }) => shanks.length === 0)) return null;
  switch (kind) {
    case 'hinge':
      return hingeActions(group);
    case 'pins':
      return [pinAction(group)];
    case 'slide':
      return slideActions(group);
    case 'plate':
      return [plateAction(group)];
    default:
      return null;
  }
}

/** Hinges by where they stand: their middles, and one screw a leaf until the gaps are right. */
function hingeActions(group: readonly Fastening[]): readonly Phrase[] {
  const rows = new Map<string, Fastening[]>();
  for (const item of group) rows.set(item.hinges.join(), [...(rows.get(item.hinges.join()) ?? []), item]);
  return [
    ...[...rows.values()].map((alike) => {
      const { hinges, from } = alike[0]!;
      return say`Mark the middles of the hinges ${listOf(hinges.map((place): Bit => dim(place)))} from the ${from}: ${listOf(alike.map(({ drilled }): Bit => tag(drilled.tag)))}, then on ${listOf([...new Set(alike.map((item) => item.into.tag))].map((name): Bit => tag(name)))}, the door held in its place.`;
    }),
    say`Pilot every screw ${strong('1/16')} with a centring bit, drive one in each leaf, close, set the gaps, drive the others.`,
  ];
}

/** How high a screw stands on the part it goes into, from its lower end. */
const heightOn = (part: Part, z: number): Length => Math.round(z - boxOf(part).min[2]);

/** Holes for the pins of loose shelves: how high, how far in, and how deep at most. */
function pinAction(group: readonly Fastening[]): Phrase {
  const shelves = [...new Map(group.map((item) => [item.drilled.id, item])).values()];
  const deep = Math.min(...group.flatMap(({ shanks }) => shanks.map(({ length }) => length)));
  const heights = shelves.map(
    ({ drilled, into, shanks }) => say`${dim(heightOn(into, shanks[0]!.from[2]))} for ${tag(drilled.tag)}`,
  );
  const ins = group[0]!.shanks[0]!.position;
  const holes = group.reduce((sum, { shanks }) => sum + shanks.length, 0);
  return say`Bore ${strong(holes)} holes ${strong('1/4')} for the pins, ${dim(deep)} deep and no deeper (tape on the bit), ${dim(ins)} in from the front and the back of the shelf: ${listOf(heights)}, from the lower end of the upright. One strip of wood with the holes in it serves both sides.`;
}

/** Slides by how high they stand on what they are screwed to. */
function slideActions(group: readonly Fastening[]): readonly Phrase[] {
  const rows = new Map<Length, Fastening[]>();
  for (const item of group) {
    const height = heightOn(item.into, item.shanks[0]!.from[2]);
    rows.set(height, [...(rows.get(height) ?? []), item]);
  }
  return [...rows].map(([height, items]) => {
    const [from, into] = [items.map(({ drilled }) => drilled.tag), items.map((item) => item.into.tag)].map((names) => listOf([...new Set(names)].map((name): Bit => tag(name)))); // prettier-ignore
    return say`Fix the slides, a screw in each slot first: their middle ${dim(height)} up from the lower edge of ${into!}, and at half the height of ${from!}.`;
  });
}

/** Plates of bought legs: the longest screw that stays inside. */
function plateAction(group: readonly Fastening[]): Phrase {
  const length = Math.min(...group.flatMap(({ shanks }) => shanks.map((shank) => shank.length)));
  const legs = listOf(group.map(({ drilled }): Bit => tag(drilled.tag)));
  return say`Screw the plates of ${legs} on, screws no longer than ${dim(length + PLATE)} through the plate: longer ones come out on top.`;
}
/** A plate is about so thick. */
const PLATE: Length = inches(1 / 8);
