import { message, lengthFigure } from '../../messages/index.ts';
import {
  fail,
  NOISE,
  ok,
  SAME_PLACE,
  stickRef,
  type PieceKey,
  type Result,
  type StickRef,
} from '../../base/index.ts';
import {
  layOnStick,
  partDimensions,
  type CutProblem,
  type FixedStick,
  type StickPart,
  type StickKind,
} from '@long-miter/optimiser';
import { completeHouseRules, kerfOf, sawOf, type JobFile, type StickPin } from '../../job/index.ts';
import { overTop } from '../../joinery/index.ts';

import { piecesOfStretch, stretchesOf, type JobLayout, type PlacedStretch } from '../../pieces/index.ts';
import { isAsCut, type CutRecord } from './cut-records.ts';
import { unitsPer, type ProfileProblem } from './cut-problems.ts';
import type { Piece, PlanFile, PlannedStick } from '../result/plan-file.ts';

/** A planned stick as a pin. */
export function pinOf(plan: PlanFile, stick: PlannedStick): StickPin {
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]));
  return {
    profile: stick.profile,
    source: stick.source,
    stock: stick.item,
    pieces: stick.cuts.map(({ piece }) => {
      const { id, from, to } = byId.get(piece)!;
      return { id, ...(from === undefined ? {} : { from }), ...(to === undefined ? {} : { to }) };
    }),
  };
}

/** Finds what a piece is in the cutting problem: a blank of its own, or a part of the stretch it can be cut from. */
class PartFinder {
  private readonly stretches = new Map<PieceKey, PlacedStretch[]>();
  private readonly blanks: ReadonlySet<string>;

  constructor(layout: JobLayout, problem: CutProblem) {
    this.blanks = new Set(problem.blanks.map((blank) => blank.id));
    for (const placed of stretchesOf(layout))
      for (const key of piecesOfStretch(placed))
        this.stretches.set(key, [...(this.stretches.get(key) ?? []), placed]);
  }

  /** Where on its stretch the piece lies is told by where it was spliced. */
  find(piece: {
    readonly id: PieceKey;
    readonly from?: number | undefined;
    readonly to?: number | undefined;
  }): StickPart | undefined {
    if (this.blanks.has(piece.id)) return { kind: 'blank', id: piece.id };
    const { from, to } = piece;
    if (from === undefined || to === undefined) return undefined;
    for (const { id, stretch } of this.stretches.get(piece.id) ?? []) {
      const points = [stretch.from, ...stretch.places.map((place) => place.at), stretch.to];
      const at = (x: number): number => points.findIndex((point) => Math.abs(point - x) < SAME_PLACE);
      const [fromPoint, toPoint] = [at(from), at(to)];
      if (fromPoint >= 0 && toPoint > fromPoint) return { kind: 'wall', id, fromPoint, toPoint };
    }
    return undefined;
  }
}

/** Sticks of a problem that are settled before it is solved. */
interface Settled {
  readonly fixed: readonly FixedStick[];
  /** Kinds that only fixed sticks are of: those that have been cut. */
  readonly kinds: readonly StickKind[];
}

/**
 * What has been cut as fixed sticks: of each record the pieces that are still what they were cut to. One whose measure is
 * another now is no longer this piece and has to be cut anew.
 */
