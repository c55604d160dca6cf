import type { Clearances } from './end-classes.ts';
import type { CutProblem, SpliceWall, StickKind } from './problem.ts';
import type { Sequencer } from './sequencer.ts';

/** What a cutting problem is once it is counted: sizes, splice networks, sticks and the ways to use them. */

/** A size of blank: everything that shares length and end class. `demand` is fixed; arcs of walls ask for more. */
export interface Item {
  readonly length: number;
  readonly cls: number;
  readonly demand: number;
}

/** A piece of a wall between two of its points (0 is the left end, last is the right end), and the item it needs. */
export interface Arc {
  readonly from: number;
  readonly to: number;
  readonly item: number;
  /** Cents: the penalty of the splice at its left end, if it has one there. */
  readonly penalty: number;
}

/** One copy of a wall as a network: a path over its points with at most max + 1 arcs serves it. */
export interface WallNet {
  readonly wall: SpliceWall;
  readonly copy: number;
  readonly points: number;
  readonly arcs: readonly Arc[];
}

/** Sticks of one length, price and origin: what there is. */
export interface StickPool {
  readonly length: number;
  readonly price: number;
  readonly count: number | undefined;
  /** Ids in the order they are used up (rack and opened sticks are single). */
  readonly kinds: readonly StickKind[];
}

/**
 * A way to use a stick of a pool. Mostly there is one for each pool; where trips are weighed, one for each range of trips
 * that a stick may serve, and one for each stick of the plan before, which holds just what it held.
 */
export interface StickVariant {
  readonly pool: number;
  readonly length: number;
  /** Cents it counts: its price, and what is weighed. */
  readonly price: number;
  /** Most sticks used this way; undefined: as many as there are in the pool. */
  readonly count: number | undefined;
  /** First and last trip whose pieces may lie on it. */
  readonly trips?: readonly [number, number];
  /** Items of the stick of the plan before, each as often as it is there, in rising order. */
  readonly just?: readonly number[];
  /** What lead, gaps and tail come to on it. */
  readonly sequencer: Sequencer;
  /** Least length from its left end to the near start of a first blank of each class. */
  readonly lead: readonly number[];
}

export interface CutModel {
  readonly problem: CutProblem;
  readonly items: readonly Item[];
  /** Ids of blanks of each item, one per copy. */
  readonly blankIds: readonly (readonly string[])[];
  readonly walls: readonly WallNet[];
  readonly pools: readonly StickPool[];
  /** By price; of one price the longer first. */
  readonly sticks: readonly StickVariant[];
  readonly clear: Clearances;
  /** That of sticks with two plain ends. */
  readonly sequencer: Sequencer;
  /** Longest stick of all, rack included. */
  readonly longest: number;
  /**
   * Some item is shorter than its miter is deep: the next one may begin beside its far end, so that one more piece can make
   * what lies on a stick shorter. Bounds that leave out what does not fit do not hold then.
   */
  readonly hasStubs: boolean;
  /** Trips or a plan before are weighed: which way a stick is used follows from what lies on it. */
  readonly weighed: boolean;
}
