import { cosDeg, tanDeg } from '@long-miter/optimiser';

/** Trigonometry in degrees, because every angle of the trade is read and spoken in degrees. */

const RADIANS = Math.PI / 180;

export const sinDeg = (deg: number): number => Math.sin(deg * RADIANS);
export const asinDeg = (x: number): number => Math.asin(x) / RADIANS;
export const acosDeg = (x: number): number => Math.acos(x) / RADIANS;
export const atanDeg = (x: number): number => Math.atan(x) / RADIANS;
export const atan2Deg = (y: number, x: number): number => Math.atan2(y, x) / RADIANS;

/** Cotangent in degrees; exactly 0 at 90 so that a square corner shortens nothing. */
export const cotDeg = (deg: number): number => (deg === 90 ? 0 : 1 / tanDeg(deg));

export { cosDeg, tanDeg };
