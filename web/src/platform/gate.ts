/**
 * Whether the server waits for the passphrase. What was asked of it meanwhile waits here and goes on after signing in,
 * so that nothing else needs to know.
 */
let opens: (() => void) | null = null;
let closed: Promise<void> | null = null;
const watchers = new Set<() => void>();
const tell = () => watchers.forEach((watcher) => watcher());

/** Told by whoever is refused; settles when a person has signed in. */
export function untilSignedIn(): Promise<void> {
  if (closed) return closed;
  closed = new Promise<void>((done) => (opens = done));
  tell();
  return closed;
}

export function signedIn(): void {
  opens?.();
  [opens, closed] = [null, null];
  tell();
}

/** For React's `useSyncExternalStore`. */
export const gate = {
  subscribe: (watcher: () => void) => {
    watchers.add(watcher);
    return () => void watchers.delete(watcher);
  },
  isClosed: () => closed !== null,
};
