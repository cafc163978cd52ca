import { first, last, nth, sure } from '../lists';
import { inches, type Length } from '../length';
import type { Part } from '../piece';
import { dot, outOf, sub, times, type Solid } from '../solid';
import { roomBehind } from './driver';
import { FARTHEST, isOnTop, isPlain, nearestFirst, place3, type JointLayout, type Site } from './layout';
import { clash, measured, type ShankLaid, type Shank, type IsTaken } from './shank';

/** What is wrong with a fastener as it lies. */
export type Trouble = 'no bite' | 'comes out' | 'meets another' | 'wood is cut away' | 'no room' | 'not possible';

/** As far off as a mark and a drill may be. */
const PENCIL = inches(1 / 16);

/** From the ends of the meeting at least this, or the wood splits. */
const MARGIN = inches(3 / 8);

export type Placed = {
  readonly shanks: readonly Shank[];
  /** What is cut for them besides: slots of clips. */
  readonly slots: readonly ShankLaid[];
  readonly troubles: readonly Trouble[];
};

const faultOf = (shank: Shank, { bite, leaves }: JointLayout): Trouble | null =>
  !shank.held
    ? 'wood is cut away'
    : shank.bite < bite
      ? 'no bite'
      : leaves !== null && shank.left < leaves
        ? 'comes out'
        : null;

/** What is in the way of a driver, and how much of it must be clear: of the finished piece as much as can be. */
export type InTheWay = {
  /** What is one with the two parts before they meet: the other walls of a hollow leg. There is no way round it. */
  readonly always: (through: string) => readonly Solid[];
  /** The least that any driver of the shop wants. */
  readonly least: Length;
  /** Room behind a fastener among all that stands round it. */
  readonly roomAround: (shank: Shank) => number;
  readonly rooms: readonly Length[];
  /** It is the same all along: where one place has no room, none has. */
  readonly alike: boolean;
};

/** The round holes through a part, such as a parasol's: a bore keeps as clear of them as of another's. */
const holesThrough = ({ cuts, frame }: Part): readonly ShankLaid[] =>
  cuts
    .filter(({ kind }) => kind === 'hole')
    .map(({ axis, outline, from, to }) => {
      const [low, high] = [first(outline), nth(outline, 1)];
      const [a, b] = axis === 2 ? ([0, 1] as const) : axis === 1 ? ([0, 2] as const) : ([1, 2] as const);
      const middle = (along: Length) =>
        outOf(
          frame,
          place3([
            [a, (low[0] + high[0]) / 2],
            [b, low[1]],
            [axis, along],
          ]),
        );
      const direction = times(sub(middle(to), middle(from)), 1 / (to - from));
      return {
        from: middle(from),
        direction,
        length: to - from,
        radius: (high[0] - low[0]) / 2,
        behind: 0,
        hole: 0,
        position: 0,
        driven: false,
      };
    });

/**
 * Over the edge of a lap or a groove its head would lie deeper on one side than is told, and its bit has no wood to
 * stand on. What lies on a slant does not: there one side is as much deeper as the other is less.
 */
function onStep({ lie }: JointLayout, place: Length, face: 1 | -1, laid: ShankLaid): Trouble | null {
  const about = laid.hole + PENCIL;
  const depthOf = (off: Length, aside: Length): number => {
    const next = lie(place + off, face, aside).laid;
    return next.behind - dot(sub(next.from, laid.from), laid.direction);
  };
  const both = [
    [about, 0],
    [0, about],
  ] as const;
  const steps = both.some(
    ([off, aside]) => Math.abs(depthOf(off, aside) + depthOf(-off, -aside) - 2 * laid.behind) > inches(1 / 8),
  );
  return steps ? 'wood is cut away' : null;
}

/**
 * What is wrong with a fastener a pencil's width off its place, along or, where the wood is not plain all over, aside.
 */
