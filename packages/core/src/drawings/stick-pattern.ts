import type { PlannedStick } from '../plan/index.ts';
import type { StickDiagram } from './stick-diagram.ts';

/** Lengths nearer to each other than this are marked with one figure on a tape. */
const SAME = 1e-6;

/**
 * Sticks that are cut alike, put together: same trim, length and source, the same cuts from left to right.
 * Pieces of the rack stay by themselves, as each is a thing with a name; so do sticks that have been cut.
 * @param sticks numbered as on the cut list
 * @returns in the order of their first sticks
 */
export function stickPatterns<T extends { readonly diagram: StickDiagram }>(
  sticks: readonly T[],
): readonly (readonly T[])[] {
  const patterns = new Map<string, T[]>();
  for (const one of sticks) {
    const look = lookOf(one.diagram);
    const same = patterns.get(look);
    if (same) same.push(one);
    else patterns.set(look, [one]);
  }
  return [...patterns.values()];
}

function lookOf({ stick, pieces }: StickDiagram): string {
  if (standsAlone(stick)) return `alone ${stick.id}`;
  const figure = (value: number): number => Math.round(value / SAME);
  return JSON.stringify([
    stick.profile,
    figure(stick.length),
    pieces.map(({ piece }) => [
      figure(piece.near),
      piece.held ? 1 : 0,
      ...[piece.left, piece.right].map((end) => [
        end.joint,
        figure(end.angle),
        figure(end.reach),
        // Everything the saw is set to: two ends of one angle may lean differently.
        end.saw,
      ]),
    ]),
  ]);
}

const standsAlone = (stick: PlannedStick): boolean => stick.source === 'rack' || stick.cut !== undefined;
