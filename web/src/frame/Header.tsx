import {
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  IconButton,
  ListItemIcon,
  Menu,
  MenuItem,
  Tab,
  Tabs,
} from '@mui/material';
import { mdiDotsVertical, mdiRedo, mdiUndo } from '@mdi/js';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { readJobText, type Job, set } from '@sill/core';
import { changed, redone, replaced, undone } from '../state/bench';
import { useApp, useFrom, useJob, usePiece } from '../state/hooks';
import { useCopyJobMutation } from '../state/server';
import { lookChosen, said } from '../state/view';
import { AddPiece } from '../stages/shared/AddPiece';
import { saveJob, textOfChosenFile } from '../platform/files';
import { Icon } from '../ui/Icon';
import { OlderDialog } from './OlderDialog';
import { useGo } from '../state/useGo';
import './Header.css';

function SavedState() {
  const { saving, savedAt, refusal, keptHere, job } = useFrom((state) => state.bench);
  const kept = keptHere
    ? 'Changes are kept in this browser and sent'
    : 'This browser has no room to keep changes: leave this page open. They are sent';
  const words = {
    saved: savedAt ? `Saved ${format(parseISO(savedAt), 'HH:mm')}` : 'Saved',
    waiting: 'Changed',
    saving: 'Saving',
    offline: refusal
      ? `The server can not save now: ${refusal} ${kept} again.`
      : `Offline. ${kept} when the server answers.`,
    refused: refusal ?? 'Not saved',
  }[saving];
  return (
    <span className="saved" data-state={saving} role="status">
      {words}
      {!keptHere && saving !== 'saved' && job && (
        <Button size="small" onClick={() => saveJob(job)}>
          Save it as a file
        </Button>
      )}
    </span>
  );
}

type Asking = 'add' | 'older' | 'remove';
type MenuProps = {
  readonly anchor: HTMLElement | null;
  readonly onClose: () => void;
  readonly onAsk: (what: Asking) => void;
  readonly onImport: () => void;
  readonly onCopy: () => void;
};

/** What is seldom wanted: files, copies, older saves, the other look. */
function JobMenu({ anchor, onClose, onAsk, onImport, onCopy }: MenuProps) {
  const job = useJob();
  const piece = usePiece();
  const look = useFrom((state) => state.view.look);
  const dispatch = useApp();
  const navigate = useNavigate();
  return (
    <Menu anchorEl={anchor} open={anchor !== null} onClick={onClose} onClose={onClose}>
      <MenuItem onClick={() => onAsk('add')}>Add a piece</MenuItem>
      {piece && <MenuItem onClick={() => onAsk('remove')}>Remove {piece.name}</MenuItem>}
      <MenuItem onClick={() => saveJob(job)}>Save job as a file</MenuItem>
      <MenuItem onClick={onImport}>Read a job file in its place</MenuItem>
      <MenuItem onClick={onCopy}>Copy this job</MenuItem>
      <MenuItem onClick={() => onAsk('older')}>Go back to an older save</MenuItem>
      <MenuItem onClick={() => dispatch(lookChosen(look === 'light' ? 'workshop' : 'light'))}>
        <ListItemIcon>{look === 'light' ? '◐' : '◑'}</ListItemIcon>
        {look === 'light' ? 'Workshop look (dark)' : 'Paper look (light)'}
      </MenuItem>
      <MenuItem onClick={() => void navigate('/')}>All jobs</MenuItem>
    </Menu>
  );
}

/** What is done with the job as a whole: another read in its place, a copy made and opened. */
function useWhole() {
  const id = useFrom((state) => state.bench.id);
  const dispatch = useApp();
  const navigate = useNavigate();
  const [copyJob] = useCopyJobMutation();
  const importJob = async () => {
    const text = await textOfChosenFile('.json,application/json');
    if (text === null) return;
    const read = readJobText(text);
    if (read.ok) dispatch(replaced(read.value));
    dispatch(
      said(
        read.ok
          ? { text: `Read “${read.value.name}” in place of this job. Undo brings it back.`, bad: false }
          : { text: `${read.message} Nothing was changed.`, bad: true },
      ),
    );
  };
  const copy = async () => {
    if (id === null) return;
    try {
      const made = await copyJob({ params: { id } }).unwrap();
      void navigate(`/jobs/${made.id}/brief`);
    } catch (error) {
      dispatch(said({ text: (error as Error).message, bad: true }));
    }
  };
  return { importJob: () => void importJob(), copy: () => void copy() };
}

