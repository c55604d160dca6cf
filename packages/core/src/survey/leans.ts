import type { Corner } from '../job/index.ts';

/** How far the walls left and right of a corner are out of plumb, degrees; positive with the top towards the room. */
export interface Leans {
  readonly left: number;
  readonly right: number;
}

/** One figure counts for both walls. */
export const leansOf = ({ lean = 0 }: Pick<Corner, 'lean'>): Leans =>
  typeof lean === 'number' ? { left: lean, right: lean } : { left: lean.left ?? 0, right: lean.right ?? 0 };

export const isLeaning = (corner: Pick<Corner, 'lean'>): boolean => {
  const { left, right } = leansOf(corner);
  return left !== 0 || right !== 0;
};
