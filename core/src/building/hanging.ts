import { first, sure } from '../lists';
import { inches, roundToTape, toInches, type Length, type Units } from '../length';
import { boring, type Fastening, type Site3 } from '../joinery';
import { boxOf, extent, levelled, longHingeFor, type Part, type PieceModel } from '../piece';
import type { HardwareKind } from '../stock';
import { counted, dim, listOf, say, strong, type Bit, type Phrase } from '../words';
import { tagList, together, type Operation, operation } from '../work';
import { benchOf, type Making } from './making';

const tags = (parts: readonly Part[]): Phrase => tagList([...new Set(parts.map((part) => part.tag))]);
const ofKind = (joints: readonly Fastening[], kind: Fastening['joint']['kind']) =>
  joints.filter(({ joint }) => joint.kind === kind);
const shanksIn = (group: readonly Fastening[]): number => group.reduce((sum, { shanks }) => sum + shanks.length, 0);

const HINGE = 6;
const SLIDE = 8;
const PLATE = 5;

/** Hinges by where they stand: their middles, and one screw a leaf until the gaps are right. */
function hinges(group: readonly Fastening[], making: Making): readonly Operation[] {
  if (group.length === 0) return [];
  const rows = together(group, (item) => item.hinges.join());
  const told = rows.map((alike) => {
    const { hinges: places, from } = first(alike);
    return say`${listOf(places.map((place): Bit => dim(place)))} from the ${from} on ${tags(alike.map(({ drilled }) => drilled))}, then on ${tags(alike.map(({ into }) => into))}, the door held in its place`;
  });
  const count = group.reduce((sum, item) => sum + item.hinges.length, 0);
  const says = say`Mark the middles of the hinges: ${told.reduce((a, b) => say`${a}; ${b}`)}. Pilot every screw ${strong('1/16')} with a centring bit, drive one in each leaf, close, set the gaps, drive the others.`;
  const does = {
    kind: 'hang' as const,
    joints: group.map(({ joint }) => joint.id),
    fastener: 'hinge' as const,
    size: '',
    count,
    says,
  };
  return [
    operation(
      making,
      first(group).drilled.tag,
      does,
      group.map(({ drilled }) => drilled),
      HINGE * count,
      { tool: 'drill' },
    ),
  ];
}

/** Hinges that run along all of what hangs on them: cut to length, and hung by three screws first. */
function longHinges(group: readonly Fastening[], making: Making): readonly Operation[] {
  const doors = together(group, ({ drilled, from }) => `${runOf(drilled, from)} ${from}`);
  return doors.map((alike) => {
    const { drilled, from } = first(alike);
    const run = runOf(drilled, from);
    const sold = sure(longHingeFor(run), 'hinge so long');
    const own = alike.map((item) => item.drilled);
    const says = say`Cut ${strong(counted(alike.length, 'long hinge'))} of ${dim(inches(sold))} to ${dim(run)} with a hacksaw, between two of the screw holes, and file the ends; each as long as ${tags(own)}. With it held in its place lay the hinge into the joint, its knuckle outside, flush at both ends on ${tags(own)}, then on ${tags(alike.map(({ into }) => into))}. Pilot ${strong('1/16')} with a centring bit; one screw at each end and in the middle of each leaf, open and shut, then the others.`;
    const does = {
      kind: 'hang' as const,
      joints: alike.map(({ joint }) => joint.id),
      fastener: 'long-hinge' as const,
      size: String(sold),
      count: alike.length,
      says,
    };
    const minutes = alike.reduce((sum, { shanks }) => sum + shanks.length / 2, 0) + HINGE * alike.length;
    return operation(making, first(own).tag, does, own, minutes, { tool: 'drill' });
  });
}

/** How long a front is along its hinged edge. */
function runOf(front: Part, from: Fastening['from']): Length {
  return extent(boxOf(front), from === 'left end' ? 0 : 2);
}

/** How high a screw stands on the part it goes into, from its lower end. */
const heightOn = (part: Part, z: number): Length => Math.round(z - boxOf(part).min[2]);

