import { nth } from '../lists';
import { drawIn, type Left } from './order';
import { Overtime } from './overtime';
import type { Problem } from './problem';
import { askForOther, askForRoom, insideWindows, laidAs, newSharing } from './sharing';
import type { WorkLaid } from './work-bench';

/**
 * How many minutes of overtime more a change may cost at the beginning of a heat: once so many that nothing is left of
 * what was, then so many that most is.
 */
const HEATS = [20, 4, 4, 4, 4, 4, 4, 4];
const CHANGES = 1_000_000;
/** At the end of one. */
const COLD = 0.1;
/** How often two tasks change windows, and how often one goes with all that must make room; else one goes alone. */
const [SWAPPED, PUSHED] = [0.3, 0.3] as const;
/** Of those that are pushed, how many go to the next place: else to any. */
const NEXT = 0.9;
/** What makes so much of all overtime more is not begun, or gone on with, however much of that it may take away. */
const [BEGUN, GONE_ON] = [0.3, 3] as const;
/** Overtime that is none, minutes. */
const NOTHING = 1e-6;
/** It is asked whether to stop after so many changes. */
const OFTEN = 1024;

/** One change of tasks in places, tried: minutes over more; infinite where it can not be, or is seen to be too much. */
function changer(over: Overtime, random: () => number) {
  const { left, now } = over;
  const free = Array.from(now, (_, task) => task).filter((task) => nth(left.low, task) < nth(left.high, task));
  const any = (count: number) => Math.floor(random() * count);
  const anyFree = () => nth(free, any(free.length));
  const swapped = (most: number): number => {
    const [one, other] = [anyFree(), anyFree()];
    const [here, there] = [over.window(one), over.window(other)];
    const [to, back] = [over.placeFor(one, there), over.placeFor(other, here)];
    if (here === there || to < 0 || back < 0) return Infinity;
    const more = over.push(one, to, most);
    return more === Infinity || now[other] === back ? more : more + over.push(other, back, most - more);
  };
  const pushed = (heat: number, most: number): number => {
    const task = anyFree();
    const [low, high, is] = [nth(left.low, task), nth(left.high, task), nth(now, task)];
    const to = random() < NEXT ? is + (random() < 0.5 ? 1 : -1) : low + any(high - low + 1);
    if (to === is || to < low || to > high) return Infinity;
    return over.wouldTake(task, to, 1) > heat + BEGUN * over.cost ? Infinity : over.push(task, to, most);
  };
  const alone = (heat: number): number => {
    const task = anyFree();
    const [low, high, is] = [over.lowest(task), over.highest(task), nth(now, task)];
    if (low >= high) return Infinity;
    const to = low + any(high - low);
    const place = to < is ? to : to + 1;
    return over.wouldTake(task, place, 1) + over.wouldTake(task, is, -1) > heat ? Infinity : over.put(task, place);
  };
  return free.length === 0
    ? null
    : (heat: number): number => {
        const [way, most] = [random(), heat + GONE_ON * over.cost];
        return way < SWAPPED ? swapped(most) : way < SWAPPED + PUSHED ? pushed(heat, most) : alone(heat);
      };
}

/**
 * Work shared out among windows so that all is ready by a day, where windows are so scarce that they are filled to the
 * minute. Tasks stand in windows that keep their order, with overtime, and are changed a little at a time until none is
 * left (simulated annealing; Kirkpatrick, Gelatt and Vecchi 1983). Where a window then has no order for its tasks, that
 * costs from there on.
 *
 * @param random from 0 up to 1.
 * @param stopped asked now and then: true ends it.
 * @returns null where none was found, which proves nothing.
 */
export function annealed(problem: Problem, day: number, random: () => number, stopped: () => boolean): WorkLaid | null {
  const sharing = newSharing(problem, day);
  if (!sharing) return null;
  const { order, places } = sharing;
  const left: Left = { low: new Int32Array(places.length), high: Int32Array.from(places, (own) => own.length - 1) };
  if (!drawIn(order, left)) return null;
  const over = new Overtime(sharing, left);
  const changed = changer(over, random);
  /** What stands at the bench as it is now; null where it does not, which is asked for from here on. */
  const standing = (): WorkLaid | null => {
    const inside = insideWindows(sharing, over.now);
    if (askForRoom(sharing, inside) === 0) {
      const laid = laidAs(sharing, inside);
      if (typeof laid !== 'number') return laid;
      askForOther(sharing, inside, laid);
    }
    over.askAgain();
    return null;
  };
  for (let heat = 0; ; heat++) {
    const warm = nth(HEATS, heat % HEATS.length);
    for (let count = 0; count < CHANGES; count++) {
      while (over.cost < NOTHING) {
        const laid = standing();
        if (laid) return laid.day <= day ? laid : null;
        if (stopped() || !changed) return null;
      }
      if (!changed || (count % OFTEN === 0 && stopped())) return null;
      const most = -(warm * (1 - count / CHANGES) ** 2 + COLD) * Math.log(random());
      const more = changed(most);
      if (more <= most) over.keep(more);
      else over.takeBack();
    }
    // What was added up a million times is added up anew.
    over.askAgain();
  }
}
