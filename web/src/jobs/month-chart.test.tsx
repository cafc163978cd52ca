/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import type { JobRecord } from '@sill/core';
import { MonthChart } from './MonthChart';

afterEach(() => document.body.replaceChildren());

type Row = JobRecord['months'][number];
/** A record of one job that is asked for nothing but its months. */
const recordOf = (...months: readonly Row[]): JobRecord => ({ months }) as unknown as JobRecord;
const row = (month: string, minutes: number, cents: number): Row => ({ month, minutes, cents });

test('no record draws nothing', () => {
  const { container } = render(<MonthChart records={[]} />);
  expect(container.innerHTML).toBe('');
});

test('months stand in order without gaps, posts as high as their hours, money where it went out', () => {
  const records = [
    recordOf(row('2026-11', 150, 20_000)),
    recordOf(row('2026-08', 240, 1000), row('2026-10', 600, 0), row('2026-08', 60, 4000)),
  ];
  const { container } = render(<MonthChart records={records} />);
  const posts = [...container.querySelectorAll('.post')].map((post) => Number(post.getAttribute('height')));
  expect(posts).toHaveLength(4);
  [300, 0, 600, 150].forEach((minutes, at) => expect(posts[at]! / posts[2]!).toBeCloseTo(minutes / 600, 6));
  expect(container.querySelectorAll('.paid')).toHaveLength(2);
  const named = [...container.querySelectorAll('.month')].map(({ textContent }) => textContent);
  expect(named).toEqual(['Aug', 'Sep', 'Oct', 'Nov']);
  expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
    'Hours and money by month. Aug: 5 h, $50.00; Sep: 0 h, $0.00; Oct: 10 h, $0.00; Nov: 2.5 h, $200.00.',
  );
});

test('of many years the last two are drawn', () => {
  const { container } = render(<MonthChart records={[recordOf(row('2020-01', 60, 0), row('2026-11', 60, 0))]} />);
  const named = [...container.querySelectorAll('.month')].map(({ textContent }) => textContent);
  expect(named).toHaveLength(24);
  expect([named[0], named.at(-1)]).toEqual(['Dec', 'Nov']);
});
