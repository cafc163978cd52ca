import { first, nth, sure } from '../lists';
import type { Tool } from '../job';
import { inches, roundToTape, type Length } from '../length';
import { pairKey, waysOf, type Axis, type Part } from '../piece';
import { add, dot, times, type Vec } from '../solid';
import { sideAt, spotsOn, together, told, type Does, type Operation, type PartSide, type Spot } from '../work';
import { fastenerOf, isDense, type Fastening } from './fastening';
import { meetingOf } from './meeting';
import type { JointBench, Buys } from './method';
import type { Shank } from './shank';

/** A joint's fasteners of one kind and size, as many as it has. */
export const bought = (item: Fastening): readonly Buys[] =>
  item.fastener && item.positions.length > 0
    ? [{ kind: item.fastener.kind, size: item.fastener.size, count: item.positions.length }]
    : [];

const distinct = <T>(values: readonly T[]): readonly T[] => [...new Set(values)];
const tagsOf = (parts: readonly Part[]): readonly string[] => distinct(parts).map(({ tag }) => tag);

/** An operation on joints: named by what it does and the first of them. */
export function work(
  does: Does,
  joints: readonly Fastening[],
  on: readonly Part[],
  bench: JointBench,
  minutes: number,
  tool: Operation['tool'] = 'drill',
  name = '',
): Operation {
  const parts = distinct(on);
  return {
    id: `${bench.piece}.${does.kind.replace(' ', '-')}.${pairKey(first(joints).joint)}${name === '' ? '' : `.${name}`}`,
    piece: bench.piece,
    on: parts.map(({ id }) => id),
    tags: parts.map(({ tag }) => tag),
    minutes,
    tool,
    lift: null,
    ...does,
  };
}

/** The part that a fastener goes through, and the one it ends in. */
export const throughOf = (item: Fastening, shank: Shank): Part =>
  shank.through === item.into.id ? item.into : item.drilled;
export const endOf = (item: Fastening, shank: Shank): Part =>
  shank.through === item.into.id ? item.drilled : item.into;

/** A place to be worked at: in which part, where on its surface, and which way it runs in. */
export type Site3 = {
  readonly part: Part;
  /** What it is joined to there. */
  readonly other: Part;
  readonly at: Vec;
  readonly direction: Vec;
  readonly joint: string;
  /** Which way the long side of a slot lies; its row is told along that. */
  readonly along?: Vec;
};

/** Of places and the joints they are for, those that are worked at here and now. */
const taken = (sites: readonly Site3[], bench: JointBench): readonly Site3[] =>
  sites.filter(({ part, other }) => bench.takes(part, other));

/** The direction of a part that places of one joint are lined up along: where they differ most, else its longer one. */
function runOf(part: Part, side: PartSide, points: readonly Vec[]): Axis {
  const ways = waysOf(part);
  const axes = ([0, 1, 2] as const).filter((axis) => axis !== side.axis);
  const spread = (axis: Axis) => {
    const values = points.map((point) => dot(ways[axis], point));
    return Math.max(...values) - Math.min(...values);
  };
  const [a, b] = axes as [Axis, Axis];
  if (Math.abs(spread(a) - spread(b)) > 400) return spread(a) > spread(b) ? a : b;
  return nth([part.length, part.width, part.thickness], a) >= nth([part.length, part.width, part.thickness], b) ? a : b;
}

/** The direction of a part, other than into a side, that lies nearest to one of the piece. */
const nearestAxis = (part: Part, side: PartSide, way: Vec): Axis =>
  ([0, 1, 2] as const)
    .filter((axis) => axis !== side.axis)
    .reduce((a, b) => (Math.abs(dot(waysOf(part)[a], way)) >= Math.abs(dot(waysOf(part)[b], way)) ? a : b));

/**
 * Places told part by part, each part's on one side from the same end and edge; with the way each runs, in its own
 * directions.
 */
export function tellSites(
  sites: readonly Site3[],
  bench: JointBench,
): { readonly spots: readonly Spot[]; readonly ways: readonly Vec[] } {
  const sided = sites.map((site) => ({ site, side: sideAt(site.part, site.at, site.direction) }));
  const sameSide = together(sided, ({ site, side }) => `${site.part.id} ${side.axis} ${side.sign}`);
  // Along an edge of a back they stand in one row, along its ends in another.
  const rows = sameSide.flatMap((own) => {
    const {
      site: { part },
      side,
    } = first(own);
    const joints = together(own, ({ site }) => site.joint);
    const usual = runOf(
      part,
      side,
      own.map(({ site }) => site.at),
    );
    const runs = joints.map((of) => {
      const { along } = first(of).site;
      return {
        of,
        run: along
          ? nearestAxis(part, side, along)
          : of.length > 1
            ? runOf(
                part,
                side,
                of.map(({ site }) => site.at),
              )
            : usual,
      };
    });
    return together(runs, ({ run }) => String(run)).map((group) => ({
      part,
      side,
      run: first(group).run,
      of: group.flatMap(({ of }) => of.map(({ site }) => site)),
    }));
  });
  const all = rows.map(({ part, side, run, of }) => {
    return {
      spots: spotsOn(bench.worked(part), side, run, of, bench),
      ways: of.map(({ direction }) => waysOf(part).map((way) => dot(way, direction)) as unknown as Vec),
    };
  });
  return { spots: all.flatMap(({ spots }) => spots), ways: all.flatMap(({ ways }) => ways) };
}

