/**
 * Reads the printed packet back: its text only, knowing nothing of operations but how they are worded. What it finds is
 * compared with what the operations hold.
 */

/** Inches as they are printed: `12`, `3/4`, `5 25/32`. */
const NUMBER = String.raw`\d+ \d+\/\d+|\d+\/\d+|\d+`;

/** A printed length in 64ths of an inch. */
function read64ths(text: string): number {
  const sum = text
    .trim()
    .split(' ')
    .reduce((total, bit) => {
      const [over, under] = bit.split('/').map(Number);
      return total + over! / (under ?? 1);
    }, 0);
  return Math.round(sum * 64);
}

const numbersIn = (text: string): readonly number[] =>
  [...text.matchAll(new RegExp(NUMBER, 'g'))].map(([found]) => read64ths(found));

/** Tags of a list: `A1, A2 and T1 to T4`. */
function readTags(text: string): readonly string[] {
  return text.split(/, | and /).flatMap((bit) => {
    const run = /^([A-Za-z]+)(\d+) to \1(\d+)$/.exec(bit.trim());
    if (!run) return [bit.trim()];
    const [from, to] = [Number(run[2]), Number(run[3])];
    return Array.from({ length: to - from + 1 }, (_, at) => `${run[1]}${from + at}`);
  });
}

/** A place on a part, as it is printed: `T1|underside|left end|128|-|0`, lengths in 64ths of an inch. */
type Place = string;

/** Places of one sentence: groups of parts, each with its sides, and on these rows of places. */
function readPlaces(text: string): readonly Place[] {
  return text
    .replace(/\.$/, '')
    .split('. ')
    .flatMap((group) => {
      const sided = [
        ...group.matchAll(
          /(?:, |; )((?:(?:left|right|front|back|top|bottom|inside|outside) (?:end|edge|face))|underside): /g,
        ),
      ];
      const tags = readTags(group.slice(0, sided[0]?.index ?? 0));
      return sided.flatMap((found, at) => {
        const side = found[1]!;
        const body = group.slice(found.index + found[0].length, sided[at + 1]?.index ?? group.length);
        return body.split('; ').flatMap((row) => {
          const [, places = '', from = '', , off = '0', across = '-'] =
            new RegExp(`^(.*?) from the ([a-z ]+?)(, (${NUMBER}) from the ([a-z ]+))?$`).exec(row.trim()) ?? [];
          return tags.flatMap((tag) =>
            numbersIn(places).map((place) => `${tag}|${side}|${from}|${place}|${across}|${read64ths(off)}`),
          );
        });
      });
    });
}

/** What one printed sentence says is done: holes and how deep, what is driven and how deep its heads lie, who lifts. */
export type Told = {
  readonly kind: 'bore' | 'pocket' | 'slot' | 'drive' | 'cut' | 'other';
  readonly count: number;
  readonly places: readonly Place[];
  /** Depths, in 64ths; those of a cut-out with all its other numbers. */
  readonly depths: readonly number[];
  readonly people: number;
  /** Widths of bits, in 64ths, in the order they are taken. */
  readonly bits: readonly number[];
  /** Not square to the side that it begins on. */
  readonly slant: boolean;
  readonly text: string;
};

export function readSentence(printed: string): Told {
  const text = printed.replace(/\s+/g, ' ').trim();
  const people = Number(/(\d+) people\.?$/.exec(text)?.[1] ?? 1);
  const slant = /, square to the (?:face of what it meets|slanted end)/.test(text);
  const told = (kind: Told['kind'], more: Partial<Told> = {}): Told => ({
    kind,
    count: 0,
    places: [],
    depths: [],
    people,
    bits: [],
    slant,
    text,
    ...more,
  });
  const bore =
    /^Bore (\d+) holes? for (.*?)(?:, stop collar on the bit)?(?:, square to the face of what it meets, not to this one)?: (.*)$/.exec(
      text,
    );
  if (bore) {
    const depths = [...bore[2]!.matchAll(new RegExp(`(${NUMBER}) deep`, 'g'))].map(([, deep]) => read64ths(deep!));
    const bits = [...bore[2]!.matchAll(new RegExp(`(${NUMBER}) (?:wide|through)`, 'g'))].map(([, wide]) =>
      read64ths(wide!),
    );
    return told('bore', { count: Number(bore[1]), depths, bits, places: readPlaces(bore[3]!) });
  }
  const pocket = new RegExp(`^Jig and collar at (${NUMBER}), (\\d+) pockets? out through the .*?: (.*)$`).exec(text);
  if (pocket)
    return told('pocket', {
      count: Number(pocket[2]),
      depths: [read64ths(pocket[1]!)],
      places: readPlaces(pocket[3]!),
    });
  const slot = new RegExp(
    `^Cut (\\d+) .*?, (${NUMBER}) long, (${NUMBER}) wide, (${NUMBER}) deep, the long way in the direction of the first measure(?:, square to the slanted end)?, their middles: (.*)$`,
  ).exec(text);
  if (slot)
    return told('slot', {
      count: Number(slot[1]),
      depths: [slot[2]!, slot[3]!, slot[4]!].map(read64ths),
      places: readPlaces(slot[5]!),
    });
  const drive = /(?:Drive|Bolt with|Turn in the bolts of) (\d+) /.exec(text);
  if (drive) {
    const heads = /heads (.*?) below the surface/.exec(text);
    const pilot = new RegExp(`bore (${NUMBER}),? (?:(${NUMBER}) deep|on through)`).exec(text);
    return told('drive', {
      count: Number(drive[1]),
      depths: heads ? numbersIn(heads[1]!) : [],
      bits: pilot ? [pilot[1]!, ...(pilot[2] ? [pilot[2]] : [])].map(read64ths) : [],
    });
  }
  return told(
    /^.*?: (?:half lap|notch|groove|rebate|dado|hole|relief|clipped|mortise|tenon)/.test(text) ? 'cut' : 'other',
    { depths: numbersIn(text) },
  );
}

/** Numbers of cuts that a page of settings names: `Cuts 3, 7, 12`. */
export const readCuts = (text: string): readonly number[] =>
  [...text.matchAll(/Cuts ([\d, ]+)/g)].flatMap(([, list]) => list!.split(',').map((one) => Number(one.trim())));
