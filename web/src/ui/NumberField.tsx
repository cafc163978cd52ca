import { InputAdornment, TextField } from '@mui/material';
import { useState } from 'react';
import { didYouMean, otherCurrency, readAmount } from '@sill/core';

type Props = {
  readonly label: string;
  /** What it is called where no label stands over it. */
  readonly name?: string;
  /** Null is an empty field, where `optional`. */
  readonly value: number | null;
  readonly onChange: (value: number | null) => void;
  readonly least: number;
  readonly most: number;
  readonly optional?: boolean;
  /** Money is kept in cents and typed in dollars. */
  readonly money?: boolean;
  /** Fractions allowed, as for a tax rate. */
  readonly fractions?: boolean;
  readonly unit?: string;
  readonly placeholder?: string;
};

/** A count, a weight or an amount of money, with what would be right where it can not be read. */
export function NumberField({
  label,
  name,
  value,
  onChange,
  least,
  most,
  optional = false,
  money = false,
  fractions = money,
  unit,
  placeholder,
}: Props) {
  const factor = money ? 100 : 1;
  const print = (amount: number | null) =>
    amount === null ? '' : money && amount % 100 !== 0 ? (amount / 100).toFixed(2) : String(amount / factor);
  const [text, setText] = useState<string | null>(null);

  const read = (typed: string): { value: number | null } | { problem: string } => {
    if (typed.replace('$', '').trim() === '')
      return optional ? { value: null } : { problem: `A number from ${least} to ${most} is needed.` };
    const other = money ? otherCurrency(typed) : null;
    if (other !== null)
      return { problem: `This job counts in dollars. Change ${typed.trim()} into dollars, at the rate you paid.` };
    const amount = readAmount(typed, least, most);
    if (amount.ok && (fractions || Number.isInteger(amount.value)))
      return { value: money ? Math.round(amount.value * factor) : amount.value };
    if (!amount.ok && amount.mean.length > 1) return { problem: didYouMean(typed, amount.mean) };
    return {
      problem: money
        ? `An amount from ${least} to ${most}, such as 240 or 188.40.`
        : `A ${fractions ? '' : 'whole '}number from ${least} to ${most}.`,
    };
  };
  const state = text === null ? null : read(text);
  const problem = state && 'problem' in state ? state.problem : null;

  return (
    <TextField
      label={label}
      value={text ?? print(value)}
      error={problem !== null}
      helperText={problem ?? undefined}
      placeholder={placeholder}
      onChange={(event) => {
        setText(event.target.value);
        const now = read(event.target.value);
        if ('value' in now && now.value !== value) onChange(now.value);
      }}
      onBlur={() => problem === null && setText(null)}
      onKeyDown={(event) => event.key === 'Escape' && setText(null)}
      slotProps={{
        htmlInput: {
          inputMode: 'decimal',
          autoComplete: 'off',
          className: 'field-entry',
          ...(name === undefined ? {} : { 'aria-label': name }),
        },
        formHelperText: { role: problem ? 'alert' : undefined },
        input: {
          className: 'field-box',
          ...(money ? { startAdornment: <InputAdornment position="start">$</InputAdornment> } : {}),
          ...(unit
            ? {
                endAdornment: (
                  <InputAdornment position="end" className="field-unit">
                    {unit}
                  </InputAdornment>
                ),
              }
            : {}),
        },
      }}
    />
  );
}
