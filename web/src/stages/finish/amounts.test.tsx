/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import { demoJob, KIT } from '@sill/core';
import { onBench, planOnce } from '../../testing/bench';
import { Amounts } from './Amounts';
import { Sittings } from './Sittings';

const job = demoJob();
const plan = planOnce(job);
const facts = plan.pieces.find(({ piece }) => piece.id === 'glaze')!;
const path = '/jobs/demo/finish?piece=glaze';

afterEach(() => document.body.replaceChildren());

describe('what it takes', () => {
  const rowsOf = (table: HTMLElement) =>
    within(table)
      .getAllByRole('row')
      .slice(1)
      .map((row) => [...row.children].map(({ textContent }) => textContent));

  test('rows add up, to the cent; what one piece takes is never more than all take', () => {
    onBench(<Amounts facts={facts} />, { job, plan, path });
    const rows = rowsOf(screen.getByRole('table'));
    const cents = (text: string) => Math.round(Number(text.replace(/[^\d.]/g, '')) * 100);
    const last = rows.at(-1)!;
    expect(last[0]).toBe('Together, before tax');
    expect(rows.slice(0, -1).reduce((sum, row) => sum + cents(row[4]!), 0)).toBe(cents(last[4]!));
    for (const [what, here, all] of rows.slice(0, -1)) {
      const [own, sum] = [here!, all!].map((text) => Number(/\d+/.exec(text)?.[0] ?? 0));
      expect([what, own! <= sum! || sum === 0]).toEqual([what, true]);
    }
  });

  test('a job of one piece has one column of amounts', () => {
    const alone = { ...job, pieces: job.pieces.slice(0, 1) };
    const its = planOnce(alone);
    onBench(<Amounts facts={its.pieces[0]!} />, { job: alone, plan: its, path });
    expect(screen.queryByRole('columnheader', { name: 'This piece' })).toBeNull();
    expect(screen.getAllByRole('columnheader')).toHaveLength(4);
  });

  test('what is ticked as there is kept in its own order, and taken off again', async () => {
    const { user, jobNow } = onBench(<Amounts facts={facts} />, { job, plan, path });
    await user.click(screen.getByRole('checkbox', { name: 'Gloves' }));
    await user.click(screen.getByRole('checkbox', { name: 'Rags' }));
    const { kit } = jobNow().shop;
    expect(kit).toEqual(KIT.filter((name) => kit.includes(name)));
    expect(kit).toEqual(expect.arrayContaining(['rags', 'gloves']));
    await user.click(screen.getByRole('checkbox', { name: 'Rags' }));
    expect(jobNow().shop.kit).not.toContain('rags');
  });
});

describe('in which order', () => {
  test('every step of the finish, with its time, leads to its own page of the build', () => {
    onBench(<Sittings facts={facts} />, { job, plan, path });
    const links = within(screen.getByRole('list')).getAllByRole('link');
    const steps = links.map((link) => Number(/step=(\d+)/.exec(link.getAttribute('href')!)![1]));
    expect([...steps].sort((a, b) => a - b)).toEqual(steps);
    for (const step of steps) {
      const kinds = facts.steps[step - 1]!.operations.map(({ kind }) => kind as string);
      expect(
        kinds.some((kind) => ['sample', 'flatten', 'fill', 'sand', 'mask', 'coat', 'rub', 'cure'].includes(kind)),
      ).toBe(true);
    }
    const coats = facts.steps.filter(({ operations }) => operations.some(({ kind }) => kind === 'coat')).length;
    expect(steps.length).toBeGreaterThan(coats);
  });

  test('how it is levelled, what fills it and what is on it are the piece’s own', async () => {
    const { user, jobNow } = onBench(<Sittings facts={facts} />, { job, plan, path });
    const pick = async (label: string, option: string) => {
      await user.click(screen.getByRole('combobox', { name: label }));
      await user.click(await screen.findByRole('option', { name: option }));
    };
    await pick('Top flattened with', 'hand plane');
    await pick('Knots and cracks', 'sawdust and glue');
    await pick('On it already', 'paint');
    const { flatten, cracks, old } = jobNow().pieces.find(({ id }) => id === 'glaze')!.finish;
    expect([flatten, cracks, old]).toEqual(['hand plane', 'sawdust', 'paint']);
  });
});
