/** @jest-environment jsdom */
import { demoJob, inches, printLength, type Job } from '@sill/core';
import { buyingCsv, buyingText } from '../stages/stock/buying-files';
import { onBench, planOnce } from '../testing/bench';
import { BuyingSheet, buyingRows } from './BuyingSheet';

const label = (id: string) => id;
/** The printed list as text, fractions as they are typed. */
function printed(job: Job): string {
  const rows = buyingRows(planOnce(job), job, label);
  const { container } = onBench(<BuyingSheet rows={rows} job={job} last />, { job });
  return container.textContent.replace(/\u2044/g, '/').replace(/\s+/g, ' ');
}

test('what is longer than the car is cut at the store, and the paper says where', () => {
  const job = demoJob();
  const { list } = planOnce(job);
  const long = list.boards.filter(({ storeCuts }) => storeCuts.some((at) => at !== null && at.length > 0));
  expect(long.length).toBeGreaterThan(3);
  const paper = printed(job);
  for (const { storeCuts } of long)
    for (const at of storeCuts.flatMap((cuts) => cuts ?? []))
      expect(paper).toContain(printLength(at, 'in').split(' ')[0]);
  expect(paper.match(/store cuts at/g)).toHaveLength(long.length);
  const far = { ...job, shop: { ...job.shop, car: inches(200) } };
  expect(printed(far)).not.toContain('store cuts at');
});

test('list, message and file name the same boards, counts and sum', () => {
  const job = demoJob();
  const plan = planOnce(job);
  const csv = buyingCsv(plan, job, label);
  const text = buyingText(plan, job, label);
  for (const { offer, count } of plan.list.boards) {
    const row = csv
      .split('\n')
      .find((one) => one.includes(`,${count},`) && one.includes((offer.price / 100).toFixed(2)));
    expect(row).toBeDefined();
    expect(
      text.some((one) => one.startsWith(`${count} x `) && one.includes(((offer.price * count) / 100).toFixed(2))),
    ).toBe(true);
  }
  const total = (plan.list.total / 100).toFixed(2);
  expect(csv.trim().split('\n').at(-1)).toContain(total);
  expect(text.at(-1)).toContain(total);
  expect(text).toHaveLength(plan.list.boards.length + plan.list.hardware.length + 2);
});

test('a list that lacks something is called incomplete in all three', () => {
  const job = { ...demoJob(), yard: { ...demoJob().yard, hardware: [] } };
  const plan = planOnce(job);
  expect(buyingCsv(plan, job, label)).toContain('total, incomplete');
  expect(buyingText(plan, job, label).at(-1)).toContain('Incomplete');
  expect(printed(job)).toContain('Total, incomplete');
});
