import { eachWordsOnce, type Words } from '../messages/index.ts';
import { SAME_ANGLE } from '../base/index.ts';
import type { PlanFile, PlannedStick } from '../plan/index.ts';

/** The figures by which two plans are held against each other. Lengths in the job's unit, money in smallest units. */
export interface PlanFigures {
  readonly cost: number;
  readonly stock: number;
  readonly splices: number;
  readonly sticks: number;
  readonly bought: number;
  readonly fromRack: number;
  readonly stockLength: number;
  readonly pieceLength: number;
  /** Share of the sticks' length that ends up in no piece. */
  readonly waste: number;
  readonly largestOffcut: number;
  readonly sawChanges: number;
  readonly lowerBound: number;
  readonly proven: boolean;
  /** Why something of the job is not in the plan, each reason once; empty where the plan holds everything. */
  readonly without: readonly Words[];
}

/** How often the saw is set anew when the sticks are cut in order: two ends of one parting need one setting. */
function changesOf(plan: PlanFile): number {
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]));
  const tilts = plan.sticks.flatMap((stick) =>
    stick.cuts.flatMap((cut) => {
      const piece = byId.get(cut.piece)!;
      return [piece.left.angle, -piece.right.angle];
    }),
  );
  return tilts.filter((tilt, index) => index > 0 && Math.abs(tilt - tilts[index - 1]!) > SAME_ANGLE).length;
}

const sum = <T>(list: readonly T[], of: (one: T) => number): number =>
  list.reduce((total, one) => total + of(one), 0);

export function planFigures(plan: PlanFile): PlanFigures {
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]));
  const stockLength = sum(plan.sticks, (stick) => stick.length);
  const pieceLength = sum(plan.sticks, (stick) => sum(stick.cuts, (cut) => byId.get(cut.piece)!.near));
  const bought = plan.sticks.filter((stick) => stick.source === 'buy').length;
  return {
    cost: plan.cost.total,
    stock: plan.cost.stock,
    splices: plan.cost.splices,
    sticks: plan.sticks.length,
    bought,
    fromRack: plan.sticks.length - bought,
    stockLength,
    pieceLength,
    waste: stockLength > 0 ? 1 - pieceLength / stockLength : 0,
    largestOffcut: plan.sticks.reduce((most, stick) => Math.max(most, stick.leftover), 0),
    sawChanges: changesOf(plan),
    lowerBound: sum(plan.bounds, (bound) => bound.lowerBound),
    proven: plan.bounds.every((bound) => bound.proven),
    without: eachWordsOnce(plan.refused.map((one) => one.text)),
  };
}

/** Whether two plans of a job lack the same runs, or none: only then do their sums say which is the better one. */
export function comparable(a: PlanFile, b: PlanFile): boolean {
  const lacking = ({ refused }: PlanFile): Set<string> =>
    new Set(refused.map(({ profile, room, trim }) => JSON.stringify([profile, room, trim])));
  const [one, other] = [lacking(a), lacking(b)];
  return one.size === other.size && [...one].every((run) => other.has(run));
}

/** Money and waste of one group of sticks, for a chart. */
interface StockShare {
  readonly profile: string;
  /** Set when grouped by stock length. */
  readonly length: number | undefined;
  readonly sticks: number;
  readonly cost: number;
  readonly used: number;
  readonly wasted: number;
}

/** Sticks grouped by profile, or by profile and length: what each group costs, and how much of it is used. */
export function stockShares(plan: PlanFile, by: 'profile' | 'length'): StockShare[] {
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]));
  const groups = new Map<string, PlannedStick[]>();
  for (const stick of plan.sticks) {
    const key = by === 'profile' ? stick.profile : JSON.stringify([stick.profile, stick.length]);
    groups.set(key, [...(groups.get(key) ?? []), stick]);
  }
  return [...groups.values()]
    .map((sticks): StockShare => {
      const used = sum(sticks, (stick) => sum(stick.cuts, (cut) => byId.get(cut.piece)!.near));
      return {
        profile: sticks[0]!.profile,
        length: by === 'length' ? sticks[0]!.length : undefined,
        sticks: sticks.length,
        cost: sum(sticks, (stick) => stick.price),
        used,
        wasted: sum(sticks, (stick) => stick.length) - used,
      };
    })
    .sort((a, b) => a.profile.localeCompare(b.profile) || (a.length ?? 0) - (b.length ?? 0));
}
