/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import { boxOf, inches, newJob, newPiece, seating, topOf, type Piece } from '@sill/core';
import { onBench, planOnce } from '../../testing/bench';
import { SeatPlan } from './SeatPlan';

/** A start from above, drawn with its own parts. */
function draw(start: string, change: Partial<Piece> = {}) {
  const piece = { ...newPiece('p', start), ...change };
  const job = { ...newJob('j'), pieces: [piece] };
  const plan = planOnce(job);
  const { parts } = plan.pieces[0]!;
  const seats = seating(piece, parts, topOf(piece)!.deck);
  onBench(<SeatPlan piece={piece} parts={parts} seats={seats} />, { job, plan, path: '/jobs/demo/brief' });
  const svg = screen.getByRole('img', { name: / from above with \d+ places$/ });
  const frame = (one: Element) => ['x', 'y', 'width', 'height'].map((name) => Number(one.getAttribute(name)));
  return { piece, parts, seats, svg, frames: (of: string) => [...svg.querySelectorAll(of)].map(frame) };
}

afterEach(() => document.body.replaceChildren());

test('a rectangle has a mark for each place, along both sides and at its ends, none over another', () => {
  const { seats, frames, svg } = draw('dining');
  const places = frames('.place rect');
  expect(places).toHaveLength(seats.total);
  expect(svg.getAttribute('aria-label')).toBe(`The table from above with ${seats.total} places`);
  for (const [k, [x, y, wide, deep]] of places.entries())
    for (const [ox, oy, ow, od] of places.slice(k + 1)) {
      const apart =
        x! + wide! <= ox! + 1e-6 || ox! + ow! <= x! + 1e-6 || y! + deep! <= oy! + 1e-6 || oy! + od! <= y! + 1e-6;
      expect(apart).toBe(true);
    }
});

test('what stands on the floor is under the top, to its scale', () => {
  const { parts, frames, piece } = draw('dining');
  const standing = parts.filter((part) => !part.loose && boxOf(part).min[2] === 0);
  const legs = frames('.leg-view');
  const [[left, , wide] = []] = frames('rect.top-view');
  expect(legs).toHaveLength(standing.length);
  legs.forEach(([x, , width], at) => {
    const { min, max } = boxOf(standing[at]!);
    expect((x! - left!) / wide!).toBeCloseTo(min[0] / piece.size.length, 4);
    expect(width! / wide!).toBeCloseTo((max[0] - min[0]) / piece.size.length, 4);
  });
});

test('an octagon is no rectangle; a bench has its places in one row', () => {
  expect(draw('octagon').svg.querySelector('path.top-view')).not.toBeNull();
  document.body.replaceChildren();
  const { seats, frames, svg } = draw('bench');
  expect(svg.getAttribute('aria-label')).toMatch(/^The bench /);
  expect(frames('.place rect')).toHaveLength(seats.total);
  expect(new Set(frames('.place rect').map(([, y]) => y)).size).toBe(1);
});

test('a table too small to sit at still shows itself', () => {
  const { svg } = draw('end-table', { size: { length: inches(12), width: inches(12), height: inches(20) } });
  expect(svg.querySelector('.top-view')).not.toBeNull();
});
