import { USUAL_CALENDAR } from '../job';
import { inches, PER_FOOT } from '../length';
import { SAMPLE_YARD, TONES, type HardwareKind } from '../stock';

type Loose = Readonly<Record<string, unknown>>;
const record = (value: unknown): Loose => (typeof value === 'object' && value !== null ? (value as Loose) : {});

/** Clamps were only counted up to version 2: half of them were taken as short, half as long. */
function shopTo3(input: unknown): unknown {
  const shop = record(input);
  if (typeof shop.clamps !== 'number') return input;
  const long = Math.floor(shop.clamps / 2);
  const rows = [
    { length: inches(24), count: shop.clamps - long },
    { length: inches(50), count: long },
  ];
  return { ...shop, clamps: rows.filter(({ count }) => count > 0) };
}

/** Price lists of boards alone, up to version 1: what they lack comes from the sample. */
function yardTo2(input: unknown): unknown {
  const yard = record(input);
  if (typeof input !== 'object' || input === null || 'sheets' in yard) return input;
  const hardware = Array.isArray(yard.hardware) ? yard.hardware : [];
  const kept = ['pocket-screw', 'clip', 'glue'];
  const added = SAMPLE_YARD.hardware.filter(({ kind }) => !kept.includes(kind));
  return { ...yard, sheets: SAMPLE_YARD.sheets, hardware: [...hardware, ...added] };
}

/** A board as it was sold up to version 2: by a nominal size and feet. */
function boardTo3(input: unknown): unknown {
  const { nominal, feet, ...rest } = record(input);
  if (nominal === undefined || 'board' in rest) return input;
  return { ...rest, board: nominal, length: typeof feet === 'number' ? Math.round(feet * PER_FOOT) : feet };
}

function yardTo3(input: unknown): unknown {
  const yard = record(input);
  return Array.isArray(yard.boards) ? { ...yard, boards: yard.boards.map(boardTo3) } : input;
}

/** The farthest that beams may stay short of the edge, as the family has it. */
const MOST_SHORT = inches(30);

/** One family, its choices in groups: version 1. */
function pieceTo2(input: unknown): unknown {
  const piece = record(input);
  const choices = record(piece.choices);
  const { fixing, ...top } = record(choices.top);
  const overhang = record(choices.overhang);
  return {
    ...piece,
    family: piece.family === 'apron-table' ? 'aprons' : piece.family,
    top: 'joined',
    choices: {
      legs: choices.legs,
      apron: choices.apron,
      overhangEnds: overhang.ends,
      overhangSides: overhang.sides,
      setback: choices.setback,
      crossSupports: choices.crossSupports,
      fixing,
    },
    topChoices: top,
    overrides: {},
    loose: [],
  };
}

/**
 * From each version of the job file to the next, the first to the second at the head. A new version has a step here, a
 * fixture as its first program wrote it, and the number of `JOB_FORMAT`; a field that older jobs only lack has a
 * default in the schema instead, where nothing that they say means another thing by it.
 */
const STEPS: readonly ((job: Loose) => Loose)[] = [
  (job) => ({
    ...job,
    pieces: Array.isArray(job.pieces) ? job.pieces.map(pieceTo2) : job.pieces,
    yard: yardTo2(job.yard),
  }),
  (job) => ({ ...job, yard: yardTo3(job.yard), shop: shopTo3(job.shop) }),
];

/** Beams under a round or octagonal top were measured from the square inside it, up to version 5. */
function pieceTo6(input: unknown): unknown {
  const piece = record(input);
  const [choices, size] = [record(piece.choices), record(piece.size)];
  const across = Math.min(Number(size.length), Number(size.width));
  const isRound = piece.family === 'pedestal' && (piece.top === 'round' || piece.top === 'octagon');
  if (!isRound || !Number.isFinite(across)) return input;
  const before = typeof choices.overhang === 'number' ? choices.overhang : inches(4);
  const overhang = before + Math.round((across - Math.floor(across / Math.SQRT2)) / 2);
  return { ...piece, choices: { ...choices, overhang: Math.min(overhang, MOST_SHORT) } };
}

/** Surfaces by what they were sanded to: the top, and the rest, which went no finer than this. */
const FINE_SURFACES = ['top', 'edges', 'underside'];
const REST_SURFACES = ['fronts', 'base', 'inside', 'back'];
const REST_GRIT = 150;
/** Stains had no colour. */
const SOME_TONE = 'nut brown';
const PAINTED = 'white';
const WIPED = ['wipe-on polyurethane', 'hard-wax oil', 'penetrating oil'];

/** One finish for all of a piece, up to version 6, as a recipe of the job. */
function recipeFrom(finish: Loose, sandTo: number): Loose {
  const isStained = typeof finish.stain === 'string' && finish.stain !== 'none';
  const isCoated = finish.coat !== 'none';
  const words = [
    ...(sandTo > 0 ? [`sanded to ${sandTo}`] : []),
    ...(isStained ? [String(finish.stain)] : []),
    ...(isCoated ? [`${Number(finish.coats)} x ${String(finish.coat)}`] : []),
  ];
  return {
    name: words.join(', '),
    sandTo,
    wetted: false,
    conditioner: finish.stain === 'oil stain',
    colours: isStained ? [{ product: finish.stain, mix: [{ tone: SOME_TONE, parts: 1 }], leave: 10 }] : [],
    coat: finish.coat,
    coats: finish.coats,
    tone: PAINTED,
    by: WIPED.includes(String(finish.coat)) ? 'wipe' : 'brush',
    rubbed: false,
  };
}

