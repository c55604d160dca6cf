import { tanDeg } from '../base/index.ts';
import { area, box, label, line, type Drawing, type Shape } from '../drawing/index.ts';
import type { Vec2 } from '../geometry/index.ts';
import type { PlanEnd } from '../plan/index.ts';
import type { CutStep } from './cut-list.ts';

/** The board from above at the saw, in points of the page: its ends leave the picture. */
const BOARD = { width: 420, height: 190, top: 144, band: 60 } as const;
/** As far as a slant may run before it leaves the picture, and the steepest that is drawn. */
const MOST = { run: 150, angle: 80 } as const;

/**
 * The cut from above, as one stands at the saw: fence at the back, the stick against it, the line of the blade, which side
 * is kept. The slant is the true angle: a handle swung to the right draws the blade from the fence towards the operator
 * and to the right.
 */
export function cutDrawing({ saw, keep }: Pick<CutStep, 'saw' | 'keep'>): Drawing {
  const { width, height, top, band } = BOARD;
  const sign = saw.swing === 'right' ? 1 : saw.swing === 'left' ? -1 : 0;
  const run = band * tanDeg(Math.min(MOST.angle, saw.miter));
  const shift = Math.max(-MOST.run, Math.min(MOST.run, sign * run));
  const near = { x: width / 2, y: top };
  const far = { x: width / 2 + shift, y: top - band };
  const side = (edge: number): Vec2[] => [{ x: edge, y: top }, near, far, { x: edge, y: top - band }];
  const along = (t: number): Vec2 => ({ x: near.x + shift * t, y: top - band * t });
  const [kept, waste] = keep === 'left' ? [0, width] : [width, 0];
  const inside = (edge: number): number => (edge === 0 ? 70 : width - 70);
  return {
    title: `Swing ${saw.swing}, keep the ${keep} side`,
    frame: { min: { x: 0, y: 0 }, max: { x: width, y: height } },
    shapes: [
      box('fence', 0, top + 4, width, top + 22),
      label({ x: 10, y: top + 13 }, 'fence', { as: 'on-dark', anchor: 'start' }),
      area('waste', ...side(waste)),
      area('wood', ...side(kept)),
      label({ x: inside(kept), y: top - band / 2 }, 'keep', { as: 'large' }),
      label({ x: inside(waste), y: top - band / 2 }, 'waste', { as: 'note' }),
      line('blade', along(-0.23), along(1.5)),
      { kind: 'mark', mark: 'point', at: near },
      label(
        { x: far.x + shift / 2, y: top - band - 46 },
        sign === 0 ? 'handle straight' : `handle ${saw.swing}`,
        {
          as: 'figure',
        },
      ),
      label({ x: near.x + (shift > 0 ? -12 : 12), y: top + 32 }, 'mark', {
        as: 'figure',
        anchor: shift > 0 ? 'end' : 'start',
      }),
    ],
  };
}

/** One end of a piece that meets no other at a corner, from above, true in its angle: the wall on top, the room below. */
export function endDrawing(end: PlanEnd, side: 'left' | 'right'): Drawing {
  const [width, height, band, top] = [150, 74, 34, 60];
  const out = side === 'right' ? 1 : -1;
  const x = side === 'right' ? 96 : 54;
  const base = side === 'right' ? -10 : width + 10;
  const near = { x, y: top };
  const far = { x: x + out * Math.max(-50, Math.min(50, -band * tanDeg(end.angle))), y: top - band };
  const cope = end.joint === 'cope';
  const bite = Array.from({ length: 7 }, (_, k): Vec2 => {
    const t = k / 6;
    return { x: x + (far.x - x) * t - out * 16 * Math.sin(t * Math.PI), y: top - band * t };
  });
  const shapes: Shape[] = [
    line('wall-line', { x: 0, y: top + 3 }, { x: width, y: top + 3 }),
    area('wood', { x: base, y: top }, ...(cope ? bite : [near, far]), { x: base, y: top - band }),
    ...(cope ? [line('ghost', near, far)] : []),
    ...(end.joint === 'return' ? [area('wood-other', near, far, { x: far.x, y: top })] : []),
  ];
  return {
    title: `${side} end from above`,
    frame: { min: { x: 0, y: 20 }, max: { x: width, y: height - 6 } },
    shapes,
  };
}
