import { first, held } from '../lists';
import type { Shop } from '../job';
import { WAYS_TO_JOIN, type Fastening } from '../joinery';
import type { Assembly, Part, PieceModel } from '../piece';
import { dot } from '../solid';
import { say } from '../words';
import { orderOf, type Gathered, type Placing } from './order';

/** Parts and assemblies that become one, in the order they are put on. */
export type Union = {
  readonly assembly: Assembly;
  /** Operations whose results come into this one, by the id of their assembly. */
  readonly from: readonly string[];
  readonly bodies: readonly Gathered[];
  readonly joints: readonly Fastening[];
  readonly placings: readonly Placing[];
  /** By id of its first part: the assembly that a body comes in with. */
  readonly origin: ReadonlyMap<string, Assembly>;
  /** Boards of one assembly joined edge to edge and nothing else: glued in panels. */
  readonly panel: boolean;
  /** What only lies on the rest: laid on last, once the piece stands. */
  readonly laid: boolean;
};

/** Parts that lie on the rest, in adhesive or loose: tiles, a stone top. They are laid on once the piece stands. */
export function laidParts({ parts, joints }: Pick<PieceModel, 'parts' | 'joints'>): ReadonlySet<string> {
  const lies = ({ kind }: PieceModel['joints'][number]) => kind === 'rest' || kind === 'set';
  const moved = new Set(joints.filter(({ apart }) => apart).flatMap(({ drilled, into }) => [drilled, into]));
  const isLaid = ({ id, loose }: Part) => {
    const own = joints.filter(({ drilled, into }) => drilled === id || into === id);
    return !loose && !moved.has(id) && own.length > 0 && own.every(lies);
  };
  return new Set(parts.filter(isLaid).map(({ id }) => id));
}

/** Boards of one assembly side by side, joined edge to edge and nothing else. */
export const isPanel = (parts: readonly Part[], joints: readonly Pick<Fastening, 'joint'>[]): boolean =>
  parts.length > 1 &&
  joints.length === parts.length - 1 &&
  parts.every((part) => part.trimmedLater && Math.abs(dot(part.frame.u, first(parts).frame.u)) > 0.999) &&
  joints.every(({ joint }) => joint.kind === 'edge' || joint.kind === 'lamination');

/**
 * How far an order is from one that works: no way in weighs most, then no room for a driver, then nothing to hold it.
 */
const faultsIn = (placings: readonly Placing[]): number =>
  placings
    .slice(1)
    .reduce(
      (sum, { way, access, joints }) =>
        sum +
        (way === null ? 100 : 0) +
        10 * access.filter(({ driver }) => driver === null).length +
        (joints.length === 0 ? 60 : 0),
      0,
    );

/** At most so many assemblies are taken apart again to find an order. */
const MOST_OPENED = 4;

/**
 * The operations that a piece is put together in. Which parts belong together is what the family knows; in what order
 * they go together, and whether an assembly must be opened again because something can come in only before it is
 * closed, is found from the joints, the ways in and the room for the driver.
 */
export function operationsOf(model: PieceModel, made: readonly Fastening[], shop: Shop): readonly Union[] {
  const byId = new Map(model.parts.map((part) => [part.id, part]));
  const laid = laidParts(model);
  const partOf = (id: string) => held(byId, id);
  const groupsOf = new Map<string, readonly Part[]>();
  let operations: Union[] = [];
  const by = new Map<string, readonly string[]>();
  for (const assembly of model.assemblies) {
    const own = assembly.parts.filter((id) => !laid.has(id)).map((id) => partOf(id));
    const groups = assembly.from.map((id) => held(groupsOf, id)).filter((group) => group.length > 0);
    const all = [...groups.flat(), ...own];
    groupsOf.set(assembly.id, all);
    // By part: the group it comes in, or itself. What is joined within a group was made before.
    const home = new Map<string, unknown>(own.map((part) => [part.id, part]));
    for (const group of groups) for (const { id } of group) home.set(id, group);
    const joints = made.filter(({ drilled, into }) => {
      const [one, other] = [home.get(drilled.id), home.get(into.id)];
      return one !== undefined && other !== undefined && one !== other;
    });
    const sources = assembly.from.flatMap((id) => by.get(id) ?? []);
    if (joints.length === 0 && (own.length === 0 || (own.length === 1 && groups.length === 0))) {
      by.set(assembly.id, sources);
      continue;
    }
    by.set(assembly.id, [assembly.id]);
    const bodies: readonly Gathered[] = [...groups, ...own.map((part) => [part])];
    const origin = new Map(bodies.map((body) => [first(body).id, assembly]));
    const panel = groups.length === 0 && isPanel(own, joints);
    const placings = panel ? [] : orderOf(bodies, joints, shop.drivers);
    const operation = { assembly, from: sources, bodies, joints, placings, origin, panel, laid: false };
    const { opened, absorbed } = panel
      ? { opened: operation, absorbed: new Set<string>() }
      : openedFor(operation, operations, shop);
    operations = [...operations.filter((other) => !absorbed.has(other.assembly.id)), opened];
  }
  return [...operations, ...layingOn(model, made, laid, operations, shop)];
}

