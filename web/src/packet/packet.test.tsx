/** @jest-environment jsdom */
import { fireEvent, screen, within } from '@testing-library/react';
import { demoJob, newJob, offerName, plain } from '@sill/core';
import { onBench } from '../testing/bench';
import { boardHeight, ROOM, settingHeight, stepHeight } from './heights';
import Packet from './Packet';

const open = (job = demoJob()) => {
  const shown = onBench(<Packet />, { job, path: '/jobs/demo/packet' });
  return { ...shown, plan: shown.store.getState().planning.plan! };
};
const pages = () => screen.getAllByRole('region', { name: /^Page \d+$/ });
const titled = (title: string) => pages().filter((page) => within(page).queryByRole('heading', { level: 1, name: title })); // prettier-ignore

test('pages are numbered through, and each has the last word of safety', () => {
  open();
  pages().forEach((page, at) => {
    expect(page.textContent).toContain(`${at + 1} / ${pages().length}`);
    expect(page.textContent).toContain('Manuals, labels and local rules first.');
  });
});

test('everything that is bought has a box a board, and the sum is the list’s', () => {
  const { plan } = open();
  const sheets = titled('Buying list');
  const text = sheets.map(({ textContent }) => textContent).join(' ');
  const bare = (words: string) => words.replace(/[^\w×]/g, '');
  for (const { offer } of plan.list.boards) expect(bare(text)).toContain(bare(offerName(offer, 'in')));
  const boxes = sheets.reduce((sum, sheet) => sum + sheet.querySelectorAll('.box').length, 0);
  const boards = plan.list.boards.reduce((sum, { count }) => sum + count, 0);
  expect(boxes).toBe(boards + plan.list.hardware.length);
  expect(text).toContain((plan.list.total / 100).toFixed(2));
});

test('every part is on the parts list once, alike ones in one row with their count', () => {
  const { plan } = open();
  const counts = titled('Parts, finished sizes').flatMap((page) =>
    [...page.querySelectorAll('tbody tr')].map((row) => Number(row.children[2]!.textContent)),
  );
  expect(counts.reduce((sum, count) => sum + count, 0)).toBe(plan.parts.reduce((sum, { count }) => sum + count, 0));
  expect(counts.length).toBeLessThan(plan.parts.length);
});

test('every step of every piece is printed once, in order, every action with a box', () => {
  const { plan } = open();
  for (const { piece, steps } of plan.pieces) {
    const printed = titled(`Build ${piece.name}`).flatMap((page) => [...page.querySelectorAll('.print-step')]);
    expect(printed.map((step) => step.querySelector('h2')!.textContent!.split('.')[0])).toEqual(steps.map((_, at) => String(at + 1))); // prettier-ignore
    printed.forEach((step, at) => {
      expect(step.querySelectorAll('ol .box')).toHaveLength(steps[at]!.actions.length);
      expect(step.textContent).toContain('Pick up');
      if (steps[at]!.sides) expect(step.textContent).toContain('Diagonals read');
      if (steps[at]!.stays) expect(step.textContent).toContain('where it stays');
      expect(step.querySelectorAll('.spacers')).toHaveLength(steps[at]!.spacers.length);
    });
  }
});

test('on either paper no page holds more than fits, by the heights that were measured; A4 takes no more pages', () => {
  const { plan } = open();
  const letter = pages().length;
  fireEvent.click(screen.getByRole('button', { name: 'A4' }));
  expect(document.querySelector('.packet')!.getAttribute('data-paper')).toBe('a4');
  expect(pages().length).toBeLessThanOrEqual(letter);
  for (const facts of plan.pieces) {
    const heights = facts.steps.map((step, at) => stepHeight('a4')({ facts, step, number: at + 1 }));
    let at = 0;
    for (const page of titled(`Build ${facts.piece.name}`)) {
      const here = page.querySelectorAll('.print-step').length;
      const used = heights.slice(at, at + here).reduce((sum, height) => sum + height, 0);
      if (here > 1) expect(used).toBeLessThanOrEqual(ROOM.a4);
      at += here;
    }
    expect(at).toBe(facts.steps.length);
  }
});

test('what is taller on paper is counted taller: more actions, more cuts, more parts at a setting', () => {
  const { plan } = open();
  const facts = plan.pieces[0]!;
  const step = facts.steps.find(({ actions }) => actions.length > 2)!;
  const block = { facts, step, number: 1 };
  const more = { ...step, actions: [...step.actions, ...step.actions, ...step.actions] };
  expect(stepHeight('letter')({ ...block, step: more })).toBeGreaterThan(stepHeight('letter')(block));
  expect(stepHeight('letter')({ ...block, step: { ...step, spacers: [{ thickness: 1, count: 2 }, ...step.spacers] } })).toBeGreaterThan(stepHeight('letter')(block)); // prettier-ignore
  for (const board of plan.buying.boards) expect(boardHeight(board, plan)).toBeLessThan(ROOM.letter);
  for (const setup of plan.setups) expect(settingHeight(setup, 'A1')).toBeGreaterThan(5);
  expect(plain(step.title, 'in').length).toBeGreaterThan(3);
});

test('a job without pieces says that there is nothing to print, and leads to the brief', () => {
  open(newJob('Empty'));
  expect(screen.getByRole('heading', { name: 'There is nothing to print yet' })).toBeTruthy();
  expect(screen.getByRole('button', { name: 'To the brief' })).toBeTruthy();
});
