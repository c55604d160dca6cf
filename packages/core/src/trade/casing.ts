import { atanDeg, cosDeg, cotDeg, sinDeg, tanDeg } from '../base/index.ts';
import { angleBetween } from './corner.ts';

/** Casing around openings, seen from the room. Miters are saw settings off square. Source: geometry notes, section 4. */

/** Three-sided casing of a true opening W wide, H high to the underside of the head. */
export const squareCasing = (W: number, H: number, r: number, c: number) => ({
  legShort: H + r,
  legLong: H + r + c,
  headShort: W + 2 * r,
  headLong: W + 2 * (r + c),
  miter: 45,
});

/** Four-sided casing: the sides run r past the opening at both ends. */
export const pictureFrame = (W: number, H: number, r: number, c: number) => ({
  topShort: W + 2 * r,
  topLong: W + 2 * (r + c),
  sideShort: H + 2 * r,
  sideLong: H + 2 * (r + c),
  miter: 45,
});

/** Legs and head of different widths meeting at an angle α inside the opening. */
export function unequalCasing(cLeg: number, cHead: number, alpha = 90) {
  const legRun = (cHead + cLeg * cosDeg(alpha)) / sinDeg(alpha);
  const headRun = (cLeg + cHead * cosDeg(alpha)) / sinDeg(alpha);
  return {
    legLongMinusShort: legRun,
    headLongMinusShortPerEnd: headRun,
    miterLeg: atanDeg(legRun / cLeg),
    miterHead: atanDeg(headRun / cHead),
  };
}

/** The same with the lengths around a true opening. */
export function unequalCasingLengths(W: number, H: number, r: number, cLeg: number, cHead: number) {
  const corner = unequalCasing(cLeg, cHead);
  return {
    ...corner,
    legShort: H + r,
    legLong: H + r + corner.legLongMinusShort,
    headShort: W + 2 * r,
    headLong: W + 2 * r + 2 * corner.headLongMinusShortPerEnd,
  };
}

/** Head out of level, legs plumb; head heights HL and HR at the jamb faces. */
export function outOfLevelCasing(W: number, HL: number, HR: number, r: number, c: number) {
  const slope = atanDeg((HR - HL) / W);
  const cornerLeft = 90 + slope;
  const cornerRight = 90 - slope;
  const leftShort = HL + r / cosDeg(slope) - r * tanDeg(slope);
  const rightShort = HR + r / cosDeg(slope) + r * tanDeg(slope);
  const headShort = (W + 2 * r) / cosDeg(slope);
  const addLeft = c * cotDeg(cornerLeft / 2);
  const addRight = c * cotDeg(cornerRight / 2);
  return {
    slope,
    cornerLeft,
    cornerRight,
    miterLeft: 90 - cornerLeft / 2,
    miterRight: 90 - cornerRight / 2,
    leftShort,
    leftLong: leftShort + addLeft,
    rightShort,
    rightLong: rightShort + addRight,
    headShort,
    headLong: headShort + addLeft + addRight,
  };
}

/** An opening that is no rectangle: four sides and the diagonal from bottom left to top right. */
export function quadCasing(
  left: number,
  top: number,
  right: number,
  bottom: number,
  diag: number,
  r: number,
  c: number,
) {
  const TL = angleBetween(left, top, diag);
  const BR = angleBetween(bottom, right, diag);
  const BL = angleBetween(left, diag, top) + angleBetween(bottom, diag, right);
  const TR = angleBetween(top, diag, left) + angleBetween(right, diag, bottom);
  const side = (length: number, a: number, b: number, out: number): number =>
    length + out * (cotDeg(a / 2) + cotDeg(b / 2));
  return {
    angleTL: TL,
    angleTR: TR,
    angleBL: BL,
    angleBR: BR,
    miterTL: 90 - TL / 2,
    miterTR: 90 - TR / 2,
    miterBL: 90 - BL / 2,
    miterBR: 90 - BR / 2,
    leftShort: side(left, TL, BL, r),
    leftLong: side(left, TL, BL, r + c),
    topShort: side(top, TL, TR, r),
    topLong: side(top, TL, TR, r + c),
    rightShort: side(right, TR, BR, r),
    rightLong: side(right, TR, BR, r + c),
    bottomShort: side(bottom, BL, BR, r),
    bottomLong: side(bottom, BL, BR, r + c),
  };
}

/** Head laid over square legs, past them by an overhang. */
export function buttCasing(W: number, HL: number, HR: number, r: number, c: number, overhang: number) {
  const slope = atanDeg((HR - HL) / W);
  const rise = r / cosDeg(slope);
  const out = (by: number): number => by * tanDeg(slope);
  return {
    topCut: Math.abs(slope),
    leftInner: HL + rise - out(r),
    leftOuter: HL + rise - out(r + c),
    rightInner: HR + rise + out(r),
    rightOuter: HR + rise + out(r + c),
    head: (W + 2 * (r + c)) / cosDeg(slope) + 2 * overhang,
  };
}

interface StoolInput {
  readonly W: number;
  readonly r: number;
  readonly c: number;
  readonly horn: number;
  readonly jambDepth: number;
  readonly casingT: number;
  /** Past the casing's face. */
  readonly nose: number;
  readonly apronT: number;
}

/** Stool with its notches and the apron under it. */
export function stoolFigures({ W, r, c, horn, jambDepth, casingT, nose, apronT }: StoolInput) {
  const outside = W + 2 * (r + c);
  return {
    length: outside + 2 * horn,
    depth: jambDepth + casingT + nose,
    notchLength: r + c + horn,
    notchDepth: jambDepth,
    tongue: W,
    apronFront: outside,
    apronBack: outside - 2 * apronT,
    apronReturnFront: apronT,
  };
}

/** Extension jamb tapering from d1 to d2 over L, and its width at x. */
export const taperFigures = (d1: number, d2: number, L: number, x: number) => ({
  angle: atanDeg((d2 - d1) / L),
  widthAt: d1 + ((d2 - d1) * x) / L,
  cutEdge: Math.hypot(L, d2 - d1),
});
