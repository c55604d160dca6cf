import { Knapsack, type KnapsackAnswer, type PricingQuery } from '../pricing/knapsack.ts';
import { RoomPricer } from '../pricing/room-pricing.ts';
import { isWhole } from '../exact/divisions.ts';
import { rowLayout, type AggregateKey, type RowLayout } from './master-rows.ts';
import { MANY_SIZES, type CutModel } from '../model/build-model.ts';
import { toPattern, type IntegerSolution, type Paths, type Pattern } from '../model/integer-solution.ts';
import type { LinearProgram, LinearSolver, LpColumn, LpOutcome } from '../solver/solver-port.ts';
import { dominatedSizes, dualInequalities } from './dual-inequalities.ts';
import { largestDemand } from '../model/stick-variants.ts';

/** Price of leaving one blank uncut, in cents, beyond any stick's: only there so that the first programme has a solution. */
export const artificialColumnCost = (model: CutModel): number =>
  Math.max(1e7, ...model.sticks.map((way) => 10 * way.price));

/** A bound so close to the objective is as good, cents: costs are whole. */
const AS_GOOD = 5e-4;
/** What a reduced cost may be off by, cents. */
const BARELY = 1e-3;
/** Reduced cost that still counts as none, in cents. */
const NO_GAIN = 1e-6;

/** With hundreds of sizes: patterns that share no item, of one search for a stick group. */
const DISJOINT = 24;
/** With this many sizes the pricing that may miss columns reads them from its table. */
const TRACE_FROM = 60;
/** Patterns of one pricing call that are read from its table. */
const TRACED = 250;
/** Search nodes for each stick group where a bound is worked out in the middle of column generation. */
const BOUND_NODES = 60_000;
/** Search nodes for each stick group that only a very hard pricing exceeds. */
const EXACT_NODES = 2_000_000;

/** A column of the master programme: a stick pattern, or an arc of a wall. */
export type MasterColumn =
  | { readonly kind: 'pattern'; readonly pattern: Pattern }
  | { readonly kind: 'arc'; readonly wall: number; readonly arc: number }
  | { readonly kind: 'uncut' }
  | { readonly kind: 'stand-in' }
  /** Of all sticks of a price, or of all splices: how many there are. */
  | { readonly kind: 'count'; readonly of: AggregateKey };

/** How many there are at least and at most of what is counted. */
export type AggregateBounds = ReadonlyMap<AggregateKey, readonly [number, number]>;

export interface PricingResult {
  readonly outcome: LpOutcome;
  /** No column outside has a negative reduced cost: the objective is the true bound of the relaxation. */
  readonly converged: boolean;
  /** A bound that holds even before that. */
  readonly bound: number;
}

interface PriceOptions {
  readonly stop: () => boolean;
  readonly seconds: () => number;
  /** Most of each item in a new pattern; by default its demand. */
  readonly bounds?: readonly number[];
  readonly rounds?: number;
  /** Told the bound and the objective of each round; answers whether that is enough. */
  readonly enough?: (bound: number, objective: number) => boolean;
  /** The search that may miss columns is enough. */
  readonly quick?: boolean;
  /** With hundreds of sizes: patterns of a stick group in one call that share no size. */
  readonly disjoint?: number;
  /** Patterns are read from the table by the dozen before any is searched for. */
  readonly reading?: boolean;
}

interface IntegerOptions {
  /** Of what is counted, where its columns are among the others. */
  readonly ranges?: AggregateBounds;
  /** A plan of these patterns and columns, to start from. */
  readonly known?: IntegerSolution | undefined;
  readonly seed?: number;
}

const keyOf = ({ group, items, counts }: Pattern): string => `${group}:${items.join()}:${counts.join()}`;

/**
 * The master linear programme: every blank covered, stock limits kept, every wall served by one path. Stick patterns are
 * generated as they are wanted; arcs of walls are all present from the start. Arc columns have no upper bound: their flow
 * rows bound them, and a bound of their own would put a term into the dual bound.
 */
