/** @jest-environment jsdom */
import { act, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { inches, set } from '@sill/core';
import { NoPlan } from '../stages/shared/NoPlan';
import { changed } from '../state/bench';
import { cleared, failed, halted, started } from '../state/planning';
import { makeStore } from '../state/store';
import { onBench } from '../testing/bench';
import { QUIET } from '../testing/edges';
import { Trouble } from './Trouble';

const button = (name: string) => screen.queryByRole('button', { name });

describe('where there is no plan', () => {
  test('while it is worked out it says so, and claims nothing', () => {
    const { store } = onBench(<NoPlan />);
    act(() => {
      store.dispatch(cleared());
      store.dispatch(started());
    });
    expect(screen.getByRole('status').textContent).toBe('Working out the plan.');
    expect(screen.queryByRole('alert')).toBeNull();
  });

  test('where it failed it says why, and offers to try again, to undo, and to save the job', async () => {
    const { store, user, jobNow } = onBench(<NoPlan />);
    const before = jobNow();
    act(() => {
      store.dispatch(changed([set('glaze', ['size', 'length'], inches(50))]));
      store.dispatch(failed('the worker stopped'));
    });
    expect((await screen.findByRole('alert')).textContent).toContain('the worker stopped');
    expect(button('Work it out again')).not.toBeNull();
    expect(button('Save the job as a file')).not.toBeNull();
    await user.click(button('Undo the last change')!);
    expect(jobNow()).toEqual(before);
  });

  test('where a person stopped it, it says that, and that nothing is lost', async () => {
    const { store } = onBench(<NoPlan />);
    act(() => void store.dispatch(halted()));
    const said = (await screen.findByRole('alert')).textContent;
    expect(said).toContain('The plan was stopped');
    expect(said).toContain('Your job is kept as you left it');
  });
});

describe('a page that fails', () => {
  const failing = (message: string) => {
    const silent = jest.spyOn(console, 'error').mockImplementation(() => {});
    const Broken = () => {
      throw new TypeError(message);
    };
    const router = createMemoryRouter([{ path: '/jobs/:id/:stage', element: <Broken />, errorElement: <Trouble /> }], {
      initialEntries: ['/jobs/demo/cuts'],
    });
    render(
      <Provider store={makeStore(QUIET)}>
        <RouterProvider router={router} />
      </Provider>,
    );
    silent.mockRestore();
    return screen.getByRole('alert').textContent;
  };

  test('says what happened and leads back into the job', () => {
    expect(failing('x is not a function')).toContain('“x is not a function”');
    expect(screen.getByRole('link', { name: 'To the brief' }).getAttribute('href')).toBe('/jobs/demo/brief');
    expect(screen.getByRole('link', { name: 'All jobs' })).not.toBeNull();
  });

  test('a page that could not be loaded is told apart: nothing of the program is at fault', () => {
    const said = failing('Failed to fetch dynamically imported module: /assets/Packet.js');
    expect(said).toContain('This page could not be loaded');
    expect(said).not.toContain('fault of the program');
  });
});
