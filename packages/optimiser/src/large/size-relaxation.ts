import { itemWeights } from '../bounding/length-bound.ts';
import { artificialColumnCost } from '../relaxation/master.ts';
import type { CutModel } from '../model/build-model.ts';
import { fitsOnStick, toPattern, type Paths, type Pattern } from '../model/integer-solution.ts';
import type { LinearProgram, LinearSolver, LpColumn, LpOutcome, LpRow } from '../solver/solver-port.ts';
import { cellsOfStick, ValueTable, type TableChoice } from '../pricing/value-table.ts';
import { largestDemand, costOfKeptSticks } from '../model/stick-variants.ts';

/** Patterns of one pricing call. */
const QUOTA = 200;
/** Patterns of one call that may hold the same size. */
const AGAIN = 2;
/** How many sizes smaller a blank may be that takes another's place. */
const SMALLER = 12;
const NONE = 1e-6;

/** A part of a wall: from point to point, the size it takes, and what its splice counts. */
interface Part {
  readonly from: number;
  readonly to: number;
  readonly row: number;
  readonly penalty: number;
  readonly arc: number;
}

interface Net {
  readonly points: number;
  /** Most parts. */
  readonly max: number;
  readonly parts: readonly Part[];
}

/** What stands behind a column beyond those that only keep the programme solvable. */
type Meaning =
  | { readonly kind: 'stick'; readonly group: number; readonly taken: readonly TableChoice[] }
  | { readonly kind: 'wall'; readonly wall: number; readonly arcs: readonly number[] }
  | undefined;

export interface SizeAnswer {
  /** No plan counts less, cents. */
  readonly bound: number;
  /** The relaxation is at its end: the bound will not rise. */
  readonly converged: boolean;
  /** For each wall the ways to divide it that the relaxation uses, the most used first. */
  readonly divisions: readonly (readonly (readonly number[])[])[];
  /** Its sticks, as far as they can really be cut. */
  readonly patterns: readonly Pattern[];
  /** What one of each item is worth, cents. */
  readonly values: Float64Array;
}

/**
 * The relaxation in which a blank is nothing but a size in cells: what it takes with half the least gaps beside it, rounded
 * down. Blanks of one size are one, whatever their ends; a larger one may always be cut where a smaller one is wanted; sticks
 * are priced by one exact table, walls by their cheapest path. So it is at its end in seconds where each corner has another
 * angle and walls have thousands of parts, and it loses little: about 0.06 % of its bound on 120 measured rooms.
 */
export class SizeRelaxation {
  private readonly program: LinearProgram;
  /** Cells of each size, rising. */
  private readonly cells: readonly number[];
  /** Items of each size, and the size of each item. */
  private readonly itemsOf: readonly (readonly number[])[];
  private readonly rowOf: ReadonlyMap<number, number>;
  private readonly demand: Float64Array;
  private readonly most: Float64Array;
  private readonly nets: readonly Net[];
  private readonly groups: readonly {
    readonly index: number;
    readonly cell: number;
    readonly price: number;
  }[];
  private readonly table: ValueTable;
  private readonly meanings: Meaning[] = [];
  private readonly known = new Set<string>();
  /** Row of each pool that is limited. */
  private readonly poolRows: readonly (number | undefined)[];
  private readonly model: CutModel;

