import type { Lettering, ShapeRole } from '@long-miter/core';
import type { SVGProps } from 'react';

/** How the page shows what a shape means. The screen's colours come from the theme, so that light and dark both hold. */

type Look = Pick<
  SVGProps<SVGElement>,
  | 'fill'
  | 'fillOpacity'
  | 'stroke'
  | 'strokeWidth'
  | 'strokeDasharray'
  | 'strokeOpacity'
  | 'strokeLinecap'
  | 'strokeLinejoin'
>;

const WALL = 'var(--lm-wall)';
const EDGE = 'var(--lm-wood-edge)';
const PICKED = 'var(--lm-picked)';
const DIM = 'var(--mantine-color-dimmed)';

export const LOOK: Readonly<Record<ShapeRole, Look>> = {
  wall: { fill: 'var(--lm-void)', stroke: WALL, strokeWidth: 1.5 },
  'wall-line': { fill: 'none', stroke: WALL, strokeWidth: 4, strokeLinecap: 'round' },
  room: { fill: 'var(--lm-room)', stroke: 'none' },
  wood: { fill: 'var(--lm-wood)', stroke: EDGE, strokeWidth: 1.4, strokeLinejoin: 'round' },
  'wood-other': { fill: 'var(--lm-wood-other)', stroke: EDGE, strokeWidth: 1.4, strokeLinejoin: 'round' },
  gap: { stroke: 'var(--lm-bad)', strokeWidth: 1.5 },
  ghost: { fill: 'none', stroke: DIM, strokeWidth: 1.2, strokeDasharray: '5 4' },
  waste: { stroke: 'var(--lm-line)', strokeWidth: 1 },
  fence: { fill: WALL, stroke: 'none' },
  'fence-face': { fill: WALL, stroke: 'var(--lm-panel)', strokeWidth: 1, fillOpacity: 0.82 },
  marked: { fill: 'none', stroke: PICKED, strokeWidth: 5, strokeLinecap: 'round' },
  blade: { fill: 'var(--lm-bad)', fillOpacity: 0.55, stroke: 'var(--lm-bad)', strokeWidth: 1.2 },
  'wall-edge': { fill: 'none', stroke: 'var(--lm-edge-wall)', strokeWidth: 4.5 },
  'ceiling-edge': {
    fill: 'none',
    stroke: 'var(--lm-edge-ceiling)',
    strokeWidth: 4.5,
    strokeDasharray: '9 5',
  },
  line: { fill: 'none', stroke: 'currentColor', strokeWidth: 2 },
  guide: { fill: 'none', stroke: DIM, strokeWidth: 1.2, strokeDasharray: '4 4' },
  blank: { fill: 'var(--lm-void)', stroke: 'var(--lm-line)', strokeWidth: 1 },
  'blank-fixed': { fill: 'var(--lm-void)', stroke: PICKED, strokeWidth: 2.5 },
  trim: { fill: 'none', stroke: EDGE, strokeWidth: 3.5 },
  stud: { fill: 'none', stroke: WALL, strokeWidth: 1, strokeOpacity: 0.55 },
  hole: { fill: 'var(--lm-panel)', stroke: WALL, strokeWidth: 1, strokeDasharray: '4 3' },
  outline: { fill: 'var(--lm-panel)', stroke: WALL, strokeWidth: 1.2 },
  thing: { fill: 'var(--lm-panel)', stroke: WALL, strokeWidth: 1, strokeDasharray: '2 2' },
  assumed: { fill: 'none', stroke: 'var(--lm-assumed)', strokeWidth: 2.5, strokeDasharray: '5 4' },
  hold: { fill: 'transparent', stroke: 'none' },
  free: { fill: 'var(--lm-line)', stroke: 'none' },
  clash: { fill: 'var(--lm-bad)', stroke: 'none' },
};

/** Lines look other than the edges of areas where one would be lost: a hole is a break, a hold is broad. */
export const LINE_LOOK: Partial<Readonly<Record<ShapeRole, Look>>> = {
  hole: { stroke: 'var(--lm-panel)', strokeWidth: 8, strokeDasharray: 'none' },
  hold: { stroke: 'transparent', strokeWidth: 20 },
};

/** What changes where the part is picked. */
export const PICKED_LOOK: Partial<Readonly<Record<ShapeRole, Look>>> = {
  'wall-line': { stroke: PICKED, strokeWidth: 6 },
  wood: { fill: 'var(--lm-picked-fill)', stroke: PICKED, strokeWidth: 2.2 },
  'wood-other': { fill: 'var(--lm-picked-fill)', stroke: PICKED, strokeWidth: 2.2 },
  blank: { fill: 'var(--lm-picked-fill)' },
  trim: { stroke: PICKED, strokeWidth: 6 },
};

interface Letters {
  readonly fontSize: number;
  readonly fontWeight?: number;
  readonly fill?: string;
  /** A rim in the panel's colour, where letters lie on lines. */
  readonly rim?: boolean;
}

export const LETTERS: Readonly<Record<Lettering | 'plain', Letters>> = {
  plain: { fontSize: 15, fontWeight: 600, rim: true },
  figure: { fontSize: 15, fontWeight: 600 },
  name: { fontSize: 13.5, fontWeight: 620 },
  small: { fontSize: 12, fill: DIM },
  note: { fontSize: 18, fill: DIM },
  assumed: { fontSize: 12.5, fill: 'var(--lm-assumed)' },
  large: { fontSize: 20, fontWeight: 700 },
  'on-dark': { fontSize: 13, fill: 'var(--lm-panel)' },
};
