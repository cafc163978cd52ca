/** @jest-environment jsdom */
import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { DEFAULT_SHOP, newJob, SAMPLE_YARD, type Job } from '@sill/core';
import { JOBS_PAGE, type JobSummary } from '@sill/core/contract';
import { Refused, type Ask } from '../platform/ask';
import { makeStore } from '../state/store';
import { QUIET } from '../testing/edges';
import { JobsPage } from './JobsPage';

type Row = JobSummary & { readonly gone: boolean };
const row = (number: number, gone = false): Row => ({
  id: `j${number}`,
  name: `Job ${number}`,
  revision: 1,
  savedAt: `2026-11-${String(28 - (number % 28)).padStart(2, '0')}T10:00:00Z`,
  pieces: [],
  gone,
});

/** The page before a server that keeps its jobs in a list. */
function onPage(rows: Row[]) {
  const told: string[] = [];
  const made: Job[] = [];
  const server: Record<string, (sent: never) => unknown> = {
    jobs: ({ query }: { query: { removed: string; before?: string } }) => {
      const of = rows.filter(({ gone }) => gone === (query.removed === '1'));
      const from = query.before ? of.findIndex(({ id }) => query.before!.endsWith(` ${id}`)) + 1 : 0;
      return of.slice(from, from + JOBS_PAGE).map(({ gone: _gone, ...summary }) => summary);
    },
    removeJob: ({ params }: { params: { id: string } }) => {
      if (params.id === 'j2') throw new Refused(500, 'failed', 'The server could not do that.', [], undefined);
      rows = rows.map((one) => (one.id === params.id ? { ...one, gone: true } : one));
    },
    restoreJob: ({ params }: { params: { id: string } }) =>
      void (rows = rows.map((one) => (one.id === params.id ? { ...one, gone: false } : one))),
    yards: () => [{ id: SAMPLE_YARD.id, revision: 1, savedAt: '', value: { ...SAMPLE_YARD, tax: 9 } }],
    shops: () => [{ id: 'usual', revision: 1, savedAt: '', value: { ...DEFAULT_SHOP, lift: 77 } }],
    makeJob: ({ body }: { body: { job: Job } }) => {
      made.push(body.job);
      return { id: 'new', revision: 1, savedAt: '', save: null, job: body.job };
    },
  };
  const ask = (async (name: string, sent: never) => {
    told.push(name);
    return server[name]!(sent);
  }) as unknown as Ask;
  const router = createMemoryRouter(
    [
      { path: '/', element: <JobsPage /> },
      { path: '/jobs/:id/brief', element: <p>on the bench</p> },
    ],
    { initialEntries: ['/'] },
  );
  render(
    <Provider store={makeStore({ ...QUIET, ask })}>
      <RouterProvider router={router} />
    </Provider>,
  );
  return { user: userEvent.setup(), told, made, router };
}
const names = () => screen.queryAllByText(/^Job \d/, { selector: 'a strong' }).map(({ textContent }) => textContent);

test('the jobs by pages: further ones on asking, until there are none', async () => {
  const { user } = onPage(Array.from({ length: JOBS_PAGE + 3 }, (_, at) => row(at + 1)));
  await screen.findByText('Job 1');
  expect(names()).toHaveLength(JOBS_PAGE);
  await user.click(screen.getByRole('button', { name: 'Show more' }));
  await screen.findByText(`Job ${JOBS_PAGE + 3}`);
  expect(names()).toHaveLength(JOBS_PAGE + 3);
  expect(screen.queryByRole('button', { name: 'Show more' })).toBeNull();
});

test('removed, it goes from one list to the other and comes back', async () => {
  const { user } = onPage([row(1), row(3)]);
  await user.click(await screen.findByRole('button', { name: 'Remove Job 1' }));
  await waitFor(() => expect(names()).toEqual(['Job 3']));
  await user.click(screen.getByRole('button', { name: 'Removed jobs' }));
  await within(await screen.findByRole('list', { name: 'Removed jobs' })).findByText('Job 1');
  await user.click(screen.getByRole('button', { name: 'Bring back' }));
  await waitFor(() => expect(names()).toEqual(['Job 1', 'Job 3']));
  await screen.findByText('No job was removed.');
});

test('what the server refuses is said, and nothing is lost', async () => {
  const { user } = onPage([row(2)]);
  await user.click(await screen.findByRole('button', { name: 'Remove Job 2' }));
  expect((await screen.findByRole('alert')).textContent).toContain('could not do that');
  expect(names()).toEqual(['Job 2']);
  await user.click(screen.getByRole('button', { name: 'Try again' }));
  await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
});

test('a new job starts with the prices and the shop that were kept last', async () => {
  const { user, made, router } = onPage([]);
  await user.click(await screen.findByRole('button', { name: 'New job' }));
  await user.type(screen.getByLabelText('Name of the job'), 'Kiln room');
  await user.click(screen.getByRole('button', { name: 'Make it' }));
  await screen.findByText('on the bench');
  expect(router.state.location.pathname).toBe('/jobs/new/brief');
  expect(made[0]).toMatchObject({ ...newJob('Kiln room'), yard: { tax: 9 }, shop: { lift: 77 } });
});
