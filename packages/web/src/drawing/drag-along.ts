import type { PointerEvent } from 'react';
import type { Unit } from '@long-miter/core';

/** Steps a dragged thing moves by: a sixteenth, a millimetre. */
const STEP: Readonly<Record<Unit, number>> = { in: 1 / 16, mm: 1 };

interface Dragged {
  readonly at: number;
  readonly width: number;
  /** Of the wall it stands in. */
  readonly length: number;
  readonly unit: Unit;
  /** How far along the wall a move of the pointer is. */
  readonly along: (dx: number, dy: number) => number;
}

/** Follows the pointer until it is let go; what is dragged stays inside its wall. */
export function dragAlong(
  event: PointerEvent<SVGGElement>,
  { at, width, length, unit, along }: Dragged,
  move: (at: number) => void,
): void {
  const { clientX, clientY, currentTarget: target } = event;
  target.setPointerCapture(event.pointerId);
  const follow = (now: globalThis.PointerEvent): void => {
    const next = at + along(now.clientX - clientX, now.clientY - clientY);
    move(Math.max(0, Math.min(length - width, Math.round(next / STEP[unit]) * STEP[unit])));
  };
  const stop = (): void => {
    target.removeEventListener('pointermove', follow);
    target.removeEventListener('pointerup', stop);
    target.removeEventListener('pointercancel', stop);
  };
  target.addEventListener('pointermove', follow);
  target.addEventListener('pointerup', stop);
  target.addEventListener('pointercancel', stop);
}
