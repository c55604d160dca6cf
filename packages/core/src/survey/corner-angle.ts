import type { AngleReading, Corner } from '../job/index.ts';
import { angleBetween, convertCorner } from '../trade/index.ts';

/**
 * The corner angle A inside the room, 0 < A < 360, from what was read.
 * Legs and the distance across give the angle between the faces by the law of cosines.
 * @param reading as it was taken; an assumed corner is 90 inside
 * Source: geometry notes, section 1.
 * @example wallAngle({ as: 'protractor', degrees: 92, side: 'outside' }) // 268
 */
export function wallAngle(reading: AngleReading): number {
  switch (reading.as) {
    case 'assumed':
      return 90;
    case 'wall-angle':
      return reading.degrees;
    case 'protractor':
      return convertCorner('faces', reading.degrees, reading.side).wallAngle;
    case 'deflection':
      return convertCorner('deflection', reading.degrees, reading.side).wallAngle;
    case 'miter':
      return convertCorner('saw', reading.degrees, reading.side).wallAngle;
    case 'legs':
      return convertCorner('faces', angleBetween(reading.left, reading.right, reading.across), reading.side)
        .wallAngle;
  }
}

/** Whether a corner's angle is only assumed. A corner that is missing (end of an open chain) is not. */
export const isAssumed = (corner: Corner | undefined): boolean => corner?.reading.as === 'assumed';

/**
 * Half angle m = (180 − A) / 2: what the saw is set to for an equal miter, positive inside, negative outside.
 * @example halfAngle(268) // -44
 */
export const halfAngle = (angle: number): number => (180 - angle) / 2;

/** The angle at the height of a trim: at the ceiling where one was read there, else at the base. */
export const angleAt = (corner: Corner, atCeiling: boolean): number =>
  atCeiling && corner.ceiling !== undefined ? corner.ceiling : wallAngle(corner.reading);