export function cutSticksOf(
  layout: JobLayout,
  { profile, problem, sticks }: ProfileProblem,
  records: readonly CutRecord[],
  taken: Set<string> = new Set(),
): Settled {
  const own = records.filter((record) => record.profile === profile.id);
  if (own.length === 0) return { fixed: [], kinds: [] };
  const finder = new PartFinder(layout, problem);
  const figures = partDimensions(problem);
  const stretches = new Map(stretchesOf(layout).map(({ id, stretch }) => [id, stretch]));
  /** What leaning ends of a part take of a stick beyond its near line. */
  const tops = (part: StickPart): number => {
    const stretch = part.kind === 'wall' ? stretches.get(part.id) : undefined;
    if (!stretch || part.kind !== 'wall') return 0;
    return (
      (part.fromPoint === 0 ? stretch.leftTop : 0) +
      (part.toPoint === stretch.places.length + 1 ? stretch.rightTop : 0)
    );
  };
  const units = unitsPer(layout.job.unit);
  const kinds: StickKind[] = [];
  const fixed = own.flatMap((record): FixedStick[] => {
    const stick = sticks.find((one) => one.cut === record);
    const parts = record.pieces.flatMap((piece): StickPart[] => {
      const part = finder.find(piece);
      const key = part && JSON.stringify(part);
      if (!part || taken.has(key!)) return [];
      const { near, left, right } = figures(part);
      if (!isAsCut(piece, { near: near / units - tops(part), left, right })) return [];
      taken.add(key!);
      return [part];
    });
    if (!stick || parts.length === 0) return [];
    kinds.push(stick.kind);
    return [{ stick: stick.kind.id, parts }];
  });
  return { fixed, kinds };
}

/**
 * Pins of one profile as fixed sticks of its cutting problem. Pieces that are no longer there, or cut already, fall off
 * their pin; a pin without pieces, or whose kind of stick is gone, is left out: the survey changed, and the plan goes on
 * without it.
 * @param taken parts that lie on sticks settled before, by their text; pinned ones are added
 */
export function fixedSticks(
  layout: JobLayout,
  { profile, problem, sticks }: ProfileProblem,
  pins: readonly StickPin[],
  taken: Set<string> = new Set(),
): FixedStick[] {
  const own = pins.filter((pin) => pin.profile === profile.id);
  if (own.length === 0) return [];
  const finder = new PartFinder(layout, problem);
  const used = new Map<string, number>();
  return own.flatMap((pin): FixedStick[] => {
    const stick = sticks.find((one) => !one.cut && one.source === pin.source && one.item === pin.stock);
    const parts = pin.pieces.flatMap((piece): StickPart[] => {
      const part = finder.find(piece);
      const key = part && JSON.stringify(part);
      if (!part || taken.has(key!)) return [];
      taken.add(key!);
      return [part];
    });
    if (!stick || parts.length === 0) return [];
    const count = (used.get(stick.kind.id) ?? 0) + 1;
    if (stick.kind.count !== undefined && count > stick.kind.count) return [];
    used.set(stick.kind.id, count);
    return [{ stick: stick.kind.id, parts }];
  });
}

/**
 * The plan before in the words of a profile's problem. A stick whose pieces are not all there any more, or that is settled
 * otherwise, is listed without parts: it cannot be kept, and counts as moved.
 */
export function sticksBefore(
  layout: JobLayout,
  { profile, problem, sticks }: ProfileProblem,
  before: readonly StickPin[],
): { stick: string; parts: readonly StickPart[] }[] {
  const finder = new PartFinder(layout, problem);
  return before
    .filter((pin) => pin.profile === profile.id)
    .map((pin) => {
      const stick = sticks.find((one) => !one.cut && one.source === pin.source && one.item === pin.stock);
      const parts = pin.pieces.flatMap((piece) => finder.find(piece) ?? []);
      return stick && parts.length === pin.pieces.length
        ? { stick: stick.kind.id, parts }
        : { stick: '', parts: [] };
    });
}

/** How many sticks of a plan before are not found again in a plan, kind and pieces alike. */
export function sticksMoved(before: readonly StickPin[], plan: PlanFile): number {
  const keyOf = (pin: StickPin): string =>
    JSON.stringify([
      pin.source,
      pin.stock,
      pin.pieces.map(({ id, from, to }) => JSON.stringify([id, from, to])).sort(),
      pin.profile,
    ]);
  const there = plan.sticks.map((stick) => keyOf(pinOf(plan, stick)));
  return before.filter((pin) => {
    const at = there.indexOf(keyOf(pin));
    if (at >= 0) there.splice(at, 1);
    return at < 0;
  }).length;
}

const refOf = (pin: StickPin): StickRef =>
  stickRef(
    pin.profile,
    pin.pieces.map((piece) => piece.id),
  );

