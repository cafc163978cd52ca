/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import fc from 'fast-check';
import { demoJob, inches, kerfFor, parseLength, SHORT_WAIT, type Length } from '@sill/core';
import { runs } from '../../../core/src/testing/runs';
import { onBench, planOnce } from '../testing/bench';
import { Boards } from './Boards';
import { DayList } from './DayList';
import { Spacers } from './Spacers';
import { StoreCuts, storeCutLetters } from './StoreCuts';

const job = demoJob();
const plan = planOnce(job);

const lengthIn = (text: string): Length => {
  const read = parseLength(text, 'in');
  if (!read.ok) throw new Error(`${text}: ${read.message}`);
  return read.length;
};

afterEach(() => document.body.replaceChildren());

describe('boards as they are cut', () => {
  const all = plan.buying.boards;

  test('only those that are asked for, each with what can be done with it', () => {
    const few = all.slice(1, 4).map(({ number }) => number);
    onBench(
      <Boards
        plan={plan}
        lit={null}
        only={new Set(few)}
        tools={({ number }) => <button>board {number} again</button>}
      />,
    );
    expect(screen.getAllByRole('button', { name: /again$/ }).map((one) => one.textContent)).toEqual(
      few.map((number) => `board ${number} again`),
    );
  });

  test('hooked, the tape reads on from cut to cut with the saw’s width between; step by step it reads each piece', () => {
    const lanes = all.filter(
      ({ number, cuts, pieces }) =>
        pieces.length > 2 &&
        cuts.every(({ kind, angle }) => kind === 'crosscut' && angle === 0) &&
        plan.cuts.every(({ board, setting }) => board !== number || setting === null),
    );
    expect(lanes.length).toBeGreaterThan(0);
    const only = new Set(lanes.map(({ number }) => number));
    const read = (tape: 'hooked' | 'steps') => {
      document.body.replaceChildren();
      onBench(<Boards plan={plan} lit={null} only={only} tape={tape} />);
      return [...document.querySelectorAll('.tape-line')].map((line) =>
        [...line.querySelectorAll('.tape-mark')].map((mark) =>
          lengthIn(mark.textContent.replace(mark.querySelector('small')!.textContent, '')),
        ),
      );
    };
    const [hooked, steps] = [read('hooked'), read('steps')];
    const kerf = kerfFor(job.shop, 'board');
    expect(hooked).toHaveLength(lanes.length);
    hooked.forEach((marks, at) => {
      const own = steps[at]!;
      expect(marks[0]).toBe(own[0]);
      for (let k = 1; k < marks.length; k++)
        expect(Math.abs(marks[k]! - marks[k - 1]! - own[k]! - kerf)).toBeLessThanOrEqual(inches(1 / 32));
    });
  });

  test('without a tape there are no readings', () => {
    onBench(<Boards plan={plan} lit={null} only={new Set([all[0]!.number])} />);
    expect(document.querySelector('.tape-line')).toBeNull();
  });

  test('larger than the page it says that it is scrolled', () => {
    onBench(<Boards plan={plan} lit={null} only={new Set([all[0]!.number])} zoom={2} />);
    expect(document.querySelector('.boards')!.getAttribute('data-zoomed')).toBe('true');
  });
});

describe('where the store cuts', () => {
  test('nothing where no board is longer than the car; where it can not be cut, that', () => {
    const { container } = onBench(<StoreCuts of={[]} />);
    expect(container.textContent).toBe('');
    document.body.replaceChildren();
    expect(onBench(<StoreCuts of={[null]} />).container.textContent).toBe(' · longer than the car');
  });

  test('the cuts of all its boards, and never more letters than paper is kept for', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.integer({ min: 6, max: 191 }), { minLength: 1, maxLength: 3 }), { maxLength: 5 }),
        (at) => {
          document.body.replaceChildren();
          const of = at.map((row) => row.map((one) => inches(one)));
          const { container } = onBench(<StoreCuts of={of} />);
          const text = container.textContent;
          expect([...text.matchAll(/\d+/g)].map(([one]) => Number(one))).toEqual(at.flat());
          expect(text.length).toBeLessThanOrEqual(storeCutLetters(of));
        },
      ),
      runs(40),
    );
  });
});

test('each spacer of a step with how many and from what; what no offcut is thick enough for, from scrap', () => {
  const wants = plan.pieces.flatMap(({ steps }) => steps).filter(({ spacers }) => spacers.length > 0);
  expect(wants.length).toBeGreaterThan(0);
  for (const step of wants) {
    document.body.replaceChildren();
    onBench(<Spacers step={step} />);
    const told = [...document.querySelectorAll('.spacers')].map((one) => one.textContent);
    expect(told).toHaveLength(step.spacers.length);
    told.forEach((text, at) => {
      const { count, thickness } = step.spacers[at]!;
      const [, many, thick] =
        /^Cut (a spacer|\d+ spacers) (.*?)″ thick from (the .*″ offcut of board \d+|any scrap)\.$/.exec(text)!;
      expect([many, lengthIn(thick!)]).toEqual([count === 1 ? 'a spacer' : `${count} spacers`, thickness]);
    });
  }
});

describe('days as a list', () => {
  const { calendar } = plan;
  const sessions = calendar.sessions.slice(0, 6);
  const shown = (of = job) =>
    onBench(<DayList calendar={planOnce(of).calendar} sessions={planOnce(of).calendar.sessions.slice(0, 6)} />, {
      job: of,
    });

  test('each session under its day; what is done in it follows in time and names its piece', () => {
    shown();
    const days = [...document.querySelectorAll<HTMLElement>('.day-list > li')];
    expect(days).toHaveLength(sessions.length);
    days.forEach((day, at) => {
      const rows = within(day).getAllByRole('listitem');
      const times = rows.map((row) => {
        const [hour, minute] = row.querySelector('.day-time')!.textContent.split(':').map(Number);
        return hour! * 60 + minute!;
      });
      expect([...times].sort((a, b) => a - b)).toEqual(times);
      const named = new Set(sessions[at]!.placed.flatMap(({ task }) => (task.piece === null ? [] : [task.piece])));
      for (const id of named) expect(day.textContent).toContain(job.pieces.find((piece) => piece.id === id)!.name);
    });
  });

  test('a job of one piece names none; what takes two and what waits long says so', () => {
    const alone = { ...job, pieces: job.pieces.slice(0, 1) };
    shown(alone);
    const told = document.body.textContent;
    expect(told).not.toContain(`· ${alone.pieces[0]!.name}`);
    const first = planOnce(alone).calendar.sessions.slice(0, 6);
    const tasks = first.flatMap(({ placed }) => placed.map(({ task }) => task));
    expect(told.includes(', with help')).toBe(tasks.some(({ people }) => people > 1));
    expect(document.querySelectorAll('.day-list small.soft').length > 0).toBe(
      tasks.some(({ wait }) => wait >= SHORT_WAIT),
    );
  });

  test('on paper there is a box before each', () => {
    onBench(<DayList calendar={calendar} sessions={sessions} box={<i className="box" />} />);
    const rows = document.querySelectorAll('.day-list > li > ul > li');
    expect(document.querySelectorAll('.box')).toHaveLength(rows.length);
  });
});
