import { doingOf, nth, sure } from '@sill/core';
import { Button } from '@mui/material';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Doing, Part, Plan, Step } from '@sill/core';
import { PartPicture } from '../../drawing/PartPicture';
import { drawnIn, joinedIn, measured } from '../../drawing/steps';
import { useChangePiece, usePiece, usePieceFacts } from '../../state/hooks';
import { useDone } from '../../state/useLedger';
import { Words } from '../../words/Words';
import { ABOUT_THE_JOB } from '../shared/NoteDialog';
import { Notes } from '../shared/Notes';
import { BenchButton } from '../shared/BenchButton';
import { StageHead } from '../shared/StageHead';
import { Waiting } from '../shared/Waiting';
import { BenchMode } from './BenchMode';
import { HowTrue } from './HowTrue';
import { AsBuilt, Diagonals } from './Measured';
import { Rehearse } from './Rehearse';
import { Spacers } from '../../sheets/Spacers';
import { Segmented } from '../../ui/Segmented';
import './BuildStage.css';

type Facts = Plan['pieces'][number];

const minutes = (count: number) =>
  count < 60 ? `${count} min` : `${Math.floor(count / 60)} h${count % 60 ? ` ${count % 60} min` : ''}`;

/** What is ticked off in a step. */
const doings = (step: Step, parts: readonly Part[]): readonly Doing[] =>
  step.actions.map((action) => doingOf(step, action, parts));

/** Steps in order: what to pick up, do and check, with a picture of each. */
export function BuildStage() {
  return (
    <>
      <Waiting>
        <StepsOfPiece />
      </Waiting>
    </>
  );
}

/** Another piece is looked at from its own first open step. */
function StepsOfPiece() {
  const facts = sure(usePieceFacts(), 'plan of the piece in view');
  return <Steps key={facts.piece.id} />;
}

function Steps() {
  const facts = sure(usePieceFacts(), 'plan of the piece in view');
  const { has } = useDone();
  const isDone = (step: Step) => doings(step, facts.parts).every(has);
  const [search, setSearch] = useSearchParams();
  const [bench, setBench] = useState(false);
  const [rehearse, setRehearse] = useState(false);
  const [howTrue, setHowTrue] = useState(false);
  const { steps } = facts;
  const asked = Number(search.get('step'));
  // The first that is open when one comes here; ticking its last action does not turn the page.
  const [firstOpen] = useState(() => steps.findIndex((step) => !isDone(step)));
  const at = asked >= 1 && asked <= steps.length ? asked - 1 : Math.min(steps.length - 1, Math.max(0, firstOpen));
  const step = nth(steps, at);
  const go = (to: number) =>
    setSearch((before) => ({ ...Object.fromEntries(before), step: String(to + 1) }), { replace: true });
  return (
    <>
      <StageHead
        title="Build"
        about={`Step ${at + 1} of ${steps.length} · ${minutes(step.work)}${step.wait > 0 ? `, then ${minutes(step.wait)} to set` : ''}${step.stays ? ' · where it stays' : ''}`}
      >
        <FirstChoice facts={facts} />
        <Button onClick={() => setHowTrue(true)}>How true</Button>
        <Button onClick={() => setRehearse(true)}>Rehearse</Button>
        <BenchButton onOpen={() => setBench(true)} />
      </StageHead>
      <div className="step-bar" role="group" aria-label="Steps">
        {steps.map((item, k) => (
          <StepMark key={item.id} step={item} number={k + 1} here={k === at} done={isDone(item)} onGo={() => go(k)} />
        ))}
      </div>
      <StepView
        facts={facts}
        step={step}
        onNext={at + 1 < steps.length ? () => go(at + 1) : null}
        onBack={at > 0 ? () => go(at - 1) : null}
      />
      {howTrue && <HowTrue piece={facts.piece} onClose={() => setHowTrue(false)} />}
      {bench && <BenchMode facts={facts} start={at} onClose={() => setBench(false)} />}
      {rehearse && (
        <Rehearse facts={facts} start={steps[at]?.operations[0]?.id ?? null} onClose={() => setRehearse(false)} />
      )}
    </>
  );
}

