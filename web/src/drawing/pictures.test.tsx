/** @jest-environment jsdom */
import { act, screen } from '@testing-library/react';
import {
  add,
  demoJob,
  inches,
  KEEP_OFFCUT,
  newPiece,
  nth,
  storeCuts,
  times,
  type Board,
  type Job,
  type SurfaceKey,
} from '@sill/core';
import { onBench, planOnce } from '../testing/bench';
import { BoardRow, moreRows } from './BoardRow';
import { stateWords } from './board-state';
import { project, USUAL_VIEW } from './iso';
import { PartPicture, pictureHeight } from './PartPicture';
import { PiecePicture, useOneByOne } from './PiecePicture';
import { SheetPlan } from './SheetPlan';
import { drawnIn, joinedIn } from './steps';
import { SurfacePicture } from './SurfacePicture';

const job = demoJob();
const plan = planOnce(job);
const facts = nth(plan.pieces, 0);
const longest = Math.max(...plan.buying.boards.map(({ length }) => length));
const tagOf = (id: string) => nth(id.split('.'), 1);
const all = facts.parts.map((part) => ({ part, as: 'there' as const }));

describe('a picture of a step', () => {
  const step = facts.steps.find(
    ({ makes }) => joinedIn({ ...nth(facts.steps, 0), makes }, facts.fastenings).length > 3,
  )!;
  const joints = joinedIn(step, facts.fastenings);
  const drawn = drawnIn(step, facts);

  test('shows each fastener from its head to its tip, and each face that takes glue', () => {
    const { container } = onBench(<PartPicture parts={drawn} joints={joints} label="step" view={USUAL_VIEW} />);
    const shanks = joints.flatMap((one) => one.shanks);
    const screws = [...container.querySelectorAll('.screw')];
    expect(screws).toHaveLength(shanks.length);
    // As long on paper as the eye sees them, all by one scale.
    const scales = screws.map((screw, at) => {
      const [x1, y1, x2, y2] = screw
        .getAttribute('d')!
        .match(/-?[\d.]+/g)!
        .map(Number) as [number, number, number, number];
      const { from, direction, length, behind } = nth(shanks, at);
      const [a, b] = [add(from, times(direction, -behind)), add(from, times(direction, length))].map((point) =>
        project(point, USUAL_VIEW),
      );
      return Math.hypot(x2 - x1, y2 - y1) / Math.hypot(b![0] - a![0], b![1] - a![1]);
    });
    for (const scale of scales) expect(scale / nth(scales, 0)).toBeCloseTo(1, 1);
    expect(container.querySelectorAll('.glued').length > 0).toBe(joints.some(({ glue }) => glue > 0));
  });

  test('of very many fasteners none is drawn: they would hide the parts', () => {
    const many = Array.from({ length: 121 }, () => ({ ...nth(joints, 0), shanks: nth(joints, 0).shanks.slice(0, 1) }));
    const { container } = onBench(<PartPicture parts={drawn} joints={many} label="step" />);
    expect(container.querySelectorAll('.screw')).toHaveLength(0);
  });

  test('is as high as is reckoned with where pages are filled', () => {
    for (const width of [300, 480]) {
      const { container, unmount } = onBench(<PartPicture parts={drawn} joints={joints} label="step" width={width} />);
      const [, , wide, high] = container.querySelector('svg')!.getAttribute('viewBox')!.split(' ').map(Number);
      expect(wide).toBe(width);
      expect(high).toBe(Number(pictureHeight(drawn, width, joints).toFixed(0)));
      unmount();
    }
  });

  test('is silent where its words say all, and nothing where there are no parts', () => {
    const { container, unmount } = onBench(<PartPicture parts={all} label="" />);
    expect(container.querySelector('svg')!.getAttribute('aria-hidden')).toBe('true');
    expect(screen.queryByRole('img')).toBeNull();
    unmount();
    expect(onBench(<PartPicture parts={[]} label="nothing" />).container.querySelector('svg')).toBeNull();
  });

  test('a part that is pointed at stands out, and another under the pointer is told to the rest', async () => {
    const { container, user, store } = onBench(<PartPicture parts={all} label="piece" />);
    const first = container.querySelector('g.solid')!;
    await user.hover(first.querySelector('path')!);
    expect(store.getState().view.marked).toBe(first.getAttribute('data-part'));
    const marked = [...container.querySelectorAll('g.solid.marked')].map((one) => one.getAttribute('data-part'));
    expect(new Set(marked)).toEqual(new Set([first.getAttribute('data-part')]));
  });
});