/** Finishes of pieces as recipes: the same ones once. */
function finishesTo7(job: Loose): Loose {
  if (!Array.isArray(job.pieces)) return job;
  const recipes = new Map<string, Loose>();
  const idOf = (finish: Loose, sandTo: number): string => {
    const recipe = recipeFrom(finish, sandTo);
    const key = JSON.stringify(recipe);
    const known = recipes.get(key) ?? { id: `finish-${recipes.size + 1}`, ...recipe };
    recipes.set(key, known);
    return String(known.id);
  };
  const pieces = job.pieces.map((input: unknown) => {
    const piece = record(input);
    const finish = record(piece.finish);
    if (typeof finish.sandTo !== 'number') return input;
    const isNone = finish.sandTo === 0 && finish.stain === 'none' && finish.coat === 'none';
    const on = (surfaces: readonly string[], grit: number) =>
      Object.fromEntries(surfaces.map((surface) => [surface, { recipe: idOf(finish, grit), coats: null }]));
    return {
      ...piece,
      finish: {
        when: 'assembled',
        old: 'none',
        flatten: 'sander',
        on: isNone
          ? {}
          : { ...on(FINE_SURFACES, finish.sandTo), ...on(REST_SURFACES, Math.min(finish.sandTo, REST_GRIT)) },
      },
    };
  });
  return { ...job, pieces, recipes: [...recipes.values()] };
}

/** The id of an offer that is sold in each colour by now. */
const inColour = (offer: unknown, tone: string): string => `${String(offer)}-${tone.replace(' ', '-')}`;

/** Cans that were bought hold the colour that the recipe takes: they had none. */
function entryTo7(input: unknown): unknown {
  const entry = record(input);
  if (entry.what !== 'box' || !COLOURED.includes(String(entry.size))) return input;
  const tone = entry.size === 'enamel' ? PAINTED : SOME_TONE;
  return { ...entry, offer: inColour(entry.offer, tone), size: `${String(entry.size)} ${tone}` };
}

/** Stains and paint had no colour, and nothing was sold to put them on with, up to version 6. */
function yardTo7(input: unknown): unknown {
  const yard = record(input);
  if (!Array.isArray(yard.hardware) || yard.hardware.some((row) => record(row).kind === 'tape')) return input;
  const rows: readonly unknown[] = yard.hardware;
  const isUncoloured = (row: unknown) => COLOURED.includes(String(record(row).size));
  const uncoloured = rows.filter(isUncoloured);
  const kept = rows.filter((row) => !isUncoloured(row));
  const inColours = uncoloured.flatMap((row) =>
    TONES.map((tone) => {
      const { id, size, ...rest } = record(row);
      return { ...rest, id: inColour(id, tone), size: `${String(size)} ${tone}` };
    }),
  );
  const sold = new Set([...kept, ...inColours].map((row) => `${String(record(row).kind)} ${String(record(row).size)}`));
  const names = new Set([...kept, ...inColours].map((row) => record(row).id));
  const added = SAMPLE_YARD.hardware.filter(
    ({ id, kind, size }) => NEW_KINDS.includes(kind) && !sold.has(`${kind} ${size}`) && !names.has(id),
  );
  return { ...yard, hardware: [...kept, ...inColours, ...added] };
}
/** What a shop could say is there in version 7. */
const KIT_7 = ['brushes', 'rollers', 'rags', 'gloves', 'tape', 'respirator', 'filler'] as const;
const COLOURED = ['oil stain', 'water stain', 'enamel'];
const NEW_KINDS: readonly HardwareKind[] = [
  'disc',
  'paper',
  'belt',
  'filler',
  'brush',
  'roller',
  'rag',
  'tape',
  'glove',
  'cartridge',
  'lead-test',
  'stain',
  'finish',
];

/** Knots and cracks were filled, no recipes tried beside those taken, up to version 7. */
function finishTo8(input: unknown): unknown {
  const piece = record(input);
  return typeof piece.finish === 'object' && piece.finish !== null
    ? { ...piece, finish: { cracks: 'filler', tries: [], ...piece.finish } }
    : input;
}

/** Nothing was sold for cracks and seams but filler, and no belts, up to version 7. */
const yardTo8 = (input: unknown): unknown => yardWith(input, ['thin-glue', 'caulk', 'belt']);
/** Nothing was sold to set tiles with, no folding brackets and no long hinges, up to version 10. */
const yardTo11 = (input: unknown): unknown =>
  yardWith(input, ['tile-adhesive', 'tile-spacer', 'grout', 'sealant', 'tile-tool', 'folding-bracket', 'long-hinge']);

