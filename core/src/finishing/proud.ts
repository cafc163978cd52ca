import type { Fastening } from '../joinery';
import { inches, type Length } from '../length';

/** Of what is normally spread so many standard deviations hold nine in ten. */
export const NINE = 1.645;
/** Inches within which nine in ten come: a size as it is sold; what is laid flush by the finger, or at a line. */
export const [SOLD_WITHIN, LAID_WITHIN] = [1 / 64, 1 / 64] as const;
/** The same of a thickness once it is planed, and of boards that only glue holds, which lets them slide. */
const [PLANED, SLID] = [1 / 128, 1 / 32] as const;

/** The normal distribution from -z to z (Abramowitz and Stegun, 7.1.26). */
function within(z: number): number {
  const t = 1 / (1 + (0.3275911 * z) / Math.SQRT2);
  const sum = [1.061405429, -1.453152027, 1.421413741, -0.284496736, 0.254829592].reduce((all, a) => (all + a) * t, 0);
  return 1 - sum * Math.exp((-z * z) / 2);
}

/**
 * How proud the worst joint of a glued top is to be expected, nine in ten tops: boards lie level on their faces, so the
 * difference of their thicknesses shows above, and as much as the joint lets them slip. The worst of n that are spread
 * alike stays within z standard deviations where each does in the n-th root of 0.9. To the next 1/64.
 *
 * @param joints edge to edge, with the boards that they join.
 */
export function proudOf(joints: readonly Pick<Fastening, 'by'>[], planed: boolean): Length {
  if (joints.length === 0) return 0;
  const thick = (planed ? PLANED : SOLD_WITHIN) / NINE;
  const slip = (joints.some(({ by }) => by === 'glue') ? SLID : LAID_WITHIN) / NINE;
  const each = 0.9 ** (1 / joints.length);
  let [low, high] = [0, 6];
  while (high - low > 1e-6) {
    const z = (low + high) / 2;
    if (within(z) < each) low = z;
    else high = z;
  }
  const sixtyFourth = inches(1 / 64);
  return Math.ceil(inches(high * Math.sqrt(2 * thick ** 2 + slip ** 2)) / sixtyFourth) * sixtyFourth;
}
