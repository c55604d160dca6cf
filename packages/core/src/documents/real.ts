import { type InText } from '../messages/index.ts';
import type { Drawing, ShapeRole, Shape, Vec2 } from '../geometry/index.ts';

/** A drawing in its real size: outlines and letters by layer, for drawing programs. */

interface RealShape {
  readonly layer: string;
  readonly points: readonly Vec2[];
  readonly closed: boolean;
}
interface RealText {
  readonly layer: string;
  readonly at: Vec2;
  readonly text: string;
}

/** Layers by what they hold; roles that are only look are left out. */
const LAYER: Partial<Readonly<Record<ShapeRole, string>>> = {
  wall: 'WALLS',
  'wall-line': 'WALLS',
  room: 'ROOM',
  wood: 'TRIM',
  'wood-other': 'TRIM',
  trim: 'TRIM',
  hole: 'OPENINGS',
  outline: 'OPENINGS',
  thing: 'THINGS',
  blank: 'STICKS',
  'blank-fixed': 'STICKS',
  line: 'LINES',
  assumed: 'ASSUMED',
  stud: 'STUDS',
};
export const REAL_LAYERS: readonly string[] = [...new Set(Object.values(LAYER)), 'FIGURES'];

/** Shapes of a drawing whose units are the job's own. */
export function inRealSize(drawing: InText<Drawing>): {
  readonly shapes: RealShape[];
  readonly texts: RealText[];
} {
  const shapes: RealShape[] = [];
  const texts: RealText[] = [];
  const walk = (all: readonly InText<Shape>[]): void => {
    for (const shape of all)
      if (shape.kind === 'part') walk(shape.shapes);
      else if (shape.kind === 'area' || shape.kind === 'line') {
        const layer = LAYER[shape.role];
        if (layer !== undefined) shapes.push({ layer, points: shape.points, closed: shape.kind === 'area' });
      } else if (shape.kind === 'label') texts.push({ layer: 'FIGURES', at: shape.at, text: shape.text });
  };
  walk(drawing.shapes);
  return { shapes, texts };
}
