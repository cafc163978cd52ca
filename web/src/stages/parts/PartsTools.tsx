import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useState } from 'react';
import { inches, partsCsv, readPartsCsv, type Part, type Piece, type RowProblem } from '@sill/core';
import { saveFile, textOfChosenFile } from '../../frame/files';
import { useChange, useUnits } from '../../state/hooks';

type Props = { readonly piece: Piece; readonly parts: readonly Part[]; readonly onAdded: (tag: string) => void };

/** Adding a part, reading a list of parts, saving the list. */
export function PartsTools({ piece, parts, onAdded }: Props) {
  const change = useChange();
  const units = useUnits();
  const [result, setResult] = useState<{ readonly count: number; readonly problems: readonly RowProblem[] } | null>(
    null,
  );
  const put = (loose: Piece['loose']) => change([{ piece: piece.id, path: ['loose'], value: loose }]);
  const taken = new Set(parts.map((part) => part.tag));
  const add = () => {
    let number = 1;
    while (taken.has(`X${number}`)) number++;
    const tag = `X${number}`;
    put([
      ...piece.loose,
      { tag, name: 'extra part', material: '1x4', length: inches(24), width: inches(3.5), count: 1 },
    ]);
    onAdded(tag);
  };
  const importCsv = async () => {
    const text = await textOfChosenFile('.csv,text/csv');
    if (text === null) return;
    const read = readPartsCsv(text, units, taken);
    if (read.parts.length > 0) put([...piece.loose, ...read.parts]);
    setResult({ count: read.parts.length, problems: read.problems });
  };
  return (
    <>
      <Button onClick={add}>Add a part</Button>
      <Button onClick={() => void importCsv()}>Import CSV</Button>
      <Button onClick={() => saveFile(`${piece.name} parts.csv`, 'text/csv', partsCsv(parts, units))}>Save CSV</Button>
      <Dialog open={result !== null} onClose={() => setResult(null)} maxWidth="sm" fullWidth>
        <DialogTitle>
          {result?.count ?? 0} {result?.count === 1 ? 'part' : 'parts'} read
        </DialogTitle>
        <DialogContent>
          {result && result.problems.length === 0 && (
            <p>They stand at the end of the list, and are in the buying list now.</p>
          )}
          {result && result.problems.length > 0 && (
            <>
              <p>These rows were left out; the others are in the list.</p>
              <ul className="problems">
                {result.problems.slice(0, 30).map(({ row, message }) => (
                  <li key={`${row} ${message}`}>
                    <strong>Row {row}.</strong> {message}
                  </li>
                ))}
              </ul>
            </>
          )}
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setResult(null)}>Close</Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