/** Holes for the pins of loose shelves, bored before the uprights stand: how high, how far in, how deep at most. */
export function pinHoles(making: Making): readonly Operation[] {
  const group = ofKind(making.made, 'pins').filter(({ shanks }) => shanks.length > 0);
  if (group.length === 0) return [];
  const deep = Math.min(...group.flatMap(({ shanks }) => shanks.map(({ length }) => length)));
  const sites = group.flatMap((item) =>
    item.shanks.map(({ from, direction }): Site3 => ({
      part: item.into,
      other: item.drilled,
      at: from,
      direction,
      joint: item.joint.id,
    })),
  );
  const bits = [{ bit: { name: '1/4', across: inches(1 / 4) }, deep, as: 'hole' as const }];
  return boring(sites, bits, 'shelf pins, no deeper', group, benchOf(making, 'early'), { name: 'pins' });
}

function pins(group: readonly Fastening[], making: Making): readonly Operation[] {
  const count = shanksIn(group);
  if (count === 0) return [];
  const says = say`Push ${strong(count)} shelf pins into their holes, all of one shelf level.`;
  return [
    operation(
      making,
      first(group).drilled.tag,
      { kind: 'hang', joints: group.map(({ joint }) => joint.id), fastener: 'shelf-pin', size: '', count, says },
      group.map(({ drilled }) => drilled),
      1,
    ),
  ];
}

/**
 * Slides of one length by how high they stand on what they are screwed to: two make a pair, though one stand higher.
 */
function slides(group: readonly Fastening[], making: Making): readonly Operation[] {
  return together(group, ({ drilled }) => String(Math.round(toInches(drilled.length)))).map((items) => {
    const { drilled } = first(items);
    const rows = together(items, ({ into, shanks }) => String(shanks[0] ? heightOn(into, shanks[0].from[2]) : '')).map(
      (alike) => {
        const { into, shanks } = first(alike);
        return shanks[0]
          ? say`${dim(heightOn(into, shanks[0].from[2]))} up from the lower edge of ${tags(alike.map((item) => item.into))} for ${tags(alike.map((item) => item.drilled))}`
          : say`level for ${tags(alike.map((item) => item.drilled))}`;
      },
    );
    const count = Math.ceil(items.length / 2);
    const says = say`Screw ${strong(counted(count, 'pair'))} of slides on level and parallel, a screw in each slot first, front ends flush with the front: on the box at half the height of its sides, in the piece their middle ${listOf(rows)}. Run the box in and out, then drive the other screws.`;
    const does = {
      kind: 'hang' as const,
      joints: items.map(({ joint }) => joint.id),
      fastener: 'slide' as const,
      size: String(Math.round(toInches(drilled.length))),
      count,
      says,
    };
    return operation(
      making,
      `slide-${drilled.tag}`,
      does,
      items.map((item) => item.drilled),
      SLIDE * count,
      { tool: 'drill' },
    );
  });
}

/** A plate is about so thick. */
const PLATE_THICK: Length = inches(1 / 8);

/** How deep screws of plates and brackets go at most: they stay inside of all that they are driven into. */
const deepest = (group: readonly Fastening[]): Length =>
  Math.min(...group.flatMap(({ shanks }) => shanks.map((shank) => shank.length)), inches(3 / 4));

/** Brackets on which legs fold under what they stand below, each told from its leg. */
function brackets(group: readonly Fastening[], making: Making): readonly Operation[] {
  if (group.length === 0) return [];
  const legs = group.map(({ drilled }) => drilled);
  const length = deepest(group);
  const says = say`With ${tags(legs)} standing where they belong, screw a folding bracket to each, its pivot on the side towards the middle of the piece, then its plate to ${tags(group.map(({ into }) => into))}: pilots ${strong('5/64')}, no deeper than ${dim(length)}, one screw each first. Fold and open the pair: it must lie flat, come back square and lock by itself. Then drive the others. Their maker's sheet comes first; keep fingers out of the joint.`;
  const does = {
    kind: 'hang' as const,
    joints: group.map(({ joint }) => joint.id),
    fastener: 'folding-bracket' as const,
    size: '',
    count: legs.length,
    says,
  };
  return [operation(making, first(legs).tag, does, legs, HINGE * legs.length, { tool: 'drill' })];
}

