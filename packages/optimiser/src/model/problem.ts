/**
 * A cutting problem for one profile: pure geometry of blanks on sticks. Lengths are in whole cutting units (1/64 in,
 * 0.1 mm) except where noted; prices in whole cents. Nothing here knows of rooms.
 */

/** A kind of stick: for sale (any number, or `count` of them) or one offcut of the rack. */
export interface StickKind {
  readonly id: string;
  readonly length: number;
  readonly price: number;
  /** How many there are; undefined: as many as wanted. */
  readonly count: number | undefined;
  readonly rack: boolean;
  /** What is left of a stick that is being cut; `length` runs on from where it begins. */
  readonly opened?: OpenedEnd;
}

/** The left end of a stick that has been opened: where its near line begins, and the slant that the last cut left there. */
interface OpenedEnd {
  /** From the whole stick's left end to the near line's beginning, units. */
  readonly from: number;
  /** Signed like the left end of a blank: positive means the near line reaches further left. */
  readonly angle: number;
}

/** A piece to be cut: near length and signed end angles (positive: near line long). `near` may be a fraction of a unit. */
export interface Blank {
  readonly id: string;
  readonly near: number;
  readonly left: number;
  readonly right: number;
  readonly qty: number;
  /** Own distance between near and far line, where it is not that of the problem (an apron cut from casing stock). */
  readonly depth?: number;
  /** Blanks of one group (a room) are kept together where it costs nothing. */
  readonly group?: string;
  /** Its measure is still to come: it lies after all others, so that its stick can wait. */
  readonly held?: boolean;
  /** It is cut before all others of its stick: a block that others are tried with. */
  readonly first?: boolean;
}

/** Where a spliced stretch may be divided: near-line position from its left end, and which piece lies over there. */
interface SplicePoint {
  readonly at: number;
  readonly leftOver: boolean;
}

/** A stretch that may be made of several pieces; the cut plan chooses where. */
export interface SpliceWall {
  readonly id: string;
  readonly group?: string;
  readonly near: number;
  /** Added to the near length when it is left whole (a piece sprung in between two corners). */
  readonly wholeExtra?: number;
  readonly left: number;
  readonly right: number;
  readonly qty: number;
  /** Scarf angle, degrees; 0 for a butt. */
  readonly angle: number;
  readonly points: readonly SplicePoint[];
  readonly max: number;
  /** Cents for each splice. */
  readonly penalty: number;
  readonly minPiece: number;
  /** Least distance between two splices. */
  readonly apart: number;
  /** All its pieces are held. */
  readonly held?: boolean;
  /** `needed`: it may be divided only when it fits no stick for sale whole. */
  readonly when: 'needed' | 'allowed';
}

export interface CutProblem {
  readonly name: string;
  /** Distance between near and far line, units. */
  readonly depth: number;
  /** Measured square to the blade; may be a fraction of a unit. */
  readonly kerf: number;
  /** Lost at each end of each stick; may be a fraction of a unit. */
  readonly endTrim: number;
  /** Kept free on a stick for every piece cut from it, whole units; 0 where it is left out. */
  readonly cutMargin?: number;
  /** Shortest offcut worth keeping. */
  readonly minOffcut: number;
  readonly sticks: readonly StickKind[];
  readonly blanks: readonly Blank[];
  readonly walls: readonly SpliceWall[];
  readonly keep?: KeptPlan;
  readonly trips?: Trips;
}

/** A plan that was there before: every stick of it that is not found again, kind and pieces alike, counts `weight` cents. */
export interface KeptPlan {
  readonly sticks: readonly { readonly stick: string; readonly parts: readonly StickPart[] }[];
  readonly weight: number;
}

/**
 * What is carried to the saw together, in order. What goes earlier lies further left on its stick; a stick that stays open
 * from one trip to the next counts `weight` cents.
 */
interface Trips {
  /** Ids of blanks and walls; what is not named goes with the last trip. */
  readonly order: readonly (readonly string[])[];
  readonly weight: number;
}

/** What lies on a stick, named: a blank, or a part of a wall between two of its points. */
export type StickPart =
  | { readonly kind: 'blank'; readonly id: string }
  | { readonly kind: 'wall'; readonly id: string; readonly fromPoint: number; readonly toPoint: number };

/** One blank on a stick: which, and where its near line starts from the stick's left end (whole units). */
export type Placed =
  | { readonly kind: 'blank'; readonly id: string; readonly start: number }
  | {
      readonly kind: 'wall';
      readonly id: string;
      readonly copy: number;
      readonly fromPoint: number;
      readonly toPoint: number;
      readonly start: number;
    };

export interface CutStick {
  readonly stick: string;
  readonly placed: readonly Placed[];
}

export interface CutSolution {
  readonly sticks: readonly CutStick[];
  /** Sticks bought plus splices, cents. */
  readonly cost: number;
  /** Sticks of the plan before that are not found again. */
  readonly moved: number;
  /** How often a stick stays open from one trip to the next. */
  readonly waiting: number;
  /** Cost, and what moved and waiting sticks count; the bound is for this. Equal to the cost where nothing is weighed. */
  readonly total: number;
  readonly splices: number;
  /** No plan can count less. */
  readonly lowerBound: number;
  /** No plan can cost less: the same where nothing is weighed. */
  readonly costBound: number;
  readonly proven: boolean;
  /** What the bound rests on. */
  readonly ground: BoundGround;
}

/**
 * Why nothing can cost less than the bound: every way was tried; length alone at the cheapest rate; the relaxation, in
 * which sticks may be cut in fractions; or all patterns that a cheaper plan could use, tried together. `figure` is what
 * that gave in cents, before it was raised to the next cost that sticks and splices can add up to.
 */
export interface BoundGround {
  readonly by: 'trial' | 'length' | 'relaxed' | 'counts' | 'patterns';
  readonly figure: number;
}

/** How far the search has come; sent while it works. */
export interface CutProgress {
  readonly stage: 'first' | 'improving' | 'bound' | 'rounding' | 'proving' | 'done';
  readonly cost: number;
  readonly lowerBound: number;
  readonly sticks: number;
  /** Seconds that have passed. */
  readonly seconds: number;
}
