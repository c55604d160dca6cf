import { WHOLE_UNIT } from '@long-miter/optimiser';

/**
 * Every tolerance used in comparisons, with its unit and reason.
 * Lengths of a job are decimals in inches or millimetres; both are far coarser than these.
 */

/** Length units of the job. Two positions nearer than this are the same position (binary fractions of 0.1 etc.). */
export const SAME_LENGTH = 1e-6;

/** Degrees. Two angles nearer than this are the same angle; an end nearer to square than this is square. */
export const SAME_ANGLE = 1e-7;

/** Length units. Positions of splices along a wall nearer than this are one place: plans round to 1/64 in or 0.1 mm. */
export const SAME_PLACE = 1e-3;

/** Share of a figure. Sums of whole sticks, coats and packs that are this little over a whole count as that whole. */
export const WHOLE_COUNT = 1e-9;

/** Length units. Differences smaller than this come from binary arithmetic and decide nothing. */
export const NOISE = 1e-9;

export { WHOLE_UNIT };
