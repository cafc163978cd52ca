import { Button, Table, TableBody, TableCell, TableHead, TableRow, TableSortLabel, TextField } from '@mui/material';
import {
  getCoreRowModel,
  getFilteredRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type SortingState,
} from '@tanstack/react-table';
import { nth, writeCsv } from '@sill/core';
import { memo, useState, type KeyboardEvent, type ReactNode } from 'react';
import { marked, said } from '../state/view';
import { useApp, useFrom } from '../state/hooks';
import { useGrowing } from './growing';
import './DataTable.css';

/** Rows that are there at once, and that come with each turn after. */
const [FIRST, STEP] = [8, 12];

export type TableColumn<Row> = {
  readonly key: string;
  readonly head: string;
  /** What sorting and filtering see, and CSV too unless it has words of its own. */
  readonly value: (row: Row) => string | number;
  readonly csv?: (row: Row) => string;
  readonly cell?: (row: Row) => ReactNode;
  readonly number?: boolean;
};

type Props<Row> = {
  readonly rows: readonly Row[];
  readonly columns: readonly TableColumn<Row>[];
  readonly rowId: (row: Row) => string;
  /** Part that a row marks, where it is about one. */
  readonly partOf?: (row: Row) => string;
  /** A row that is picked, and what picking one does. */
  readonly picked?: string | null;
  readonly onPick?: (row: Row) => void;
  readonly name: string;
  readonly filter?: boolean;
};

type RowProps<Row> = Pick<Props<Row>, 'columns' | 'onPick'> & {
  readonly row: Row;
  readonly part: string | null;
  readonly picked: boolean;
};

/** One row; drawn again only where something of it changed. */
const BodyRow = memo(function BodyRow<Row>({ row, columns, part, picked, onPick }: RowProps<Row>) {
  const dispatch = useApp();
  const isMarked = useFrom((state) => part !== null && state.view.marked === part);
  return (
    <TableRow
      selected={isMarked || picked}
      {...(onPick
        ? {
            tabIndex: 0,
            'aria-selected': picked,
            onClick: () => onPick(row),
            onKeyDown: (event: KeyboardEvent) => event.key === 'Enter' && onPick(row),
            style: { cursor: 'pointer' },
          }
        : {})}
      onPointerEnter={() => part !== null && dispatch(marked(part))}
      onPointerLeave={() => part !== null && dispatch(marked(null))}
    >
      {columns.map(({ key, number, cell, value }) => (
        <TableCell key={key} align={number ? 'right' : 'left'}>
          {cell?.(row) ?? value(row)}
        </TableCell>
      ))}
    </TableRow>
  );
}) as <Row>(props: RowProps<Row>) => ReactNode;

/** A table that sorts, filters and copies as CSV. */
export function DataTable<Row>({
  rows,
  columns,
  rowId,
  partOf,
  picked = null,
  onPick,
  name,
  filter = true,
}: Props<Row>) {
  const dispatch = useApp();
  const [sorting, setSorting] = useState<SortingState>([]);
  const [search, setSearch] = useState('');
  const definitions: ColumnDef<Row>[] = columns.map((column) => ({
    id: column.key,
    header: column.head,
    accessorFn: column.value,
    sortingFn: column.number ? 'basic' : 'alphanumeric',
  }));
  // The table library keeps its own memory; the compiler lint is told so in its place.
  // oxlint-disable-next-line react/incompatible-library
  const table = useReactTable({
    data: rows as Row[],
    columns: definitions,
    state: { sorting, globalFilter: search },
    onSortingChange: setSorting,
    getRowId: rowId,
    globalFilterFn: 'includesString',
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
  });
  const shown = table.getRowModel().rows;
  const drawn = useGrowing(shown.length, name, FIRST, STEP);
  const copy = async () => {
    const csv = writeCsv(
      columns.map(({ head }) => head),
      shown.map((row) => columns.map((column) => (column.csv ?? column.value)(row.original))),
    );
    try {
      await navigator.clipboard.writeText(csv);
      dispatch(said({ text: `${name} copied as CSV, ${shown.length} rows.`, bad: false }));
    } catch {
      dispatch(said({ text: 'The browser did not allow copying.', bad: true }));
    }
  };
  return (
    <div className="data-table">
      <div className="table-tools">
        {filter && (
          <TextField
            label={`Find in ${name.toLowerCase()}`}
            value={search}
            onChange={(event) => setSearch(event.target.value)}
          />
        )}
        <Button onClick={() => void copy()}>Copy as CSV</Button>
      </div>
      <div className="scroll">
        <Table size="small" aria-label={name}>
          <TableHead>
            {table.getHeaderGroups().map((group) => (
              <TableRow key={group.id}>
                {group.headers.map((header, at) => (
                  <TableCell
                    key={header.id}
                    align={nth(columns, at).number ? 'right' : 'left'}
                    sortDirection={header.column.getIsSorted() || false}
                  >
                    <TableSortLabel
                      active={header.column.getIsSorted() !== false}
                      direction={header.column.getIsSorted() || 'asc'}
                      onClick={header.column.getToggleSortingHandler()}
                    >
                      {nth(columns, at).head}
                    </TableSortLabel>
                  </TableCell>
                ))}
              </TableRow>
            ))}
          </TableHead>
          <TableBody>
            {shown.slice(0, drawn).map((row) => (
              <BodyRow
                key={row.id}
                row={row.original}
                columns={columns}
                part={partOf?.(row.original) ?? null}
                picked={row.id === picked}
                {...(onPick ? { onPick } : {})}
              />
            ))}
          </TableBody>
        </Table>
      </div>
      {shown.length === 0 && search !== '' && <p className="soft">No row has “{search}” in it.</p>}
    </div>
  );
}
