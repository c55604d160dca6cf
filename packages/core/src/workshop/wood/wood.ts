import { kerfAlong } from '../../joinery/index.ts';
import type { LoggedPiece } from '../log/log-file.ts';
import type { ShopStick, StickEnd } from '../log/state.ts';

/** Where pieces lie on a stick that is being cut, and what is left of it. Lengths from the stick's left end, job's unit. */

export interface KerfSettings {
  /** Square to the blade. */
  readonly kerf: number;
  readonly endTrim: number;
}

const reach = (end: LoggedPiece['left']): number => end.reach ?? 0;

/** A stick before its first cut. */
export const UNTOUCHED_END: StickEnd = { near: 0, reach: 0, angle: 0, untouched: true };

/**
 * Where the near line of the next piece begins: both lines keep the kerf of the steeper of the two cuts.
 * Source: job file format, rule 8.
 */
export function nextStart(end: StickEnd, left: LoggedPiece['left'], { kerf, endTrim }: KerfSettings): number {
  if (end.untouched) return endTrim + Math.max(0, reach(left));
  const gap = Math.max(kerfAlong(kerf, end.angle), kerfAlong(kerf, left.angle));
  return end.near + gap + Math.max(0, end.reach + reach(left));
}

export interface Laid {
  readonly start: number;
  readonly end: StickEnd;
  /** From the stick's left end to the farther line of the last cut and its kerf. */
  readonly used: number;
}

/** Lays a piece of a near length next on a stick. */
export function layNext(
  from: StickEnd,
  { left, right }: Pick<LoggedPiece, 'left' | 'right'>,
  near: number,
  bench: KerfSettings,
): Laid {
  const start = nextStart(from, left, bench);
  const end: StickEnd = { near: start + near, reach: reach(right), angle: right.angle, untouched: false };
  return { start, end, used: end.near + Math.max(0, end.reach) + kerfAlong(bench.kerf, right.angle) };
}

/** A stick after a piece was cut from it. Its length is always what is used and what remains. */
export function withCut(stick: ShopStick, tag: string, laid: Laid): ShopStick {
  const used = Math.min(stick.length, laid.used);
  return {
    ...stick,
    used,
    remains: stick.length - used,
    cut: [...stick.cut, tag],
    end: laid.end,
  };
}
