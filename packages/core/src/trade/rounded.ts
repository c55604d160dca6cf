import { cosDeg, sinDeg, tanDeg } from '../base/index.ts';
import { crownCut, crownSize } from './crown/crown.ts';

/** Rounded corners. Source: geometry notes, section 5. */

/** A turn of `turn` degrees round radius R in N transition pieces of thickness t: every cut is the same. */
export function bullnosePieces(R: number, turn: number, N: number, t: number) {
  const cut = turn / (2 * (N + 1));
  const extend = R * tanDeg(cut);
  const tangentToSharp = R * tanDeg(turn / 2);
  return {
    cut,
    transitionBack: 2 * extend,
    transitionFront: 2 * (R + t) * tanDeg(cut),
    extend,
    tangentToSharp,
    shortOfSharp: tangentToSharp - extend,
    vertexGap: R * (1 / cosDeg(cut) - 1),
  };
}

/** Two pieces mitered sharp over a rounded corner: what stays hollow behind. */
export const bullnoseTwoPiece = (R: number, turn: number) => ({
  gap: R * (1 / cosDeg(turn / 2) - 1),
  extend: R * tanDeg(turn / 2),
});

/** An inside corner filled with radius R, and the relief that a sharp back corner needs. */
export function coveRelief(R: number, A: number) {
  const h = (180 - A) / 2;
  const cornerDepth = R * (1 / cosDeg(h) - 1);
  return {
    tangent: R * tanDeg(h),
    cornerDepth,
    standOff: R * (1 - cosDeg(h)),
    reliefAt: cornerDepth * cosDeg(A / 2),
  };
}

/** Crown round a bullnose with N transition pieces. */
export function bullnoseCrown(R: number, turn: number, N: number, w: number, spring: number) {
  const cut = turn / (2 * (N + 1));
  const { projection } = crownSize(w, spring);
  const { miter, bevel } = crownCut(180 - 2 * cut, spring);
  return {
    wallEdge: 2 * R * tanDeg(cut),
    ceilingEdge: 2 * (R + projection) * tanDeg(cut),
    nested: cut,
    miter,
    bevel,
  };
}

/**
 * A curved wall trimmed in n straight pieces, each with its back on the curve at both ends (inside a hollow curve) or at
 * its middle (round a bulging one). Chord of an arc: 2R sin; tangent polygon: 2R tan.
 * @param R    radius of the wall's face
 * @param turn what the wall turns through, degrees
 * @returns cut at every joint between pieces, back length of each, and how far the wall leaves the back in between
 * @example curvedWall(60, 90, 6, 'hollow').cut // 7.5
 */
export function curvedWall(R: number, turn: number, n: number, kind: 'hollow' | 'bulge') {
  const half = turn / (2 * n);
  return kind === 'hollow'
    ? { cut: half, back: 2 * R * sinDeg(half), off: R * (1 - cosDeg(half)) }
    : { cut: half, back: 2 * R * tanDeg(half), off: R * (1 / cosDeg(half) - 1) };
}
