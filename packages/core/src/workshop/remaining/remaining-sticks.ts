import { NOISE } from '../../base/index.ts';
import type { CutSolution, StickKind } from '@long-miter/optimiser';
import { kerfAlong } from '../../joinery/index.ts';
import type { FreshStick, RemainingStick } from './remaining-stock.ts';
import type { Kept, OpenStick } from '../wood/opened.ts';
import type { ShopPiece, StickEnd } from '../log/state.ts';
import { layNext, UNTOUCHED_END, type KerfSettings } from '../wood/wood.ts';

/** The sticks of a plan of what is left. */

/** A stick that takes just what one of the plan before took is cut in that plan's order, where that fits it. */
function inPlannedOrder(
  cuts: readonly Kept[],
  planned: readonly (readonly string[])[],
  byTag: ReadonlyMap<string, ShopPiece>,
  length: number,
  bench: KerfSettings,
): Pick<RemainingStick, 'cuts' | 'leftover'> | undefined {
  const tags = new Set(cuts.map((cut) => cut.tag));
  const order = planned.find((one) => one.length === tags.size && one.every((tag) => tags.has(tag)));
  if (!order) return undefined;
  let end: StickEnd = UNTOUCHED_END;
  let used = 0;
  const laid = order.map((tag) => {
    const piece = byTag.get(tag)!;
    const next = layNext(end, piece.plan, piece.near, bench);
    [end, used] = [next.end, next.used];
    return { tag, start: next.start };
  });
  return end.near + Math.max(0, end.reach) <= length - bench.endTrim + NOISE
    ? { cuts: laid, leftover: Math.max(0, length - used) }
    : undefined;
}

/** What a solution is laid out with. */
interface Layout {
  readonly units: number;
  readonly fresh: readonly FreshStick[];
  readonly open: readonly { readonly open: OpenStick; readonly kind: StickKind }[];
  readonly opened: readonly OpenStick[];
  readonly loose: readonly ShopPiece[];
  /** Tags that lay on one stick in the plan before, in its order. */
  readonly planned: readonly (readonly string[])[];
  readonly bench: KerfSettings;
}

/** What is left of a stick behind an end, its kerf taken. */
const restOf = (length: number, end: StickEnd, { kerf }: KerfSettings): number =>
  end.untouched
    ? length
    : Math.max(0, length - end.near - Math.max(0, end.reach) - kerfAlong(kerf, end.angle));

const endAfter = (piece: ShopPiece, start: number): StickEnd => ({
  near: start + piece.near,
  reach: piece.plan.right.reach ?? 0,
  angle: piece.plan.right.angle,
  untouched: false,
});

const openedStick = (
  { stick, kept }: OpenStick,
  more: readonly Kept[],
  end: StickEnd,
  bench: KerfSettings,
): RemainingStick[] =>
  kept.length + more.length === 0
    ? []
    : [
        {
          source: 'opened',
          profile: stick.profile,
          letter: stick.letter,
          length: stick.length,
          price: 0,
          cuts: [...kept, ...more],
          leftover: restOf(stick.length, end, bench),
        },
      ];

/** Opened sticks with what stays on them, and nothing more. */
export const openedAsTheyAre = (opened: readonly OpenStick[], bench: KerfSettings): RemainingStick[] =>
  opened.flatMap((one) => openedStick(one, [], one.end, bench));

/** The sticks of a solution: opened ones with what stays and what is new on them, then those to be taken. */
export function laidOut(
  solution: CutSolution,
  { units, fresh, open, opened, loose, planned, bench }: Layout,
): RemainingStick[] {
  const byTag = new Map(loose.map((piece) => [piece.tag, piece]));
  const more = new Map<OpenStick, readonly Kept[]>();
  const taken = solution.sticks.flatMap(({ stick, placed }): RemainingStick[] => {
    const cuts = placed.map((one) => ({ tag: one.id, start: one.start / units }));
    const on = open.find((one) => one.kind.id === stick)?.open;
    if (on) {
      more.set(on, cuts);
      return [];
    }
    const { made } = fresh.find((one) => one.kind.id === stick)!;
    const last = cuts.at(-1)!;
    return [
      {
        ...made,
        ...(inPlannedOrder(cuts, planned, byTag, made.length, bench) ?? {
          cuts,
          leftover: restOf(made.length, endAfter(byTag.get(last.tag)!, last.start), bench),
        }),
      },
    ];
  });
  return [
    ...opened.flatMap((one) => {
      const own = more.get(one) ?? [];
      const last = own.at(-1);
      return openedStick(one, own, last ? endAfter(byTag.get(last.tag)!, last.start) : one.end, bench);
    }),
    ...taken,
  ];
}
