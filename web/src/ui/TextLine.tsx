import { TextField } from '@mui/material';
import { useState } from 'react';

type Props = {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly required?: boolean;
  readonly most: number;
};

/** One line of text. An empty required line is told and the last name stays in force. */
export function TextLine({ label, value, onChange, required = false, most }: Props) {
  const [text, setText] = useState<string | null>(null);
  const empty = required && text !== null && text.trim() === '';
  return (
    <TextField
      label={label}
      value={text ?? value}
      error={empty}
      helperText={empty ? 'A name is needed.' : undefined}
      onChange={(event) => {
        const typed = event.target.value.slice(0, most);
        setText(typed);
        if (!required || typed.trim() !== '') onChange(typed);
      }}
      onBlur={() => setText(null)}
      slotProps={{ htmlInput: { autoComplete: 'off' } }}
    />
  );
}