/** Plates of bought legs: the longest screw that stays inside. */
function plates(group: readonly Fastening[], making: Making): readonly Operation[] {
  if (group.length === 0) return [];
  const length = deepest(group);
  const legs = group.map(({ drilled }) => drilled);
  const says = say`Screw the plates of ${tags(legs)} on: pilots ${strong('5/64')}, no deeper than ${dim(length)}, screws no longer than ${dim(length + PLATE_THICK)} through the plate: longer ones come out on top.`;
  return [
    operation(
      making,
      first(legs).tag,
      { kind: 'hang', joints: group.map(({ joint }) => joint.id), fastener: null, size: '', count: 0, says },
      legs,
      PLATE * legs.length,
      { tool: 'drill' },
    ),
  ];
}

/** How hinges, pins, slides and plates of some joints are set. */
export const hanging = (joints: readonly Fastening[], making: Making): readonly Operation[] => [
  ...hinges(ofKind(joints, 'hinge'), making),
  ...longHinges(ofKind(joints, 'long hinge'), making),
  ...pins(ofKind(joints, 'pins'), making),
  ...slides(ofKind(joints, 'slide'), making),
  ...plates(ofKind(joints, 'plate'), making),
  ...brackets(ofKind(joints, 'fold'), making),
];

/** The angle at which a stretched stay stands: as far along the front as up the side. */
const stayReach = (size: string, units: Units): Length => roundToTape(inches(Number(size)) / Math.SQRT2, units);

/** Hardware that no joint brings: pulls on fronts and doors, what holds them shut, stays of what drops. */
export function fittings(making: Making): readonly Operation[] {
  const { model } = making;
  const needsOf = (kind: HardwareKind) => model.needs.filter((need) => need.kind === kind);
  const doors = model.parts.filter(({ role }) => role === 'door');
  const fit = (
    fastener: HardwareKind,
    needs: PieceModel['needs'],
    on: readonly Part[],
    each: number,
    says: (count: number) => Phrase,
  ): readonly Operation[] => {
    const count = needs.reduce((sum, need) => sum + need.count, 0);
    if (count === 0) return [];
    const size = needs[0]?.size ?? '';
    const does = { kind: 'fit hardware' as const, fastener, size, count, says: says(count) };
    return [operation(making, `${fastener}s${size && `-${size}`}`, does, on, each * count, { tool: 'drill' })];
  };
  const pulled = model.parts.filter(({ role, name }) => role === 'door' || name === 'applied front');
  const feet = levelled(model.parts);
  const [short, long] = [1, 2].map((each) => feet.filter(({ count }) => count === each).map(({ part }) => part));
  const places = listOf([
    ...(short && short.length > 0 ? [say`in the middle of the lower end of ${tags(short)}`] : []),
    ...(long && long.length > 0 ? [say`${dim(inches(2))} from both ends under ${tags(long)}`] : []),
  ]);
  return [
    ...fit(
      'leveller',
      needsOf('leveller'),
      feet.map(({ part }) => part),
      5,
      (count) =>
        say`With its feet in reach, on its head or its side on a blanket, bore ${strong('5/16')}, ${dim(inches(1.5))} deep, ${places}, square to the floor, for ${strong(count)} levellers: knock their nuts in, screw the levellers home, then half a turn back. Their maker's sheet comes first.`,
    ),
    ...fit(
      'pull',
      needsOf('pull'),
      pulled,
      5,
      (count) =>
        say`Fit the ${strong(count)} pulls to ${tags(pulled)}: mark the middle of the front, bore ${strong('3/16')} right through from outside with a block held behind, so that nothing tears out.`,
    ),
    ...fit(
      'catch',
      needsOf('catch'),
      doors,
      6,
      (count) =>
        say`Fit the ${strong(count)} catches: screw each up under the case's top, its middle ${dim(inches(2))} in from where the front opens (one near each end of what drops), its face where the back of the shut front comes. Stick its plate on the magnet, shut ${tags(doors)}, press: the plate marks its place. Screw it there.`,
    ),
    ...together(needsOf('stay'), ({ size }) => size).flatMap((needs) => {
      const size = first(needs).size;
      const reach = stayReach(size, making.units);
      return fit(
        'stay',
        needs,
        doors.filter(({ name }) => name === 'drop front'),
        8,
        (count) =>
          say`Fit the ${strong(count)} stays of ${dim(inches(Number(size)))}, one at each side: ${dim(reach)} from the hinged edge along the inside of the front, and as far up the side from there, ${dim(inches(1))} in from the front edge. Stretched they hold the front level. Try it with one screw in each end; their maker's sheet comes first.`,
      );
    }),
  ];
}
