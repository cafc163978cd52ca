import { nth } from '../lists';
import { inches } from '../length';
import { solidOf, type Part } from '../piece';
import { contacts, into } from '../solid';
import type { Standing } from '../work';

/** Numbers are told to 1/64: what is nearer than twice that is right. */
const NEAR = inches(1 / 32);

/** Whether a part lies on another where a mark says, measured on the parts as they are drawn; why not, else null. */
export function standsAsTold(mark: Standing, parts: ReadonlyMap<string, Part>): string | null {
  const [part, onto] = [parts.get(mark.part), parts.get(mark.onto)];
  // A panel is told as one board: its boards are looked at one by one where they are joined.
  if (!part || !onto) return null;
  const faces = contacts(solidOf(onto), solidOf(part));
  if (faces.length === 0) return `${mark.tag} does not touch ${mark.ontoTag}`;
  const wrong = mark.rows.find(({ of, from, at }) => {
    const own = of === 'onto' ? onto : part;
    const size = nth([own.length, own.width, own.thickness], from.axis);
    const places = faces.flatMap(({ points }) => points.map((point) => into(own.frame, point)[from.axis]));
    const gap = from.sign < 0 ? Math.min(...places) : size - Math.max(...places);
    return Math.abs(gap - at) > NEAR;
  });
  return wrong
    ? `${mark.tag} on ${mark.ontoTag}: it is not ${(wrong.at / inches(1)).toFixed(2)} from the ${wrong.from.name}`
    : null;
}
