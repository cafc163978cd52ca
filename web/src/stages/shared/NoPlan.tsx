import { Button } from '@mui/material';
import { undone } from '../../state/bench';
import { useApp, useFrom } from '../../state/hooks';
import { planAgain } from '../../state/replanning';
import { saveJob } from '../../platform/files';

/** What stands where a plan will be: it is on its way, was stopped, or could not be worked out; each with a way on. */
export function NoPlan() {
  const { failed, halted } = useFrom((state) => state.planning);
  const { job, past } = useFrom((state) => state.bench);
  const dispatch = useApp();
  if (failed === null && !halted) return <p role="status">Working out the plan.</p>;
  return (
    <section className="empty" role="alert">
      <h2>{failed === null ? 'The plan was stopped' : 'The plan could not be worked out'}</h2>
      {failed !== null && <p>{failed}</p>}
      <p>Your job is kept as you left it: only what follows from it is missing.</p>
      <Button variant="contained" color="primary" onClick={() => dispatch(planAgain())}>
        Work it out again
      </Button>{' '}
      {past.length > 0 && <Button onClick={() => dispatch(undone())}>Undo the last change</Button>}{' '}
      {job && <Button onClick={() => saveJob(job)}>Save the job as a file</Button>}
    </section>
  );
}
