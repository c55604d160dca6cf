import { type Words, type InText } from '../messages/index.ts';
import { joinKey, type PieceKey } from '../base/index.ts';
import { add, fromHeading, scale, type Vec2 } from './vec2.ts';

/**
 * What a drawing is made of: x right, y up. Made by core to scale, in the job's unit or, for strips, in the strip's own;
 * whoever paints or writes it fits it into a frame. What must not shrink with the drawing (marks, letters, how far a line
 * stands aside) is given in points of the page.
 */

/** What a part of a drawing shows, so that whoever picks it knows what was picked. */
type Ref =
  | { readonly kind: 'wall'; readonly wall: string }
  /** The corner after a wall. */
  | { readonly kind: 'corner'; readonly wall: string }
  | { readonly kind: 'opening'; readonly wall: string; readonly opening: string }
  | { readonly kind: 'piece'; readonly piece: PieceKey }
  /** The splice at the right end of a piece. */
  | { readonly kind: 'splice'; readonly piece: PieceKey }
  /** A figure that can be changed where it is read, by the key it is stored under. */
  | { readonly kind: 'figure'; readonly key: string }
  /** A part of what is drawn, by its name there. */
  | { readonly kind: 'member'; readonly key: string };

/** One text for each part, different parts never the same. */
export function refKey(ref: Ref): string {
  if (ref.kind === 'opening') return joinKey(ref.kind, ref.wall, ref.opening);
  if ('key' in ref) return joinKey(ref.kind, ref.key);
  return joinKey(ref.kind, 'wall' in ref ? ref.wall : ref.piece);
}

/** What a shape means; the page, a printer or a file gives each its look. */
export type ShapeRole =
  | 'wall'
  | 'wall-line'
  | 'room'
  | 'wood'
  | 'wood-other'
  /** What is open and should not be. */
  | 'gap'
  /** What is cut away or not there. */
  | 'ghost'
  /** What falls off at this cut. */
  | 'waste'
  | 'fence'
  | 'fence-face'
  /** The edge a mark is made on. */
  | 'marked'
  | 'blade'
  /** The two edges of crown, alike in every picture: one solid, one dashed. */
  | 'wall-edge'
  | 'ceiling-edge'
  | 'line'
  | 'guide'
  /** The bare stick, the bare wall. */
  | 'blank'
  | 'blank-fixed'
  | 'trim'
  | 'stud'
  /** An opening's hole in its wall, and its outline. */
  | 'hole'
  | 'outline'
  /** What stands in the wall or will stand before it. */
  | 'thing'
  /** Room that there is around something, and room that there is not. */
  | 'free'
  | 'clash'
  /** Figures that were not measured, and what they leave open. */
  | 'assumed'
  /** Not seen: makes a thin part easy to take hold of. */
  | 'hold';

export type Lettering = 'figure' | 'name' | 'small' | 'note' | 'assumed' | 'large' | 'on-dark';

/** Signs of one size on every page, told apart without colour. */
export type Mark =
  | 'socket'
  | 'switch'
  | 'pipe'
  | 'register'
  | 'inside-corner'
  | 'outside-corner'
  | 'inside-corner-assumed'
  | 'outside-corner-assumed'
  | 'splice'
  | 'splice-pinned'
  | 'entry'
  | 'point'
  /** Ends of inner and outer edges of casing: filled and hollow, wherever they are written. */
  | 'inner-point'
  | 'outer-point';

export interface Area {
  readonly kind: 'area';
  readonly role: ShapeRole;
  readonly points: readonly Vec2[];
  readonly tip?: Words;
}

export interface Label {
  readonly kind: 'label';
  readonly at: Vec2;
  readonly text: Words;
  readonly as?: Lettering;
  readonly anchor?: 'start' | 'middle' | 'end';
  /** Points of the page it stands off its place. */
  readonly aside?: Vec2;
  /** Width there is for it; where it does not fit, `short` is written, or nothing. */
  readonly room?: number;
  /** Written in full on a picked part, whether or not it fits. */
  readonly keep?: boolean;
  readonly short?: Words;
}

export interface DrawingPart {
  readonly kind: 'part';
  readonly ref: Ref;
  /** What is written on it in the room and on the list: a wall's number, a piece's. */
  readonly tag: string;
  /** What a screen reader says of it. */
  readonly name: Words;
  readonly tip?: Words;
  readonly shapes: readonly Shape[];
}

export type Shape =
  | Area
  | {
      readonly kind: 'line';
      readonly role: ShapeRole;
      readonly points: readonly Vec2[];
      /** Points of the page it stands aside, and by which it is shorter at each end. */
      readonly aside?: Vec2;
      readonly inset?: number;
    }
  | Label
  | {
      readonly kind: 'mark';
      readonly mark: Mark;
      readonly at: Vec2;
      readonly toward?: Vec2;
      readonly tip?: Words;
    }
  /** A dimension line from point to point, its figure beside it. */
  | { readonly kind: 'size'; readonly from: Vec2; readonly to: Vec2; readonly text: Words }
  /** What can be picked, and where the screen allows it, moved. */
  | DrawingPart;

export interface Drawing {
  /** What one looks at: "from above", "from the room". */
  readonly title: Words;
  readonly shapes: readonly Shape[];
  /** What is fitted into the frame; without it, everything that is drawn. */
  readonly frame?: { readonly min: Vec2; readonly max: Vec2 };
}

export const area = (role: ShapeRole, ...points: Vec2[]): Area => ({ kind: 'area', role, points });
export const line = (role: ShapeRole, ...points: Vec2[]): Shape => ({ kind: 'line', role, points });
export const label = (
  at: Vec2,
  text: Words,
  more: Partial<Omit<Label, 'kind' | 'at' | 'text'>> = {},
): Shape => ({
  kind: 'label',
  at,
  text,
  ...more,
});
export const size = (from: Vec2, to: Vec2, text: Words): Shape => ({ kind: 'size', from, to, text });

/** An upright box by its lower left and its upper right. */
export const box = (role: ShapeRole, x0: number, y0: number, x1: number, y1: number): Area =>
  area(role, { x: x0, y: y0 }, { x: x1, y: y0 }, { x: x1, y: y1 }, { x: x0, y: y1 });

/** Every part of a drawing, also those on other parts, in the order they are drawn. */
export const partsOf = (shapes: readonly Shape[]): readonly DrawingPart[] =>
  shapes.flatMap((shape) => (shape.kind === 'part' ? [shape, ...partsOf(shape.shapes)] : []));

/** Every point that something is drawn at, for the frame around it. */
export const drawingPoints = (shapes: readonly (Shape | InText<Shape>)[]): readonly Vec2[] =>
  shapes.flatMap((shape) => {
    switch (shape.kind) {
      case 'label':
      case 'mark':
        return [shape.at];
      case 'size':
        return [shape.from, shape.to];
      case 'part':
        return drawingPoints(shape.shapes);
      default:
        return shape.points;
    }
  });

/** Points of an arc, counter-clockwise from one heading to another, degrees. */
export function arc(centre: Vec2, radius: number, from: number, to: number): Vec2[] {
  const steps = Math.max(2, Math.ceil(Math.abs(to - from) / 3));
  return Array.from({ length: steps + 1 }, (_, i) =>
    add(centre, scale(fromHeading(from + ((to - from) * i) / steps), radius)),
  );
}