const SQUARE = 0.9999;

/**
 * Places that are worked at here and now: those square to their side, and those that are not, each told part by part.
 */
function squareAndSlant(sites: readonly Site3[], bench: JointBench) {
  const isSlant = ({ part, at, direction }: Site3) =>
    Math.abs(dot(waysOf(part)[sideAt(part, at, direction).axis], direction)) < SQUARE;
  return [false, true].flatMap((slant) => {
    const own = taken(sites, bench).filter((site) => isSlant(site) === slant);
    return own.length > 0 ? [{ slant, parts: own.map(({ part }) => part), ...tellSites(own, bench) }] : [];
  });
}

/** Slots of one shape at some places: for biscuits, clips, loose tenons. */
export const slotting = (
  sites: readonly Site3[],
  shape: Pick<Extract<Does, { kind: 'slot' }>, 'what' | 'long' | 'thick' | 'deep'>,
  joints: readonly Fastening[],
  bench: JointBench,
  { minutes, tool, name = '' }: { readonly minutes: number; readonly tool: Tool; readonly name?: string },
): readonly Operation[] =>
  squareAndSlant(sites, bench).map(({ slant, parts, spots, ways }) =>
    work(
      { kind: 'slot', spots, ways, slant, ...shape },
      joints,
      parts,
      bench,
      minutes * spots.length,
      tool,
      `${name}${slant ? 'slant' : ''}`,
    ),
  );

/** Holes of one kind at some places: bits in turn. */
export function boring(
  sites: readonly Site3[],
  bits: Extract<Does, { kind: 'bore' }>['bits'],
  what: string,
  joints: readonly Fastening[],
  bench: JointBench,
  {
    countersunk = false,
    through = 0,
    minutes = 1,
    name = '',
  }: {
    readonly countersunk?: boolean;
    readonly through?: Length;
    readonly minutes?: number;
    readonly name?: string;
  } = {},
): readonly Operation[] {
  return squareAndSlant(sites, bench).map(({ slant, parts, spots, ways }) =>
    work(
      { kind: 'bore', spots, ways, bits, through, countersunk, for: what, slant },
      joints,
      parts,
      bench,
      minutes * spots.length,
      'drill',
      `${name}${slant ? 'slant' : ''}`,
    ),
  );
}

const entryOf = ({ from, direction, behind }: Shank): Vec => add(from, times(direction, -behind));

/** How far from the surface it is to where a fastener begins to hold. */
const passedBy = ({ behind, length, bite }: Shank): Length => Math.round(behind + Math.max(0, length - bite));

/** Clearance holes, and counterbores so deep as each head goes down, in what screws go through. */
export function clearanceHoles(
  joints: readonly Fastening[],
  bench: JointBench,
  what: string,
  countersunk = false,
): readonly Operation[] {
  const rows = new Map<
    string,
    { item: Fastening; deep: Length; through: Length; sites: Site3[]; joints: Fastening[] }
  >();
  for (const item of joints)
    for (const shank of item.shanks) {
      const deep = told(shank.behind, bench.units);
      const key = `${fastenerOf(item).size} ${deep}`;
      const row = rows.get(key) ?? { item, deep, through: 0, sites: [], joints: [] };
      row.through = Math.max(row.through, passedBy(shank));
      row.sites.push({
        part: throughOf(item, shank),
        other: endOf(item, shank),
        at: entryOf(shank),
        direction: shank.direction,
        joint: item.joint.id,
      });
      row.joints.push(item);
      rows.set(key, row);
    }
  return [...rows.values()].flatMap(({ item, deep, through, sites, joints: own }) => {
    const { counterbore, clearance } = fastenerOf(item);
    const bits = [
      ...(deep > 0 && counterbore ? [{ bit: counterbore, deep, as: 'counterbore' as const }] : []),
      ...(clearance ? [{ bit: clearance, deep: null, as: 'clearance' as const }] : []),
    ];
    return boring(sites, bits, what, own, bench, {
      countersunk: countersunk && deep === 0,
      through,
      minutes: deep > 0 ? 1 : 0.5,
      name: `${deep}`,
    });
  });
}

/** A hole is drawn out so far where what it holds moves. */
const SLOT: Length = inches(1 / 2);

/** The holes of joints that let a top move, drawn out to slots: under plywood, tiles and stone a round hole does. */
export function drawnOut(
  bored: readonly Operation[],
  joints: readonly Fastening[],
  bench: JointBench,
): readonly Operation[] {
  const moving = joints.filter(({ moves, shanks }) => moves && shanks.length > 0);
  const spots = bored
    .flatMap((one) => (one.kind === 'bore' ? one.spots : []))
    .filter(({ joint }) => moving.some((item) => item.joint.id === joint));
  if (spots.length === 0) return [];
  // Those that are bored later are drawn out then.
  const here = moving.filter((item) => spots.some(({ joint }) => joint === item.joint.id));
  const parts = here.map(({ drilled }) => drilled);
  return [work({ kind: 'elongate', spots, long: SLOT }, here, parts, bench, spots.length)];
}

