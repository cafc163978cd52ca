import { Button, Dialog } from '@mui/material';
import { lazy, Suspense, useEffect, useMemo, useState, type KeyboardEvent } from 'react';
import { FAULT_KINDS, nth, type Part, type Plan, type Rehearsal } from '@sill/core';
import type { At, BenchScene } from '../../drawing/Bench3D';
import { PartPicture } from '../../drawing/PartPicture';
import { hasWebGl } from '../../drawing/webgl';
import { useEdges, useJob, usePlan } from '../../state/hooks';
import { Words } from '../../words/Words';
import { fastenedBy, momentsOf, type Moment } from './frames';
import './Rehearse.css';

const Bench3D = lazy(() => import('../../drawing/Bench3D'));

/** So long a sentence stays before the next comes by itself: a second and a half, and longer for long ones. */
const staysFor = ({ says }: Moment): number =>
  1500 + 45 * says.map((bit) => (typeof bit === 'string' ? bit.length : 4)).reduce((a, b) => a + b, 0);

/** What the rehearsal found, worked out beside the page; null while it runs. */
function useRehearsal(): Rehearsal | 'failed' | null {
  const plan = usePlan();
  const job = useJob();
  const { planner } = useEdges();
  const [found, setFound] = useState<{ readonly of: Plan; readonly result: Rehearsal | 'failed' } | null>(null);
  useEffect(() => {
    let gone = false;
    if (plan)
      planner.rehearsed(plan, job).then(
        (result) => !gone && setFound({ of: plan, result }),
        () => !gone && setFound({ of: plan, result: 'failed' }),
      );
    return () => void (gone = true);
  }, [plan, job, planner]);
  return found?.of === plan ? found.result : null;
}

function Verdict({ found }: { readonly found: Rehearsal | 'failed' | null }) {
  if (found === 'failed')
    return (
      <p role="status" className="rehearsal-stop">
        It could not be carried out: that is a fault of the program. The steps can be looked through all the same.
      </p>
    );
  if (!found) return <p role="status">Carrying it out, operation by operation.</p>;
  if (!found.stopped)
    return (
      <p role="status" className="rehearsal-good">
        All {found.operations} operations were carried out on solid wood as they are told: every part comes out as
        drawn.
      </p>
    );
  return (
    <p role="status" className="rehearsal-stop">
      It stops: {FAULT_KINDS[found.stopped.kind]}. {found.stopped.why}.
    </p>
  );
}

/** How a part is at a moment. */
const stateAt = (moment: Moment, { id }: Part): At =>
  moment.comes.has(id)
    ? 'coming'
    : moment.stands.has(id)
      ? 'there'
      : moment.works.has(id)
        ? 'worked'
        : moment.cut.has(id)
          ? 'bench'
          : 'boards';

type Facts = Plan['pieces'][number];
type Props = { readonly facts: Facts; readonly start: string | null; readonly onClose: () => void };

/** The moments of the work and which of them is shown, from `start` on; by itself it goes on while `runs`. */
function useMoments(facts: Facts, start: string | null) {
  const setups = usePlan()?.setups;
  const moments = useMemo(() => momentsOf(facts, setups ?? [], fastenedBy), [facts, setups]);
  const last = moments.length - 1;
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      moments.findIndex(({ id }) => id === start),
    ),
  );
  const [runs, setRuns] = useState(false);
  const moment = moments[Math.min(at, last)];
  useEffect(() => {
    if (!runs || !moment || at >= last) return;
    const timer = setTimeout(() => setAt(at + 1), staysFor(moment));
    return () => clearTimeout(timer);
  }, [runs, at, last, moment]);
  const go = (to: number) => setAt(Math.min(last, Math.max(0, to)));
  return { moments, at, runs, go, setRuns };
}

/** The work at a moment where a browser has no 3D. */
function Drawn({ parts, moment }: { readonly parts: readonly Part[]; readonly moment: Moment }) {
  const stateOf = ({ id }: Part) =>
    moment.works.has(id) || moment.comes.has(id) ? 'new' : moment.stands.has(id) ? 'there' : 'later';
  return (
    <PartPicture
      parts={parts.filter(({ id }) => moment.cut.has(id)).map((part) => ({ part, as: stateOf(part) }))}
      label="The work as it stands now"
    />
  );
}

