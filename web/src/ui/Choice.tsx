import type { ReactNode } from 'react';
import { useId } from 'react';
import './Choice.css';

type Option<T extends string> = {
  readonly value: T;
  readonly label: ReactNode;
  /** Why it can not be taken. */
  readonly not?: string;
};
type Props<T extends string> = {
  readonly label: string;
  readonly value: T;
  readonly options: readonly Option<T>[];
  readonly onChange: (value: T) => void;
  readonly mark?: ReactNode;
  /** When to take which, in a line. */
  readonly help?: string | undefined;
};

/** A few ways to do it, all in view; one is taken. Arrow keys move between them, as radio buttons do. */
export function Choice<T extends string>({ label, value, options, onChange, mark, help }: Props<T>) {
  const name = useId();
  return (
    <fieldset className="choice">
      <legend>
        {label} {mark}
      </legend>
      <div className="chips">
        {options.map((option) => (
          <label key={option.value} className="chip" data-not={option.not !== undefined} title={option.not}>
            <input
              type="radio"
              name={name}
              value={option.value}
              checked={option.value === value}
              disabled={option.not !== undefined}
              onChange={() => onChange(option.value)}
            />
            <span>{option.label}</span>
          </label>
        ))}
      </div>
      {help && <p className="help">{help}</p>}
    </fieldset>
  );
}
