/** What can stop the work. */
export const FAULT_KINDS = {
  'never cut': 'a piece that no cut frees',
  'no wood': 'a cut where there is no wood',
  'not there': 'something that was not bought, or not so much of it',
  'no tool': 'a tool that the shop does not have',
  'not ready': 'a part used before it is what it should be',
  'wrong order': 'something done before what it needs',
  'no way in': 'a part with no way to its place',
  'blocked by pegs': 'dowels that do not let a joint close',
  'holes do not meet': 'holes of the two sides that do not meet',
  'not bored': 'a fastener where nothing is bored for it',
  'bites too little': 'a screw that holds in too little wood',
  'comes out': 'a screw or hole that comes out on the far side',
  'hits a screw': 'a blade or bit that meets a screw',
  'meets a hole': 'a bit that runs into the hole of another joint',
  'no room': 'a screw that no driver gets at',
  'not told': 'a place that is not told, or told wrongly',
  'loose when turned': 'something loose when the work is turned over',
  'not held': 'something that nothing holds',
  'too heavy': 'more than the people named can lift',
  wet: 'something done to a part whose coat or filler is not dry',
  'wrong shape': 'a part that is not what the plan draws',
  'never joined': 'a joint that is never made',
  'left over': 'something bought that nothing uses',
} as const;
export type FaultKind = keyof typeof FAULT_KINDS;

/** Where the work stops: the operation, what is wrong, and the reason in words. */
export type Fault = { readonly operation: string | null; readonly kind: FaultKind; readonly why: string };
