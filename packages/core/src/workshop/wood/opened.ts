import { NOISE } from '../../base/index.ts';
import type { Shop, ShopPiece, ShopStick } from '../log/state.ts';
import { layNext, type KerfSettings, type Laid } from './wood.ts';

/** What stays on a stick that has been opened. */

/** Pieces cut from the waste beside their own (small returns) lie on no stick. */
export const takesStick = (piece: ShopPiece): boolean => piece.near > 0;

/** What is asked of a held piece on its stick: it lies last, longer than predicted. */
export const waits = (piece: ShopPiece): boolean => piece.state === 'held';

export interface Kept {
  readonly tag: string;
  readonly start: number;
}

/** An opened stick with what stays on it, and the wood behind that. */
export interface OpenStick {
  readonly stick: ShopStick;
  readonly kept: Kept[];
  end: ShopStick['end'];
  /** Something held lies last on it: nothing else may. */
  closed: boolean;
}

interface Planned {
  readonly pieces: readonly ShopPiece[];
  /** What is named is only what is still to come, whatever was cut before. */
  readonly rest: boolean;
}

/** What the newest issue, or the one it was taken by, has on a stick, in order. */
function plannedOn(shop: Shop, stick: ShopStick, newest: ReadonlyMap<string, ShopPiece>): Planned {
  const sticks = shop.issue?.plan.sticks ?? [];
  const rest = sticks.find((one) => one.letter === stick.letter);
  const planned = rest ?? sticks.find((one) => one.letter === undefined && one.id === stick.stick);
  const pieces = planned ? planned.cuts.map((cut) => cut.piece) : stick.pieces;
  return { pieces: pieces.flatMap((piece) => newest.get(piece) ?? []), rest: rest !== undefined };
}

/**
 * What stays on an opened stick: pieces in hand on it; and where it was cut as planned so far, the rest of what was planned on
 * it, as far as that still fits.
 */
function openStick(
  shop: Shop,
  stick: ShopStick,
  newest: ReadonlyMap<string, ShopPiece>,
  bench: KerfSettings,
  claimed: Set<string>,
  fitting: boolean,
): OpenStick {
  const open: OpenStick = { stick, kept: [], end: stick.end, closed: false };
  const room = stick.length - bench.endTrim;
  const lay = (piece: ShopPiece, must: boolean): boolean => {
    const laid: Laid = layNext(open.end, piece.plan, piece.near, bench);
    const far = laid.end.near + Math.max(0, laid.end.reach);
    if (!must && far > room + NOISE) return false;
    open.kept.push({ tag: piece.tag, start: laid.start });
    claimed.add(piece.tag);
    open.end = laid.end;
    return true;
  };
  const inHand = shop.pieces.filter((one) => one.state === 'in-hand' && one.letter === stick.letter);
  for (const piece of inHand)
    if (piece.fromBlank) open.kept.push({ tag: piece.tag, start: piece.start ?? 0 });
    else lay(piece, true);
  const { pieces: planned, rest } = plannedOn(shop, stick, newest);
  const done = [...stick.cut, ...inHand.filter((one) => !one.fromBlank).map((one) => one.tag)];
  const asPlanned = done.every((tag, k) => planned[k]?.tag === tag && planned[k].state !== 'spoilt');
  const toCome = rest
    ? planned.filter((piece) => piece.state === 'ready' || waits(piece))
    : asPlanned
      ? planned.slice(done.length)
      : fitting
        ? planned.filter((piece) => piece.state === 'ready' || waits(piece))
        : [];
  if (stick.open)
    for (const piece of toCome) {
      const stays =
        !claimed.has(piece.tag) &&
        (piece.state === 'ready' || waits(piece)) &&
        takesStick(piece) &&
        lay(piece, false);
      // In the order of the plan nothing is passed over; what merely fits is taken as it comes.
      if (!stays && !fitting) break;
      if (!stays) continue;
      if (waits(piece)) {
        open.closed = true;
        break;
      }
    }
  return open;
}

/** The piece that stands for each of the plan's now: the last of its replacements. */
export function newestTags(shop: Pick<Shop, 'pieces'>): Map<string, ShopPiece> {
  const newest = new Map<string, ShopPiece>();
  for (const piece of shop.pieces) newest.set(piece.piece, piece);
  return newest;
}

/**
 * Every opened stick with what stays on it. A stick that was taken twice for the same pieces is named twice: the one that was
 * cut further keeps them.
 * @param fitting where something on a stick went wrong, what was planned on it and still fits stays on it too
 */
export function openSticks(
  shop: Shop,
  sticks: readonly ShopStick[],
  newest: ReadonlyMap<string, ShopPiece>,
  bench: KerfSettings,
  fitting = false,
): OpenStick[] {
  const claimed = new Set<string>();
  const order = sticks.map((stick, index) => ({ stick, index }));
  order.sort((a, b) => b.stick.cut.length - a.stick.cut.length || a.index - b.index);
  const open = new Map(
    order.map(({ stick }) => [stick, openStick(shop, stick, newest, bench, claimed, fitting)]),
  );
  return sticks.map((stick) => open.get(stick)!);
}
