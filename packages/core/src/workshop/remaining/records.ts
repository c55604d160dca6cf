import type { PieceKey } from '../../base/index.ts';
import { toMinor } from '../../measure/index.ts';
import { coinOfJob, type CutRecord, type Piece } from '../../plan/index.ts';
import { workOf } from '../wood/work.ts';
import { isAlive, type Shop } from '../log/state.ts';

/** The id that the record of a stick at the saw has: no stick is noted as cut by hand under such a name. */
export const shopRecordId = (letter: string): string => `shop ${letter}`;

/**
 * Opened sticks as cut sticks, for whoever plans or buys: what was cut from them and what still comes from them is not planned
 * again. Pieces count with the figures they were asked for: a little more or less at the saw is no new measure.
 */
export function shopRecordsOf(shop: Shop): CutRecord[] {
  const { job } = shop;
  const coin = coinOfJob(job);
  const byTag = new Map(shop.pieces.map((piece) => [piece.tag, piece]));
  const todo = new Map(workOf(shop).sticks.map((one) => [one.letter, one]));
  return shop.sticks.flatMap((stick): CutRecord[] => {
    const work = todo.get(stick.letter);
    const starts = new Map<string, number>(work?.stick.cuts.map((cut) => [cut.piece, cut.start]));
    const pieces = [...new Set([...stick.cut, ...(work?.todo ?? [])])].flatMap((tag) => {
      const piece = byTag.get(tag)!;
      if (!isAlive(piece)) return [];
      const plan = piece.plan as unknown as Piece;
      return [
        {
          id: piece.piece as PieceKey,
          label: tag,
          near: plan.near,
          left: plan.left.angle,
          right: plan.right.angle,
          start: piece.start ?? starts.get(tag) ?? 0,
          from: plan.from,
          to: plan.to,
        },
      ];
    });
    const line = job.stock.findIndex(
      (item) => item.profile === stick.profile && item.length === stick.planned,
    );
    const rack = (job.rack ?? []).findIndex((item) => (item.label ?? item.id) === stick.from);
    const item = stick.source === 'buy' ? job.stock[line] : undefined;
    return pieces.length === 0
      ? []
      : [
          {
            id: shopRecordId(stick.letter),
            profile: stick.profile,
            source: stick.source,
            stock:
              stick.source === 'buy'
                ? (item?.id ?? `#${line}`)
                : (job.rack?.[rack]?.id ?? (rack < 0 ? stick.from : `#${rack}`)),
            ...(stick.source === 'rack' ? { label: stick.from } : {}),
            length: stick.length,
            price: item ? toMinor(item.price, coin) : 0,
            pieces,
            leftover: stick.remains,
          },
        ];
  });
}
