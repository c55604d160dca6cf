import {
  message,
  angleFigure,
  bareFigure,
  type Words,
  wordOf,
  type WarningCode,
  listOf,
} from '../messages/index.ts';
import { tanDeg } from '../base/index.ts';
import { type Unit } from '../measure/index.ts';
import type { Saw } from '../job/index.ts';
import { detentBeside, dropOf, projectionOf, roundingOpens } from '../saw/index.ts';
import type { Piece, PlanFile } from '../plan/index.ts';
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
export function cutNotes(step: CutStep, saw: Saw | undefined, unit: Unit): Words[] {
  const { piece, profile, end, saw: setting } = step;
  const { joint, angle, snip } = piece[end];
  const notes: Words[] = [];
  if (step.recipe !== undefined) notes.push(step.recipe);
  notes.push(...nestedNotes(step, unit));
  if (step.alsoMakes)
    notes.push(message('bench.this-cut-makes-the-left-end', { label: step.alsoMakes.label }));
  if (setting.block)
    notes.push(
      message('bench.clamp-a-block-to-the-fence', {
        angle: angleFigure(setting.block.angle),
        thickEnd: wordOf(setting.block.thickEnd),
        miter: angleFigure(setting.miter),
      }),
    );
  const detent = setting.swing === 'none' ? undefined : detentBeside(saw, setting.dial);
  if (detent !== undefined)
    notes.push(
      message('bench.the-detent-at-pulls-the-handle', {
        detent: angleFigure(detent),
        dial: angleFigure(setting.dial),
      }),
    );
  if (saw?.motor !== undefined && setting.way === 'standing' && setting.swing === saw.motor)
    notes.push(message('bench.the-motor-comes-down-on-the', { motor: wordOf(saw.motor) }));
  const opens = roundingOpens(setting, profile, saw);
  if (opens > SEEN[unit])
    notes.push(
      message('bench.the-scale-cannot-show-it-nearer', { opens: bareFigure(opens, unit, 32), unit }),
    );
  if (joint === 'cope') {
    const { from, to } = copeRelief(angle);
    notes.push(
      message('bench.then-cope-along-the-cut-edge', {
        from: angleFigure(Math.round(from)),
        to: angleFigure(Math.round(to)),
      }),
    );
  }
  if (snip !== undefined) notes.push(message('bench.then-snip-the-nose-at-45'));
  if (step.backCut > 0)
    notes.push(
      message('bench.cut-it-back-so-that-the', {
        backCut: angleFigure(step.backCut),
        width: bareFigure(profile.width * tanDeg(step.backCut), unit, 32),
        unit,
        width2: bareFigure(profile.width, unit),
      }),
    );
  notes.push(...partNotes(step, unit));
  return notes;
}

/** Crown rolls on its two edges; after so many cuts its stop is looked at again. */
const CHECK_STOP = 10;

/**
 * How crown is held nested, said at its first end: where the stop is, and what comes of laying it the other way up, as some do.
 * With the ceiling edge up the fence the same swing is right for a crown whose drop and projection are changed about.
 * Source: crown, section 5.
 */
function nestedNotes({ end, profile, saw }: CutStep, unit: Unit): Words[] {
  if (saw.way !== 'nested' || end !== 'left') return [];
  const size = (value: number): Words =>
    message('bench.joined', { value: bareFigure(value, unit, 32), unit });
  const [drop, out] = [dropOf(profile), projectionOf(profile)];
  const off = Math.abs(drop - out);
  return [
    message('bench.stop-its-ceiling-edge-out-on', { out: size(out), drop: size(drop), stop: CHECK_STOP }),
    ...(off > SEEN[unit] ? [message('bench.never-with-the-ceiling-edge-up', { off: size(off) })] : []),
  ];
}

/** What is done to a part of an opening besides its two ends; said at its last one. */
function partNotes({ piece, end, profile }: CutStep, unit: Unit): Words[] {
  const size = (value: number): Words =>
    message('bench.joined', { value: bareFigure(value, unit, 32), unit });
  if (end === 'left')
    return profile.finish === 'prefinished' && piece.opening !== undefined
      ? [message('bench.prefinished-mark-on-tape-or-on')]
      : [];
  const notes: Words[] = [];
  const { taper, width, notches } = piece;
  if (piece.role === 'head' && piece.allowance > 0)
    notes.push(message('bench.rough-of-it-is-to-spare', { allowance: size(piece.allowance) }));
  if (taper)
    notes.push(
      message('bench.then-rip-it-on-the-sled', {
        left: size(taper.left),
        right: size(taper.right),
        over: size(Math.abs(taper.left - taper.right)),
      }),
    );
  else if (width !== undefined)
    notes.push(
      piece.role === 'stool'
        ? message('bench.rip-it-to-deep-the-factory', { width: size(width) })
        : message('bench.then-rip-it-to', {
            width: size(width),
            leg: piece.role.startsWith('leg') ? message('bench.its-outer-edge-off') : '',
          }),
    );
  if (notches) {
    const { left, right } = notches;
    const notch = (of: { length: number; depth: number }): Words =>
      message('bench.by', { length: size(of.length), depth: size(of.depth) });
    notes.push(message('bench.notch-its-back-along-by-deep', { left: notch(left), right: notch(right) }));
  }
  return notes;
}

/** What the cut itself says, with its own figures: not said a second time beside it. */
const SAID_BY_CUT: ReadonlySet<string> = new Set<WarningCode>(['needs-block', 'beyond-saw']);

/** What a careful lead would point out about a piece at the saw, beside what its cuts say themselves. */
export const pieceWarnings = (plan: Pick<PlanFile, 'watchOuts'>, piece: Pick<Piece, 'id'>): Words[] =>
  plan.watchOuts.filter((one) => one.piece === piece.id && !SAID_BY_CUT.has(one.code)).map((one) => one.text);

/** What is done to a piece at the bench once it is sawn. */
export function benchTask({ piece }: CutStep): Words {
  const ends = (['left', 'right'] as const).flatMap((side) => {
    const { joint, over } = piece[side];
    if (joint === 'cope') return [message('bench.cope-its-end-along-the-revealed', { side: wordOf(side) })];
    if (joint === 'scarf')
      return [
        message('bench.its-end-is-a-scarf-and', {
          side: wordOf(side),
          lap: over ? message('bench.over') : message('bench.under'),
        }),
      ];
    return [];
  });
  return ends.length > 0 ? message('bench.at-the-bench', { items: listOf(ends, '; ') }) : '';
}
