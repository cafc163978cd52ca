import { Button, TextField } from '@mui/material';
import { useState, type FormEvent } from 'react';
import { HARDWARE, readYardCsv, withRows, type HardwareKind, type Yard, writeCsv } from '@sill/core';
import { useUnits } from '../../state/hooks';
import type { Kind } from './PriceRows';
import './AddRow.css';

const FIELDS: Readonly<Record<Kind, readonly (readonly [name: string, label: string, example: string])[]>> = {
  boards: [
    ['size', 'Board', '1x6 red oak'],
    ['length', 'Length', '8 ft'],
    ['grade', 'Grade', 'S4S'],
    ['price', 'Price', '54.90'],
  ],
  sheets: [
    ['size', 'Sheet', '3/4 plywood'],
    ['length', 'Length', '96'],
    ['width', 'Width', '48'],
    ['price', 'Price', '54.80'],
  ],
  hardware: [
    ['kind', 'Kind', 'pocket-screw'],
    ['size', 'Size', '1 1/4'],
    ['count', 'In a box', '100'],
    ['price', 'Price', '6.48'],
  ],
};

type Props = { readonly kind: Kind; readonly yard: Yard; readonly onTake: (yard: Yard) => void };

/** One more row of a price list, read and checked as a row of a file is. */
export function AddRow({ kind, yard, onTake }: Props) {
  const units = useUnits();
  const [row, setRow] = useState<Readonly<Record<string, string>>>({});
  const [problem, setProblem] = useState<string | null>(null);
  const add = (event: FormEvent) => {
    event.preventDefault();
    const full = kind === 'hardware' ? row : { ...row, kind: kind === 'boards' ? 'board' : 'sheet' };
    const names = ['kind', 'size', 'length', 'width', 'grade', 'count', 'price'];
    const read = readYardCsv(writeCsv(names, [names.map((name) => full[name as keyof typeof full] ?? '')]), units);
    const wrong = read.problems[0];
    if (wrong) return setProblem(wrong.message);
    onTake(withRows(yard, read));
    setRow({});
    setProblem(null);
  };
  return (
    <form className="row wrap add-row" onSubmit={add} aria-label="Add a row">
      {FIELDS[kind].map(([name, label, example]) => (
        <TextField
          key={name}
          size="small"
          label={label}
          placeholder={name === 'kind' ? (Object.keys(HARDWARE) as HardwareKind[])[0] : example}
          value={row[name] ?? ''}
          onChange={({ target }) => {
            setRow({ ...row, [name]: target.value });
            setProblem(null);
          }}
        />
      ))}
      <Button type="submit">Add</Button>
      {problem && <p role="alert">{problem}</p>}
    </form>
  );
}
