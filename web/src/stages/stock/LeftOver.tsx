import { Button, Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import { printMaterial, type Body, type Plan } from '@sill/core';
import { useErrand } from '../../state/useErrand';
import { about, useTell } from '../../state/useLedger';
import { Dim, Text } from '../../words/Dim';
import { useLabel } from '../../words/labels';
import { cents } from '../../words/money';
import { useLeftOver } from '../../state/useLeftOver';

/** What is bought and not needed, and what is left of boards that are cut: taken back, racked or given away. */
export function LeftOver({ plan }: { readonly plan: Plan }) {
  const label = useLabel();
  const tell = useTell();
  const { bodies: rows, isReached, toRack: put } = useLeftOver(plan);
  const { busy, run } = useErrand();
  if (rows.length === 0) return null;
  const toRack = (bodies: readonly Body[]) =>
    run(async () => {
      tell(await put(bodies, []));
      return `${bodies.length === 1 ? 'It lies' : `${bodies.length} pieces lie`} on the rack now, for any job.`;
    });
  return (
    <section className="sheet" aria-label="Left over">
      <h2>Left over</h2>
      <div className="scroll">
        <Table size="small" aria-label="Left over">
          <TableHead>
            <TableRow>
              <TableCell>Piece</TableCell>
              <TableCell>What it is</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {rows.map((body) => (
              <TableRow key={body.id}>
                <TableCell className="tag-cell">
                  <Text of={printMaterial(body.material)} /> <Dim of={body.length} /> × <Dim of={body.width} />
                </TableCell>
                <TableCell className="soft">
                  {body.bought
                    ? `bought for ${cents(body.bought.price)}, not used now`
                    : body.piece
                      ? `cut as ${label(body.piece.part)}, no part now`
                      : 'offcut'}
                </TableCell>
                <TableCell align="right" className="actions">
                  {body.bought && (
                    <Button size="small" onClick={() => tell([about('returned', body.id)])}>
                      Taken back
                    </Button>
                  )}
                  <Button size="small" disabled={busy || !isReached} onClick={() => toRack([body])}>
                    To the rack
                  </Button>
                  <Button size="small" onClick={() => tell([about('gone', body.id)])}>
                    Given away
                  </Button>
                  <Button size="small" onClick={() => tell([about('spoiled', body.id)])}>
                    Spoiled
                  </Button>
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </div>
      {rows.length > 1 && (
        <div className="table-tools">
          <Button disabled={busy || !isReached} onClick={() => toRack(rows)}>
            Put all {rows.length} on the rack
          </Button>
        </div>
      )}
    </section>
  );
}
