import { sure } from '@sill/core';
import { Badge, Button, Drawer, useMediaQuery } from '@mui/material';
import { useDeferredValue, useEffect, useState } from 'react';
import { Navigate, Outlet, useParams } from 'react-router';
import { closed, redone, undone } from '../state/bench';
import { useApp, useFrom, useNotes } from '../state/hooks';
import { openJob } from '../state/opening';
import { ConflictDialog } from './ConflictDialog';
import { Header } from './Header';
import { Margin } from './Margin';
import { Sill } from './Sill';
import { STAGES, stageOf } from '../stages/registry';
import { Stick } from './Stick';
import { useGo } from '../state/useGo';
import './Frame.css';

/** Opens the job of the address, and closes it when it is left. */
function useOpenJob(id: string) {
  const dispatch = useApp();
  const [problem, setProblem] = useState<string | null>(null);
  const [again, setAgain] = useState(0);
  useEffect(() => {
    const left = new AbortController();
    void dispatch(openJob(id, left.signal)).then((found) => !left.signal.aborted && setProblem(found));
    return () => {
      left.abort();
      dispatch(closed());
    };
  }, [id, dispatch, again]);
  return {
    problem,
    retry: () => {
      setProblem(null);
      setAgain((count) => count + 1);
    },
  };
}

/** Keys from 1 go to stages; Ctrl+Z and Ctrl+Y go back and forth. Not while typing. */
function useKeys() {
  const dispatch = useApp();
  const { go } = useGo();
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLElement &&
        event.target.closest('input:not([type=radio]):not([type=checkbox]), textarea, [role=dialog], [role=menu]');
      const control = event.ctrlKey || event.metaKey;
      if (control && !typing && (event.key === 'z' || event.key === 'Z')) {
        event.preventDefault();
        dispatch(event.shiftKey ? redone() : undone());
      } else if (control && !typing && event.key === 'y') {
        event.preventDefault();
        dispatch(redone());
      } else if (!control && !event.altKey && !typing) {
        // The tenth is on 0.
        const stage = /^\d$/.test(event.key) ? STAGES[(Number(event.key) + 9) % 10] : undefined;
        if (stage) go(stage.name);
      }
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [dispatch, go]);
}

/** Stick, margin and sill around the stage in view. */
export function StageFrame() {
  const { stage } = useParams();
  const notes = useNotes();
  const [drawer, setDrawer] = useState(false);
  const narrow = useMediaQuery('(max-width: 899px)');
  useKeys();
  // The frame first, what it holds in the next turn: each is laid out on its own.
  const filled = useDeferredValue(true, false);
  if (!stageOf(stage)) return <Navigate to="../brief" replace relative="path" />;
  const open = notes.filter((note) => note.level !== 'good').length;
  return (
    <div className="frame">
      <a className="skip" href="#stage">
        To the stage
      </a>
      <Header />
      <Stick />
      <main id="stage" tabIndex={0}>
        {narrow && (
          <Badge badgeContent={open} color="warning" className="notes-button">
            <Button onClick={() => setDrawer(true)} aria-haspopup="dialog">
              Notes
            </Button>
          </Badge>
        )}
        {filled && <Outlet />}
      </main>
      {narrow ? (
        <Drawer anchor="right" open={drawer} onClose={() => setDrawer(false)}>
          <div className="drawer">
            <Button onClick={() => setDrawer(false)}>Close</Button>
            <Margin />
          </div>
        </Drawer>
      ) : (
        <Margin />
      )}
      <Sill />
      <ConflictDialog />
    </div>
  );
}

/** Loads the job once for all its screens, the packet among them. */
export function JobGate() {
  const id = sure(useParams()['id'], 'job in the address');
  const { problem, retry } = useOpenJob(id);
  const ready = useFrom((state) => state.bench.job !== null && state.bench.id === id);
  // A whole frame at once is the most this program ever draws: put off, it is drawn in turns with what else there is.
  const drawn = useDeferredValue(ready, false);
  if (problem)
    return (
      <div className="blank-page" role="alert">
        <h1>{problem}</h1>
        <Button onClick={retry}>Try again</Button> <Button href="/">All jobs</Button>
      </div>
    );
  if (!ready || !drawn)
    return (
      <div className="blank-page" role="status">
        <p>Opening the job.</p>
      </div>
    );
  return <Outlet />;
}
