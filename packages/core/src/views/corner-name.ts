import { formatAngle } from '../measure/index.ts';

/** What a screen reader says of a corner: which walls meet in it and what was read. */
export function cornerName(
  { index, angle, assumed }: { readonly index: number; readonly angle: number; readonly assumed: boolean },
  walls: number,
): string {
  const kind = angle >= 180 ? 'outside' : 'inside';
  const next = ((index + 1) % walls) + 1;
  return `${kind} corner between wall ${index + 1} and wall ${next}, ${assumed ? 'assumed 90°' : formatAngle(angle)}`;
}
