/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import { demoJob, isCutInto, isSheet } from '@sill/core';
import { drawAll, onBench, planOnce } from '../../testing/bench';
import { AimDialog } from './AimDialog';
import { BoardMenu } from './BoardMenu';
import { ByPiece } from './ByPiece';

const job = demoJob();
const plan = planOnce(job);
const path = '/jobs/demo/cuts';

afterEach(() => document.body.replaceChildren());

test('every piece of every board has its row, with its own board and the cut that frees it', () => {
  onBench(<ByPiece plan={plan} />, { job, plan, path });
  drawAll();
  const rows = within(screen.getByRole('table', { name: 'Pieces' }))
    .getAllByRole('row')
    .slice(1)
    .map((row) => [...row.children].map(({ textContent }) => textContent!));
  const pieces = plan.buying.boards.flatMap((board) => board.pieces.map((piece) => ({ piece, board })));
  expect(rows).toHaveLength(pieces.length);
  rows.forEach(([, name, , , ripped, number, , cut], at) => {
    const { piece, board } = pieces[at]!;
    expect([name, number]).toEqual([piece.blank.part.name, String(board.number)]);
    expect(ripped === '').toBe(!piece.blank.rip);
    if (cut !== '') expect(plan.cuts.find((one) => one.number === Number(cut))!.piece).toBe(piece);
  });
  const freed = plan.cuts
    .filter(({ piece }) => piece !== null && piece !== undefined)
    .map(({ number }) => String(number));
  expect(
    rows
      .map((row) => row[7])
      .filter((cut) => cut !== '')
      .sort(),
  ).toEqual([...freed].sort());
});

describe('what boards are chosen for', () => {
  const closed = jest.fn();
  const open = () => onBench(<AimDialog onClose={closed} />, { job, plan, path });

  test('the cheapest asks for no limit; any other may cost so much more, or any price', async () => {
    const { user, jobNow } = open();
    const limit = () => screen.queryByLabelText('At most so much dearer than the cheapest');
    expect(limit()).toBeNull();
    await user.click(screen.getByRole('radio', { name: /^Fewest boards/ }));
    expect(jobNow().aim).toEqual({ for: 'boards', extra: null });
    await user.type(limit()!, '12.50{Enter}');
    expect(jobNow().aim).toEqual({ for: 'boards', extra: 1250 });
    await user.clear(limit()!);
    await user.tab();
    expect(jobNow().aim.extra).toBeNull();
    await user.click(screen.getByRole('radio', { name: /^Least cost/ }));
    expect([jobNow().aim.for, limit()]).toEqual(['cost', null]);
  });
});

describe('a piece is brought to another board', () => {
  const boards = plan.buying.boards.filter(({ material }) => !isSheet(material));
  const board = boards.find((one) => boards.some((other) => other !== one && other.material === one.material))!;
  const open = async () => {
    const shown = onBench(<BoardMenu board={board} plan={plan} />, { job, plan, path });
    await shown.user.click(screen.getByRole('button', { name: /keep, bought, cut, spoiled$/ }));
    return shown;
  };

  test('those of other boards of its material are offered, no others', async () => {
    await open();
    const offered = screen.getAllByRole('menuitem', { name: / from board \d+$/ });
    const others = boards.filter((one) => one !== board && one.material === board.material && !isCutInto(one));
    expect(offered).toHaveLength(Math.min(40, others.flatMap(({ pieces }) => pieces).length));
    const numbers = new Set(offered.map((one) => Number(/\d+$/.exec(one.textContent)![0])));
    for (const number of numbers) expect(others.map((one) => one.number)).toContain(number);
  });

  test('brought there it is a wish that can be undone: both boards are as they are now, but for that piece', async () => {
    const { user, jobNow } = await open();
    await user.click(screen.getAllByRole('menuitem', { name: / from board \d+$/ })[0]!);
    expect(jobNow().locks.length).toBeGreaterThan(0);
    expect(jobNow().ledger).toEqual(job.ledger);
  });
});
