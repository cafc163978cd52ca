import { offcutForSpacers, wholeInches, type Step } from '@sill/core';
import { usePlan } from '../state/hooks';
import { Dim } from '../words/Dim';

/** Spacers that a step wants, each with the offcut they are cut from. */
export function Spacers({ step }: { readonly step: Step }) {
  const plan = usePlan();
  return step.spacers.map(({ thickness, count }) => {
    const use = offcutForSpacers(plan?.offcuts ?? [], step.piece, thickness);
    return (
      <p key={thickness} className="spacers">
        Cut {count === 1 ? 'a spacer' : `${count} spacers`} <Dim of={thickness} mark /> thick from{' '}
        {use ? (
          <>
            the <Dim of={wholeInches(use.offcut.length)} mark /> offcut of board {use.board}
          </>
        ) : (
          'any scrap'
        )}
        .
      </p>
    );
  });
}
