import { cutNumbers, printMaterial, type CutPiece, type Plan } from '@sill/core';
import { DataTable, type TableColumn } from '../../ui/DataTable';
import { Dim } from '../../words/Dim';
import { useLabel } from '../../words/labels';

/** Every piece with its sizes, its board and the cut that frees it. */
export function ByPiece({ plan }: { readonly plan: Plan }) {
  const label = useLabel();
  type Row = { readonly id: string; readonly piece: CutPiece; readonly board: number; readonly cut: number | null };
  const cutOf = cutNumbers(plan.cuts);
  const rows = plan.buying.boards.flatMap((board): Row[] =>
    board.pieces.map((piece, at) => ({
      id: `${board.number}.${at}`,
      piece,
      board: board.number,
      cut: cutOf.get(piece) ?? null,
    })),
  );
  const columns: TableColumn<Row>[] = [
    { key: 'piece', head: 'Piece', value: (row) => label(row.piece.blank.part.id) },
    { key: 'name', head: 'Part', value: (row) => row.piece.blank.part.name },
    {
      key: 'rough',
      head: 'Cut to',
      number: true,
      value: (row) => row.piece.length,
      cell: (row) => <Dim of={row.piece.length} />,
    },
    {
      key: 'finished',
      head: 'Finished',
      number: true,
      value: (row) => row.piece.blank.part.length,
      cell: (row) => <Dim of={row.piece.blank.part.length} />,
    },
    {
      key: 'rip',
      head: 'Rip to',
      number: true,
      value: (row) => row.piece.blank.rip?.to ?? 0,
      cell: (row) => (row.piece.blank.rip ? <Dim of={row.piece.blank.rip.to} /> : ''),
    },
    { key: 'board', head: 'Board', number: true, value: (row) => row.board },
    { key: 'stock', head: 'From', value: (row) => printMaterial(row.piece.blank.material) },
    { key: 'cut', head: 'Cut', number: true, value: (row) => row.cut ?? '' },
  ];
  return (
    <section className="sheet">
      <DataTable
        name="Pieces"
        rows={rows}
        columns={columns}
        rowId={(row) => row.id}
        partOf={(row) => row.piece.blank.part.id}
      />
    </section>
  );
}
