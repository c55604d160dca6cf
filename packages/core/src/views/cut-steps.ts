import { cosDeg, SAME_ANGLE, SAME_PLACE } from '../base/index.ts';
import { kerfOf, sawOf, traitsOf, type JobFile, type Profile } from '../job/index.ts';
import { reachAt } from '../joinery/index.ts';
import { formatLength } from '../measure/index.ts';
import { sawnAs, type Piece, type PlanEnd, type PlanFile, type PlannedStick } from '../plan/index.ts';
import { edgeNames, type PieceEnd, type SawSetting } from '../saw/index.ts';
import { placeOf } from './cut-list.ts';

/** The cuts one by one, as they are made at the saw. */

export interface CutMark {
  readonly length: number;
  readonly text: string;
  /** What the tape hooks on, which is still there when the mark is made. */
  readonly from: string;
  /** The edge the mark is on; it faces the operator. */
  readonly edge: string;
  /** Which of the piece's two lines that is. */
  readonly line: 'near' | 'far';
}

export interface CutStep {
  readonly stick: PlannedStick;
  /** Number of the stick in the plan, from 1. */
  readonly stickNumber: number;
  readonly piece: Piece;
  readonly profile: Profile;
  readonly place: string;
  readonly end: PieceEnd;
  readonly saw: SawSetting;
  readonly mark: CutMark;
  /** The piece whose left end this same cut makes. */
  readonly alsoMakes?: Piece;
  /** A small piece that is cut from the long stock, not on its own: how. */
  readonly recipe?: string;
  /** The last cut of its stick. */
  readonly last: boolean;
}

const point = (end: PlanEnd, { line, up, out }: Along, profile: Profile): string => {
  if (end.plane) {
    const reaches = [0, profile.width].flatMap((u) =>
      [0, profile.thickness].map((o) => reachAt(end.plane!, u, o)),
    );
    const own = reachAt(end.plane, up, out);
    return own > Math.max(...reaches) - SAME_PLACE
      ? 'long point'
      : own < Math.min(...reaches) + SAME_PLACE
        ? 'short point'
        : 'point';
  }
  const long = line === 'near' ? end.angle : -end.angle;
  return long > SAME_ANGLE ? 'long point' : long < -SAME_ANGLE ? 'short point' : 'square end';
};

/**
 * The line a piece is marked on: the one its length is planned along, unless that lies on the table. A trim that stands on
 * the wall and is cut flat lies on its back, so it is marked on its face.
 */
export const markLine = (profile: Pick<Profile, 'use'>, saw: SawSetting): CutMark['line'] =>
  saw.way === 'flat' && traitsOf(profile).depth === 'thickness' ? 'far' : 'near';

/** The edge a piece is marked on: which of its lines it is, and where it lies in the section, from the foot of the back. */
interface Along {
  readonly line: CutMark['line'];
  readonly up: number;
  readonly out: number;
  readonly edge: string;
}

/**
 * The marked edge. In a corner of leaning walls a piece is not as long at its top as at its foot: then the edge is the one
 * that faces the operator, and is named so.
 */
function alongOf(profile: Profile, piece: Piece, end: PieceEnd): Along {
  const { saw } = piece[end];
  const line = markLine(profile, saw);
  const edge = edgeNames(profile)[line];
  if (!piece.left.plane && !piece.right.plane) return { line, up: 0, out: 0, edge };
  if (line === 'near') return { line, up: profile.width, out: 0, edge: `top ${edge}` };
  const top = saw.seat === 'flatBottomToFence';
  return {
    line,
    up: top ? profile.width : 0,
    out: profile.thickness,
    edge: `${edge}, at its ${top ? 'top' : 'bottom'} edge`,
  };
}

/** How far an end reaches along an edge beyond its near line. */
const beyond = (end: PlanEnd, along: Along): number =>
  end.plane ? reachAt(end.plane, along.up, along.out) : along.line === 'near' ? 0 : end.reach;

/** Where a piece's end lies along the stick on an edge of it, from the stick's left end. */
const placeOnStick = (piece: Piece, start: number, end: PieceEnd, along: Along): number =>
  end === 'left' ? start - beyond(piece.left, along) : start + piece.near + beyond(piece.right, along);

/** What the blade takes along a line: its kerf, across the slant. */
const taken = (kerf: number, end: PlanEnd): number => kerf / cosDeg(end.angle);

interface Bench {
  readonly kerf: number;
  readonly text: (length: number) => string;
  readonly profileOf: (piece: Piece) => Profile;
  readonly placeOf: (piece: Piece) => string;
}

/**
 * All cuts, stick by stick and left to right: the left end of a piece is cut first, then its length is marked from that
 * end. A cut that makes the next piece's left end too is one step; where nothing is cut there is none. The small pieces of
 * a return follow the end they belong to.
 */