const FIRST = [
  ['top', 'Top first'],
  ['base', 'Base first'],
] as const;

/** Top first or base first, where the piece has both. */
function FirstChoice({ facts }: { readonly facts: Facts }) {
  const change = useChangePiece(facts.piece.id);
  const { first: now } = sure(usePiece(), 'piece in view');
  const roles = new Set(facts.parts.map(({ role }) => role));
  if (!roles.has('top') || roles.size < 2) return null;
  return (
    <Segmented label="What is built first" value={now} options={FIRST} onChange={(first) => change(['first'], first)} />
  );
}

type MarkProps = {
  readonly step: Step;
  readonly number: number;
  readonly here: boolean;
  readonly done: boolean;
  readonly onGo: () => void;
};

/** One step of the bar, as wide as it takes time. */
function StepMark({ step, number, here, done, onGo }: MarkProps) {
  return (
    <button
      type="button"
      data-done={done}
      aria-current={here ? 'step' : undefined}
      aria-label={`Step ${number}${done ? ', done' : ''}`}
      onClick={onGo}
      ref={(element) => element?.style.setProperty('flex-grow', String(Math.max(1, step.work / 12)))}
    >
      {number}
    </button>
  );
}

type ViewProps = {
  readonly facts: Facts;
  readonly step: Step;
  readonly onNext: (() => void) | null;
  readonly onBack: (() => void) | null;
};

function StepView({ facts, step, onNext, onBack }: ViewProps) {
  const { has, toggle, tick } = useDone();
  const drawn = useMemo(() => drawnIn(step, facts), [step, facts]);
  const joints = useMemo(() => joinedIn(step, facts.fastenings), [step, facts.fastenings]);
  const finish = () => {
    tick(doings(step, facts.parts));
    onNext?.();
  };
  return (
    <div className="step-columns">
      <div>
        <figure className="sheet step-picture">
          <PartPicture
            parts={drawn}
            tags={step.adds.length + step.there.length <= 9}
            measure={measured(step, facts.parts)}
            joints={joints}
            label="The step"
          />
          <figcaption className="soft">
            Blue: added in this step. Dashed: joined later. Red: screws driven now. Dotted: glue.
          </figcaption>
        </figure>
        <div className="sheet pick-up">
          <h3>Pick up for this step</h3>
          <p>
            <Words of={step.pickUp} piece={step.piece} />
          </p>
          <Spacers step={step} />
        </div>
        <Diagonals key={step.id} step={step} />
        <AsBuilt key={`built ${step.id}`} facts={facts} step={step} />
      </div>
      <section aria-label="What to do">
        <h2 className="step-title">
          <Words of={step.title} piece={step.piece} />
        </h2>
        <ol className="actions">
          {step.actions.map((action) => {
            const doing = doingOf(step, action, facts.parts);
            return (
              <li key={action.id}>
                <label className="tick">
                  <input type="checkbox" checked={has(doing)} onChange={() => toggle(doing)} />
                  <span>
                    <Words of={action.text} piece={step.piece} />
                  </span>
                </label>
              </li>
            );
          })}
        </ol>
        {step.cautions.map((caution, at) => (
          <p key={at} className="caution">
            <Words of={caution} />
          </p>
        ))}
        <Notes
          key={`notes ${step.id}`}
          about={{ ...ABOUT_THE_JOB, piece: facts.piece.id, family: facts.piece.family, of: step.id }}
          actions={step.actions.map(({ id }) => id)}
        />
        <p className="step-buttons">
          {onBack && <Button onClick={onBack}>Step before</Button>}
          <Button variant="contained" color="primary" onClick={finish}>
            {onNext ? 'Step done · next' : 'Step done'}
          </Button>
        </p>
      </section>
    </div>
  );
}
