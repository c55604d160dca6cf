import { message, type Words, wordOf, angleFigure } from '../messages/index.ts';
import { formatAngle } from '../measure/index.ts';

interface Read {
  readonly index: number;
  readonly angle: number;
  readonly assumed: boolean;
}

/** What is written at a corner: its angle, or that it is only assumed. */
export const cornerFigure = ({ angle, assumed }: Read): string => (assumed ? '90° ?' : formatAngle(angle));

/** What a screen reader says of a corner: which walls meet in it and what was read. */
export function cornerName({ index, angle, assumed }: Read, walls: number): Words {
  const kind = angle >= 180 ? 'outside' : 'inside';
  const next = ((index + 1) % walls) + 1;
  return message('cutlist.corner-between-wall-and-wall', {
    kind: wordOf(kind),
    index: index + 1,
    next,
    angle: assumed ? message('cutlist.assumed-90-deg') : angleFigure(angle),
  });
}
