import { numbersFrom } from '../base/index.ts';
import { BoundTurns } from './bound-turns.ts';
import { beginWithSizes, slowness } from './many-sizes.ts';
import { masterFor, hasFewItems } from './master-for.ts';
import { patternsOf, uncutPrice, type Priced } from './master.ts';
import type { Lane } from './lanes.ts';
import { MANY_SIZES } from './model.ts';
import type { Pattern } from './pattern.ts';
import { complete } from './proof.ts';
import type { Search } from './search.ts';
import type { LinearSolver } from './solver-port.ts';
import { dives, neighbourhood, PlanTurns } from './turns.ts';

/** Share of the time after which a relaxation of hundreds of sizes is taken as it is. */
const ROOT_SHARE = 0.9;
/** Share of it until it is brought to its end where the bound needs no more of it, for the proofs. */
const WHOLE_SHARE = 0.5;
/** Units of it that may find nothing, once every proof has been tried. */
const IDLE_UNITS = 6;
/** Turns of the other lane in one round. */
const TURNS = 3;
/** Dives in a row that may find nothing while the relaxation is not at its end. */
const ONE_DIVE = 1;
const FIRST_DIVES = 2;
/** Dives that may find nothing before the first turn of the proof by counts. */
const SOME_DIVES = 8;

/**
 * Column generation, then by turns: dives and taking parts of the plan anew, and attempts at a proof. Every turn is counted in
 * units of work; seconds only end it.
 * @param known patterns of earlier fillings, to begin with
 */
export function* searchWithSolver(
  search: Search,
  solver: LinearSolver,
  known: readonly Pattern[],
): Lane<void> {
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
  const few = hasFewItems(model);
  const master = masterFor(model, solver);
  const outOfTime = (): boolean => left() <= 0;
  let bounds: BoundTurns | undefined;
  try {
    master.addPatterns(patterns);
    /** Once no attainable cost lies between bound and objective, more columns cannot raise the bound. */
    const isReached = (bound: number, objective: number): boolean =>
      search.roundUp(bound) >= search.roundUp(objective);
    const relax = (isEnough: (bound: number, objective: number) => boolean): Priced => {
      const priced = master.price({
        stop: outOfTime,
        seconds: left,
        reading: few,
        // With hundreds of sizes the last columns take too long: a plan is worth more than they are.
        enough: (bound, objective) => {
          if (!many) return false;
          search.raise(bound, 'bound', 'relaxed');
          return isEnough(bound, objective);
        },
      });
      if (many && !priced.converged && priced.outcome.status === 'optimal' && !stop())
        search.raise(master.boundAt(priced.outcome, outOfTime), 'bound', 'relaxed');
      return priced;
    };
    const isSlow = slowness();
    let relaxed = relax(
      (bound, objective) => isReached(bound, objective) || search.spent(ROOT_SHARE) || isSlow(objective),
    );
    if (relaxed.outcome.status !== 'optimal') return;
    // Some blank stays uncut even when sticks may be used in part: the limited stock cannot do.
    if (relaxed.converged && relaxed.outcome.objective > uncutPrice(model) / 2) {
      search.proveImpossible();
      return;
    }
    search.raise(relaxed.bound, 'bound', 'relaxed');
    if (many && !relaxed.converged && !stop() && units-- > 0) {
      // A plan first; then the relaxation goes on.
      dives(search, solver, master, relaxed.outcome, random, { most: ONE_DIVE });
      if (stop()) return;
      relaxed = relax((bound, objective) => isReached(bound, objective) || search.spent(ROOT_SHARE));
      if (relaxed.outcome.status !== 'optimal') return;
      if (!relaxed.converged && !search.spent(WHOLE_SHARE)) {
        dives(search, solver, master, relaxed.outcome, random, { most: SOME_DIVES });
        if (stop()) return;
        relaxed = relax(() => search.spent(WHOLE_SHARE));
        if (relaxed.outcome.status !== 'optimal') return;
      }
    }
    const { outcome } = relaxed;
    if (few && relaxed.converged && !stop() && units-- > 0) {
      // A small problem is at its end sooner than dives are at theirs; where it is not, a better plan leaves less to try.
      complete(search, master, outcome);
      const before = search.best?.cost ?? Infinity;
      if (!stop()) dives(search, solver, master, outcome, random, { most: FIRST_DIVES });
      if (!stop() && search.best && search.best.cost < before) complete(search, master, outcome);
    }
    if (!stop() && units-- > 0) dives(search, solver, master, outcome, random, { most: SOME_DIVES });
    bounds = new BoundTurns(search, solver, master, relaxed);
    const plans = new PlanTurns(search, solver, master, outcome, random);
    let other =
      // With hundreds of sizes both lanes together would want more memory than a page has.
      !many && !stop()
        ? yield {
            kind: 'begin',
            beginning: {
              problem: model.problem,
              patterns: patternsOf(master),
              standing: search.standing(),
              seconds: left(),
            },
          }
        : undefined;
    if (!stop() && units-- > 0) bounds.turn();
    if (!few && relaxed.converged && !stop() && units-- > 0) complete(search, master, outcome);
    for (let idle = 0; !stop() && idle < IDLE_UNITS && units-- > 0;) {
      if (other) {
        const tried = bounds.turn() || (!stop() && plans.turn());
        if (stop()) return;
        other = yield { kind: 'go-on', standing: search.standing(), turns: TURNS };
        const better = other !== undefined && search.take(other);
        idle = better || tried ? 0 : idle + 1;
        continue;
      }
      const better = plans.turn();
      if (stop()) return;
      // The fewer patterns a better plan could use the quicker a proof: as long as plans get better it waits.
      const tried = !better && bounds.turn();
      idle = better || tried || !plans.hasDived() ? 0 : idle + 1;
    }
  } finally {
    master.dispose();
    bounds?.dispose();
  }
}
