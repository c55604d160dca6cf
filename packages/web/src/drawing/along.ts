import type { Unit } from '@long-miter/core';
import type { Moved } from './Parts.tsx';

/** Steps a moved thing goes by: a sixteenth, a millimetre. */
const STEP: Readonly<Record<Unit, number>> = { in: 1 / 16, mm: 1 };

interface Along {
  readonly at: number;
  readonly width: number;
  /** Of the wall it stands in. */
  readonly length: number;
  readonly unit: Unit;
  /** How far along the wall a move of the pointer is. */
  readonly along: (dx: number, dy: number) => number;
  /** Where it may be, nearest to a place; everywhere if left out. */
  readonly snap?: (at: number) => number;
  /** The next place in a direction; one step on if left out. */
  readonly next?: (at: number, way: 1 | -1) => number;
  /** While it is on its way. */
  readonly onMove: (at: number) => void;
  /** Let go; undefined where it was broken off and is where it was. */
  readonly onEnd?: (at: number | undefined) => void;
}

/** Where each dragged thing was when it was taken hold of; it moves under the pointer, so its own place is no longer that. */
const heldAt = new Map<string, number>();

/** Moves something along its wall; it stays inside. `id` tells it from what else may be moved. */
export function movedAlong(
  id: string,
  { at, width, length, unit, along, snap, next, onMove, onEnd }: Along,
): Moved {
  const place = (wanted: number): number => {
    const inside = Math.max(0, Math.min(length - width, Math.round(wanted / STEP[unit]) * STEP[unit]));
    return snap ? snap(inside) : inside;
  };
  return {
    onDrag: ({ dx, dy, last, off }) => {
      const start = heldAt.get(id) ?? at;
      heldAt.set(id, start);
      const now = off ? start : place(start + along(dx, dy));
      onMove(now);
      if (!last) return;
      heldAt.delete(id);
      onEnd?.(off ? undefined : now);
    },
    onNudge: (to) => {
      const way = to === 'right' || to === 'down' ? 1 : -1;
      const now = next ? next(at, way) : place(at + way * STEP[unit]);
      onMove(now);
      onEnd?.(now);
    },
  };
}
