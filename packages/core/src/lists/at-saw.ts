import { SAME_ANGLE, type PieceKey } from '../base/index.ts';
import { completeHouseRules, type JobFile } from '../job/index.ts';
import { letters, type Shop, type ShopPiece, type Work, type WorkStick } from '../workshop/index.ts';
import { cutSteps, type CutStep } from './cut-steps.ts';

/** What is to be done at the saw now: one thing at a time, from what was given and what has happened. */
export type SawTask =
  /** Fetch a stick, write the letter on it. */
  | { readonly kind: 'take'; readonly stick: WorkStick; readonly letter: string }
  | { readonly kind: 'cut'; readonly stick: WorkStick; readonly step: CutStep; readonly left: number }
  /** Write the tag on the piece; only now is it done. */
  | { readonly kind: 'write'; readonly stick: WorkStick; readonly piece: ShopPiece; readonly step: CutStep }
  /** Nothing but what waits for its measure. */
  | { readonly kind: 'waits'; readonly pieces: readonly ShopPiece[] }
  /** Pieces without a stick: they want a new plan. */
  | { readonly kind: 'loose'; readonly pieces: readonly ShopPiece[] }
  | { readonly kind: 'done' };

type Job = Pick<JobFile, 'rooms' | 'unit' | 'profiles' | 'saws' | 'saw' | 'houseRules'>;

const byTag = (shop: Shop): Map<string, ShopPiece> => new Map(shop.pieces.map((piece) => [piece.tag, piece]));

/** A name by which a stick at the saw is chosen: its letter, or where it stands in its issue. */
export const stickName = ({ letter, from }: WorkStick): string => letter ?? `${from.revision}/${from.stick}`;

/** The cuts of a piece that is made from the wood of a spoilt one: what its blank has already is not cut again. */
function blankSteps(job: Job, shop: Shop, work: Work, stick: WorkStick, piece: ShopPiece): CutStep[] {
  const blank = shop.pieces.find(
    (one) => one.state === 'reused' && one.letter === piece.letter && one.start === piece.start,
  );
  const alike = blank && Math.abs(blank.plan.left.angle - piece.plan.left.angle) < SAME_ANGLE;
  const own = { ...stick.stick, cuts: [{ piece: piece.tag as PieceKey, start: 0 }], marked: [] };
  return cutSteps(job, { pieces: work.pieces, sticks: [own] }).filter(
    (step) => (step.piece.id as string) === piece.tag && !(alike && step.end === 'left'),
  );
}

/** The cuts of a stick that are still to be made, in order. */
function stepsLeft(job: Job, shop: Shop, work: Work, stick: WorkStick): CutStep[] {
  const pieces = byTag(shop);
  const blanks = stick.todo.flatMap((tag) => {
    const piece = pieces.get(tag)!;
    return piece.fromBlank ? blankSteps(job, shop, work, stick, piece) : [];
  });
  return [...blanks, ...cutSteps(job, { pieces: work.pieces, sticks: [stick.stick] })].filter((step) => {
    const piece = pieces.get(step.piece.id);
    return (
      piece !== undefined &&
      (piece.state === 'ready' || piece.state === 'in-hand' || piece.state === 'held') &&
      !piece.cutEnds.includes(step.end)
    );
  });
}

/** A piece on a stick that is cut and not written yet. */
function unwritten(shop: Shop, { letter, todo }: WorkStick): ShopPiece | undefined {
  const pieces = byTag(shop);
  const small = shop.pieces.filter(
    (one) => one.state === 'in-hand' && one.letter === letter && !todo.includes(one.tag),
  );
  return [...todo.map((tag) => pieces.get(tag)!), ...small].find(
    (one) => one.state === 'in-hand' && one.cutEnds.length >= (one.fromBlank ? 1 : 2),
  );
}

/** The task at one stick; undefined where there is nothing to do at it just now. */
function taskAt(job: Job, shop: Shop, work: Work, stick: WorkStick): SawTask | undefined {
  const pieces = byTag(shop);
  // A stick that only what waits comes from is not fetched before the measure is there.
  if (stick.todo.length > 0 && stick.todo.every((tag) => pieces.get(tag)?.state === 'held')) return undefined;
  if (stick.letter === undefined) return { kind: 'take', stick, letter: nextLetter(shop) };
  const done = unwritten(shop, stick);
  const steps = stepsLeft(job, shop, work, stick);
  if (done) {
    const all = [
      ...(done.fromBlank ? blankSteps(job, shop, work, stick, done) : []),
      ...cutSteps(job, { pieces: work.pieces, sticks: [stick.stick] }),
    ];
    const step = all.findLast((one) => (one.piece.id as string) === done.tag);
    if (step) return { kind: 'write', stick, piece: done, step };
  }
  const step = steps.find((one) => !one.held);
  // A held head lies last: nothing of this stick is cut before it is measured.
  return step && !steps[0]!.held ? { kind: 'cut', stick, step, left: steps.length } : undefined;
}

/** The next letter that stands on no stick of the job. */
function nextLetter(shop: Pick<Shop, 'sticks'>): string {
  const taken = new Set(shop.sticks.map((stick) => stick.letter));
  for (let n = 0; ; n++) if (!taken.has(letters(n))) return letters(n);
}

/**
 * What to do now. The stick that something of is in hand comes first, then the one chosen, then those that are open, then the
 * next one as planned.
 * @param chosen a stick's name, as `stickName` has it
 */
export function sawTask(job: Job, shop: Shop, work: Work, chosen?: string): SawTask {
  const inHand = new Set(shop.pieces.filter((one) => one.state === 'in-hand').map((one) => one.letter));
  const order = [
    ...work.sticks.filter((stick) => stick.letter !== undefined && inHand.has(stick.letter)),
    ...work.sticks.filter((stick) => stickName(stick) === chosen),
    ...work.sticks,
  ];
  for (const stick of order) {
    const task = taskAt(job, shop, work, stick);
    if (task) return task;
  }
  const loose = work.loose.filter((piece) => piece.state === 'ready');
  if (loose.length > 0) return { kind: 'loose', pieces: loose };
  const held = shop.pieces.filter((piece) => piece.state === 'held');
  return held.length > 0 ? { kind: 'waits', pieces: held } : { kind: 'done' };
}

/** Sticks whose remainder is worth a place on the rack: open, with nothing more to cut from them. */
export function remaindersOf(job: Pick<JobFile, 'houseRules' | 'unit'>, work: Work): readonly WorkStick[] {
  const { minReusable } = completeHouseRules(job.houseRules, job.unit);
  return work.sticks.filter(
    (stick) => stick.letter !== undefined && stick.todo.length === 0 && stick.remains >= minReusable,
  );
}

/** Ready pieces that the wood of a spoilt one would do for, longest first. */
export const reusableFor = (shop: Shop, spoilt: ShopPiece, usable: number): ShopPiece[] =>
  shop.pieces
    .filter(
      (one) =>
        one.state === 'ready' &&
        one.near > 0 &&
        one.near <= usable &&
        one.plan.profile === spoilt.plan.profile &&
        one.stem !== spoilt.stem,
    )
    .sort((a, b) => b.near - a.near);
