import type { ReactNode } from 'react';
import {
  boardKey,
  type Choices,
  type FindingKind,
  inLumber,
  type Lumber,
  type Nominal,
  printMaterial,
  type Spec,
  type Specs,
  sure,
} from '@sill/core';
import { Choice } from '../../ui/Choice';
import { LengthField } from '../../ui/LengthField';
import { NumberField } from '../../ui/NumberField';
import { NoteFor } from '../shared/NoteFor';
import { Text } from '../../words/Dim';

/** The note that belongs beside a choice, by the choice's name. */
const NOTE: Readonly<Record<string, FindingKind>> = {
  apron: 'knees',
  fixing: 'movement',
  overhangEnds: 'tipping',
  overhang: 'tipping',
  crossSupports: 'sag',
};

type Props = {
  readonly specs: Specs;
  readonly choices: Choices;
  /** The line of boards whose sizes the options are told in. */
  readonly lumber: Lumber;
  readonly onChange: (name: string, value: string | number | boolean) => void;
  /** The board width that "cheapest" has settled on. */
  readonly cheapest?: Nominal | null;
};

const isShort = (spec: Spec): boolean => spec.kind === 'length' || spec.kind === 'count' || spec.kind === 'angle';

/** Every choice that a family or top offers, in its own order; numbers two in a row. */
export function SpecFields({ specs, choices, lumber, onChange, cheapest = null }: Props) {
  const settled: Choices = {
    ...Object.fromEntries(Object.entries(specs).map(([name, spec]) => [name, spec.initial])),
    ...choices,
  };
  const shown = Object.entries(specs).filter(([, spec]) => spec.when?.(settled) ?? true);
  const rows: ReactNode[] = [];
  let pair: ReactNode[] = [];
  const flush = () => {
    if (pair.length === 0) return;
    rows.push(
      <fieldset key={`pair-${rows.length}`} className="sizes two">
        {pair}
      </fieldset>,
    );
    pair = [];
  };
  for (const [name, spec] of shown) {
    const value = sure(settled[name], `choice ${name}`);
    if (!isShort(spec)) flush();
    const mark = NOTE[name] ? <NoteFor kind={NOTE[name]} /> : null;
    const field = (
      <OneField
        key={name}
        name={name}
        spec={spec}
        value={value}
        mark={mark}
        cheapest={cheapest}
        lumber={lumber}
        thickness={settled.thickness}
        onChange={(next) => onChange(name, next)}
      />
    );
    if (isShort(spec)) {
      pair.push(field);
      if (pair.length === 2) flush();
    } else rows.push(field);
  }
  flush();
  return rows;
}

/** A board's width is shown as the board it is: 2×6; the cheapest with what it is now. Null for other choices. */
function widthLabel(
  option: string,
  label: string,
  thickness: unknown,
  cheapest: Nominal | null,
  lumber: Lumber,
): string | null {
  if (option === 'cheapest') return cheapest ? `${label} (${printMaterial(boardKey(lumber, cheapest))} now)` : label;
  return typeof thickness === 'string' && /^\d+$/.test(option)
    ? inLumber(lumber, `${thickness.replace('x', '×')}${option}`)
    : null;
}

type OneProps = {
  readonly name: string;
  readonly spec: Spec;
  readonly value: string | number | boolean;
  readonly mark: ReactNode;
  readonly cheapest: Nominal | null;
  readonly lumber: Lumber;
  readonly thickness: unknown;
  readonly onChange: (value: string | number | boolean) => void;
};

function OneField({ name, spec, value, mark, cheapest, lumber, thickness, onChange }: OneProps) {
  switch (spec.kind) {
    case 'pick':
      return (
        <Choice
          label={spec.label}
          help={spec.help}
          mark={mark}
          value={String(value)}
          options={Object.entries(spec.options).map(([option, label]) => ({
            value: option,
            label: widthLabel(option, label, thickness, cheapest, lumber) ?? <Text of={inLumber(lumber, label)} />,
          }))}
          onChange={onChange}
        />
      );
    case 'yes':
      return (
        <Choice
          label={spec.label}
          help={spec.help}
          mark={mark}
          value={value === true ? 'yes' : 'no'}
          options={[
            { value: 'yes', label: 'yes' },
            { value: 'no', label: 'no' },
          ]}
          onChange={(next) => onChange(next === 'yes')}
        />
      );
    case 'length':
      return (
        <LengthField label={spec.label} value={value as number} least={spec.least} onChange={onChange} mark={mark} />
      );
    default:
      return (
        <NumberField
          key={name}
          label={spec.label}
          least={spec.least}
          most={spec.most}
          fractions={spec.kind === 'angle'}
          value={value as number}
          onChange={(next) => next !== null && onChange(next)}
        />
      );
  }
}
