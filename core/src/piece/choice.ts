import type { Length } from '../length';

type Common<V> = {
  readonly label: string;
  readonly initial: V;
  /** One line on when to take which. */
  readonly help?: string;
  /** Shown only where it matters, by the other choices. */
  readonly when?: (choices: Choices) => boolean;
  /** Tried where the piece feels loose or a joint gives: another of these stiffens it. */
  readonly firms?: boolean;
};
/** What a family or a top lets a person choose, as data: the interface shows it, the border checks against it. */
export type PickSpec<V extends string = string> = Common<V> & {
  readonly kind: 'pick';
  readonly options: Readonly<Record<V, string>>;
};
export type LengthSpec = Common<Length> & { readonly kind: 'length'; readonly least: Length; readonly most: Length };
export type CountSpec = Common<number> & { readonly kind: 'count'; readonly least: number; readonly most: number };
export type AngleSpec = Common<number> & { readonly kind: 'angle'; readonly least: number; readonly most: number };
export type YesSpec = Common<boolean> & { readonly kind: 'yes' };
export type Spec = PickSpec | LengthSpec | CountSpec | AngleSpec | YesSpec;
export type Specs = Readonly<Record<string, Spec>>;

export type Choices = Readonly<Record<string, string | number | boolean>>;
/** The values that specs of this shape give. */
export type Values<S extends Specs> = {
  readonly [Key in keyof S]: S[Key] extends PickSpec<infer V> ? V : S[Key] extends YesSpec ? boolean : number;
};

type Rest = Omit<Common<never>, 'label' | 'initial'>;

export const pick = <const V extends string>(
  label: string,
  options: Readonly<Record<V, string>>,
  initial: NoInfer<V>,
  rest: Rest = {},
): PickSpec<V> => ({ kind: 'pick', label, options, initial, ...rest });
export const measure = (label: string, initial: Length, least: Length, most: Length, rest: Rest = {}): LengthSpec => ({
  kind: 'length',
  label,
  initial,
  least,
  most,
  ...rest,
});
export const count = (label: string, initial: number, least: number, most: number, rest: Rest = {}): CountSpec => ({
  kind: 'count',
  label,
  initial,
  least,
  most,
  ...rest,
});
export const angle = (label: string, initial: number, least: number, most: number, rest: Rest = {}): AngleSpec => ({
  kind: 'angle',
  label,
  initial,
  least,
  most,
  ...rest,
});
export const yes = (label: string, initial: boolean, rest: Rest = {}): YesSpec => ({
  kind: 'yes',
  label,
  initial,
  ...rest,
});

/** Every choice with a value: the person's, or the one it starts with. */
export const settled = <S extends Specs>(specs: S, choices: Choices): Values<S> =>
  Object.fromEntries(Object.entries(specs).map(([key, spec]) => [key, choices[key] ?? spec.initial])) as Values<S>;

/** What is wrong with a value for a choice, in words; null where it is right. */
export function wrongWith(spec: Spec, value: unknown): string | null {
  if (spec.kind === 'pick')
    return typeof value === 'string' && Object.hasOwn(spec.options, value)
      ? null
      : `must be one of ${Object.keys(spec.options).join(', ')}`;
  if (spec.kind === 'yes') return typeof value === 'boolean' ? null : 'must be true or false';
  if (typeof value !== 'number' || !Number.isFinite(value)) return 'must be a number';
  if (spec.kind !== 'angle' && !Number.isInteger(value)) return 'must be a whole number';
  if (value < spec.least) return `must be at least ${spec.least}`;
  return value > spec.most ? `must be at most ${spec.most}` : null;
}
