import { DndContext, DragOverlay, MeasuringStrategy, useDroppable } from '@dnd-kit/core';
import { Fragment, useMemo, useState, type ReactNode } from 'react';
import { clockAt, dateOf, dayWords, type BenchCalendar, type Session, type Window } from '@sill/core';
import { useJob } from '../../state/hooks';
import { SCROLLING, useDragSensors } from '../../ui/dragging';
import { blocksOf, blockWords, hoursWords, waitWords, type Block } from '../../words/days';
import { DayPiece } from './DayPiece';
import { useMoving } from './useMoving';
import './DayBoards.css';

type Row = { readonly date: string; readonly window: Window; readonly session: Session | null };

/** Waits shown below a board: the rest is in the list. */
const MOST_WAITS = 3;
const SHOWN_WAIT = 15;
/** What is written of a wait that begins after this share of a board ends where the board does. */
const LATE = 0.6;

/** Time in order: with work, and free until it is ready. */
function rowsOf({ zone, free, sessions, ready }: BenchCalendar): readonly Row[] {
  const byStart = new Map(sessions.map((session) => [session.window.from, session]));
  return free
    .map((window) => ({
      date: dateOf(clockAt(zone, window.from).day),
      window,
      session: byStart.get(window.from) ?? null,
    }))
    .filter(({ date, session }) => session !== null || (ready !== null && date <= ready));
}

/**
 * Days as boards: as long as the hours there are, work as pieces of them, what only waits dashed below. While a piece
 * is held they stand as they were when it was taken: days laid out better meanwhile would move under it.
 */
export function DayBoards({ calendar: latest, all }: { readonly calendar: BenchCalendar; readonly all: boolean }) {
  const { units } = useJob();
  const [held, setHeld] = useState<{ readonly block: Block; readonly calendar: BenchCalendar } | null>(null);
  const calendar = held?.calendar ?? latest;
  const { move } = useMoving(calendar);
  const rows = useMemo(() => rowsOf(calendar), [calendar]);
  const longest = Math.max(60, ...rows.map(({ window }) => window.to - window.from));
  const decides = useMemo(() => new Set(calendar.chain.map(({ task }) => task)), [calendar]);
  const sensors = useDragSensors();
  return (
    <DndContext
      sensors={sensors}
      autoScroll={SCROLLING}
      // Free time comes into view once a piece is held: where things lie is looked at again.
      measuring={{ droppable: { strategy: MeasuringStrategy.Always } }}
      onDragStart={({ active }) =>
        setHeld({ block: (active.data.current as { readonly block: Block }).block, calendar })
      }
      onDragCancel={() => setHeld(null)}
      onDragEnd={({ over }) => {
        setHeld(null);
        if (held !== null && over) move(held.block, String(over.data.current?.date));
      }}
    >
      <ol className="days" data-held={held !== null}>
        {rows
          .filter(({ session }) => all || held !== null || session !== null)
          .map((row) => (
            <DayRow key={row.window.from} row={row} calendar={calendar} longest={longest} decides={decides} />
          ))}
      </ol>
      <DragOverlay dropAnimation={null}>
        {held && <span className="held-block">{blockWords(held.block, units)}</span>}
      </DragOverlay>
    </DndContext>
  );
}

type RowProps = {
  readonly row: Row;
  readonly calendar: BenchCalendar;
  readonly longest: number;
  readonly decides: ReadonlySet<string>;
};

function DayRow({ row: { date, window, session }, calendar, longest, decides }: RowProps) {
  const { zone, now } = calendar;
  const long = window.to - window.from;
  const blocks = session ? blocksOf(session.placed) : [];
  const waits = blocks
    .flatMap(({ placed }) => placed.at(-1) ?? [])
    .filter(({ task }) => task.wait >= SHOWN_WAIT)
    .sort((a, b) => Number(decides.has(b.task.id)) - Number(decides.has(a.task.id)) || b.task.wait - a.task.wait);
  const isNow = window.from <= now && now < window.to;
  const at = (minute: number) => `${(100 * (minute - window.from)) / long}%`;
  return (
    <li className="day" data-free={session === null}>
      <div className="day-name">
        <b>{dayWords(date)}</b>
        <small>{hoursWords(zone, window)}</small>
      </div>
      <div className="day-room">
        <DropDay date={date} from={window.from} share={long / longest}>
          {blocks.map((block, k) => (
            <Fragment key={block.key}>
              <Gap minutes={block.start - (blocks[k - 1]?.end ?? window.from)} />
              <DayPiece
                block={block}
                calendar={calendar}
                decides={block.placed.some(({ task }) => decides.has(task.id))}
              />
            </Fragment>
          ))}
          {session !== null && <Gap minutes={window.to - (blocks.at(-1)?.end ?? window.from)} />}
          {session === null && <span className="day-free">free</span>}
          {isNow && <span className="day-now" style={{ left: at(now) }} aria-label="Now" />}
        </DropDay>
        {waits.slice(0, MOST_WAITS).map((one) => (
          <div key={one.task.id} className="day-wait" style={{ width: `${(100 * long) / longest}%` }}>
            <span className="day-line" style={{ left: at(one.end), right: rest(one.end + one.task.wait, window) }} />
            {one.end - window.from < LATE * long ? (
              <span className="day-words" style={{ left: at(one.end) }}>
                {waitWords(one, zone)}
              </span>
            ) : (
              <span className="day-words" style={{ right: 0 }}>
                {waitWords(one, zone)}
              </span>
            )}
          </div>
        ))}
        {waits.length > MOST_WAITS && <p className="soft day-more">and {waits.length - MOST_WAITS} more waits</p>}
      </div>
    </li>
  );
}

/** Time between pieces. */
const Gap = ({ minutes }: { readonly minutes: number }) =>
  minutes > 0 ? <span style={{ flexGrow: minutes }} aria-hidden /> : null;

/** How far before the end of a window something ends, where it does. */
const rest = (end: number, { from, to }: Window): string => `${Math.max(0, (100 * (to - end)) / (to - from))}%`;

type DropProps = {
  readonly date: string;
  readonly from: number;
  readonly share: number;
  readonly children: ReactNode;
};

/** Where work can be laid down. */
function DropDay({ date, from, share, children }: DropProps) {
  const { setNodeRef, isOver } = useDroppable({ id: `day-${from}`, data: { date } });
  return (
    <div ref={setNodeRef} className="day-track" data-over={isOver} style={{ width: `${100 * share}%` }}>
      {children}
    </div>
  );
}
