import { MenuItem, TextField } from '@mui/material';

type Props<Value extends string | number> = {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly (readonly [Value, string])[];
  readonly onChange: (value: Value) => void;
  /** In a table the column says what it is: the label is read out alone. */
  readonly quiet?: boolean;
};

/** One of a few, picked from a list that opens. */
export function Pick<Value extends string | number>({ label, value, options, onChange, quiet = false }: Props<Value>) {
  return (
    <TextField
      select
      {...(quiet ? { size: 'small', fullWidth: true, slotProps: { htmlInput: { 'aria-label': label } } } : { label })}
      value={value}
      onChange={({ target }) => onChange(target.value as unknown as Value)}
    >
      {options.map(([key, words]) => (
        <MenuItem key={key} value={key}>
          {words}
        </MenuItem>
      ))}
    </TextField>
  );
}