/** One step back, one step on. */
function Steps() {
  const { past, future } = useFrom((state) => state.bench);
  const dispatch = useApp();
  return (
    <>
      <IconButton
        aria-label="Undo"
        title="Undo (Ctrl+Z)"
        disabled={past.length === 0}
        onClick={() => dispatch(undone())}
      >
        <Icon path={mdiUndo} />
      </IconButton>
      <IconButton
        aria-label="Redo"
        title="Redo (Ctrl+Y)"
        disabled={future.length === 0}
        onClick={() => dispatch(redone())}
      >
        <Icon path={mdiRedo} />
      </IconButton>
    </>
  );
}

/** Asks before the piece in view goes. */
function RemovePiece({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  const piece = usePiece();
  const dispatch = useApp();
  const remove = () => {
    onClose();
    if (!piece) return;
    dispatch(changed([set(null, ['pieces', piece.id], undefined)]));
    dispatch(said({ text: 'Piece removed. Undo brings it back.', bad: false }));
  };
  return (
    <Dialog open={open} onClose={onClose}>
      <DialogTitle>Remove {piece?.name}?</DialogTitle>
      <DialogContent>Its parts leave the buying list and the cuts. Undo brings it back.</DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Keep it</Button>
        <Button color="error" onClick={remove}>
          Remove
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** The job, its pieces as tabs, saved state, undo, units, print. */
export function Header() {
  const job = useJob();
  const piece = usePiece();
  const id = useFrom((state) => state.bench.id);
  const dispatch = useApp();
  const navigate = useNavigate();
  const [, setSearch] = useSearchParams();
  const { packet } = useGo();
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const [asking, setAsking] = useState<Asking | null>(null);
  const { importJob, copy } = useWhole();
  const select = (pieceId: string) =>
    setSearch((before) => ({ ...Object.fromEntries(before), piece: pieceId }), { replace: true });

  return (
    <header className="head">
      <Link to="/" className="job-name" title="All jobs">
        {job.name}
      </Link>
      <Tabs
        value={piece?.id ?? false}
        onChange={(_, value: string) => select(value)}
        variant="scrollable"
        scrollButtons={false}
        aria-label="Pieces"
        className="pieces"
      >
        {job.pieces.map((item) => (
          <Tab key={item.id} value={item.id} label={item.copies > 1 ? `${item.name} ×${item.copies}` : item.name} />
        ))}
      </Tabs>
      <Button className="add-piece" variant="text" color="primary" onClick={() => setAsking('add')}>
        + Add a piece
      </Button>
      <span className="grow" />
      <SavedState />
      <Steps />
      <Button
        className="units"
        aria-label={`Units: ${job.units === 'in' ? 'inches' : 'millimetres'}. Change`}
        onClick={() => dispatch(changed([set(null, ['units'], job.units === 'in' ? 'mm' : 'in')]))}
      >
        {job.units === 'in' ? 'in · mm' : 'mm · in'}
      </Button>
      <Button className="print" variant="contained" color="primary" onClick={() => void navigate(packet)}>
        Print shop packet
      </Button>
      <IconButton aria-label="More" aria-haspopup="menu" onClick={(event) => setMenu(event.currentTarget)}>
        <Icon path={mdiDotsVertical} />
      </IconButton>
      <JobMenu anchor={menu} onClose={() => setMenu(null)} onAsk={setAsking} onImport={importJob} onCopy={copy} />
      <AddPiece open={asking === 'add'} onClose={() => setAsking(null)} onAdded={select} />
      {asking === 'older' && id && (
        <OlderDialog
          id={id}
          job={job}
          onClose={() => setAsking(null)}
          onTake={(older: Job) => dispatch(replaced(older))}
        />
      )}
      <RemovePiece open={asking === 'remove'} onClose={() => setAsking(null)} />
    </header>
  );
}
