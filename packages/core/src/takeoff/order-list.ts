import { WHOLE_COUNT } from '../base/index.ts';
import type { PlanFile } from '../plan/index.ts';

/** One line of an order: sticks of one profile and length. */
export interface OrderLine {
  readonly profile: string;
  readonly length: number;
  /** What the cut plan needs. */
  readonly planned: number;
  /** What is bought on top against handling loss. */
  readonly spare: number;
  readonly count: number;
  /** Smallest units of the plan's money, as everything below. */
  readonly price: number;
  readonly sum: number;
}

/**
 * What to order: the sticks of the plan and, for each profile, spare ones against split, dented and miscut sticks. Spares
 * are of the longest length bought, so that they can stand in for any.
 * @param allowance percent of sticks on top, by profile; rounded up to whole sticks
 */
export function orderList(plan: PlanFile, allowance: Readonly<Record<string, number>>): OrderLine[] {
  const total = new Map<string, { count: number; longest: number }>();
  for (const { profile, length, count } of plan.buy) {
    const held = total.get(profile) ?? { count: 0, longest: 0 };
    total.set(profile, { count: held.count + count, longest: Math.max(held.longest, length) });
  }
  const given = new Set<string>();
  // From the longest down, so that the first line of a profile takes its spares; then back in the order of the plan.
  const spareOf = new Map(
    [...plan.buy]
      .sort((a, b) => b.length - a.length)
      .map((line): [PlanFile['buy'][number], number] => {
        const { count, longest } = total.get(line.profile)!;
        const first = line.length === longest && !given.has(line.profile);
        if (first) given.add(line.profile);
        return [
          line,
          first ? Math.max(0, Math.ceil((count * (allowance[line.profile] ?? 0)) / 100 - WHOLE_COUNT)) : 0,
        ];
      }),
  );
  return plan.buy.map((line): OrderLine => {
    const spare = spareOf.get(line)!;
    const count = line.count + spare;
    return {
      profile: line.profile,
      length: line.length,
      planned: line.count,
      spare,
      count,
      price: line.price,
      sum: count * line.price,
    };
  });
}