/** The whole work from boards to piece, to be looked through before a board is cut. */
export function Rehearse({ facts, start, onClose }: Props) {
  const found = useRehearsal();
  const { moments, at, runs, go, setRuns } = useMoments(facts, start);
  const last = moments.length - 1;
  const moment = moments[Math.min(at, last)];
  const scene = useMemo<BenchScene | null>(
    () =>
      moment
        ? {
            key: moment.id,
            at: (part) => stateAt(moment, part),
            shaped: ({ id }) => moment.shaped.has(id),
            way: ({ id }) => moment.comes.get(id) ?? null,
            driven: facts.fastenings.filter(({ joint }) => moment.joints.has(joint.id)),
            over: moment.over,
            bodies: moment.bodies,
          }
        : null,
    [moment, facts.fastenings],
  );
  if (!moment || !scene) return null;
  const press = (event: KeyboardEvent) => {
    const keys: Readonly<Record<string, () => void>> = {
      ArrowRight: () => go(at + 1),
      PageDown: () => go(at + 1),
      ArrowLeft: () => go(at - 1),
      PageUp: () => go(at - 1),
      Home: () => go(0),
      End: () => go(last),
      ' ': () => setRuns(!runs),
    };
    // Buttons keep their own Space.
    const act = event.key === ' ' && event.target instanceof HTMLButtonElement ? undefined : keys[event.key];
    if (!act) return;
    event.preventDefault();
    if (event.key !== ' ') setRuns(false);
    act();
  };
  return (
    <Dialog
      fullScreen
      open
      onClose={onClose}
      onKeyDown={press}
      aria-labelledby="rehearse-title"
      slotProps={{ paper: { className: 'rehearse' } }}
    >
      <header>
        <h1 id="rehearse-title">Rehearse {facts.piece.name}</h1>
        <Button onClick={onClose}>Leave</Button>
      </header>
      <Verdict found={found} />
      <div className="rehearse-model">
        {hasWebGl() ? (
          <Suspense fallback={<p role="status">Laying out the bench.</p>}>
            <Bench3D parts={facts.parts} scene={scene} />
          </Suspense>
        ) : (
          <Drawn parts={facts.parts} moment={moment} />
        )}
      </div>
      <div className="rehearse-says" aria-live="polite">
        <h2>
          <Words of={moment.title} piece={facts.piece.id} />
        </h2>
        <p>
          <Words of={moment.says} piece={facts.piece.id} />
        </p>
      </div>
      <footer>
        <Button onClick={() => go(at - 1)} disabled={at === 0}>
          Before
        </Button>
        <FlatStick
          moments={moments}
          at={at}
          onGo={(to) => {
            setRuns(false);
            go(to);
          }}
        />
        <span className="rehearse-count">
          {at + 1} / {moments.length}
        </span>
        <Button onClick={() => setRuns(!runs)}>{runs && at < last ? 'Hold' : 'Go on by itself'}</Button>
        <Button variant="contained" color="primary" autoFocus onClick={() => go(at + 1)} disabled={at === last}>
          Next
        </Button>
      </footer>
    </Dialog>
  );
}

type StickProps = {
  readonly moments: readonly { readonly notch: unknown }[];
  readonly at: number;
  readonly onGo: (to: number) => void;
};

/** The stick laid flat: a notch where another step or setting begins, drawn along to any moment of the work. */
function FlatStick({ moments, at, onGo }: StickProps) {
  const last = moments.length - 1;
  const notches = moments.flatMap(({ notch }, index) =>
    index === 0 || nth(moments, index - 1).notch !== notch ? [index] : [],
  );
  return (
    <div className="flat-stick">
      <div className="flat-notches" aria-hidden>
        {notches.map((index) => (
          <i
            key={index}
            data-done={index <= at}
            ref={(element) => element?.style.setProperty('left', `${(100 * index) / Math.max(1, last)}%`)}
          />
        ))}
      </div>
      <input
        type="range"
        min={0}
        max={last}
        value={at}
        aria-label="Where in the work"
        aria-valuetext={`${at + 1} of ${moments.length}`}
        onChange={(event) => onGo(Number(event.target.value))}
      />
    </div>
  );
}