const samePieces = (pin: StickPin, stick: PlannedStick): boolean => refOf(pin) === stick.id;

/** Whether a stick of the plan is one that was pinned. */
export const isPinned = (pins: readonly StickPin[], stick: PlannedStick): boolean =>
  pins.some((pin) => samePieces(pin, stick));

/** Pins a stick of the plan as it is, or releases it. */
export const togglePin = (plan: PlanFile, pins: readonly StickPin[], stick: PlannedStick): StickPin[] =>
  isPinned(pins, stick) ? pins.filter((pin) => !samePieces(pin, stick)) : [...pins, pinOf(plan, stick)];

/** What a stick lacks to hold pieces, in the job's unit; 0 where they fit. */
function lacking(job: JobFile, length: number, pieces: readonly Piece[]): number {
  const units = unitsPer(job.unit);
  const { endTrim } = completeHouseRules(job.houseRules, job.unit);
  const problem = { kerf: kerfOf(sawOf(job), job.unit) * units, endTrim: endTrim * units };
  const profiles = new Map(job.profiles.map((profile) => [profile.id, profile]));
  const tops = ({ profile, left, right }: Piece): number =>
    overTop(left.plane, profiles.get(profile)!) + overTop(right.plane, profiles.get(profile)!);
  const blanks = pieces.map((piece) => {
    const bent = [piece.left, piece.right].find((end) => end.angle !== 0);
    // The plan has the reach of each end; with its angle that gives the depth back.
    const depth = bent ? Math.abs(bent.reach / Math.tan((bent.angle * Math.PI) / 180)) : 0;
    return {
      near: (piece.near + tops(piece)) * units,
      left: piece.left.angle,
      right: piece.right.angle,
      depth: depth * units,
    };
  });
  const long = Math.ceil(length * units) * 100;
  const ends = (layOnStick(problem, long, blanks) ?? []).map(({ blank, start }) => {
    const one = pieces[blank]!;
    return start / units + one.near + tops(one) + Math.max(0, one.right.reach);
  });
  return Math.max(0, Math.max(0, ...ends) + endTrim - length);
}

/**
 * Moves a piece to another stick by hand: that stick is pinned with it, and the stick it came from, if it was pinned, stays
 * pinned without it. The rest is to be planned anew around the pins.
 * Issues: the stick does not hold it; it says by how much.
 */
export function movePiece(
  job: JobFile,
  plan: PlanFile,
  pins: readonly StickPin[],
  pieceId: PieceKey,
  stickId: StickRef,
): Result<StickPin[]> {
  const piece = plan.pieces.find((one) => one.id === pieceId);
  const index = plan.sticks.findIndex((one) => one.id === stickId);
  const stick = plan.sticks[index];
  if (!piece || !stick) return fail({ at: '', text: message('pin.the-plan-has-changed-meanwhile-try') });
  if (stick.profile !== piece.profile)
    return fail({
      at: '',
      text: message('pin.is-not-cut-from-the-trim', { label: piece.label, index: index + 1 }),
    });
  if (stick.cuts.some((cut) => cut.piece === pieceId)) return ok([...pins]);
  const there = stick.cuts.map((cut) => plan.pieces.find((one) => one.id === cut.piece)!);
  const short = lacking(job, stick.length, [...there, piece]);
  if (short > NOISE)
    return fail({
      at: '',
      text: message('pin.stick-is-too-short-for-beside', {
        index: index + 1,
        short: lengthFigure(short, job.unit),
        label: piece.label,
      }),
    });
  const others = pins
    .filter((pin) => !samePieces(pin, stick))
    .map((pin) =>
      pin.pieces.some((one) => one.id === pieceId)
        ? { ...pin, pieces: pin.pieces.filter((one) => one.id !== pieceId) }
        : pin,
    )
    .filter((pin) => pin.pieces.length > 0);
  const target = pinOf(plan, {
    ...stick,
    cuts: [...stick.cuts, { piece: pieceId, start: 0 }],
  });
  return ok([...others, target]);
}
