import { fastenerLines, HARDWARE, type FastenerLine, type Plan } from '@sill/core';
import { Text } from '../words/Dim';

/** A row of the list of fasteners: of one piece. */
export type FastenerRow = FastenerLine & { readonly piece: string };

export function FastenerSheet({ rows }: { readonly rows: readonly FastenerRow[] }) {
  return (
    <table className="print-table">
      <thead>
        <tr>
          {['Piece', 'Fastener', 'Pilot', 'Clearance', 'Counterbore', 'Bit', 'Count'].map((head) => (
            <th key={head}>{head}</th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={`${row.piece} ${row.kind} ${row.size} ${row.pilot} ${row.counterbore}`}>
            <td>{row.piece}</td>
            <td>
              <Text of={`${HARDWARE[row.kind]} ${row.size}`} /> {row.thread === 'coarse' ? row.thread : ''}
            </td>
            <td>
              <Text of={row.pilot} />
            </td>
            <td>
              <Text of={row.clearance} />
            </td>
            <td>
              <Text of={row.counterbore} />
            </td>
            <td>{row.bit}</td>
            <td>{row.count}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** All fasteners of a job, piece by piece. */
export const fastenerRows = (plan: Plan): readonly FastenerRow[] =>
  plan.pieces.flatMap(({ piece, fastenings }) =>
    fastenerLines(fastenings, piece.copies).map((line) => ({ ...line, piece: piece.name })),
  );
