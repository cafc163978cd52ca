import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useState } from 'react';
import { inches, MOST_LOOSE, partsCsv, readPartsCsv, type Part, type Piece, type RowProblem, set } from '@sill/core';
import { saveFile, textOfChosenFile } from '../../platform/files';
import { useChange, useUnits } from '../../state/hooks';

type Props = { readonly piece: Piece; readonly parts: readonly Part[]; readonly onAdded: (tag: string) => void };

/** Adding a part, reading a list of parts, saving the list. */
/** At most so many rows are named; how many more there are is said. */
const MOST = 30;

const Rows = ({ of }: { readonly of: readonly RowProblem[] }) => (
  <ul className="problems">
    {of.slice(0, MOST).map(({ row, message }) => (
      <li key={`${row} ${message}`}>
        <strong>Row {row}.</strong> {message}
      </li>
    ))}
    {of.length > MOST && <li>and {of.length - MOST} more</li>}
  </ul>
);

export function PartsTools({ piece, parts, onAdded }: Props) {
  const change = useChange();
  const units = useUnits();
  const [result, setResult] = useState<ReturnType<typeof readPartsCsv> | null>(null);
  const put = (more: Piece['loose']) => change(more.map((row) => set(piece.id, ['loose', row.tag], row)));
  // What was added a moment ago is not in the plan yet.
  const taken = new Set([...parts, ...piece.loose].map(({ tag }) => tag));
  const add = () => {
    let number = 1;
    while (taken.has(`X${number}`)) number++;
    const tag = `X${number}`;
    put([{ tag, name: 'extra part', material: '1x4', length: inches(24), width: inches(3.5), count: 1 }]);
    onAdded(tag);
  };
  const importCsv = async () => {
    const text = await textOfChosenFile('.csv,text/csv');
    if (text === null) return;
    const read = readPartsCsv(text, units, taken, MOST_LOOSE - piece.loose.length);
    if (read.parts.length > 0) put(read.parts);
    setResult(read);
  };
  return (
    <>
      <Button onClick={add}>Add a part</Button>
      <Button onClick={() => void importCsv()}>Import CSV</Button>
      <Button onClick={() => saveFile(`${piece.name} parts.csv`, 'text/csv', partsCsv(parts, units))}>Save CSV</Button>
      <Dialog open={result !== null} onClose={() => setResult(null)} maxWidth="sm" fullWidth>
        <DialogTitle>
          {result?.parts.length ?? 0} {result?.parts.length === 1 ? 'part' : 'parts'} read
        </DialogTitle>
        <DialogContent>
          {result && result.problems.length === 0 && (
            <p>They stand at the end of the list, and are in the buying list now.</p>
          )}
          {result && result.problems.length > 0 && (
            <>
              <p>These rows were left out; the others are in the list.</p>
              <Rows of={result.problems} />
            </>
          )}
          {result && result.losses.length > 0 && (
            <>
              <p>These are taken as square boards. Cut by hand what the file says besides:</p>
              <Rows of={result.losses} />
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
