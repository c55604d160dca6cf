import { formatAngle } from '../measure/index.ts';

interface Read {
  readonly index: number;
  readonly angle: number;
  readonly assumed: boolean;
}

/** What is written at a corner: its angle, or that it is only assumed. */
export const cornerFigure = ({ angle, assumed }: Read): string => (assumed ? '90° ?' : formatAngle(angle));

/** What a screen reader says of a corner: which walls meet in it and what was read. */
export function cornerName({ index, angle, assumed }: Read, walls: number): string {
  const kind = angle >= 180 ? 'outside' : 'inside';
  const next = ((index + 1) % walls) + 1;
  return `${kind} corner between wall ${index + 1} and wall ${next}, ${assumed ? 'assumed 90°' : formatAngle(angle)}`;
}
