import { numbersFrom } from '../base/index.ts';
import { completeFrom } from './completion.ts';
import { dive } from './dive.ts';
import { splitStyles } from './heuristic.ts';
import { Master, uncutPrice, type Priced } from './master.ts';
import type { CutModel } from './model.ts';
import { arcsIn, narrowed, WholeBound } from './narrow.ts';
import { planAnew, shareAnew } from './neighbourhood.ts';
import type { Filled, Paths, Pattern } from './pattern.ts';
import { filledFrom } from './rounding.ts';
import { rollingDive } from './rolling-dive.ts';
import type { Search } from './search.ts';
import type { LinearSolver, LpOutcome } from './solver-port.ts';
import { correctValues } from './value-correction.ts';

/** With this many sizes the last steps of column generation take longer than all before. */
export const MANY_SIZES = 400;
/** Share of the time after which a relaxation of so many sizes is taken as it is. */
const ROOT_SHARE = 0.45;
/** And after which it is not taken up again. */
const LATE_SHARE = 0.95;
/** With more sizes than this, most of them from places of splices, few of these places are looked at at a time. */
export const WIDE = 1200;
/** Shares of the time by which the narrow programmes are done, and rounds of each at the most. */
const NARROW_SHARES = [0.25, 0.68] as const;
const NARROW_ROUNDS = 300;
/** Share of the time for putting a bound of the whole right. */
const REPAIR_SHARE = 0.15;
/** Dives in a row that may find nothing. */
const DIVES = 25;
/** The same in between, where the relaxation is not at its end. */
const FEW_DIVES = 1;
/** Steps of the neighbourhood search in one unit. */
const STEPS = 60;
/** Units of it that may find nothing, once every proof has been tried. */
const IDLE_UNITS = 6;
/** So few patterns that the complete programme is tried at once. */
const FEW_PATTERNS = 1500;
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
  if (isWide(search.model)) return searchNarrow(search, solver, known);
  const { model, stop, left } = search;
  const master = new Master(model, solver);
  const outOfTime = (): boolean => left() <= 0;
  const random = numbersFrom(1);
  let units = search.options.units ?? Infinity;
  try {
    master.addPatterns([...known, ...(search.best?.patterns ?? [])]);
    const many = model.items.length > MANY_SIZES;
    const relax = (share: number): Priced => {
      const priced = master.price({
        stop: outOfTime,
        seconds: left,
        // Once no attainable cost lies between bound and objective, more columns cannot raise the bound; and with hundreds
        // of sizes the last columns take too long: a plan is worth more than they are.
        enough: (bound, objective) => {
          if (!many) return false;
          search.raise(bound, 'bound', 'relaxed');
          return search.roundUp(bound) >= search.roundUp(objective) || search.spent(share);
        },
      });
      if (many && !priced.converged && priced.outcome.status === 'optimal' && !stop())
        search.raise(master.boundAt(priced.outcome, outOfTime), 'bound', 'relaxed');
      return priced;
    };
    let relaxed = relax(ROOT_SHARE);
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
      relaxed = stop() ? relaxed : relax(LATE_SHARE);
      if (relaxed.outcome.status !== 'optimal') return;
    }
    const proof = new Proof(search, master, relaxed.converged);
    if (!stop() && units-- > 0) dives(search, solver, master, relaxed.outcome, random, (plan) => plan);
    if (search.best && !stop() && units-- > 0)
      search.offer(correctValues(model, search.best.paths, relaxed.outcome.duals, 10, stop), 'rounding');
    if (relaxed.converged && !stop() && units-- > 0) complete(search, master, relaxed.outcome);
    for (let idle = 0; !stop() && idle < IDLE_UNITS && units-- > 0;) {
      // Where few patterns are left to look at the proof is quick: before anything else is tried.
      const few = proof.few();
      if (stop()) return;
      const better = search.best !== undefined && neighbourhood(search, solver, random);
      if (stop()) return;
      // The fewer patterns a better plan could use the quicker a proof: as long as plans get better it waits.
      const tried = (!better || search.best === undefined) && proof.next();
      idle = better || tried || few ? 0 : idle + 1;
    }
  } finally {
    master.dispose();
  }
}

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

/** Whether so many sizes come from the places of splices that the programme of all of them would never be solved. */
const isWide = (model: CutModel): boolean =>
  model.items.length > WIDE && model.walls.some((net) => net.arcs.length > 1);

/**
 * The same for a problem with thousands of ways to divide its walls: column generation over few of them, widened by those
 * that are cheapest at its worths; the bound is one of the whole all along.
 */
