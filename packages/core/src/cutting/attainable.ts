import { fewestArcs, type CutModel } from './model.ts';

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/**
 * Which costs a plan can have at all: sticks cost multiples of one step, splices a fixed price each. A bound may be raised
 * to the next attainable cost, which often closes the gap that prices in even steps leave.
 */
export interface Attainable {
  /** The least attainable cost that is not below `bound`, cents. */
  readonly atLeast: (bound: number) => number;
}

/** Cents by which a linear programme's bound may be off through rounding. */
const BOUND_NOISE = 1e-3;

export function attainableCosts(model: CutModel): Attainable {
  const stickStep = Math.max(
    1,
    model.sticks.reduce((step, group) => gcd(step, Math.round(group.price)), 0),
  );
  const penalties = new Set(model.walls.map((net) => net.wall.penalty));
  const [penalty] = penalties;
  if (penalties.size !== 1 || penalty === undefined) {
    const step = [...penalties].reduce((all, one) => gcd(all, Math.round(one)), stickStep);
    // Adding nothing turns a negative zero into a plain one.
    return { atLeast: (bound) => Math.ceil((bound - BOUND_NOISE) / step) * step + 0 };
  }
  const least = model.walls.reduce((sum, net) => sum + fewestArcs(net) - 1, 0);
  const most = model.walls.reduce((sum, net) => sum + net.wall.max, 0);
  return {
    atLeast: (bound) => {
      let best = Infinity;
      for (let splices = least; splices <= most; splices++) {
        const rest = Math.ceil((bound - BOUND_NOISE - splices * penalty) / stickStep);
        // Only what is kept of a plan before counts less than nothing.
        const sticks = model.weighed ? rest : Math.max(0, rest);
        best = Math.min(best, splices * penalty + sticks * stickStep);
      }
      return best;
    },
  };
}
