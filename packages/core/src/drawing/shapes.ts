import { add, fromHeading, scale, type Vec2 } from '../geometry/index.ts';

/** What a drawing is made of. x right, y up, in the sheet's unit; the screen fits it into its frame. */

export type Role =
  | 'wall'
  | 'wood'
  | 'wood-other'
  /** What is open and should not be. */
  | 'gap'
  /** What is cut away or not there. */
  | 'ghost'
  | 'fence'
  | 'line'
  | 'guide';

export type Shape =
  | { readonly kind: 'area'; readonly role: Role; readonly points: readonly Vec2[] }
  | { readonly kind: 'line'; readonly role: Role; readonly points: readonly Vec2[] }
  | { readonly kind: 'label'; readonly at: Vec2; readonly text: string }
  /** A dimension line from point to point, its figure beside it. */
  | { readonly kind: 'size'; readonly from: Vec2; readonly to: Vec2; readonly text: string };

export interface Drawing {
  /** What one looks at: "from above", "from the room". */
  readonly title: string;
  readonly shapes: readonly Shape[];
}

export const area = (role: Role, ...points: Vec2[]): Shape => ({ kind: 'area', role, points });
export const line = (role: Role, ...points: Vec2[]): Shape => ({ kind: 'line', role, points });
export const label = (at: Vec2, text: string): Shape => ({ kind: 'label', at, text });
export const size = (from: Vec2, to: Vec2, text: string): Shape => ({ kind: 'size', from, to, text });

/** Points of an arc, counter-clockwise from one heading to another, degrees. */
export function arc(centre: Vec2, radius: number, from: number, to: number): Vec2[] {
  const steps = Math.max(2, Math.ceil(Math.abs(to - from) / 3));
  return Array.from({ length: steps + 1 }, (_, i) =>
    add(centre, scale(fromHeading(from + ((to - from) * i) / steps), radius)),
  );
}
