/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import { boxOf, demoJob, inches, mm, say, dim, about, tag, strong } from '@sill/core';
import { onBench, planOnce } from '../testing/bench';
import { Dim, Text } from '../words/Dim';
import { Words } from '../words/Words';
import { BoardRow } from './BoardRow';
import { PartPicture } from './PartPicture';
import { PartSheet } from './PartSheet';
import { SheetPlan } from './SheetPlan';

const plan = planOnce(demoJob());
const onBoards = plan.buying.boards.filter((board) => !('sheet' in board.offer));
const sheets = plan.buying.boards.filter((board) => 'sheet' in board.offer);
const longest = Math.max(...plan.buying.boards.map((board) => board.length));
const tagOf = (id: string) => id.split('.')[1]!;

describe('words', () => {
  test('lengths: whole, fraction and sign are apart; millimetres say so', () => {
    const { container } = onBench(
      <p>
        <Dim of={inches(5.125)} />|<Dim of={inches(0.5)} />|<Dim of={-inches(2)} mark />|
        <Dim of={inches(43.51)} about />
      </p>,
    );
    expect(container.textContent).toBe('5 1/8|1/2|−2″|about 43 1/2');
    expect(container.querySelectorAll('.set-frac')).toHaveLength(1);
    expect(container.querySelectorAll('.frac')).toHaveLength(2);
    const metric = onBench(<Dim of={mm(131)} />, { job: { ...demoJob(), units: 'mm' } });
    expect(metric.container.textContent).toContain('131 mm');
  });

  test('fractions inside plain text are set too', () => {
    const { container } = onBench(<Text of="pocket screws 2 1/2 coarse" />);
    expect(container.textContent).toBe('pocket screws 2 1/2 coarse');
    expect(container.querySelector('.frac')!.textContent).toBe('1/2');
  });

  test('a phrase shows every kind of bit, and its tags mark their part', async () => {
    const { container, user, store } = onBench(
      <Words
        of={say`Join ${tag('E1')} at ${dim(inches(3))}, about ${about(inches(7.01))}, ${strong(4)} screws`}
        piece="glaze"
      />,
    );
    expect(container.textContent).toBe('Join E1 at 3, about about 7, 4 screws');
    await user.hover(screen.getByText('E1'));
    expect(store.getState().view.marked).toBe('glaze.E1');
  });
});

describe('a board', () => {
  const row = (at: number, lit: ReadonlySet<number> | null = null) => {
    const board = onBoards[at]!;
    const cuts = plan.cuts.filter((cut) => cut.board === board.number);
    return {
      board,
      cuts,
      ...onBench(<BoardRow board={board} cuts={cuts} longest={longest} label={tagOf} lit={lit} wide={640} uses={[]} />),
    };
  };

  test('is named with all its pieces, for those who do not see it', () => {
    const { board } = row(2);
    const name = screen.getByRole('img').getAttribute('aria-label')!;
    expect(name).toContain(`Board ${board.number}`);
    for (const piece of board.pieces) expect(name).toContain(tagOf(piece.blank.part.id));
  });

  test('is drawn to scale: pieces in order, none over another, a cut at the end of each', () => {
    for (let at = 0; at < onBoards.length; at++) {
      const { container, cuts, unmount } = row(at);
      const number = (element: Element, name: string) => Number(element.getAttribute(name));
      const woods = [...container.querySelectorAll('.wood')];
      const lines = [...container.querySelectorAll('.cut line')];
      expect(woods).toHaveLength(cuts.length);
      woods.forEach((wood, k) => {
        const end = number(wood, 'x') + number(wood, 'width');
        expect(number(lines[k]!, 'x1')).toBeCloseTo(end, 3);
        if (woods[k + 1]) expect(number(woods[k + 1]!, 'x')).toBeGreaterThan(end - 1e-6);
      });
      unmount();
    }
  });

  test('steps back where another setting is looked at', () => {
    const { container, cuts } = row(2, new Set([-1]));
    expect(container.querySelectorAll('.cut.dimmed')).toHaveLength(cuts.length);
  });

  test('tags that do not fit are left out of the drawing, never printed over a neighbour', () => {
    const { container } = row(onBoards.length - 1);
    for (const text of container.querySelectorAll('.piece-tag')) {
      const wood = text.parentElement!.querySelector('.wood')!;
      expect(Number(wood.getAttribute('width'))).toBeGreaterThan(text.textContent!.length * 7);
    }
  });
});

