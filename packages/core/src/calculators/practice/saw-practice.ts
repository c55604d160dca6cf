import { message, type Words, wordOf } from '../../messages/index.ts';
import { SAME_ANGLE, failIfAny, ok, type Issue, type Result, numbersFrom } from '../../base/index.ts';
import { dot3, type Vec3, type Drawing } from '../../geometry/index.ts';
import { traitsOf, type Profile } from '../../job/index.ts';
import { parseAngle, type Unit } from '../../measure/index.ts';
import {
  cutIn,
  endNormal,
  normalOf,
  seatSpring,
  seatWords,
  settingText,
  type Cut,
  type PieceEnd,
  type SawSetting,
  type Seat,
  type Swing,
} from '../../saw/index.ts';
import { cutDrawing, endSolidDrawing } from '../../drawings/index.ts';
import { deg } from '../sheets/sheet.ts';

/**
 * Practice at the saw: a piece and a corner are told; one says how it lies, which way handle and blade go and which side is
 * kept, and sees the end one would have cut beside the wanted one. By the same seating as the cards at the saw.
 */

export const SAW_PRACTICE_KINDS = [
  { kind: 'saw-base', name: message('practice.at-the-saw-base-standing') },
  { kind: 'saw-base-flat', name: message('practice.at-the-saw-base-lying-flat') },
  { kind: 'saw-casing', name: message('practice.at-the-saw-casing') },
  { kind: 'saw-crown', name: message('practice.at-the-saw-crown-nested') },
  { kind: 'saw-crown-flat', name: message('practice.at-the-saw-crown-lying-flat') },
] as const;

export type SawPracticeKind = (typeof SAW_PRACTICE_KINDS)[number]['kind'];

export interface SawRound {
  readonly kind: SawPracticeKind;
  readonly profile: Profile;
  readonly end: PieceEnd;
  /** Signed end angle, positive where the near line is the long one. */
  readonly angle: number;
  readonly told: readonly Words[];
  /** Ways it may be laid on the saw, in words. */
  readonly seats: readonly { readonly value: Seat; readonly label: Words }[];
}

/** What one would set. */
export interface SawChoice {
  readonly seat: Seat;
  readonly swing: Swing;
  readonly tilt: Swing;
  readonly keep: 'left' | 'right';
  /** As typed; only asked where the handle or the blade goes anywhere. */
  readonly miter: string;
  readonly bevel: string;
}

export interface SawResult {
  readonly right: boolean;
  /** Degrees between the plane that was cut and the wanted one. */
  readonly off: number;
  /** What went wrong, a line each; empty where it is right. */
  readonly faults: readonly Words[];
  /** The wanted cut, lying as it was laid. */
  readonly wanted: Words;
  readonly drawings: readonly Drawing[];
}

/** Nearer than this a joint can be closed: half a degree. */
const RIGHT = 0.5;

const SEATS: Readonly<Record<SawPracticeKind, readonly Seat[]>> = {
  'saw-base': ['stand', 'standUpsideDown'],
  'saw-base-flat': ['flatTopToFence', 'flatBottomToFence'],
  'saw-casing': ['flatTopToFence', 'flatBottomToFence'],
  'saw-crown': ['standUpsideDown', 'nestedCeilingToFence'],
  'saw-crown-flat': ['flatTopToFence', 'flatBottomToFence'],
};

function profileOf(kind: SawPracticeKind, unit: Unit): Profile {
  const size = (inches: number, mm: number): number => (unit === 'in' ? inches : mm);
  const common = {
    id: 'practice',
    thickness: size(0.75, 18),
    material: 'softwood',
    finish: 'paint',
  } as const;
  if (kind === 'saw-casing') return { ...common, name: common.id, use: 'casing', width: size(2.25, 57) };
  if (kind === 'saw-crown' || kind === 'saw-crown-flat')
    return {
      ...common,
      name: common.id,
      use: 'crown',
      width: size(3.625, 92),
      springAngle: 38,
    };
  return { ...common, name: common.id, use: 'base', width: size(5.25, 140) };
}

/** A round at the saw. The same seed always sets the same piece. */
export function sawRound(seed: number, unit: Unit, kind?: SawPracticeKind): SawRound {
  const next = numbersFrom(seed);
  const any = SAW_PRACTICE_KINDS[Math.floor(next() * SAW_PRACTICE_KINDS.length)]!.kind;
  const what = kind ?? any;
  const profile = profileOf(what, unit);
  const seats = SEATS[what].map((value) => ({ value, label: seatWords(value, profile) }));
  const end: PieceEnd = next() < 0.5 ? 'left' : 'right';
  if (what === 'saw-casing') {
    const corner = 90 + Math.round((next() - 0.5) * 8) / 4;
    const parts = ['head', 'left', 'right'] as const;
    const part = parts[Math.floor(next() * parts.length)]!;
    // Outer edge up, a left leg has its miter at the right, a right leg at the left.
    const at = part === 'head' ? end : part === 'left' ? 'right' : 'left';
    return {
      kind: what,
      profile,
      end: at,
      angle: -corner / 2,
      told: [
        part === 'head'
          ? message('practice.casing-of-a-door-the-head', { at: wordOf(at) })
          : message('practice.casing-of-a-door-its-top', {
              part: message(part === 'left' ? 'practice.the-left-leg' : 'practice.the-right-leg'),
              at: wordOf(at),
            }),
        message('practice.the-corner-of-the-frame-is', { corner: deg(corner) }),
      ],
      seats,
    };
  }
  const outside = next() < 0.4;
  const faces = 84 + Math.round(next() * 48) / 4;
  const A = outside ? 360 - faces : faces;
  const side = end === 'right' ? 'left' : 'right';
  return {
    kind: what,
    profile,
    end,
    angle: (180 - A) / 2,
    told: [
      message('practice.the-piece-on-the-wall-of', {
        side: wordOf(side),
        choice: outside ? message('practice.an-outside') : message('practice.an-inside'),
        end: wordOf(end),
      }),
      message('practice.a-protractor-between-the-faces-reads', { faces: deg(faces) }),
      ...(traitsOf(profile).sprung ? [message('practice.spring-angle-38-deg-between-its')] : []),
    ],
    seats,
  };
}

