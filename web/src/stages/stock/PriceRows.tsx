import { Checkbox, Table, TableBody, TableCell, TableHead, TableRow, TextField } from '@mui/material';
import { memo, useMemo, useState } from 'react';
import {
  PER_FOOT,
  SPECIES,
  boardFeet,
  lumberAbout,
  nominalOf,
  speciesOf,
  hardwareName,
  isPoured,
  offerName,
  toMm,
  type BoardOffer,
  type HardwareOffer,
  type SheetOffer,
  type Units,
  type Yard,
} from '@sill/core';
import { useGrowing } from '../../ui/growing';
import { NumberField } from '../../ui/NumberField';
import { useChangeJob, useJob } from '../../state/hooks';
import { Text } from '../../words/Dim';
import { cents } from '../../words/money';
import './PriceRows.css';

export type Kind = 'boards' | 'sheets' | 'hardware';
/** A yard in the job: the first, or one that is bought at as well. */
export type YardPath = readonly ['yard'] | readonly ['alsoAt', string];
type Offer = BoardOffer | SheetOffer | HardwareOffer;

const isHardware = (offer: Offer): offer is HardwareOffer => 'kind' in offer;

/** What it is called, what it is, and its price by measure: so that lengths and sizes can be set side by side. */
function told(
  offer: Offer,
  units: 'in' | 'mm',
): { readonly name: string; readonly what: string; readonly by: readonly string[] } {
  if (isHardware(offer))
    return {
      name: hardwareName(offer.kind, offer.size),
      what: `${offer.count} ${isPoured(offer.kind) ? 'fl oz' : 'in a box'}`,
      by: [`${cents(offer.price / offer.count)} each`],
    };
  if ('sheet' in offer) {
    const feet = (offer.length / PER_FOOT) * (offer.width / PER_FOOT);
    return { name: offerName(offer, units), what: 'sheet', by: [`${cents(offer.price / feet)} a square foot`] };
  }
  const feet = offer.length / PER_FOOT;
  return {
    name: offerName(offer, units),
    what: `${offer.grade} ${SPECIES[speciesOf(offer.board)].name}`,
    by:
      lumberAbout(offer.board).region === 'us'
        ? [
            `${cents(offer.price / feet)} a foot`,
            `${cents(offer.price / boardFeet(nominalOf(offer.board), feet))} a board foot`,
          ]
        : [`${cents((offer.price * 1000) / toMm(offer.length))} a metre`],
  };
}

/** Rows that are there at once, and that come with each turn after. */
const [FIRST, STEP] = [4, 8];

type Props = {
  readonly kind: Kind;
  readonly yard: Yard;
  /** Where the list is in the job. The same one every time: rows are drawn again where it is another. */
  readonly at: YardPath;
  readonly picked: string | null;
  readonly onPick: (offer: { readonly id: string; readonly name: string }) => void;
};

type RowProps = Pick<Props, 'kind' | 'at' | 'onPick'> & {
  readonly offer: Offer;
  readonly units: Units;
  readonly picked: boolean;
};

/** One price and its stock; drawn again only where something of it changed. */
const PriceRow = memo(function PriceRow({ kind, offer, units, at, picked, onPick }: RowProps) {
  const change = useChangeJob();
  const { name, what, by } = told(offer, units);
  return (
    <TableRow selected={picked}>
      <TableCell className="tag-cell">
        {isHardware(offer) ? (
          <Text of={name} />
        ) : (
          <button type="button" className="plain" onClick={() => onPick({ id: offer.id, name })}>
            <Text of={name} />
          </button>
        )}
      </TableCell>
      <TableCell className="soft wide-only">{what}</TableCell>
      <TableCell>
        <NumberField
          label={`Price of ${isHardware(offer) ? `${name}, ${offer.count}` : offer.id}`}
          money
          least={0}
          most={1_000_000}
          value={offer.price}
          onChange={(value) => value !== null && change([...at, kind, offer.id, 'price'], value)}
        />
      </TableCell>
      <TableCell className="soft wide-only by-measure">
        {by.map((words) => (
          <div key={words}>{words}</div>
        ))}
      </TableCell>
      {!isHardware(offer) && (
        <TableCell>
          <Checkbox
            checked={offer.inStock}
            onChange={(_, checked) =>
              change([...at, 'sheet' in offer ? 'sheets' : 'boards', offer.id, 'inStock'], checked)
            }
            slotProps={{ input: { 'aria-label': `${offer.id} in stock` } }}
          />
        </TableCell>
      )}
    </TableRow>
  );
});

/** The rows of one kind in the job's price list, each price and its stock to be changed at once. */
export function PriceRows({ kind, yard, at, picked, onPick }: Props) {
  const { units } = useJob();
  const [search, setSearch] = useState('');
  const offers: readonly Offer[] = yard[kind];
  const named = useMemo(() => {
    const words = ({ name, what }: ReturnType<typeof told>) => `${name} ${what}`.toLowerCase();
    return offers.map((offer) => ({ offer, words: words(told(offer, units)) }));
  }, [offers, units]);
  const rows = named.filter(({ words }) => words.includes(search.trim().toLowerCase()));
  const drawn = useGrowing(rows.length, `${yard.id} ${kind}`, FIRST, STEP);
  return (
    <>
      <TextField
        label={`Find in ${kind}`}
        size="small"
        value={search}
        onChange={(event) => setSearch(event.target.value)}
      />
      <div className="scroll price-rows">
        <Table size="small" aria-label={`Prices of ${kind}`}>
          <TableHead>
            <TableRow>
              <TableCell>{kind === 'hardware' ? 'Thing' : 'Board'}</TableCell>
              <TableCell className="wide-only">{kind === 'boards' ? 'Grade' : ''}</TableCell>
              <TableCell>Price each</TableCell>
              <TableCell className="wide-only">That is</TableCell>
              {kind !== 'hardware' && <TableCell>In stock</TableCell>}
            </TableRow>
          </TableHead>
          <TableBody>
            {rows.slice(0, drawn).map(({ offer }) => (
              <PriceRow
                key={offer.id}
                kind={kind}
                offer={offer}
                units={units}
                at={at}
                picked={offer.id === picked}
                onPick={onPick}
              />
            ))}
          </TableBody>
        </Table>
        {rows.length === 0 && <p className="soft">Nothing of this name is in the list.</p>}
      </div>
    </>
  );
}