export class Master {
  readonly columns: MasterColumn[] = [];
  private readonly program: LinearProgram;
  private readonly layout: RowLayout;
  private readonly knapsack: Knapsack;
  /** The exact pricing where mitered ends nest. */
  private readonly rooms: RoomPricer | undefined;
  private readonly known = new Set<string>();
  /** Parts of walls that are left out for good. */
  private readonly closed = new Set<number>();
  /** For every item those that its columns may cover in its place. */
  readonly smaller: readonly (readonly number[])[];

  readonly model: CutModel;
  private readonly solver: LinearSolver;
  private readonly nodes: number;

  /**
   * @param cells resolution of the table that cuts the pricing off
   * @param simple without the exact pricing, for small parts of a problem
   * @param nodes for each stick group in the last search of the pricing
   * @param counting with a column for the number of sticks of each price, and one for that of splices
   */
  constructor(
    model: CutModel,
    solver: LinearSolver,
    { cells = 3000, simple = false, nodes = EXACT_NODES, counting = false } = {},
  ) {
    this.model = model;
    this.solver = solver;
    this.nodes = nodes;
    this.layout = rowLayout(model, counting);
    this.program = solver.create(this.layout.rows);
    this.knapsack = new Knapsack(model, cells);
    this.rooms = !simple && RoomPricer.suits(model) ? new RoomPricer(model) : undefined;
    this.push(
      model.items.map((_, item): [MasterColumn, LpColumn] => [
        { kind: 'uncut' },
        { cost: artificialColumnCost(model), lower: 0, upper: Infinity, rows: [item], values: [1] },
      ]),
    );
    this.push(
      [...this.layout.counts.keys()].map((of): [MasterColumn, LpColumn] => [
        { kind: 'count', of },
        this.countColumn(of),
      ]),
    );
    this.addPatterns(this.keptPatterns());
    // So many sticks of a kind there can be, whether or not a pattern for one is at hand: empty ones keep to the count.
    if (counting)
      this.addPatterns(model.sticks.flatMap(({ just }, group) => (just ? [] : [toPattern(group, [])])));
    const exchanges = model.items.length > MANY_SIZES ? dualInequalities(model) : [];
    this.smaller = dominatedSizes(model, exchanges);
    if (exchanges.length > 0)
      this.push(
        exchanges.map(({ larger, smaller }): [MasterColumn, LpColumn] => [
          { kind: 'stand-in' },
          { cost: 0, lower: 0, upper: Infinity, rows: [larger, smaller], values: [-1, 1] },
        ]),
      );
    this.push(
      model.walls.flatMap((net, wall) =>
        (isWhole(net) ? [] : net.arcs).map((_, arc): [MasterColumn, LpColumn] => [
          { kind: 'arc', wall, arc },
          this.arcColumn(wall, arc),
        ]),
      ),
    );
  }

  /** The sticks of the plan before, as they were. */
  private keptPatterns(): Pattern[] {
    return this.model.sticks.flatMap(({ just }, group) => (just ? [toPattern(group, just)] : []));
  }

  private arcColumn(wall: number, index: number): LpColumn {
    const net = this.model.walls[wall]!;
    const arc = net.arcs[index]!;
    const first = this.layout.flow[wall]!;
    const rows = [arc.item, first + arc.from, first + net.points - 1];
    const values = [-1, 1, 1];
    if (arc.to < net.points - 1) {
      rows.push(first + arc.to);
      values.push(-1);
    }
    const counted = this.layout.counts.get('splices');
    if (counted !== undefined && arc.from > 0) {
      rows.push(counted);
      values.push(1);
    }
    return { cost: arc.penalty, lower: 0, upper: Infinity, rows, values };
  }

  private patternColumn(pattern: Pattern): LpColumn {
    const limits = this.limitsOf(pattern.group);
    return {
      cost: this.model.sticks[pattern.group]!.price,
      lower: 0,
      upper: Infinity,
      rows: [...pattern.items, ...limits.map(([row]) => row)],
      values: [...pattern.counts, ...limits.map(([, value]) => value)],
    };
  }

