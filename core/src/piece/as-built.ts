import { first, held } from '../lists';
import { inches, type Length } from '../length';
import { SIDES, type Side } from '../job';
import type { Readings } from '../ledger';
import { dot, type Vec, through } from '../solid';
import { around, type Box } from './geometry';
import type { Joint, Part } from './part';
import { boxOf } from './shape';

/** The tag under which a whole glued top is measured. */
export const WHOLE_TOP = 'TOP';

/** What a measured size means for another part. */
export type Adaptation = {
  /** What was measured, how, and by how much it is off the plan: more is positive. */
  readonly measured: string;
  readonly side: Side;
  readonly off: Length;
  /** What follows from it. */
  readonly part: string;
  readonly changes: Side;
  readonly from: Length;
  readonly to: Length;
  /** Not cut yet: the plan follows. Cut already: it stays, and this is what to do. */
  readonly then: 'follows' | 'leave it' | 'shim' | 'trim' | 'cut anew';
};

/** Nearer than this nobody sees it; up to the other a shim fills it. */
const UNSEEN: Length = inches(1 / 64);
const SHIM: Length = inches(3 / 16);

const waysOf = ({ frame }: Part): Readonly<Record<Side, Vec>> => ({
  length: frame.u,
  width: frame.v,
  thickness: through(frame),
});
const rangeOf = ({ min, max }: Box, way: Vec): readonly [number, number] => {
  const ends = [dot(min, way), dot(max, way)];
  return [Math.min(...ends), Math.max(...ends)];
};

/** The glued top as one part; null where there are no boards that are cut together. */
function wholeTop(parts: readonly Part[]): Part | null {
  const boards = parts.filter(({ trimmedLater, role }) => trimmedLater && role === 'top');
  const box = around(boards.map(boxOf));
  if (!box || boards.length === 0) return null;
  const [length, width, thickness] = ([0, 1, 2] as const).map((axis) => box.max[axis] - box.min[axis]) as [
    number,
    number,
    number,
  ];
  return {
    ...first(boards),
    id: `${first(boards).piece}.${WHOLE_TOP}`,
    tag: WHOLE_TOP,
    name: 'glued top',
    length,
    width,
    thickness,
    outline: null,
    cuts: [],
    fit: null,
    dependsOn: boards.map(({ tag }) => tag),
    frame: { at: box.min, u: [1, 0, 0], v: [0, 1, 0] },
  };
}

/** What may be measured of a piece: every part, and its glued top as a whole. */
export const measurable = (parts: readonly Part[]): readonly Part[] => {
  const top = wholeTop(parts);
  return [...(top ? [top] : []), ...parts.filter(({ loose, bought }) => !loose && !bought)];
};

/** Ways nearer than this are one: a leg that leans 15 degrees still takes its rails' room. */
const LEANS = 0.96;

/** How the size of one part along a direction changes another's: with it, against it, or not at all. */
function effect(measured: Part, way: Vec, other: Part): { readonly changes: Side; readonly sign: 1 | -1 } | null {
  const changes = (['length', 'width'] as const).find((side) => Math.abs(dot(waysOf(other)[side], way)) > 0.99);
  if (!changes) return null;
  const [a, b] = [rangeOf(boxOf(measured), way), rangeOf(boxOf(other), way)];
  const overlap = Math.min(a[1], b[1]) - Math.max(a[0], b[0]);
  const smaller = Math.min(a[1] - a[0], b[1] - b[0]);
  // Side by side they grow together; end to end one takes the other's room.
  if (overlap > 0.8 * smaller) return a[1] - a[0] <= b[1] - b[0] + inches(2) ? { changes, sign: 1 } : null;
  return overlap <= inches(1 / 16) && overlap > -inches(1 / 8) ? { changes, sign: -1 } : null;
}

/** What ends on another gives up as much of its length as that gains. */
const BUTTED = { changes: 'length', sign: -1 } as const;

const advice = (change: Length): Adaptation['then'] =>
  Math.abs(change) <= UNSEEN ? 'leave it' : change < 0 ? 'trim' : change <= SHIM ? 'shim' : 'cut anew';

/**
 * The parts as they follow from what was measured: a part that must fit takes the size that was measured for it; what
 * depends on a measured part, or ends against it, changes by as much as that is off; what is cut already stays, and it
 * is said what to do. Every size is told with what it came from.
 */
export function asBuilt(
  measured: Readings['asBuilt'],
  parts: readonly Part[],
  joints: readonly Joint[],
): { readonly parts: readonly Part[]; readonly adaptations: readonly Adaptation[] } {
  const entries = Object.entries(measured);
  if (entries.length === 0) return { parts, adaptations: [] };
  const all = new Map(measurable(parts).map((part) => [part.tag, part]));
  const now = new Map(parts.map((part) => [part.tag, part]));
  const adaptations: Adaptation[] = [];
  const isCut = (part: Part) => {
    const said = measured[part.tag];
    return said !== undefined && (said.cut ?? part.fit === null);
  };
  const set = (tag: string, side: Side, to: Length) => {
    const part = held(now, tag);
    now.set(tag, { ...part, [side]: to, changed: { ...part.changed, [side]: part.changed[side] ?? part[side] } });
  };
  for (const [tag, said] of entries) {
    const part = all.get(tag);
    if (!part) continue;
    const members = tag === WHOLE_TOP ? part.dependsOn : [tag];
    for (const side of SIDES) {
      const read = said[side];
      if (read === undefined || read === part[side]) continue;
      const off = read - part[side];
      if (part.fit !== null && !said.cut && side === 'length') {
        adaptations.push({
          measured: tag,
          side,
          off,
          part: tag,
          changes: 'length',
          from: part.length,
          to: read,
          then: 'follows',
        });
        set(tag, 'length', read);
        continue;
      }
      for (const other of parts) {
        if (members.includes(other.tag) || other.loose || other.bought) continue;
        const depends = other.dependsOn.some((name) => members.includes(name));
        const ends = joints.some(
          ({ drilled, into, kind }) =>
            kind === 'rail end' && drilled === other.id && members.some((name) => into === now.get(name)?.id),
        );
        const way = waysOf(part)[side];
        const isButted = ends && !depends && Math.abs(dot(waysOf(other).length, way)) > LEANS;
        const follows = isButted ? BUTTED : depends || ends ? effect(part, way, other) : null;
        if (!follows || (ends && !depends && follows.sign > 0)) continue;
        const from = held(now, other.tag)[follows.changes];
        const to = from + follows.sign * off;
        const cut = isCut(other);
        adaptations.push({
          measured: tag,
          side,
          off,
          part: other.tag,
          changes: follows.changes,
          from,
          to,
          then: cut ? advice(to - from) : 'follows',
        });
        if (!cut && measured[other.tag]?.[follows.changes] === undefined) set(other.tag, follows.changes, to);
      }
    }
  }
  return { parts: parts.map((part) => now.get(part.tag) ?? part), adaptations };
}
