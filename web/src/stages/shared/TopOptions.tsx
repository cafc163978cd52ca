import { Button, Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import { scaleLinear } from 'd3';
import { useEffect, useState } from 'react';
import { boardKey, printMaterial, type Piece, type Plan, type TopOption } from '@sill/core';
import { useChangePiece, useEdges, useFrom, useJob } from '../../state/hooks';
import { Dim } from '../../words/Dim';
import { cents, difference } from '../../words/money';
import './TopOptions.css';

/** The options of the plan in view, worked out beside it; the last ones stay until the new ones are there. */
function useTopOptions(piece: Piece, plan: Plan) {
  const job = useJob();
  const of = useFrom((state) => state.planning.of);
  const { planner } = useEdges();
  const [options, setOptions] = useState<{
    readonly piece: string;
    readonly rows: readonly TopOption[] | 'failed';
  } | null>(null);
  useEffect(() => {
    if (of !== job) return;
    let gone = false;
    planner.topOptions(job, plan, piece.id).then(
      (rows) => !gone && setOptions({ piece: piece.id, rows }),
      () => !gone && setOptions({ piece: piece.id, rows: 'failed' }),
    );
    return () => {
      gone = true;
    };
  }, [job, of, plan, piece.id, planner]);
  return options?.piece === piece.id ? options.rows : null;
}

const BAR = scaleLinear().domain([0, 0.4]).range([0, 64]).clamp(true);

/** The same top from every board width, cost and leftover side by side, one click to choose. */
export function TopOptions({ piece, plan }: { readonly piece: Piece; readonly plan: Plan }) {
  const found = useTopOptions(piece, plan);
  const rows = found === 'failed' ? null : found;
  const change = useChangePiece(piece.id);
  return (
    <section className="sheet top-options" aria-label="The same top from other boards">
      <h2>
        The same top,{' '}
        {rows
          ? (['no', 'one way', 'two ways', 'three ways', 'four ways', 'five ways'][rows.length] ?? 'other ways')
          : 'other ways'}
      </h2>
      {!found && <p role="status">Working out the other widths.</p>}
      {found === 'failed' && <p role="status">The other widths could not be worked out; the plan itself stands.</p>}
      {rows && (
        <div className="scroll">
          <Table size="small">
            <TableHead>
              <TableRow>
                <TableCell>Boards</TableCell>
                <TableCell align="right">Glue lines</TableCell>
                <TableCell align="right">Whole job</TableCell>
                <TableCell align="right">Against now</TableCell>
                <TableCell>Left over</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {rows.map((row) => (
                <TableRow key={row.nominal} selected={row.chosen}>
                  <TableCell>
                    <strong>
                      {row.boards} of {printMaterial(boardKey(piece.wood, row.nominal))}
                    </strong>{' '}
                    at <Dim of={row.ripTo} />
                  </TableCell>
                  <TableCell align="right">{row.glueLines}</TableCell>
                  <TableCell align="right">{row.not ? '' : cents(row.total)}</TableCell>
                  <TableCell align="right" className={row.difference < 0 ? 'saves' : ''}>
                    {row.chosen ? (
                      'chosen'
                    ) : row.not ? (
                      <span className="soft">{row.not}</span>
                    ) : (
                      <Button
                        size="small"
                        variant="text"
                        color={row.difference < 0 ? 'success' : 'inherit'}
                        onClick={() => change(['topChoices', 'width'], row.nominal.split('x')[1])}
                        aria-label={`Take ${row.boards} of ${row.nominal}, ${difference(row.difference)}`}
                      >
                        {difference(row.difference)}
                      </Button>
                    )}
                  </TableCell>
                  <TableCell>
                    <span className="left-bar">
                      <svg width={64} height={9} aria-hidden>
                        <rect width={BAR(row.leftShare)} height={9} />
                      </svg>
                      {Math.round(row.leftShare * 100)}%
                    </span>
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </div>
      )}
    </section>
  );
}