  private countColumn(of: AggregateKey, lower = 0, upper = Infinity): LpColumn {
    return { cost: 0, lower, upper, rows: [this.layout.counts.get(of)!], values: [-1] };
  }

  /** Rows that count the sticks used in a way, each with what one of them counts. */
  private limitsOf(group: number): (readonly [number, number])[] {
    const { pool } = this.model.sticks[group]!;
    const { pools, kept, counts, steps } = this.layout;
    return [
      [pools[pool], 1] as const,
      [kept[group], 1] as const,
      [counts.get(Math.round(this.model.pools[pool]!.price)), 1] as const,
      [counts.get('length'), steps[pool] ?? 0] as const,
    ].flatMap(([row, value]) => (row === undefined || value === 0 ? [] : [[row, value] as const]));
  }

  private push(columns: readonly [MasterColumn, LpColumn][]): void {
    if (columns.length === 0) return;
    this.program.addColumns(columns.map(([, lp]) => lp));
    this.columns.push(...columns.map(([column]) => column));
  }

  /** Adds patterns that are not known yet; answers how many were new. */
  addPatterns(patterns: readonly Pattern[]): number {
    const fresh = patterns.filter((pattern) => {
      const key = keyOf(pattern);
      return !this.known.has(key) && this.known.add(key);
    });
    this.push(fresh.map((pattern) => [{ kind: 'pattern', pattern }, this.patternColumn(pattern)]));
    return fresh.length;
  }

  setBounds(column: number, lower: number, upper: number): void {
    this.program.setBounds(column, lower, upper);
  }

  /**
   * Leaves out the parts of walls that no plan can use which costs less than the relaxation and `most`: their reduced cost is
   * that much. @returns puts them back
   */
  leaveOut(most: number, { duals }: LpOutcome): () => void {
    const left: number[] = [];
    this.columns.forEach((column, index) => {
      if (
        column.kind === 'arc' &&
        !this.closed.has(index) &&
        this.reducedCost(column.wall, column.arc, duals) >= most
      )
        left.push(index);
    });
    for (const index of left) this.setBounds(index, 0, 0);
    return () => left.forEach((index) => this.setBounds(index, 0, Infinity));
  }

  /** From now on only these parts of walls may be used: a better plan has no others. */
  keepArcs(kept: readonly MasterColumn[]): void {
    const open = new Set(kept.map((column) => (column.kind === 'arc' ? `${column.wall}/${column.arc}` : '')));
    this.columns.forEach((column, index) => {
      if (column.kind !== 'arc' || this.closed.has(index) || open.has(`${column.wall}/${column.arc}`)) return;
      this.setBounds(index, 0, 0);
      this.closed.add(index);
    });
  }

  /** The patterns at hand whose reduced cost is at most `gap`. */
  patternsAtHand(gap: number, duals: Float64Array): Pattern[] {
    return patternsOf(this).filter(({ group, items, counts }) => {
      const worth = items.reduce((sum, item, k) => sum + counts[k]! * duals[item]!, 0);
      return this.threshold(group, duals) - worth <= gap + BARELY;
    });
  }

  private reducedCost(wall: number, arc: number, duals: Float64Array): number {
    const { cost, rows, values } = this.arcColumn(wall, arc);
    return rows.reduce((rest, row, k) => rest - values[k]! * duals[row]!, cost);
  }

  /** The parts of walls whose reduced cost is at most `gap`, for a proof, and those of a plan that is known. */
  arcsWithin(gap: number, duals: Float64Array, known: Paths = []): MasterColumn[] {
    return this.columns.filter(
      (column) =>
        column.kind === 'arc' &&
        (known[column.wall]?.includes(column.arc) ||
          this.reducedCost(column.wall, column.arc, duals) <= gap + BARELY),
    );
  }

  /** Value that a pattern of a stick group must exceed to gain: its price less the dual of its limit. */
  threshold(group: number, duals: Float64Array): number {
    return this.limitsOf(group).reduce(
      (sum, [row, value]) => sum - value * duals[row]!,
      this.model.sticks[group]!.price,
    );
  }

