import { stickRef, type PieceKey } from '../../base/index.ts';
import { fromMinor, readerOf } from '../../measure/index.ts';
import { formatAll } from '../../messages/index.ts';
import { coinOfJob } from '../../plan/index.ts';
import type { RemainingPlan } from '../remaining/plan-remaining.ts';
import type { Shop } from './state.ts';

const named = <Key extends string, Value>(key: Key, value: Value | undefined): Partial<Record<Key, Value>> =>
  value === undefined ? {} : ({ [key]: value } as Record<Key, Value>);

/** The plan of what is left in the form of a plan file: pieces with their tags, opened sticks with their letters. */
function leftFile(shop: Shop, left: RemainingPlan): object {
  const { job } = shop;
  const coin = coinOfJob(job);
  const money = (minor: number): number => fromMinor(minor, coin);
  const pieceOf = new Map(left.pieces.map((piece) => [piece.tag, piece.piece]));
  const bought = left.sticks.filter((stick) => stick.source === 'buy');
  const buy = new Map<string, { profile: string; length: number; count: number; price: number }>();
  for (const { profile, length, price } of bought) {
    const key = JSON.stringify([profile, length, price]);
    const line = buy.get(key) ?? { profile, length, count: 0, price: money(price) };
    line.count++;
    buy.set(key, line);
  }
  const stock = money(bought.reduce((sum, stick) => sum + stick.price, 0));
  return {
    format: 'longmiter-plan',
    version: 1,
    unit: job.unit,
    pieces: left.pieces.map((piece) => ({ ...piece.plan, near: piece.near, tag: piece.tag })),
    sticks: left.sticks.map((stick) => ({
      id: stickRef(
        stick.profile,
        stick.cuts.map((cut) => cut.tag as PieceKey),
      ),
      profile: stick.profile,
      source: stick.source,
      ...named('letter', stick.letter),
      ...named('label', stick.label),
      length: stick.length,
      price: money(stick.price),
      cuts: stick.cuts.map((cut) => ({ piece: pieceOf.get(cut.tag)!, tag: cut.tag, start: cut.start })),
      leftover: stick.leftover,
    })),
    buy: [...buy.values()],
    cost: { stock, splices: 0, total: stock },
    bounds: left.bounds.map((one) => ({
      ...one,
      lowerBound: money(one.lowerBound),
      cost: money(one.cost),
    })),
    closure: [],
    watchOuts: [],
    refused: left.refused,
  };
}

/** What the `shop` command prints: the workshop as it stands, and the plan of what is left. */
export const shopFile = (shop: Shop, left: RemainingPlan): object =>
  formatAll(
    {
      format: 'longmiter-shop',
      version: 1,
      pieces: shop.pieces.map(({ tag, piece, revision, state, near, predicted, letter }) => ({
        tag,
        piece,
        revision,
        state,
        near,
        ...named('predicted', predicted),
        ...named('letter', letter),
      })),
      sticks: shop.sticks.map(({ letter, profile, from, length, used, remains, open }) => ({
        letter,
        profile,
        from,
        length,
        used,
        remains,
        open,
      })),
      rack: shop.rack,
      contradictions: shop.contradictions,
      left: leftFile(shop, left),
    },
    readerOf(shop.job.vocabulary),
  );
