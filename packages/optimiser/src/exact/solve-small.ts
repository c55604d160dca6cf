import {
  BranchAndBound,
  MOST_PARTS,
  unlimitedStickPrice,
  sticksAvailable,
  StepLimitReached,
} from './branch-and-bound.ts';
import { divisionsOf, isWhole, wallDivisions, type Division } from './divisions.ts';
import { BoundInvalid, type DualValues } from './patterns.ts';
import type { IntegerSolution } from '../model/integer-solution.ts';
import type { CutModel } from '../model/model-types.ts';

/**
 * Small problems with long walls, exactly. A search that is asked for a plan below a limit is quick where the limit is low: so
 * it is asked for one just above what any plan costs at least, and the limit is raised until there is one.
 */

/** Most ways to divide all walls together, by a relaxation's dual values and by lengths alone. */
const MOST_DIVISIONS = 120_000;
const NEAR_DIVISIONS = 20_000;
/** Steps of the search: a tenth of a second by lengths alone, a second or two with a relaxation's dual values. */
const STEPS = 1.2e6;
const STEPS_BY_WORTH = 4e7;
/** By lengths where a relaxation comes after it: it is quicker than many more. */
export const SMALL_STEP_LIMIT = 2e5;
/** How far above the least cost there can be plans are looked for, step by step: near it hardly anything has to be tried. */
const REACH = [0.004, 0.007, 0.01, 0.015, 0.02, 0.03, 0.045, 0.07, 0.12, 0.25, Infinity] as const;
/** With a relaxation's dual values a step from one limit to the next is at least such a part of the cost, and of the way so far. */
const STEP = 1e-3;
const STRIDE = 0.3;

/** Whether there is so little to cut that a search for plans below a limit is likely to come to its end. */
export const isSmall = (model: CutModel): boolean =>
  unlimitedStickPrice(model) !== undefined &&
  model.walls.reduce((sum, net) => sum + (isWhole(net) ? 0 : net.wall.max + 1), 0) <= MOST_PARTS;

/** Dual values by length, at the cheapest price for it of sticks that do not run out. */
function byLength(model: CutModel, plain: number): DualValues {
  const there = sticksAvailable(model, plain);
  const endless = model.sticks.filter((_, way) => there[way] === Infinity);
  const rate = Math.min(
    ...(endless.length > 0 ? endless : model.sticks).map((one) => one.price / one.length),
  );
  return {
    items: model.items.map((item) => rate * item.length),
    saves: model.sticks.map((one, way) =>
      there[way] === Infinity ? 0 : Math.max(0, rate * one.length - one.price),
    ),
  };
}

/** Ways to divide the walls, where none has too many parts to try. */
const fewParts = (all: Division[] | undefined): Division[] | undefined =>
  all?.every((one) => one.parts.length <= MOST_PARTS) ? all : undefined;

/** Undefined where it was too much. @param onNoBound where what was concluded so far does not hold */
function tried<T>(run: () => T, onNoBound?: () => void): T | undefined {
  try {
    return run();
  } catch (error) {
    if (error instanceof BoundInvalid) onNoBound?.();
    else if (!(error instanceof StepLimitReached)) throw error;
    return undefined;
  }
}

/**
 * The true optimum of a small problem in which nothing but cost is weighed: cost, then number of sticks.
 * @param atLeast the next cost that a plan can have at all
 * @param steps after which it is given up
 * @returns `impossible` where no plan exists; undefined where there is too much to try
 */
export function solveByBranchAndBound(
  model: CutModel,
  stop = (): boolean => false,
  atLeast: (bound: number) => number = (bound) => bound,
  steps = STEPS,
): IntegerSolution | 'impossible' | undefined {
  const plain = unlimitedStickPrice(model);
  const walls = plain && wallDivisions(model, MOST_DIVISIONS);
  if (!walls) return undefined;
  if (walls.some((ways) => ways.length === 0)) return 'impossible';
  return tried(() => {
    const dualValues = byLength(model, plain.length);
    const completion = new BranchAndBound(model, plain, dualValues, { steps, fewest: true, stop });
    const { base, lowest } = completion.lowest(walls);
    let limit = -Infinity;
    for (const reach of REACH) {
      const reached = lowest + Math.max(Math.abs(lowest), 1) * reach;
      // Plans cost whole cents: what lies between two costs that there are need not be looked for.
      limit = reach === Infinity ? Infinity : atLeast(Math.max(reached, limit + 0.5)) + 0.5;
      const near = { most: NEAR_DIVISIONS, items: dualValues.items, spare: limit - base };
      const divisions = fewParts(divisionsOf(model, walls, near));
      if (!divisions) return undefined;
      const found = completion.below(divisions, limit);
      if (found) return found;
    }
    return 'impossible';
  });
}

/**
 * The best plan below a known one, by the dual values of a relaxation that is at its end: near its bound they leave so little to
 * lose that few patterns and few ways to divide the walls are left. Looked for from the bound upwards, step by step.
 * @param cost  of the known plan, in whole cents
 * @param bound of the relaxation
 * @param atLeast the next cost that a plan can have at all
 * @returns a better plan, the best there is, or none; and what no plan costs less than
 */
export function branchFromRelaxation(
  model: CutModel,
  dualValues: DualValues,
  {
    cost,
    bound,
    atLeast,
    stop,
  }: {
    readonly cost: number;
    readonly bound: number;
    readonly atLeast: (bound: number) => number;
    readonly stop: () => boolean;
  },
): { readonly found?: IntegerSolution; readonly bound: number } {
  const plain = unlimitedStickPrice(model);
  const walls = plain && wallDivisions(model, MOST_DIVISIONS);
  if (!walls) return { bound };
  let proven = bound;
  const found = tried(
    () => {
      const completion = new BranchAndBound(model, plain, dualValues, {
        steps: STEPS_BY_WORTH,
        fewest: false,
        stop,
      });
      // Not one cost below the known one is passed over, however large the steps are.
      for (let step = 0; atLeast(proven) < cost; step = Math.max(STEP * cost, STRIDE * (proven - bound))) {
        const limit = Math.min(atLeast(proven + step), cost - 1) + 0.5;
        const near = { most: MOST_DIVISIONS, items: dualValues.items, spare: limit - bound };
        const divisions = fewParts(divisionsOf(model, walls, near));
        if (!divisions) return undefined;
        const better = completion.below(divisions, limit);
        if (better) return better;
        proven = limit;
      }
      proven = cost;
      return undefined;
    },
    () => (proven = bound),
  );
  return found ? { found, bound: found.cost } : { bound: proven };
}
