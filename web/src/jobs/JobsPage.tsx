import { Button, Dialog, DialogActions, DialogContent, DialogTitle, IconButton, TextField } from '@mui/material';
import { mdiContentCopy, mdiDeleteOutline } from '@mdi/js';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { Link } from 'react-router';
import { dayWords, savedBy, type JobRecord } from '@sill/core';
import type { JobSummary } from '@sill/core/contract';
import { Devices } from '../access/Devices';
import { useJobsInfiniteQuery, useRecordsQuery } from '../state/server';
import { spanWords } from '../words/days';
import { dollars } from '../words/money';
import { Icon } from '../ui/Icon';
import { Backups } from './Backups';
import { TakeAlong } from './TakeAlong';
import { useJobs } from './useJobs';
import './JobsPage.css';

/** All jobs: make one, open one, copy, remove and bring back. */
export function JobsPage() {
  const { jobs, problem, removed, arrived, hasMore, more, again, tell, makeNew, readFile, copy, remove, restore } =
    useJobs();
  const [shown, setShown] = useState(false);
  const [naming, setNaming] = useState<string | null>(null);

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
        <Button onClick={readFile}>Read a job file</Button>
        <Button component={Link} to="/record">
          Your record
        </Button>
      </div>
      {problem && (
        <p className="problem" role="alert">
          {problem}{' '}
          <Button size="small" onClick={again}>
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
      <JobRows jobs={jobs ?? []} onCopy={copy} onRemove={remove} />
      <div className="jobs-tools">
        {hasMore && <Button onClick={more}>Show more</Button>}
        {jobs && (
          <Button size="small" onClick={() => setShown(!shown)}>
            {shown ? 'Hide removed jobs' : 'Removed jobs'}
          </Button>
        )}
        <TakeAlong jobs={jobs ?? []} onTrouble={tell} />
        <Backups onBack={again} onTrouble={tell} />
        <Devices />
      </div>
      {shown && <RemovedJobs onBack={restore} />}
      <NewJob name={naming} onName={setNaming} onMake={makeNew} />
    </main>
  );
}

type RowsProps = {
  readonly jobs: readonly JobSummary[];
  readonly onCopy: (job: JobSummary) => void;
  readonly onRemove: (job: JobSummary) => void;
};

/** How a job stands that is begun: since when, or what it came to; null where nothing is recorded. */
function standing(record: JobRecord | undefined): string | null {
  if (!record || record.from === null) return null;
  const { closed, from, minutes } = record;
  const saved = savedBy(record);
  return closed
    ? `finished ${dayWords(closed.ready ?? from)}${saved !== null && saved > 0 ? `, ${dollars(saved)} saved` : ''}`
    : `under way since ${dayWords(from)}, ${spanWords(Math.round(minutes))}`;
}

function JobRows({ jobs, onCopy, onRemove }: RowsProps) {
  const { data: records = [] } = useRecordsQuery({});
  return (
    <ul className="jobs">
      {jobs.map((job) => (
        <li key={job.id}>
          <Link to={`/jobs/${job.id}/brief`}>
            <strong>{job.name}</strong>
            <span>{job.pieces.length === 0 ? 'nothing in it yet' : job.pieces.join(', ')}</span>
          </Link>
          <span className="soft">
            {standing(records.find(({ id }) => id === job.id)) ?? format(parseISO(job.savedAt), 'd MMM yyyy HH:mm')}
          </span>
          <IconButton aria-label={`Copy ${job.name}`} onClick={() => onCopy(job)}>
            <Icon path={mdiContentCopy} small />
          </IconButton>
          <IconButton aria-label={`Remove ${job.name}`} onClick={() => onRemove(job)}>
            <Icon path={mdiDeleteOutline} small />
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
