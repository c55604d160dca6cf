import { type Vocabulary, type Words } from '../../messages/index.ts';
import { fromMinor } from '../../measure/index.ts';
import { publishedPlan, type PlanFile, type Warning } from '../../plan/index.ts';
import { shopRecordId } from './records.ts';
import { foldLog } from '../log/fold.ts';
import { planRemaining, type RemainingOptions, type RemainingPlan } from './plan-remaining.ts';
import type { LogFile, LoggedPlan } from '../log/log-file.ts';
import { tagsFor } from '../log/tags-for.ts';
import { remainingStickId } from '../wood/work.ts';

/** What stands in the way of giving rooms to the saw, each with its place and, in its words, its remedy. */
interface GiveFaults {
  /** What nobody can cut or would have to cut twice: it has to be put right first. */
  readonly hard: readonly { readonly text: Words; readonly room?: string }[];
  /** What was assumed or does not agree: it may be accepted by name. */
  readonly assumed: readonly Warning[];
}

const HARD: ReadonlySet<Warning['code']> = new Set(['beyond-saw', 'tight-stick', 'no-room']);
const ASSUMED: ReadonlySet<Warning['code']> = new Set(['assumed-angle', 'closure']);

/**
 * Looks at a plan before it is given to the saw.
 * @param rooms those that are given; undefined: all
 * Source: workshop, section 3.
 */
export function giveFaults(plan: PlanFile, rooms?: ReadonlySet<string>): GiveFaults {
  const roomOf = new Map(plan.pieces.map((piece) => [piece.id as string, piece.room]));
  const concerned = ({ room, piece, pieces }: Warning): boolean => {
    if (!rooms) return true;
    const own = [room, ...[piece, ...(pieces ?? [])].map((id) => id && roomOf.get(id))].filter(
      (one) => one !== undefined,
    );
    return own.length === 0 || own.some((one) => rooms.has(one));
  };
  const seen = plan.watchOuts.filter(concerned);
  return {
    hard: [
      ...plan.refused
        .filter((one) => !rooms || one.room === undefined || rooms.has(one.room))
        .map(({ text, room }) => ({ text, ...(room === undefined ? {} : { room }) })),
      ...seen
        .filter((one) => HARD.has(one.code))
        .map(({ text, room }) => ({ text, ...(room === undefined ? {} : { room }) })),
    ],
    assumed: seen.filter((one) => ASSUMED.has(one.code)),
  };
}

/** What an accepted assumption is called in an issue: its code and place. */
export const acceptedName = ({ code, room, wall, corner }: Warning): string =>
  [code, room, wall ?? corner].filter((one) => one !== undefined).join(' ');

/**
 * A plan as it is given: its pieces with all that the saw's screens need of them, each stick with its line of stock, money in
 * decimals as in every file. What was noted as cut by hand before is not cut again; what is opened at the saw is planned anew.
 */
export function issuePlan(plan: PlanFile, vocabulary?: Vocabulary): LoggedPlan {
  const byHand = plan.sticks.filter(({ cut }) => cut !== undefined && !cut.startsWith(shopRecordId('')));
  const done = new Set(byHand.flatMap((stick) => stick.cuts.map((cut) => cut.piece)));
  return {
    ...publishedPlan(plan, vocabulary),
    pieces: plan.pieces.filter((piece) => !done.has(piece.id)),
    sticks: plan.sticks
      .filter((stick) => stick.cut === undefined)
      .map((stick) => ({ ...stick, price: fromMinor(stick.price, plan.coin) })),
  } as unknown as LoggedPlan;
}

/** A plan of what is left as the plan of a new issue. */
export interface NextIssue {
  readonly plan: LoggedPlan;
  readonly left: RemainingPlan;
}

/**
 * The plan of another trip, or of what has no stick any more: pieces as they are asked for now, and sticks that begin with
 * what is opened and on the rack. Opened sticks stand in it by their letter, with what still comes from them.
 * @param plan  the job's plan as it is now; its pieces count, its sticks do not
 * @param rooms given in this trip; undefined: all
 */
export function nextIssue(
  log: LogFile,
  plan: LoggedPlan,
  rooms: ReadonlySet<string> | undefined,
  options: RemainingOptions,
): NextIssue {
  const before = foldLog(log);
  const revision = 1 + Math.max(0, ...log.issues.map((one) => one.revision));
  const tags = tagsFor(plan, before, rooms);
  // The sticks are those of the issue before: what nobody has opened changes only where it has to.
  const sticksBefore = before.issue?.plan.sticks ?? [];
  const shop = foldLog({
    ...log,
    issues: [...log.issues, { revision, at: LAST, plan: { ...plan, sticks: sticksBefore }, tags }],
  });
  const left = planRemaining(shop, options);
  const pieceOf = new Map(shop.pieces.map((piece) => [piece.tag, piece.piece]));
  const sticks = left.sticks.map((stick): LoggedPlan['sticks'][number] => ({
    id:
      stick.letter === undefined
        ? remainingStickId(
            stick.profile,
            stick.cuts.map((cut) => cut.tag),
          )
        : `opened ${stick.letter}`,
    profile: stick.profile,
    source: stick.source,
    ...(stick.letter === undefined ? {} : { letter: stick.letter }),
    ...(stick.label === undefined ? {} : { label: stick.label }),
    length: stick.length,
    price: stick.price,
    cuts: stick.cuts.map((cut) => ({ piece: pieceOf.get(cut.tag)!, start: cut.start })),
    leftover: stick.leftover,
  }));
  return { plan: { ...plan, sticks }, left };
}

/** Later than anything that has happened. */
const LAST = '9999-12-31T23:59:59Z';
