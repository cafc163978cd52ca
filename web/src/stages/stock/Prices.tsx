import { Button, Checkbox, Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import { hardwareName, offerName, printNominal } from '@sill/core';
import { api } from '../../api';
import { NumberField } from '../../fields/NumberField';
import { TextLine } from '../../fields/TextLine';
import { useChange, useJob } from '../../state/hooks';
import { useErrand } from '../../state/useErrand';
import { Text } from '../../words/Dim';

/** The price list of this job. Changing a price changes this job at once; the yard's own list only when told to. */
export function Prices() {
  const { yard, units } = useJob();
  const change = useChange();
  const { busy, run } = useErrand();
  const set = (path: readonly (string | number)[], value: unknown) =>
    change([{ piece: null, path: ['yard', ...path], value }]);
  const keepInYard = () =>
    run(async () => {
      const before = (await api.yards.all()).find((row) => row.id === yard.id);
      await api.yards.save(yard.id, before?.revision ?? 0, yard);
      return `Kept in ${yard.name}. New jobs can take these prices.`;
    });
  const takeFromYard = () =>
    run(async () => {
      const found = (await api.yards.all()).find((row) => row.id === yard.id);
      if (!found) throw new Error('The yard has no list of this name yet. Keep these prices there first.');
      change([{ piece: null, path: ['yard'], value: found.value }]);
      return `Prices taken from ${found.value.name}.`;
    });
  return (
    <section className="sheet prices" aria-label="Prices">
      <div className="row">
        <TextLine label="Yard" value={yard.name} required most={120} onChange={(value) => set(['name'], value)} />
        <NumberField
          label="Sales tax"
          unit="%"
          least={0}
          most={50}
          fractions
          value={yard.tax}
          onChange={(value) => value !== null && set(['tax'], value)}
        />
        <Button disabled={busy} onClick={takeFromYard}>
          Take the yard’s prices
        </Button>
        <Button disabled={busy} onClick={keepInYard}>
          Keep these in the yard
        </Button>
      </div>
      <p className="soft">Prices before tax, made up. A board that is not in stock is left out of every plan.</p>
      <div className="scroll">
        <Table size="small" aria-label="Board prices">
          <TableHead>
            <TableRow>
              <TableCell>Board</TableCell>
              <TableCell>Grade</TableCell>
              <TableCell>Price each</TableCell>
              <TableCell>In stock</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {yard.boards.map((offer, at) => (
              <TableRow key={offer.id}>
                <TableCell className="tag-cell">
                  {printNominal(offer.nominal)}×{offer.feet}
                </TableCell>
                <TableCell className="soft">{offer.grade}</TableCell>
                <TableCell>
                  <NumberField
                    label={`Price of ${offer.id}`}
                    money
                    least={0}
                    most={1_000_000}
                    value={offer.price}
                    onChange={(value) => value !== null && set(['boards', at, 'price'], value)}
                  />
                </TableCell>
                <TableCell>
                  <Checkbox
                    checked={offer.inStock}
                    onChange={(_, checked) => set(['boards', at, 'inStock'], checked)}
                    slotProps={{ input: { 'aria-label': `${offer.id} in stock` } }}
                  />
                </TableCell>
              </TableRow>
            ))}
            {yard.sheets.map((offer, at) => (
              <TableRow key={offer.id}>
                <TableCell className="tag-cell">
                  <Text of={offerName(offer, units)} />
                </TableCell>
                <TableCell className="soft">sheet</TableCell>
                <TableCell>
                  <NumberField
                    label={`Price of ${offer.id}`}
                    money
                    least={0}
                    most={1_000_000}
                    value={offer.price}
                    onChange={(value) => value !== null && set(['sheets', at, 'price'], value)}
                  />
                </TableCell>
                <TableCell>
                  <Checkbox
                    checked={offer.inStock}
                    onChange={(_, checked) => set(['sheets', at, 'inStock'], checked)}
                    slotProps={{ input: { 'aria-label': `${offer.id} in stock` } }}
                  />
                </TableCell>
              </TableRow>
            ))}
            {yard.hardware.map((offer, at) => (
              <TableRow key={offer.id}>
                <TableCell>
                  <Text of={hardwareName(offer.kind, offer.size)} />
                </TableCell>
                <TableCell className="soft">
                  {offer.count} {offer.kind === 'glue' ? 'fl oz' : 'in a box'}
                </TableCell>
                <TableCell>
                  <NumberField
                    label={`Price of ${hardwareName(offer.kind, offer.size)}, ${offer.count}`}
                    money
                    least={0}
                    most={1_000_000}
                    value={offer.price}
                    onChange={(value) => value !== null && set(['hardware', at, 'price'], value)}
                  />
                </TableCell>
                <TableCell />
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </div>
    </section>
  );
}
