import { ask, Offline, Refused } from './ask';
import { gate, signedIn } from './gate';

type Sent = { readonly address: string; readonly method: string; readonly body: unknown };

/** A server that gives its answers one after the other, and what it was asked. */
function answering(...answers: readonly (Response | Error)[]) {
  const sent: Sent[] = [];
  const left = [...answers];
  globalThis.fetch = ((address: string, { method, body }: { method: string; body: unknown }) => {
    sent.push({ address, method, body });
    const next = left.shift();
    return next instanceof Response ? Promise.resolve(next) : Promise.reject(next ?? new Error('asked too often'));
  }) as unknown as typeof fetch;
  return sent;
}
const { fetch: asItWas } = globalThis;
afterAll(() => void (globalThis.fetch = asItWas));

const json = (value: unknown, status = 200) => new Response(JSON.stringify(value), { status });
const refusal = (code: string, status: number) =>
  json({ error: { code, message: 'It can not be.', fields: [], current: { revision: 7 } } }, status);

test('a route is asked by its method at its address, what it wants in its query and its body', async () => {
  const sent = answering(json([]), json({ id: 'a' }, 201), new Response(null, { status: 204 }));
  await ask('jobs', { query: { removed: '1', before: '2026-11-24 a/b' } });
  await ask('copyJob', { params: { id: 'a/b' } });
  await expect(ask('removeJob', { params: { id: 'a' } })).resolves.toBeUndefined();
  expect(sent.map(({ method }) => method)).toEqual(['GET', 'POST', 'DELETE']);
  const [listed, copied] = sent.map(({ address }) => new URL(address, 'http://here'));
  expect(Object.fromEntries(listed!.searchParams)).toEqual({ removed: '1', before: '2026-11-24 a/b' });
  // What is in an id leads to no other address.
  expect(copied!.pathname.split('/')).toHaveLength('/api/jobs/x/copy'.split('/').length);
  expect(sent.every(({ body }) => body === undefined)).toBe(true);
});

test('bytes come as bytes; a file is sent as it is, all else as JSON', async () => {
  const file = new Blob(['picture']);
  const sent = answering(new Response(new Uint8Array([1, 2, 3])), json({ id: 'p' }, 201), json({ id: 'a' }, 201));
  expect(await ask('photo', { params: { id: 'p' } })).toEqual(new Uint8Array([1, 2, 3]));
  await ask('keepPhoto', { body: file });
  await ask('makeJob', { body: { job: { name: 'x' } as never } });
  expect(sent[1]!.body).toBe(file);
  expect(sent[2]!.body).toBe('{"job":{"name":"x"}}');
});

test('what is refused is thrown with all that was said about it', async () => {
  answering(refusal('stale', 409));
  const thrown = await ask('job', { params: { id: 'a' } }).catch((error: unknown) => error);
  expect(thrown).toBeInstanceOf(Refused);
  expect(thrown).toMatchObject({ status: 409, code: 'stale', message: 'It can not be.', current: { revision: 7 } });
});

test.each([
  ['no answer', new Error('connection reset'), 'The server does not answer.'],
  ['an answer of something else', new Response('<html>', { status: 200 }), 'The server does not answer as it should.'],
  ['a refusal of something else', new Response('<html>', { status: 502 }), 'The server does not answer as it should.'],
])('%s is being offline', async (_what, answer, words) => {
  answering(answer);
  const thrown = await ask('job', { params: { id: 'a' } }).catch((error: unknown) => error);
  expect(thrown).toBeInstanceOf(Offline);
  expect((thrown as Error).message).toBe(words);
});

test('what wants a sign-in waits for it and is asked once more, all of it by one sign-in', async () => {
  const told: boolean[] = [];
  const stop = gate.subscribe(() => told.push(gate.isClosed()));
  const sent = answering(refusal('sign-in', 401), refusal('sign-in', 401), json(['a']), json(['b']));
  const both = Promise.all([ask('jobs', { query: {} }), ask('yards', {})]);
  await new Promise((done) => setTimeout(done, 5));
  expect([gate.isClosed(), sent.length]).toEqual([true, 2]);
  signedIn();
  expect(await both).toEqual([['a'], ['b']]);
  expect([gate.isClosed(), sent.length]).toEqual([false, 4]);
  expect(told).toEqual([true, false]);
  stop();
});
