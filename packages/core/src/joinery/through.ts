import { NOISE } from '../base/index.ts';

/** Which of the two walls at a corner carries the piece that runs through. */
export type Through = 'left' | 'right';

/** One piece-to-be of a chain, seen only as far as the choice needs it. */
export interface ChainWall {
  /** 1 facing the viewer at the entry, 0 a side wall, −1 the wall one comes in through; 0 everywhere without a viewpoint. */
  readonly facing: number;
  /** A stretch that will be spliced has two pieces, so two coped ends cost nothing there. */
  readonly spliced: boolean;
}

/** Two walls that meet at a corner where one piece runs through; `pin` is a choice made by hand. */
interface ChainCorner {
  readonly pin: Through | undefined;
}

interface ThroughChoice {
  readonly through: readonly Through[];
  /** The pins alone make every piece wait for its neighbour: nothing could be hung first. */
  readonly circle: boolean;
}

/** A wall whose face is within 45° of looking at the viewer. */
export const FACES_VIEWER = Math.SQRT1_2;

/** Lexicographic cost: earlier entries always outweigh later ones. */
type Cost = readonly [looksInto: number, doubleCopes: number, lessFacing: number, againstTheWalk: number];

const ZERO: Cost = [0, 0, 0, 0];
const plus = (a: Cost, b: Cost): Cost => [a[0] + b[0], a[1] + b[1], a[2] + b[2], a[3] + b[3]];

function less(a: Cost, b: Cost): boolean {
  for (let i = 0; i < a.length; i++) {
    const difference = a[i]! - b[i]!;
    if (Math.abs(difference) > NOISE) return difference < 0;
  }
  return false;
}

function cornerCost(left: ChainWall, right: ChainWall, through: Through): Cost {
  const [runs, fitted] = through === 'left' ? [left, right] : [right, left];
  const looksInto = fitted.facing > FACES_VIEWER && runs.facing <= FACES_VIEWER ? 1 : 0;
  // All else equal each piece is fitted over the one before it, as one walks.
  return [looksInto, 0, Math.max(0, fitted.facing - runs.facing), through === 'right' ? 1 : 0];
}

const doubleCope = (wall: ChainWall, before: Through, after: Through): Cost =>
  before === 'left' && after === 'right' && !wall.spliced ? [0, 1, 0, 0] : ZERO;

interface Path {
  readonly cost: Cost;
  readonly choices: readonly Through[];
}

const SIDES: readonly Through[] = ['left', 'right'];
const allowed = (corner: ChainCorner, side: Through): boolean =>
  corner.pin === undefined || corner.pin === side;

/**
 * Best choices over corners `first`…end, with the first one fixed. State: the choice at the last corner, and whether both
 * choices have occurred (a closed chain needs both: all the same way round is a circle of pieces waiting for each other).
 */
function bestFrom(
  walls: readonly ChainWall[],
  corners: readonly ChainCorner[],
  closed: boolean,
  first: Through,
): Path | undefined {
  const wallAfter = (corner: number): ChainWall => walls[(corner + 1) % walls.length]!;
  let states = new Map<string, Path>([
    [`${first}|false`, { cost: cornerCost(walls[0]!, wallAfter(0), first), choices: [first] }],
  ]);
  for (let i = 1; i < corners.length; i++) {
    const next = new Map<string, Path>();
    for (const [key, path] of states) {
      const [last, mixed] = key.split('|') as [Through, string];
      for (const side of SIDES.filter((one) => allowed(corners[i]!, one))) {
        const cost = plus(
          plus(path.cost, doubleCope(walls[i]!, last, side)),
          cornerCost(walls[i]!, wallAfter(i), side),
        );
        const to = `${side}|${mixed === 'true' || side !== first}`;
        const held = next.get(to);
        if (!held || less(cost, held.cost)) next.set(to, { cost, choices: [...path.choices, side] });
      }
    }
    states = next;
  }
  let best: Path | undefined;
  for (const [key, path] of states) {
    const [last, mixed] = key.split('|') as [Through, string];
    if (closed && mixed === 'false') continue;
    const cost = closed ? plus(path.cost, doubleCope(walls[0]!, last, first)) : path.cost;
    if (!best || less(cost, best.cost)) best = { cost, choices: path.choices };
  }
  return best;
}

/**
 * Decides at every corner of a chain which piece runs through: first so that walls facing the viewer run through, then
 * with as few pieces coped at both ends as possible, then by how squarely walls face the viewer, then in walking order; the
 * order of installation always exists. A pin always wins.
 * @param walls   pieces in walk order
 * @param corners corner i lies between wall i and wall i + 1; a closed chain has as many corners as walls
 */
export function chooseThrough(
  walls: readonly ChainWall[],
  corners: readonly ChainCorner[],
  closed: boolean,
): ThroughChoice {
  const first = corners[0];
  if (!first) return { through: [], circle: false };
  let best: Path | undefined;
  for (const side of SIDES.filter((one) => allowed(first, one))) {
    const path = bestFrom(walls, corners, closed, side);
    if (path && (!best || less(path.cost, best.cost))) best = path;
  }
  if (best) return { through: best.choices, circle: false };
  return { through: corners.map((corner) => corner.pin ?? 'right'), circle: true };
}
