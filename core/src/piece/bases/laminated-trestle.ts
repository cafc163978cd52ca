import type { Length } from '../../length';
import type { Nominal } from '../../stock';
import { say, type Phrase } from '../../words';
import { boxAt, type Kit } from '../kit';
import type { Part } from '../part';
import { clippedEnd } from './clipped';

/** What foot, head and post are made of: each of three of them, face to face. */
export const LAYER: Nominal = '2x4';

/** Tags of a trestle's parts, as what is joined to it needs them. */
export type TrestleTags = {
  /** What struts stand on and hang from: before and behind the post. */
  readonly foot: readonly [string, string];
  readonly head: readonly [string, string];
  /** What struts lean against. */
  readonly post: string;
  /** Of post, foot and head the layers that look at the other trestle, and away from it. */
  readonly inner: { readonly post: string; readonly head: string };
  readonly outer: { readonly post: string; readonly foot: string; readonly head: string };
};

type Trestle = {
  /** 1 or 2. */
  readonly number: number;
  /** Where its outer layers begin along the table, and which way the other trestle is. */
  readonly x: Length;
  readonly inward: 1 | -1;
  readonly from: Length;
  readonly long: Length;
  readonly under: Length;
  /** Cut off the ends of foot and head at 45; 0 for square ones. */
  readonly clip: Length;
};

/** Tags of the trestle of a number, in its two layers outside and the one between. */
const layersOf = (n: number) =>
  ({
    feet: [`F${2 * n - 1}`, `F${2 * n}`],
    heads: [`K${2 * n - 1}`, `K${2 * n}`],
    cheeks: [`C${2 * n - 1}`, `C${2 * n}`],
    feetBetween: [`M${4 * n - 3}`, `M${4 * n - 2}`],
    headsBetween: [`M${4 * n - 1}`, `M${4 * n}`],
    core: `P${n}`,
  }) as const;

export const laminatedTags = (n: number): TrestleTags => {
  const { feet, heads, cheeks, feetBetween, headsBetween, core } = layersOf(n);
  return {
    foot: feetBetween,
    head: headsBetween,
    post: core,
    inner: { post: cheeks[1], head: heads[1] },
    outer: { post: cheeks[0], foot: feet[0], head: heads[0] },
  };
};

/**
 * A trestle of three layers. Outside foot and head run through and the post stands between them; in the middle the post
 * runs through and they end against it: where they cross each has the layer that the other lacks, and no lap is cut.
 */
export function laminatedTrestle(kit: Kit, { number: n, x, inward, from, long, under, clip }: Trestle): void {
  const { width: high, thickness: thick } = kit.sizes.dressed(LAYER);
  const { feet, heads, cheeks, feetBetween, headsBetween, core } = layersOf(n);
  const layer = (at: number) => (inward === 1 ? x + at * thick : x - (at + 1) * thick);
  const half = Math.round((long - high) / 2);
  const lying = (
    tag: string,
    role: Part['role'],
    name: string,
    at: number,
    [y, z]: readonly [Length, Length],
    run: Length,
  ) => kit.board({ tag, role, name, material: LAYER }, boxAt([layer(at), y, z], [thick, run, high]), 1, 2);
  const standing = (tag: string, name: string, at: number, z: Length, tall: Length) =>
    kit.board(
      { tag, role: 'leg', name, material: LAYER },
      boxAt([layer(at), from + half, z], [thick, high, tall]),
      2,
      1,
    );
  const top = under - high;
  ([0, 2] as const).forEach((at, k) => {
    const [foot, head, cheek] = [feet[k], heads[k], cheeks[k]] as readonly [string, string, string];
    lying(foot, 'foot', 'foot side', at, [from, 0], long);
    lying(head, 'apron', 'head side', at, [from, top], long);
    standing(cheek, 'post cheek', at, high, top - high);
  });
  standing(core, 'post core', 1, 0, under);
  ([0, 1] as const).forEach((k) => {
    const [foot, head] = [feetBetween[k], headsBetween[k]];
    const y = k === 0 ? from : from + half + high;
    const run = k === 0 ? half : long - half - high;
    lying(foot, 'foot', 'foot filler', 1, [y, 0], run);
    lying(head, 'apron', 'head filler', 1, [y, top], run);
  });
  if (clip > 0) clipEnds(kit, n, clip);
  const [outer, inner] = [0, 1] as const;
  for (const [beam, fillers] of [
    [feet, feetBetween],
    [heads, headsBetween],
  ] as const) {
    for (const middle of [core, ...fillers]) {
      kit.join('screws', middle, beam[outer]);
      kit.join('screws', beam[inner], middle);
    }
  }
  kit.join('screws', core, cheeks[outer]);
  kit.join('screws', cheeks[inner], core);
}

/** The outer corners of a trestle's feet off above, of its heads below. */
function clipEnds(kit: Kit, n: number, clip: Length): void {
  const { feet, heads, feetBetween, headsBetween } = layersOf(n);
  for (const [edge, beams, fillers] of [
    ['upper', feet, feetBetween],
    ['lower', heads, headsBetween],
  ] as const) {
    for (const tag of beams)
      for (const end of ['near', 'far'] as const) kit.put(clippedEnd(kit.get(tag), clip, edge, end));
    kit.put(clippedEnd(kit.get(fillers[0]), clip, edge, 'near'));
    kit.put(clippedEnd(kit.get(fillers[1]), clip, edge, 'far'));
  }
}

/** The order in which it is glued up: the middle layer on one face, then the other face on it. */
export function assembleLaminated(kit: Kit, n: number, braces: readonly string[], square: Phrase): void {
  const { feet, heads, cheeks, feetBetween, headsBetween, core } = layersOf(n);
  kit.assemble(
    `layers-${n}`,
    say`Lay up trestle ${n}`,
    [feet[0], cheeks[0], heads[0], core, ...feetBetween, ...headsBetween],
    [],
    [
      say`Foot, cheek and head lie flat on the bench, the cheek between the two; on them the core, both ends level with their outer edges, and the fillers tight against it. No lap is cut: it forms itself.`,
    ],
  );
  const closed = braces.length > 0 ? `close-${n}` : `trestle-${n}`;
  kit.assemble(closed, say`Close trestle ${n}`, [feet[1], cheeks[1], heads[1]], [`layers-${n}`]);
  if (braces.length > 0) kit.assemble(`trestle-${n}`, say`Brace trestle ${n}`, braces, [closed], [square]);
}
