import { AggregateBranching } from './aggregate-branching.ts';
import type { Master, PricingResult } from '../relaxation/master.ts';
import { SHORT_ATTEMPT, FIRST_ATTEMPT, PatternProof, reducedCostLimit } from './pattern-proof.ts';
import type { Search } from '../schedule/search.ts';
import type { LinearSolver, LpOutcome } from '../solver/solver-port.ts';

/** So close to its end, cents, a relaxation is worth aggregate branching. */
const NEARLY = 1;

/** Part of the gap that a step of aggregate branching has to close for another one to come before anything else. */
const RISE = 0.04;
/** Steps that may do less. */
const SLOW_TURNS = 2;

/** The search for a bound, a step at a time: aggregate branching, and one by the patterns that a better plan could use. */
export class DualBounding {
  /** Steps of aggregate branching in a row that hardly raised the bound. */
  private slow = 0;
  /** What the plan cost after the step before. */
  private standing = Infinity;
  private readonly search: Search;
  private readonly master: Master;
  private readonly relaxed: LpOutcome;
  private narrowedAt = Infinity;
  private readonly proof: PatternProof;
  /** Often a few aggregates decide, and show the way to plans. */
  private readonly counted: AggregateBranching | undefined;

  constructor(search: Search, solver: LinearSolver, master: Master, relaxed: PricingResult) {
    this.search = search;
    this.master = master;
    this.relaxed = relaxed.outcome;
    this.proof = new PatternProof(search, master, relaxed.converged);
    const { outcome, bound } = relaxed;
    this.counted =
      outcome.objective - bound < NEARLY && !search.model.weighed && !search.model.hasStubs
        ? new AggregateBranching(search, solver, [
            ...master.patternsAtHand(this.room(), outcome.duals),
            ...(search.best?.patterns ?? []),
          ])
        : undefined;
  }

  /** What a pattern or a part of a wall may cost more than it is worth to be part of a better plan. */
  private room = (): number => reducedCostLimit(this.search.mostOfBetter(), this.relaxed.objective);

  /** The better the plan, the fewer parts of walls could make a better one. */
  private narrow(): void {
    const { search, master, relaxed, counted } = this;
    if (!search.best || search.best.cost >= this.narrowedAt) return;
    this.narrowedAt = search.best.cost;
    counted?.keepArcs(master.arcsWithin(this.room(), relaxed.duals, search.best.paths));
  }

  dispose(): void {
    this.counted?.dispose();
  }

  /**
   * Aggregate branching while it raises the bound; else an attempt by patterns. A short one comes between where they are few, once
   * a plan has stood for a while.
   * @returns whether there was anything to try
   */
  step(): boolean {
    const { search, proof } = this;
    if (proof.look(FIRST_ATTEMPT) && search.stop()) return true;
    this.narrow();
    const before = search.bound;
    const cost = search.best?.cost ?? Infinity;
    const counted = this.counted?.step() ?? false;
    const hasRisen = counted && search.bound - before >= RISE * (cost - before);
    this.slow = hasRisen ? 0 : this.slow + 1;
    if (search.stop()) return true;
    const stands = cost === this.standing;
    this.standing = search.best?.cost ?? Infinity;
    if (counted && stands && proof.look(SHORT_ATTEMPT)) return true;
    if (counted && this.slow < SLOW_TURNS) return true;
    return proof.look(SHORT_ATTEMPT) || (!search.stop() && proof.next()) || counted;
  }
}
