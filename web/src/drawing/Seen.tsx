import { useEffect, useState, type ReactNode } from 'react';
import { flushSync } from 'react-dom';

/** Drawn this far before it comes into view, px. */
const AHEAD = 700;

const watched = new WeakMap<Element, (seen: boolean) => void>();
/** One for each place that scrolls: only what is outside of that very place can be drawn ahead. */
const watchers = new WeakMap<Element, IntersectionObserver>();
function watcherOf(place: Element): IntersectionObserver {
  const scrolls = place.closest('main') ?? document.documentElement;
  const there = watchers.get(scrolls);
  if (there) return there;
  const made = new IntersectionObserver(
    (rows) => rows.forEach(({ target, isIntersecting }) => watched.get(target)?.(isIntersecting)),
    { root: scrolls === document.documentElement ? null : scrolls, rootMargin: `${AHEAD}px 0px` },
  );
  watchers.set(scrolls, made);
  return made;
}

type Props = {
  /** Height it will have, px, until it was drawn once. */
  readonly height: number;
  readonly children: () => ReactNode;
};

/**
 * Draws what is in view or near it, and keeps the room of the rest: of a long row only what is looked at costs time.
 */
export function Seen({ height, children }: Props) {
  const [place, setPlace] = useState<HTMLDivElement | null>(null);
  const [seen, setSeen] = useState(false);
  const [room, setRoom] = useState(height);
  useEffect(() => {
    if (!place) return;
    watched.set(place, (now) => {
      // What goes out of view leaves its height behind.
      if (!now && place.childElementCount > 0) setRoom(place.offsetHeight);
      setSeen(now);
    });
    const watcher = watcherOf(place);
    watcher.observe(place);
    // On paper all is in view.
    const all = () => flushSync(() => setSeen(true));
    window.addEventListener('beforeprint', all);
    return () => {
      watcher.unobserve(place);
      window.removeEventListener('beforeprint', all);
    };
  }, [place]);
  return <div ref={setPlace}>{seen ? children() : <svg className="unseen" height={room} aria-hidden />}</div>;
}
