import { type InText } from '../messages/index.ts';
import {
  drawingPoints,
  type Drawing,
  type Lettering,
  type Mark,
  type ShapeRole,
  type Shape,
  type Vec2,
} from '../geometry/index.ts';

/** A drawing as ink on a page: what writers of pictures have to write, in points from the upper left corner. */

export type Ink =
  | { readonly kind: 'path'; readonly points: readonly Vec2[]; readonly closed: boolean; readonly look: Look }
  | { readonly kind: 'dot'; readonly at: Vec2; readonly radius: number; readonly look: Look }
  | {
      readonly kind: 'text';
      readonly at: Vec2;
      readonly text: string;
      readonly size: number;
      readonly bold: boolean;
      readonly anchor: 'start' | 'middle' | 'end';
      readonly colour: string;
      /** It lies on a line, which is kept away from it. */
      readonly onLine?: true;
    };

export interface Look {
  readonly fill?: string;
  readonly stroke?: string;
  readonly width?: number;
  readonly dash?: readonly [number, number];
}

const WALL = '#3d3a34';
const EDGE = '#7a5a24';
const GREY = '#6c675e';

/** On paper, where nothing may need its colour to be told apart. */
const PAPER_LOOK: Readonly<Record<ShapeRole, Look>> = {
  wall: { fill: '#ece3d2', stroke: WALL, width: 1 },
  'wall-line': { stroke: WALL, width: 2.6 },
  room: { fill: '#fffdf8' },
  wood: { fill: '#f0deb8', stroke: EDGE, width: 0.9 },
  'wood-other': { fill: '#ffffff', stroke: EDGE, width: 0.9, dash: [4, 2] },
  gap: { fill: '#e9b9b5', stroke: '#a3211b', width: 1 },
  ghost: { stroke: GREY, width: 0.8, dash: [4, 3] },
  waste: { fill: '#eeeae2', stroke: '#b9b0a0', width: 0.7 },
  fence: { fill: WALL },
  'fence-face': { fill: '#6a665e', stroke: '#ffffff', width: 0.7 },
  marked: { stroke: '#2f4f8f', width: 3 },
  blade: { fill: '#d98f8a', stroke: '#a3211b', width: 0.9 },
  'wall-edge': { stroke: '#222222', width: 2.6 },
  'ceiling-edge': { stroke: '#222222', width: 2.6, dash: [6, 3] },
  line: { stroke: '#222222', width: 1.2 },
  guide: { stroke: GREY, width: 0.8, dash: [3, 3] },
  blank: { fill: '#f5f0e6', stroke: '#b9b0a0', width: 0.8 },
  'blank-fixed': { fill: '#f5f0e6', stroke: '#2f4f8f', width: 1.6 },
  trim: { stroke: EDGE, width: 2 },
  stud: { stroke: GREY, width: 0.6 },
  hole: { fill: '#ffffff', stroke: WALL, width: 0.8, dash: [3, 2] },
  outline: { fill: '#ffffff', stroke: WALL, width: 0.9 },
  thing: { fill: '#ffffff', stroke: WALL, width: 0.8, dash: [1.5, 1.5] },
  free: { fill: '#d9cfbd' },
  clash: { fill: '#a3211b' },
  assumed: { stroke: '#8a5a00', width: 1.6, dash: [4, 3] },
  hold: {},
};

const SIZES: Readonly<Record<Lettering | 'plain', { size: number; bold: boolean; colour: string }>> = {
  plain: { size: 9.5, bold: true, colour: '#222222' },
  figure: { size: 9.5, bold: true, colour: '#222222' },
  name: { size: 8.8, bold: true, colour: '#222222' },
  small: { size: 7.6, bold: false, colour: GREY },
  note: { size: 10.5, bold: false, colour: GREY },
  assumed: { size: 8, bold: false, colour: '#8a5a00' },
  large: { size: 12, bold: true, colour: '#222222' },
  'on-dark': { size: 8.5, bold: false, colour: '#ffffff' },
};

interface Frame {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** Kept free inside, for figures that stand aside. */
  readonly margin: number;
  /** Points of the page for one unit of the drawing; without it, as large as fits. */
  readonly scale?: number;
}

/** Width of a text, near enough to know whether it fits. */
const widthOf = (text: string, size: number): number =>
  text.replace(/\d+\/\d+/g, '00').length * size * 0.5 + 3;
const halfway = (a: Vec2, b: Vec2): Vec2 => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

/** How large a drawing is, in its own units: all that is drawn, or the frame it is fitted to. */
export function sizeOf(drawing: Pick<InText<Drawing>, 'shapes' | 'frame'>): {
  readonly width: number;
  readonly height: number;
} {
  const points = drawing.frame ? [drawing.frame.min, drawing.frame.max] : drawingPoints(drawing.shapes);
  const xs = points.map((one) => one.x);
  const ys = points.map((one) => one.y);
  return { width: Math.max(...xs) - Math.min(...xs), height: Math.max(...ys) - Math.min(...ys) };
}

