import { SAME_ANGLE } from '../base/index.ts';
import type { Saw } from '../job/index.ts';
import type { Swing } from './seat.ts';

/** From what is wanted to what is set: a saw's scale has errors of its own on each side, and steps it can show. */

/** What the miter scale reads more than the true angle when the handle is swung that way. */
export const miterError = (saw: Saw | undefined, swing: Swing): number =>
  saw?.calibration?.[swing === 'none' ? 'zero' : swing] ?? 0;

/** The same for the bevel scale; an upright blade is upright. */
export const bevelError = (saw: Saw | undefined, tilt: Swing): number =>
  tilt === 'none' ? 0 : (saw?.calibration?.bevel ?? 0);

/** The limit of the handle or of the tilt on that side, as its scale reads. */
export const miterLimit = (saw: Saw, swing: Swing): number =>
  swing === 'left' ? saw.maxMiterLeft : swing === 'right' ? saw.maxMiterRight : 90;
export const bevelLimit = (saw: Saw, tilt: Swing): number =>
  tilt === 'left' ? saw.maxBevelLeft : tilt === 'right' ? saw.maxBevelRight : 90;

/**
 * The nearest figure the scale can show that does not go past its stop.
 * @param fineness smallest step of the scale; any figure can be set if left out
 */
export function rounded(figure: number, fineness: number | undefined, limit: number): number {
  if (!fineness) return Math.min(figure, limit);
  const steps = figure / fineness;
  const near = Math.round(steps) * fineness;
  return near <= limit + SAME_ANGLE ? near : Math.floor(limit / fineness + SAME_ANGLE) * fineness;
}

/** How near a detent catches a handle that is set beside it, in degrees. */
const DETENT_PULL = 0.75;

/** The detent that would pull the handle away from a setting; undefined where none is near, or where it is the setting. */
export const detentBeside = (saw: Saw | undefined, dial: number): number | undefined =>
  saw?.detents?.find(
    (detent) => Math.abs(detent - dial) > SAME_ANGLE && Math.abs(detent - dial) < DETENT_PULL,
  );
