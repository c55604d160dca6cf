import { numbersFrom } from '../base/random.ts';
import { reachableCostsWithin, type ReachableCosts, type AggregateRanges } from './reachable-costs.ts';
import { dive } from '../primal/dive.ts';
import type { AggregateKey } from '../relaxation/master-rows.ts';
import { Master, type MasterColumn, type AggregateBounds } from '../relaxation/master.ts';
import type { Pattern } from '../model/integer-solution.ts';
import { reducedCostLimit } from './pattern-proof.ts';
import { commonStep, type StickCountRange } from './capacity-costs.ts';
import type { CutModel } from '../model/model-types.ts';
import { roundToSolution } from '../primal/rounding.ts';
import type { Search } from '../schedule/search.ts';
import type { LinearSolver, LpOutcome } from '../solver/solver-port.ts';

/** What lies closer to a whole number is one. */
const WHOLE = 1e-5;
/** Relaxations of the first step; each has half as many again, up to the most. */
const FIRST_TURN = 8;
const MOST_A_TURN = 300;
/** Where a count closes such a part of the gap, plans that keep to it are worth looking for. */
const RISE = 0.25;
/** Dives from a relaxation that may find nothing. */
const DIVES = 2;
const SETTLED_DIVES = 25;
/** Times that they are taken up again. */
const MOST_LOOKS = 12;
/** Most patterns of an integer programme where all aggregates are settled, and its seconds. */
const MOST_PATTERNS = 5_000;
const SECONDS = 6;

/** Plans that keep to some aggregates, and what none of them costs less than. */
interface Branch {
  readonly ranges: AggregateBounds;
  readonly bound: number;
}

/** Counts of what costs no multiple of the step that all else costs multiples of. */
function oddOnes(model: CutModel): ReadonlySet<AggregateKey> {
  const costs: (readonly [AggregateKey, number])[] = [
    ...new Set(model.pools.map((pool) => Math.round(pool.price))),
  ].map((price) => [price, price]);
  for (const { wall } of model.walls) costs.push(['splices', Math.round(wall.penalty)]);
  const others = (of: AggregateKey): number[] => costs.flatMap(([own, cost]) => (own === of ? [] : [cost]));
  return new Set(costs.flatMap(([of, cost]) => (cost % commonStep(others(of)) === 0 ? [] : [of])));
}

/** Aggregates without a limit. */
const ANY: StickCountRange = [0, Infinity];

/**
 * Aggregate branching: the relaxation takes sticks and splices in parts, so plans are told apart by how many splices they have
 * and how many sticks of each price. Of plans that keep to some aggregates the relaxation costs more, and the next cost that they
 * can have at all is often a good deal higher still. Each step goes on with the branch of the lowest bound.
 */
export class AggregateBranching {
  private readonly search: Search;
  private readonly master: Master;
  private open: Branch[];
  /** What could not be brought to its end: it keeps the bound down. */
  private stuck = Infinity;
  /** The counts of which that is so, and how often a plan of them was looked for again. */
  private unsettled: AggregateBounds | undefined;
  private looks = 0;
  private readonly odd: ReadonlySet<AggregateKey>;
  private readonly attainable: (within: AggregateRanges, limit?: number) => ReachableCosts;
  private most = FIRST_TURN;
  private readonly random = numbersFrom(2);

  constructor(search: Search, solver: LinearSolver, patterns: readonly Pattern[]) {
    this.search = search;
    this.master = new Master(search.model, solver, { counting: true });
    this.master.addPatterns(patterns);
    this.open = [{ ranges: new Map(), bound: search.bound }];
    this.odd = oddOnes(search.model);
    this.attainable = reachableCostsWithin(search.model);
  }

  /** Only these parts of walls: a plan better than the best has no others. */
  keepArcs(kept: readonly MasterColumn[]): void {
    this.master.keepArcs(kept);
  }

  dispose(): void {
    this.master.dispose();
  }

  private isHopeless = (bound: number): boolean =>
    this.search.best !== undefined && bound >= this.search.best.cost - 1e-6;

  /** Goes on a little. @returns whether there was anything left to try */
  step(): boolean {
    const { search } = this;
    // Branches are given up against a plan: without one there is nothing to show.
    if (!search.best) return false;
    if (this.stuck <= search.bound) return this.lookAgain();
    const most = this.most;
    this.most = Math.min(MOST_A_TURN, 1.5 * most);
    for (let n = 0; n < most && this.open.length > 0 && !search.stop(); n++) {
      this.open.sort((a, b) => b.bound - a.bound);
      const branch = this.open.pop()!;
      if (this.isHopeless(branch.bound)) {
        this.open = [];
        break;
      }
      if (!this.goOn(branch)) this.open.push(branch);
      if (this.stuck <= search.bound) return true;
      const least = this.open.reduce((sum, one) => Math.min(sum, one.bound), this.stuck);
      search.raise(Math.min(least, search.best.cost), 'proving', 'counts');
    }
    if (this.open.length === 0 && this.stuck === Infinity && !search.stop())
      search.raise(search.best.cost, 'proving', 'counts');
    return true;
  }

  /** A plan of the aggregates that could not be decided would be as cheap as any can be. @returns whether it was looked for */
  private lookAgain(): boolean {
    const { search, master, unsettled } = this;
    if (!unsettled || this.looks++ >= MOST_LOOKS) return false;
    this.keepTo(unsettled);
    const { outcome } = master.price({ stop: () => search.left() <= 0, seconds: search.left, quick: true });
    if (outcome.status === 'optimal') this.dive(outcome, SETTLED_DIVES);
    return true;
  }