export function cutSteps(
  job: Pick<JobFile, 'rooms' | 'unit' | 'profiles' | 'saws' | 'saw'>,
  plan: PlanFile,
): CutStep[] {
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]));
  const profiles = new Map(job.profiles.map((profile) => [profile.id, profile]));
  const onStick = new Set(plan.sticks.flatMap((stick) => stick.cuts.map((cut) => cut.piece)));
  const small = new Map<string, Piece[]>();
  for (const piece of plan.pieces)
    if (piece.returnOf !== undefined && !onStick.has(piece.id))
      small.set(piece.returnOf, [...(small.get(piece.returnOf) ?? []), piece]);
  const bench: Bench = {
    kerf: kerfOf(sawOf(job), job.unit),
    text: (length) => formatLength(length, job.unit),
    profileOf: (piece) => sawnAs(piece, profiles.get(piece.profile)!),
    placeOf: (piece) => placeOf(job, piece),
  };
  return plan.sticks.flatMap((stick, index) => {
    const steps: CutStep[] = [];
    let before: { readonly piece: Piece; readonly start: number } | undefined;
    for (const { piece: id, start } of stick.cuts) {
      const piece = byId.get(id)!;
      const common = { stick, stickNumber: index + 1, last: false };
      const gap = before ? start - (before.start + before.piece.near) : start;
      const parallel =
        before !== undefined &&
        !before.piece.right.plane &&
        !piece.left.plane &&
        Math.abs(before.piece.right.angle + piece.left.angle) < SAME_ANGLE &&
        gap < taken(bench.kerf, piece.left) + SAME_PLACE;
      if (parallel) steps[steps.length - 1] = { ...steps.at(-1)!, alsoMakes: piece };
      else steps.push({ ...common, ...leftStep(bench, piece, start, before) });
      const right = rightStep(bench, piece);
      steps.push({ ...common, ...right });
      for (const one of small.get(id) ?? [])
        steps.push(...smallSteps(bench, one).map((step) => ({ ...common, ...step })));
      before = { piece, start };
    }
    if (steps.length > 0) steps[steps.length - 1] = { ...steps.at(-1)!, last: true };
    return steps;
  });
}

type Step = Omit<CutStep, 'stick' | 'stickNumber' | 'last'>;

function endStep(bench: Bench, piece: Piece, end: PieceEnd): Omit<Step, 'mark'> {
  const { saw } = piece[end];
  return {
    piece,
    profile: bench.profileOf(piece),
    place: bench.placeOf(piece),
    end,
    saw,
  };
}

function leftStep(
  bench: Bench,
  piece: Piece,
  start: number,
  before: { readonly piece: Piece; readonly start: number } | undefined,
): Step {
  const profile = bench.profileOf(piece);
  const along = alongOf(profile, piece, 'left');
  const here = placeOnStick(piece, start, 'left', along);
  // What the tape hooks on is the end of what is left of the stick: the other side of the last cut.
  const from = before
    ? placeOnStick(before.piece, before.start, 'right', along) + taken(bench.kerf, before.piece.right)
    : 0;
  const length = Math.max(0, here - from);
  return {
    ...endStep(bench, piece, 'left'),
    mark: {
      length,
      text: bench.text(length),
      from: before ? `the end of what is left of the stick` : 'the factory end',
      edge: along.edge,
      line: along.line,
    },
  };
}

function rightStep(bench: Bench, piece: Piece): Step {
  const profile = bench.profileOf(piece);
  const along = alongOf(profile, piece, 'right');
  const length = piece.near + beyond(piece.left, along) + beyond(piece.right, along);
  return {
    ...endStep(bench, piece, 'right'),
    mark: {
      length,
      text: bench.text(length),
      from: `the ${point(piece.left, along, profile)} at the left to the ${point(piece.right, along, profile)}`,
      edge: along.edge,
      line: along.line,
    },
  };
}

/**
 * A return's small piece: its slanted end is cut first on the end of the long stock, then it is parted from it, with the
 * waste held, never the part.
 */
function smallSteps(bench: Bench, piece: Piece): Step[] {
  const profile = bench.profileOf(piece);
  const first: PieceEnd = Math.abs(piece.left.angle) >= Math.abs(piece.right.angle) ? 'left' : 'right';
  const second: PieceEnd = first === 'left' ? 'right' : 'left';
  const names = edgeNames(profile);
  const far = piece.near + piece.left.reach + piece.right.reach;
  return [
    {
      ...endStep(bench, piece, first),
      mark: {
        length: 0,
        text: 'at its end',
        from: 'the end of any offcut long enough to hold well clear of the blade',
        edge: names.far,
        line: 'far',
      },
      recipe: 'Cut this slant on the end of a long offcut; take nothing off yet.',
    },
    {
      ...endStep(bench, piece, second),
      mark: {
        length: far,
        text: bench.text(far),
        from: `the point of that slant`,
        edge: names.far,
        line: 'far',
      },
      recipe:
        'Part it from the offcut: hold the long offcut, not the small piece; let the blade stop before you lift it. A thin backer stops it from falling through.',
    },
  ];
}
