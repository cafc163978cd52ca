import { useMemo, useState } from 'react';
import { edgesWords, first, minutesAt, nth, type Pass, passDoing, passesOf, type Plan, sure } from '@sill/core';
import { Bench } from '../../ui/Bench';
import { useClock } from '../../state/useClock';
import { useDone } from '../../state/useLedger';
import { Dim } from '../../words/Dim';
import { Words } from '../../words/Words';
import { runs, useLabel } from '../../words/labels';
import { Boards } from '../../sheets/Boards';
import { SetupName, SetupWords } from '../../sheets/SetupWords';
import { AtTheBench } from '../shared/AtTheBench';
import { useLeftOn } from '../shared/LeftOnDialog';
import { useSawing } from './useSawing';

const listed = (numbers: readonly number[]): string =>
  numbers.length < 2 ? numbers.join('') : `${numbers.slice(0, -1).join(', ')} and ${numbers.at(-1)}`;

/** What is done in one pass, in a sentence with its one number large. */
function PassWords({ pass, plan }: { readonly pass: Pass; readonly plan: Plan }) {
  const label = useLabel();
  const { setup, cuts, boards, pieces } = pass;
  const tags = runs(pieces.map(({ blank }) => label(blank.part.id)));
  const on = `board${boards.length === 1 ? '' : 's'} ${listed(boards)}`;
  if (setup.kind === 'fence')
    return (
      <>
        {setup.tool ? 'Rip' : 'Have the yard rip'} <b>{tags}</b>, {on}:{' '}
        {setup.passes.length > 0 ? (
          <Words of={edgesWords(setup)} />
        ) : (
          <>
            <b>
              <Dim of={setup.setting} />
            </b>{' '}
            {setup.tool === 'table saw' ? 'from the fence' : 'from the straight edge'}
          </>
        )}
        .
      </>
    );
  if (setup.kind === 'guide') {
    const cut = nth(plan.cuts, first(cuts) - 1);
    const edge = cut.kind === 'crosscut' ? 'left' : 'lower';
    const setting = sure(cut.setting, 'setting of the cut');
    return (
      <>
        Cut <b>{cut.number}</b>, {cut.kind === 'crosscut' ? 'across' : 'along'}:{' '}
        <b>
          <Dim of={setting.setting} />
        </b>{' '}
        from the {edge} {setting.reference === 'factory' ? 'factory' : 'sawn'} edge
        {cut.begins ? ', the blade before the line: waste lies there.' : '.'}
      </>
    );
  }
  const at = (
    <>
      cut{cuts.length === 1 ? '' : 's'} <b>{listed(cuts)}</b>, {on}: <b>{tags}</b>
    </>
  );
  if (setup.kind === 'marks')
    return setup.setting === 0 ? (
      <>On the line, {at}. It is left long.</>
    ) : (
      <>
        <b>
          <Dim of={setup.setting} />
        </b>{' '}
        past the line, {at}. It is cut clean later.
      </>
    );
  return (
    <>
      {cuts.length > 1 ? `${cuts.length} together, ` : ''}
      {at} at{' '}
      <b>
        <Dim of={setup.setting} />
      </b>
      .
    </>
  );
}

/** The cuts at the saw, one pass at a time; a setting is done when its last pass is. */
export function CutBench({ plan, onClose }: { readonly plan: Plan; readonly onClose: () => void }) {
  const { has, tick } = useDone();
  const clock = useClock();
  const leave = () => {
    clock.stop();
    onClose();
  };
  const leftOn = useLeftOn(leave);
  const sawing = useSawing(plan);
  const list = useMemo(
    () =>
      plan.setups.flatMap((setup, number) =>
        passesOf(setup, plan.cuts).map((pass, k, all) => ({ setup, number, pass, k, count: all.length })),
      ),
    [plan],
  );
  const isDone = ({ pass, setup }: (typeof list)[number]) =>
    has(passDoing(pass)) || sawing.has(setup) || sawing.isThrough(pass);
  /** The next that is open from there on; the end of the list where none is. */
  const nextFrom = (from: number) => {
    const next = list.findIndex((one, k) => k >= from && !isDone(one));
    return next < 0 ? list.length : next;
  };
  const [at, setAt] = useState(() => nextFrom(0) % Math.max(1, list.length));
  const item = list[at];
  if (!item) return null;
  const { setup, number, pass, k, count } = item;
  const planned = minutesAt(setup) / count;
  const of = `saw.${setup.id}`;
  return (
    <>
      <Bench
        where={`Setting ${number + 1} of ${plan.setups.length} · ${k + 1} of ${count}`}
        title={<SetupName setup={setup} />}
        about={<SetupWords setup={setup} brief />}
        action={<PassWords pass={pass} plan={plan} />}
        wide
        picture={<Boards plan={plan} lit={pass} only={new Set(pass.boards)} tape="hooked" />}
        caution={setup.cautions[0] && <Words of={setup.cautions[0]} />}
        tools={
          <AtTheBench
            plan={plan}
            planned={planned}
            about={{ piece: null, family: '', of, work: 'saw', tool: setup.tool }}
            parts={[...new Set(pass.pieces.map(({ blank }) => blank.part.id))]}
          />
        }
        first={at === 0}
        last={nextFrom(at + 1) === list.length}
        onNext={() => {
          const isLast = list.every((one) => one === item || one.setup.id !== setup.id || isDone(one));
          const took = clock.read({ of, piece: null, work: 'saw', planned });
          tick(
            [passDoing(pass)],
            [...took.entries, ...(isLast ? sawing.told(setup) : [])],
            isLast ? sawing.wishes(setup) : [],
          );
          const next = nextFrom(at + 1);
          if (took.leftOn) leftOn.ask(took.leftOn, next === list.length);
          if (next < list.length) setAt(next);
          else if (!took.leftOn) leave();
        }}
        onBack={() => setAt(Math.max(0, at - 1))}
        onClose={leave}
      />
      {leftOn.dialog}
    </>
  );
}
