import { InputAdornment, TextField } from '@mui/material';
import { useEffect, useId, useRef, useState, type ReactNode } from 'react';
import { LONGEST, parseLength, printLength, type Length } from '@sill/core';
import { useUnits } from '../state/hooks';
import './LengthField.css';

type Props = {
  readonly label: string;
  readonly value: Length;
  readonly onChange: (value: Length) => void;
  /** Least length that makes sense; 1 means more than nothing. */
  readonly least?: Length;
  readonly most?: Length;
  readonly mark?: ReactNode;
  /** Nobody has said the value: that it is just this is worth saying, typed again or by Enter alone. */
  readonly unsaid?: boolean;
  /** It is written down for good: taken once it is all said, not in a pause while one looks at the tape again. */
  readonly isReading?: boolean;
};

/** Fractions that have a sign of their own, as a field can not set any other. Typed either way they read the same. */
const SIGNS: Record<string, string> = {
  '1/2': '½',
  '1/4': '¼',
  '3/4': '¾',
  '1/8': '⅛',
  '3/8': '⅜',
  '5/8': '⅝',
  '7/8': '⅞',
};
const withSigns = (text: string): string => text.replace(/\b\d\/\d\b/, (fraction) => SIGNS[fraction] ?? fraction);

/** A pause this long in typing takes what is there. */
const PAUSE_MS = 600;
const NOTHING = () => {};

/**
 * A length typed any usual way. What can not be read stays as typed, with the reason under it, and the last good value
 * stays in force. Taken on Enter, on leaving, after a pause (a reading is not), and where the field goes while one
 * types.
 */
export function LengthField({
  label,
  value,
  onChange,
  least = 0,
  most = LONGEST,
  mark,
  unsaid = false,
  isReading = false,
}: Props) {
  const units = useUnits();
  const shown = withSigns(printLength(value, units));
  const [text, setText] = useState<string | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const help = useId();

  const parsed = text === null ? null : parseLength(text, units);
  const problem = !parsed
    ? null
    : !parsed.ok
      ? parsed.message
      : parsed.length < least
        ? least <= 1
          ? `It must be ${least === 0 ? '0 or more' : 'more than 0'}.`
          : `It must be at least ${printLength(least, units, true)}.`
        : parsed.length > most
          ? `It must be at most ${printLength(most, units, true)}.`
          : null;

  const goes = useRef(NOTHING);
  const take = (typed: string, leave: boolean) => {
    clearTimeout(timer.current);
    goes.current = NOTHING;
    const read = parseLength(typed, units);
    if (read.ok && read.length >= least && read.length <= most) {
      if (unsaid || read.length !== value) onChange(read.length);
      if (leave) setText(null);
    }
  };
  useEffect(() => {
    goes.current = () => text !== null && take(text, false);
  });
  useEffect(() => () => goes.current(), []);

  return (
    <TextField
      label={label}
      value={text ?? shown}
      error={problem !== null}
      helperText={problem ?? undefined}
      onChange={(event) => {
        const typed = event.target.value;
        setText(typed);
        clearTimeout(timer.current);
        if (!isReading) timer.current = setTimeout(() => take(typed, false), PAUSE_MS);
      }}
      onBlur={() => text !== null && take(text, true)}
      onKeyDown={(event) => {
        if (event.key === 'Enter' && (unsaid || text !== null)) take(text ?? shown, true);
        if (event.key === 'Escape') {
          clearTimeout(timer.current);
          setText(null);
        }
      }}
      slotProps={{
        htmlInput: {
          inputMode: 'text',
          autoComplete: 'off',
          spellCheck: false,
          'data-length': value,
          className: 'field-entry',
        },
        formHelperText: { id: help, role: problem ? 'alert' : undefined },
        input: {
          className: 'field-box',
          endAdornment: (
            <InputAdornment position="end" className="field-unit">
              {mark}
              {units === 'mm' ? 'mm' : '″'}
            </InputAdornment>
          ),
        },
      }}
    />
  );
}
