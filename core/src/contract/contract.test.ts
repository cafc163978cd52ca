import * as v from 'valibot';
import { addressOf, BYTES, FailureSchema, NOTHING, ROUTES, type Route, type RouteName } from './index';

const all = Object.entries(ROUTES) as [RouteName, Route][];
const namesIn = (path: string) => [...path.matchAll(/:(\w+)/g)].map(([, name]) => name!);

describe('addresses', () => {
  test('names are filled in and written so that nothing in them leads elsewhere; what is not asked is left out', () => {
    expect(addressOf(ROUTES.job, { params: { id: 'a/../b c' } })).toBe('/api/jobs/a%2F..%2Fb%20c');
    expect(addressOf(ROUTES.revision, { params: { id: 'demo', revision: 3 } })).toBe('/api/jobs/demo/revisions/3');
    expect(addressOf(ROUTES.jobs, { query: { removed: '1', before: undefined, limit: '5' } })).toBe(
      '/api/jobs?removed=1&limit=5',
    );
    expect(addressOf(ROUTES.jobs, { query: { before: '2026-11-24T10:00 x&y' } })).toBe(
      '/api/jobs?before=2026-11-24T10%3A00+x%26y',
    );
    expect(addressOf(ROUTES.health, {})).toBe('/api/health');
  });

  test('a name that is not given is a fault, told by the name', () => {
    expect(() => addressOf(ROUTES.revision, { params: { id: 'demo' } })).toThrow('There is no name revision');
  });
});

describe('the list of what can be asked', () => {
  test('no two stand at one place', () => {
    const places = all.map(([, { method, path }]) => `${method} ${path.replace(/:\w+/g, ':')}`);
    expect(new Set(places).size).toBe(places.length);
  });

  test.each(all)(
    '%s: its names differ, only what changes something has a body, what is made says so',
    (name, route) => {
      const names = namesIn(route.path);
      expect(new Set(names).size).toBe(names.length);
      if (route.body) expect(['POST', 'PUT']).toContain(route.method);
      if (route.method === 'GET') expect(route.answer).not.toBe(NOTHING);
      if (route.status === 201) expect(route.method).toBe('POST');
      if (route.answer === BYTES) expect(route.method).toBe('GET');
      expect(name).toMatch(/^[a-z][A-Za-z]+$/);
    },
  );

  test('every list that is kept by id can be read whole, one by one, and saved on top of a revision', () => {
    for (const path of ['/yards', '/shops', '/racks', '/memories']) {
      const own = all.filter(([, route]) => route.path === path || route.path === `${path}/:id`);
      expect(own.map(([, { method }]) => method).sort()).toEqual(['GET', 'GET', 'PUT']);
    }
  });
});

describe('what may be asked, and what is said of what may not', () => {
  const says = (schema: v.GenericSchema, input: unknown) => {
    const result = v.safeParse(schema, input);
    return result.success ? 'taken' : result.issues.map(({ message }) => message).join();
  };

  test.each([
    [ROUTES.jobs.query, {}, 'taken'],
    [ROUTES.jobs.query, { limit: '999' }, 'taken'],
    [ROUTES.jobs.query, { limit: '0' }, 'must be at least 1'],
    [ROUTES.jobs.query, { limit: '1000' }, 'must be at most 999'],
    [ROUTES.jobs.query, { before: 'yesterday' }, 'must be a time and an id'],
    [ROUTES.prices.query, { day: '2026-02-28' }, 'taken'],
    [ROUTES.prices.query, { day: '2026-02-30' }, 'must be a day that there is, such as 2026-11-24'],
    [ROUTES.prices.query, { day: 7 }, 'must be a day such as 2026-11-24'],
    [ROUTES.priceHistory.query, { day: '2026-02-28', days: '1' }, 'must be at least 2'],
    [ROUTES.tape.query, { about: '8128' }, 'taken'],
    [ROUTES.tape.query, { about: '8128.5' }, 'must be a length, in whole units of 1/320 mm'],
    [ROUTES.tape.query, { about: '-1' }, 'must be at least 0'],
    [ROUTES.saveJob.body, { revision: 0, job: {} }, 'must be at least 1'],
    [ROUTES.saveJob.body, { revision: 2, job: {}, save: 'x'.repeat(65) }, 'is too long'],
    [ROUTES.signIn.body, { passphrase: 'x'.repeat(1001) }, 'is too long'],
  ] as const)('%#: %j is %s', (schema, input, said) => expect(says(schema, input)).toBe(said));

  test('what is left out of a question takes its usual value', () => {
    expect(v.parse(ROUTES.jobs.query, {})).toEqual({ limit: 60 });
    expect(v.parse(ROUTES.priceHistory.query, { day: '2026-02-28' })).toEqual({ day: '2026-02-28', days: 180 });
    const saved = { revision: 1, job: 7 };
    expect(v.parse(ROUTES.saveJob.body, saved)).toEqual({ ...saved, save: null, by: null });
  });

  test('a failure has a code, words and fields; what a device may know before it signs in is little', () => {
    const fields = [{ field: 'job.name', message: 'is empty' }];
    const failure = { error: { code: 'invalid', message: 'No.', fields } };
    expect(v.is(FailureSchema, failure)).toBe(true);
    expect(v.is(FailureSchema, { error: { code: 'invalid', message: 'No.' } })).toBe(false);
    expect(v.is(ROUTES.access.answer, { beyond: true, device: null })).toBe(true);
    expect(v.is(ROUTES.access.answer, { beyond: true })).toBe(false);
  });

  test('a file that is sent is whatever it is; one that comes is bytes, and nothing else', () => {
    expect(v.is(BYTES, new Uint8Array(3))).toBe(true);
    expect(v.is(BYTES, 'abc')).toBe(false);
    expect(v.is(BYTES, [1, 2, 3])).toBe(false);
    expect(v.is(NOTHING, undefined)).toBe(true);
    expect(v.is(NOTHING, null)).toBe(false);
    const sent = all.filter(([, { body }]) => body !== undefined && says(body, new Uint8Array(1)) === 'taken');
    // A photo is one; a job never is.
    expect(sent.map(([name]) => name)).not.toContain('saveJob');
  });

  test('every question that wants a body refuses to be asked without one, but what is sent as a file', () => {
    for (const [name, { body }] of all) {
      if (!body || says(body, new Uint8Array(1)) === 'taken') continue;
      expect([name, says(body, undefined)]).not.toEqual([name, 'taken']);
      expect([name, says(body, [])]).not.toEqual([name, 'taken']);
    }
  });
});
