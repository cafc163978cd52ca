import { Button } from '@mui/material';
import { useLocation, useRouteError } from 'react-router';
import { useFrom } from '../state/hooks';
import { saveJob } from '../platform/files';

/** Pages are loaded when they are first opened: without the server, or under a renewed one, they are not there. */
const isMissingPage = (error: unknown): boolean =>
  error instanceof Error && /dynamically imported module|module script|Importing a module/i.test(error.message);

/** What stands in place of a page that failed: what happened, that nothing is lost, and the ways on. */
export function Trouble() {
  const error = useRouteError();
  const job = useFrom((state) => state.bench.job);
  const { pathname } = useLocation();
  const own = /^\/jobs\/[^/]+/.exec(pathname)?.[0];
  const missing = isMissingPage(error);
  return (
    <div className="blank-page" role="alert">
      <h1>{missing ? 'This page could not be loaded' : 'This page ran into a fault of the program'}</h1>
      {missing ? (
        <p>
          The server may be away, or it was renewed since this tab was opened. Load the page again once it answers. What
          you did is kept.
        </p>
      ) : (
        <p>
          It says: “{error instanceof Error ? error.message : String(error)}”. Your job is not changed by it. Another
          stage may open all the same.
        </p>
      )}
      <Button variant="contained" color="primary" onClick={() => window.location.reload()}>
        Load the page again
      </Button>{' '}
      {own && <Button href={`${own}/brief`}>To the brief</Button>} <Button href="/">All jobs</Button>{' '}
      {job && <Button onClick={() => saveJob(job)}>Save the job as a file</Button>}
    </div>
  );
}