  /** @param cells that the longest stick is counted in: with more the bound is closer, and takes longer */
  constructor(model: CutModel, solver: LinearSolver, cells: number) {
    this.model = model;
    this.table = new ValueTable(cells);
    const { size, room } = itemWeights(model);
    const ways = model.sticks.flatMap(({ just }, index) => (just ? [] : [index]));
    const longest = Math.max(1e-9, ...ways.map(room));
    const cellOf = (length: number): number => Math.max(0, cellsOfStick(length, longest, cells));
    const most = largestDemand(model);
    const wanted = model.items.flatMap((_, item) => (most[item]! > 0 ? [item] : []));
    this.cells = [...new Set(wanted.map((item) => cellOf(size[item]!)))].sort((a, b) => a - b);
    const rows = new Map(this.cells.map((cell, row) => [cell, row]));
    const itemsOf = this.cells.map((): number[] => []);
    for (const item of wanted) itemsOf[rows.get(cellOf(size[item]!))!]!.push(item);
    this.itemsOf = itemsOf;
    this.rowOf = new Map(itemsOf.flatMap((list, row) => list.map((item) => [item, row] as const)));
    const sum = (list: readonly number[], count: (item: number) => number): number =>
      list.reduce((total, item) => total + count(item), 0);
    this.demand = Float64Array.from(itemsOf, (list) => sum(list, (item) => model.items[item]!.demand));
    this.most = Float64Array.from(itemsOf, (list) => sum(list, (item) => most[item]!));
    this.nets = model.walls.map((net) => ({
      points: net.points,
      max: net.wall.max + 1,
      parts: net.arcs.map(({ from, to, item, penalty }, arc) => ({
        from,
        to,
        penalty,
        arc,
        row: this.rowOf.get(item)!,
      })),
    }));
    this.groups = ways.map((index) => ({
      index,
      cell: Math.min(cells, cellOf(room(index))),
      price: model.sticks[index]!.price,
    }));
    const lpRows: LpRow[] = [
      ...Array.from(this.demand, (lower) => ({ lower, upper: Infinity })),
      ...this.nets.map(() => ({ lower: 1, upper: Infinity })),
    ];
    this.poolRows = model.pools.map(({ count }) =>
      count === undefined ? undefined : lpRows.push({ lower: -Infinity, upper: count }) - 1,
    );
    this.program = solver.create(lpRows);
    this.begin();
  }

  private push(
    columns: readonly { readonly lp: Omit<LpColumn, 'lower' | 'upper'>; readonly meaning: Meaning }[],
  ): void {
    this.program.addColumns(columns.map(({ lp }) => ({ ...lp, lower: 0, upper: Infinity })));
    this.meanings.push(...columns.map(({ meaning }) => meaning));
  }

  /** What makes the programme solvable: blanks left uncut, larger ones for smaller ones, each wall in one way. */
  private begin(): void {
    const uncut = artificialColumnCost(this.model);
    const plain = (cost: number, rows: number[], values: number[]) => ({
      lp: { cost, rows, values },
      meaning: undefined,
    });
    this.push([
      ...this.cells.map((_, row) => plain(uncut, [row], [1])),
      ...this.cells.slice(1).map((_, row) => plain(0, [row, row + 1], [1, -1])),
      ...this.nets.map((net, wall) => this.wallColumn(wall, cheapest(net, this.cells).parts)),
    ]);
    this.addSticks(
      this.cells.flatMap((cell, row) =>
        this.groups.flatMap(({ index, cell: room }) => {
          const times = Math.min(this.most[row]!, Math.floor(room / Math.max(1, cell)));
          return times > 0 && cell <= room ? [{ group: index, taken: [{ row, times }] }] : [];
        }),
      ),
    );
  }

  private wallColumn(
    wall: number,
    parts: readonly Part[],
  ): { lp: Omit<LpColumn, 'lower' | 'upper'>; meaning: Meaning } {
    const counts = new Map<number, number>();
    for (const { row } of parts) counts.set(row, (counts.get(row) ?? 0) - 1);
    return {
      lp: {
        cost: parts.reduce((sum, part) => sum + part.penalty, 0),
        rows: [...counts.keys(), this.cells.length + wall],
        values: [...counts.values(), 1],
      },
      meaning: { kind: 'wall', wall, arcs: parts.map((part) => part.arc) },
    };
  }

  private addSticks(
    sticks: readonly { readonly group: number; readonly taken: readonly TableChoice[] }[],
  ): number {
    const fresh = sticks.filter(({ group, taken }) => {
      const key = `${group}:${[...taken]
        .sort((a, b) => a.row - b.row)
        .map(({ row, times }) => `${row}*${times}`)
        .join()}`;
      return !this.known.has(key) && this.known.add(key);
    });
    this.push(
      fresh.map(({ group, taken }) => {
        const { pool, price } = this.model.sticks[group]!;
        const limit = this.poolRows[pool];
        return {
          lp: {
            cost: price,
            rows: [...taken.map((one) => one.row), ...(limit === undefined ? [] : [limit])],
            values: [...taken.map((one) => one.times), ...(limit === undefined ? [] : [1])],
          },
          meaning: { kind: 'stick', group, taken },
        };
      }),
    );
    return fresh.length;
  }

