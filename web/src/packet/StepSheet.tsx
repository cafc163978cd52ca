import { PartPicture } from '../drawing/PartPicture';
import { drawnIn, joinedIn, measured } from '../drawing/steps';
import { Spacers } from '../sheets/Spacers';
import { Words } from '../words/Words';
import { PICTURE, type StepBlock } from './heights';
import { TickBox } from './TickBox';
import './StepSheet.css';

/** One step on paper: its picture beside what to do, then what to take and set. */
export function StepSheet({ facts, step, number, goesOn = false, plain = false }: StepBlock) {
  const actions = (
    <ol>
      {step.actions.map((action) => (
        <li key={action.id}>
          <TickBox />
          <span>
            <Words of={action.text} />
          </span>
        </li>
      ))}
    </ol>
  );
  if (goesOn)
    return (
      <article className="print-step">
        <h2>
          {number}. <small>goes on</small>
        </h2>
        {actions}
      </article>
    );
  return (
    <article className="print-step">
      <h2>
        {number}. <Words of={step.title} />{' '}
        <small>
          {step.work} min{step.wait > 0 ? `, then ${step.wait} min to set` : ''}
          {step.stays ? ', where it stays' : ''}
        </small>
      </h2>
      {plain ? (
        actions
      ) : (
        <div>
          <PartPicture
            width={PICTURE}
            parts={drawnIn(step, facts)}
            tags={step.adds.length + step.there.length <= 9}
            measure={measured(step, facts.parts)}
            joints={joinedIn(step, facts.fastenings)}
            label="The step"
          />
          {actions}
        </div>
      )}
      <p>
        <b>Pick up</b> <Words of={step.pickUp} />
      </p>
      <Spacers step={step} />
      {step.diagonals && <p>Diagonals read ________ and ________</p>}
      {step.cautions.map((caution, at) => (
        <p key={at} className="caution">
          <Words of={caution} />
        </p>
      ))}
    </article>
  );
}
