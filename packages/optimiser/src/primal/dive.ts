import { limitedSticks, assignExactly } from '../exact/enumeration.ts';
import type { Master, MasterColumn } from '../relaxation/master.ts';
import type { CutModel } from '../model/build-model.ts';
import {
  demandOf,
  integerSolution,
  type IntegerSolution,
  type Paths,
  type Pattern,
} from '../model/integer-solution.ts';
import { roundFlowToPaths, trimToDemand } from './rounding.ts';
import type { LpOutcome } from '../solver/solver-port.ts';
import { StockLedger } from '../model/stock-ledger.ts';

/** Most blanks left that are shared out exactly, if the sticks of limited number allow. */
const EXACT_REST = 13;
/** Most steps of that. */
const REST_STEPS = 6e6;
/** Rounds of pricing after each fixing. */
const ROUNDS = 6;
/** Flow or share of a column that counts as none. */
const NONE = 1e-6;

export interface DiveOptions {
  /** Numbers from 0 to 1; the same seed dives the same way. */
  readonly random: () => number;
  /** Whether a plan that costs at least so much is of no use. */
  readonly isHopeless: (least: number) => boolean;
  readonly stop: () => boolean;
  readonly seconds: () => number;
}

/** Sticks that a dive has settled on, and what they leave to be cut. */
class Settled {
  readonly patterns: Pattern[] = [];
  readonly times = new Map<number, number>();
  readonly stock: StockLedger;
  /** Blanks of each item cut from them. */
  readonly cut: number[];

  constructor(model: CutModel) {
    this.stock = new StockLedger(model);
    this.cut = model.items.map(() => 0);
  }

  /** Takes a pattern so many times, as far as there are sticks; answers how often it was taken. */
  take(column: number, pattern: Pattern, times: number): number {
    const able = Math.min(times, this.stock.free(pattern.group));
    if (able <= 0) return 0;
    this.stock.take(pattern.group, able);
    this.times.set(column, (this.times.get(column) ?? 0) + able);
    for (let n = 0; n < able; n++) this.patterns.push(pattern);
    pattern.items.forEach((item, k) => (this.cut[item]! += able * pattern.counts[k]!));
    return able;
  }

  /** What is still to be cut of what is wanted. */
  rest = (wanted: readonly number[]): number[] =>
    wanted.map((count, item) => Math.max(0, count - this.cut[item]!));
}

/** The rest of a plan, shared out exactly; undefined where it is too much, or cannot be. */
function shareRest(model: CutModel, rest: readonly number[], stock: StockLedger): Pattern[] | undefined {
  const list = rest.flatMap((count, item) => new Array<number>(count).fill(item));
  const limited = limitedSticks(model, list.length, stock);
  if ((1 + limited.length) * 3 ** list.length > REST_STEPS) return undefined;
  return assignExactly(model, list, limited)?.patterns;
}

const countOf = (list: readonly number[]): number => list.reduce((sum, count) => sum + count, 0);

/** Picks by chance, the likelier the larger the square of its part. */
function pick<T extends { readonly part: number }>(from: readonly T[], random: () => number): T {
  let at = random() * from.reduce((sum, one) => sum + one.part ** 2, 0);
  for (const one of from) {
    at -= one.part ** 2;
    if (at <= 0) return one;
  }
  return from.at(-1)!;
}

const whole = (
  model: CutModel,
  patterns: readonly Pattern[],
  wanted: readonly number[],
  paths: Paths,
): IntegerSolution => integerSolution(model, trimToDemand(model, patterns, wanted), paths);

/** Whether the flow serves every wall by one path. */
const isWhole = (columns: readonly MasterColumn[], x: ArrayLike<number>): boolean =>
  columns.every(
    (column, index) => column.kind !== 'arc' || Math.abs(x[index]! - Math.round(x[index]!)) <= NONE,
  );

/**
 * Dives from the relaxed solution to a whole one: fixes sticks that are whole, else one by chance (or an arc of a wall),
 * prices anew for what is left, and shares the last few blanks out exactly.
 * @returns undefined where it led to nothing better
 * Source: optimizer notes, "tried" 1.
 */
export function dive(master: Master, relaxed: LpOutcome, options: DiveOptions): IntegerSolution | undefined {
  const { model } = master;
  const { isHopeless, stop, seconds } = options;
  const settled = new Settled(model);
  const touched = new Set<number>();
  const fix = (column: number, lower: number): void => {
    touched.add(column);
    master.setBounds(column, lower, Infinity);
  };
  const most = master.mostOf();
  let outcome = relaxed;
  try {
    for (;;) {
      if (stop() || outcome.status !== 'optimal' || isHopeless(outcome.objective)) return undefined;
      const paths = isWhole(master.columns, outcome.columns)
        ? roundFlowToPaths(model, master.columns, outcome.columns)
        : undefined;
      if (paths) {
        const wanted = demandOf(model, paths);
        const rest = settled.rest(wanted);
        const open = countOf(rest);
        if (open === 0) return whole(model, settled.patterns, wanted, paths);
        if (open <= EXACT_REST) {
          const last = shareRest(model, rest, settled.stock);
          if (last) return whole(model, [...settled.patterns, ...last], wanted, paths);
        }
      }
      if (!fixNext(master, outcome, settled, fix, options)) return undefined;
      outcome = master.price({
        stop,
        seconds,
        bounds: settled.rest(most),
        rounds: ROUNDS,
        quick: true,
      }).outcome;
    }
  } finally {
    touched.forEach((column) => master.setBounds(column, 0, Infinity));
  }
}

/** Fixes what is whole, else some of the rest by chance. @returns whether anything was fixed */
function fixNext(
  master: Master,
  outcome: LpOutcome,
  settled: Settled,
  fix: (column: number, lower: number) => void,
  { random }: DiveOptions,
): boolean {
  const take = (index: number, pattern: Pattern, times: number): boolean => {
    if (settled.take(index, pattern, times) === 0) return false;
    fix(index, settled.times.get(index)!);
    return true;
  };
  let fixed = 0;
  const open: { index: number; part: number; pattern: Pattern | undefined }[] = [];
  master.columns.forEach((column, index) => {
    const part = outcome.columns[index]! - (settled.times.get(index) ?? 0);
    if (column.kind === 'arc') {
      if (part > NONE && part < 1 - NONE) open.push({ index, part, pattern: undefined });
      return;
    }
    if (column.kind !== 'pattern' || part <= NONE) return;
    const times = Math.floor(part + NONE);
    if (times >= 1 && take(index, column.pattern, times)) fixed++;
    if (part - times > NONE) open.push({ index, part: part - times, pattern: column.pattern });
  });
  if (fixed > 0 || open.length === 0) return fixed > 0;
  const chosen = pick(open, random);
  if (chosen.pattern) return take(chosen.index, chosen.pattern, 1);
  fix(chosen.index, 1);
  return true;
}
