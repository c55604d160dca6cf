import { clearances, wholeUp } from '../model/end-classes.ts';
import type { CutProblem } from '../model/problem.ts';
import { Sequencer } from '../model/sequencer.ts';

/** A blank by its figures alone, lengths in cutting units. */
export interface LooseBlank {
  readonly near: number;
  readonly left: number;
  readonly right: number;
  readonly depth: number;
}

/**
 * Lays blanks on one stick in the order that wastes least.
 * @param stick length of the stick, units
 * @returns for each position from the left the index of its blank and where its near line starts; undefined when they do not fit
 */
export function layOnStick(
  problem: Pick<CutProblem, 'kerf' | 'endTrim' | 'cutMargin'>,
  stick: number,
  blanks: readonly LooseBlank[],
): { readonly blank: number; readonly start: number }[] | undefined {
  // Every blank is a class of its own: a stick holds few, and the order found names them directly.
  const clear = clearances(blanks, problem.kerf, problem.endTrim);
  const sequencer = new Sequencer(clear);
  const set = blanks.reduce((held, _, index) => sequencer.with(held, index), sequencer.empty);
  const lengths = blanks.map((blank) => wholeUp(blank.near));
  const margin = blanks.length * (problem.cutMargin ?? 0);
  if (lengths.reduce((sum, length) => sum + length, margin) + set.extra > stick) return undefined;
  let at = 0;
  let before = -1;
  return sequencer.order(set).map((blank) => {
    at += before < 0 ? clear.lead[blank]! : clear.gap(before, blank);
    const start = at;
    at += lengths[blank]!;
    before = blank;
    return { blank, start };
  });
}
