import { asinDeg, atanDeg, cosDeg, cotDeg, sinDeg, tanDeg } from '../base/index.ts';

/** Trim standing against the wall. Cut angles are signed: positive where the back is the long edge. */

export type EndKind =
  | 'insideMiter'
  | 'outsideMiter'
  | 'buttSquare'
  | 'buttFitted'
  | 'cope'
  | 'buttMate'
  | 'casing'
  | 'return'
  | 'scarfOver'
  | 'scarfUnder';

export interface FlatEnd {
  readonly kind: EndKind;
  /** Corner angle, for ends that meet a wall or a piece. */
  readonly A?: number | undefined;
  /** Thickness of the piece met, where it is another than this one's. */
  readonly mateT?: number | undefined;
  /** Scarf angle. */
  readonly s?: number | undefined;
}

/** Back set-back from the reference, front minus back, and cut angle of one end. Source: geometry notes, section 2, table. */
function endOf(end: FlatEnd, t: number): { setback: number; front: number; cut: number } {
  const A = end.A ?? 90;
  const mate = end.mateT ?? t;
  const s = end.s ?? 45;
  const m = (180 - A) / 2;
  const lap = t * tanDeg(s);
  switch (end.kind) {
    case 'insideMiter':
    case 'outsideMiter':
      return { setback: 0, front: -t * tanDeg(m), cut: m };
    case 'buttSquare':
      return { setback: A < 90 ? t * cotDeg(A) : 0, front: 0, cut: 0 };
    case 'buttFitted':
      return { setback: 0, front: -t * cotDeg(A), cut: 90 - A };
    case 'cope':
      return { setback: mate / sinDeg(A), front: -t * cotDeg(A), cut: 90 - A };
    case 'buttMate':
      return { setback: mate / sinDeg(A) + Math.max(0, t * cotDeg(A)), front: 0, cut: 0 };
    case 'casing':
      return { setback: 0, front: 0, cut: 0 };
    case 'return':
      return { setback: t, front: t, cut: -45 };
    case 'scarfOver':
      return { setback: lap, front: lap, cut: -s };
    case 'scarfUnder':
      return { setback: -lap, front: -lap, cut: s };
  }
}

/**
 * Back and front length of a piece between two ends, and the square-ended stock it takes.
 * @param wall length at the back, from reference to reference
 * @param t    thickness
 * @example flatPiece(120, 0.625, { kind: 'insideMiter', A: 90 }, { kind: 'insideMiter', A: 90 }) // back 120, front 118.75
 */
export function flatPiece(
  wall: number,
  t: number,
  left: FlatEnd,
  right: FlatEnd,
): { back: number; front: number; leftCut: number; rightCut: number; longest: number } {
  const l = endOf(left, t);
  const r = endOf(right, t);
  const back = wall - l.setback - r.setback;
  return {
    back,
    front: back + l.front + r.front,
    leftCut: l.cut,
    rightCut: r.cut,
    longest: back + Math.max(0, l.front) + Math.max(0, r.front),
  };
}

/** What coping a piece of thickness t over a mate needs to know. Source: geometry notes, section 2 "Cope". */
interface CopeFigures {
  /** Miter that reveals the line to saw along, long point at the full wall length. */
  readonly revealMiter: number;
  readonly revealLongSetback: number;
  /** Where the coped face starts, and where the finished back ends, from the corner. */
  readonly faceSetback: number;
  readonly backSetback: number;
  readonly contactAngle: number;
  readonly minUndercut: number;
  /** Wood left at the face arris. */
  readonly tipAngle: number;
  /** How short of the corner the mate's back stops when its end is square. */
  readonly mateSquareBackGap: number;
  readonly mateEndAngle: number;
}

export function copeFigures(A: number, t: number, mateT = t): CopeFigures {
  const run = (mateT + t * cosDeg(A)) / sinDeg(A);
  return {
    revealMiter: atanDeg(run / t),
    revealLongSetback: 0,
    faceSetback: run,
    backSetback: mateT / sinDeg(A),
    contactAngle: 90 - A,
    minUndercut: Math.max(0, A - 90),
    tipAngle: 180 - A,
    mateSquareBackGap: A < 90 ? mateT * cotDeg(A) : 0,
    mateEndAngle: 90 - A,
  };
}

/**
 * Miter of two boards of different thickness: each has its own angle and the two still meet edge to edge.
 * @returns signed miters and front minus back for each. Source: geometry notes, section 2.
 */
export function unequalMiter(
  A: number,
  t1: number,
  t2: number,
): { miterLeft: number; miterRight: number; frontDeltaLeft: number; frontDeltaRight: number } {
  const x1 = (t2 + t1 * cosDeg(A)) / sinDeg(A);
  const x2 = (t1 + t2 * cosDeg(A)) / sinDeg(A);
  return {
    miterLeft: atanDeg(x1 / t1),
    miterRight: atanDeg(x2 / t2),
    frontDeltaLeft: -x1,
    frontDeltaRight: -x2,
  };
}

/** A mitered return that ends at `end` on the face, and the tiny piece that turns back to the wall. */
export const returnFigures = (t: number, end: number) => ({
  mainFront: end,
  mainBack: end - t,
  returnFront: t,
  returnBack: 0,
  miter: 45,
});

/**
 * A run divided by a scarf whose line shows at `joint` on the face.
 * @param lap which piece lies over at the face
 */
export function scarfFigures(
  run: number,
  joint: number,
  s: number,
  t: number,
  lap: 'leftOver' | 'rightOver',
) {
  const overlap = t * tanDeg(s);
  const k = lap === 'leftOver' ? 1 : -1;
  return {
    overlap,
    leftFront: joint,
    leftBack: joint - k * overlap,
    rightFront: run - joint,
    rightBack: run - joint + k * overlap,
    stockNeeded: run + overlap,
  };
}

/**
 * Corner of two walls that both lean by `tilt` (positive with the top towards the room): cut standing, back tight to the
 * fence. Source: geometry notes, section 2 "Leaning wall".
 */
export function leaningMiter(
  A: number,
  tilt: number,
  h: number,
): { miter: number; bevel: number; topShorten: number } {
  const m = (180 - A) / 2;
  return {
    miter: atanDeg(cosDeg(tilt) * tanDeg(m)),
    bevel: asinDeg(sinDeg(tilt) * sinDeg(m)),
    topShorten: h * sinDeg(tilt) * tanDeg(m),
  };
}

type FlatSetup = 'stand' | 'standUpsideDown' | 'flatTopToFence' | 'flatBottomToFence';

/**
 * Saw setting of a base miter in any seating. Signs: miter positive with the handle to the operator's right, bevel
 * positive with the blade's top to the left.
 * @param piece the piece on that side of the corner; the left piece has its right end cut
 * Source: geometry notes, section 2, table "Standing/flat orientation".
 */
export function flatSetting(
  A: number,
  piece: 'left' | 'right',
  setup: FlatSetup,
): { miter: number; bevel: number; keep: 'left' | 'right' } {
  const m = (180 - A) / 2;
  const table = {
    left: {
      stand: [-m, 0, 'left'],
      standUpsideDown: [m, 0, 'right'],
      flatTopToFence: [0, m, 'left'],
      flatBottomToFence: [0, -m, 'right'],
    },
    right: {
      stand: [m, 0, 'right'],
      standUpsideDown: [-m, 0, 'left'],
      flatTopToFence: [0, -m, 'right'],
      flatBottomToFence: [0, m, 'left'],
    },
  } as const;
  const [miter, bevel, keep] = table[piece][setup];
  return { miter, bevel, keep };
}
