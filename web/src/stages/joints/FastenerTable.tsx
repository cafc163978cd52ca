import { fastenerLines, HARDWARE, type Fastening, type FastenerLine } from '@sill/core';
import { DataTable, type TableColumn } from '../../ui/DataTable';
import { Text } from '../../words/Dim';

const COLUMNS: readonly TableColumn<FastenerLine>[] = [
  {
    key: 'kind',
    head: 'Fastener',
    value: ({ kind, size }) => `${HARDWARE[kind]} ${size}`,
    cell: ({ kind, size }) => <Text of={`${HARDWARE[kind]} ${size}`} />,
  },
  { key: 'head', head: 'Head', value: ({ head }) => head },
  { key: 'thread', head: 'Thread', value: ({ thread }) => thread },
  { key: 'pilot', head: 'Pilot', value: ({ pilot }) => pilot, cell: ({ pilot }) => <Text of={pilot} /> },
  {
    key: 'clearance',
    head: 'Clearance',
    value: ({ clearance }) => clearance,
    cell: ({ clearance }) => <Text of={clearance} />,
  },
  {
    key: 'counterbore',
    head: 'Counterbore',
    value: ({ counterbore }) => counterbore,
    cell: ({ counterbore }) => <Text of={counterbore} />,
  },
  { key: 'bit', head: 'Bit', value: ({ bit }) => bit },
  { key: 'count', head: 'Count', value: ({ count }) => count, number: true },
];

/** All fasteners of a piece with what is drilled for them. */
export function FastenerTable({ made, copies }: { readonly made: readonly Fastening[]; readonly copies: number }) {
  return (
    <DataTable
      rows={fastenerLines(made, copies)}
      columns={COLUMNS}
      rowId={({ kind, size, pilot, counterbore }) => `${kind} ${size} ${pilot} ${counterbore}`}
      name="Fasteners"
    />
  );
}
