import { ownTrim } from '../../joinery/index.ts';
import { formatMoney, fromMinor, toMinor } from '../../measure/index.ts';
import type { JobLayout } from '../../pieces/index.ts';
import type { Closure } from '../../survey/index.ts';
import { whyBound } from './bound-words.ts';
import { choicesOf, coinOfJob } from '../solve/cut-problems.ts';
import { piecesOf } from './pieces-of.ts';
import type { Piece, PlanFile, Refusal } from './plan-file.ts';
import { buyList, sticksOf, type SolvedProfile } from './sticks-of.ts';
import { stickWarnings, warningsOf } from '../warnings/warnings.ts';

/** Pieces of what was planned; those of refused runs are absent, and the order of installation closes up. */
function planned(
  pieces: readonly Piece[],
  solved: readonly SolvedProfile[],
  refused: readonly Refusal[],
): Piece[] {
  if (refused.length === 0) return [...pieces];
  const gone = new Set(refused.map((one) => JSON.stringify([one.profile, one.room, one.trim])));
  const profiles = new Set(solved.map((one) => one.profile.id));
  const stay = pieces.filter(
    (piece) =>
      profiles.has(piece.profile) && !gone.has(JSON.stringify([piece.profile, piece.room, piece.trim])),
  );
  const order = new Map(
    [...stay].sort((a, b) => a.order - b.order).map((piece, index) => [piece.id, index + 1]),
  );
  return stay.map((piece) => ({ ...piece, order: order.get(piece.id)! }));
}

/** Puts the plan together from a layout, the cut plans of its profiles, and what has none. */
export function assemblePlan(
  layout: JobLayout,
  closure: readonly Closure[],
  solved: readonly SolvedProfile[],
  refused: readonly Refusal[],
): PlanFile {
  const { job, rules } = layout;
  const choices = choicesOf(solved.map((one) => one.solution));
  const pieces = planned(piecesOf(layout, choices), solved, refused);
  const sticks = sticksOf(layout, choices, pieces, solved);
  const coin = coinOfJob(job);
  const splicePrice = toMinor(rules.splicePrice, coin);
  const ids = new Set(pieces.map((piece) => piece.id));
  // Pinned splices are splices too: they divide the wall before the optimiser sees it.
  const pinned = (profile: string): number =>
    layout.rooms
      .flatMap((room) => room.runs)
      .filter(
        ({ run: { frame } }) =>
          frame.profile.id === profile &&
          !refused.some(
            (one) => one.profile === profile && one.room === frame.room.id && one.trim === ownTrim(frame),
          ),
      )
      .reduce((sum, one) => sum + one.stretches.filter((stretch) => stretch.pinnedAfter).length, 0);
  const splices = solved.reduce((sum, one) => sum + one.solution.splices + pinned(one.profile.id), 0);
  const stock = sticks.reduce((sum, stick) => sum + stick.price, 0);
  const onSticks = (profile: string): number =>
    sticks.filter((stick) => stick.profile === profile).reduce((sum, stick) => sum + stick.cuts.length, 0);
  const bound = ({ profile, solution }: SolvedProfile): PlanFile['bounds'][number] => {
    const byHand = pinned(profile.id) * splicePrice;
    const lowerBound = Math.round(solution.lowerBound + byHand);
    const { by, figure } = solution.ground;
    return {
      profile: profile.id,
      lowerBound,
      cost: Math.round(solution.cost + byHand),
      proven: solution.proven,
      why: whyBound(
        by,
        fromMinor(figure + byHand, coin),
        fromMinor(lowerBound, coin),
        onSticks(profile.id),
        (amount) => formatMoney(toMinor(amount, coin), coin),
      ),
    };
  };
  return {
    format: 'longmiter-plan',
    version: 1,
    unit: job.unit,
    coin,
    pieces,
    sticks,
    buy: buyList(job, sticks),
    cost: { stock, splices: splices * splicePrice, total: stock + splices * splicePrice },
    bounds: solved.map(bound),
    closure,
    watchOuts: [
      ...warningsOf(layout, pieces, closure).filter((one) => one.piece === undefined || ids.has(one.piece)),
      ...stickWarnings(layout, pieces, sticks),
    ],
    refused,
  };
}
