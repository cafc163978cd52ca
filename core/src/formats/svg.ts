import { first, nth } from '../lists';
import type { Outline } from '../solid';
import { plainLetters } from './letters';
import type { Line, Template } from './template';

const number = (value: number): string => String(Math.round(value * 1000) / 1000);

/** An outline as SVG path data in millimetres, turned so that y points up the part as it does on the wood. */
export function pathOf(points: Outline, height: number): string {
  const at = ([x, y]: readonly [number, number, number?]) => `${number(x)} ${number(height - y)}`;
  const bits = points.map((corner, index) => {
    const next = nth(points, (index + 1) % points.length);
    const bulge = corner[2] ?? 0;
    if (bulge === 0) return `L${at(next)}`;
    const angle = 4 * Math.atan(Math.abs(bulge));
    const radius = Math.hypot(next[0] - corner[0], next[1] - corner[1]) / 2 / Math.sin(angle / 2);
    return `A${number(radius)} ${number(radius)} 0 ${angle > Math.PI ? 1 : 0} ${bulge > 0 ? 0 : 1} ${at(next)}`;
  });
  return `M${at(first(points))}${bits.join('')}Z`;
}

/** Stroke of each kind of line: what is cut is solid, what is seen from elsewhere dashed. */
export const STROKES: Readonly<Record<Line['kind'], { readonly width: number; readonly dash: string | null }>> = {
  outline: { width: 0.5, dash: null },
  through: { width: 0.5, dash: null },
  pocket: { width: 0.35, dash: '4 1 1 1' },
  hidden: { width: 0.25, dash: '2 1.5' },
  'far edge': { width: 0.25, dash: '2 1.5' },
};

const escaped = (text: string): string =>
  plainLetters(text).replace(/[&<>"]/g, (letter) => `&#${letter.charCodeAt(0)};`);

/** Views of a part one above the other in one SVG, full size in millimetres. `title` stands on it. */
export function svgOf(templates: readonly Template[], title: string): string {
  const gap = 14;
  const width = Math.max(...templates.map((template) => template.width)) + 2 * gap;
  let y = gap;
  const groups = templates.map(({ view, height, lines, texts = [] }) => {
    const paths = lines.map(({ kind, points, note }) => {
      const { width: stroke, dash } = STROKES[kind];
      return `<path d="${pathOf(points, height)}" stroke-width="${stroke}"${dash ? ` stroke-dasharray="${dash}"` : ''}>${note ? `<title>${escaped(note)}</title>` : ''}</path>`;
    });
    const words = texts.map(
      ({ at: [tx, ty], size, text }) =>
        `<text x="${number(tx)}" y="${number(height - ty + size / 3)}" font-size="${number(size)}" text-anchor="middle" fill="black" stroke="none">${escaped(text)}</text>`,
    );
    const group = `<g id="${view}" transform="translate(${gap} ${number(y)})">${paths.join('')}${words.join('')}<text x="2" y="-3" font-size="5" fill="black" stroke="none">${escaped(`${title}, ${view}`)}</text></g>`;
    y += height + gap;
    return group;
  });
  const height = number(y);
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${number(width)}mm" height="${height}mm" viewBox="0 0 ${number(width)} ${height}" fill="none" stroke="black">${groups.join('')}</svg>\n`;
}
