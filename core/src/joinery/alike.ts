import type { Method } from '../job';
import { numbered } from '../lists';
import type { Part } from '../piece';
import { add, sub, type Vec } from '../solid';
import type { JointLayout, Site } from './layout';
import { isSquare } from './meeting';
import type { Placed } from './placing';
import type { ShankLaid, IsTaken } from './shank';

/** A layout and what was placed by it, on which face and by which answers: all in the place of the first such joint. */
export type Alike = {
  readonly site: Site;
  readonly layout: JointLayout | null;
  readonly placed: { readonly face: 1 | -1; readonly asked: readonly Answer[]; readonly found: Placed }[];
};
/** A bore that was thought of, and whether another was in its way. */
type Answer = { readonly one: ShankLaid; readonly taken: boolean };

/** All that a part is but its names and its place. */
const lookOf = numbered(({ frame: { u, v }, cuts, ...rest }: Part) => [
  { ...rest, id: '', tag: '' },
  u,
  v,
  cuts.map((cut) => ({ ...cut, for: '' })),
]);

/**
 * What a joint's layout follows from, but where in the piece it is: the same for the corners of drawers that are alike.
 * Null where a part stands at a slant: moved, its places would be rounded another way.
 */
export function likeness(by: Method, { joint, drilled, into, meeting }: Site): string | null {
  if (!isSquare(drilled) || !isSquare(into)) return null;
  const { normal, axis, side, spans, along } = meeting;
  return [
    by,
    joint.kind,
    lookOf(drilled),
    lookOf(into),
    sub(into.frame.at, drilled.frame.at),
    normal,
    axis,
    side,
    spans,
    along,
  ].join();
}

const movedBy = <T extends ShankLaid>(laid: T, way: Vec): T => ({ ...laid, from: add(laid.from, way) });

/**
 * Fasteners of a joint as those of the first one like it lie, moved to its own place: where every bore that was thought
 * of then is as free here, the same are chosen.
 *
 * @param place places them at the first one's site, told what is in the way as it would be there.
 */
export function placedAlike(
  first: Alike,
  { drilled, into }: Site,
  face: 1 | -1,
  isTaken: IsTaken,
  place: (isTaken: IsTaken) => Placed,
): Placed {
  const way = sub(drilled.frame.at, first.site.drilled.frame.at);
  const takenHere = (one: ShankLaid) => isTaken(movedBy(one, way));
  const asked: Answer[] = [];
  const asking = (one: ShankLaid): boolean => {
    const taken = takenHere(one);
    asked.push({ one, taken });
    return taken;
  };
  const known = first.placed.find(
    (before) => before.face === face && before.asked.every(({ one, taken }) => takenHere(one) === taken),
  );
  const found = known?.found ?? place(asking);
  if (!known) first.placed.push({ face, asked, found });
  const through = (id: string) => (id === first.site.drilled.id ? drilled.id : into.id);
  return {
    shanks: found.shanks.map((shank) => ({ ...movedBy(shank, way), through: through(shank.through) })),
    slots: found.slots.map((slot) => movedBy(slot, way)),
    troubles: found.troubles,
  };
}
