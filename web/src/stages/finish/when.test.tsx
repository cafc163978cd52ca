/** @jest-environment jsdom */
import { act, screen, waitFor, within } from '@testing-library/react';
import { demoJob, first, SURFACES, type FinishWay, type Job } from '@sill/core';
import { onBench, planOnce } from '../../testing/bench';
import { QUIET } from '../../testing/edges';
import type { Ask } from '../../platform/ask';
import { ShopAirDialog } from './ShopAirDialog';
import { WhenDialog } from './WhenDialog';
import { Wish } from './Wish';
import { ROLE_NAMES, surfaceLabel, SURFACE_NAMES } from './words';

const job = demoJob();
const piece = first(job.pieces);
const facts = first(planOnce(job).pieces);

test('a surface is called by its name; parts of it by theirs', () => {
  expect(surfaceLabel('top')).toBe('Top');
  expect(surfaceLabel('base/leg')).toBe('Base, outside: legs');
  for (const name of Object.values({ ...SURFACE_NAMES, ...ROLE_NAMES })) expect(name).toMatch(/^[A-Z]/);
  expect(Object.keys(SURFACE_NAMES).sort()).toEqual([...SURFACES].sort());
});

describe('when it is finished', () => {
  const way = (change: Partial<FinishWay>): FinishWay => ({
    ...{ when: 'assembled', ready: '2026-12-20', minutes: 330, byHand: 0, tape: 0, sittings: 3, adds: 0 },
    ...change,
  });
  const open = (ways: Promise<readonly FinishWay[]>) =>
    onBench(<WhenDialog job={job} piece={piece} onClose={() => {}} />, {
      planner: { ...QUIET.planner, finishWaysFor: () => ways },
    });
  const region = (name: string) => screen.findByRole('region', { name });

  test('while all are planned it says so; that it did not work, and what to do then, too', async () => {
    const { unmount } = open(new Promise(() => {}));
    expect(screen.getByRole('status').textContent).toBe('Planning all three…');
    unmount();
    const failed = open(Promise.reject(new Error('gone')));
    expect((await screen.findByRole('alert')).textContent).toMatch(/could not be worked out.*notes of this piece/);
    failed.unmount();
    open(Promise.resolve([]));
    expect(await screen.findByRole('alert')).toBeTruthy();
  });

  test('hours to the tenth, nothing by hand or taped is said in words, a day that never comes is never', async () => {
    open(
      Promise.resolve([
        way({}),
        way({ when: 'parts', byHand: 3.4, tape: 12.6, adds: -250 }),
        way({ when: 'site', ready: null }),
      ]),
    );
    const [now, parts, site] = await Promise.all(['Once it stands', 'Part by part', 'Where it stays'].map(region));
    expect(now!.textContent).toMatch(/20 December.*5\.5 h.*no corners.*nothing.*the same/);
    expect(parts!.textContent).toMatch(/3 sq ft.*13 ft.*−\$2\.50/);
    expect(site!.textContent).toContain('never');
    // What it is now can not be taken again.
    expect(within(now!).getByRole<HTMLButtonElement>('button', { name: 'As it is now' }).disabled).toBe(true);
    expect(within(site!).getByRole<HTMLButtonElement>('button', { name: 'Take it' }).disabled).toBe(false);
  });
});

describe('whether a coat may go on', () => {
  const open = (change: Partial<Job> = {}, ask?: Ask) =>
    onBench(<ShopAirDialog facts={facts} onClose={() => {}} />, {
      job: { ...job, ...change },
      plan: planOnce(job),
      ...(ask && { ask }),
    });

  test('in millimetres the shop reads degrees Celsius', () => {
    open({ units: 'mm' });
    // 68 °F.
    const field = screen.getByLabelText<HTMLInputElement>('Temperature');
    expect(field.value).toBe('20');
    expect(field.closest('div')!.parentElement!.textContent).toContain('°C');
  });

  test('air that drops its water says how near that is; a reading no shop has is refused', async () => {
    const { user } = open();
    const humidity = screen.getByLabelText('Humidity');
    await user.clear(humidity);
    await user.type(humidity, '97');
    expect([...document.querySelectorAll('.air li')].every((row) => row.getAttribute('data-may') === 'false')).toBe(
      true,
    );
    await user.clear(humidity);
    await user.type(humidity, '2');
    expect(screen.getByRole('alert').textContent).toBe('Humidity is between 5 and 100 percent.');
    expect(screen.queryByRole('list')).toBeNull();
  });

  test('the simulated thermometer sends a reading and says that it is invented; typed over it is no longer', async () => {
    const ask = ((name: string) =>
      name === 'shopAir'
        ? Promise.resolve({ temperature: 51, humidity: 44, simulated: true })
        : new Promise(() => {})) as unknown as Ask;
    const { user, store } = open({}, ask);
    await user.click(screen.getByRole('button', { name: 'From the shop' }));
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Temperature').value).toBe('51'));
    expect(screen.getByText('simulated')).toBeTruthy();
    expect(store.getState().view.message?.text).toContain('invented reading');
    const humidity = screen.getByLabelText('Humidity');
    await user.clear(humidity);
    await user.type(humidity, '50');
    await act(async () => {});
    expect(screen.queryByText('simulated')).toBeNull();
  });
});

test('what it bears is kept with how it looks, the one asked for after the other; inside is only sanded', async () => {
  const { user, jobNow } = onBench(<Wish piece={piece} surfaces={['top', 'base', 'inside']} />);
  const on = () => first(jobNow().pieces).finish.on;
  await user.click(screen.getByRole('radio', { name: 'dark' }));
  const [shade, wear] = on().top!.recipe.split('.');
  expect([shade, wear]).toEqual(['dark', 'wipeable']);
  expect(on().inside?.recipe).toMatch(/^natural\.bare/);
});
