import { SAME_ANGLE } from '../base/index.ts';
import type { Corner, JointPin } from '../job/index.ts';
import { angleAt, halfAngle, isAssumed } from '../survey/index.ts';
import type { TrimFrame } from './trim-frame.ts';

/** How the two pieces that meet at a corner are joined, before it is decided which of them runs through. */
type CornerTechnique = 'cope' | 'butt' | 'miter' | 'bullnose' | 'straight' | 'stop';

/** A corner where both walls carry the trim up to it. */
export interface CornerJoint {
  /** The corner after this wall. */
  readonly wallIndex: number;
  readonly corner: Corner;
  /** Corner angle inside the room, degrees. */
  readonly angle: number;
  /** (180 − angle) / 2, signed. */
  readonly half: number;
  readonly assumed: boolean;
  readonly technique: CornerTechnique;
  readonly pin: JointPin | undefined;
}

const techniqueAt = (
  frame: TrimFrame,
  corner: Corner,
  angle: number,
  pin: JointPin | undefined,
): CornerTechnique => {
  // Two walls that run straight on: nothing turns, the pieces meet end to end.
  if (Math.abs(angle - 180) < SAME_ANGLE) return 'straight';
  // Hidden behind crown: nobody sees that two strips leave the nose of an outside corner open.
  if (frame.behind) return angle > 180 ? 'stop' : 'butt';
  if (angle > 180)
    return corner.form?.kind === 'bullnose' && frame.rules.bullnose === 'transition' ? 'bullnose' : 'miter';
  if (pin === 'miter') return 'miter';
  if (pin) return frame.insideJoint === 'butt' ? 'butt' : 'cope';
  return frame.insideJoint;
};

/** The joint at a corner by house rule and by what was pinned there for this trim. Outside corners are always mitered. */
export function cornerJoint(frame: TrimFrame, wallIndex: number, corner: Corner): CornerJoint {
  const angle = angleAt(corner, frame.atCeiling);
  const pin = corner.joint?.[frame.trim.id];
  return {
    wallIndex,
    corner,
    angle,
    half: halfAngle(angle),
    assumed: isAssumed(corner) && !(frame.atCeiling && corner.ceiling !== undefined),
    technique: climbs(frame, wallIndex) ? 'miter' : techniqueAt(frame, corner, angle, pin),
    pin,
  };
}

/** Whether crown climbs on one of the two walls: the small piece that turns is mitered to the level one. */
const climbs = ({ slopes, room }: TrimFrame, wallIndex: number): boolean =>
  slopes !== undefined &&
  (slopes.rakes.has(wallIndex) || slopes.rakes.has((wallIndex + 1) % room.walls.length));

/** Whether one of the two pieces has to run through and the other is fitted to it. */
export const isContested = (joint: CornerJoint): boolean =>
  joint.technique === 'cope' || joint.technique === 'butt';
