/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { demoJob, first, inches } from '@sill/core';
import { onBench, planOnce } from '../../testing/bench';
import { BoardMenu } from './BoardMenu';

describe('a board that is there turns out otherwise', () => {
  const type = (label: string, value: string) => {
    const field = screen.getByLabelText(label);
    fireEvent.change(field, { target: { value } });
    fireEvent.keyDown(field, { key: 'Enter' });
  };
  const opened = async () => {
    const plan = planOnce(demoJob());
    const shown = onBench(<BoardMenu board={first(plan.buying.boards)} plan={plan} />);
    const menu = () => screen.getByRole('button', { name: 'Board 1: keep, bought, cut, spoiled' });
    await shown.user.click(menu());
    expect(screen.queryByRole('menuitem', { name: /It measures otherwise/ })).toBeNull();
    await shown.user.click(screen.getByRole('menuitem', { name: 'It is bought, for these pieces' }));
    await shown.user.click(menu());
    await shown.user.click(screen.getByRole('menuitem', { name: /It measures otherwise/ }));
    return shown;
  };

  test('its true length and a bad stretch are told, and stand in the ledger', async () => {
    const { user, jobNow } = await opened();
    const plan = screen.getByRole('button', { name: 'Plan with it' });
    expect(plan).toHaveProperty('disabled', true);
    type('Length', '95 1/2');
    type('No good from', '3');
    type('to', '5');
    await user.click(plan);
    const [setOut, bought, sized, marked] = jobNow().ledger;
    expect(setOut!.what).toBe('set out');
    expect(sized).toMatchObject({ what: 'sized', of: bought!.id, length: inches(95.5) });
    expect(marked).toMatchObject({ what: 'marked', of: bought!.id, bad: [{ from: inches(3), to: inches(5) }] });
  });

  test('a stretch beyond its end is refused with a sentence, and nothing is told', async () => {
    const { jobNow } = await opened();
    type('to', '400');
    expect(screen.getByRole('alert').textContent).toContain('reaches beyond the board');
    expect(screen.getByRole('button', { name: 'Plan with it' })).toHaveProperty('disabled', true);
    expect(jobNow().ledger.map(({ what }) => what)).toEqual(['set out', 'bought']);
  });
});
