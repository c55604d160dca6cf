import { numbersFrom } from '../base/index.ts';
import { completeFrom, isFew } from './few-pieces.ts';
import { CountedProof } from './counted.ts';
import { beginWithSizes, slowness } from './many-sizes.ts';
import { Master, uncutPrice, type Priced } from './master.ts';
import { MANY_SIZES } from './model.ts';
import type { Pattern } from './pattern.ts';
import { filledFrom } from './rounding.ts';
import type { Search } from './search.ts';
import type { LinearSolver, LpOutcome } from './solver-port.ts';
import { dives, neighbourhood } from './turns.ts';
import { correctValues } from './value-correction.ts';

/** Share of the time after which a relaxation of hundreds of sizes is taken as it is. */
const ROOT_SHARE = 0.9;
/** Units of it that may find nothing, once every proof has been tried. */
const IDLE_UNITS = 6;
/** Dives in a row that may find nothing while the relaxation is not at its end. */
const FEW_DIVES = 1;
/** So few items (parts of walls among them) that the proof of a small problem comes before most dives. */
const FEW_ITEMS = 120;
/** Cells of the pricing's table then: the search behind it is short. */
const FEW_CELLS = 1000;
const FIRST_DIVES = 2;
/** Dives that may find nothing before the first turn of the proof by counts. */
const SOME_DIVES = 8;
/** So close to its end, cents, a relaxation is worth a proof by counts. */
const NEARLY = 1;
/** So few patterns that the complete programme is tried at once. */
const FEW_PATTERNS = 1500;
/** So few that those at hand are not tried alone before all. */
const SOME_PATTERNS = 4_000;
/** Most patterns in the integer programme of a proof. */
const MOST_PATTERNS = 12_000;
/** Parts of the gap for which all patterns are looked for where those of the whole gap are too many. */
const SHARES = [0.06, 0.12, 0.2, 0.3, 0.45, 0.65, 0.85] as const;
/** Most seconds of one integer programme, and of one over the columns at hand. */
const PROOF_SECONDS = 8;
const KNOWN_SECONDS = 2;

/**
 * Column generation, then by turns: dives until they find nothing more, attempts at a proof, and taking parts of the plan
 * anew. Every turn is counted in units of work; seconds only end it.
 * @param known patterns of earlier fillings, to begin with
 */
