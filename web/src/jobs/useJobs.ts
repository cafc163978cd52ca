import { useState } from 'react';
import { useNavigate } from 'react-router';
import { newJob, readJobText, type Job } from '@sill/core';
import type { JobSummary } from '@sill/core/contract';
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

/** A zip file begins with the letters PK, whatever it is called. */
const isZip = ([first, second]: Uint8Array): boolean => first === 0x50 && second === 0x4b;

/** Makes a job on the server and opens it. */
function useMake() {
  const navigate = useNavigate();
  const [makeJob] = useMakeJobMutation();
  const [yardsNow] = useLazyYardsQuery();
  const [shopsNow] = useLazyShopsQuery();
  const make = async (job: Job): Promise<void> => {
    const { id } = await makeJob({ body: { job } }).unwrap();
    void navigate(`/jobs/${id}/brief`);
  };
  /** A job starts with the prices and the shop that were last kept on the server. */
  const makeNew = async (name: string): Promise<void> => {
    const [yards, shops] = await Promise.all([yardsNow({}).unwrap(), shopsNow({}).unwrap()]);
    const fresh = newJob(name);
    const yard = (yards.find(({ id }) => id === fresh.yard.id) ?? yards[0])?.value ?? fresh.yard;
    const shop = shops.find((row) => row.id === USUAL_SHOP)?.value ?? fresh.shop;
    await make({ ...fresh, yard, shop });
  };
  return { make, makeNew };
}

/** The jobs there are, page by page, and what is done to them; what goes wrong is `problem`, and stands on the page. */
export function useJobs() {
  const listed = useJobsInfiniteQuery({ removed: false });
  const [told, setTold] = useState<string | null>(null);
  const [removed, setRemoved] = useState<JobSummary | null>(null);
  const [arrived, setArrived] = useState<string | null>(null);
  const { make, makeNew } = useMake();
  const [copyJob] = useCopyJobMutation();
  const [removeJob] = useRemoveJobMutation();
  const [restoreJob] = useRestoreJobMutation();

  const tell = ({ message }: { readonly message: string }) => setTold(message);
  const again = () => {
    setTold(null);
    return listed.refetch();
  };
  /** Does one thing on the server; what it says against it stands on the page. */
  const run = (work: Promise<unknown>) => work.then(() => setTold(null), tell);

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
    if (read.ok) await run(make(read.value));
    else setTold(`${read.message} Nothing was changed.`);
  };
  return {
    /** Null until the first page has come. */
    jobs: listed.data?.pages.flat() ?? null,
    problem: told ?? listed.error?.message ?? null,
    /** What was removed last, until it is brought back. */
    removed,
    /** What a file of several jobs brought. */
    arrived,
    hasMore: listed.hasNextPage,
    more: () => void listed.fetchNextPage(),
    again: () => void again(),
    tell,
    makeNew: (name: string) => void run(makeNew(name)),
    readFile: () => void readFile().catch(tell),
    copy: ({ id }: JobSummary) => void run(copyJob({ params: { id } }).unwrap()),
    remove: (job: JobSummary) =>
      void run(
        removeJob({ params: { id: job.id } })
          .unwrap()
          .then(() => setRemoved(job)),
      ),
    restore: (job: JobSummary) =>
      run(
        restoreJob({ params: { id: job.id } })
          .unwrap()
          .then(() => setRemoved(null)),
      ),
  };
}
