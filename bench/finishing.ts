import {
  DEFAULT_SHOP,
  finishedWith,
  finishingWork,
  finishPlan,
  newJob,
  patchesOf,
  pieceFrom,
  planJob,
  reachesOf,
  STARTS,
} from '../core/src';
import { median, ms, print, quantile, today } from './measure';

/** Surfaces, reach and work of the finish of every piece one starts with, beside the whole plan of it. */
export function finishing(): void {
  const rows = STARTS.map((start) => {
    const piece = { ...pieceFrom(start, 'p'), finish: finishedWith('dark.wipeable', 'painted.wipeable') };
    const job = { ...newJob('bench'), pieces: [piece] };
    const plan = planJob(job, { today, effort: 'quick' });
    const { model } = plan.pieces[0]!;
    // What is known is kept with the very list of parts: each run has one of its own.
    const fresh = () => ({ parts: [...model.parts], motions: model.motions, joints: model.joints });
    const surfaces = median(15, () => void patchesOf(fresh()));
    const models = Array.from({ length: 15 }, fresh);
    models.forEach((one) => patchesOf(one));
    const reach = median(15, (run) => void reachesOf(models[run]!));
    const { fastenings: made } = plan.pieces[0]!;
    const one = models[0]!;
    const work = median(15, () => void finishingWork(piece, one, finishPlan(piece, one, made, job), job));
    const whole = median(5, (run) => {
      const shop = { ...DEFAULT_SHOP, lift: DEFAULT_SHOP.lift + run + 1 };
      planJob({ ...job, shop }, { today, effort: 'quick' });
    });
    return {
      piece: start.id,
      patches: patchesOf(one).patches.length,
      'surfaces ms': surfaces,
      'reach ms': reach,
      'work ms': work,
      'whole plan ms': whole,
      'share %': Math.round((100 * (surfaces + reach + work)) / whole),
    };
  });
  print('Finish: surfaces from the true shapes, what reaches them, its work; beside the whole plan.', rows);
  const share = rows.map((row) => row['share %']).sort((a, b) => a - b);
  process.stdout.write(`Median share ${ms(quantile(share, 0.5))} %, most ${share.at(-1)} %.\n`);
}
