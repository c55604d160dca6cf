import { cosDeg, tanDeg } from '../base/index.ts';
import { crownCut, crownSize } from './crown.ts';

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