  private keepTo(ranges: AggregateBounds): void {
    this.master.columns.forEach((column, index) => {
      if (column.kind === 'count') this.master.setBounds(index, ...(ranges.get(column.of) ?? ANY));
    });
  }

  /** @returns whether the branch is dealt with; not where time was over */
  private goOn({ ranges, bound: before }: Branch): boolean {
    const { search, master } = this;
    this.keepTo(ranges);
    const attainable = this.attainable(this.countsOf(ranges), search.best?.cost);
    const { outcome, bound: relaxed } = master.price({
      stop: () => search.left() <= 0,
      seconds: search.left,
      // More columns do not raise the next cost that there is, or it is out of the question.
      enough: (least, objective) => {
        const next = attainable.atLeast(least);
        return this.isHopeless(next) || next >= attainable.atLeast(objective);
      },
    });
    if (search.left() <= 0) return false;
    // There are not so many sticks.
    if (outcome.status === 'infeasible') return true;
    if (outcome.status !== 'optimal') {
      this.stuck = Math.min(this.stuck, before);
      return true;
    }
    const bound = Math.max(before, attainable.atLeast(relaxed));
    if (this.isHopeless(bound)) return true;
    const best = search.best?.cost ?? Infinity;
    if (bound - before >= RISE * (best - before)) this.dive(outcome);
    if (this.isHopeless(bound)) return true;
    const parts = this.divided(ranges, outcome);
    if (parts) {
      this.open.push(...parts.map((one) => ({ ranges: one, bound })));
      return true;
    }
    const settled = this.settle(ranges);
    const least = Math.max(bound, settled);
    if (!this.isHopeless(settled) && least < this.stuck) {
      this.stuck = least;
      this.unsettled = ranges;
    }
    return true;
  }

  /** Aggregates that are settled also show the way to plans. */
  private dive(outcome: LpOutcome, most = DIVES): void {
    const { search, master, random } = this;
    if (!search.best) return;
    const putBack = master.leaveOut(search.best.cost - outcome.objective, outcome);
    for (let failed = 0; failed < most && !search.stop(); failed++) {
      const found = dive(master, outcome, {
        random,
        isHopeless: search.isHopeless,
        stop: search.stop,
        seconds: search.left,
      });
      if (search.offer(found, 'rounding')) failed = -1;
    }
    putBack();
  }

  private countsOf(ranges: AggregateBounds): AggregateRanges {
    const sticks = new Map<number, StickCountRange>();
    for (const [of, range] of ranges) if (typeof of === 'number') sticks.set(of, range);
    return { splices: ranges.get('splices') ?? ANY, sticks };
  }

  /**
   * The branch in parts by one count: by those first without which all costs would be multiples of a larger step; then by the
   * length of all sticks, then the one that is farthest from whole, else the first that is not settled.
   */
  private divided(ranges: AggregateBounds, { columns }: LpOutcome): AggregateBounds[] | undefined {
    const open = this.master.columns.flatMap((column, index) => {
      if (column.kind !== 'count') return [];
      const [low, high] = ranges.get(column.of) ?? ANY;
      const value = columns[index]!;
      return low === high
        ? []
        : [{ of: column.of, low, high, value, off: Math.abs(value - Math.round(value)) }];
    });
    const odd = open.find(({ of }) => this.odd.has(of));
    const long = open.find(({ of, off }) => of === 'length' && off > WHOLE);
    const chosen =
      odd ??
      long ??
      open.reduce<(typeof open)[0] | undefined>((a, b) => (a && a.off >= b.off ? a : b), undefined);
    if (!chosen) return undefined;
    const { of, low, high, value, off } = chosen;
    const part = (...range: StickCountRange): AggregateBounds[] =>
      range[0] > range[1] ? [] : [new Map([...ranges, [of, range]])];
    if (off > WHOLE && !odd) return [...part(low, Math.floor(value)), ...part(Math.floor(value) + 1, high)];
    const at = Math.round(value);
    return [...part(low, at - 1), ...part(at, at), ...part(at + 1, high)];
  }

  /** All aggregates are settled: the integer programme over all patterns that matter. @returns what no such plan costs less than */
  private settle(ranges: AggregateBounds): number {
    const { search, master } = this;
    const { outcome: relaxed, converged } = master.price({
      stop: () => search.left() <= 0,
      seconds: search.left,
    });
    // Which patterns matter is known only once no other could be worth more.
    if (!search.best || !converged) return -Infinity;
    const { duals, objective } = relaxed;
    const most = search.mostOfBetter(this.attainable(this.countsOf(ranges), search.best.cost));
    if (most === -Infinity) return Infinity;
    const gap = reducedCostLimit(most, objective);
    const patterns = master.patternsWithin(gap, duals, MOST_PATTERNS, () => search.left() <= 0);
    if (!patterns) {
      // Too many to decide it; a plan of such aggregates would.
      this.dive(relaxed, SETTLED_DIVES);
      return -Infinity;
    }
    const others = [
      ...master.arcsWithin(gap, duals),
      ...master.columns.filter((column) => column.kind === 'count'),
    ];
    const { outcome, columns } = master.solveInteger(
      patterns,
      others,
      search.options.units === undefined ? Math.min(search.left(), SECONDS) : search.left(),
      { ranges },
    );
    if (outcome.status === 'infeasible') return Infinity;
    if (outcome.status !== 'optimal' && outcome.status !== 'feasible') return -Infinity;
    search.offer(roundToSolution(search.model, columns, outcome.columns), 'proving');
    return outcome.bound;
  }
}
