import { Button, Dialog, DialogActions, DialogContent, DialogTitle, IconButton, TextField } from '@mui/material';
import DeleteOutline from '@mui/icons-material/DeleteOutlined';
import ContentCopy from '@mui/icons-material/ContentCopy';
import { format, parseISO } from 'date-fns';
import { useCallback, useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { newJob, readJobText } from '@sill/core';
import { Devices } from '../access/Devices';
import { api, JOBS_PAGE, USUAL_SHOP, type JobSummary } from '../platform/api';
import { chosenFile } from '../platform/files';
import { Backups } from './Backups';
import { TakeAlong } from './TakeAlong';

/** A zip file begins with the letters PK, whatever it is called. */
const isZip = ([first, second]: Uint8Array): boolean => first === 0x50 && second === 0x4b;

/** All jobs: make one, open one, copy, remove and bring back. */
export function JobsPage() {
  const navigate = useNavigate();
  const [jobs, setJobs] = useState<readonly JobSummary[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [more, setMore] = useState(false);
  const [removed, setRemoved] = useState<JobSummary | null>(null);
  const [gone, setGone] = useState<readonly JobSummary[] | null>(null);
  const [arrived, setArrived] = useState<string | null>(null);
  const [naming, setNaming] = useState<string | null>(null);

  const tell = useCallback((error: Error) => setProblem(error.message), []);
  const list = useCallback(
    () =>
      api.jobs().then((rows) => {
        setJobs(rows);
        setMore(rows.length >= JOBS_PAGE);
        setProblem(null);
      }, tell),
    [tell],
  );
  const further = (shown: readonly JobSummary[]) =>
    api.jobs(false, shown.at(-1)).then((rows) => {
      setJobs([...shown, ...rows]);
      setMore(rows.length >= JOBS_PAGE);
    }, tell);
  useEffect(() => void list(), [list]);

  const open = (id: string) => void navigate(`/jobs/${id}/brief`);
  /** A job starts with the prices and the shop that were last kept on the server. */
  const make = async () => {
    const name = naming?.trim();
    if (!name) return;
    try {
      const [yards, shops] = await Promise.all([api.yards.all(), api.shops.all()]);
      const fresh = newJob(name);
      const yard = (yards.find(({ id }) => id === fresh.yard.id) ?? yards[0])?.value ?? fresh.yard;
      const shop = shops.find((row) => row.id === USUAL_SHOP)?.value ?? fresh.shop;
      open((await api.make({ ...fresh, yard, shop })).id);
    } catch (error) {
      tell(error as Error);
    }
  };
  const readFile = async () => {
    const file = await chosenFile('.json,.zip,application/json,application/zip');
    if (file === null) return;
    if (isZip(new Uint8Array(await file.slice(0, 2).arrayBuffer()))) {
      const { takeIn } = await import('./travel');
      await takeIn(file).then(({ says, problems }) => {
        setArrived(says);
        return list().then(() => setProblem(problems.length > 0 ? `${problems.join(' ')} The rest came in.` : null));
      }, tell);
      return;
    }
    const read = readJobText(await file.text());
    if (read.ok) api.make(read.value).then(({ id }) => open(id), tell);
    else setProblem(`${read.message} Nothing was changed.`);
  };
  const remove = (job: JobSummary) =>
    api
      .remove(job.id)
      .then(() => {
        setRemoved(job);
        return list();
      })
      .catch(tell);
  const restore = (job: JobSummary) =>
    api
      .restore(job.id)
      .then(() => {
        setRemoved(null);
        setGone((rows) => rows?.filter(({ id }) => id !== job.id) ?? null);
        return list();
      })
      .catch(tell);

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
        <Button onClick={() => void readFile()}>Read a job file</Button>
      </div>
      {problem && (
        <p className="problem" role="alert">
          {problem}{' '}
          <Button size="small" onClick={() => void list()}>
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
      <ul className="jobs">
        {jobs?.map((job) => (
          <li key={job.id}>
            <Link to={`/jobs/${job.id}/brief`}>
              <strong>{job.name}</strong>
              <span>{job.pieces.length === 0 ? 'nothing in it yet' : job.pieces.join(', ')}</span>
            </Link>
            <span className="soft">{format(parseISO(job.savedAt), 'd MMM yyyy HH:mm')}</span>
            <IconButton aria-label={`Copy ${job.name}`} onClick={() => void api.copy(job.id).then(list, tell)}>
              <ContentCopy fontSize="small" />
            </IconButton>
            <IconButton aria-label={`Remove ${job.name}`} onClick={() => void remove(job)}>
              <DeleteOutline fontSize="small" />
            </IconButton>
          </li>
        ))}
      </ul>
      <div className="jobs-tools">
        {more && jobs && <Button onClick={() => void further(jobs)}>Show more</Button>}
        {jobs && (
          <Button size="small" onClick={() => (gone ? setGone(null) : void api.jobs(true).then(setGone, tell))}>
            {gone ? 'Hide removed jobs' : 'Removed jobs'}
          </Button>
        )}
        <TakeAlong jobs={jobs ?? []} onTrouble={tell} />
        <Backups onBack={() => void list()} onTrouble={tell} />
        <Devices />
      </div>
      {gone?.length === 0 && <p className="empty">No job was removed.</p>}
      {gone && gone.length > 0 && (
        <ul className="jobs" aria-label="Removed jobs">
          {gone.map((job) => (
            <li key={job.id}>
              <span>
                <strong>{job.name}</strong> <span className="soft">{job.pieces.join(', ')}</span>
              </span>
              <span className="soft">{format(parseISO(job.savedAt), 'd MMM yyyy HH:mm')}</span>
              <Button size="small" onClick={() => void restore(job)}>
                Bring back
              </Button>
            </li>
          ))}
        </ul>
      )}
      <Dialog open={naming !== null} onClose={() => setNaming(null)} fullWidth maxWidth="xs">
        <form
          onSubmit={(event) => {
            event.preventDefault();
            void make();
          }}
        >
          <DialogTitle>New job</DialogTitle>
          <DialogContent>
            <TextField
              autoFocus
              margin="dense"
              label="Name of the job"
              value={naming ?? ''}
              onChange={(event) => setNaming(event.target.value.slice(0, 120))}
              helperText="A room or a shop, such as Pottery room"
            />
          </DialogContent>
          <DialogActions>
            <Button onClick={() => setNaming(null)}>Close</Button>
            <Button type="submit" variant="contained" color="primary" disabled={!naming?.trim()}>
              Make it
            </Button>
          </DialogActions>
        </form>
      </Dialog>
    </main>
  );
}
