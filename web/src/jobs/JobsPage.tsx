import { Button, Dialog, DialogActions, DialogContent, DialogTitle, IconButton, TextField } from '@mui/material';
import DeleteOutline from '@mui/icons-material/DeleteOutlined';
import ContentCopy from '@mui/icons-material/ContentCopy';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { newJob, readJobText, type Job } from '@sill/core';
import type { JobSummary } from '@sill/core/contract';
import { Devices } from '../access/Devices';
import { chosenFile } from '../platform/files';
import {
  USUAL_SHOP,
  useCopyJobMutation,
  useJobsInfiniteQuery,
  useLazyShopsQuery,
  useLazyYardsQuery,
  useMakeJobMutation,
  useRemoveJobMutation,
  useRestoreJobMutation,
} from '../state/server';
import { Backups } from './Backups';
import { TakeAlong } from './TakeAlong';
import './JobsPage.css';

/** A zip file begins with the letters PK, whatever it is called. */
const isZip = ([first, second]: Uint8Array): boolean => first === 0x50 && second === 0x4b;

/** All jobs: make one, open one, copy, remove and bring back. */
export function JobsPage() {
  const navigate = useNavigate();
  const listed = useJobsInfiniteQuery({ removed: false });
  const jobs = listed.data?.pages.flat() ?? null;
  const [told, setTold] = useState<string | null>(null);
  const problem = told ?? listed.error?.message ?? null;
  const [removed, setRemoved] = useState<JobSummary | null>(null);
  const [shown, setShown] = useState(false);
  const [arrived, setArrived] = useState<string | null>(null);
  const [naming, setNaming] = useState<string | null>(null);
  const [makeJob] = useMakeJobMutation();
  const [copyJob] = useCopyJobMutation();
  const [removeJob] = useRemoveJobMutation();
  const [restoreJob] = useRestoreJobMutation();
  const [yardsNow] = useLazyYardsQuery();
  const [shopsNow] = useLazyShopsQuery();

  const tell = ({ message }: { readonly message: string }) => setTold(message);
  const again = () => {
    setTold(null);
    return listed.refetch();
  };
  /** Does one thing on the server; what it says against it stands on the page. */
  const run = (work: Promise<unknown>) => work.then(() => setTold(null), tell);

  const open = (id: string) => void navigate(`/jobs/${id}/brief`);
  const make = (job: Job) =>
    run(
      makeJob({ body: { job } })
        .unwrap()
        .then(({ id }) => open(id)),
    );
  /** A job starts with the prices and the shop that were last kept on the server. */
  const makeNew = async (name: string) => {
    const [yards, shops] = await Promise.all([yardsNow({}).unwrap(), shopsNow({}).unwrap()]);
    const fresh = newJob(name);
    const yard = (yards.find(({ id }) => id === fresh.yard.id) ?? yards[0])?.value ?? fresh.yard;
    const shop = shops.find((row) => row.id === USUAL_SHOP)?.value ?? fresh.shop;
    await make({ ...fresh, yard, shop });
  };
  const readFile = async () => {
    const file = await chosenFile('.json,.zip,application/json,application/zip');
    if (file === null) return;
    if (isZip(new Uint8Array(await file.slice(0, 2).arrayBuffer()))) {
      const { takeIn } = await import('./travel');
      const { says, problems } = await takeIn(file);
      setArrived(says);
      await again();
      if (problems.length > 0) setTold(`${problems.join(' ')} The rest came in.`);
      return;
    }
    const read = readJobText(await file.text());
    if (read.ok) await make(read.value);
    else setTold(`${read.message} Nothing was changed.`);
  };
  const remove = (job: JobSummary) =>
    run(
      removeJob({ params: { id: job.id } })
        .unwrap()
        .then(() => setRemoved(job)),
    );
  const restore = (job: JobSummary) =>
    run(
      restoreJob({ params: { id: job.id } })
        .unwrap()
        .then(() => setRemoved(null)),
    );

  return (
    <main className="jobs-page">
      <header>
        <h1>Sill Plan</h1>
        <p>Say what table you want. It works out the boards to buy, the cuts to make and the steps to build it.</p>
      </header>
      <div className="jobs-tools">
        <Button variant="contained" color="primary" onClick={() => setNaming('')}>
          New job
        </Button>
        <Button onClick={() => void readFile().catch(tell)}>Read a job file</Button>
      </div>
      {problem && (
        <p className="problem" role="alert">
          {problem}{' '}
          <Button size="small" onClick={() => void again()}>
            Try again
          </Button>
        </p>
      )}
      {arrived && (
        <p className="notice" role="status">
          {arrived}
        </p>
      )}
      {removed && (
        <p className="notice" role="status">
          Removed “{removed.name}”.{' '}
          <Button size="small" onClick={() => void restore(removed)}>
            Undo
          </Button>
        </p>
      )}
      {!jobs && !problem && <p role="status">Reading the jobs.</p>}
      {jobs?.length === 0 && <p className="empty">No jobs yet. Make one: it takes a name, a size and two minutes.</p>}
      <JobRows
        jobs={jobs ?? []}
        onCopy={({ id }) => void run(copyJob({ params: { id } }).unwrap())}
        onRemove={(job) => void remove(job)}
      />
      <div className="jobs-tools">
        {listed.hasNextPage && <Button onClick={() => void listed.fetchNextPage()}>Show more</Button>}
        {jobs && (
          <Button size="small" onClick={() => setShown(!shown)}>
            {shown ? 'Hide removed jobs' : 'Removed jobs'}
          </Button>
        )}
        <TakeAlong jobs={jobs ?? []} onTrouble={tell} />
        <Backups onBack={() => void again()} onTrouble={tell} />
        <Devices />
      </div>
      {shown && <RemovedJobs onBack={restore} />}
      <NewJob name={naming} onName={setNaming} onMake={(name) => void makeNew(name).catch(tell)} />
    </main>
  );
}

