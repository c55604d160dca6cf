import { branchFromRelaxation } from '../exact/solve-small.ts';
import { patternsOf, artificialColumnCost, type Master } from '../relaxation/master.ts';
import type { Pattern } from '../model/integer-solution.ts';
import { roundToSolution } from '../primal/rounding.ts';
import type { Search } from '../schedule/search.ts';
import type { LpOutcome } from '../solver/solver-port.ts';

/** A short attempt: at most so many patterns, for so long. */
interface Attempt {
  readonly patterns: number;
  readonly seconds: number;
}
/** So few that the programme is mostly solved at once, and so few that those at hand are not tried alone before. */
export const FIRST_ATTEMPT: Attempt = { patterns: 1_000, seconds: 1 };
export const SHORT_ATTEMPT: Attempt = { patterns: 4_000, seconds: 2.5 };
/** Most patterns in the integer programme of a proof. */
const MOST_PATTERNS = 12_000;
/** Parts of the gap for which all patterns are looked for where those of the whole gap are too many. */
const SHARES = [0.06, 0.12, 0.2, 0.3, 0.45, 0.65, 0.85] as const;
/** Seconds of the first programme that decides, and of one that is not tried again. */
const PATIENCE = 8;
const MOST_PATIENCE = 100;
/** Seconds of one over the columns at hand. */
const KNOWN_SECONDS = 2;

/** A small problem to its end: every plan that the dual values of the relaxation leave room for. */
export function completeColumns(search: Search, master: Master, { duals, objective }: LpOutcome): void {
  const { model, best } = search;
  if (!best) return;
  const saves = model.sticks.map(({ price }, way) => master.threshold(way, duals) - price);
  const { found, bound } = branchFromRelaxation(
    model,
    { items: duals, saves },
    {
      cost: best.cost,
      bound: objective,
      atLeast: (least) => search.roundUp(least),
      stop: () => search.left() <= 0,
    },
  );
  search.offer(found, 'proving');
  search.raise(bound, 'proving', 'trial');
}

/** What a plan that is just good enough may miss through the rounding of dual values, cents. */
const NOISE = 1e-2;

/**
 * Room that a plan better than the best has above a relaxation: it cannot use a pattern or a part of a wall whose reduced cost
 * is more.
 * @param most that a better plan costs
 */
export const reducedCostLimit = (most: number, objective: number): number => most - objective + NOISE;

/**
 * The integer programme over the columns at hand, then over every pattern that a better plan could use: those whose
 * reduced cost is at most what lies between the relaxation and the most that a better plan can cost. With all of them present
 * its answer decides; where it comes to none the next attempt has twice the time. Too many: all patterns within a part of the
 * gap; a plan with any other costs at least the relaxation and that part, so small parts, which are quick, raise the bound
 * a little.
 */
export class PatternProof {
  private step: 'known' | 'all' | number | 'done' = 'known';
  /** What the plan cost when so many patterns were last tried. */
  private readonly lookedAt = new Map<number, number>();
  private runs = 0;
  /** Seconds of the next programme that decides. */
  private patience = PATIENCE;
  private fresh: { readonly converged: boolean; readonly outcome: LpOutcome } | undefined;
  private readonly search: Search;
  private readonly master: Master;
  private readonly converged: boolean;

  constructor(search: Search, master: Master, converged: boolean) {
    this.search = search;
    this.master = master;
    this.converged = converged;
  }

  private get gap(): number {
    return this.search.best
      ? reducedCostLimit(this.search.mostOfBetter(), this.fresh!.outcome.objective)
      : artificialColumnCost(this.search.model);
  }

