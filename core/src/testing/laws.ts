import { common, contacts, dot, volumeOf } from '../solid';
import {
  around,
  boxOf,
  cutSolidOf,
  openedBy,
  rawSolidOf,
  solidOf,
  type Joint,
  type Part,
  type PieceModel,
} from '../piece';

/** Volumes are compared to this share of a cubic inch; slanted lengths are rounded to 1/320 mm. */
const SLIVER = 8128 ** 3 * 1e-3;

const pairs = <T>(items: readonly T[]): readonly (readonly [T, T])[] =>
  items.flatMap((a, at) => items.slice(at + 1).map((b) => [a, b] as const));

const placed = (model: PieceModel): readonly Part[] => model.parts.filter((part) => !part.loose);
const near = (a: Part, b: Part): boolean => {
  const [p, q] = [boxOf(a), boxOf(b)];
  return ([0, 1, 2] as const).every((axis) => p.min[axis] <= q.max[axis] + 4 && q.min[axis] <= p.max[axis] + 4);
};

/** Pairs of parts that fill the same space. */
export const overlapping = (model: PieceModel): readonly string[] =>
  pairs(placed(model))
    .filter(([a, b]) => near(a, b) && volumeOf(common(solidOf(a), solidOf(b))) > SLIVER)
    .map(
      ([a, b]) =>
        `${a.tag} in ${b.tag}: ${(volumeOf(common(solidOf(a), solidOf(b))) / 8128 ** 3).toFixed(3)} cubic inches`,
    );

/** Pairs whose uncut bodies overlap without a cut-out that says so, or whose cut-outs do not take what overlaps. */
export const undeclared = (model: PieceModel): readonly string[] =>
  pairs(placed(model)).flatMap(([a, b]) => {
    if (!near(a, b)) return [];
    const shared = common(rawSolidOf(a), rawSolidOf(b));
    const volume = volumeOf(shared);
    if (volume <= SLIVER) return [];
    const cuts = [...a.cuts.map((cut) => ({ part: a, cut })), ...b.cuts.map((cut) => ({ part: b, cut }))];
    const removed = cuts.reduce((sum, { part, cut }) => sum + volumeOf(common(shared, cutSolidOf(part, cut))), 0);
    if (cuts.length === 0) return [`${a.tag} and ${b.tag} overlap and no cut-out says so`];
    return removed >= volume - SLIVER
      ? []
      : [`${a.tag} and ${b.tag}: cut-outs take ${removed / 8128 ** 3} of ${volume / 8128 ** 3}`];
  });

/** Joints whose parts do not lie against each other, unless hardware holds them apart. */
export const loose = (model: PieceModel): readonly string[] => {
  const byId = new Map(model.parts.map((part) => [part.id, part]));
  return model.joints.flatMap((joint) => {
    const [a, b] = [byId.get(joint.drilled), byId.get(joint.into)];
    if (!a || !b) return [`${joint.id} names a part that is not there`];
    return joint.apart || contacts(solidOf(a), solidOf(b)).length > 0
      ? []
      : [`${joint.id} (${joint.kind}) does not touch`];
  });
};

/** Parts that no chain of joints leads to from the first. */
export const unconnected = (model: PieceModel): readonly string[] => {
  const parts = placed(model);
  if (parts.length === 0) return [];
  const next = new Map<string, string[]>();
  const link = (a: string, b: string) => next.set(a, [...(next.get(a) ?? []), b]);
  for (const { drilled, into: other } of model.joints) {
    link(drilled, other);
    link(other, drilled);
  }
  const seen = new Set([parts[0]!.id]);
  const queue = [parts[0]!.id];
  for (let id = queue.shift(); id !== undefined; id = queue.shift())
    for (const other of next.get(id) ?? [])
      if (!seen.has(other)) {
        seen.add(other);
        queue.push(other);
      }
  return parts.filter((part) => !seen.has(part.id)).map((part) => part.tag);
};

/** The outside of everything, to whole units. */
export const outside = (model: PieceModel) => around(placed(model).map(boxOf));

/** Parts whose volume is not their prism less their cut-outs, each counted once. */
export const wrongVolume = (model: PieceModel): readonly string[] =>
  placed(model).flatMap((part) => {
    const raw = volumeOf(rawSolidOf(part));
    const cut = part.cuts.map((one) => common(rawSolidOf(part), cutSolidOf(part, one)));
    const taken = cut.reduce((sum, solid) => sum + volumeOf(solid), 0);
    const twice = pairs(cut).reduce((sum, [a, b]) => sum + volumeOf(common(a, b)), 0);
    const left = volumeOf(solidOf(part));
    const slack = SLIVER + 1e-6 * raw;
    // Cut-outs that overlap each other are counted once; with three at one place the sum is only a bound.
    return left <= raw - taken + twice + slack && left >= raw - taken - slack
      ? []
      : [`${part.tag}: ${left} of ${raw}, cut ${taken}`];
  });

