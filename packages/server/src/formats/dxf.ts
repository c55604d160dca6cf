import { DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf';
import { inRealSize, REAL_LAYERS, type InText, type Picture, type Unit } from '@long-miter/core';

/** Pictures in their real size for drawing programs, one beside the other. */

/** Between two pictures, as a share of the widest. */
const GAP = 0.25;

export function dxfOf(pictures: readonly InText<Picture>[], unit: Unit): Buffer {
  const dxf = new DxfWriter();
  dxf.setUnits(unit === 'in' ? Units.Inches : Units.Millimeters);
  for (const [index, layer] of REAL_LAYERS.entries()) dxf.addLayer(layer, (index % 7) + 1, 'CONTINUOUS');
  const height = unit === 'in' ? 3 : 75;
  let left = 0;
  for (const { name, drawing } of pictures) {
    const { shapes, texts } = inRealSize(drawing);
    const xs = shapes.flatMap((shape) => shape.points.map((one) => one.x));
    const [from, to] = [Math.min(...xs), Math.max(...xs)];
    const move = Number.isFinite(from) ? left - from : left;
    for (const { layer, points, closed } of shapes) {
      dxf.setCurrentLayerName(layer);
      dxf.addLWPolyline(
        points.map(({ x, y }) => ({ point: point2d(x + move, y) })),
        closed ? { flags: LWPolylineFlags.Closed } : {},
      );
    }
    dxf.setCurrentLayerName('FIGURES');
    for (const { at, text } of texts) dxf.addText(point3d(at.x + move, at.y), height, text);
    if (Number.isFinite(from)) {
      const lowest = Math.min(...shapes.flatMap((shape) => shape.points.map((one) => one.y)));
      dxf.addText(point3d(left, lowest - 4 * height), height * 1.4, name);
      left += (to - from) * (1 + GAP);
    }
  }
  return Buffer.from(dxf.stringify());
}
