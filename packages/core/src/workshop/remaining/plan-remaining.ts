import { cutFaultText, message, type Words } from '../../messages/index.ts';
import { WHOLE_UNIT } from '../../base/index.ts';
import {
  optimise,
  type Blank,
  type CutProblem,
  type LinearSolver,
  type StickKind,
} from '@long-miter/optimiser';
import { completeHouseRules, kerfOf, sawOf, type HouseRules, type Profile } from '../../job/index.ts';
import { toMinor } from '../../measure/index.ts';
import { coinOfJob, unitsPer } from '../../plan/index.ts';
import { depthOfProfile } from '../../saw/index.ts';
import { laidOut, openedAsTheyAre } from './remaining-sticks.ts';
import { freshSticks, unopened, type RemainingStick } from './remaining-stock.ts';
import type { LoggedPiece } from '../log/log-file.ts';
import { newestTags, openSticks, takesStick, waits, type OpenStick } from '../wood/opened.ts';
import type { Shop, ShopPiece } from '../log/state.ts';
import { nextStart, type KerfSettings } from '../wood/wood.ts';

/** The plan of what is still to be cut: what lies on opened sticks stays there, only unopened ones are planned anew. */

export interface RemainingPlan {
  readonly pieces: readonly ShopPiece[];
  readonly sticks: readonly RemainingStick[];
  readonly bounds: readonly {
    readonly profile: string;
    readonly lowerBound: number;
    readonly cost: number;
    readonly proven: boolean;
  }[];
  readonly refused: readonly { readonly profile: string; readonly code: string; readonly text: Words }[];
}

export interface RemainingOptions {
  readonly solver: LinearSolver | undefined;
  readonly seconds: number;
  /** Seconds for all profiles together, at most. */
  readonly altogether?: number;
  readonly clock: () => number;
}

const isLeft = ({ state }: ShopPiece): boolean =>
  state === 'held' || state === 'ready' || state === 'in-hand';

/** Far line beyond near line, as the optimiser counts it from the angle and this depth. */
const depthOf = (plan: LoggedPiece, profile: Profile | undefined): number => {
  for (const end of [plan.left, plan.right])
    if (end.reach !== undefined && Math.abs(end.angle) > 1)
      return Math.abs(end.reach / Math.tan((end.angle * Math.PI) / 180));
  return profile ? depthOfProfile(profile) : 0;
};

interface Solved {
  readonly sticks: readonly RemainingStick[];
  readonly bound?: RemainingPlan['bounds'][number];
  readonly refused: RemainingPlan['refused'];
}

/** What a profile is given however late it is: a first answer takes less. */
const LEAST_SECONDS = 0.2;

/**
 * Money is counted so much finer that the sticks of the old plan that change, each counting one, decide only between plans of
 * one cost.
 */
const FINER = 1024;

/** What is common to all profiles of a job. */
interface Planning {
  readonly shop: Shop;
  readonly rules: HouseRules;
  readonly bench: KerfSettings;
  readonly newest: ReadonlyMap<string, ShopPiece>;
  /** Cutting units in one of the job's. */
  readonly units: number;
}

/** An opened stick as one that pieces can still be cut from; undefined where nothing is left of it, or what waits ends it. */
function openKind({ bench, units }: Planning, one: OpenStick): StickKind | undefined {
  const { end, stick, closed } = one;
  if (closed || !stick.open) return undefined;
  const from = end.untouched ? 0 : nextStart(end, { angle: -end.angle, reach: -end.reach }, bench);
  const length = Math.floor((stick.length - from) * units + WHOLE_UNIT);
  if (length <= 0) return undefined;
  return {
    id: `opened ${stick.letter}`,
    length,
    price: 0,
    count: 1,
    rack: true,
    // Before its first cut its end is trimmed like that of any stick.
    ...(end.untouched ? {} : { opened: { from: from * units, angle: -end.angle } }),
  };
}

function blankOf({ units }: Planning, profile: Profile | undefined, piece: ShopPiece): Blank {
  return {
    id: piece.tag,
    group: piece.plan.room,
    near: piece.near * units,
    left: piece.plan.left.angle,
    right: piece.plan.right.angle,
    qty: 1,
    depth: depthOf(piece.plan, profile) * units,
    ...(waits(piece) ? { held: true } : {}),
  };
}

