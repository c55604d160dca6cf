import { message, wordOf, type Words } from '../../messages/index.ts';
import { fail, failIfAny, ok, type Issue, type Result, numbersFrom } from '../../base/index.ts';
import { parseAngle, type Unit } from '../../measure/index.ts';
import { closes, jointAnswer, jointSeen, type JointCut } from '../sheets/fit.ts';
import { Given, deg, type Answer } from '../sheets/sheet.ts';

/** Practice at the joint: a corner is set, settings are asked for, and the gap one would have got is shown. */

export const PRACTICE_KINDS = [
  { kind: 'inside', name: message('practice.inside-about-square') },
  { kind: 'outside', name: message('practice.outside-about-square') },
  { kind: 'bay', name: message('practice.bay-wider-than-square') },
  { kind: 'acute', name: message('practice.sharp-inside') },
  { kind: 'wide-outside', name: message('practice.wide-outside') },
  { kind: 'cope', name: message('practice.coped') },
] as const;

export type PracticeKind = (typeof PRACTICE_KINDS)[number]['kind'];

interface Ask {
  readonly key: 'cutLeft' | 'cutRight' | 'undercut';
  readonly label: Words;
}

/** One round: what is told, what is asked, and the truth behind it. */
interface PracticeRound {
  readonly kind: PracticeKind;
  readonly joint: 'miter' | 'cope';
  readonly A: number;
  readonly t: number;
  readonly h: number;
  /** What the saw cuts more than it says. */
  readonly sawError: number;
  /** What one is told, a line each. */
  readonly told: readonly Words[];
  readonly asks: readonly Ask[];
}

const RANGES: Readonly<Record<PracticeKind, readonly [from: number, to: number]>> = {
  inside: [86, 94],
  outside: [266, 274],
  bay: [112, 158],
  acute: [62, 84],
  'wide-outside': [202, 250],
  cope: [84, 99],
};

/**
 * A round of practice. The same seed always sets the same corner.
 * @param kind what to practise; undefined takes any
 */
export function practiceRound(seed: number, unit: Unit, kind?: PracticeKind): PracticeRound {
  const next = numbersFrom(seed);
  const any = PRACTICE_KINDS[Math.floor(next() * PRACTICE_KINDS.length)]!.kind;
  const what = kind ?? any;
  const [from, to] = RANGES[what];
  const A = Math.round((from + (to - from) * next()) * 4) / 4;
  const joint = what === 'cope' ? 'cope' : 'miter';
  const outside = A > 180;
  const faces = outside ? 360 - A : A;
  const side = wordOf(outside ? 'outside' : 'inside');
  const readings = [
    message('practice.a-protractor-laid-between-the-faces', { faces: deg(faces), side }),
    message('practice.the-corner-is-and-off-straight', { side, value: deg(180 - faces) }),
    message('practice.a-bisecting-protractor-shows-half-of', { side, faces: deg(faces / 2) }),
  ];
  const told = [readings[Math.floor(next() * readings.length)]!];
  // Every third saw or so is out, and one is told: a test cut says so.
  const sawError = next() < 0.3 ? (next() < 0.5 ? -0.5 : 0.5) : 0;
  if (sawError !== 0)
    told.push(
      message('practice.a-test-cut-of-this-saw', {
        sawError: deg(Math.abs(sawError)),
        choice: sawError > 0 ? message('practice.more') : message('practice.less'),
      }),
    );
  return {
    kind: what,
    joint,
    A,
    t: unit === 'in' ? 0.75 : 18,
    h: unit === 'in' ? 5.25 : 140,
    sawError,
    told,
    asks:
      joint === 'miter'
        ? [
            { key: 'cutLeft', label: message('practice.left-piece-set-to') },
            { key: 'cutRight', label: message('practice.right-piece-set-to') },
          ]
        : [
            { key: 'cutLeft', label: message('practice.cut-that-reveals-the-profile') },
            { key: 'undercut', label: message('practice.undercut-at-the-back') },
          ],
  };
}

export interface PracticeResult {
  readonly answer: Answer;
  readonly faceGap: number;
  /** The face closes within 1/64 in or 0.4 mm, and no piece is too long for its wall. */
  readonly tight: boolean;
}

/**
 * What the settings would have given.
 * @param texts as typed, by key of what is asked
 * Issues: `at` is the key; a setting missing, no angle, or more than a saw can.
 */
export function judgePractice(
  round: PracticeRound,
  texts: Readonly<Record<string, string>>,
  unit: Unit,
): Result<PracticeResult> {
  const issues: Issue[] = [];
  const read: Partial<Record<Ask['key'], number>> = {};
  for (const { key } of round.asks) {
    const angle = parseAngle(texts[key] ?? '');
    if (!angle.ok) issues.push({ at: key, text: angle.issues[0].text });
    else if (angle.value > 80) issues.push({ at: key, text: message('practice.must-be-at-most-80-no') });
    else read[key] = angle.value;
  }
  if (issues.length > 0) return failIfAny(issues, undefined as never);
  const { joint, A, t, h, sawError } = round;
  const cut: JointCut = {
    joint,
    A,
    t,
    cutLeft: read.cutLeft ?? 0,
    cutRight: read.cutRight ?? 0,
    sawError,
    undercut: read.undercut ?? 0,
    relief: joint === 'cope' ? t / 2 : 0,
  };
  // So far out that the pieces no longer make a corner at all.
  if (joint === 'miter' && Math.abs(cut.cutLeft - cut.cutRight) > 60)
    return fail({ at: 'cutRight', text: message('practice.is-too-far-from-the-other') });
  const seen = jointSeen(cut);
  const answer = jointAnswer(new Given(unit, new Map(), {}), cut, h);
  return ok({ answer, faceGap: seen.faceGap, tight: closes(unit, joint, seen) });
}
