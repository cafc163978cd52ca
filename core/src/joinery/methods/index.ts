import type { Method } from '../../job';
import type { WayToJoin } from '../method';
import { biscuits } from './biscuits';
import { bolts } from './bolts';
import { brads } from './brads';
import { clips } from './clips';
import { cornerBlock } from './corner-block';
import { dowels } from './dowels';
import { glue } from './glue';
import { halfLap } from './half-lap';
import { inserts } from './inserts';
import { lagScrews } from './lag-screws';
import { looseTenon } from './loose-tenon';
import { mortiseAndTenon } from './mortise-and-tenon';
import { pluggedScrews } from './plugged-screws';
import { pocketScrews } from './pocket-screws';
import { screws } from './screws';
import { slottedScrews } from './slotted-screws';

/** Every way to join, by name: one file each. The compiler names what is missing. */
export const WAYS_TO_JOIN: Readonly<Record<Method, WayToJoin>> = {
  'pocket screws': pocketScrews,
  screws,
  'plugged screws': pluggedScrews,
  brads,
  glue,
  dowels,
  biscuits,
  'loose tenon': looseTenon,
  'mortise and tenon': mortiseAndTenon,
  'half lap': halfLap,
  'lag screws': lagScrews,
  bolts,
  inserts,
  'corner block': cornerBlock,
  clips,
  'slotted screws': slottedScrews,
};
