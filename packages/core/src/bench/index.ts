import { casings } from './casings.ts';
import { corners } from './corners.ts';
import { crowns } from './crown.ts';
import { fits } from './fit.ts';
import { frames } from './frames.ts';
import { lengths } from './lengths.ts';
import { rounds } from './round.ts';
import { saws } from './saw.ts';
import type { Sheet } from './sheet.ts';
import { slopes } from './slopes.ts';
import { tapes } from './tape.ts';
import { untrueWalls } from './untrue-walls.ts';

/** Every calculator of the Bench, in the order its groups are shown. */
export const benchSheets: readonly Sheet[] = [
  ...corners,
  ...untrueWalls,
  ...fits,
  ...saws,
  ...lengths,
  ...rounds,
  ...crowns,
  ...casings,
  ...frames,
  ...slopes,
  ...tapes,
];

export { fieldsAsked, formatGap, startTexts, workSheet } from './sheet.ts';
export type { Answer, Field, Outcome, Send, Sheet, Slide, Thumb } from './sheet.ts';
export {
  judgePractice,
  practiceRound,
  PRACTICE_KINDS,
  type PracticeKind,
  type PracticeResult,
  type PracticeRound,
} from './practice.ts';
export {
  judgeSaw,
  sawRound,
  SAW_PRACTICE_KINDS,
  type SawChoice,
  type SawPracticeKind,
  type SawResult,
  type SawRound,
} from './saw-practice.ts';
export { jointSeen, type JointCut, type JointSeen } from './fit.ts';
export { jointCloseUp } from './close-up.ts';
