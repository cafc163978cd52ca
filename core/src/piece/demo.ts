import { inches } from '../length';
import { finishedWith, newJob, type Job } from '../job';
import { newPiece } from './gallery';

/** The demo job: a shared clay studio that needs a glaze table, a ware shelf, a window bench and a drawer cart. */
export function demoJob(): Job {
  const glaze = newPiece('glaze', 'standing', 'Glaze table');
  const ware = newPiece('ware', 'shelf-unit', 'Ware shelf');
  const bench = newPiece('bench', 'bench', 'Window bench');
  const cart = newPiece('cart', 'chest', 'Drawer cart');
  return {
    ...newJob('Kiln Lane pottery room'),
    budget: 70000,
    pieces: [
      {
        ...glaze,
        where: 'North wall, under the glaze shelf',
        size: { length: inches(64), width: inches(30.5), height: inches(36) },
        boughtPrice: 42000,
        choices: { ...glaze.choices, below: 'ply shelf', shelfHeight: inches(9) },
        topChoices: { width: '6' },
        finish: finishedWith('natural.wipeable', 'natural.wipeable.rest'),
      },
      {
        ...ware,
        where: 'Beside the kiln door',
        size: { length: inches(48), width: inches(18), height: inches(66) },
        boughtPrice: 26500,
        choices: { ...ware.choices, shelves: '1x4', rails: '1x3' },
      },
      {
        ...bench,
        where: 'Under the long window',
        size: { length: inches(52), width: inches(14), height: inches(18) },
        boughtPrice: 18900,
        finish: finishedWith('natural.mended'),
      },
      {
        ...cart,
        where: 'By the wheels',
        boughtPrice: 29900,
      },
    ],
  };
}
