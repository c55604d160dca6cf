import { atanDeg, cosDeg, cotDeg, tanDeg } from '../base/index.ts';

/** How a corner joint fits as cut. Source: geometry notes, section 8. */

/** Degrees below which two cuts count as meeting exactly. */
const MEETS = 1e-9;

export interface JointFit {
  /** m1 + m2 − (180 − A): positive leaves the face open, negative the back. */
  readonly gapAngle: number;
  readonly touch: 'back' | 'face' | 'both' | 'faceOnCut';
  /** How far each back stands off the corner. */
  readonly x1: number;
  readonly x2: number;
  /** Gap at the open side. */
  readonly gap: number;
}

const third = (a: number, b: number, deg: number): number =>
  Math.sqrt(Math.max(0, a * a + b * b - 2 * a * b * cosDeg(deg)));

/**
 * Which side of a miter touches first and how large the gap at the other is.
 * @param cutLeft cutRight what the saw was set to, magnitudes
 * @param sawError what the saw cuts more than it says
 * @param backBevel relief planed off the back of each
 * @example jointFit(91, 0.75, 45, 45) // face open 0.0185
 */
export function jointFit(
  A: number,
  t: number,
  cutLeft: number,
  cutRight: number,
  sawError = 0,
  backBevel = 0,
): JointFit {
  const sign = A < 180 ? 1 : -1;
  const m1 = sign * (cutLeft + sawError) - backBevel;
  const m2 = sign * (cutRight + sawError) - backBevel;
  const gapAngle = m1 + m2 - (180 - A);
  if (gapAngle >= -MEETS) {
    const gap = third(t / cosDeg(m1), t / cosDeg(m2), gapAngle);
    return { gapAngle, touch: gapAngle > MEETS ? 'back' : 'both', x1: 0, x2: 0, gap };
  }
  const faces = t * cotDeg(A / 2);
  const x1 = faces - t * tanDeg(m1);
  const x2 = faces - t * tanDeg(m2);
  // One back is already at the corner: the other slides on until its face arris lands on the first one's cut.
  const slides = (m: number, other: number): number => t / tanDeg(A - 90 + m) - t * tanDeg(other);
  if (A < 180 && x1 < 0)
    return { gapAngle, touch: 'faceOnCut', x1: 0, x2: slides(m1, m2), gap: slides(m1, m2) };
  if (A < 180 && x2 < 0)
    return { gapAngle, touch: 'faceOnCut', x1: slides(m2, m1), x2: 0, gap: slides(m2, m1) };
  return { gapAngle, touch: 'face', x1, x2, gap: third(x1, x2, A) };
}

/** What a hollow or a hump under the leg of a bevel does to its reading. */
export function bevelShift(
  A: number,
  d: number,
  l: number,
  kind: 'hollow' | 'proud',
): { shift: number; reading: number } {
  const shift = (kind === 'hollow' ? 1 : -1) * atanDeg(d / l);
  return { shift, reading: A + shift };
}
