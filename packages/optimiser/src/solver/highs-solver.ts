import type { Highs, Model } from 'highs';
import type { LinearProgram, LinearSolver, LpColumn, LpOutcome, LpRow } from '../index.ts';

const NOTHING: LpOutcome = {
  status: 'failed',
  objective: NaN,
  columns: new Float64Array(0),
  duals: new Float64Array(0),
  bound: -Infinity,
};

/** Shortest time limit worth giving: below it the solver may return before it has begun. */
const LEAST_SECONDS = 0.05;

/** Nodes of one integer programme: beyond them more time hardly ever helped. */
const MOST_NODES = 20_000;

/** Values of the option `simplex_strategy`. */
const DUAL = 1;
const PRIMAL = 4;

class HighsProgram implements LinearProgram {
  private readonly model: Model;
  private columns = 0;
  private spent = 0;
  /** What changed last says which simplex goes on from the basis: the dual after bounds, the primal after columns. */
  private boundsChanged = false;
  private readonly highs: Highs;
  private readonly rowCount: number;

  constructor(highs: Highs, rows: readonly LpRow[]) {
    this.highs = highs;
    this.model = highs.createModel();
    this.model.options.set({ output_flag: false, presolve: 'off', simplex_strategy: 4, solver: 'simplex' });
    const limit = (x: number): number => (Number.isFinite(x) ? x : Math.sign(x) * highs.infinity);
    this.model.addRows({
      lower: Float64Array.from(rows, (row) => limit(row.lower)),
      upper: Float64Array.from(rows, (row) => limit(row.upper)),
      matrix: {
        format: 'csr',
        numRows: rows.length,
        numCols: 0,
        starts: new Int32Array(rows.length + 1),
        indices: new Int32Array(0),
        values: new Float64Array(0),
      },
    });
    this.rowCount = rows.length;
  }

  addColumns(columns: readonly LpColumn[]): void {
    if (columns.length === 0) return;
    const starts = new Int32Array(columns.length + 1);
    columns.forEach((column, index) => (starts[index + 1] = starts[index]! + column.rows.length));
    this.model.addCols({
      cost: Float64Array.from(columns, (column) => column.cost),
      lower: Float64Array.from(columns, (column) => column.lower),
      upper: Float64Array.from(columns, (column) =>
        Number.isFinite(column.upper) ? column.upper : this.highs.infinity,
      ),
      matrix: {
        format: 'csc',
        numRows: this.rowCount,
        numCols: columns.length,
        starts,
        indices: Int32Array.from(columns.flatMap((column) => column.rows)),
        values: Float64Array.from(columns.flatMap((column) => column.values)),
      },
    });
    this.columns += columns.length;
    this.boundsChanged = false;
  }

  setBounds(column: number, lower: number, upper: number): void {
    this.boundsChanged = true;
    this.model.changeColBounds(column, lower, Number.isFinite(upper) ? upper : this.highs.infinity);
  }

  /** The solver's clock adds up over its runs, so a limit is always set on top of what was spent. */
  private run(seconds: number): number {
    this.model.options.set('time_limit', this.spent + Math.max(LEAST_SECONDS, seconds));
    this.model.run();
    this.spent = this.model.getRunTime();
    return this.model.getModelStatus();
  }

  solve(seconds: number): LpOutcome {
    try {
      this.model.options.set('simplex_strategy', this.boundsChanged ? DUAL : PRIMAL);
      const { modelStatus } = this.highs.constants;
      let status = this.run(seconds);
      if (status === modelStatus.unknown) {
        // The basis it went on from was no good: without it, it finds its way.
        this.model.clearSolver();
        status = this.run(seconds);
      }
      if (status === modelStatus.infeasible) return { ...NOTHING, status: 'infeasible' };
      if (status !== modelStatus.optimal) return NOTHING;
      const solution = this.model.getSolution();
      const objective = this.model.getObjectiveValue();
      return {
        status: 'optimal',
        objective,
        columns: Float64Array.from(solution.colValue),
        duals: Float64Array.from(solution.rowDual),
        bound: objective,
      };
    } catch {
      return NOTHING;
    }
  }

  solveInteger(seconds: number, start?: Float64Array, seed = 1): LpOutcome {
    try {
      this.model.options.set({
        presolve: 'on',
        solver: 'choose',
        mip_rel_gap: 0,
        mip_abs_gap: 1e-6,
        mip_max_nodes: MOST_NODES,
        random_seed: seed,
      });
      const all = Int32Array.from({ length: this.columns }, (_, index) => index);
      this.model.changeColsIntegrality({ kind: 'set', indices: all }, new Int32Array(this.columns).fill(1));
      if (start) this.model.setSolution({ colValue: start });
      const status = this.run(seconds);
      const { modelStatus } = this.highs.constants;
      if (status === modelStatus.infeasible) return { ...NOTHING, status: 'infeasible' };
      const solution = this.model.getSolution();
      const objective = this.model.getObjectiveValue();
      const feasible =
        this.model.info.get('primal_solution_status') === this.highs.constants.solutionStatus.feasible;
      if (!feasible) return NOTHING;
      return {
        status: status === modelStatus.optimal ? 'optimal' : 'feasible',
        objective,
        columns: Float64Array.from(solution.colValue),
        duals: new Float64Array(0),
        bound: Number(this.model.info.get('mip_dual_bound')),
      };
    } catch {
      return NOTHING;
    }
  }

  dispose(): void {
    this.model.dispose();
  }
}

/** The HiGHS solver behind the optimiser's port. Every call blocks: use it in a worker. */
export const highsSolver = (highs: Highs): LinearSolver => ({
  create: (rows) => new HighsProgram(highs, rows),
});