function strays(layout: JointLayout, place: Length, face: 1 | -1, laid: ShankLaid, plain: boolean): Trouble | null {
  for (const [off, aside] of plain ? ALONG : AROUND) {
    const next = layout.lie(place + off, face, aside);
    const fault = faultOf(measured(next.laid, next.first, next.second, next.meets), layout);
    if (fault) return fault;
  }
  return plain ? null : onStep(layout, place, face, laid);
}
const ALONG = [
  [PENCIL, 0],
  [-PENCIL, 0],
] as const;
const AROUND = [...ALONG, [0, PENCIL], [0, -PENCIL]] as const;

/**
 * Lays a joint's fasteners on one face, each moved along as little as need be.
 *
 * @param isTaken whether a bore would meet one that is there already.
 */
export function placeOn(
  layout: JointLayout,
  face: 1 | -1,
  { meeting, joint, drilled, into }: Site,
  isTaken: IsTaken,
  { always, least, roomAround, rooms, alike }: InTheWay,
): Placed {
  const [low, high] = nth(meeting.spans, layout.run);
  const offsets = nearestFirst(isOnTop(joint.kind) ? high - low : FARTHEST);
  const shanks: Shank[] = [];
  const slots: ShankLaid[] = [];
  const failed: { readonly shank: Shank; readonly trouble: Trouble }[] = [];
  const holes = [drilled, into].flatMap(holesThrough);
  const plain = [drilled, into].every(isPlain);
  const meetsAnother = (one: ShankLaid): boolean =>
    isTaken(one) || [holes, shanks, slots].some((others) => others.some((other) => clash(one, other)));
  const { apart = 0 } = layout;
  const tooNear = ({ position }: ShankLaid): boolean => shanks.some((own) => Math.abs(own.position - position) < apart);
  for (const target of layout.targets) {
    let usual: { readonly shank: Shank; readonly trouble: Trouble } | null = null;
    const able: { readonly shank: Shank; readonly room: number; readonly slot: readonly ShankLaid[] }[] = [];
    for (const offset of offsets) {
      const place = target + offset;
      if (offset !== 0 && (place < low + MARGIN || place > high - MARGIN)) continue;
      const { laid, first: one, second, meets, whole, beside: cutBeside } = layout.lie(place, face);
      const slot = cutBeside?.() ?? [];
      const shank = measured(laid, one, second, meets);
      // A bit off the place it is marked at: what is plain all over is only left at its ends.
      const near = !plain || place <= low + MARGIN || place >= high - MARGIN;
      const trouble =
        faultOf(shank, layout) ??
        (whole?.() === false ? 'wood is cut away' : null) ??
        (meetsAnother(shank) || tooNear(shank) || slot.some(meetsAnother)
          ? 'meets another'
          : shank.driven && roomBehind(shank, always(shank.through)) < least
            ? 'no room'
            : layout.wary && near
              ? strays(layout, place, face, laid, plain)
              : null);
      if (trouble === null) {
        const room = shank.driven && rooms.length > 0 ? roomAround(shank) : Infinity;
        able.push({ shank, room, slot });
        if (room >= (rooms[0] ?? 0) || (alike && room < last(rooms))) break;
      } else usual ??= { shank, trouble };
    }
    // The nearest with room for the longest driver that any place has room for; what comes last must have some.
    // Where what comes later leaves no room anywhere, the place that it leaves most: what is there by then may leave
    // all.
    const widest = able.reduce<(typeof able)[number] | null>(
      (best, one) => (best && best.room >= one.room ? best : one),
      null,
    );
    const found =
      rooms.length === 0
        ? able[0]
        : rooms.flatMap((room) => (room === 0 ? (widest ?? []) : (able.find((one) => one.room >= room) ?? [])))[0];
    usual ??= able[0] ? { shank: able[0].shank, trouble: 'no room' } : null;
    if (found) {
      shanks.push(found.shank);
      slots.push(...found.slot);
    } else failed.push(sure(usual, 'place'));
  }
  // What finds no place is left out where enough others hold the joint.
  if (shanks.length > 0 && failed.length <= shanks.length) return { shanks, slots, troubles: [] };
  return {
    shanks: [...shanks, ...failed.map(({ shank }) => shank)],
    slots,
    troubles: failed.map(({ trouble }) => trouble),
  };
}
