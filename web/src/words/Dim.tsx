import { metric, readLength, roundToTape, type Length } from '@sill/core';
import { useUnits } from '../state/hooks';
import './Dim.css';

type Props = {
  readonly of: Length;
  /** Not exact: shown to the nearest tape mark with "about". */
  readonly about?: boolean;
  /** Show the unit's mark. */
  readonly mark?: boolean;
};

/** The words of a length and its fraction apart, for HTML and SVG alike. */
function useReading({ of, about = false, mark = false }: Props) {
  const units = useUnits();
  const { negative, whole, over, under } = readLength(about ? roundToTape(of, units) : of, units);
  const sign = `${about ? 'about ' : ''}${negative ? '−' : ''}`;
  if (units === 'mm') return { before: `${sign}${metric(whole, over)}`, fraction: '', after: ' mm' };
  return {
    before: `${sign}${whole > 0 || over === 0 ? whole : ''}${whole > 0 && over > 0 ? ' ' : ''}`,
    fraction: over > 0 ? `${over}/${under}` : '',
    after: mark ? '″' : '',
  };
}

/** Fractions that the fonts draw as one sign; the others are set from small figures. */
const DRAWN = new Set(['1/2', '1/4', '3/4']);

/** A fraction on its own: `frac` on a whole text would shrink all its digits. */
function Fraction({ of }: { readonly of: string }) {
  if (of === '') return null;
  if (DRAWN.has(of)) return <span className="frac">{of}</span>;
  const [over, under] = of.split('/');
  return (
    <span className="set-frac">
      <span>{over}</span>
      <span className="slash">/</span>
      <span>{under}</span>
    </span>
  );
}

/** Plain text with its fractions set, such as the name of a screw: pocket screws 2 1/2 coarse. */
export function Text({ of }: { readonly of: string }) {
  return <>{of.split(/(\b\d+\/\d+\b)/).map((bit, at) => (at % 2 === 1 ? <Fraction key={at} of={bit} /> : bit))}</>;
}

function FractionSpan({ of }: { readonly of: string }) {
  if (of === '') return null;
  if (DRAWN.has(of)) return <tspan className="frac">{of}</tspan>;
  const [over, under] = of.split('/');
  return (
    <>
      <tspan dy="-0.32em" className="small-figure">
        {over}
      </tspan>
      <tspan dy="0.24em">/</tspan>
      <tspan dy="0.08em" className="small-figure">
        {under}
      </tspan>
    </>
  );
}

/** A length as the reader's tape shows it. */
export function Dim(props: Props) {
  const { before, fraction, after } = useReading(props);
  return (
    <span className="dim">
      {before}
      <Fraction of={fraction} />
      {after}
    </span>
  );
}

/** The same inside an SVG text. */
export function DimSpan(props: Props) {
  const { before, fraction, after } = useReading(props);
  return (
    <>
      {before}
      <FractionSpan of={fraction} />
      {after}
    </>
  );
}
