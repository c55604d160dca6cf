import type { JobFile } from '../../job/index.ts';
import type { Contradiction } from './order.ts';
import type { LoggedPiece, ShopIssue } from './log-file.ts';

export type PieceState =
  'held' | 'ready' | 'in-hand' | 'cut' | 'fitted' | 'fixed' | 'spoilt' | 'superseded' | 'reused';

/** Whether a piece still stands for what the plan asks for: neither spoilt nor replaced. */
export const isAlive = ({ state }: Pick<ShopPiece, 'state'>): boolean =>
  state !== 'spoilt' && state !== 'superseded' && state !== 'reused';

/** Whether it has left the saw for good. */
export const isCut = ({ state }: Pick<ShopPiece, 'state'>): boolean =>
  state === 'cut' || state === 'fitted' || state === 'fixed';

/** A piece in the workshop: a number that is written on wood once, and what has become of it. Lengths in the job's unit. */
export interface ShopPiece {
  readonly tag: string;
  /** The tag it had first, before any replacement: 2-07 of 2-07 C. */
  readonly stem: string;
  /** Id of the plan's piece, and the revision that its figures are of. */
  readonly piece: string;
  readonly revision: number;
  readonly state: PieceState;
  /** As asked for until it is cut, then as it is. */
  readonly near: number;
  /** What was asked for. */
  readonly asked: number;
  /** What was planned before it was measured in place. */
  readonly predicted?: number;
  /** Whether `asked` was measured in place: a plan that still predicts does not change it. */
  readonly measured: boolean;
  readonly letter?: string;
  readonly cutEnds: readonly ('left' | 'right')[];
  /** Where its near line begins on its stick, once it lies there. */
  readonly start?: number;
  /** How much of its stick it took, along its near line. */
  readonly took?: number;
  /** What of it can still be used, where it was noted. */
  readonly usable?: number;
  /** Cut from the wood of a piece that was spoilt: it takes no more of its stick. */
  readonly fromBlank: boolean;
  /** The plan's piece with its ends. */
  readonly plan: LoggedPiece;
}

/** A stick in the workshop, by the letter pencilled on it. */
export interface ShopStick {
  readonly letter: string;
  readonly stick: string;
  readonly revision: number;
  readonly profile: string;
  readonly source: 'buy' | 'rack';
  /** The length it was bought in, or the label it had on the rack. */
  readonly from: string;
  /** Pieces that were planned on it when it was taken, by the plan's ids, in order. */
  readonly pieces: readonly string[];
  /** As planned, and as measured. */
  readonly planned: number;
  readonly length: number;
  readonly used: number;
  readonly remains: number;
  readonly open: boolean;
  /** Tags in the order they were cut from it. */
  readonly cut: readonly string[];
  /** The end of the wood that is left: where its near line begins once the kerf is gone, and its slant. */
  readonly end: StickEnd;
}

/** Where the last cut left a stick: near line and how much farther the far line went; undefined angle where nothing is cut. */
export interface StickEnd {
  readonly near: number;
  readonly reach: number;
  readonly angle: number;
  readonly untouched: boolean;
}

export interface RackPiece {
  readonly label: string;
  readonly profile: string;
  readonly length: number;
}

/** Everything that follows from issues and events: never stored, always folded. */
export interface Shop {
  readonly job: JobFile;
  readonly pieces: readonly ShopPiece[];
  readonly sticks: readonly ShopStick[];
  readonly rack: readonly RackPiece[];
  /** Every label that has ever been on it: what is written on wood is not used again. */
  readonly rackLabels: readonly string[];
  readonly contradictions: readonly Contradiction[];
  /** The newest issue that has been reached. */
  readonly issue: ShopIssue | undefined;
}