/** Steps along a motion at which something that moves runs into something that stays, or into other moving things. */
export const colliding = (model: PieceModel): readonly string[] =>
  model.motions.flatMap((motion) => {
    const moving = model.parts.filter((part) => motion.parts.includes(part.id));
    const still = placed(model).filter((part) => !motion.parts.includes(part.id));
    return [0.05, 0.25, 0.5, 0.75, 1].flatMap((share) =>
      moving.flatMap((part) => {
        const there = openedBy(solidOf(part), motion, share);
        return still
          .filter((other) => volumeOf(common(there, solidOf(other))) > SLIVER)
          .map((other) => `${motion.name} at ${share}: ${part.tag} runs into ${other.tag}`);
      }),
    );
  });

/** Joints made in no assembly, or in more than one; assemblies that use what is not made yet. */
export const misassembled = (model: PieceModel): readonly string[] => {
  const wrong: string[] = [];
  const holds = new Map<string, ReadonlySet<string>>();
  const madeAt = new Map<string, number>();
  const used = new Set<string>();
  for (const assembly of model.assemblies) {
    const all = new Set(assembly.parts);
    for (const from of assembly.from) {
      const held = holds.get(from);
      if (!held) wrong.push(`${assembly.id} uses ${from} before it is made`);
      if (used.has(from)) wrong.push(`${from} is used twice`);
      used.add(from);
      for (const id of held ?? []) {
        if (assembly.parts.includes(id)) wrong.push(`${id} comes into ${assembly.id} twice`);
        all.add(id);
      }
    }
    const together = (joint: Joint) => all.has(joint.drilled) && all.has(joint.into);
    for (const joint of model.joints)
      if (together(joint) && !assembly.from.some((from) => has(holds.get(from), joint)))
        madeAt.set(joint.id, (madeAt.get(joint.id) ?? 0) + 1);
    holds.set(assembly.id, all);
  }
  for (const joint of model.joints)
    if (madeAt.get(joint.id) !== 1) wrong.push(`${joint.id} is made in ${madeAt.get(joint.id) ?? 0} assemblies`);
  return wrong;
};
const has = (held: ReadonlySet<string> | undefined, joint: Joint) =>
  held !== undefined && held.has(joint.drilled) && held.has(joint.into);

/** Names whose parts stand in pairs or fours and must be alike. */
const ALIKE = [
  'leg',
  'crossed leg',
  'long apron',
  'end apron',
  'post',
  'strut',
  'kicker',
  'foot',
  'head',
  'cleat',
  'long rail',
  'end rail',
  'ring board',
  'foot brace',
  'head brace',
  'left side',
  'corner block',
];

/** Parts that should be each other's mirror image and are not, to the rounding of slanted lengths. */
export const uneven = (model: PieceModel): readonly string[] =>
  ALIKE.flatMap((name) => {
    const parts = model.parts.filter((part) => part.name === name);
    const first = parts[0];
    if (!first) return [];
    const angles = ({ ends }: Part) =>
      [ends.left, ends.right].map(({ mitre, bevel }) => Math.abs(mitre) + Math.abs(bevel)).sort((a, b) => a - b);
    return parts
      .filter(
        (part) =>
          Math.abs(part.length - first.length) > 2 ||
          Math.abs(part.width - first.width) > 1 ||
          part.thickness !== first.thickness ||
          angles(part).some((angle, at) => Math.abs(angle - angles(first)[at]!) > 0.01),
      )
      .map(
        (part) =>
          `${part.tag} ${part.length}x${part.width}x${part.thickness} is not like ${first.tag} ${first.length}x${first.width}x${first.thickness}`,
      );
  });

/**
 * Slanted ends that lie against nothing: neither another part, nor the floor, nor the top's underside; nor are they
 * flush with a side of what they are joined to.
 */
export const unmated = (model: PieceModel): readonly string[] =>
  placed(model).flatMap((part) =>
    [part.ends.left, part.ends.right].flatMap((end, at) => {
      if (part.bought || (end.mitre === 0 && end.bevel === 0)) return [];
      const far = at === 0 ? 0 : 1;
      // The end is the face whose outward side looks most along the length.
      const along = part.frame.u.map((value) => (far === 0 ? -value : value)) as unknown as readonly [
        number,
        number,
        number,
      ];
      const face = rawSolidOf(part)
        .flat()
        .reduce((best, next) => (dot(next.normal, along) > dot(best.normal, along) ? next : best));
      const level = Math.abs(face.normal[2]) > 1 - 1e-6;
      const meets = placed(model).some(
        (other) => other !== part && near(part, other) && contacts([[face]], solidOf(other)).length > 0,
      );
      const isFlush = placed(model).some(
        (other) =>
          other !== part &&
          near(part, other) &&
          solidOf(other)
            .flat()
            .some(
              ({ normal, points }) =>
                dot(normal, face.normal) > 1 - 1e-6 &&
                Math.abs(dot(normal, points[0]!) - dot(normal, face.points[0]!)) < 2,
            ),
      );
      return level || meets || isFlush ? [] : [`${part.tag}, ${far === 0 ? 'left' : 'right'} end`];
    }),
  );

/** Tags that more than one part has: on the wood they could not be told apart. */
export const twice = (model: PieceModel): readonly string[] => {
  const tags = model.parts.map((part) => part.tag);
  return [...new Set(tags.filter((tag, at) => tags.indexOf(tag) !== at))];
};
