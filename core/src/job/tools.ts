/** What a shop may own, by what it is for. A name is what the interface and the notes say. */
export const TOOLS = {
  'hand saw': 'hand saw',
  'circular saw': 'circular saw',
  guide: 'straight guide for it',
  'mitre saw': 'mitre saw',
  'table saw': 'table saw',
  jigsaw: 'jigsaw',
  'band saw': 'band saw',
  router: 'router',
  planer: 'planer',
  jointer: 'jointer',
  'pocket jig': 'pocket-hole jig',
  drill: 'drill and driver',
  'biscuit joiner': 'biscuit joiner',
  sander: 'sander',
} as const;
export type Tool = keyof typeof TOOLS;
export const TOOL_NAMES = Object.keys(TOOLS) as Tool[];

/** A few shops to start from: what people own after the first job, the third, and the tenth. */
export const KITS: readonly { readonly name: string; readonly about: string; readonly tools: readonly Tool[] }[] = [
  {
    name: 'Hand saw and drill',
    about: 'The yard rips and breaks down sheets; choose boards that come straight.',
    tools: ['hand saw', 'drill', 'pocket jig', 'sander'],
  },
  {
    name: 'Circular saw and guide',
    about: 'Rips, sheets and square ends, slowly.',
    tools: ['hand saw', 'circular saw', 'guide', 'jigsaw', 'drill', 'pocket jig', 'sander'],
  },
  {
    name: 'Saws and a router',
    about: 'A mitre saw for repeats, a router for grooves.',
    tools: ['hand saw', 'circular saw', 'guide', 'mitre saw', 'jigsaw', 'router', 'drill', 'pocket jig', 'sander'],
  },
  {
    name: 'Table saw shop',
    about: 'Everything is milled at home.',
    tools: [...TOOL_NAMES],
  },
];

/** The tools whose blade takes a width of wood that counts in the cut plan. */
export const BLADES = [
  'mitre saw',
  'circular saw',
  'table saw',
  'band saw',
  'hand saw',
] as const satisfies readonly Tool[];

/** What turns a screw, by the straight room it wants behind it. */
export const DRIVERS = ['long bit', 'short bit', 'right-angle head'] as const;

/** Ways to do a thing: any one set of tools will do. */
export type Ways = readonly (readonly Tool[])[];
export const WAYS = {
  rip: [['table saw'], ['circular saw', 'guide'], ['band saw']],
  sheet: [['table saw'], ['circular saw', 'guide']],
  groove: [['router'], ['table saw']],
  curve: [['jigsaw'], ['band saw']],
  taper: [['band saw'], ['table saw'], ['circular saw'], ['hand saw']],
  angle: [['mitre saw'], ['table saw'], ['circular saw'], ['hand saw']],
  pockets: [['pocket jig', 'drill']],
  holes: [['drill']],
  plane: [['planer']],
  bead: [['router']],
} as const satisfies Record<string, Ways>;

/** The first tool of the first way that a shop has all tools for; null where it has none. */
export const toolFor = (tools: readonly Tool[], ways: Ways): Tool | null =>
  ways.find((way) => able(tools, [way]))?.[0] ?? null;

export const able = (tools: readonly Tool[], ways: Ways): boolean =>
  ways.some((way) => way.every((tool) => tools.includes(tool)));