describe('a piece in its finish', () => {
  const surfaceOf = (part: { role: string }): SurfaceKey | null => (part.role === 'top' ? 'top' : null);
  const shown = (picked: SurfaceKey | null, onPick = jest.fn()) => ({
    onPick,
    ...onBench(
      <SurfacePicture
        parts={facts.parts}
        view={USUAL_VIEW}
        surfaceOf={surfaceOf}
        colours={{ top: '#884422' }}
        picked={picked}
        onPick={onPick}
        label="Glaze table in its finish"
      />,
    ),
  });

  test('surfaces have their colour, what has none stands bare; a click picks the surface, on bare wood nothing', async () => {
    const { container, user, onPick } = shown('top');
    const coloured = [...container.querySelectorAll('path.surface:not(.bare)')];
    expect(coloured.length).toBeGreaterThan(3);
    for (const path of coloured) expect(path.getAttribute('fill')).toBe('#884422');
    expect(container.querySelectorAll('[data-picked="true"]')).toHaveLength(coloured.length);
    await user.click(container.querySelector('path.surface.bare')!);
    expect(onPick).not.toHaveBeenCalled();
    await user.click(nth(coloured, 0));
    expect(onPick).toHaveBeenCalledWith('top');
  });

  test('what looks up is lightest, the two sides are darker, each alike', () => {
    const { container } = shown(null);
    const veils = new Set([...container.querySelectorAll('.veil')].map((one) => Number(one.getAttribute('opacity'))));
    expect([...veils].sort((a, b) => a - b)).toEqual([0, 0.1, 0.24]);
    expect(container.querySelectorAll('[data-picked="true"]')).toHaveLength(0);
  });
});

describe('a gallery', () => {
  test('each piece is drawn as it would be built, with no words of its own', () => {
    const { container } = onBench(<PiecePicture piece={newPiece('p', 'pedestal')} />);
    expect(container.querySelectorAll('g.solid').length).toBeGreaterThan(8);
    expect(container.querySelector('svg')!.getAttribute('aria-hidden')).toBe('true');
  });

  test('pictures come two at a time until all are there', () => {
    jest.useFakeTimers();
    const counts: number[] = [];
    const Counting = () => {
      counts.push(useOneByOne(5));
      return null;
    };
    onBench(<Counting />);
    for (let turn = 0; turn < 4; turn++) act(() => void jest.runOnlyPendingTimers());
    jest.useRealTimers();
    expect([...new Set(counts)]).toEqual([2, 4, 6]);
  });
});