export function searchWithSolver(search: Search, solver: LinearSolver, known: readonly Pattern[]): void {
  const { model, stop, left } = search;
  const many = model.items.length > MANY_SIZES;
  const random = numbersFrom(1);
  let units = search.options.units ?? Infinity;
  let patterns = [...known, ...(search.best?.patterns ?? [])];
  if (many && units-- > 0) {
    const begun = beginWithSizes(search, solver, patterns, random);
    while (!begun && !stop() && search.best && units-- > 0) neighbourhood(search, solver, random);
    if (!begun || stop()) return;
    patterns = [...begun];
  }
  const few = model.items.length <= FEW_ITEMS;
  const master = new Master(model, solver, few ? { cells: FEW_CELLS, simple: isFew(model) } : {});
  const outOfTime = (): boolean => left() <= 0;
  let counted: CountedProof | undefined;
  try {
    master.addPatterns(patterns);
    const relax = (share: number, isSlow: (objective: number) => boolean = () => false): Priced => {
      const priced = master.price({
        stop: outOfTime,
        seconds: left,
        reading: few,
        // Once no attainable cost lies between bound and objective, more columns cannot raise the bound; and with hundreds
        // of sizes the last columns take too long: a plan is worth more than they are.
        enough: (bound, objective) => {
          if (!many) return false;
          search.raise(bound, 'bound', 'relaxed');
          return (
            search.roundUp(bound) >= search.roundUp(objective) || search.spent(share) || isSlow(objective)
          );
        },
      });
      if (many && !priced.converged && priced.outcome.status === 'optimal' && !stop())
        search.raise(master.boundAt(priced.outcome, outOfTime), 'bound', 'relaxed');
      return priced;
    };
    let relaxed = relax(ROOT_SHARE, many ? slowness() : undefined);
    if (relaxed.outcome.status !== 'optimal') return;
    // Some blank stays uncut even when sticks may be used in part: the limited stock cannot do.
    if (relaxed.converged && relaxed.outcome.objective > uncutPrice(model) / 2) {
      search.impossible = true;
      return;
    }
    search.raise(relaxed.bound, 'bound', 'relaxed');
    if (many && !relaxed.converged && !stop() && units-- > 0) {
      // A plan first; then the relaxation goes on.
      dives(search, solver, master, relaxed.outcome, random, (plan) => plan, FEW_DIVES);
      if (stop()) return;
      relaxed = relax(ROOT_SHARE);
      if (relaxed.outcome.status !== 'optimal') return;
    }
    const proof = new Proof(search, master, relaxed.converged);
    if (few && relaxed.converged && !stop() && units-- > 0) {
      // A small problem is at its end sooner than dives are at theirs; where it is not, a better plan leaves less to try.
      complete(search, master, relaxed.outcome);
      const before = search.best?.cost ?? Infinity;
      if (!stop()) dives(search, solver, master, relaxed.outcome, random, (plan) => plan, FIRST_DIVES);
      if (!stop() && search.best && search.best.cost < before) complete(search, master, relaxed.outcome);
    }
    if (relaxed.outcome.objective - relaxed.bound < NEARLY && !model.weighed) {
      // Often a few counts decide, and show the way to plans.
      counted = new CountedProof(search, solver, patternsOf(master));
      if (!stop() && units-- > 0)
        dives(search, solver, master, relaxed.outcome, random, (plan) => plan, SOME_DIVES);
      if (!stop() && units-- > 0) counted.turn();
    }
    if (!stop() && units-- > 0) dives(search, solver, master, relaxed.outcome, random, (plan) => plan);
    if (search.best && !stop() && units-- > 0)
      search.offer(correctValues(model, search.best.paths, relaxed.outcome.duals, 10, stop), 'rounding');
    if (!few && relaxed.converged && !stop() && units-- > 0) complete(search, master, relaxed.outcome);
    for (let idle = 0; !stop() && idle < IDLE_UNITS && units-- > 0;) {
      // Where few patterns are left to look at the proof is quick: before anything else is tried.
      const looked = proof.few();
      if (stop()) return;
      const better = search.best !== undefined && neighbourhood(search, solver, random);
      if (stop()) return;
      // The fewer patterns a better plan could use the quicker a proof: as long as plans get better it waits.
      const tried = (!better || search.best === undefined) && proof.next();
      if (stop()) return;
      const branched = !better && proof.isTried() && (counted?.turn() ?? false);
      idle = better || tried || looked || branched ? 0 : idle + 1;
    }
  } finally {
    master.dispose();
    counted?.dispose();
  }
}

const patternsOf = (master: Master): Pattern[] =>
  master.columns.flatMap((column) => (column.kind === 'pattern' ? [column.pattern] : []));