describe('a sheet', () => {
  test('is drawn to scale: every piece and every cut inside it, none over another', () => {
    for (const board of sheets) {
      const cuts = plan.cuts.filter((cut) => cut.board === board.number);
      const { container, unmount } = onBench(
        <SheetPlan board={board} cuts={cuts} label={tagOf} lit={null} wide={640} />,
      );
      const number = (element: Element, name: string) => Number(element.getAttribute(name));
      const frame = container.querySelector('.outline')!;
      const box = (element: Element) => ({
        left: number(element, 'x'),
        top: number(element, 'y'),
        right: number(element, 'x') + number(element, 'width'),
        bottom: number(element, 'y') + number(element, 'height'),
      });
      const outer = box(frame);
      const woods = [...container.querySelectorAll('.wood')].map(box);
      expect(woods).toHaveLength(board.pieces.length);
      woods.forEach((a, at) => {
        expect(a.left >= outer.left - 0.01 && a.right <= outer.right + 0.01).toBe(true);
        expect(a.top >= outer.top - 0.01 && a.bottom <= outer.bottom + 0.01).toBe(true);
        for (const b of woods.slice(at + 1))
          expect(
            a.right <= b.left + 0.01 ||
              b.right <= a.left + 0.01 ||
              a.bottom <= b.top + 0.01 ||
              b.bottom <= a.top + 0.01,
          ).toBe(true);
      });
      expect(container.querySelectorAll('.cut')).toHaveLength(board.cuts.length);
      expect(screen.getByRole('img').getAttribute('aria-label')).toContain(`Sheet ${board.number}`);
      unmount();
    }
    expect(sheets.length).toBeGreaterThan(2);
  });
});

describe('one part on paper', () => {
  test('shows its face and edge, its notches and its sizes', () => {
    const shelf = plan.parts.find((part) => part.tag === 'H1' && part.piece === 'glaze')!;
    const { container } = onBench(<PartSheet part={shelf} />);
    expect(container.querySelectorAll('.sheet-line.outline')).toHaveLength(2);
    expect(container.querySelectorAll('.sheet-line.through')).toHaveLength(4);
    expect([...container.querySelectorAll('text')].map((text) => text.textContent)).toEqual(['56 1/2', '25', '23/32']);
  });
});

describe('a picture of parts', () => {
  const { parts } = plan.pieces[0]!;
  const drawn = parts.map((part, at) => ({
    part,
    as: at < 2 ? ('new' as const) : at < 10 ? ('there' as const) : ('later' as const),
  }));

  test('draws every part: later ones first and dashed, the rest over them, tags for what is there', () => {
    const { container } = onBench(<PartPicture parts={drawn} tags label="step" />);
    expect(container.querySelectorAll('.new')).not.toHaveLength(0);
    expect(container.querySelectorAll('path.later')).toHaveLength(parts.length - 10);
    const order = [...container.querySelectorAll('g.solid, path.later')].map((element) =>
      element.classList.contains('later'),
    );
    expect(order.lastIndexOf(true)).toBeLessThan(order.indexOf(false));
    expect(container.querySelectorAll('.tag-flag')).toHaveLength(10);
  });

  test('tags never lie over each other', () => {
    const { container } = onBench(<PartPicture parts={drawn} tags label="step" />);
    const boxes = [...container.querySelectorAll('.tag-flag rect')].map((rect) => ({
      x: Number(rect.getAttribute('x')),
      y: Number(rect.getAttribute('y')),
    }));
    boxes.forEach((a, at) =>
      boxes.slice(at + 1).forEach((b) => expect(Math.abs(a.x - b.x) >= 34 || Math.abs(a.y - b.y) >= 24).toBe(true)),
    );
  });

  test('measures the outside, or the one part that matters', () => {
    const outside = onBench(<PartPicture parts={drawn} measure="outside" label="all" />);
    const words = [...outside.container.querySelectorAll('.dimension text')].map((text) => text.textContent);
    expect(words).toEqual(['64', '30 1/2', '36']);
    outside.unmount();
    const apron = parts.find((part) => part.tag === 'A1')!;
    const one = onBench(<PartPicture parts={drawn} measure={apron} label="one" />);
    expect(one.container.querySelector('.dimension text')!.textContent).toBe('51');
  });

  test('stays inside its frame whatever the piece', () => {
    for (const facts of plan.pieces) {
      const { container, unmount } = onBench(
        <PartPicture parts={facts.parts.map((part) => ({ part, as: 'there' as const }))} label="piece" />,
      );
      const [, , width, height] = container.querySelector('svg')!.getAttribute('viewBox')!.split(' ').map(Number);
      for (const face of container.querySelectorAll('path'))
        for (const point of face.getAttribute('d')!.match(/-?[\d.]+,-?[\d.]+/g)!) {
          const [x, y] = point.split(',').map(Number);
          expect(x! >= 0 && x! <= width! && y! >= 0 && y! <= height!).toBe(true);
        }
      unmount();
    }
    expect(plan.pieces.every(({ parts: all }) => all.map(boxOf).length > 9)).toBe(true);
  });
});