  /** Sticks of a plan, to begin with. */
  addPatterns(patterns: readonly Pattern[]): void {
    this.addSticks(
      patterns.flatMap(({ group, items, counts }) => {
        if (this.model.sticks[group]!.just) return [];
        const times = new Map<number, number>();
        items.forEach((item, k) => {
          const row = this.rowOf.get(item)!;
          times.set(row, (times.get(row) ?? 0) + counts[k]!);
        });
        return [{ group, taken: [...times].map(([row, count]) => ({ row, times: count })) }];
      }),
    );
  }

  /**
   * Column generation until nothing gains, or it is enough.
   * @param enough told the bound and the objective of each round; answers whether to end
   */
  solve(seconds: () => number, enough: (bound: number, objective: number) => boolean): SizeAnswer {
    let bound = -Infinity;
    let converged = false;
    let outcome = this.program.solve(seconds());
    let last = outcome;
    while (outcome.status === 'optimal') {
      last = outcome;
      const { duals } = outcome;
      const rows = this.cells
        .map((cell, row) => ({ row, cells: cell, worth: duals[row]!, copies: this.most[row]! }))
        .filter(({ worth }) => worth > NONE * NONE)
        .sort((a, b) => b.worth / (b.cells + 1) - a.worth / (a.cells + 1) || a.row - b.row);
      this.table.fill(rows);
      bound = Math.max(bound, this.boundAt(duals));
      if (enough(bound, outcome.objective) || seconds() <= 0) break;
      const paths = this.nets.flatMap((net, wall) => {
        const { cost, parts } = cheapest(net, duals);
        return cost < duals[this.cells.length + wall]! - NONE ? [this.wallColumn(wall, parts)] : [];
      });
      this.push(paths);
      if (this.price(rows, duals) + paths.length === 0) {
        converged = true;
        break;
      }
      outcome = this.program.solve(seconds());
    }
    return { bound, converged, ...this.read(last) };
  }

  /** Adds patterns that gain, read from the table. */
  private price(rows: readonly { readonly row: number }[], duals: Float64Array): number {
    const groups = this.groups.map(({ index, cell, price }) => {
      const limit = this.poolRows[this.model.sticks[index]!.pool];
      return { index, cell, above: price - (limit === undefined ? 0 : duals[limit]!) };
    });
    const times = new Int32Array(rows.length);
    const sticks: { group: number; taken: TableChoice[] }[] = [];
    for (const begin of this.table.beginnings(groups, NONE)) {
      if (sticks.length >= QUOTA) break;
      if (times[begin.row]! >= AGAIN) continue;
      const taken = this.table.read(begin);
      for (const { row } of taken) times[row]!++;
      sticks.push({
        group: begin.group,
        taken: taken.map((one) => ({ row: rows[one.row]!.row, times: one.times })),
      });
    }
    return this.addSticks(sticks);
  }

  /**
   * A bound at any dual values: scaled until no pattern of a stick there is enough of exceeds its price (Farley, 1990); what patterns of
   * limited sticks exceed theirs by is taken off as often as there are such sticks, walls are divided most cheaply (Lagrange).
   */
  private boundAt(duals: Float64Array): number {
    const { pools, sticks } = this.model;
    let scale = 1;
    for (const { index, cell, price } of this.groups)
      if (pools[sticks[index]!.pool]!.count === undefined && this.table.most(cell) > price)
        scale = Math.min(scale, price / this.table.most(cell));
    const over = new Map<number, number>();
    for (const { index, cell, price } of this.groups) {
      const { pool } = sticks[index]!;
      const { count } = pools[pool]!;
      if (count === undefined) continue;
      const exceeds = count * Math.max(0, scale * this.table.most(cell) - price);
      over.set(pool, Math.max(over.get(pool) ?? 0, exceeds));
    }
    // The solver's noise may put a worth a hair below nothing, where it would be no price.
    const dualValues = this.cells.map((_, row) => scale * Math.max(0, duals[row]!));
    let bound = -costOfKeptSticks(this.model);
    this.demand.forEach((count, row) => (bound += count * dualValues[row]!));
    for (const net of this.nets) bound += cheapest(net, dualValues).cost;
    over.forEach((exceeds) => (bound -= exceeds));
    return bound;
  }