  /**
   * @param within no plan that uses a pattern left out costs less than this; Infinity where all that matter are there
   * @param gap    parts of walls whose reduced cost exceeds it are left out as well; left out: none are
   */
  private run(given: readonly Pattern[], within: number, seconds: number, gap = Infinity): void {
    const { search, master } = this;
    const { best } = search;
    // The plan at hand belongs to them: there is something to start from, and to cut off by.
    const patterns = [...given, ...(best?.patterns ?? [])];
    const arcs =
      gap < Infinity
        ? master.arcsWithin(gap, this.fresh!.outcome.duals, best?.paths)
        : master.columns.filter((column) => column.kind === 'arc');
    // Where work is counted its clock is not looked at: its nodes are counted.
    const { outcome, columns } = master.solveInteger(
      patterns,
      arcs,
      this.isCounted ? search.left() : seconds,
      {
        known: best,
        // What took long is not begun again in the same way.
        seed: ++this.runs,
      },
    );
    // No plan at all is made of these.
    if (outcome.status === 'infeasible' && gap < Infinity && within < Infinity)
      search.raise(within, 'proving', 'patterns');
    if (outcome.status !== 'optimal' && outcome.status !== 'feasible') return;
    search.offer(roundToSolution(search.model, columns, outcome.columns), 'proving');
    const bound = Math.min(within, outcome.bound);
    if (bound > artificialColumnCost(search.model) / 2) search.proveImpossible();
    else search.raise(bound, 'proving', 'patterns');
  }

  private get isCounted(): boolean {
    return this.search.options.units !== undefined;
  }

  /** The programme that decides, as long as there is patience for it. */
  private decide(all: readonly Pattern[]): true {
    const { patience, search } = this;
    this.step = this.isCounted || patience >= MOST_PATIENCE ? 'done' : 'all';
    this.patience = 2 * patience;
    this.run(all, Infinity, Math.min(0.7 * search.left(), patience), this.gap);
    return true;
  }

  /** Whether the relaxation is at its end, with dual values that prove something. */
  private isFresh(): boolean {
    const { left } = this.search;
    if (this.converged && !this.fresh)
      this.fresh = this.master.price({ stop: () => left() <= 0, seconds: left });
    return this.fresh?.converged ?? false;
  }

  private within(part: number, most: number): Pattern[] | undefined {
    return this.master.patternsWithin(part, this.fresh!.outcome.duals, most, () => this.search.left() <= 0);
  }

  /**
   * A short attempt at the complete programme where few patterns could make a better plan; once for each plan, as a better one
   * leaves fewer.
   * @returns whether it was made
   */
  look({ patterns, seconds }: Attempt): boolean {
    const cost = this.search.best?.cost ?? Infinity;
    if (cost >= (this.lookedAt.get(patterns) ?? Infinity) || !this.isFresh()) return false;
    this.lookedAt.set(patterns, cost);
    if (this.step !== 'known') this.step = 'all';
    const few = this.within(this.gap, patterns);
    if (few) this.run(few, Infinity, Math.min(this.search.left(), seconds), this.gap);
    return few !== undefined;
  }

  /** The next attempt. @returns whether there was one to make */
  next(): boolean {
    const { search, master } = this;
    const { left, stop } = search;
    if (this.step === 'known') {
      // Those at hand tell nothing that all of them do not tell as soon.
      const all = this.isFresh() ? this.within(this.gap, SHORT_ATTEMPT.patterns) : undefined;
      if (all) return this.decide(all);
      this.step = 'all';
      this.run(patternsOf(master), 0, Math.min(left() * 0.3, KNOWN_SECONDS));
      return true;
    }
    if (!this.isFresh() || this.step === 'done' || stop()) return false;
    if (this.step === 'all') {
      const all = this.within(this.gap, MOST_PATTERNS);
      if (all) return this.decide(all);
      this.step = 0;
      return true;
    }
    const share = SHARES[this.step]!;
    this.step = this.step + 1 < SHARES.length ? this.step + 1 : 'done';
    const part = share * this.gap;
    const patterns = this.within(part, MOST_PATTERNS);
    if (!patterns) {
      this.step = 'done';
      return false;
    }
    const before = search.bound;
    this.run(patterns, this.fresh!.outcome.objective + part, left() / 2, part);
    if (search.bound === before && share > SHARES[1]) this.step = 'done';
    return true;
  }
}
