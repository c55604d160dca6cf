import { tanDeg } from '../base/index.ts';
import { formatAngle, formatLength, type Unit } from '../measure/index.ts';
import type { Saw } from '../job/index.ts';
import { detentBeside, dropOf, projectionOf, roundingOpens } from '../saw/index.ts';
import type { Piece, PlanFile } from '../plan/index.ts';
import { tradeTerms, type Vocabulary, type WarningCode, type Words } from '../messages/index.ts';
import type { CutStep } from './cut-steps.ts';

/** Degrees by which a cope is cut back more than it must be, so that only its edge touches: from and to. */
const RELIEF = [5, 10] as const;

/**
 * How far a cope is cut back behind its edge: at least as far as the corner is wider than square, and some more.
 * @param angle signed angle of its reveal, half the turn of the corner
 * Source: geometry notes, section 2, cope.
 */
export function copeRelief(angle: number): { readonly from: number; readonly to: number } {
  const least = Math.max(0, 90 - 2 * angle);
  return { from: least + RELIEF[0], to: least + RELIEF[1] };
}

/** Openings of a joint below this are not seen once it is painted: 1/64 in, 0.4 mm. */
const SEEN: Readonly<Record<Unit, number>> = { in: 1 / 64, mm: 0.4 };

/** What else there is to know at one cut, each in a sentence that can be done as it stands. */
export function cutNotes(step: CutStep, saw: Saw | undefined, unit: Unit, vocabulary?: Vocabulary): string[] {
  const { piece, profile, end, saw: setting } = step;
  const { joint, angle, snip } = piece[end];
  const notes: string[] = [];
  if (step.recipe !== undefined) notes.push(step.recipe);
  notes.push(...nestedNotes(step, unit));
  if (step.alsoMakes) notes.push(`This cut makes the left end of ${step.alsoMakes.label} too.`);
  if (setting.block)
    notes.push(
      `Clamp a ${formatAngle(setting.block.angle)} block to the fence, its thick end to the ${setting.block.thickEnd}: the cut comes to ${formatAngle(setting.miter)}.`,
    );
  const detent = setting.swing === 'none' ? undefined : detentBeside(saw, setting.dial);
  if (detent !== undefined)
    notes.push(
      `The detent at ${formatAngle(detent)} pulls the handle: clamp it at ${formatAngle(setting.dial)}.`,
    );
  if (saw?.motor !== undefined && setting.way === 'standing' && setting.swing === saw.motor)
    notes.push(`The motor comes down on the ${saw.motor}: see that it clears the board before you cut.`);
  const opens = roundingOpens(setting, profile, saw);
  if (opens > SEEN[unit])
    notes.push(
      `The scale cannot show it nearer; the joint opens ${formatLength(opens, unit, { inchParts: 32 })} ${unit}.`,
    );
  if (joint === 'cope') {
    const { from, to } = copeRelief(angle);
    notes.push(
      `Then cope along the cut edge, ${formatAngle(Math.round(from))} to ${formatAngle(Math.round(to))} cut back behind it: the straight part at the saw, the curve by hand.`,
    );
  }
  if (snip !== undefined) notes.push('Then snip the nose at 45°.');
  if (step.backCut > 0)
    notes.push(
      `Cut it back ${formatAngle(step.backCut)} so that the face closes first: lean the blade, or put a slip of ${formatLength(profile.width * tanDeg(step.backCut), unit, { inchParts: 32 })} ${unit} under it, ${formatLength(profile.width, unit)} ${unit} from the blade.`,
    );
  notes.push(...partNotes(step, unit));
  return notes.map((note) => tradeTerms(note, vocabulary));
}

/** Crown rolls on its two edges; after so many cuts its stop is looked at again. */
const CHECK_STOP = 10;

/**
 * How crown is held nested, said at its first end: where the stop is, and what comes of laying it the other way up, as some do.
 * With the ceiling edge up the fence the same swing is right for a crown whose drop and projection are changed about.
 * Source: crown, section 5.
 */
function nestedNotes({ end, profile, saw }: CutStep, unit: Unit): string[] {
  if (saw.way !== 'nested' || end !== 'left') return [];
  const size = (value: number): string => `${formatLength(value, unit, { inchParts: 32 })} ${unit}`;
  const [drop, out] = [dropOf(profile), projectionOf(profile)];
  const off = Math.abs(drop - out);
  return [
    `Stop: its ceiling edge ${size(out)} out on the table, its wall edge ${size(drop)} up the fence. Look at it again every ${CHECK_STOP} cuts: a crown that rolls opens more than a wrong angle.`,
    ...(off > SEEN[unit]
      ? [
          `Never with the ceiling edge up the fence at this swing: it would fit only hung the other way down, ${size(off)} off on wall and ceiling.`,
        ]
      : []),
  ];
}

/** What is done to a part of an opening besides its two ends; said at its last one. */
function partNotes({ piece, end, profile }: CutStep, unit: Unit): string[] {
  const size = (value: number): string => `${formatLength(value, unit, { inchParts: 32 })} ${unit}`;
  if (end === 'left')
    return profile.finish === 'prefinished' && piece.opening !== undefined
      ? ['Prefinished: mark on tape or on its edge, no pencil on the face.']
      : [];
  const notes: string[] = [];
  const { taper, width, notches } = piece;
  if (piece.role === 'head' && piece.allowance > 0)
    notes.push(
      `Rough: ${size(piece.allowance)} of it is to spare. Turn it over on the legs, mark both outer points, then cut to the marks.`,
    );
  if (taper)
    notes.push(
      `Then rip it on the sled, ${size(taper.left)} at its left end to ${size(taper.right)} at its right: the sled is set over by ${size(Math.abs(taper.left - taper.right))}. Never freehand.`,
    );
  else if (width !== undefined)
    notes.push(
      piece.role === 'stool'
        ? `Rip it to ${size(width)} deep, the factory edge off first.`
        : `Then rip it to ${size(width)}${piece.role.startsWith('leg') ? ', its outer edge off' : ''}.`,
    );
  if (notches) {
    const { left, right } = notches;
    const notch = (of: { length: number; depth: number }): string =>
      `${size(of.length)} by ${size(of.depth)}`;
    notes.push(
      `Notch its back, along by deep: left ${notch(left)}, right ${notch(right)}. Finish the corners by hand.`,
    );
  }
  return notes;
}

/** What the cut itself says, with its own figures: not said a second time beside it. */
const SAID_BY_CUT: ReadonlySet<string> = new Set<WarningCode>(['needs-block', 'beyond-saw']);

/** What a careful lead would point out about a piece at the saw, beside what its cuts say themselves. */
export const pieceWarnings = (plan: Pick<PlanFile, 'watchOuts'>, piece: Pick<Piece, 'id'>): Words[] =>
  plan.watchOuts.filter((one) => one.piece === piece.id && !SAID_BY_CUT.has(one.code)).map((one) => one.text);

/** What is done to a piece at the bench once it is sawn. */
export function benchTask({ piece }: CutStep): string {
  const ends = (['left', 'right'] as const).flatMap((side) => {
    const { joint, over } = piece[side];
    if (joint === 'cope') return [`cope its ${side} end along the revealed line`];
    if (joint === 'scarf') return [`its ${side} end is a scarf and lies ${over ? 'over' : 'under'}`];
    return [];
  });
  return ends.length > 0 ? `At the bench: ${ends.join('; ')}.` : '';
}
