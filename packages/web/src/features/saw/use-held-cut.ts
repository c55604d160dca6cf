import { useEffect, useState } from 'react';
import { settingText, type CutStep, type SawTask, wordsKey } from '@long-miter/core';
import type { ShopSession } from '../../session/shop/shop.ts';
import { translate, t } from '../../messages/t.ts';

type CutTask = Extract<SawTask, { kind: 'cut' }>;

const keyOf = ({ step }: CutTask): string => `${step.piece.label} ${step.end}`;
const figuresOf = ({ mark, saw }: CutStep): string =>
  [
    wordsKey(mark.text),
    wordsKey(mark.edge),
    saw.swing,
    saw.dial,
    saw.tilt,
    saw.dialBevel,
    saw.keep,
    saw.seat,
  ].join('|');

/** The newest thing this device did, as a mark by which one sees that it has done something since. */
function markOf({ log, device }: ShopSession): number {
  const own = (log?.events ?? []).filter((event) => event.device === device && event.kind !== 'end-set');
  return own.reduce((newest, event) => Math.max(newest, event.deviceSeq), 0);
}

interface HeldCut {
  /** What is shown: the cut that was set up, as long as this device has done nothing since. */
  readonly task: SawTask;
  /** The cut that would be shown now, where somebody else has changed it under the one that is set up. */
  readonly instead: SawTask | undefined;
  /** Puts down what is set up and shows what is asked for now. */
  readonly putDown: () => void;
}

/**
 * The cut that is set up does not change on the screen: another trip that is given, a figure that is read anew, a piece that is
 * withdrawn are said beside it, and going over to them is an act. Whatever this device does, it goes on from there.
 * @param elsewhere another device has the saw: what it does is followed
 */
export function useHeldCut(task: SawTask, elsewhere: boolean, session: ShopSession): HeldCut {
  const mark = markOf(session);
  const [held, setHeld] = useState<{ readonly task: CutTask; readonly mark: number }>();
  const stays = held !== undefined && held.mark === mark && !elsewhere;
  useEffect(() => {
    if (!stays) setHeld(task.kind === 'cut' && !elsewhere ? { task, mark } : undefined);
  }, [stays, task, mark, elsewhere]);
  const same =
    stays &&
    task.kind === 'cut' &&
    keyOf(task) === keyOf(held.task) &&
    figuresOf(task.step) === figuresOf(held.task.step);
  return {
    task: stays && !same ? held.task : task,
    instead: stays && !same ? task : undefined,
    putDown: () => setHeld(undefined),
  };
}

/** What became of the cut that is set up, in words. */
export function insteadWords(held: SawTask, instead: SawTask): string {
  if (held.kind !== 'cut') return '';
  const tag = held.step.piece.label;
  if (instead.kind === 'cut' && keyOf(instead) === keyOf(held)) {
    const [was, is] = [held.step, instead.step];
    // What one sees to be otherwise: the mark, else how the saw is set.
    const shown = (step: CutStep): string =>
      translate(was.mark.text === is.mark.text ? settingText(step.saw, step.profile) : step.mark.text);
    return t('Stop: {tag} was given anew: {was} → {now}', { tag, was: shown(was), now: shown(is) });
  }
  return t('Stop: {tag} is not what is asked for now', { tag });
}
