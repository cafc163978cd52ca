/** @jest-environment jsdom */
import { render } from '@testing-library/react';
import { demoJob, inches, sure, type Fastening } from '@sill/core';
import { onBench, planOnce } from '../../testing/bench';
import { FastenerTable } from './FastenerTable';
import { PocketPicture } from './PocketPicture';
import { ScrewPicture } from './ScrewPicture';

afterEach(() => document.body.replaceChildren());

const made = planOnce(demoJob()).pieces.flatMap(({ fastenings }) => fastenings);
const withShanks = made.filter(({ shanks }) => shanks.length > 0);
const number = (of: Element | null, name: string) => Number(of!.getAttribute(name));
const drawn = (what: React.ReactNode) => onBench(what).container;

describe('a fastener cut along its own line', () => {
  test.each(withShanks.slice(0, 40).map((one) => [`${one.drilled.tag} on ${one.into.tag}`, one] as const))(
    '%s: its head and tip lie on its own line, as far apart as it is long, and within the picture',
    (_, fastening) => {
      const container = drawn(<ScrewPicture fastening={fastening} />);
      const [shank] = fastening.shanks;
      const [, , wide] = container.querySelector('svg')!.getAttribute('viewBox')!.split(' ').map(Number);
      const line = container.querySelector('.shank');
      const [x1, x2] = [number(line, 'x1'), number(line, 'x2')];
      const meet =
        number(container.querySelector('rect.wood'), 'x') + number(container.querySelector('rect.wood'), 'width');
      expect(x2).toBeLessThanOrEqual(wide!);
      // What bites lies beyond the meeting, in the share of its length that it bites with.
      expect((x2 - meet) / (x2 - x1)).toBeCloseTo(shank!.bite / shank!.length, 3);
      expect(container.textContent).toContain('bites');
    },
  );

  test('what it bites in is never told as more than it is', () => {
    const [one] = withShanks;
    const bite = inches(0.99);
    const fastening: Fastening = { ...one!, shanks: [{ ...one!.shanks[0]!, bite, left: inches(9) }] };
    const { textContent } = drawn(<ScrewPicture fastening={fastening} />);
    expect(textContent).toMatch(/bites 15⁄?\/?16|bites 15\/16/);
    expect(textContent).not.toContain('leaves');
  });

  test('what no fastener holds has no picture', () => {
    const { container } = render(<ScrewPicture fastening={{ ...withShanks[0]!, shanks: [] }} />);
    expect(container.innerHTML).toBe('');
  });
});

describe('the face that is drilled', () => {
  const pocketed = made.filter(({ by, positions }) => by === 'pocket screws' && positions.length > 0);
  const ends = pocketed.filter(({ joint }) => joint.kind === 'rail end');
  const edges = pocketed.filter(({ joint }) => joint.kind !== 'rail end');

  test('has a mark for each pocket, in the order of their places', () => {
    for (const fastening of [...ends.slice(0, 6), ...edges.slice(0, 6)]) {
      const container = drawn(<PocketPicture fastening={fastening} />);
      const marks = [...container.querySelectorAll('.pocket ellipse')];
      expect(marks).toHaveLength(fastening.positions.length);
      const at = marks.map((mark) => number(mark, fastening.joint.kind === 'rail end' ? 'cy' : 'cx'));
      expect(at).toEqual([...at].sort((a, b) => a - b));
      document.body.replaceChildren();
    }
    expect([ends.length, edges.length].every((count) => count > 0)).toBe(true);
  });

  test('along an edge the first place is told, and how far it is to the next', () => {
    const fastening = sure(
      edges.find(({ positions }) => positions.length > 1),
      'edge',
    );
    const { textContent } = drawn(<PocketPicture fastening={fastening} />);
    expect(textContent).toMatch(/^first at .+, then every .+/);
    const one: Fastening = { ...fastening, positions: fastening.positions.slice(0, 1) };
    document.body.replaceChildren();
    expect(drawn(<PocketPicture fastening={one} />).textContent).not.toContain('then every');
  });
});

test('the table counts what all copies of a piece want', () => {
  const [facts] = planOnce(demoJob()).pieces;
  const counts = (copies: number) => {
    const rows = [...drawn(<FastenerTable made={facts!.fastenings} copies={copies} />).querySelectorAll('tbody tr')];
    const all = rows.map((row) => Number(row.querySelector('td:last-child')!.textContent));
    document.body.replaceChildren();
    return all.reduce((sum, one) => sum + one, 0);
  };
  expect(counts(1)).toBe(facts!.fastenings.reduce((sum, { positions }) => sum + positions.length, 0));
  expect(counts(3)).toBe(3 * counts(1));
});

test('a row of the table for each kind and size, with what is drilled for it; what one has no use for is left empty', () => {
  const [facts] = planOnce(demoJob()).pieces;
  const table = drawn(<FastenerTable made={facts!.fastenings} copies={1} />);
  const heads = [...table.querySelectorAll('th')].map((head) => head.textContent!.trim());
  expect(heads.slice(0, 8)).toEqual([
    'Fastener',
    'Head',
    'Thread',
    'Pilot',
    'Clearance',
    'Counterbore',
    'Bit',
    'Count',
  ]);
  const rows = [...table.querySelectorAll('tbody tr')].map((row) =>
    [...row.querySelectorAll('td')].map((cell) => cell.textContent!),
  );
  expect(new Set(rows.map((row) => row.slice(0, 7).join('|'))).size).toBe(rows.length);
  for (const row of rows.filter(([name]) => name!.startsWith('pocket screws')))
    expect([row[3], row[4], row[5]]).toEqual(['by the jig', 'by the jig', '3/8 pocket']);
  document.body.replaceChildren();
});