/**
 * Joints, by id, that pegs keep from closing: in the best order there is, their parts would have to come in along two
 * lines at once.
 */
export function stuckByPegs(model: PieceModel, made: readonly Fastening[], shop: Shop): ReadonlySet<string> {
  const pegged = ({ by, shanks }: Fastening) =>
    by !== 'hardware' && by !== 'nothing' && WAYS_TO_JOIN[by].straight && shanks.length > 0;
  if (!made.some(pegged)) return new Set();
  const stuck = operationsOf(model, made, shop).flatMap(({ placings }) =>
    placings.slice(1).filter(({ way }) => way === null),
  );
  return new Set(stuck.flatMap(({ joints }) => joints.filter(pegged).map(({ joint }) => joint.id)));
}

/** What is laid on last: on all that is made by then, the lowest first. */
function layingOn(
  { parts, assemblies }: PieceModel,
  made: readonly Fastening[],
  laid: ReadonlySet<string>,
  operations: readonly Union[],
  shop: Shop,
): readonly Union[] {
  if (laid.size === 0) return [];
  const joints = made.filter(({ drilled, into }) => laid.has(drilled.id) || laid.has(into.id));
  const used = new Set(operations.flatMap(({ from }) => from));
  const stands = operations.filter(({ assembly }) => !used.has(assembly.id)).map(({ bodies }) => bodies.flat());
  const loose = parts.filter(({ id }) => laid.has(id));
  const alone = parts.filter(
    (part) => !part.loose && !laid.has(part.id) && !stands.some((body) => body.includes(part)),
  );
  const bodies: readonly Gathered[] = [...stands, ...alone.map((part) => [part]), ...loose.map((part) => [part])];
  const notes = assemblies
    .filter((assembly) => assembly.parts.some((id) => laid.has(id)))
    .flatMap(({ notes: own }) => own);
  const assembly: Assembly = {
    id: 'lay',
    title: joints.some(({ joint }) => joint.kind === 'set') ? say`Set the tiles` : say`Lay on what is not fixed`,
    parts: [...laid],
    from: [],
    notes,
    spacers: [],
  };
  return [
    {
      assembly,
      from: operations.filter((one) => !used.has(one.assembly.id)).map((one) => one.assembly.id),
      bodies,
      joints,
      placings: orderOf(bodies, joints, shop.drivers),
      origin: new Map(bodies.map((body) => [first(body).id, assembly])),
      panel: false,
      laid: true,
    },
  ];
}

/** An operation that has no good order, with one after the other of what comes into it taken apart: the best found. */
function openedFor(
  operation: Union,
  before: readonly Union[],
  shop: Shop,
): { readonly opened: Union; readonly absorbed: ReadonlySet<string> } {
  let best = { opened: operation, absorbed: new Set<string>() };
  let tried = operation;
  const taken = new Set<string>();
  for (let turn = 0; turn < MOST_OPENED && faultsIn(best.opened.placings) > 0; turn++) {
    const source = [...before].reverse().find(({ assembly, panel }) => !panel && tried.from.includes(assembly.id));
    if (!source) break;
    taken.add(source.assembly.id);
    const inside = new Set(source.bodies.flat().map(({ id }) => id));
    const bodies = [...source.bodies, ...tried.bodies.filter((body) => !inside.has(first(body).id))];
    const joints = [...source.joints, ...tried.joints];
    tried = {
      ...tried,
      from: [...tried.from.filter((id) => id !== source.assembly.id), ...source.from],
      bodies,
      joints,
      placings: orderOf(bodies, joints, shop.drivers),
      origin: new Map([...tried.origin, ...source.origin]),
    };
    if (faultsIn(tried.placings) < faultsIn(best.opened.placings)) best = { opened: tried, absorbed: new Set(taken) };
  }
  return best;
}
