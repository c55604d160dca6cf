import { WHOLE_UNIT } from '../../base/index.ts';
import type { CutProblem, StickKind } from '@long-miter/optimiser';
import type { Shop, ShopPiece } from '../log/state.ts';

/** A stick of the plan of what is left. */
export interface RemainingStick {
  readonly source: 'buy' | 'rack' | 'opened';
  readonly profile: string;
  /** Of an opened stick its letter, of a piece of the rack its label. */
  readonly letter?: string;
  readonly label?: string;
  /** The whole stick. */
  readonly length: number;
  /** Smallest units of the job's money; 0 for what is there already. */
  readonly price: number;
  /** From the whole stick's left end. */
  readonly cuts: readonly { readonly tag: string; readonly start: number }[];
  readonly leftover: number;
}

/** A kind of stick that can still be taken, with what it is in the job. */
export interface FreshStick {
  readonly kind: StickKind;
  readonly made: Omit<RemainingStick, 'cuts' | 'leftover'>;
}

/** What a profile's pieces can be cut from besides opened sticks: what is for sale less what was taken, and the rack. */
export function freshSticks(
  shop: Shop,
  profile: string,
  units: number,
  money: (price: number) => number,
): FreshStick[] {
  const floor = (length: number): number => Math.floor(length * units + WHOLE_UNIT);
  const taken = new Map<number, number>();
  for (const stick of shop.sticks)
    if (stick.source === 'buy' && stick.profile === profile)
      taken.set(stick.planned, (taken.get(stick.planned) ?? 0) + 1);
  const sale = shop.job.stock.flatMap((item, index) => {
    if (item.profile !== profile) return [];
    const gone = Math.min(taken.get(item.length) ?? 0, item.count ?? 0);
    // Of two lines of one length the first is used up first.
    if (item.count !== undefined) taken.set(item.length, (taken.get(item.length) ?? 0) - gone);
    const price = money(item.price);
    return [
      {
        kind: {
          id: `buy ${index}`,
          length: floor(item.length),
          price,
          count: item.count === undefined ? undefined : item.count - gone,
          rack: false,
        },
        made: { source: 'buy' as const, profile, length: item.length, price },
      },
    ];
  });
  const rack = shop.rack
    .filter((one) => one.profile === profile)
    .map((one) => ({
      kind: { id: `rack ${one.label}`, length: floor(one.length), price: 0, count: 1, rack: true },
      made: { source: 'rack' as const, profile, label: one.label, length: one.length, price: 0 },
    }));
  return [...sale, ...rack];
}

/** Sticks of the newest plan that nobody has opened, by what of them is still wanted: where the new plan may stay the same. */
export function unopened(
  shop: Shop,
  profile: string,
  newest: ReadonlyMap<string, ShopPiece>,
  loose: ReadonlySet<string>,
  fresh: readonly FreshStick[],
): NonNullable<CutProblem['keep']>['sticks'] {
  const opened = new Set(shop.sticks.map((one) => one.stick));
  return (shop.issue?.plan.sticks ?? []).flatMap((stick) => {
    if (stick.profile !== profile || stick.source === 'opened' || opened.has(stick.id)) return [];
    const parts = stick.cuts.flatMap(({ piece }) => {
      const tag = newest.get(piece)?.tag;
      return tag !== undefined && loose.has(tag) ? [{ kind: 'blank' as const, id: tag }] : [];
    });
    const kind = fresh.find(
      ({ made }) =>
        made.source === stick.source &&
        (stick.source === 'rack' ? made.label === stick.label : made.length === stick.length),
    );
    return parts.length === 0 || !kind ? [] : [{ stick: kind.kind.id, parts }];
  });
}
