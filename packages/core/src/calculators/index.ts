import { casings } from './sheets/casings.ts';
import { corners } from './sheets/corners.ts';
import { crowns } from './sheets/crown.ts';
import { fits } from './sheets/fit.ts';
import { frames } from './sheets/frames.ts';
import { lengths } from './sheets/lengths.ts';
import { rounds } from './sheets/round.ts';
import { saws } from './sheets/saw.ts';
import type { Sheet } from './sheets/sheet.ts';
import { slopes } from './sheets/slopes.ts';
import { tapes } from './sheets/tape.ts';
import { untrueWalls } from './sheets/untrue-walls.ts';

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

export { fieldsAsked, formatGap, gapFigure, startTexts, workSheet } from './sheets/sheet.ts';
export type { Answer, Field, Outcome, Send, Sheet, Slide, Thumb } from './sheets/sheet.ts';
export {
  judgePractice,
  practiceRound,
  PRACTICE_KINDS,
  type PracticeKind,
  type PracticeResult,
} from './practice/practice.ts';
export {
  judgeSaw,
  sawRound,
  SAW_PRACTICE_KINDS,
  type SawChoice,
  type SawPracticeKind,
  type SawResult,
  type SawRound,
} from './practice/saw-practice.ts';
export { jointSeen, type JointCut } from './sheets/fit.ts';
export { jointCloseUp } from './pictures/close-up.ts';
