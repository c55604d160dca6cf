import { refuse, succeed, type CutResult } from './base/outcome.ts';
import { layOnStick } from './layout/lay-on-stick.ts';
import { runSequential, type SearchCoroutine } from './schedule/coroutine.ts';
import { optimiseCoroutine, type OptimiseOptions } from './optimise.ts';
import { beginsAt, endsAt, partDimensions, wallPoints, type StickPart } from './model/parts.ts';
import type { CutProblem, CutSolution, CutStick, Placed, SpliceWall } from './model/problem.ts';
import { fewSawChanges } from './layout/saw-changes.ts';
import type { LinearSolver } from './solver/solver-port.ts';

/** A stick that is to be cut just so, whatever the rest: which, and what is cut from it. */
export interface FixedStick {
  readonly stick: string;
  readonly parts: readonly StickPart[];
}

type WallPart = Extract<StickPart, { kind: 'wall' }>;

/** What of a wall is still free once some of its parts lie on fixed sticks: smaller walls, under names of their own. */
function openParts(wall: SpliceWall, fixed: readonly WallPart[]): { wall: SpliceWall; offset: number }[] {
  const at = wallPoints(wall);
  const last = at.length - 1;
  const taken = [...fixed].sort((a, b) => a.fromPoint - b.fromPoint);
  const gaps: [number, number][] = [];
  let from = 0;
  for (const part of [...taken, { fromPoint: last, toPoint: last }]) {
    if (part.fromPoint > from) gaps.push([from, part.fromPoint]);
    from = Math.max(from, part.toPoint);
  }
  return gaps.map(([a, b]) => {
    const points = wall.points.slice(a, b - 1).map((point) => ({ ...point, at: point.at - at[a]! }));
    const near = at[b]! - at[a]!;
    const { wholeExtra: _extra, ...rest } = wall;
    return {
      offset: a,
      wall: {
        ...rest,
        id: `${wall.id}@${a}`,
        near,
        left: beginsAt(wall, a),
        right: endsAt(wall, b),
        points,
      },
    };
  });
}

/** Splices that the fixed parts of a wall make by themselves: every inner point where one of them begins or ends. */
const splicesMade = (wall: SpliceWall, parts: readonly WallPart[]): number =>
  new Set(
    parts
      .flatMap((part) => [part.fromPoint, part.toPoint])
      .filter((point) => point > 0 && point <= wall.points.length),
  ).size;

/**
 * The best plan around sticks that are fixed by hand: they are laid out as they are, and the rest of the problem is solved
 * with what stock they leave. The bound is for plans with these sticks.
 * @param fixed sticks by kind, with the parts cut from them; blanks and walls of quantity 1 only
 * Issues: a fixed stick that cannot hold its parts or that there is none of; what the rest has.
 */
export const optimiseWithFixedSticks = (
  problem: CutProblem,
  fixed: readonly FixedStick[],
  solver: LinearSolver | undefined,
  options: OptimiseOptions,
): CutResult<CutSolution> => runSequential(optimiseWithFixedSticksCoroutine(problem, fixed, solver, options));

/** The same as a coroutine, for a peer beside it, where whoever runs it has one. */
export function* optimiseWithFixedSticksCoroutine(
  problem: CutProblem,
  fixed: readonly FixedStick[],
  solver: LinearSolver | undefined,
  options: OptimiseOptions,
): SearchCoroutine<CutResult<CutSolution>> {
  if (fixed.length === 0) return yield* optimiseCoroutine(problem, solver, options);
  const figures = partDimensions(problem);
  const kinds = new Map(problem.sticks.map((kind) => [kind.id, kind]));
  const laid: CutStick[] = [];
  const used = new Map<string, number>();
  for (const [index, { stick, parts }] of fixed.entries()) {
    const kind = kinds.get(stick);
    const count = (used.get(stick) ?? 0) + 1;
    used.set(stick, count);
    if (!kind || (kind.count !== undefined && count > kind.count))
      return refuse({
        at: `/fixed/${index}`,
        code: 'cut/fixed',
        data: { stick, why: 'none-left' },
      });
    // Who fixes a stick by hand may use up its margin.
    const order = layOnStick({ ...problem, cutMargin: 0 }, kind.length, parts.map(figures));
    if (!order)
      return refuse({
        at: `/fixed/${index}`,
        code: 'cut/fixed',
        data: { stick, why: 'does-not-hold' },
      });
    laid.push({
      stick,
      placed: order.map(({ blank, start }): Placed => {
        const part = parts[blank]!;
        return part.kind === 'blank' ? { ...part, start } : { ...part, copy: 0, start };
      }),
    });
  }
  const parts = fixed.flatMap((one) => one.parts);
  const gone = new Set(parts.flatMap((part) => (part.kind === 'blank' ? [part.id] : [])));
  const offsets = new Map<string, { id: string; offset: number }>();
  let splices = 0;
  let penalties = 0;
  const walls = problem.walls.flatMap((wall) => {
    const own = parts.filter((part): part is WallPart => part.kind === 'wall' && part.id === wall.id);
    if (own.length === 0) return [wall];
    const made = splicesMade(wall, own);
    splices += made;
    penalties += made * wall.penalty;
    return openParts(wall, own).map((open) => {
      offsets.set(open.wall.id, { id: wall.id, offset: open.offset });
      return open.wall;
    });
  });
  const rest: CutProblem = {
    ...problem,
    sticks: problem.sticks.map((kind) =>
      kind.count === undefined ? kind : { ...kind, count: kind.count - (used.get(kind.id) ?? 0) },
    ),
    blanks: problem.blanks.filter((blank) => !gone.has(blank.id)),
    walls,
  };
  const already = penalties + fixed.reduce((sum, one) => sum + kinds.get(one.stick)!.price, 0);
  const named = (placed: Placed): Placed => {
    const whole = placed.kind === 'wall' ? offsets.get(placed.id) : undefined;
    return placed.kind === 'wall' && whole
      ? {
          ...placed,
          id: whole.id,
          fromPoint: placed.fromPoint + whole.offset,
          toPoint: placed.toPoint + whole.offset,
        }
      : placed;
  };
  const together = (value: CutSolution): CutSolution => ({
    ...value,
    sticks: fewSawChanges(problem, [
      ...laid,
      ...value.sticks.map((stick) => ({ ...stick, placed: stick.placed.map(named) })),
    ]),
    cost: value.cost + already,
    splices: value.splices + splices,
    lowerBound: value.lowerBound + already,
    ground: { ...value.ground, figure: value.ground.figure + already },
  });
  const solved = yield* optimiseCoroutine(rest, solver, {
    ...options,
    onProgress: (progress) =>
      options.onProgress?.({
        ...progress,
        cost: progress.cost + already,
        lowerBound: progress.lowerBound + already,
        sticks: progress.sticks + fixed.length,
      }),
    onBetter: (solution) => options.onBetter?.(together(solution)),
  });
  return solved.ok ? succeed(together(solved.value)) : solved;
}
