import { message, type Words } from '../messages/index.ts';
import { kerfOf, rulesOfRoom, sawOf, type JobFile, type Profile } from '../job/index.ts';
import { formatLength } from '../measure/index.ts';
import {
  pointOf,
  sawnAs,
  stickMarks,
  type Marking,
  type Piece,
  type PlanFile,
  type PlannedStick,
  type StickMark,
} from '../plan/index.ts';
import { edgeNames, type PieceEnd, type SawSetting } from '../saw/index.ts';
import { placeOf } from './cut-list.ts';

/** The cuts one by one, as they are made at the saw. */

export interface CutMark {
  readonly length: number;
  readonly text: Words;
  /** What the tape hooks on, which is still there when the mark is made. */
  readonly from: Words;
  /** The edge the mark is on; it faces the operator. */
  readonly edge: Words;
  /** Which of the piece's two lines that is. */
  readonly line: 'near' | 'far';
}

export interface CutStep {
  readonly stick: PlannedStick;
  /** Number of the stick in the plan, from 1. */
  readonly stickNumber: number;
  readonly piece: Piece;
  readonly profile: Profile;
  readonly place: Words;
  readonly end: PieceEnd;
  readonly saw: SawSetting;
  readonly mark: CutMark;
  /** It cannot be cut yet: it waits for a measure over both legs. */
  readonly held: boolean;
  /** Degrees that the crew cuts casing miters back. */
  readonly backCut: number;
  /** The piece whose left end this same cut makes. */
  readonly alsoMakes?: Piece;
  /** A small piece that is cut from the long stock, not on its own: how. */
  readonly recipe?: Words;
  /** The last cut of its stick. */
  readonly last: boolean;
}

interface Bench extends Marking {
  readonly text: (length: number) => string;
  readonly placeOf: (piece: Piece) => Words;
  readonly backCutOf: (piece: Piece) => number;
}

/**
 * All cuts, stick by stick and left to right: the left end of a piece is cut first, then its length is marked from that
 * end. A cut that makes the next piece's left end too is one step; where nothing is cut there is none. The small pieces of
 * a return follow the end they belong to.
 */
export function cutSteps(
  job: Pick<JobFile, 'rooms' | 'unit' | 'profiles' | 'saws' | 'saw' | 'houseRules'>,
  plan: Pick<PlanFile, 'pieces' | 'sticks'>,
): CutStep[] {
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]));
  const profiles = new Map(job.profiles.map((profile) => [profile.id, profile]));
  const onStick = new Set(plan.sticks.flatMap((stick) => stick.cuts.map((cut) => cut.piece)));
  const small = new Map<string, Piece[]>();
  for (const piece of plan.pieces)
    if (piece.returnOf !== undefined && !onStick.has(piece.id))
      small.set(piece.returnOf, [...(small.get(piece.returnOf) ?? []), piece]);
  const backCuts = new Map(job.rooms.map((room) => [room.id, rulesOfRoom(job, room).backCut]));
  const bench: Bench = {
    kerf: kerfOf(sawOf(job), job.unit),
    unit: job.unit,
    text: (length) => formatLength(length, job.unit),
    pieceOf: (id) => byId.get(id)!,
    profileOf: (piece) => sawnAs(piece, profiles.get(piece.profile)!),
    placeOf: (piece) => placeOf(job, piece),
    backCutOf: (piece) => (CASED.has(piece.role) ? (backCuts.get(piece.room) ?? 0) : 0),
  };
  return plan.sticks.flatMap((stick, index) => {
    const steps: CutStep[] = [];
    const common = { stick, stickNumber: index + 1, last: false };
    // The figures are those of the plan: how they were brought to fit the stick is settled there.
    stickMarks(stick.cuts, Infinity, bench).forEach((mark, k) => {
      const piece = bench.pieceOf(mark.piece);
      // What waits is one step: nothing is marked on it yet.
      if (piece.held && mark.end === 'right') return;
      // The figures are those of the plan where it has them.
      const length = stick.marked[k] ?? mark.length;
      steps.push({
        ...common,
        ...endStep(bench, piece, mark.end),
        mark: {
          length,
          text: length === 0 ? AT_THE_END : bench.text(length),
          from:
            mark.end === 'right'
              ? betweenPoints(piece, mark, bench)
              : k === 0
                ? message('bench.the-factory-end')
                : message('bench.the-end-of-what-is-left'),
          edge: mark.along.edge,
          line: mark.along.line,
        },
        ...(mark.alsoMakes === undefined ? {} : { alsoMakes: bench.pieceOf(mark.alsoMakes) }),
      });
      if (mark.end === 'right')
        for (const one of small.get(mark.piece) ?? [])
          steps.push(...smallSteps(bench, one).map((step) => ({ ...common, ...step })));
    });
    if (steps.length > 0) steps[steps.length - 1] = { ...steps.at(-1)!, last: true };
    return steps;
  });
}

/** Pieces whose miters are seen from the front. */
const CASED: ReadonlySet<Piece['role']> = new Set(['leg-left', 'leg-right', 'head', 'sill', 'band']);

/** A slant that takes nothing off the edge it is marked on. */
const AT_THE_END = message('bench.at-its-end');

const betweenPoints = (piece: Piece, { along }: StickMark, { profileOf }: Bench): Words => {
  const profile = profileOf(piece);
  return message('bench.the-at-the-left-to-the', {
    left: pointOf(piece.left, along, profile),
    right: pointOf(piece.right, along, profile),
  });
};

type Step = Omit<CutStep, 'stick' | 'stickNumber' | 'last'>;

function endStep(bench: Bench, piece: Piece, end: PieceEnd): Omit<Step, 'mark'> {
  const { saw } = piece[end];
  return {
    piece,
    profile: bench.profileOf(piece),
    place: bench.placeOf(piece),
    end,
    saw,
    held: piece.held !== undefined,
    backCut: piece[end].joint === 'miter' ? bench.backCutOf(piece) : 0,
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
        text: AT_THE_END,
        from: message('bench.the-end-of-any-offcut-long'),
        edge: names.far,
        line: 'far',
      },
      recipe: message('bench.cut-this-slant-on-the-end'),
    },
    {
      ...endStep(bench, piece, second),
      mark: {
        length: far,
        text: bench.text(far),
        from: message('bench.the-point-of-that-slant'),
        edge: names.far,
        line: 'far',
      },
      recipe: message('bench.part-it-from-the-offcut-hold'),
    },
  ];
}