  private read({ columns, duals, status }: LpOutcome): Omit<SizeAnswer, 'bound' | 'converged'> {
    const divisions = this.nets.map((): { arcs: readonly number[]; part: number }[] => []);
    const patterns: Pattern[] = [];
    // Blanks of one size take turns.
    const turn = this.cells.map(() => 0);
    if (status === 'optimal')
      this.meanings.forEach((meaning, index) => {
        const part = columns[index] ?? 0;
        if (!meaning || part <= NONE) return;
        if (meaning.kind === 'wall') divisions[meaning.wall]!.push({ arcs: meaning.arcs, part });
        else {
          const list = meaning.taken.flatMap(({ row, times }) =>
            Array.from({ length: times }, () => {
              const own = this.itemsOf[row]!;
              return own[turn[row]!++ % own.length]!;
            }),
          );
          const fitting = this.madeToFit(meaning.group, list);
          if (fitting) patterns.push(toPattern(meaning.group, fitting));
        }
      });
    const values = new Float64Array(this.model.items.length);
    this.itemsOf.forEach((list, row) => list.forEach((item) => (values[item] = duals[row] ?? 0)));
    return {
      values,
      divisions: divisions.map((list) => list.sort((a, b) => b.part - a.part).map((one) => one.arcs)),
      patterns,
    };
  }

  /** The same blanks where they can really be cut from a stick, else with the next smaller one in place of one of them. */
  private madeToFit(group: number, list: readonly number[]): readonly number[] | undefined {
    if (fitsOnStick(this.model, group, list)) return list;
    for (let less = 1; less <= SMALLER; less++)
      for (let at = 0; at < list.length; at++) {
        const own = this.itemsOf[this.rowOf.get(list[at]!)! - less];
        const next = own && [...list.slice(0, at), own[0]!, ...list.slice(at + 1)];
        if (next && fitsOnStick(this.model, group, next)) return next;
      }
    return undefined;
  }

  dispose(): void {
    this.program.dispose();
  }
}

/** The cheapest way to divide a wall at some dual values of the sizes. */
function cheapest(net: Net, dualValues: ArrayLike<number>): { cost: number; parts: Part[] } {
  const { points, max, parts } = net;
  let cost = new Float64Array(points).fill(Infinity);
  cost[0] = 0;
  const came: Int32Array[] = [];
  let best = { cost: Infinity, layers: 0 };
  for (let layer = 1; layer <= max; layer++) {
    const next = new Float64Array(points).fill(Infinity);
    const via = new Int32Array(points).fill(-1);
    parts.forEach(({ from, to, row, penalty }, index) => {
      const total = cost[from]! + penalty + dualValues[row]!;
      if (total >= next[to]!) return;
      next[to] = total;
      via[to] = index;
    });
    came.push(via);
    cost = next;
    if (cost[points - 1]! < best.cost) best = { cost: cost[points - 1]!, layers: layer };
  }
  const path: Part[] = [];
  let at = points - 1;
  for (let layer = best.layers; layer > 0; layer--) {
    const part = parts[came[layer - 1]![at]!]!;
    path.push(part);
    at = part.from;
  }
  return { cost: best.cost, parts: path.reverse() };
}

/** Plans that divide every wall in one of the ways that the relaxation uses; none where it was not solved. */
export function plansOf({ divisions }: SizeAnswer): Paths[] {
  if (divisions.some((list) => list.length === 0)) return [];
  return Array.from({ length: Math.max(1, ...divisions.map((list) => list.length)) }, (_, n) =>
    divisions.map((list) => list[n % list.length]!),
  );
}
