import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import {
  type Change,
  type Choices,
  FAMILIES,
  type Family,
  familyOf,
  found,
  held,
  nth,
  type Piece,
  pieceFrom,
  refusal,
  set,
  type Specs,
  STARTS,
  type Top,
  TOPS,
} from '@sill/core';
import { PiecePicture, useOneByOne } from '../../drawing/PiecePicture';
import { useChange } from '../../state/hooks';
import '../shared/cards.css';

/** What a new kind offers too stays as it was. */
const kept = (specs: Specs, choices: Choices): Choices =>
  Object.fromEntries(
    Object.entries(choices).filter(([name, value]) => {
      const spec = specs[name];
      return spec !== undefined && (spec.kind !== 'pick' || Object.hasOwn(spec.options, String(value)));
    }),
  );

/** A piece that shows a family or a top as the gallery has it. */
const sampleOf = (family: Family): Piece =>
  pieceFrom(
    found(STARTS, (start) => start.family === family.id),
    'sample',
  );
const topSample = (top: Top): Piece => {
  const own = STARTS.find((start) => start.top === top.id && familyOf(start).topped);
  if (own) return pieceFrom(own, 'sample');
  const plain = pieceFrom(nth(STARTS, 1), 'sample');
  return { ...plain, top: top.id, topChoices: {} };
};

/** The same objects every time, so that a picture is drawn once. */
const FAMILY_SAMPLES = new Map(FAMILIES.map((family) => [family.id, sampleOf(family)]));
const TOP_SAMPLES = new Map(TOPS.map((top) => [top.id, topSample(top)]));

type Props = { readonly piece: Piece; readonly which: 'family' | 'top' | null; readonly onClose: () => void };

/** All families, or all tops, drawn by our own geometry. What this piece can not take says why. */
export function KindDialog({ piece, which, onClose }: Props) {
  const change = useChange();
  const take = (changes: readonly Change[]) => {
    change(changes);
    onClose();
  };
  return (
    <Dialog open={which !== null} onClose={onClose} maxWidth="lg" fullWidth>
      <DialogTitle>{which === 'top' ? 'Which top?' : 'Which way to build it?'}</DialogTitle>
      <DialogContent>{which && <Kinds piece={piece} which={which} take={take} />}</DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

type KindsProps = {
  readonly piece: Piece;
  readonly which: 'family' | 'top';
  readonly take: (changes: readonly Change[]) => void;
};

function Kinds({ piece, which, take }: KindsProps) {
  const family = familyOf(piece);
  const drawn = useOneByOne(Math.max(FAMILIES.length, TOPS.length));
  return (
    <div className="cards kinds">
      {which === 'top' &&
        TOPS.map((top, at) => (
          <KindCard
            key={top.id}
            name={top.name}
            about={top.about}
            drawn={at < drawn}
            sample={held(TOP_SAMPLES, top.id)}
            chosen={top.id === piece.top}
            not={refusal(piece, family, top)}
            onTake={() =>
              take([set(piece.id, ['top'], top.id), set(piece.id, ['topChoices'], kept(top.choices, piece.topChoices))])
            }
          />
        ))}
      {which === 'family' &&
        FAMILIES.map((one, at) => {
          const top = TOPS.find((other) => other.id === piece.top);
          return (
            <KindCard
              key={one.id}
              name={one.name}
              about={one.about}
              drawn={at < drawn}
              sample={held(FAMILY_SAMPLES, one.id)}
              chosen={one.id === piece.family}
              not={one.topped && family.topped && top ? refusal(piece, one, top) : null}
              onTake={() =>
                take([set(piece.id, ['family'], one.id), set(piece.id, ['choices'], kept(one.choices, piece.choices))])
              }
            />
          );
        })}
    </div>
  );
}

type CardProps = {
  readonly name: string;
  readonly about: string;
  readonly sample: Piece;
  readonly drawn: boolean;
  readonly chosen: boolean;
  readonly not: string | null;
  readonly onTake: () => void;
};

function KindCard({ name, about, sample, drawn, chosen, not, onTake }: CardProps) {
  return (
    <button type="button" className="card" aria-pressed={chosen} disabled={not !== null} onClick={onTake}>
      {drawn ? <PiecePicture piece={sample} /> : <span className="picture-room" />}
      <strong>
        {name}
        {chosen && <span className="soft"> · now</span>}
      </strong>
      <span className={not ? 'not' : 'soft'}>{not ?? about}</span>
    </button>
  );
}
