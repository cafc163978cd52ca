import type { Piece } from '../job';
import type { Part } from '../piece';
import { say, type Phrase } from '../words';
import type { Does, Operation } from '../work';
import type { Areas } from './areas';
import { BASE_GRIT, gritsTo } from './needs';
import { COATS, UNDER } from './products';

/** A sitting of sanding or finishing: what is done, and how long it dries. */
export type FinishingStep = {
  readonly name: string;
  readonly title: Phrase;
  readonly ops: readonly Operation[];
  readonly adds: readonly string[];
  readonly wait: number;
};

/** Minutes a square foot: sanding at 80 and finer, brushing, wiping. Typical; one person, not hurried. */
const COARSE = 2;
const FINER = 1;
const BETWEEN = 0.3;
const BRUSHED = 0.9;
const WIPED = 0.5;

/** What is sanded, stained and coated, in order: a sample first, each coat a sitting of its own. */
export function finishingSteps({ id, finish }: Piece, parts: readonly Part[], areas: Areas): readonly FinishingStep[] {
  const wood = parts.filter((part) => !part.loose && part.material !== 'bought');
  const all = areas.top + areas.rest;
  // What is bought as it is comes finished.
  if (all === 0) return [];
  const op = (about: string, does: Does, minutes: number, tool: Operation['tool'] = null): Operation => ({
    id: `${id}.${does.kind}.${about}`,
    piece: id,
    on: wood.map((part) => part.id),
    tags: wood.map(({ tag }) => tag),
    minutes,
    tool,
    lift: null,
    ...does,
  });
  const step = (name: string, title: Phrase, ops: readonly Operation[], wait: number): FinishingStep => ({
    name,
    title,
    ops,
    adds: [],
    wait,
  });
  const grits = gritsTo(finish.sandTo);
  const both = grits.filter((grit) => grit <= BASE_GRIT);
  const fine = areas.top > 0 ? grits.filter((grit) => grit > BASE_GRIT) : [];
  const perFoot = (of: readonly number[]) => of.reduce<number>((sum, grit) => sum + (grit <= 80 ? COARSE : FINER), 0);
  const sanded: readonly Operation[] = [
    ...(both.length > 0
      ? [op('all', { kind: 'sand', grits: both, where: 'all of it' }, all * perFoot(both), 'sander')]
      : []),
    ...(fine.length > 0
      ? [op('top', { kind: 'sand', grits: fine, where: 'the top' }, areas.top * perFoot(fine), 'sander')]
      : []),
  ];
  const stain = finish.stain === 'none' ? null : finish.stain;
  const coat = finish.coat === 'none' ? null : finish.coat;
  const sample =
    stain || coat
      ? [op('sample', { kind: 'sample', what: [stain, coat].filter((one) => one !== null).join(' and ') }, 10)]
      : [];
  const under = (product: keyof typeof UNDER) => {
    const { hours, wipe } = UNDER[product];
    return op(
      product.replace(' ', '-'),
      { kind: 'coat', product, nth: 1, of: 1, between: 0, hours, use: 0, wipe },
      all * (wipe ? WIPED : BRUSHED),
    );
  };
  const before = stain && UNDER[stain].before;
  const colour = stain ? [...(before ? [under(before)] : []), under(stain)] : [];
  const primed = coat === 'enamel' ? [under('primer')] : [];
  const coats =
    coat === null
      ? []
      : Array.from({ length: finish.coats }, (_, at) => {
          const { between, hours, use, wipe } = COATS[coat];
          const minutes = all * ((wipe ? WIPED : BRUSHED) + (at > 0 && between > 0 ? BETWEEN : 0));
          return op(
            String(at + 1),
            { kind: 'coat', product: coat, nth: at + 1, of: finish.coats, between, hours, use, wipe },
            minutes,
          );
        });
  const waits = (ops: readonly Operation[]) =>
    Math.round(60 * Math.max(0, ...ops.map((one) => (one.kind === 'coat' ? one.hours : 0))));
  return [
    ...(sanded.length + sample.length > 0
      ? [step('sand', say`Sand it${sample.length > 0 ? ' and make a sample' : ''}`, [...sanded, ...sample], 0)]
      : []),
    ...(colour.length > 0 ? [step('stain', say`Stain it`, colour, waits(colour))] : []),
    ...(primed.length > 0 ? [step('prime', say`Prime it`, primed, waits(primed))] : []),
    ...coats.map((one, at) =>
      step(`coat-${at + 1}`, say`Finish, coat ${at + 1} of ${coats.length}`, [one], waits([one])),
    ),
  ];
}
