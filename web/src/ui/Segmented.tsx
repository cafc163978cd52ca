import { ToggleButton, ToggleButtonGroup } from '@mui/material';
import type { ReactNode } from 'react';
import './Segmented.css';

type Props<Value extends string | number | boolean> = {
  /** What is chosen, for those who do not see it. */
  readonly label: string;
  readonly value: Value;
  readonly options: readonly (readonly [value: Value, words: ReactNode])[];
  readonly onChange: (value: Value) => void;
};

/** One of a few, side by side; one is always chosen. */
export function Segmented<Value extends string | number | boolean>({ label, value, options, onChange }: Props<Value>) {
  return (
    <ToggleButtonGroup
      className="segmented"
      size="small"
      exclusive
      value={value}
      onChange={(_, next: Value | null) => next !== null && onChange(next)}
      aria-label={label}
    >
      {options.map(([key, words]) => (
        <ToggleButton key={String(key)} value={key} className="segment">
          {words}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
