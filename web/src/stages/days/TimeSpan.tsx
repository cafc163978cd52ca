import { TextField } from '@mui/material';
import { useState } from 'react';

type Span = { readonly from: number; readonly to: number };

const print = (minute: number): string =>
  `${String(Math.floor(Math.min(minute, 1439) / 60)).padStart(2, '0')}:${String(Math.min(minute, 1439) % 60).padStart(2, '0')}`;
/** Minutes of a day; null where no time is typed. Midnight at the end is the end of the day. */
function read(text: string, isEnd: boolean): number | null {
  const match = /^(\d{1,2}):(\d{2})$/.exec(text);
  if (!match) return null;
  const minute = 60 * Number(match[1]) + Number(match[2]);
  return isEnd && (minute === 0 || minute === 1439) ? 1440 : minute;
}

/** From one time of a day to a later one. What is not later is said, and not taken. */
export function TimeSpan({ from, to, onChange }: Span & { readonly onChange: (next: Span) => void }) {
  const [typed, setTyped] = useState<{ readonly from: string; readonly to: string } | null>(null);
  const shown = typed ?? { from: print(from), to: print(to) };
  const put = (next: { readonly from: string; readonly to: string }) => {
    setTyped(next);
    const [begin, end] = [read(next.from, false), read(next.to, true)];
    if (begin !== null && end !== null && begin < end && (begin !== from || end !== to))
      onChange({ from: begin, to: end });
  };
  const [begin, end] = [read(shown.from, false), read(shown.to, true)];
  const problem =
    begin === null || end === null ? 'A time such as 19:00.' : begin >= end ? 'It must end after it begins.' : null;
  return (
    <span className="time-span">
      <TextField
        type="time"
        label="From"
        value={shown.from}
        onChange={({ target }) => put({ ...shown, from: target.value })}
        onBlur={() => problem === null && setTyped(null)}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <TextField
        type="time"
        label="To"
        value={shown.to}
        error={problem !== null}
        helperText={problem ?? undefined}
        onChange={({ target }) => put({ ...shown, to: target.value })}
        onBlur={() => problem === null && setTyped(null)}
        slotProps={{ inputLabel: { shrink: true }, formHelperText: { role: problem ? 'alert' : undefined } }}
      />
    </span>
  );
}
