import type { Method } from '../job';
import { clips } from './clips';
import { cornerBlock } from './corner-block';
import type { Layout, Site } from './layout';
import { pegs } from './pegs';
import { pockets } from './pockets';
import { straight } from './straight';

/** How a method is laid out at a site; null where it has nothing to lay out there, or the wood does not allow it. */
export function layoutOf(by: Method, site: Site, fine: boolean): Layout | null {
  switch (by) {
    case 'pocket screws':
      return pockets(site, fine);
    case 'clips':
      return clips(site);
    case 'corner block':
      return cornerBlock(site);
    case 'dowels':
    case 'biscuits':
    case 'loose tenon':
      return pegs(by, site);
    case 'glue':
    case 'mortise and tenon':
    case 'half lap':
      return null;
    default:
      return straight(by, site);
  }
}
