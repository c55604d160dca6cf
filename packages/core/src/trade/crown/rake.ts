import { acosDeg, asinDeg, atanDeg, cosDeg, sinDeg, tanDeg } from '../../base/index.ts';
import { crownCut, crownSize } from './crown.ts';

/** Slopes, positive rising to the right as seen from the room. Source: geometry notes, section 7. */

/** Flat trim bending in one wall: half the bend each, the top edge shorter at an upward bend. */
export function rakeOnWall(slopeLeft: number, slopeRight: number, h: number) {
  const bend = slopeRight - slopeLeft;
  return { bend, cut: Math.abs(bend) / 2, topDeltaEach: -h * tanDeg(bend / 2) };
}

/** Level trim of height h1 meeting raked trim of height h2. */
export function rakeUnequal(slope: number, h1: number, h2: number) {
  const level = (h2 - h1 * cosDeg(slope)) / (h1 * sinDeg(slope));
  const rake = (h1 - h2 * cosDeg(slope)) / (h2 * sinDeg(slope));
  return {
    cutLevel: atanDeg(level),
    cutRake: atanDeg(rake),
    topDeltaLevel: -h1 * level,
    topDeltaRake: -h2 * rake,
  };
}

/** Plumb and level cuts on raked trim. */
export const rakePlumb = (slope: number, h: number) => ({
  plumbCut: slope,
  levelCut: 90 - slope,
  plumbHeight: h / cosDeg(slope),
  levelLength: h / sinDeg(slope),
  topMinusBottomOffset: h * tanDeg(slope),
  railTopMismatch: h * (1 / cosDeg(slope) - 1),
});

/** Crown over a peak or valley in one wall. */
export function rakeCrownOnWall(slopeLeft: number, slopeRight: number, spring: number, w: number) {
  const bend = slopeRight - slopeLeft;
  const half = Math.abs(bend) / 2;
  return {
    bend,
    miter: atanDeg(cosDeg(spring) * tanDeg(half)),
    bevel: asinDeg(sinDeg(spring) * sinDeg(half)),
    nestedMiter: 0,
    nestedBevel: half,
    ceilingMinusWallEdgeEach: -crownSize(w, spring).drop * tanDeg(bend / 2),
  };
}

export type RakeEnd = 'low' | 'high';

/** Level crown turned round the corner and then bent up or down the rake wall by a transition piece. `slope` is along the rake wall. */
export function rakeTransition(A: number, slope: number, spring: number, w: number, end: RakeEnd) {
  const first = crownCut(A, spring);
  const { drop, projection } = crownSize(w, spring);
  const corner = projection * tanDeg((180 - A) / 2);
  const bend = drop * tanDeg(slope / 2);
  return {
    miter1: first.miter,
    bevel1: first.bevel,
    miter2: atanDeg(cosDeg(spring) * tanDeg(slope / 2)),
    bevel2: asinDeg(sinDeg(spring) * sinDeg(slope / 2)),
    minWallEdge: end === 'low' ? corner + bend : Math.max(0, corner - bend),
  };
}

/** Same profile and same ceiling spring on the level and the rake wall: this joint mates. `slope` is the steepest, square to the level wall. */
export function rakeDirect(A: number, slope: number, ceilingSpring: number, end: RakeEnd) {
  const sign = end === 'low' ? 1 : -1;
  const dihedralLevel = 90 + sign * slope;
  const dihedralRake = acosDeg(sign * sinDeg(slope) * cosDeg(A));
  const rakeLineSlope = atanDeg(tanDeg(slope) * sinDeg(A));
  const runAngle = acosDeg(cosDeg(A) * cosDeg(rakeLineSlope));
  const half = (180 - runAngle) / 2;
  return {
    dihedralLevel,
    dihedralRake,
    rakeLineSlope,
    runAngle,
    springLevel: 180 - dihedralLevel - ceilingSpring,
    springRake: 180 - dihedralRake - ceilingSpring,
    miter: atanDeg(cosDeg(ceilingSpring) * tanDeg(half)),
    bevel: asinDeg(sinDeg(ceilingSpring) * sinDeg(half)),
  };
}

/** What is left open when level and raked crown of one wall spring are forced together at a square corner. */
export function rakeMismatch(slope: number, spring: number, w: number, end: RakeEnd) {
  const { drop, projection } = crownSize(w, spring);
  const gap = projection * tanDeg(slope);
  const rise = drop * (1 / cosDeg(slope) - 1);
  return { topMismatch: Math.abs((end === 'low' ? gap : -gap) + rise), levelCeilingGap: gap, roll: slope };
}
