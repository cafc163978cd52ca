import { type Part, printMaterial, first } from '@sill/core';
import { runs } from '../words/labels';
import { Dim, Text } from '../words/Dim';
import { TickBox } from './TickBox';

type PartsProps = { readonly rows: readonly (readonly Part[])[]; readonly label: (id: string) => string };

export function PartsSheet({ rows, label }: PartsProps) {
  return (
    <table className="print-table">
      <thead>
        <tr>
          <th />
          <th>Tags</th>
          <th>Count</th>
          <th>Part</th>
          <th>Long</th>
          <th>Wide</th>
          <th>Thick</th>
          <th>From</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => {
          const part = first(row);
          return (
            <tr key={part.id}>
              <td>
                <TickBox />
              </td>
              <td>
                <b>{runs(row.map(({ id }) => label(id)))}</b>
              </td>
              <td>{row.length * part.count}</td>
              <td>{part.name}</td>
              <td>
                <Dim of={part.length} />
              </td>
              <td>
                <Dim of={part.width} />
              </td>
              <td>
                <Dim of={part.thickness} />
              </td>
              <td>
                {part.plies > 1 && `${part.plies} × `}
                <Text of={printMaterial(part.material)} />
              </td>
              <td>{part.fit ? 'fit' : ''}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** Parts that are alike but for their tag, in one row. */
export function alikeParts(parts: readonly Part[]): readonly (readonly Part[])[] {
  const rows = new Map<string, Part[]>();
  for (const part of parts) {
    const key = JSON.stringify([
      part.piece,
      part.name,
      part.length,
      part.width,
      part.thickness,
      part.material,
      part.plies,
      part.count,
    ]);
    rows.set(key, [...(rows.get(key) ?? []), part]);
  }
  return [...rows.values()];
}
