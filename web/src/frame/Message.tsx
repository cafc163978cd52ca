import { Alert, Snackbar } from '@mui/material';
import type { Plan } from '@sill/core';
import { useApp, useFrom } from '../state/hooks';
import { useSavings } from '../state/useSavings';
import { said } from '../state/view';
import { SavingRow } from '../stages/shared/SavingRow';
import './Message.css';

/** Other ways shown at most. */
const SHOWN = 3;

/** Once something happened that makes it dearer: small changes that make it cheaper again, each tried and priced. */
function OtherWays({ plan }: { readonly plan: Plan }) {
  const dispatch = useApp();
  const { found: so, state } = useSavings(plan, true);
  if (state === 'failed') return null;
  if (state !== 'done' && so.found.length === 0) return <p className="other-ways">Looking for what would cost less.</p>;
  if (so.found.length === 0) return <p className="other-ways">No small change makes it cheaper.</p>;
  return (
    <div className="other-ways">
      Or, each worked out for the whole job:
      <ul>
        {so.found.slice(0, SHOWN).map((saving) => (
          <SavingRow key={saving.id} saving={saving} onTake={() => dispatch(said(null))} />
        ))}
      </ul>
    </div>
  );
}

/** What was just done, or could not be, at the foot of the page. What makes it dearer stays until it is read. */
export function Message() {
  const message = useFrom((state) => state.view.message);
  const plan = useFrom(({ planning, bench }) => (bench.job ? planning.plan : null));
  const dispatch = useApp();
  return (
    <Snackbar
      className="message"
      open={message !== null}
      autoHideDuration={message?.bad || message?.dearer ? null : 6000}
      onClose={(_, reason) => reason !== 'clickaway' && dispatch(said(null))}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
    >
      <Alert variant="filled" severity={message?.bad ? 'error' : 'info'} onClose={() => dispatch(said(null))}>
        {message?.text}
        {message?.dearer && plan && <OtherWays plan={plan} />}
      </Alert>
    </Snackbar>
  );
}
