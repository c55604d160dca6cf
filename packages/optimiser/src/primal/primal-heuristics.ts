import { dive } from './dive.ts';
import type { Master } from '../relaxation/master.ts';
import { MANY_SIZES } from '../model/build-model.ts';
import { lnsReoptimise, lnsRedistribute } from './lns.ts';
import type { IntegerSolution } from '../model/integer-solution.ts';
import { rollingDive } from '../large/rolling-dive.ts';
import { RoomPricer } from '../pricing/room-pricing.ts';
import type { Search } from '../schedule/search.ts';
import type { LinearSolver, LpOutcome } from '../solver/solver-port.ts';
import { correctValues } from './value-correction.ts';

/** The steps of the search for plans, each a unit of work. */

/** Dives in a row that may find nothing. */
const DIVES = 25;
/** Dives of one step, and of one between two steps of the neighbourhood. */
const DIVES_A_TURN = 12;
const FEW_DIVES = 6;
/** Every so many steps of the neighbourhood there are dives again. */
const DIVE_EVERY = 3;
/** Dives for the rest of a plan of hundreds of sizes. */
const REST_DIVES = 2;
/** Steps of the neighbourhood search in one unit, and where mitered ends nest, which makes each a long one. */
const STEPS = 60;
const NESTED_STEPS = 10;
/** Rounds of filling by the dual values of the relaxation. */
const ROUNDS = 10;

interface DivesOptions {
  /** Reads a plan of the master's problem as one of the search's. */
  readonly whole?: (plan: IntegerSolution) => IntegerSolution;
  /** Dives in a row that may find nothing, and how many of them there were before. */
  readonly most?: number;
  readonly failed?: number;
  /** Dives altogether. */
  readonly atOnce?: number;
}

/** Dives until some in a row find nothing. @returns how many in a row have found nothing at the end */
export function diveRepeatedly(
  search: Search,
  solver: LinearSolver,
  master: Master,
  relaxed: LpOutcome,
  random: () => number,
  { whole = (plan) => plan, most = DIVES, failed = 0, atOnce = Infinity }: DivesOptions = {},
): number {
  const { stop, left } = search;
  const { model } = master;
  const isHopeless = (least: number): boolean => search.isHopeless(least);
  const many = model.items.length > MANY_SIZES;
  const options = { random, isHopeless, stop, seconds: left };
  // Only plans that are better are looked for: what they cannot use need not be there.
  const leaveOut = (): (() => void) =>
    search.best ? master.leaveOut(search.best.cost - relaxed.objective, relaxed) : () => undefined;
  let putBack = leaveOut();
  for (let n = 0; failed < most && n < atOnce && !stop(); n++) {
    const best = search.best?.cost ?? Infinity;
    const found = many
      ? rollingDive(master, relaxed, solver, { ...options, dives: REST_DIVES, best })
      : dive(master, relaxed, options);
    failed++;
    if (!search.offer(found && whole(found), 'rounding')) continue;
    failed = 0;
    putBack();
    putBack = leaveOut();
  }
  putBack();
  return failed;
}

/** Takes parts of the best plan anew; plans of equal cost are walked along. @returns whether a better one was found */
export function lnsStep(search: Search, solver: LinearSolver, random: () => number): boolean {
  const { model, stop, left } = search;
  const steps = RoomPricer.suits(model) ? NESTED_STEPS : STEPS;
  let plan: IntegerSolution = search.best!;
  let better = false;
  for (let step = 0; step < steps && !stop(); step++) {
    const next =
      step % 4 === 3
        ? lnsRedistribute(model, plan, random)
        : lnsReoptimise(model, plan, solver, { random, stop, seconds: left });
    if (!next || next.cost > plan.cost) continue;
    plan = next;
    better = search.offer(plan, 'rounding') || better;
  }
  return better;
}

/**
 * The search for plans, a step at a time: dives until they find no more, sticks filled by the dual values of the relaxation, then
 * parts of the plan anew, with a few dives now and then.
 */
export class PrimalHeuristics {
  private failed = 0;
  private turns = 0;
  private readonly search: Search;
  private readonly solver: LinearSolver;
  private readonly master: Master;
  private readonly relaxed: LpOutcome;
  private readonly random: () => number;

  constructor(
    search: Search,
    solver: LinearSolver,
    master: Master,
    relaxed: LpOutcome,
    random: () => number,
  ) {
    this.search = search;
    this.solver = solver;
    this.master = master;
    this.relaxed = relaxed;
    this.random = random;
  }

  /** Whether the dives that come first are done. */
  hasDived = (): boolean => this.failed >= DIVES;

  private dive(most: number, failed: number, atOnce: number): number {
    const { search, solver, master, relaxed, random } = this;
    return diveRepeatedly(search, solver, master, relaxed, random, { most, failed, atOnce });
  }

  /** @returns whether a better plan was found */
  step(): boolean {
    const { search, solver, relaxed, random } = this;
    const before = search.best?.cost ?? Infinity;
    if (!this.hasDived()) this.failed = this.dive(DIVES, this.failed, DIVES_A_TURN);
    else if (search.best) {
      const turn = this.turns++;
      if (turn === 0)
        search.offer(
          correctValues(search.model, search.best.paths, relaxed.duals, ROUNDS, search.stop),
          'rounding',
        );
      else if (turn % DIVE_EVERY === 0) this.dive(FEW_DIVES, 0, DIVES_A_TURN);
      if (!search.stop()) lnsStep(search, solver, random);
    } else this.failed = 0;
    return (search.best?.cost ?? Infinity) < before;
  }
}
