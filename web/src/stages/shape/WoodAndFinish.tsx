import { MenuItem, TextField } from '@mui/material';
import { COATS, LUMBER, LUMBER_NAMES, SAND_TO, inches, type Lumber, type Piece } from '@sill/core';
import { Choice } from '../../ui/Choice';
import { LengthField } from '../../ui/LengthField';
import { NumberField } from '../../ui/NumberField';
import { useChangePiece } from '../../state/hooks';

const STAINS = { none: 'none', 'oil stain': 'oil stain', 'water stain': 'water stain' } as const;
type Coat = Piece['finish']['coat'];

/** The line of boards a piece is made of, how it is milled, and how it is sanded and finished. */
export function WoodAndFinish({ piece }: { readonly piece: Piece }) {
  const change = useChangePiece(piece.id);
  const { finish } = piece;
  const finishWith = (next: Partial<Piece['finish']>) => change(['finish'], { ...finish, ...next });
  const takeCoat = (coat: Coat) => finishWith({ coat, coats: coat === 'none' ? 0 : COATS[coat].coats });
  return (
    <>
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
        <p className="help">
          Boards as they come are flat enough for most furniture, and cost no time. Planed they lie true and show no
          mill marks, but lose thickness.
        </p>
      </div>
      <div className="choice-group">
        <h2>Finish</h2>
        <Choice
          label="Sanded to"
          value={`${finish.sandTo}`}
          options={SAND_TO.map((grit) => ({ value: `${grit}`, label: grit === 0 ? 'not counted' : `${grit}` }))}
          onChange={(value) => finishWith({ sandTo: Number(value) as Piece['finish']['sandTo'] })}
          help="150 is enough under most clear coats; finer takes less stain. The base goes no finer than 150."
        />
        <Choice
          label="Stain"
          value={finish.stain}
          options={Object.entries(STAINS).map(([value, label]) => ({ value: value as keyof typeof STAINS, label }))}
          onChange={(stain) => finishWith({ stain })}
        />
        <TextField
          select
          label="Covered with"
          value={finish.coat}
          onChange={({ target }) => takeCoat(target.value as Coat)}
          fullWidth
        >
          {['none', ...Object.keys(COATS)].map((name) => (
            <MenuItem key={name} value={name}>
              {name === 'none' ? 'nothing, or not counted' : name}
            </MenuItem>
          ))}
        </TextField>
        {finish.coat !== 'none' && (
          <NumberField
            label="Coats"
            least={1}
            most={12}
            value={finish.coats}
            onChange={(coats) => coats !== null && finishWith({ coats })}
          />
        )}
        {(finish.coat !== 'none' || finish.stain !== 'none') && (
          <p className="help">
            Rags with oil or stain catch fire by themselves: dry them flat outdoors or drown them in a lidded tin. Air
            the room. The label comes first.
          </p>
        )}
      </div>
    </>
  );
}
