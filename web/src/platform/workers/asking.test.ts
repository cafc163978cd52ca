import { asking, Stopped, WorkerGone } from './asking';

/** A worker that never answers by itself. */
class Silent extends EventTarget {
  ended = false;
  postMessage() {}
  terminate() {
    this.ended = true;
  }
}

function bench() {
  const all: Silent[] = [];
  const asked = asking<{ plan: () => string }>(() => {
    const worker = new Silent();
    all.push(worker);
    return worker as unknown as Worker;
  });
  return { all, asked };
}

test('what is asked of a worker that dies is refused, and the next question goes to a fresh one', async () => {
  const { all, asked } = bench();
  const first = asked.ask(() => new Promise<string>(() => {}));
  all[0]!.dispatchEvent(new Event('error'));
  await expect(first).rejects.toBeInstanceOf(WorkerGone);
  expect(all[0]!.ended).toBe(true);
  await expect(asked.ask(() => Promise.resolve('there'))).resolves.toBe('there');
  expect(all).toHaveLength(2);
  // An error that comes late, of the one that is gone, touches nothing.
  const second = asked.ask(() => Promise.resolve('still'));
  all[0]!.dispatchEvent(new Event('error'));
  await expect(second).resolves.toBe('still');
});

test('what is stopped is refused as stopped; what failed inside is told as it was', async () => {
  const { all, asked } = bench();
  const waiting = asked.ask(() => new Promise<string>(() => {}));
  asked.end();
  await expect(waiting).rejects.toBeInstanceOf(Stopped);
  await expect(asked.ask(() => Promise.reject(new Error('no board')))).rejects.toThrow('no board');
  expect(all).toHaveLength(2);
});

test('one that has nothing to do is kept when it is stopped; one at work is ended', async () => {
  const { all, asked } = bench();
  asked.stop();
  await expect(asked.ask(() => Promise.resolve('done'))).resolves.toBe('done');
  asked.stop();
  expect(all[0]!.ended).toBe(false);
  const waiting = asked.ask(() => new Promise<string>(() => {}));
  expect(all).toHaveLength(1);
  asked.stop();
  await expect(waiting).rejects.toBeInstanceOf(Stopped);
  expect(all[0]!.ended).toBe(true);
});
