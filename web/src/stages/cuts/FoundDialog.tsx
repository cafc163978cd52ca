import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useState } from 'react';
import { inches, type Body, type Entry } from '@sill/core';
import { STAMP, useTell } from '../../state/useLedger';
import { LengthField } from '../../ui/LengthField';
import './FoundDialog.css';

/** What a board turns out to be before it is cut: longer or shorter, with a stretch that is no good. */
export function FoundDialog({ body, onClose }: { readonly body: Body; readonly onClose: () => void }) {
  const tell = useTell();
  const [length, setLength] = useState(body.length);
  const [width, setWidth] = useState(body.width);
  const [bad, setBad] = useState(body.bad[0] ?? { from: 0, to: 0 });
  const isSized = length !== body.length || width !== body.width;
  const isBad = bad.to > bad.from;
  const wasBad = body.bad.length > 0;
  const beyond = isBad && bad.to > length;
  const save = () => {
    const of = body.id;
    const sized: Entry = { id: STAMP.id(), at: STAMP.at, what: 'sized', of, length, width };
    const marked: Entry = {
      ...{ id: STAMP.id(), at: STAMP.at, what: 'marked', of, note: body.note },
      bad: isBad ? [bad, ...body.bad.slice(1)] : body.bad.slice(1),
    };
    tell([...(isSized ? [sized] : []), ...(isBad || wasBad ? [marked] : [])]);
    onClose();
  };
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth>
      <DialogTitle>What this board really is</DialogTitle>
      <DialogContent className="found-dialog">
        <p className="soft">The rest is planned around it. What is cut already stays as it is.</p>
        <div>
          <LengthField label="Length" value={length} least={inches(1)} onChange={setLength} />
          <LengthField label="Width" value={width} least={inches(1 / 4)} onChange={setWidth} />
        </div>
        <div>
          <LengthField label="No good from" value={bad.from} onChange={(from) => setBad({ ...bad, from })} />
          <LengthField label="to" value={bad.to} onChange={(to) => setBad({ ...bad, to })} />
        </div>
        <p className={beyond ? 'found-wrong' : 'soft'} role={beyond ? 'alert' : undefined}>
          {beyond
            ? 'The stretch reaches beyond the board: give where it ends on it.'
            : 'From its left end as the plan shows it. Both alike: no such stretch.'}
        </p>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button variant="contained" disabled={beyond || !(isSized || isBad || wasBad)} onClick={save}>
          Plan with it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
