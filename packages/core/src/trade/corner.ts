import { acosDeg, asinDeg, atanDeg, cosDeg, sinDeg } from '../base/index.ts';

type CornerSide = 'inside' | 'outside';

/** All readings of one corner, so that a figure on the wrong scale is seen at once. Degrees. */
interface CornerReadings {
  /** A, swept through the room from face to face, 0–360. */
  readonly wallAngle: number;
  /** P, the angle between the faces, at most 180. */
  readonly facesAngle: number;
  /** 180 − A, positive inside. */
  readonly deflection: number;
  /** What the saw is set to for an equal miter: |180 − A| / 2. */
  readonly sawMiter: number;
  /** P / 2: a bisecting protractor's other scale, equal to the saw's only at 90. */
  readonly halfAngle: number;
  readonly side: CornerSide | 'straight';
}

/** The scale a corner was read on. */
export type CornerScale = 'room' | 'faces' | 'deflection' | 'half' | 'saw';

const facesOf = (scale: Exclude<CornerScale, 'room'>, value: number): number =>
  ({ faces: value, deflection: 180 - value, half: 2 * value, saw: 180 - 2 * value })[scale];

/**
 * Every reading of a corner from one of them.
 * @param value magnitude as read, degrees; the room's own angle up to 360, between the faces at most 180
 * @param side  which way the corner turns; the room angle says so itself
 * Source: geometry notes, section 1.
 * @example convertCorner('faces', 128.75, 'outside') // wall angle 231.25, saw 25.625
 */
export function convertCorner(
  scale: CornerScale,
  value: number,
  side: CornerSide = 'inside',
): CornerReadings {
  const faces = scale === 'room' ? Math.min(value, 360 - value) : facesOf(scale, value);
  const wallAngle = scale === 'room' ? value : side === 'outside' ? 360 - faces : faces;
  const deflection = 180 - wallAngle;
  return {
    wallAngle,
    facesAngle: faces,
    deflection,
    sawMiter: Math.abs(deflection) / 2,
    halfAngle: faces / 2,
    side: deflection === 0 ? 'straight' : deflection > 0 ? 'inside' : 'outside',
  };
}

/** Angle between sides p and q of a triangle whose third side is d, degrees. */
export const angleBetween = (p: number, q: number, d: number): number =>
  acosDeg(Math.max(-1, Math.min(1, (p * p + q * q - d * d) / (2 * p * q))));

/**
 * A corner taken with the tape: marks p and q from the corner along the faces and the distance d between them, or, by
 * extension, p along the line of one wall drawn past the corner.
 * An outside corner cannot be taped across. Source: geometry notes, section 1.
 * @example tapedCorner(12, 16, 20, 'extension', 'outside') // wall angle 270
 */
export function tapedCorner(
  p: number,
  q: number,
  d: number,
  method: 'across' | 'extension',
  side: CornerSide,
): { wallAngle: number; sawMiter: number } {
  const angle = angleBetween(p, q, d);
  const wallAngle = method === 'across' ? angle : side === 'inside' ? 180 - angle : 180 + angle;
  return { wallAngle, sawMiter: Math.abs(180 - wallAngle) / 2 };
}

/**
 * How far a taped angle is out when the distance across is read dd too long, with equal legs.
 * @returns the true distance across, the error by the linear rule and the exact one, degrees
 * Source: geometry notes, section 1 "Errors".
 */
export function tapeError(
  leg: number,
  angle: number,
  dd: number,
): { across: number; linearDeg: number; exactDeg: number } {
  const across = 2 * leg * sinDeg(angle / 2);
  const linearDeg = (dd / (leg * cosDeg(angle / 2))) * (180 / Math.PI);
  return { across, linearDeg, exactDeg: 2 * asinDeg((across + dd) / (2 * leg)) - angle };
}

/**
 * How sure a taped angle is when each of the three tape readings may be off by e.
 * @returns degrees: all three off the worst way together, and off independently (root of the sum of squares)
 * Source: derivatives of cos P = (p² + q² − d²) / 2pq; with equal legs the rule of geometry notes, section 1.
 * @example tapeUncertainty(24, 24, Math.hypot(24, 24), 1 / 16).independent // 0.298
 */
export function tapeUncertainty(
  p: number,
  q: number,
  d: number,
  e: number,
): { worst: number; independent: number } {
  const sinP = sinDeg(angleBetween(p, q, d));
  const parts = [
    d / (p * q * sinP),
    (p * p - q * q + d * d) / (2 * p * p * q * sinP),
    (q * q - p * p + d * d) / (2 * q * q * p * sinP),
  ].map((part) => Math.abs(part) * e * (180 / Math.PI));
  return {
    worst: parts.reduce((sum, part) => sum + part, 0),
    independent: Math.hypot(...parts),
  };
}

/**
 * A corner tried with a square: one leg lies on one wall, the other stands off the other wall by x at y from the corner.
 * @param at 'tip' when the gap is at the end of the square's leg (corner wider than 90), 'corner' when it is at the corner
 * @example squareGap(0.25, 24, 'tip') // 90.597
 */
export const squareGap = (x: number, y: number, at: 'tip' | 'corner'): { wallAngle: number } => ({
  wallAngle: 90 + (at === 'tip' ? 1 : -1) * atanDeg(x / y),
});
