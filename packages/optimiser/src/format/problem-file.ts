import type { CutProblem, CutSolution, KeptPlan, StickPart } from '../model/problem.ts';

/**
 * The open problem format: integers in the problem's unit, prices in cents. Whoever reads a file from outside checks it
 * against a schema first.
 */
export interface CutProblemFile {
  readonly format: 'longmiter-cut-problem';
  readonly version: 1;
  readonly name: string;
  readonly unit: string;
  readonly profile: { readonly thickness: number };
  readonly kerf: number;
  readonly endTrim: number;
  /** Kept free on a stick for every piece. */
  readonly cutMargin?: number | undefined;
  readonly minOffcut?: number | undefined;
  readonly stock: readonly {
    readonly id: string;
    readonly length: number;
    readonly price: number;
    readonly count?: number | null | undefined;
  }[];
  readonly rack?:
    | readonly { readonly id: string; readonly length: number; readonly price?: number | undefined }[]
    | undefined;
  /** What is left of sticks that are being cut; the solution names them by `stick`. */
  readonly opened?:
    | readonly {
        readonly stick: string;
        /** From the whole stick's left end to where the near line begins; `start` is counted from the same end. */
        readonly from: number;
        /** Near line from there to the stick's right end, whose trim is still to be lost. */
        readonly remains: number;
        /** Slant of the opened end, degrees, signed like the left end of a piece. */
        readonly endAngle: number;
      }[]
    | undefined;
  /** The plan before, as its solution lists it; each stick of it that is not found again counts `weight` cents. */
  readonly keep?: { readonly sticks: readonly KeptStickOfFile[]; readonly weight: number } | undefined;
  /** Ids of pieces and walls by trip, in order; what is not named goes last. A stick that stays open counts `weight` cents. */
  readonly trips?:
    { readonly order: readonly (readonly string[])[]; readonly weight?: number | undefined } | undefined;
  readonly pieces: readonly {
    readonly id: string;
    readonly length: number;
    readonly left: number;
    readonly right: number;
    readonly qty?: number | undefined;
    /** Its measure is still to come: it lies after all others on its stick. */
    readonly held?: boolean | undefined;
  }[];
  readonly walls?: readonly WallOfFile[] | undefined;
}

interface KeptStickOfFile {
  readonly stock: string;
  readonly pieces: readonly (
    | { readonly piece: string; readonly start?: number | undefined }
    | {
        readonly wall: string;
        readonly copy?: number | undefined;
        readonly from: number;
        readonly to: number;
        readonly start?: number | undefined;
      }
  )[];
}

interface WallOfFile {
  readonly id: string;
  readonly length: number;
  readonly left: number;
  readonly right: number;
  readonly qty?: number | undefined;
  readonly held?: boolean | undefined;
  readonly splice?:
    | {
        readonly angle: number;
        readonly lap?: 'left' | 'right' | undefined;
        readonly positions: readonly number[];
        readonly max?: number | undefined;
        readonly penalty?: number | undefined;
        readonly minPiece?: number | undefined;
        readonly when?: 'needed' | 'allowed' | undefined;
      }
    | undefined;
}

/** The problem that a file holds. */
export function problemOfFile(file: CutProblemFile): CutProblem {
  return {
    name: file.name,
    depth: file.profile.thickness,
    kerf: file.kerf,
    endTrim: file.endTrim,
    ...(file.cutMargin === undefined ? {} : { cutMargin: file.cutMargin }),
    minOffcut: file.minOffcut ?? 0,
    sticks: [
      ...file.stock.map((item) => ({
        id: item.id,
        length: item.length,
        price: item.price,
        count: item.count ?? undefined,
        rack: false,
      })),
      ...(file.rack ?? []).map((item) => ({
        id: item.id,
        length: item.length,
        price: item.price ?? 0,
        count: 1,
        rack: true,
      })),
      ...(file.opened ?? []).map((item) => ({
        id: item.stick,
        length: item.remains,
        price: 0,
        count: 1,
        rack: true,
        opened: { from: item.from, angle: item.endAngle },
      })),
    ],
    ...(file.trips ? { trips: { order: file.trips.order, weight: file.trips.weight ?? 1 } } : {}),
    ...(file.keep ? { keep: { weight: file.keep.weight, sticks: keptOf(file, file.keep.sticks) } } : {}),
    blanks: file.pieces.map((piece) => ({
      id: piece.id,
      near: piece.length,
      left: piece.left,
      right: piece.right,
      qty: piece.qty ?? 1,
      ...(piece.held ? { held: true } : {}),
    })),
    walls: (file.walls ?? []).map((wall) => {
      const { splice } = wall;
      return {
        id: wall.id,
        near: wall.length,
        left: wall.left,
        right: wall.right,
        qty: wall.qty ?? 1,
        ...(wall.held ? { held: true } : {}),
        angle: splice?.angle ?? 0,
        points: [...new Set(splice?.positions ?? [])]
          .sort((a, b) => a - b)
          .map((at) => ({ at, leftOver: (splice?.lap ?? 'left') === 'left' })),
        max: splice ? (splice.max ?? splice.positions.length) : 0,
        penalty: splice?.penalty ?? 0,
        minPiece: splice?.minPiece ?? 0,
        apart: 0,
        when: splice?.when ?? 'needed',
      };
    }),
  };
}

/** Places of a wall as its points have them: its ends and where it may be divided. */
const placesOf = (wall: WallOfFile): number[] => [
  0,
  ...[...new Set(wall.splice?.positions ?? [])].sort((a, b) => a - b),
  wall.length,
];

function keptOf(file: CutProblemFile, sticks: readonly KeptStickOfFile[]): KeptPlan['sticks'] {
  const places = new Map((file.walls ?? []).map((wall) => [wall.id, placesOf(wall)]));
  return sticks.map(({ stock, pieces }) => ({
    stick: stock,
    parts: pieces.map((one): StickPart => {
      if ('piece' in one) return { kind: 'blank', id: one.piece };
      // A place that is not there any more has no index: such a part is not found, and its stick not kept.
      const at = places.get(one.wall) ?? [];
      return { kind: 'wall', id: one.wall, fromPoint: at.indexOf(one.from), toPoint: at.indexOf(one.to) };
    }),
  }));
}

/**
 * The open solution format. Where sticks to keep or trips are weighed, `objective.total` is what the plan counts with them
 * and `totalBound` what no plan can count less than; `lowerBound` is always for the cost alone.
 */
export function writeCutSolution(file: CutProblemFile, problem: CutProblem, solution: CutSolution): object {
  const near = new Map(
    problem.walls.map((wall) => [wall.id, [0, ...wall.points.map((point) => point.at), wall.near]]),
  );
  return {
    format: 'longmiter-cut-solution',
    version: 1,
    problem: file.name,
    sticks: solution.sticks.map((stick) => ({
      stock: stick.stick,
      pieces: stick.placed.map((one) =>
        one.kind === 'blank'
          ? { piece: one.id, start: one.start }
          : {
              wall: one.id,
              copy: one.copy,
              from: near.get(one.id)![one.fromPoint]!,
              to: near.get(one.id)![one.toPoint]!,
              start: one.start,
            },
      ),
    })),
    objective: {
      cost: solution.cost,
      ...(problem.keep ? { moved: solution.moved } : {}),
      ...(problem.trips ? { waiting: solution.waiting } : {}),
      ...(problem.keep || problem.trips ? { total: solution.total } : {}),
    },
    lowerBound: solution.costBound,
    ...(problem.keep || problem.trips ? { totalBound: solution.lowerBound } : {}),
    proven: solution.proven,
  };
}
