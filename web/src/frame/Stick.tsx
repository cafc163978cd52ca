import { useEffect, useRef } from 'react';
import { NavLink } from 'react-router';
import { usePlan, usePiece, useJob, useStage } from '../state/hooks';
import { notesOf } from '../state/notes';
import { STAGES } from '../stages/registry';
import { settledMark } from '../state/useSettle';
import { useGo } from '../state/useGo';
import './Stick.css';

/** The story stick: a notch a stage, a knife line where you are. */
export function Stick() {
  const job = useJob();
  const plan = usePlan();
  const piece = usePiece();
  const here = useStage();
  const { to } = useGo();
  const stick = useRef<HTMLElement>(null);
  // On a phone the stick is wider than the screen: keep the stage in view on it.
  useEffect(() => {
    const mark = stick.current?.querySelector<HTMLElement>('[data-here=true]');
    if (mark && stick.current) stick.current.scrollLeft = mark.offsetLeft - stick.current.clientWidth / 3;
  }, [here]);
  return (
    <nav className="stick" aria-label="Stages" ref={stick}>
      <ol>
        {STAGES.map(({ name, label }, at) => {
          const open = notesOf(plan, name, piece?.id ?? null).filter((note) => note.level !== 'good');
          const stops = open.some((note) => note.level === 'stop');
          const settled = job.done.includes(settledMark(name));
          const told = `${label}${settled ? ', settled' : ''}${open.length > 0 ? `, ${open.length} open ${open.length === 1 ? 'note' : 'notes'}` : ''}`;
          return (
            <li key={name} data-settled={settled} data-here={name === here}>
              <NavLink to={to(name)} aria-label={told} title={`${label} (key ${(at + 1) % 10})`}>
                <span className="notch" aria-hidden />
                <span className="stage">{label}</span>
                {open.length > 0 && (
                  <span className="count" data-stop={stops} aria-hidden>
                    {name === here ? `${open.length} ${open.length === 1 ? 'note' : 'notes'}` : open.length}
                  </span>
                )}
              </NavLink>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
