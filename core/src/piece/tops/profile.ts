import { pick } from '../choice';

/** What a router, or a plane, makes of a top's upper edge, and how deep: it reduces nothing in size. */
const PROFILES = {
  eased: 'eased with sandpaper',
  'round 1/4': 'rounded over, 1/4',
  'round 1/2': 'rounded over, 1/2',
  'chamfer 1/4': 'chamfered, 1/4',
  bead: 'beaded, 1/4',
} as const;
export type ProfileName = keyof typeof PROFILES;

export const profileChoices = {
  profile: pick('Upper edge', PROFILES, 'eased', {
    help: 'Rounded edges wear better and hurt less. What is cut off the corner changes no size of any part.',
  }),
};