  /** Ways whose patterns are priced: a stick of the plan before has but one, which is there from the start. */
  private priced(duals: Float64Array, less: number): { index: number; above: number }[] {
    return this.model.sticks.flatMap(({ just }, index) =>
      just ? [] : [{ index, above: this.threshold(index, duals) - less }],
    );
  }

  /** Most of each item that one stick could ever use. */
  mostOf(): number[] {
    return largestDemand(this.model);
  }

  /** Column generation until nothing gains or time is up. */
  price({
    stop,
    seconds,
    bounds = this.mostOf(),
    rounds = Infinity,
    enough = () => false,
    quick = false,
    disjoint = DISJOINT,
    reading = false,
  }: PriceOptions): PricingResult {
    let bound = -Infinity;
    let outcome = this.program.solve(seconds());
    for (let round = 0; round < rounds && outcome.status === 'optimal' && !stop(); round++) {
      const groups = this.priced(outcome.duals, -NO_GAIN);
      const query = { values: outcome.duals, bounds, groups, stop };
      const many = this.model.items.length > MANY_SIZES;
      const add = ({ patterns }: KnapsackAnswer): number =>
        this.addPatterns(patterns.map((one) => toPattern(one.group, one.list)));
      const told = ({ most }: KnapsackAnswer): boolean => {
        bound = Math.max(bound, this.boundNow(outcome.objective, outcome.duals, most));
        return enough(bound, outcome.objective);
      };
      const reads = many || reading || (quick && this.model.items.length > TRACE_FROM);
      let added = 0;
      if (reads) {
        const traced = this.knapsack.trace(query, TRACED);
        if (told(traced)) return { outcome, converged: false, bound };
        added = add(traced);
      }
      if (added === 0) {
        const found = this.knapsack.search({
          ...query,
          nodes: 3000,
          keep: reads,
          disjoint: many ? disjoint : 0,
        });
        if (told(found)) return { outcome, converged: false, bound };
        added = add(found);
      }
      if (added === 0 && quick) return { outcome, converged: false, bound };
      if (added === 0) {
        const thorough = { ...query, keep: true };
        const exact = this.rooms
          ? this.rooms.search({ ...thorough, nodes: EXACT_NODES })
          : this.thorough(thorough);
        if (told(exact)) return { outcome, converged: false, bound };
        added = add(exact);
        if (added === 0) {
          if (exact.exact && exact.patterns.length === 0)
            return { outcome, converged: true, bound: outcome.objective };
          // What pricing that was given up may have missed is less than the noise of the figures.
          return { outcome, converged: outcome.objective - bound < AS_GOOD, bound };
        }
      }
      outcome = this.program.solve(seconds());
    }
    return { outcome, converged: false, bound };
  }

  /** The search under relaxed sizes, with more and more patience: what is easily missed is rarely hard to find. */
  private thorough(query: PricingQuery): KnapsackAnswer {
    const many = this.model.items.length > MANY_SIZES;
    const longer = many ? this.knapsack.search({ ...query, nodes: 12_000, disjoint: DISJOINT }) : undefined;
    return longer && (longer.exact || longer.patterns.length > 0)
      ? longer
      : this.knapsack.search({ ...query, nodes: this.nodes });
  }

  /**
   * Duals scaled until no pattern of a stick there is enough of exceeds its price are feasible for the dual of the
   * relaxation, so the objective scaled alike is a bound long before column generation ends (after Farley, 1990): arcs stay
   * feasible, their penalties are not negative. What limited sticks still exceed theirs by is taken off as often as there
   * are such sticks (Lagrange).
   * @param found for each way that is priced what no pattern of it exceeds
   */
  private boundNow(objective: number, duals: Float64Array, found: readonly number[]): number {
    // What was found is told of the ways that are priced only, in their order.
    let next = 0;
    const ways = this.model.sticks.map(({ just, price, pool, count }, k) => {
      const most = just ? just.reduce((sum, item) => sum + duals[item]!, 0) : found[next++]!;
      // A pattern of limited sticks also pays the duals of their rows.
      const worth = most + price - this.threshold(k, duals);
      return { worth, price, pool, kept: count, there: this.model.pools[pool]!.count };
    });
    const scale = ways.reduce(
      (least, { worth, price, kept, there }) =>
        kept === undefined && there === undefined && worth > price ? Math.min(least, price / worth) : least,
      1,
    );
    let less = 0;
    const pools = new Map<number, number>();
    for (const { worth, price, pool, kept, there } of ways) {
      const exceeds = Math.max(0, scale * worth - price);
      if (kept !== undefined) less += kept * exceeds;
      else if (there !== undefined) pools.set(pool, Math.max(pools.get(pool) ?? 0, there * exceeds));
    }
    pools.forEach((exceeds) => (less += exceeds));
    return objective * scale - less;
  }