/** Screws of each size driven: pilots on through the holes there are, then the screws, and how deep their heads lie. */
export function driving(
  joints: readonly Fastening[],
  bench: JointBench,
  {
    washer = false,
    snug = false,
    spots = [] as readonly Spot[],
    pilots = true,
    minutes = 0.5,
    nuts = null as 'in' | 'out' | null,
  } = {},
): readonly Operation[] {
  const rows = new Map<string, Fastening[]>();
  for (const item of joints) {
    if (item.shanks.length === 0 || !item.fastener) continue;
    const key = `${item.fastener.size} ${bench.driver(item)}`;
    rows.set(key, [...(rows.get(key) ?? []), item]);
  }
  return [...rows.values()].map((group) => {
    const fastener = fastenerOf(first(group));
    const pairs = group.flatMap((item) => item.shanks.map((shank) => ({ item, shank })));
    const clip = fastener.kind === 'clip';
    const from = pairs.map(({ item, shank }) => (clip ? item.drilled : throughOf(item, shank)));
    const ends = pairs.map(({ item, shank }) => (clip ? item.into : endOf(item, shank)));
    const hard = group.some(({ drilled, into }) => isDense(drilled) || isDense(into));
    const deep = roundToTape(Math.max(...pairs.map(({ shank }) => shank.bite)), bench.units);
    const reach = clip ? deep : Math.max(...pairs.map(({ shank }) => passedBy(shank) + Math.round(shank.bite)));
    const own = new Set(group.map(({ joint }) => joint.id));
    const does: Does = {
      kind: 'drive',
      joints: group.map(({ joint }) => joint.id),
      fastener: fastener.kind,
      size: fastener.size,
      count: pairs.length,
      into: tagsOf(ends),
      pilot: pilots && fastener.pilot ? { bit: fastener.pilot[hard ? 'hard' : 'soft'], deep, reach } : null,
      sunk:
        fastener.kind === 'pocket-screw' || clip
          ? []
          : distinct(pairs.map(({ shank }) => told(shank.behind, bench.units))),
      bit: fastener.driver,
      washer,
      nuts,
      snug,
      driver: bench.driver(first(group)),
      spots: spots.filter(({ joint }) => own.has(joint)),
    };
    return work(does, group, from, bench, minutes * pairs.length, 'drill', fastener.size.replace(/[^\w-]+/g, '-'));
  });
}

/** What is pushed into holes or slots with glue, half in each part. */
export function pegging(joints: readonly Fastening[], bench: JointBench): readonly Operation[] {
  const rows = new Map<string, Fastening[]>();
  for (const item of joints) rows.set(fastenerOf(item).size, [...(rows.get(fastenerOf(item).size) ?? []), item]);
  return [...rows.values()].map((group) => {
    const count = group.reduce((sum, { shanks }) => sum + shanks.length, 0);
    const { kind, size } = fastenerOf(first(group));
    return work(
      { kind: 'peg', joints: group.map(({ joint }) => joint.id), fastener: kind, size, count },
      group,
      group.map(({ drilled }) => drilled),
      bench,
      0.5 * count,
      null,
    );
  });
}

/** The direction that pegs of a joint stand in one row: along the longer side of what meets. */
function rowOf({ drilled, into }: Fastening): Vec {
  const { axis, spans } = sure(meetingOf(drilled, into), 'place where they meet');
  const size = (at: Axis) => nth(spans, at)[1] - nth(spans, at)[0];
  const [a, b] = ([0, 1, 2] as const).filter((at) => at !== axis) as [Axis, Axis];
  return waysOf(drilled)[size(a) >= size(b) ? a : b];
}

/** Both halves of what lies half in one part and half in the other: places in each, how deep there, and the way in. */
export function bothHalves(
  joints: readonly Fastening[],
): readonly { readonly item: Fastening; readonly sites: readonly Site3[]; readonly deep: Length }[] {
  return joints.flatMap((item) => {
    if (item.shanks.length === 0) return [];
    const inFirst = first(item.shanks).length - Math.round(first(item.shanks).bite);
    const along = rowOf(item);
    const plane = ({ from, direction }: Shank) => add(from, times(direction, inFirst));
    const sites = (part: Part, sign: 1 | -1): readonly Site3[] =>
      item.shanks.map((shank) => ({
        part,
        other: part === item.drilled ? item.into : item.drilled,
        at: plane(shank),
        direction: times(shank.direction, sign),
        joint: item.joint.id,
        along,
      }));
    return [
      { item, sites: sites(item.drilled, -1), deep: inFirst },
      { item, sites: sites(item.into, 1), deep: first(item.shanks).length - inFirst },
    ];
  });
}
