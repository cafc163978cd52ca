import { ToggleButton } from '@mui/material';
import { inches } from '@sill/core';
import { Dim } from '../words/Dim';
import { NumberField } from '../ui/NumberField';
import { Segmented } from '../ui/Segmented';
import { USUAL, WAYS, type Leaning, type LeanState, type LeanWay } from './leaning';
import './LeanTools.css';

/** A bend to the nearest 1/64, the finest a person can see. */
function Moves({ by }: { readonly by: number }) {
  const seen = inches(Math.round(by * 64) / 64);
  return seen === 0 ? (
    <>
      under <Dim of={inches(1 / 64)} mark />
    </>
  ) : (
    <Dim of={seen} mark />
  );
}

const STANDS = {
  firm: 'All feet stay down.',
  lifts: 'A foot lifts off the floor.',
  tips: 'It tips over, with nothing else on it.',
} as const;

/** Puts a load on the piece, or takes it off. */
export function LeanSwitch({ on, onChange }: { readonly on: boolean; readonly onChange: (on: boolean) => void }) {
  return (
    <ToggleButton className="segment" size="small" value="lean" selected={on} onChange={() => onChange(!on)}>
      lean on it
    </ToggleButton>
  );
}

type Props = {
  readonly leaning: Leaning;
  readonly result: LeanState;
  /** How many times too far it is drawn. */
  readonly times: number;
  readonly set: (change: Partial<Leaning>) => void;
};

/** The load that is put on the piece, and what comes of it. */
export function LeanTools({ leaning, result, times, set }: Props) {
  return (
    <div className="lean">
      <Segmented
        label="Which way"
        value={leaning.way}
        options={Object.entries(WAYS) as [LeanWay, string][]}
        onChange={(way) => set({ way, ...(leaning.pounds === USUAL[leaning.way] ? { pounds: USUAL[way] } : {}) })}
      />
      <span className="lean-pounds">
        <NumberField
          label="How hard"
          unit="lb"
          value={leaning.pounds}
          least={1}
          most={1000}
          onChange={(pounds) => set({ pounds: pounds ?? 1 })}
        />
      </span>
      <p className="lean-word" role="status">
        {result.state === 'waiting' && 'Working it out…'}
        {result.state === 'failed' && 'It could not be worked out.'}
        {result.state === 'hangs' && 'That opens or hangs on something else: lean on what carries it.'}
        {result.state === 'done' && <Comes leaned={result.leaned} times={times} />}
      </p>
      <p className="soft lean-how">
        Click where the load is to stand. People: 250 lb leaning or sitting on an edge, 300 standing, 20 to 40 as a
        push.
      </p>
    </div>
  );
}

function Comes({
  leaned,
  times,
}: {
  readonly leaned: Extract<LeanState, { state: 'done' }>['leaned'];
  readonly times: number;
}) {
  const { moves, stands, weakest } = leaned;
  if (!Number.isFinite(moves)) return <strong>Nothing holds it there: it comes away.</strong>;
  return (
    <>
      The place gives <Moves by={moves} />
      {times > 1 && <span className="soft"> (drawn {times} times as far)</span>}.{' '}
      {stands === 'firm' ? STANDS.firm : <strong>{STANDS[stands]}</strong>}{' '}
      {weakest && (
        <>
          Asked most is the joint of {weakest.drilled} and {weakest.into}: {Math.round(weakest.share * 100)} % of what
          it may bear for a short while.
        </>
      )}{' '}
      <span className="soft">An estimate for home use, not a rating.</span>
    </>
  );
}