type RowsProps = {
  readonly jobs: readonly JobSummary[];
  readonly onCopy: (job: JobSummary) => void;
  readonly onRemove: (job: JobSummary) => void;
};

function JobRows({ jobs, onCopy, onRemove }: RowsProps) {
  return (
    <ul className="jobs">
      {jobs.map((job) => (
        <li key={job.id}>
          <Link to={`/jobs/${job.id}/brief`}>
            <strong>{job.name}</strong>
            <span>{job.pieces.length === 0 ? 'nothing in it yet' : job.pieces.join(', ')}</span>
          </Link>
          <span className="soft">{format(parseISO(job.savedAt), 'd MMM yyyy HH:mm')}</span>
          <IconButton aria-label={`Copy ${job.name}`} onClick={() => onCopy(job)}>
            <ContentCopy fontSize="small" />
          </IconButton>
          <IconButton aria-label={`Remove ${job.name}`} onClick={() => onRemove(job)}>
            <DeleteOutline fontSize="small" />
          </IconButton>
        </li>
      ))}
    </ul>
  );
}

type NewJobProps = {
  /** Null where none is being made. */
  readonly name: string | null;
  readonly onName: (name: string | null) => void;
  readonly onMake: (name: string) => void;
};

function NewJob({ name, onName, onMake }: NewJobProps) {
  return (
    <Dialog open={name !== null} onClose={() => onName(null)} fullWidth maxWidth="xs">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          const given = name?.trim();
          if (given) onMake(given);
        }}
      >
        <DialogTitle>New job</DialogTitle>
        <DialogContent>
          <TextField
            autoFocus
            margin="dense"
            label="Name of the job"
            value={name ?? ''}
            onChange={(event) => onName(event.target.value.slice(0, 120))}
            helperText="A room or a shop, such as Pottery room"
          />
        </DialogContent>
        <DialogActions>
          <Button onClick={() => onName(null)}>Close</Button>
          <Button type="submit" variant="contained" color="primary" disabled={!name?.trim()}>
            Make it
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}

/** Jobs that were removed, each to be brought back. */
function RemovedJobs({ onBack }: { readonly onBack: (job: JobSummary) => Promise<void> }) {
  const { data, error, hasNextPage, fetchNextPage } = useJobsInfiniteQuery({ removed: true });
  const gone = data?.pages.flat();
  if (error) return <p role="alert">{error.message}</p>;
  if (!gone) return <p role="status">Reading the removed jobs.</p>;
  if (gone.length === 0) return <p className="empty">No job was removed.</p>;
  return (
    <>
      <ul className="jobs" aria-label="Removed jobs">
        {gone.map((job) => (
          <li key={job.id}>
            <span>
              <strong>{job.name}</strong> <span className="soft">{job.pieces.join(', ')}</span>
            </span>
            <span className="soft">{format(parseISO(job.savedAt), 'd MMM yyyy HH:mm')}</span>
            <Button size="small" onClick={() => void onBack(job)}>
              Bring back
            </Button>
          </li>
        ))}
      </ul>
      {hasNextPage && <Button onClick={() => void fetchNextPage()}>Show more removed jobs</Button>}
    </>
  );
}
