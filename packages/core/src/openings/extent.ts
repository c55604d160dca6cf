import { SAME_LENGTH } from '../base/index.ts';
import type { HouseRules, JobFile, Opening } from '../job/index.ts';
import { headsOf, sillsOf } from './measures.ts';
import type { Box, PartRole } from './part.ts';
import { trimSide, type TrimmedSide } from './parts.ts';

/** Something that stands on the wall at an opening; x along the wall from its left corner. */
export interface PlacedBox extends Box {
  readonly role: PartRole;
}

/** What stands on the wall around an opening, on the side of its room. */
export const placedBoxes = (opening: Opening, { parts }: Pick<TrimmedSide, 'parts'>): PlacedBox[] =>
  parts.flatMap(({ box, role }) =>
    box ? [{ ...box, role, from: opening.at + box.from, to: opening.at + box.to }] : [],
  );

/** One edge of what an opening takes of a wall at a height: where it is and what stands there. */
export interface Edge {
  readonly at: number;
  /** The outermost part; undefined where it is the opening itself. */
  readonly role: PartRole | undefined;
  readonly stands: number | undefined;
}

/**
 * What an opening takes of its wall between two heights, with the outermost part at each edge; undefined where a trim
 * passes above or below. Source: job file format, rule 2 and "Openings, to the letter".
 */
export function openingBetween(
  job: JobFile,
  rules: HouseRules,
  opening: Opening,
  low: number,
  high: number,
): { left: Edge; right: Edge } | undefined {
  const overlaps = (bottom: number, top: number): boolean =>
    bottom < high - SAME_LENGTH && top > low + SAME_LENGTH;
  const heads = headsOf(opening);
  const sills = sillsOf(opening);
  const standing = placedBoxes(opening, trimSide(job, rules, opening, 'this')).filter((one) =>
    overlaps(one.low, one.high),
  );
  const hole = overlaps(Math.min(sills.left, sills.right), Math.max(heads.left, heads.right));
  if (!hole && standing.length === 0) return undefined;
  const edge = (at: number, side: 'from' | 'to'): Edge => {
    const sign = side === 'from' ? -1 : 1;
    return standing.reduce<Edge>(
      (most, one) => {
        const past = sign * (one[side] - most.at);
        if (past < -SAME_LENGTH || (past <= SAME_LENGTH && (most.stands ?? 0) >= one.stands)) return most;
        return { at: one[side], role: one.role, stands: one.stands };
      },
      { at, role: undefined, stands: undefined },
    );
  };
  const from = hole ? opening.at : Math.min(...standing.map((one) => one.from));
  const to = hole ? opening.at + opening.width : Math.max(...standing.map((one) => one.to));
  return { left: edge(from, 'from'), right: edge(to, 'to') };
}
