import { memo } from 'react';
import { nth, type Plan, type Setup, SHORT_PIECE, sure } from '@sill/core';
import { useGrowing } from '../../ui/growing';
import { useSawing } from './useSawing';
import { Dim } from '../../words/Dim';
import { Words } from '../../words/Words';
import { runs, useLabel } from '../../words/labels';
import { Boards } from '../../sheets/Boards';
import { SetupName, SetupWords } from '../../sheets/SetupWords';
import './BySetup.css';

/** Settings that are there at once; the others come one by one. */
const FIRST = 2;

type BlockProps = { readonly plan: Plan; readonly setup: Setup; readonly number: number };

/** Every setting of the saws in working order, with its own boards and what to look out for. */
export function BySetup({ plan }: { readonly plan: Plan }) {
  const drawn = useGrowing(plan.setups.length, 'settings', FIRST);
  return (
    <div className="stack">
      <p className="caution">
        Eye, ear and dust protection; guards stay on; unplug before you change a blade. Nothing under{' '}
        <Dim of={SHORT_PIECE} mark /> near the blade by hand. The saw’s manual and local rules come first.
      </p>
      {plan.setups.slice(0, drawn).map((setup, at) => (
        <SetupBlock key={setup.id} plan={plan} setup={setup} number={at + 1} />
      ))}
    </div>
  );
}

/** A setting, its boards and what to look out for. */
const SetupBlock = memo(function SetupBlock({ plan, setup, number }: BlockProps) {
  const { has, toggle } = useSawing(plan);
  const label = useLabel();
  return (
    <section className="sheet setup-block" data-done={has(setup)}>
      <label className="tick">
        <input type="checkbox" checked={has(setup)} onChange={() => toggle(setup)} />
        <span>
          <strong>
            {number}. <SetupName setup={setup} />
          </strong>{' '}
          <SetupWords setup={setup} />: {runs(setup.parts.map((part) => label(part.id)))}
          {setup.cuts.length > 0 && (
            <>
              {' '}
              · cuts <b>{setup.cuts.join(', ')}</b>
            </>
          )}
          {setup.extraFor && <> · left long for {setup.extraFor}</>}
        </span>
      </label>
      {setup.cautions.map((caution, k) => (
        <p key={k} className="caution">
          <Words of={caution} />
        </p>
      ))}
      <Boards plan={plan} lit={setup} only={new Set(setup.boards)} />
      {setup.kind === 'guide' && <SheetCuts plan={plan} numbers={setup.cuts} />}
    </section>
  );
});

/** Every cut of a sheet in order: which way, how far from which edge. */
function SheetCuts({ plan, numbers }: { readonly plan: Plan; readonly numbers: readonly number[] }) {
  return (
    <ol className="sheet-cuts">
      {numbers.map((number) => {
        const { kind, setting: set, begins } = nth(plan.cuts, number - 1);
        const setting = sure(set, 'setting of the cut');
        return (
          <li key={number}>
            <b>{number}</b> {kind === 'crosscut' ? 'across' : 'along'}, <Dim of={setting.setting} mark /> from the{' '}
            {setting.reference} edge
            {begins && ', the blade before the line: waste lies there'}
          </li>
        );
      })}
    </ol>
  );
}
