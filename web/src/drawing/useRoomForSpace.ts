import { useEffect, useState } from 'react';
import { useFrom } from '../state/hooks';

/** So long the drawn picture stands at most, where the page does not come to rest. */
const LONGEST_MS = 4000;
/**
 * Pictures of the page that come so soon after each other show that it has: a slow one waits until the last is on the
 * screen.
 */
const CALM = { frames: 6, withinMs: 40 };

/**
 * Whether the picture in space may be begun: once the plan is there and the page is at rest. To begin waits for the
 * graphics to finish what they have in hand; without a card that is up to half a second in which nothing answers. Once
 * true it stays so.
 */
export function useRoomForSpace(): boolean {
  const working = useFrom((state) => state.planning.working);
  const [room, setRoom] = useState(false);
  useEffect(() => {
    if (room) return;
    const timer = setTimeout(() => setRoom(true), LONGEST_MS);
    let [frame, last, calm] = [0, performance.now(), 0];
    const look = (now: number) => {
      calm = now - last <= CALM.withinMs ? calm + 1 : 0;
      last = now;
      if (calm >= CALM.frames) setRoom(true);
      else frame = requestAnimationFrame(look);
    };
    if (!working) frame = requestAnimationFrame(look);
    return () => {
      clearTimeout(timer);
      cancelAnimationFrame(frame);
    };
  }, [room, working]);
  return room;
}
