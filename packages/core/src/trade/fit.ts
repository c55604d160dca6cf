import { atanDeg, cosDeg, cotDeg, NOISE, sinDeg, tanDeg } from '../base/index.ts';

/** How a corner joint fits as cut. Source: geometry notes, section 8. */

/** Degrees below which two cuts count as meeting exactly. */
const MEETS = 1e-9;

interface JointFit {
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
  // A cut at exactly the half angle has its back at the corner: that is no other piece's face.
  if (A < 180 && x1 < -NOISE)
    return { gapAngle, touch: 'faceOnCut', x1: 0, x2: slides(m1, m2), gap: slides(m1, m2) };
  if (A < 180 && x2 < -NOISE)
    return { gapAngle, touch: 'faceOnCut', x1: slides(m2, m1), x2: 0, gap: slides(m2, m1) };
  const [off1, off2] = [Math.max(0, x1), Math.max(0, x2)];
  return A < 180
    ? { gapAngle, touch: 'face', x1: off1, x2: off2, gap: third(off1, off2, A) }
    : { gapAngle, touch: 'face', x1, x2, gap: third(x1, x2, A) };
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

/** How an end that meets the face of a through piece fits: which edge lands first, and what stays open at each. */
interface FaceFit {
  readonly touch: 'face' | 'back' | 'both';
  /** What one looks into, square to the through piece's face. */
  readonly faceGap: number;
  /** What stays hidden behind. */
  readonly backGap: number;
}

const faceFit = (longer: number, A: number): FaceFit => ({
  touch: Math.abs(longer) < MEETS ? 'both' : longer > 0 ? 'face' : 'back',
  faceGap: Math.max(0, -longer) * sinDeg(A),
  backGap: Math.max(0, longer) * sinDeg(A),
});

/**
 * A cope over a through piece of the same profile. The end leans off square by the undercut, its back relieved; the line
 * of the profile was revealed by a miter cut, which is right only at (180 − A) / 2: thick and thin parts of a profile
 * then want different setbacks, t·tan of the cut where t·cot(A/2) would meet.
 * @param A        corner angle, 0 < A < 180
 * @param undercut degrees off square, 0 or more
 * @param reveal   miter the line was revealed at
 * @param relief   how far the thickest and the thinnest part of the profile differ
 * Source: geometry notes, section 2 "Cope" (contact line 90 − A off square, face setback t·cot(A/2)).
 * @example copeFit(95, 0.75, 5, 42.5, 0.5).faceGap // 0
 */
export function copeFit(
  A: number,
  t: number,
  undercut: number,
  reveal: number,
  relief: number,
): FaceFit & { readonly profileGap: number } {
  const end = faceFit(t * (tanDeg(undercut) + cotDeg(A)), A);
  const profileGap = relief * Math.abs(tanDeg(reveal) - cotDeg(A / 2)) * sinDeg(A);
  return { ...end, profileGap, faceGap: end.faceGap + profileGap };
}

/**
 * A plain end run against a wall or the face of a through piece.
 * @param A   corner angle, 0 < A < 180
 * @param cut degrees off square, positive with the back long; 90 − A lies flat
 * Source: geometry notes, section 2, row "buttFitted".
 */
export const buttFit = (A: number, t: number, cut: number): FaceFit =>
  faceFit(t * (cotDeg(A) - tanDeg(cut)), A);