/** Sets a drawing into a frame of the page; y of the page goes down. */
export function onPage(drawing: InText<Drawing>, frame: Frame): Ink[] {
  const points = drawing.frame ? [drawing.frame.min, drawing.frame.max] : drawingPoints(drawing.shapes);
  const xs = points.map((one) => one.x);
  const ys = points.map((one) => one.y);
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale =
    frame.scale ??
    Math.max(
      1e-6,
      Math.min(
        (frame.width - 2 * frame.margin) / Math.max(right - left, 1e-9),
        (frame.height - 2 * frame.margin) / Math.max(high - low, 1e-9),
      ),
    );
  const at = ({ x, y }: Vec2): Vec2 => ({
    // What has a scale to keep begins where all of its kind begin.
    x: frame.x + (frame.scale ? 0 : (frame.width - (right - left) * scale) / 2) + (x - left) * scale,
    y: frame.y + (frame.height - (high - low) * scale) / 2 + (high - y) * scale,
  });
  return drawing.shapes.flatMap((shape) => inkOf(shape, at, scale));
}

function inkOf(shape: InText<Shape>, at: (point: Vec2) => Vec2, scale: number): Ink[] {
  switch (shape.kind) {
    case 'part':
      return shape.shapes.flatMap((one) => inkOf(one, at, scale));
    case 'area':
      return [{ kind: 'path', points: shape.points.map(at), closed: true, look: PAPER_LOOK[shape.role] }];
    case 'line': {
      const { aside = { x: 0, y: 0 } } = shape;
      const { fill: _none, ...look } = PAPER_LOOK[shape.role];
      return [
        {
          kind: 'path',
          points: shape.points.map(at).map(({ x, y }) => ({ x: x + aside.x, y: y - aside.y })),
          closed: false,
          look,
        },
      ];
    }
    case 'label': {
      const look = SIZES[shape.as ?? 'plain'];
      const room = shape.room === undefined ? Infinity : shape.room * scale;
      const text = [shape.text, shape.short].find(
        (one) => one !== undefined && room >= widthOf(one, look.size),
      );
      if (text === undefined) return [];
      const { x, y } = at(shape.at);
      return [
        {
          kind: 'text',
          at: { x: x + (shape.aside?.x ?? 0) * 0.7, y: y - (shape.aside?.y ?? 0) * 0.7 },
          text,
          anchor: shape.anchor ?? 'middle',
          ...look,
        },
      ];
    }
    case 'size': {
      if (shape.text === '') return [];
      const [from, to] = [at(shape.from), at(shape.to)];
      return [
        { kind: 'path', points: [from, to], closed: false, look: { stroke: GREY, width: 0.7 } },
        {
          kind: 'text',
          at: halfway(from, to),
          text: shape.text,
          anchor: 'middle',
          onLine: true,
          ...SIZES.plain,
        },
      ];
    }
    case 'mark':
      return markOf(shape.mark, at(shape.at), shape.toward);
  }
}

/** Signs of one size, told apart by their form. */
function markOf(mark: Mark, { x, y }: Vec2, toward: Vec2 = { x: 0, y: -1 }): Ink[] {
  const line = (look: Look, ...points: Vec2[]): Ink => ({ kind: 'path', points, closed: false, look });
  const dark: Look = { stroke: '#222222', width: 1.2 };
  const assumed: Look = { stroke: '#8a5a00', width: 1.2, dash: [2, 2] };
  const v = (look: Look, up: 1 | -1): Ink[] => [
    line(look, { x: x - 4, y: y - 4 * up }, { x, y: y + 2 * up }, { x: x + 4, y: y - 4 * up }),
  ];
  switch (mark) {
    case 'inside-corner':
      return v(dark, 1);
    case 'outside-corner':
      return v(dark, -1);
    case 'inside-corner-assumed':
      return v(assumed, 1);
    case 'outside-corner-assumed':
      return v(assumed, -1);
    case 'entry': {
      const tip = { x: x + toward.x * 14, y: y - toward.y * 14 };
      return [
        line({ stroke: '#2f4f8f', width: 1.6 }, { x: x - toward.x * 6, y: y + toward.y * 6 }, tip),
        { kind: 'dot', at: tip, radius: 2.2, look: { fill: '#2f4f8f' } },
      ];
    }
    case 'splice':
    case 'splice-pinned':
      return [line(dark, { x: x - 3, y: y + 6 }, { x: x + 3, y: y - 6 })];
    case 'outer-point':
      return [
        { kind: 'dot', at: { x, y }, radius: 2.4, look: { fill: '#ffffff', stroke: '#222222', width: 1 } },
      ];
    default:
      return [{ kind: 'dot', at: { x, y }, radius: 2.4, look: { fill: '#222222' } }];
  }
}
