import { MenuItem, TextField } from '@mui/material';
import { LUMBER, LUMBER_NAMES, inches, topOf, type Lumber, type Piece } from '@sill/core';
import { Choice } from '../../ui/Choice';
import { LengthField } from '../../ui/LengthField';
import { useChangePiece } from '../../state/hooks';

/** The line of boards a piece is made of, and how it is milled. */
export function Wood({ piece }: { readonly piece: Piece }) {
  const change = useChangePiece(piece.id);
  return (
    <div className="choice-group">
      <h2>Wood</h2>
      <TextField
        select
        label="Made of"
        value={piece.wood}
        onChange={({ target }) => change(['wood'], target.value as Lumber)}
        fullWidth
      >
        {LUMBER_NAMES.map((name) => (
          <MenuItem key={name} value={name}>
            {LUMBER[name].name}
          </MenuItem>
        ))}
      </TextField>
      <LengthField
        label="Planed off each face"
        value={piece.planed}
        most={inches(1 / 4)}
        onChange={(value) => change(['planed'], value)}
      />
      {piece.planed > 0 && topOf(piece) && (
        <Choice
          label="Planed are"
          value={piece.planedFor}
          options={[
            { value: 'all', label: 'all boards' },
            { value: 'top', label: 'those of the top' },
            { value: 'rest', label: 'all but the top’s' },
          ]}
          onChange={(value) => change(['planedFor'], value)}
        />
      )}
      <p className="help">
        Boards as they come are flat enough for most furniture, and cost no time. Planed they lie true and show no mill
        marks, but lose thickness.
      </p>
    </div>
  );
}
