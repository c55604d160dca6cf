import type { EndJoint } from '../joinery/index.ts';
import type { Unit } from '../measure/index.ts';
import type { SawSetting } from '../saw/index.ts';
import type { Suspect } from '../survey/index.ts';

/** The plan file, version 1: what the `plan` command prints and what every screen after Walk is drawn from. */

export interface PlanEnd {
  readonly joint: EndJoint;
  /** Signed: positive where the near line is the long one; 0 square. */
  readonly angle: number;
  /** −depth·tan(angle): how much farther the far line extends. */
  readonly reach: number;
  /** Scarf: this piece lies over. */
  readonly over?: boolean;
  /** Id of the piece it meets. */
  readonly mate?: string;
  /** Square ends of shoe: how much of the nose is snipped off at 45°. */
  readonly snip?: number;
  readonly saw: SawSetting;
}

export type PieceRole =
  'wall' | 'return' | 'transition' | 'leg-left' | 'leg-right' | 'head' | 'sill' | 'stool' | 'apron';

export interface Piece {
  readonly id: string;
  readonly label: string;
  readonly room: string;
  readonly trim: string;
  readonly wall?: string;
  readonly opening?: string;
  readonly profile: string;
  readonly role: PieceRole;
  readonly from?: number;
  readonly to?: number;
  readonly near: number;
  readonly allowance: number;
  readonly left: PlanEnd;
  readonly right: PlanEnd;
  readonly order: number;
  readonly reason: readonly string[];
}

export interface PlannedStick {
  readonly id: string;
  readonly profile: string;
  readonly source: 'buy' | 'rack';
  readonly length: number;
  readonly price: number;
  readonly cuts: readonly { readonly piece: string; readonly start: number }[];
  readonly leftover: number;
}

export interface WatchOut {
  readonly code: string;
  readonly room?: string;
  readonly wall?: string;
  readonly piece?: string;
  readonly text: string;
}

export interface PlanFile {
  readonly format: 'longmiter-plan';
  readonly version: 1;
  readonly unit: Unit;
  readonly pieces: readonly Piece[];
  readonly sticks: readonly PlannedStick[];
  readonly buy: readonly {
    readonly profile: string;
    readonly length: number;
    readonly count: number;
    readonly price: number;
  }[];
  readonly cost: { readonly stock: number; readonly splices: number; readonly total: number };
  readonly bounds: readonly {
    readonly profile: string;
    readonly lowerBound: number;
    readonly cost: number;
    readonly proven: boolean;
    /** In one sentence with its figure: why nothing can cost less than the bound. */
    readonly why?: string;
  }[];
  readonly closure: readonly {
    readonly room: string;
    readonly angleGap: number;
    readonly gap: number;
    readonly perimeter: number;
    readonly suspect?: readonly Suspect[];
  }[];
  readonly watchOuts: readonly WatchOut[];
}

/** The plan as the open format has it: what the screens show besides is left out. */
export const publishedPlan = (plan: PlanFile): PlanFile => ({
  ...plan,
  bounds: plan.bounds.map(({ why: _why, ...bound }) => bound),
});
