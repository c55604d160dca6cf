import { NOISE, WHOLE_COUNT } from '../base/index.ts';
import { toMinor } from '../measure/index.ts';
import type { JobFile } from '../job/index.ts';
import type { PlanFile } from '../plan/index.ts';

/** What the usual guess would have bought: all lengths added up, a percentage on top, divided by one stick length. */
interface ThumbLine {
  readonly profile: string;
  /** Length of the pieces, without anything on top. */
  readonly need: number;
  /** The stick length that a lead would take: the cheapest for its length. */
  readonly length: number;
  readonly sticks: number;
  /** Smallest units of the plan's money. */
  readonly cost: number;
}

interface ThumbOrder {
  readonly lines: readonly ThumbLine[];
  readonly sticks: number;
  readonly cost: number;
  /** Share of what is bought that ends up in no piece. */
  readonly waste: number;
}

/**
 * The rule of thumb for a planned job.
 * @param percent added for waste: 10 for plain trim, 15 for patterned, as crews say
 * Source: catalogue 95.
 */
export function ruleOfThumb(job: JobFile, plan: PlanFile, percent: number): ThumbOrder {
  const onStick = new Set(plan.sticks.flatMap((stick) => stick.cuts.map((cut) => cut.piece)));
  const lines = job.profiles.flatMap((profile): ThumbLine[] => {
    const need = plan.pieces
      .filter((piece) => piece.profile === profile.id && onStick.has(piece.id))
      .reduce(
        (sum, piece) => sum + piece.near + Math.max(0, piece.left.reach) + Math.max(0, piece.right.reach),
        0,
      );
    const items = job.stock.filter((item) => item.profile === profile.id);
    const [first, ...others] = items;
    if (need === 0 || !first) return [];
    const rate = (item: typeof first): number => item.price / item.length;
    // Of lengths that cost alike the longest: fewer joints and less to carry.
    const item = others.reduce((best, one) => {
      const less = rate(one) - rate(best);
      return less < -NOISE || (less < NOISE && one.length > best.length) ? one : best;
    }, first);
    const sticks = Math.ceil((need * (1 + percent / 100)) / item.length - WHOLE_COUNT);
    return [
      {
        profile: profile.id,
        need,
        length: item.length,
        sticks,
        cost: sticks * toMinor(item.price, plan.coin),
      },
    ];
  });
  const bought = lines.reduce((sum, line) => sum + line.sticks * line.length, 0);
  const need = lines.reduce((sum, line) => sum + line.need, 0);
  return {
    lines,
    sticks: lines.reduce((sum, line) => sum + line.sticks, 0),
    cost: lines.reduce((sum, line) => sum + line.cost, 0),
    waste: bought > 0 ? 1 - need / bought : 0,
  };
}
