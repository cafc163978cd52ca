import { useEffect, useState, type ReactNode } from 'react';

/** Drawn this far before it comes into view, px. */
const AHEAD = 700;

const watched = new WeakMap<Element, (seen: boolean) => void>();
let watcher: IntersectionObserver | null = null;
const watch = (): IntersectionObserver =>
  (watcher ??= new IntersectionObserver(
    (rows) => rows.forEach(({ target, isIntersecting }) => watched.get(target)?.(isIntersecting)),
    { rootMargin: `${AHEAD}px 0px` },
  ));

type Props = {
  /** Height it will have, px, until it was drawn once. */
  readonly height: number;
  readonly children: () => ReactNode;
};

/** Draws what is in view or near it, and keeps the room of the rest: of a long row only what is looked at costs time. */
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
    watch().observe(place);
    return () => watch().unobserve(place);
  }, [place]);
  return <div ref={setPlace}>{seen ? children() : <svg className="unseen" height={room} aria-hidden />}</div>;
}
