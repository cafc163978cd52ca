import { useDraggable } from '@dnd-kit/core';
import { Button, Popover } from '@mui/material';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { clockAt, dateOf, dayWords, stepOf, type BenchCalendar } from '@sill/core';
import { useJob, usePlan } from '../../state/hooks';
import { useGo } from '../../state/useGo';
import { Pick } from '../../ui/Pick';
import { blockWords, clockWords, hoursWords, spanWords, waitWords, type Block } from '../../words/days';
import { Text } from '../../words/Dim';
import { Words } from '../../words/Words';
import { useMoving } from './useMoving';

type Props = {
  readonly block: Block;
  readonly calendar: BenchCalendar;
  readonly decides: boolean;
};

/** Work as a piece of its day: dragged to another, or opened for what is in it. */
export function DayPiece({ block, calendar, decides }: Props) {
  const { pieces, units } = useJob();
  const { isMoved } = useMoving(calendar);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const begin = block.placed[0];
  const words = blockWords(block, units);
  const name = pieces.length > 1 ? pieces.find(({ id }) => id === begin?.task.piece)?.name : undefined;
  const told = `${words}${name ? `, ${name}` : ''}: ${clockWords(calendar.zone, block.start)}, ${spanWords(block.end - block.start)}${decides ? ', decides the day' : ''}${isMoved(block) ? ', moved here' : ''}`;
  return (
    <>
      <Plank block={block} told={told} decides={decides} moved={isMoved(block)} onOpen={setAnchor}>
        <svg className="day-grain" viewBox="0 0 100 40" preserveAspectRatio="none" aria-hidden>
          <path d="M3 11 q30 -3 50 0 t44 0 M3 31 q30 3 50 0 t44 0" vectorEffect="non-scaling-stroke" />
        </svg>
        <span className="day-title">
          <Text of={words} />
        </span>
        {name && <small>{name}</small>}
      </Plank>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        slotProps={{ paper: { className: 'explain', 'aria-label': words } }}
      >
        <Opened block={block} calendar={calendar} name={name ?? null} onClose={() => setAnchor(null)} />
      </Popover>
    </>
  );
}

type PlankProps = {
  readonly block: Block;
  readonly told: string;
  readonly decides: boolean;
  readonly moved: boolean;
  readonly onOpen: (at: HTMLElement) => void;
  readonly children: ReactNode;
};

/** What is taken hold of. It alone is drawn anew while another is dragged over a day: all of them hear of it. */
function Plank({ block, told, decides, moved, onOpen, children }: PlankProps) {
  const { setNodeRef, listeners, isDragging } = useDraggable({ id: block.key, data: { block } });
  return (
    <button
      ref={setNodeRef}
      type="button"
      className="day-piece"
      data-kind={block.placed[0]?.task.kind}
      data-decides={decides}
      data-moved={moved}
      data-dragging={isDragging}
      style={{ flexGrow: block.end - block.start }}
      aria-label={told}
      aria-haspopup="dialog"
      title={told}
      onClick={(event) => onOpen(event.currentTarget)}
      {...listeners}
    >
      {children}
    </button>
  );
}

/** The address of a step of a piece. */
function stepIn(build: string, piece: string, step: number): string {
  const [path, query] = build.split('?');
  const search = new URLSearchParams(query);
  search.set('piece', piece);
  search.set('step', String(step));
  return `${path}?${search.toString()}`;
}

type OpenedProps = {
  readonly block: Block;
  readonly calendar: BenchCalendar;
  readonly name: string | null;
  readonly onClose: () => void;
};

/** What is in a piece of a day: each go with its minutes and waits; another day for it. */
function Opened({ block, calendar, name, onClose }: OpenedProps) {
  const { units } = useJob();
  const plan = usePlan();
  const { to } = useGo();
  const { isMoved, move, letGo } = useMoving(calendar);
  const { zone } = calendar;
  const own = dateOf(clockAt(zone, block.start).day);
  const begin = block.placed[0];
  const step = plan?.pieces
    .flatMap((facts) => facts.steps.map(({ id, piece }, at) => ({ id, piece, at })))
    .find(({ id }) => begin && stepOf(begin.task) === id);
  const days = [...new Map(calendar.free.map((window) => [dateOf(clockAt(zone, window.from).day), window]))];
  return (
    <div className="day-opened">
      <h2>
        <Text of={blockWords(block, units)} />
      </h2>
      {name && <p className="soft">{name}</p>}
      <ul>
        {block.placed.map((one) => (
          <li key={one.task.id}>
            {clockWords(zone, one.start)} <Words of={one.task.title} piece={one.task.piece} />
            {one.task.part[1] > 1 && ` (${one.task.part[0]} of ${one.task.part[1]})`}, {spanWords(one.end - one.start)}
            {one.late > 0 && `, ${one.late} of them to sand what has hardened`}
            {one.over > 0 && `, and ${spanWords(one.over)} over`}
            {one.task.people > 1 && `, ${one.task.people} people for a moment`}
            {one.task.wait > 0 && `; ${waitWords(one, zone)}`}
          </li>
        ))}
      </ul>
      <div className="row wrap">
        <Pick
          label="On another day"
          value={own}
          options={days.map(([date, window]) => [date, `${dayWords(date)}, ${hoursWords(zone, window)}`])}
          onChange={(date) => {
            onClose();
            move(block, date);
          }}
        />
        {isMoved(block) && (
          <Button
            onClick={() => {
              onClose();
              letGo(block);
            }}
          >
            Back to where it is soonest
          </Button>
        )}
      </div>
      {step && (
        <p>
          <Link to={stepIn(to('build'), step.piece, step.at + 1)}>The step itself</Link>
        </p>
      )}
      {begin?.task.kind === 'saw' && (
        <p>
          <Link to={to('cuts')}>The cuts themselves</Link>
        </p>
      )}
    </div>
  );
}
