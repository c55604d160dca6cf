/** The linear solver as the optimiser needs it. Core never loads one itself: the worker that runs it passes it in. */

export interface LpColumn {
  readonly cost: number;
  readonly lower: number;
  readonly upper: number;
  readonly rows: readonly number[];
  readonly values: readonly number[];
}

export interface LpRow {
  readonly lower: number;
  readonly upper: number;
}

/** Outcome of a solve. `failed` covers everything that leaves no usable numbers, the solver's own errors included. */
export interface LpOutcome {
  readonly status: 'optimal' | 'feasible' | 'infeasible' | 'failed';
  readonly objective: number;
  /** Value of each column. Empty unless optimal or feasible. */
  readonly columns: Float64Array;
  /** Dual of each row; only of a continuous solve. */
  readonly duals: Float64Array;
  /** Proven lower bound of the (integer) optimum; −Infinity when none is known. */
  readonly bound: number;
}

/** A model kept in the solver. Dispose of it: it owns memory outside the garbage collector. */
export interface LinearProgram {
  addColumns(columns: readonly LpColumn[]): void;
  setBounds(column: number, lower: number, upper: number): void;
  /** Solves the continuous model; blocks. */
  solve(seconds: number): LpOutcome;
  /**
   * Solves with all columns integer; blocks, may overrun `seconds` a little.
   * @param seed the same decides alike; with another one what took long is often quick
   */
  solveInteger(seconds: number, start?: Float64Array, seed?: number): LpOutcome;
  dispose(): void;
}

export interface LinearSolver {
  create(rows: readonly LpRow[]): LinearProgram;
}