/** A price list with what the sample has of some kinds, where it has none of the first of them. */
function yardWith(input: unknown, kinds: readonly [HardwareKind, ...HardwareKind[]]): unknown {
  const yard = record(input);
  if (!Array.isArray(yard.hardware) || yard.hardware.some((row) => record(row).kind === kinds[0])) return input;
  const rows: readonly unknown[] = yard.hardware;
  const names = new Set(rows.map((row) => record(row).id));
  const added = SAMPLE_YARD.hardware.filter(({ id, kind }) => kinds.includes(kind) && !names.has(id));
  return { ...yard, hardware: [...rows, ...added] };
}

/** What older plans did not count is taken to be there. */
function shopTo8(input: unknown): unknown {
  const shop = record(input);
  return typeof input === 'object' && input !== null
    ? { ...shop, kit: [...(Array.isArray(shop.kit) ? (shop.kit as readonly unknown[]) : []), 'thin glue', 'caulk'] }
    : input;
}

/** Work was counted in Saturdays of so many hours, with short quiet evenings between for coats, up to version 8. */
function calendarTo9(input: unknown): Loose {
  const { hours } = record(input);
  const long = typeof hours === 'number' && hours >= 1 && hours <= 15 ? hours : 6;
  const evenings = [1, 2, 3, 4, 5, 7].map((day) => ({ day, from: 18 * 60, to: 20 * 60, quiet: true, helpers: 0 }));
  const saturday = { day: 6, from: 9 * 60, to: (9 + Math.floor(long)) * 60, quiet: false, helpers: 1 };
  return { ...USUAL_CALENDAR, week: [saturday, ...evenings].map((row) => ({ id: `day-${row.day}`, ...row })) };
}

/** What the plan had for a part that was measured was not kept, up to version 9. */
function entryTo10(input: unknown): unknown {
  const entry = record(input);
  return entry.what === 'measured' ? { planned: null, ...entry } : input;
}

/** Up to version 11 all boards were planed or none; how a load lies, and what is in a drawer, was not said. */
function pieceTo12(input: unknown): unknown {
  const piece = record(input);
  return {
    planedFor: 'all',
    ...piece,
    ...(piece.carries === undefined ? {} : { carries: { lies: 'spread', drawer: null, ...record(piece.carries) } }),
  };
}

/** From each version since what happened stands in a ledger to the next. */
const LATER: readonly ((job: Loose) => Loose)[] = [
  (job) => ({ ...job, pieces: Array.isArray(job.pieces) ? job.pieces.map(pieceTo6) : job.pieces }),
  (job) => ({
    ...finishesTo7(job),
    ...(Array.isArray(job.ledger) ? { ledger: job.ledger.map(entryTo7) } : {}),
    yard: yardTo7(job.yard),
    ...(Array.isArray(job.alsoAt) ? { alsoAt: job.alsoAt.map(yardTo7) } : {}),
    // What older plans did not count is taken to be there.
    ...(typeof job.shop === 'object' ? { shop: { ...job.shop, kit: KIT_7 } } : {}),
  }),
  (job) => ({
    ...job,
    pieces: Array.isArray(job.pieces) ? job.pieces.map(finishTo8) : job.pieces,
    yard: yardTo8(job.yard),
    ...(Array.isArray(job.alsoAt) ? { alsoAt: job.alsoAt.map(yardTo8) } : {}),
    shop: shopTo8(job.shop),
  }),
  (job) => ({ ...job, calendar: calendarTo9(job.shop) }),
  (job) => ({ ...job, ...(Array.isArray(job.ledger) ? { ledger: job.ledger.map(entryTo10) } : {}) }),
  (job) => ({
    ...job,
    yard: yardTo11(job.yard),
    ...(Array.isArray(job.alsoAt) ? { alsoAt: job.alsoAt.map(yardTo11) } : {}),
  }),
  (job) => ({ ...job, pieces: Array.isArray(job.pieces) ? job.pieces.map(pieceTo12) : job.pieces }),
];

/** The last version that these steps lead to; from there on what happened is read from marks. */
const MARKED = STEPS.length + 1;
/** The last version that kept what was found and measured beside its ledger. */
export const BESIDE = MARKED + 1;
/** The first version that keeps all that happened in its ledger. */
const LEDGER = BESIDE + 1;
/** The newest version there is. */
export const NEWEST = LEDGER + LATER.length;

/** A job file of a version since `LEDGER`, or brought up to that, as one of the newest. */
export const upgradedLater = (input: unknown, version: number): Loose =>
  LATER.slice(Math.max(0, version - LEDGER)).reduce((job, step) => step(job), record(input));

/**
 * A job file of an older version as one of version 3, step by step. What it does not know it leaves for the reader to
 * name.
 */
export const upgraded = (input: unknown, version: number): unknown =>
  version >= MARKED ? input : STEPS.slice(version - 1).reduce((job, step) => step(job), record(input));

/** A price list or a shop kept by itself carries no version: what it is like tells. */
export const upgradedYard = (input: unknown): unknown => yardTo11(yardTo8(yardTo7(yardTo3(yardTo2(input)))));
export const upgradedShop = shopTo3;
