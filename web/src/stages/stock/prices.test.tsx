/** @jest-environment jsdom */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { demoJob, offerName, plain, type Job } from '@sill/core';
import { useJob } from '../../state/hooks';
import { onBench } from '../../testing/bench';
import { PriceRows, type Kind, type YardPath } from './PriceRows';

const AT: YardPath = ['yard'];
const picked = jest.fn();
function Prices({ kind }: { readonly kind: Kind }) {
  return <PriceRows kind={kind} yard={useJob().yard} at={AT} picked={null} onPick={picked} />;
}
/** A yard of a few rows of each kind: what is looked at is not how many there are. */
const few = (count: number): Job => {
  const job = demoJob();
  const { boards, sheets, hardware } = job.yard;
  const yard = {
    ...job.yard,
    boards: boards.slice(0, count),
    sheets: sheets.slice(0, 3),
    hardware: hardware.slice(0, 3),
  };
  return { ...job, yard };
};
const open = (kind: Kind, count = 14) =>
  onBench(<Prices kind={kind} />, { job: few(count), path: '/jobs/demo/stock?tab=yards' });
/** As it stands on the screen: fractions are set as one, without their space. */
const screenText = (words: string) => plain([words], 'in').replace(/(\d) (\d+\/\d+)/g, '$1$2');
const rows = () => screen.getAllByRole('row').slice(1);

test('some rows are there at once, the others follow by themselves, in the order of the list', async () => {
  const { jobNow } = open('boards');
  expect(rows()).toHaveLength(4);
  await waitFor(() => expect(rows()).toHaveLength(14));
  expect(rows().map((row) => within(row).getAllByRole('button')[0]!.textContent)).toEqual(
    jobNow().yard.boards.map((offer) => screenText(offerName(offer, 'in'))),
  );
});
test('a price typed is the price of that row alone; no price is refused and nothing is lost', () => {
  const { jobNow } = open('boards', 3);
  const [first, second] = few(3).yard.boards;
  const field = () => screen.getByLabelText(`Price of ${first!.id}`);
  fireEvent.change(field(), { target: { value: '12.34' } });
  fireEvent.blur(field());
  expect(
    jobNow()
      .yard.boards.map(({ price }) => price)
      .slice(0, 2),
  ).toEqual([1234, second!.price]);
  fireEvent.change(field(), { target: { value: 'dear' } });
  fireEvent.blur(field());
  expect(jobNow().yard.boards[0]!.price).toBe(1234);
});

test('what is not in stock is said by one tick; a board is picked by its name', async () => {
  const { jobNow, user } = open('boards', 3);
  const { id, inStock } = jobNow().yard.boards[1]!;
  await user.click(screen.getByLabelText(`${id} in stock`));
  expect(jobNow().yard.boards[1]!.inStock).toBe(!inStock);
  await user.click(within(rows()[0]!).getAllByRole('button')[0]!);
  expect(picked).toHaveBeenCalledWith({ id: jobNow().yard.boards[0]!.id, name: expect.any(String) as string });
});

test('each kind is told by its own measure; what is looked for is found by name and by kind', async () => {
  const { unmount } = open('hardware');
  expect(rows().every((row) => /each/.test(row.textContent!))).toBe(true);
  unmount();
  const sheets = open('sheets');
  expect(rows().every((row) => /a square foot/.test(row.textContent!))).toBe(true);
  sheets.unmount();
  const { user } = open('boards', 3);
  expect(rows().every((row) => /a foot.*a board foot/.test(row.textContent!))).toBe(true);
  await user.type(screen.getByLabelText('Find in boards'), 'no such wood');
  expect(screen.getByText('Nothing of this name is in the list.')).toBeTruthy();
});
