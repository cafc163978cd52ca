import { LengthField } from '../../ui/LengthField';
import { NoteFor } from './NoteFor';
import { useChangePiece } from '../../state/hooks';
import type { Piece } from '@sill/core';

/** Finished length, width and height of a piece. */
export function SizeFields({ piece }: { readonly piece: Piece }) {
  const change = useChangePiece(piece.id);
  return (
    <fieldset className="sizes">
      <legend>Finished size</legend>
      <LengthField
        label="long"
        value={piece.size.length}
        least={1}
        onChange={(value) => change(['size', 'length'], value)}
      />
      <LengthField
        label="wide"
        value={piece.size.width}
        least={1}
        onChange={(value) => change(['size', 'width'], value)}
      />
      <LengthField
        label="high"
        value={piece.size.height}
        least={1}
        onChange={(value) => change(['size', 'height'], value)}
        mark={<NoteFor kind="height" />}
      />
    </fieldset>
  );
}
