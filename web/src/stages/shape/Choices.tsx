import { familyOf, topOf, type Nominal, type Piece } from '@sill/core';
import { useChangePiece } from '../../state/hooks';
import { SpecFields } from './SpecFields';
import './Choices.css';

/** Every choice of the family and of the top, all in view. */
export function Choices({ piece, topNominal }: { readonly piece: Piece; readonly topNominal: Nominal | null }) {
  const change = useChangePiece(piece.id);
  const top = topOf(piece);
  return (
    <>
      {top && Object.keys(top.choices).length > 0 && (
        <div className="choice-group">
          <h2>Top</h2>
          <SpecFields
            specs={top.choices}
            choices={piece.topChoices}
            lumber={piece.wood}
            cheapest={topNominal}
            onChange={(name, value) => change(['topChoices', name], value)}
          />
        </div>
      )}
      <div className="choice-group">
        <h2>{top ? 'Base' : 'Build'}</h2>
        <SpecFields
          specs={familyOf(piece).choices}
          choices={piece.choices}
          lumber={piece.wood}
          onChange={(name, value) => change(['choices', name], value)}
        />
      </div>
    </>
  );
}
