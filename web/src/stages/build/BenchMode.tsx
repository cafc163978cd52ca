import { useMemo, useState } from 'react';
import { doingOf, plannedFor, type Operation, type Plan } from '@sill/core';
import { PartPicture } from '../../drawing/PartPicture';
import { drawnIn, joinedIn, measured } from '../../drawing/steps';
import { Bench } from '../../ui/Bench';
import { Timer } from '../../ui/Timer';
import { usePlan } from '../../state/hooks';
import { useClock } from '../../state/useClock';
import { useDone } from '../../state/useLedger';
import { Words } from '../../words/Words';
import { AtTheBench } from '../shared/AtTheBench';
import { useLeftOn } from '../shared/LeftOnDialog';

type Props = { readonly facts: Plan['pieces'][number]; readonly start: number; readonly onClose: () => void };

/** The steps at the bench, one action at a time. */
export function BenchMode({ facts, start, onClose }: Props) {
  const { has, tick } = useDone();
  const clock = useClock();
  const leave = () => {
    clock.stop();
    onClose();
  };
  const leftOn = useLeftOn(leave);
  const plan = usePlan();
  const list = useMemo(
    () => facts.steps.flatMap((step, number) => step.actions.map((action, k) => ({ step, number, action, k }))),
    [facts.steps],
  );
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      list.findIndex((item) => item.number === start && !has(doingOf(item.step, item.action, facts.parts))),
    ),
  );
  const item = list[at];
  if (!item) return null;
  const { step, action, number, k } = item;
  const operation = step.operations.find(({ id }) => id === action.id);
  const { piece } = facts;
  const { work, minutes: planned } = plannedFor(step, action.id, piece.copies);
  const about = { piece: piece.id, family: piece.family, of: action.id, work, tool: operation?.tool ?? null };
  return (
    <>
      <Bench
        where={`Step ${number + 1} of ${facts.steps.length} · ${k + 1} of ${step.actions.length}`}
        title={<Words of={step.title} />}
        action={
          <>
            <Words of={action.text} />
            <TimerFor key={action.id} operation={operation} />
          </>
        }
        picture={
          <PartPicture
            parts={drawnIn(step, facts)}
            measure={measured(step, facts.parts)}
            joints={joinedIn(step, facts.fastenings)}
            label="The step"
          />
        }
        caution={step.cautions[0] && <Words of={step.cautions[0]} />}
        tools={
          plan && (
            <AtTheBench
              plan={plan}
              planned={planned}
              about={about}
              parts={operation && operation.on.length > 0 ? operation.on : step.adds}
            />
          )
        }
        first={at === 0}
        last={at + 1 === list.length}
        onNext={() => {
          const doing = doingOf(step, action, facts.parts);
          const took = has(doing)
            ? { entries: [], leftOn: null }
            : clock.read({ of: action.id, piece: piece.id, work, planned });
          tick([doing], took.entries);
          const isLast = at + 1 === list.length;
          if (took.leftOn) leftOn.ask(took.leftOn, isLast);
          if (!isLast) setAt(at + 1);
          else if (!took.leftOn) leave();
        }}
        onBack={() => setAt(Math.max(0, at - 1))}
        onClose={leave}
      />
      {leftOn.dialog}
    </>
  );
}

/** A clock for what must be done in time: what is wiped off again, clamps, what raises the grain. */
function TimerFor({ operation }: { readonly operation: Operation | undefined }) {
  if (operation?.kind === 'coat' && operation.wipe !== null)
    return <Timer minutes={operation.wipe} begin="It is wet" due="Wipe it off" />;
  if (operation?.kind === 'sand' && operation.wetted)
    return <Timer minutes={60} begin="It is wiped wet" due="Last grit" />;
  if (operation?.kind === 'wait')
    return <Timer minutes={operation.wait} begin="The clamps are on" due="They may come off" />;
  return null;
}