/** A small problem to its end: every plan that the worths of the relaxation leave room for. */
function complete(search: Search, master: Master, { duals, objective }: LpOutcome): void {
  const { model, best } = search;
  if (!best) return;
  const saves = model.sticks.map(({ price }, way) => master.threshold(way, duals) - price);
  const { found, bound } = completeFrom(
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

/**
 * The integer programme over the columns at hand, then over every pattern that a better plan could use: those whose
 * reduced cost is at most the gap. With all of them present its answer decides. Too many: all patterns within a part of the
 * gap; a plan with any other costs at least the relaxation and that part, so small parts, which are quick, raise the bound
 * a little.
 */
class Proof {
  private step = 0;
  private triedAt = Infinity;
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
      ? this.search.best.cost - this.fresh!.outcome.objective
      : uncutPrice(this.search.model);
  }

  /**
   * @param within no plan that uses a pattern left out costs less than this; Infinity where all that matter are there
   * @param gap    parts of walls whose reduced cost exceeds it are left out as well; left out: none are
   */
  private run(patterns: readonly Pattern[], within: number, seconds: number, gap = Infinity): void {
    const { search, master } = this;
    const arcs =
      gap < Infinity
        ? master.arcsWithin(gap, this.fresh!.outcome.duals)
        : master.columns.filter((column) => column.kind === 'arc');
    // Where work is counted its clock is not looked at: its nodes are counted.
    const counted = search.options.units !== undefined;
    const { outcome, columns } = master.solveInteger(patterns, arcs, counted ? search.left() : seconds, {
      known: search.best,
    });
    // No plan at all is made of these.
    if (outcome.status === 'infeasible' && gap < Infinity && within < Infinity)
      search.raise(within, 'proving', 'patterns');
    if (outcome.status !== 'optimal' && outcome.status !== 'feasible') return;
    search.offer(filledFrom(search.model, columns, outcome.columns), 'proving');
    const bound = Math.min(within, outcome.bound);
    if (bound > uncutPrice(search.model) / 2) search.impossible = true;
    else search.raise(bound, 'proving', 'patterns');
  }

  /** Whether all patterns of the whole gap were looked at, or there is no use in it. */
  isTried = (): boolean => !this.fresh?.converged || this.step > 1;

  /** The programme that decides: whatever comes of it, no other is tried after it. */
  private decide(all: readonly Pattern[]): true {
    this.step = SHARES.length + 2;
    this.run(all, Infinity, this.search.left() * 0.7, this.gap);
    return true;
  }

  private within(part: number, most: number): Pattern[] | undefined {
    return this.master.patternsWithin(part, this.fresh!.outcome.duals, most, () => this.search.left() <= 0);
  }

  /**
   * The complete programme where few patterns could make a better plan; once for each plan, as a better one leaves fewer.
   * @returns whether it was tried
   */
  few(): boolean {
    const { search, master } = this;
    const { left } = search;
    if (this.converged && !this.fresh) this.fresh = master.price({ stop: () => left() <= 0, seconds: left });
    const cost = search.best?.cost ?? Infinity;
    if (cost >= this.triedAt || !this.fresh?.converged) return false;
    this.triedAt = cost;
    const few = this.within(this.gap, FEW_PATTERNS);
    if (few) {
      this.step = SHARES.length + 2;
      this.run(few, Infinity, Math.min(left(), 2 * PROOF_SECONDS), this.gap);
      return true;
    }
    if (this.step > 1) this.step = 1;
    return false;
  }

  /** The next attempt. @returns whether there was one to make */
  next(): boolean {
    const { search, master } = this;
    const { left, stop } = search;
    if (this.few()) return true;
    const step = this.step++;
    if (step === 0) {
      // Those at hand tell nothing that all of them do not tell as soon.
      const all = this.fresh?.converged ? this.within(this.gap, SOME_PATTERNS) : undefined;
      if (all) return this.decide(all);
      this.run(
        [...patternsOf(master), ...(search.best?.patterns ?? [])],
        0,
        Math.min(left() * 0.3, KNOWN_SECONDS),
      );
      return true;
    }
    if (!this.fresh?.converged || step > SHARES.length + 1 || stop()) return false;
    if (step === 1) {
      const all = this.within(this.gap, MOST_PATTERNS);
      return all ? this.decide(all) : true;
    }
    const part = SHARES[step - 2]! * this.gap;
    const patterns = this.within(part, MOST_PATTERNS);
    if (!patterns) {
      this.step = SHARES.length + 2;
      return false;
    }
    const before = search.bound;
    this.run(patterns, this.fresh.outcome.objective + part, left() / 2, part);
    if (search.bound === before && SHARES[step - 2]! > SHARES[1]) this.step = SHARES.length + 2;
    return true;
  }
}