describe('boards', () => {
  const onBoards = plan.buying.boards.filter((board) => !('sheet' in board.offer));
  const row = (board: Board, more: { job?: Job; uses?: typeof plan.offcuts; wide?: number } = {}) =>
    onBench(
      <BoardRow
        board={board}
        cuts={plan.cuts.filter((cut) => cut.board === board.number)}
        longest={longest}
        label={tagOf}
        lit={null}
        wide={more.wide ?? 900}
        uses={more.uses ?? []}
      />,
      more.job ? { job: more.job, plan } : {},
    );

  test('a car that is shorter than a board: the cuts that the store makes are drawn where they fall', () => {
    const car = inches(80);
    const small = { ...job, shop: { ...job.shop, car } };
    const far = onBoards.filter((board) => (storeCuts(board, car) ?? []).length > 0);
    expect(far.length).toBeGreaterThan(2);
    for (const board of far) {
      const { container, unmount } = row(board, { job: small });
      const at = storeCuts(board, car)!;
      const lines = [...container.querySelectorAll('.store-cut')].map((line) => Number(line.getAttribute('x1')));
      expect(lines).toHaveLength(at.length);
      lines.forEach((x, k) => expect(x).toBeCloseTo(1 + (nth(at, k) / longest) * 900, 3));
      expect(container.textContent).toContain('store cuts');
      unmount();
    }
  });

  test('offcuts worth keeping are named on the wood where there is room, and what becomes of them', () => {
    for (const board of onBoards) {
      const { container, unmount } = row(board);
      const wide = ({ length }: { length: number }) => (length / longest) * 900;
      const kept = board.offcuts.filter((one) => one.length >= KEEP_OFFCUT && wide(one) > 9 * 7.6);
      expect(container.querySelectorAll('text.keep')).toHaveLength(kept.length);
      unmount();
    }
    const use = plan.offcuts.find(
      ({ board, jobs }) => jobs.length > 0 && onBoards.some((one) => one.number === board),
    )!;
    const board = onBoards.find(({ number }) => number === use.board)!;
    const { container } = row(board, { uses: [use], wide: Math.ceil((200 * longest) / use.offcut.length) });
    expect([...container.querySelectorAll('text.keep')].map((text) => text.textContent).join()).toContain(
      nth(use.jobs, 0).kind,
    );
  });

  test('numbers never touch: those that would stand in a row above, and the drawing is higher by that', () => {
    for (const board of onBoards) {
      const { container, unmount } = row(board);
      const circles = [...container.querySelectorAll('.cut circle')].map((one) => [
        Number(one.getAttribute('cx')),
        Number(one.getAttribute('cy')),
      ]);
      circles.forEach(([x, y], at) =>
        circles.slice(at + 1).forEach(([ox, oy]) => expect(Math.hypot(ox! - x!, oy! - y!)).toBeGreaterThan(20)),
      );
      const rows = new Set(circles.map(([, y]) => y)).size;
      const cuts = plan.cuts.filter((cut) => cut.board === board.number);
      expect(moreRows(board, cuts, longest, 900)).toBe(21 * (rows - 1));
      unmount();
    }
  });

  test('how a board stands is told in a word: what happened goes before what is wished', () => {
    const board = nth(onBoards, 0);
    const as = (state: Board['state'], kept: Board['kept'] = null) => stateWords({ ...board, state, kept });
    const wish = nth(onBoards, 0).kept ?? ({} as NonNullable<Board['kept']>);
    expect([as('cut', wish), as('begun', wish), as('bought', wish), as('to buy', wish)]).toEqual([
      'cut',
      'cut in part',
      'bought, kept',
      'kept',
    ]);
    expect([as('to buy'), stateWords({ ...board, state: 'to buy', kept: null }, true)]).toEqual(['buy', 'store cuts']);
  });
});

test('on a sheet the numbers of cuts stand apart, and a size with no room on its piece stands below', () => {
  const sheets = plan.buying.boards.filter((board) => 'sheet' in board.offer);
  for (const board of sheets) {
    const cuts = plan.cuts.filter((cut) => cut.board === board.number);
    const { container, unmount } = onBench(
      <SheetPlan board={board} cuts={cuts} label={tagOf} lit={new Set([-1])} wide={640} />,
    );
    const circles = [...container.querySelectorAll('.cut circle')].map((one) => [
      Number(one.getAttribute('cx')),
      Number(one.getAttribute('cy')),
    ]);
    circles.forEach(([x, y], at) =>
      circles.slice(at + 1).forEach(([ox, oy]) => expect(Math.hypot(ox! - x!, oy! - y!)).toBeGreaterThanOrEqual(17)),
    );
    // Another setting is looked at: all of these step back.
    expect(container.querySelectorAll('.cut.dimmed')).toHaveLength(cuts.length);
    const onWood = container.querySelectorAll('.piece-length, .piece-below').length;
    const below = [...container.querySelectorAll('.sheet-sizes b')].map((one) => one.textContent!);
    if (onWood === board.pieces.length) expect(below).toEqual([]);
    else expect(below.length).toBeGreaterThan(0);
    unmount();
  }
});
