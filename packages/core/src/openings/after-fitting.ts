import { atanDeg, cosDeg } from '../base/index.ts';
import type { Opening } from '../job/index.ts';
import type { TrimmedSide } from './parts.ts';

/** What closes a miter that stayed open: which point of the head is taken down, by how much, and what angle that is. */
interface Shave {
  readonly corner: 'left' | 'right';
  /** Where it stays open. */
  readonly open: 'inner' | 'outer';
  readonly by: number;
  /** The point that touches first: so much comes off there, to nothing at the open one. */
  readonly from: 'inner' | 'outer';
  readonly degrees: number;
}

/**
 * The shaves of an opening's head corners that stayed open. A miter open by g at one point touches at the other: a wedge of
 * g there, to nothing at the open point, lets both faces meet along the whole line, which is as long as the miter.
 * @returns nothing for corners without a miter
 */
export function shavesOf(opening: Opening, { parts }: Pick<TrimmedSide, 'parts'>): Shave[] {
  const head = parts.find((part) => part.role === 'head');
  if (!head) return [];
  return (['left', 'right'] as const).flatMap((corner): Shave[] => {
    const gap = opening.opens?.[corner];
    const end = head[corner];
    if (!gap || end.joint !== 'miter') return [];
    const line = head.depth / cosDeg(end.angle);
    return [
      {
        corner,
        open: gap.at,
        by: gap.by,
        from: gap.at === 'inner' ? 'outer' : 'inner',
        degrees: atanDeg(gap.by / line),
      },
    ];
  });
}
