import { drawingPoints, type Drawing } from '@long-miter/core';

export interface ScreenPoint {
  readonly x: number;
  readonly y: number;
}

/** Where a drawing's points come to lie in its frame, and how many pixels one of its units is. */
export interface Fit {
  readonly at: (point: ScreenPoint) => ScreenPoint;
  readonly scale: number;
}

function boundsOf(drawing: Drawing): { readonly min: ScreenPoint; readonly max: ScreenPoint } {
  if (drawing.frame) return drawing.frame;
  const all = drawingPoints(drawing.shapes);
  const xs = all.map((p) => p.x);
  const ys = all.map((p) => p.y);
  return {
    min: { x: Math.min(...xs), y: Math.min(...ys) },
    max: { x: Math.max(...xs), y: Math.max(...ys) },
  };
}

/** Fits a drawing into a frame of pixels, in the middle, as large as its margins allow; y turns downwards. */
export function fitInto(drawing: Drawing, width: number, height: number, margin: number): Fit {
  const { min, max } = boundsOf(drawing);
  const scale = Math.max(
    1e-6,
    Math.min(
      (width - 2 * margin) / Math.max(max.x - min.x, 1e-9),
      (height - 2 * margin) / Math.max(max.y - min.y, 1e-9),
    ),
  );
  const left = (width - (max.x - min.x) * scale) / 2;
  const top = (height - (max.y - min.y) * scale) / 2;
  return { at: ({ x, y }) => ({ x: left + (x - min.x) * scale, y: top + (max.y - y) * scale }), scale };
}