  /** The bound at some duals, with patience: what no pattern exceeds is worked out rather than estimated. */
  boundAt({ objective, duals }: LpOutcome, stop: () => boolean): number {
    const query = { values: duals, bounds: this.mostOf(), groups: this.priced(duals, -NO_GAIN), stop };
    return this.boundNow(objective, duals, this.knapsack.search({ ...query, nodes: BOUND_NODES }).most);
  }

  /** All patterns whose reduced cost is at most `gap`, for a proof; undefined when there are too many, or the time is over. */
  patternsWithin(gap: number, duals: Float64Array, most: number, stop: () => boolean): Pattern[] | undefined {
    const groups = this.priced(duals, gap);
    const found = this.knapsack.enumerate(
      { values: duals, bounds: this.mostOf(), groups, nodes: 4_000_000, stop },
      most,
    );
    return found && [...found.map((one) => toPattern(one.group, one.list)), ...this.keptPatterns()];
  }

  /**
   * The integer programme over given patterns and other columns; time may be overrun a little.
   */
  solveInteger(
    patterns: readonly Pattern[],
    others: readonly MasterColumn[],
    seconds: number,
    { ranges, known, seed }: IntegerOptions = {},
  ): { outcome: LpOutcome; columns: MasterColumn[] } {
    const program = this.solver.create(this.layout.rows);
    const columns: MasterColumn[] = [
      ...others,
      ...[...new Map(patterns.map((pattern) => [keyOf(pattern), pattern])).values()].map(
        (pattern): MasterColumn => ({ kind: 'pattern', pattern }),
      ),
    ];
    try {
      program.addColumns(
        columns.map((column) => {
          if (column.kind === 'arc') return this.arcColumn(column.wall, column.arc);
          if (column.kind === 'count')
            return this.countColumn(column.of, ...(ranges?.get(column.of) ?? ([0, Infinity] as const)));
          return this.patternColumn((column as { pattern: Pattern }).pattern);
        }),
      );
      return {
        outcome: program.solveInteger(seconds, known && this.valuesOf(known, columns), seed),
        columns,
      };
    } finally {
      program.dispose();
    }
  }

  /** A plan as values of columns; undefined where it is not made of them. */
  private valuesOf(
    { paths, patterns }: IntegerSolution,
    columns: readonly MasterColumn[],
  ): Float64Array | undefined {
    const at = new Map(
      columns.map((column, index) => [
        column.kind === 'pattern'
          ? keyOf(column.pattern)
          : column.kind === 'arc'
            ? `${column.wall}/${column.arc}`
            : '',
        index,
      ]),
    );
    const used = [
      ...patterns.map(keyOf),
      ...paths.flatMap((path, wall) =>
        isWhole(this.model.walls[wall]!) ? [] : path.map((arc) => `${wall}/${arc}`),
      ),
    ];
    const values = new Float64Array(columns.length);
    for (const key of used) {
      const index = at.get(key);
      if (index === undefined) return undefined;
      values[index]!++;
    }
    return values;
  }

  dispose(): void {
    this.program.dispose();
  }
}

/** The patterns among a master's columns. */
export const patternsOf = (master: Master): Pattern[] =>
  master.columns.flatMap((column) => (column.kind === 'pattern' ? [column.pattern] : []));
