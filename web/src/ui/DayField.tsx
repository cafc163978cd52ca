import { TextField } from '@mui/material';

type Props = {
  readonly label: string;
  /** A date like `2026-11-28`; null where none is wanted. */
  readonly value: string | null;
  readonly onChange: (value: string | null) => void;
};

/** A day that is typed or picked. */
export function DayField({ label, value, onChange }: Props) {
  return (
    <TextField
      type="date"
      label={label}
      value={value ?? ''}
      onChange={({ target }) => onChange(target.value === '' ? null : target.value)}
      slotProps={{ inputLabel: { shrink: true }, htmlInput: { min: '2000-01-01', max: '2100-12-31' } }}
    />
  );
}
