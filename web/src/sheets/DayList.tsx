import type { BenchCalendar, Session } from '@sill/core';
import { dayWords, SHORT_WAIT, stepOf } from '@sill/core';
import { useMemo, type ReactNode } from 'react';
import { useJob, usePlan } from '../state/hooks';
import { blocksOf, blockWords, clockWords, hoursWords, spanWords, waitWords } from '../words/days';
import { Text } from '../words/Dim';
import './DayList.css';

type Props = {
  readonly calendar: BenchCalendar;
  readonly sessions: readonly Session[];
  /** A box to tick by each, on paper. */
  readonly box?: ReactNode;
};

/** The number that each step has in the build of its piece, by its id. */
function useStepNumbers(): ReadonlyMap<string, number> {
  const plan = usePlan();
  return useMemo(
    () => new Map(plan?.pieces.flatMap(({ steps }) => steps.map(({ id }, at): [string, number] => [id, at + 1]))),
    [plan],
  );
}

/** Sessions one below the other with what is done in them, when, and what waits after: for a phone and for the wall. */
export function DayList({ calendar, sessions, box }: Props) {
  const { pieces, units } = useJob();
  const names = new Map(pieces.map(({ id, name }) => [id, name]));
  const numbers = useStepNumbers();
  const { zone } = calendar;
  const decides = new Set(calendar.chain.map(({ task }) => task));
  return (
    <ol className="day-list">
      {sessions.map(({ date, window, placed }) => (
        <li key={`${date} ${window.from}`}>
          <h2>
            {dayWords(date)} <small>{hoursWords(zone, window)}</small>
          </h2>
          <ul>
            {blocksOf(placed).map((block) => {
              const last = block.placed.at(-1);
              const piece = block.placed[0]?.task.piece ?? null;
              const begin = block.placed[0];
              const of = begin ? stepOf(begin.task) : '';
              const name = piece === null || pieces.length < 2 ? null : names.get(piece);
              return (
                <li
                  key={block.key}
                  data-kind={block.placed[0]?.task.kind}
                  data-decides={block.placed.some(({ task }) => decides.has(task.id))}
                >
                  {box}
                  <span className="day-time">{clockWords(zone, block.start)}</span>
                  <span>
                    <b>
                      <Text of={blockWords(block, units)} />
                    </b>
                    {name && <> · {name}</>}
                    {numbers.has(of) && `, step ${numbers.get(of)}`}, {spanWords(block.end - block.start)}
                    {block.placed.some(({ task }) => task.people > 1) && ', with help'}
                    {block.placed.some(({ late }) => late > 0) && ', sand first'}
                    {last && last.task.wait >= SHORT_WAIT && <small className="soft">{waitWords(last, zone)}</small>}
                  </span>
                </li>
              );
            })}
          </ul>
        </li>
      ))}
    </ol>
  );
}
