import {
  layOnStick,
  partDimensions,
  type CutProblem,
  type CutSolution,
  type CutStick,
  type Placed,
  type SpliceWall,
} from '@long-miter/optimiser';
import type { HouseRules } from '../../job/index.ts';
import { unevenness, type SplicePlace, type Stretch } from '../../joinery/index.ts';
import { stretchesOf, type JobLayout } from '../../pieces/index.ts';

/** Most blanks on a stick for which the order is worked out anew; longer sticks stay as they are. */
const FEW = 9;

type Figures = ReturnType<typeof partDimensions>;
type WallPart = Extract<Placed, { kind: 'wall' }>;

/** Places from the one the crew would like best: by its rule on lengths, by score, then farthest from where one comes in. */
function byPreference({ places, from, to }: Stretch, rule: HouseRules['spliceLengths']): number[] {
  const against = ({ at }: SplicePlace): number =>
    unevenness(rule, at - from, to - from) + unevenness(rule, to - at, to - from);
  return places
    .map((_, index) => index)
    .sort(
      (a, b) =>
        against(places[a]!) - against(places[b]!) ||
        places[b]!.score - places[a]!.score ||
        places[b]!.fromViewer - places[a]!.fromViewer ||
        a - b,
    );
}

/** The stick with one part exchanged for another, laid out anew; undefined when that does not fit. */
function exchange(
  problem: CutProblem,
  figures: Figures,
  stick: CutStick,
  out: Placed,
  into: WallPart,
): CutStick | undefined {
  const length = problem.sticks.find((kind) => kind.id === stick.stick)!.length;
  const parts = stick.placed.map((one) => (one === out ? into : one));
  if (parts.length > FEW) return undefined;
  const laid = layOnStick(problem, length, parts.map(figures));
  return laid && { ...stick, placed: laid.map(({ blank, start }) => ({ ...parts[blank]!, start })) };
}

/** Moves the one splice of a wall to the best place that the same sticks allow. */
function moveSplice(
  problem: CutProblem,
  figures: Figures,
  walls: ReadonlyMap<string, SpliceWall>,
  sticks: CutStick[],
  id: string,
  stretch: Stretch,
  rule: HouseRules['spliceLengths'],
): void {
  const wall = walls.get(id)!;
  const last = wall.points.length + 1;
  const find = (fromPoint: number): [number, WallPart] | undefined => {
    for (const [index, stick] of sticks.entries()) {
      const part = stick.placed.find(
        (one): one is WallPart => one.kind === 'wall' && one.id === id && one.fromPoint === fromPoint,
      );
      if (part) return [index, part];
    }
    return undefined;
  };
  const left = find(0);
  if (!left || left[1].toPoint === last) return;
  const used = left[1].toPoint;
  const right = find(used);
  // Two parts on two sticks; more splices or both parts on one stick stay as the optimiser chose them.
  if (!right || right[1].toPoint !== last || right[0] === left[0]) return;
  for (const place of byPreference(stretch, rule)) {
    const point = place + 1;
    if (point === used) return;
    const near = wall.points[place]!.at;
    if (near < wall.minPiece || wall.near - near < wall.minPiece) continue;
    const newLeft: WallPart = { ...left[1], fromPoint: 0, toPoint: point };
    const newRight: WallPart = { ...right[1], fromPoint: point, toPoint: last };
    for (const [onLeft, onRight] of [
      [newLeft, newRight],
      [newRight, newLeft],
    ] as const) {
      const a = exchange(problem, figures, sticks[left[0]]!, left[1], onLeft);
      const b = a && exchange(problem, figures, sticks[right[0]]!, right[1], onRight);
      if (!a || !b) continue;
      sticks[left[0]] = a;
      sticks[right[0]] = b;
      return;
    }
  }
}

/**
 * Of all cut plans with the same sticks, one whose splices lie where the crew would like them best: cost and sticks stay,
 * only the places of single splices move.
 * @param fixed stretches that stay as they are, being cut from sticks pinned by hand
 * Source: joinery rules, section 4 "Splice": every candidate is scored.
 */
export function preferSplices(
  layout: JobLayout,
  problem: CutProblem,
  solution: CutSolution,
  fixed: ReadonlySet<string> = new Set(),
): CutSolution {
  const walls = new Map(problem.walls.map((wall) => [wall.id, wall]));
  const sticks = [...solution.sticks];
  const figures = partDimensions(problem);
  for (const { id, stretch, layout: run } of stretchesOf(layout))
    if (walls.has(id) && !fixed.has(id) && stretch.places.length > 1 && walls.get(id)!.points.length > 0)
      moveSplice(problem, figures, walls, sticks, id, stretch, run.run.frame.rules.spliceLengths);
  return { ...solution, sticks };
}