function searchNarrow(search: Search, solver: LinearSolver, known: readonly Pattern[]): void {
  const { model, stop, left } = search;
  const random = numbersFrom(1);
  const whole = new WholeBound(model);
  const plans: Paths[] = [...splitStyles(model), ...(search.best ? [search.best.paths] : [])];
  const patterns = [...known, ...(search.best?.patterns ?? [])];
  let units = search.options.units ?? Infinity;
  for (const [round, share] of NARROW_SHARES.entries()) {
    const narrow = narrowed(model, arcsIn(model, plans));
    const master = new Master(narrow.model, solver);
    try {
      master.addPatterns(patterns.flatMap((pattern) => narrow.forth(pattern) ?? []));
      let told = 0;
      const { outcome } = master.price({
        stop: () => left() <= 0,
        seconds: left,
        enough: () => {
          // A bound of the whole is dear: not after every round.
          return search.spent(share) || ++told > NARROW_ROUNDS;
        },
      });
      if (outcome.status !== 'optimal' || stop()) return;
      const { bound, paths } = whole.bound(narrow, outcome.duals, stop, () =>
        search.spent(share + REPAIR_SHARE),
      );
      search.raise(bound, 'bound', 'relaxed');
      plans.push(paths);
      for (const column of master.columns)
        if (column.kind === 'pattern')
          patterns.push(narrow.back({ patterns: [column.pattern], paths: [], cost: 0 }).patterns[0]!);
      if (round === NARROW_SHARES.length - 1 && units-- > 0)
        dives(search, solver, master, outcome, random, narrow.back);
    } finally {
      master.dispose();
    }
  }
  while (!stop() && search.best && units-- > 0) neighbourhood(search, solver, random);
}

function dives(
  search: Search,
  solver: LinearSolver,
  master: Master,
  relaxed: LpOutcome,
  random: () => number,
  whole: (plan: Filled) => Filled,
  most = DIVES,
): void {
  const { stop, left } = search;
  const { model } = master;
  const isHopeless = (least: number): boolean => search.isHopeless(least);
  const many = model.items.length > MANY_SIZES;
  for (let failed = 0; failed < most && !stop(); failed++) {
    const options = { random, isHopeless, stop, seconds: left };
    const best = search.best?.cost ?? Infinity;
    const found = many
      ? rollingDive(master, relaxed, solver, { ...options, dives: DIVES, best })
      : dive(master, relaxed, options);
    if (search.offer(found && whole(found), 'rounding')) failed = -1;
  }
}

/** Takes parts of the best plan anew; plans of equal cost are walked along. @returns whether a better one was found */
function neighbourhood(search: Search, solver: LinearSolver, random: () => number): boolean {
  const { model, stop, left } = search;
  let plan: Filled = search.best!;
  let better = false;
  for (let step = 0; step < STEPS && !stop(); step++) {
    const next =
      step % 4 === 3
        ? shareAnew(model, plan, random)
        : planAnew(model, plan, solver, { random, stop, seconds: left });
    if (!next || next.cost > plan.cost) continue;
    plan = next;
    better = search.offer(plan, 'rounding') || better;
  }
  return better;
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

  /** @param within no plan that uses a pattern left out costs less than this; Infinity where all that matter are there */
  private run(patterns: readonly Pattern[], within: number, seconds: number): void {
    const { search, master } = this;
    const arcs = master.columns.filter((column) => column.kind === 'arc');
    // Where work is counted its clock is not looked at: its nodes are counted.
    const counted = search.options.units !== undefined;
    const { outcome, columns } = master.solveInteger(patterns, arcs, counted ? search.left() : seconds);
    if (outcome.status !== 'optimal' && outcome.status !== 'feasible') return;
    search.offer(filledFrom(search.model, columns, outcome.columns), 'proving');
    const bound = Math.min(within, outcome.bound);
    if (bound > uncutPrice(search.model) / 2) search.impossible = true;
    else search.raise(bound, 'proving', 'patterns');
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
      this.run(few, Infinity, Math.min(left(), 2 * PROOF_SECONDS));
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
      const known = master.columns.flatMap((column) => (column.kind === 'pattern' ? [column.pattern] : []));
      this.run([...known, ...(search.best?.patterns ?? [])], 0, Math.min(left() * 0.3, KNOWN_SECONDS));
      return true;
    }
    if (!this.fresh?.converged || step > SHARES.length + 1 || stop()) return false;
    if (step === 1) {
      const all = this.within(this.gap, MOST_PATTERNS);
      if (all) {
        this.step = SHARES.length + 2;
        this.run(all, Infinity, left() * 0.7);
      }
      return true;
    }
    const part = SHARES[step - 2]! * this.gap;
    const patterns = this.within(part, MOST_PATTERNS);
    if (!patterns) {
      this.step = SHARES.length + 2;
      return false;
    }
    const before = search.bound;
    this.run(patterns, this.fresh.outcome.objective + part, left() / 2);
    if (search.bound === before && SHARES[step - 2]! > SHARES[1]) this.step = SHARES.length + 2;
    return true;
  }
}
