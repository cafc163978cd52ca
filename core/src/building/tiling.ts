import { tilingOf, type Tiling } from '../piece';
import { say } from '../words';
import { operation, type Operation, type OperationOf } from '../work';
import type { Draft } from './draft';
import type { Making } from './making';

/** Minutes after which set tiles are grouted, grout is sealed, and water may stand on it: a day each. */
export const TILE_WAIT = 24 * 60;
/** Minutes at work: getting ready, and for each tile. */
const TAKES = { set: [15, 2.5], grout: [20, 1], seal: [20, 0] } as const;

const takesOf = (tiling: Tiling, what: OperationOf<'tile'>['what']) =>
  ({ set: tiling.setting, grout: tiling.grouting, seal: tiling.sealing })[what].map(({ kind, size, count }) => ({
    kind,
    size,
    count,
  }));

function tile(tiling: Tiling, what: OperationOf<'tile'>['what'], making: Making): Operation {
  const { tiles, joint, notch, spaced } = tiling;
  const [once, each] = TAKES[what];
  const does = { kind: 'tile', what, joint, notch, spaced, takes: takesOf(tiling, what) } as const;
  return operation(making, `tiles-${what}`, does, tiles, once + each * tiles.length);
}

/** Adhesive spread for tiles that come into it. */
export const setTiles = (tiling: Tiling, making: Making): Operation => tile(tiling, 'set', making);

/** What is done a day after tiles are set, and a day after that: none where they lie loose. */
export function groutingSteps(making: Making): readonly Draft[] {
  const tiling = tilingOf(making.model.parts, making.model.joints);
  if (!tiling) return [];
  return [
    ...(tiling.grouting.length > 0
      ? [
          {
            name: 'grout',
            title: say`Grout the tiles`,
            ops: [tile(tiling, 'grout', making)],
            wait: TILE_WAIT,
          },
        ]
      : []),
    {
      name: 'seal-tiles',
      title: say`Seal the joint along the frame`,
      ops: [tile(tiling, 'seal', making)],
      wait: TILE_WAIT,
    },
  ];
}
