import { DxfWriter, Units, point2d, point3d, type LWPolylineVertex, LWPolylineFlags } from '@tarikjabiri/dxf';
import { plainLetters } from '../letters';
import type { Line, Template } from '../template';

/** Layers by kind of line, so that a machine or a program can tell what is cut from what is only shown. */
const LAYERS: Readonly<
  Record<Line['kind'], { readonly name: string; readonly colour: number; readonly line: string }>
> = {
  outline: { name: 'OUTLINE', colour: 7, line: 'Continuous' },
  through: { name: 'THROUGH', colour: 1, line: 'Continuous' },
  pocket: { name: 'POCKET', colour: 5, line: 'Continuous' },
  hidden: { name: 'HIDDEN', colour: 8, line: 'Continuous' },
  'far edge': { name: 'FAR_EDGE', colour: 8, line: 'Continuous' },
};

/** Views of a part one above the other as a DXF drawing in millimetres, full size; arcs stay arcs. */
export function dxfOf(templates: readonly Template[], title: string): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const { name, colour, line } of Object.values(LAYERS)) dxf.addLayer(name, colour, line);
  let y = 0;
  for (const { view, height, lines, texts = [] } of templates) {
    for (const { kind, points } of lines) {
      const vertices = points.map(([px, py, bulge]): LWPolylineVertex =>
        bulge === undefined ? { point: point2d(px, py + y) } : { point: point2d(px, py + y), bulge },
      );
      dxf.addLWPolyline(vertices, { flags: LWPolylineFlags.Closed, layerName: LAYERS[kind].name });
    }
    for (const { at, size, text } of texts) dxf.addText(point3d(at[0], at[1] + y, 0), size, plainLetters(text));
    dxf.addText(point3d(0, y + height + 3, 0), 5, plainLetters(`${title}, ${view}`));
    y += height + 20;
  }
  return dxf.stringify();
}
