/** Trigonometry in degrees: end angles are given in degrees, as the trade reads them. */

const RADIANS = Math.PI / 180;

/** @param deg degrees */
export const cosDeg = (deg: number): number => Math.cos(deg * RADIANS);

/**
 * Exact at 0 and ±45, where rounding noise would otherwise reach cut lengths (tan 45 must be 1).
 * @param deg degrees
 */
export const tanDeg = (deg: number): number => {
  if (deg === 0) return 0;
  if (Math.abs(deg) === 45) return Math.sign(deg);
  return Math.tan(deg * RADIANS);
};