function planProfile(
  planning: Planning,
  id: string,
  pieces: readonly ShopPiece[],
  options: RemainingOptions,
): Solved {
  const { shop, rules, bench, newest, units } = planning;
  const profile = shop.job.profiles.find((one) => one.id === id);
  const coin = coinOfJob(shop.job);
  const own = shop.sticks.filter(
    (one) => one.profile === id && (one.open || pieces.some((piece) => piece.letter === one.letter)),
  );
  const opened = openSticks(shop, own, newest, bench);
  const kept = new Set(opened.flatMap((one) => one.kept.map((cut) => cut.tag)));
  const loose = pieces.filter((piece) => takesStick(piece) && !kept.has(piece.tag));
  if (loose.length === 0)
    return {
      sticks: openedAsTheyAre(opened, bench),
      bound: { profile: id, lowerBound: 0, cost: 0, proven: true },
      refused: [],
    };
  const fresh = freshSticks(shop, id, units, (price) => toMinor(price, coin));
  const open = opened.flatMap((one) => {
    const kind = openKind(planning, one);
    return kind ? [{ open: one, kind }] : [];
  });
  const keep = unopened(shop, id, newest, new Set(loose.map((piece) => piece.tag)), fresh);
  const problem: CutProblem = {
    name: id,
    depth: (profile ? depthOfProfile(profile) : 0) * units,
    kerf: bench.kerf * units,
    endTrim: bench.endTrim * units,
    cutMargin: Math.ceil(rules.cutMargin * units - WHOLE_UNIT),
    minOffcut: rules.minReusable * units,
    sticks: [
      ...fresh.map(({ kind }) => ({ ...kind, price: kind.price * FINER })),
      ...open.map(({ kind }) => kind),
    ],
    blanks: loose.map((piece) => blankOf(planning, profile, piece)),
    walls: [],
    ...(keep.length > 0 ? { keep: { sticks: keep, weight: 1 } } : {}),
  };
  const answer = optimise(problem, options.solver, options);
  if (!answer.ok)
    return {
      sticks: openedAsTheyAre(opened, bench),
      refused: answer.issues.map((issue) => ({
        profile: id,
        code: issue.code.replace('cut/', ''),
        text: message('refusal.of-profile', { profile: profile?.name ?? id, fault: cutFaultText(issue) }),
      })),
    };
  const { cost: fine, lowerBound, proven } = answer.value;
  const cost = Math.round(fine / FINER);
  return {
    sticks: laidOut(answer.value, {
      units,
      fresh,
      open,
      opened,
      loose,
      planned: keep.map((one) => one.parts.map((part) => part.id)),
      bench,
    }),
    bound: {
      profile: id,
      // What moved sticks count is no money.
      lowerBound: proven ? cost : Math.max(0, Math.min(cost, Math.ceil((lowerBound - keep.length) / FINER))),
      cost,
      proven,
    },
    refused: [],
  };
}

/**
 * Plans what is still to be cut. Pieces in hand stay on their stick; where a stick was cut as planned so far its remaining
 * pieces stay on it, held ones last; everything else is shared out anew at least cost among opened sticks, rack and what is for
 * sale, and of plans of one cost the one that changes the fewest unopened sticks is taken.
 * Source: workshop, sections 5 and 11.
 */
export function planRemaining(shop: Shop, options: RemainingOptions): RemainingPlan {
  const { job } = shop;
  const rules = completeHouseRules(job.houseRules, job.unit);
  const planning: Planning = {
    shop,
    rules,
    bench: { kerf: kerfOf(sawOf(job), job.unit), endTrim: rules.endTrim },
    newest: newestTags(shop),
    units: unitsPer(job.unit),
  };
  const pieces = shop.pieces.filter(isLeft);
  const used = new Set(pieces.map((piece) => piece.plan.profile));
  const known = job.profiles.map((one) => one.id);
  const ids = [...known.filter((id) => used.has(id)), ...[...used].filter((id) => !known.includes(id))];
  const until = options.clock() + (options.altogether ?? Infinity);
  const solved = ids.map((id, index) => {
    const share = (until - options.clock()) / (ids.length - index);
    return planProfile(
      planning,
      id,
      pieces.filter((piece) => piece.plan.profile === id),
      { ...options, seconds: Math.max(LEAST_SECONDS, Math.min(options.seconds, share)) },
    );
  });
  return {
    pieces,
    sticks: solved.flatMap((one) => one.sticks),
    bounds: solved.flatMap((one) => one.bound ?? []),
    refused: solved.flatMap((one) => one.refused),
  };
}
