import { acosDeg } from '../base/index.ts';
import type { AngleReading, Corner } from '../job/index.ts';

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
      return reading.side === 'inside' ? reading.degrees : 360 - reading.degrees;
    case 'deflection':
      return reading.side === 'inside' ? 180 - reading.degrees : 180 + reading.degrees;
    case 'miter':
      return reading.side === 'inside' ? 180 - 2 * reading.degrees : 180 + 2 * reading.degrees;
    case 'legs': {
      const { left: p, right: q, across: d } = reading;
      const faces = acosDeg((p * p + q * q - d * d) / (2 * p * q));
      return reading.side === 'inside' ? faces : 360 - faces;
    }
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
