import { atanDeg, tanDeg } from '../base/index.ts';
import { dot, inwardNormal, length, scale, subtract, type Vec2 } from '../geometry/index.ts';

/** Which way a scarf should lap for a viewer. Source: geometry notes, section 12. */

type Lap = 'leftOver' | 'rightOver' | 'either';

/** The lapping piece is the one nearer the viewer: its feather points away. */
export const lapFor = (joint: number, viewerAlong: number): Lap =>
  joint > viewerAlong ? 'leftOver' : joint < viewerAlong ? 'rightOver' : 'either';

/**
 * How deep one sees into a scarf that opens by `gap`, for either lap.
 * @param viewer along the wall and out from it, in the wall's own axes
 */
export function scarfLap(
  joint: number,
  s: number,
  t: number,
  gap: number,
  viewer: readonly [number, number],
) {
  const slope = (joint - viewer[0]) / (viewer[1] - t);
  const depth = (k: 1 | -1): number => Math.min(t, gap / Math.abs(k * tanDeg(s) + slope));
  return {
    lap: lapFor(joint, viewer[0]),
    sightDeg: atanDeg(slope),
    depthLeftOver: depth(1),
    depthRightOver: depth(-1),
  };
}

/** The same choice from points of the room's plan; `joint` from the wall's left end. */
export function scarfLapRoom(wallLeft: Vec2, wallRight: Vec2, viewer: Vec2, joint: number) {
  const along = subtract(wallRight, wallLeft);
  const u = scale(along, 1 / length(along));
  const seen = subtract(viewer, wallLeft);
  const viewerAlong = dot(seen, u);
  return { viewerAlong, viewerOut: dot(seen, inwardNormal(u)), lap: lapFor(joint, viewerAlong) };
}
