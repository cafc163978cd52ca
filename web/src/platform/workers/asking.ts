import { wrap, type Remote } from 'comlink';

/** A worker could not be loaded, or died while it worked. */
export class WorkerGone extends Error {}
/** What was asked is not wanted any more: a person stopped it, or something newer took its place. */
export class Stopped extends Error {}

/** A worker that is started when it is first asked, and anew after it died. Whatever is asked of it settles. */
export type Asking<T> = {
  readonly ask: <R>(question: (remote: Remote<T>) => Promise<R>) => Promise<R>;
  /** Refuses as stopped what it still works on, by ending it; one at rest is kept: a fresh one is slow at first. */
  readonly stop: () => void;
  /** Ends it; what was asked is refused as stopped. */
  readonly end: () => void;
};

export function asking<T>(start: () => Worker): Asking<T> {
  type Running = { readonly worker: Worker; readonly remote: Remote<T>; readonly waiting: Set<(why: Error) => void> };
  let running: Running | null = null;
  const ended = (why: Error) => {
    const last = running;
    running = null;
    last?.worker.terminate();
    last?.waiting.forEach((refuse) => refuse(why));
  };
  const started = (): Running => {
    if (running) return running;
    const worker = start();
    const gone = () => {
      if (running?.worker === worker)
        ended(new WorkerGone('The part of this page that works out plans did not start, or stopped.'));
    };
    worker.addEventListener('error', gone);
    worker.addEventListener('messageerror', gone);
    running = { worker, remote: wrap<T>(worker), waiting: new Set() };
    return running;
  };
  return {
    ask: (question) =>
      new Promise((settle, refuse) => {
        const { remote, waiting } = started();
        waiting.add(refuse);
        question(remote)
          .finally(() => waiting.delete(refuse))
          .then(settle, refuse);
      }),
    stop: () => {
      if (running && running.waiting.size > 0) ended(new Stopped('Stopped.'));
    },
    end: () => ended(new Stopped('Stopped.')),
  };
}