const cutOf = ({ swing, tilt, keep }: SawChoice, miter: number, bevel: number): Cut => ({
  miter: swing === 'none' ? 0 : miter,
  swing,
  bevel: tilt === 'none' ? 0 : bevel,
  tilt,
  keep,
});

const asSetting = (seat: Seat, cut: Cut): SawSetting & { readonly seat: Seat } => ({
  ...cut,
  way: seat === 'stand' ? 'standing' : seat.startsWith('flat') ? 'flat' : 'nested',
  seat,
  dial: cut.miter,
  dialBevel: cut.bevel,
});

/**
 * What the setting would have given.
 * Issues: `at` is `miter` or `bevel`; a figure missing, no angle, or more than a saw can.
 */
export function judgeSaw(round: SawRound, choice: SawChoice): Result<SawResult> {
  const issues: Issue[] = [];
  const read = (at: 'miter' | 'bevel', wanted: boolean): number => {
    if (!wanted) return 0;
    const angle = parseAngle(choice[at]);
    if (!angle.ok) issues.push({ at, text: angle.issues[0].text });
    else if (angle.value > 75) issues.push({ at, text: message('practice.must-be-at-most-75-no') });
    else if (angle.value < SAME_ANGLE)
      issues.push({ at, text: message('practice.say-straight-if-it-goes-nowhere') });
    else return angle.value;
    return 0;
  };
  const miter = read('miter', choice.swing !== 'none');
  const bevel = read('bevel', choice.tilt !== 'none');
  if (issues.length > 0) return failIfAny(issues, undefined as never);
  const { profile, end, angle } = round;
  const spring = seatSpring(profile);
  const wanted = endNormal(profile, end, angle);
  const right = cutIn(choice.seat, wanted, spring);
  const cut = cutOf(choice, miter, bevel);
  const got = normalOf(choice.seat, cut, spring);
  const off = degreesBetween(got, wanted);
  const faults = [
    ...(cut.keep === right.keep
      ? []
      : [
          message('practice.you-kept-the-side-that-is', {
            keep: wordOf(cut.keep),
            choice: wordOf(end === 'left' ? 'right' : 'left'),
          }),
        ]),
    ...(cut.swing === right.swing || close(miter, 0, right.miter)
      ? []
      : [
          message('practice.the-handle-goes', {
            choice:
              right.swing === 'none'
                ? message('practice.nowhere')
                : message('practice.to-the', { swing: wordOf(right.swing) }),
          }),
        ]),
    ...(cut.tilt === right.tilt || close(bevel, 0, right.bevel)
      ? []
      : [
          right.tilt === 'none'
            ? message('practice.the-blade-stands-upright')
            : message('practice.the-top-of-the-blade-leans', { tilt: wordOf(right.tilt) }),
        ]),
  ];
  if (faults.length === 0 && off > RIGHT)
    faults.push(message('practice.the-sides-are-right-the-figures', { off: deg(off) }));
  const drawing = (setting: Cut, title: Words): Drawing[] => {
    const made = cutDrawing(
      { profile, end, saw: asSetting(choice.seat, setting), mark: MARK },
      profile.thickness / 6,
      'operator',
    );
    return made ? [{ ...made, title }] : [];
  };
  return ok({
    right: faults.length === 0,
    off,
    faults,
    wanted: settingText(asSetting(choice.seat, right), profile),
    drawings: [
      endSolidDrawing(profile, wanted, message('practice.the-wanted-end-as-it-hangs')),
      endSolidDrawing(
        profile,
        got,
        faults.length === 0
          ? message('practice.what-you-cut-the-same')
          : message('practice.what-you-would-have-cut'),
      ),
      ...drawing(right, message('practice.the-wanted-cut-on-the-saw')),
    ],
  });
}

const MARK = { length: 0, text: '', from: '', edge: '', line: 'near' } as const;

const close = (a: number, b: number, wanted: number): boolean => Math.abs(a - b) < RIGHT && wanted < RIGHT;

/** Degrees between two unit vectors. */
const degreesBetween = (a: Vec3, b: Vec3): number =>
  (Math.acos(Math.max(-1, Math.min(1, dot3(a, b)))) * 180) / Math.PI;
