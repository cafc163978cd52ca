import type { Piece } from '../job';
import type { PieceModel } from './model';
import { SQUARE, type Part } from './part';
import type { Sizes } from '../stock';

/** A part with what a person set by hand; a count of 0 leaves it out. */
function change(part: Part, to: Piece['overrides'][string], sizes: Sizes): Part {
  const material = to.material ?? part.material;
  const other = material !== part.material && material !== 'bought';
  const next = {
    length: to.length ?? part.length,
    width: to.width ?? part.width,
    thickness: other ? sizes.thickness(material) * part.plies : part.thickness,
    material,
    count: to.count ?? part.count,
  };
  const changed = Object.fromEntries(
    (Object.keys(next) as (keyof typeof next)[])
      .filter((key) => next[key] !== part[key])
      .map((key) => [key, part[key]]),
  );
  return { ...part, ...next, planed: other ? 0 : part.planed, changed };
}

const loosePart = (piece: Piece, row: Piece['loose'][number], sizes: Sizes): Part => ({
  id: `${piece.id}.${row.tag}`,
  piece: piece.id,
  tag: row.tag,
  role: 'loose',
  name: row.name,
  material: row.material,
  plies: 1,
  length: row.length,
  width: row.width,
  thickness: sizes.thickness(row.material),
  outline: null,
  ends: { left: SQUARE, right: SQUARE },
  cuts: [],
  frame: { at: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0] },
  count: row.count,
  trimmedLater: false,
  flush: false,
  kept: false,
  run: null,
  planed: 0,
  squared: false,
  fit: null,
  dependsOn: [],
  bought: null,
  loose: true,
  changed: {},
});

/** The model with a person's own sizes, stock and counts, and the parts added by hand. */
export function overridden(piece: Piece, model: PieceModel, sizes: Sizes): PieceModel {
  const set = piece.overrides;
  if (Object.keys(set).length === 0 && piece.loose.length === 0) return model;
  const parts = model.parts
    .map((part) => {
      const own = set[part.tag];
      return own ? change(part, own, sizes) : part;
    })
    .filter((part) => part.count > 0);
  const kept = new Set(parts.map((part) => part.id));
  return {
    ...model,
    parts: [...parts, ...piece.loose.map((row) => loosePart(piece, row, sizes))],
    joints: model.joints.filter((joint) => kept.has(joint.drilled) && kept.has(joint.into)),
    assemblies: model.assemblies.map((assembly) => ({
      ...assembly,
      parts: assembly.parts.filter((id) => kept.has(id)),
    })),
    motions: model.motions.map((motion) => ({ ...motion, parts: motion.parts.filter((id) => kept.has(id)) })),
    bearers: model.bearers.filter((id) => kept.has(id)),
  };
}
