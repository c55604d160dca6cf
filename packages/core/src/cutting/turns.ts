import { dive } from './dive.ts';
import type { Master } from './master.ts';
import { MANY_SIZES } from './model.ts';
import { planAnew, shareAnew } from './neighbourhood.ts';
import type { Filled } from './pattern.ts';
import { rollingDive } from './rolling-dive.ts';
import type { Search } from './search.ts';
import type { LinearSolver, LpOutcome } from './solver-port.ts';

/** The turns of the search for plans, each a unit of work. */

/** Dives in a row that may find nothing. */
const DIVES = 25;
/** Dives for the rest of a plan of hundreds of sizes. */
const REST_DIVES = 2;
/** Steps of the neighbourhood search in one unit. */
const STEPS = 60;

/** Dives until some in a row find nothing. @param whole reads a plan of the master's problem as one of the search's */
export function dives(
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
  const options = { random, isHopeless, stop, seconds: left };
  // Only plans that are better are looked for: what they cannot use need not be there.
  const leaveOut = (): (() => void) =>
    search.best ? master.leaveOut(search.best.cost - relaxed.objective, relaxed) : () => undefined;
  let putBack = leaveOut();
  for (let failed = 0; failed < most && !stop(); failed++) {
    const best = search.best?.cost ?? Infinity;
    const found = many
      ? rollingDive(master, relaxed, solver, { ...options, dives: REST_DIVES, best })
      : dive(master, relaxed, options);
    if (!search.offer(found && whole(found), 'rounding')) continue;
    failed = -1;
    putBack();
    putBack = leaveOut();
  }
  putBack();
}

/** Takes parts of the best plan anew; plans of equal cost are walked along. @returns whether a better one was found */
export function neighbourhood(search: Search, solver: LinearSolver, random: () => number): boolean {
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
