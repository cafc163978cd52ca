import { Checkbox, Table, TableBody, TableCell, TableHead, TableRow, TextField } from '@mui/material';
import { useState } from 'react';
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
  type Yard,
} from '@sill/core';
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

type Props = {
  readonly kind: Kind;
  readonly yard: Yard;
  /** Where the list is in the job. */
  readonly at: YardPath;
  readonly picked: string | null;
  readonly onPick: (offer: { readonly id: string; readonly name: string }) => void;
};

/** The rows of one kind in the job's price list, each price and its stock to be changed at once. */
export function PriceRows({ kind, yard, at, picked, onPick }: Props) {
  const { units } = useJob();
  const change = useChangeJob();
  const [search, setSearch] = useState('');
  const offers: readonly Offer[] = yard[kind];
  const rows = offers
    .map((offer) => ({ offer, ...told(offer, units) }))
    .filter(({ name, what }) => `${name} ${what}`.toLowerCase().includes(search.trim().toLowerCase()));
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
            {rows.map(({ offer, name, what, by }) => (
              <TableRow key={offer.id} selected={offer.id === picked}>
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
            ))}
          </TableBody>
        </Table>
        {rows.length === 0 && <p className="soft">Nothing of this name is in the list.</p>}
      </div>
    </>
  );
}
