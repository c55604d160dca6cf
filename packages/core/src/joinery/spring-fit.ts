import type { HouseRules } from '../job/index.ts';
import type { JoinedSegment } from './runs.ts';

/**
 * What a piece of this near length between two inside corners is cut longer, to be sprung in.
 * With 1/32 more from 96 on, a stretch of 100 gets 1/32.
 * Source: joinery rules, section 5.
 */
function springAllowance(rules: Pick<HouseRules, 'springFit'>, near: number): number {
  const steps = rules.springFit.filter((step) => near >= step.from).sort((a, b) => b.from - a.from);
  return steps[0]?.add ?? 0;
}

/** The allowance of a segment left whole: only between two inside corners is there anything to spring against. */
export const segmentAllowance = (rules: HouseRules, joined: JoinedSegment): number =>
  joined.leftCut.insideCorner && joined.rightCut.insideCorner
    ? springAllowance(rules, joined.to - joined.from)
    : 0;
