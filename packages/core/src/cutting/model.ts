import { fail, ok, type Issue, type Result } from '../base/index.ts';
import { clearances, wholeUp, type Clearances, type EndClass } from './end-classes.ts';
import type { CutProblem, SpliceWall, StickKind } from './problem.ts';
import { beginsAt, endsAt, pointsOf } from './parts.ts';
import { Sequencer } from './sequencer.ts';

/** A size of blank: everything that shares length and end class. `demand` is fixed; arcs of walls ask for more. */
export interface Item {
  readonly length: number;
  readonly cls: number;
  readonly demand: number;
}

/** A piece of a wall between two of its points (0 is the left end, last is the right end), and the item it needs. */
export interface Arc {
  readonly from: number;
  readonly to: number;
  readonly item: number;
  /** Cents: the penalty of the splice at its left end, if it has one there. */
  readonly penalty: number;
}

/** One copy of a wall as a network: a path over its points with at most max + 1 arcs serves it. */
export interface WallNet {
  readonly wall: SpliceWall;
  readonly copy: number;
  readonly points: number;
  readonly arcs: readonly Arc[];
}

/** Sticks of one length, price and origin, put together. */
export interface StickGroup {
  readonly length: number;
  readonly price: number;
  readonly count: number | undefined;
  /** Ids in the order they are used up (rack sticks are single). */
  readonly kinds: readonly StickKind[];
}

export interface CutModel {
  readonly problem: CutProblem;
  readonly items: readonly Item[];
  /** Ids of blanks of each item, one per copy. */
  readonly blankIds: readonly (readonly string[])[];
  readonly walls: readonly WallNet[];
  readonly sticks: readonly StickGroup[];
  readonly clear: Clearances;
  readonly sequencer: Sequencer;
  /** Longest stick of all, rack included. */
  readonly longest: number;
}

class ItemTable {
  private readonly margin: number;
  readonly lengths: number[] = [];
  readonly classOf: number[] = [];
  readonly blankIds: string[][] = [];
  readonly classes: EndClass[] = [];
  private readonly byKey = new Map<string, number>();
  private readonly classByKey = new Map<string, number>();

  constructor(margin: number) {
    this.margin = margin;
  }

  classIndex(left: number, right: number, depth: number): number {
    // Square ends have no offset whatever the depth.
    const key = `${left}|${right}|${left === 0 && right === 0 ? 0 : depth}`;
    let index = this.classByKey.get(key);
    if (index === undefined) {
      index = this.classes.push({ left, right, depth }) - 1;
      this.classByKey.set(key, index);
    }
    return index;
  }

  itemIndex(near: number, left: number, right: number, depth: number): number {
    const length = wholeUp(near) + this.margin;
    const cls = this.classIndex(left, right, depth);
    const key = `${length}|${cls}`;
    let index = this.byKey.get(key);
    if (index === undefined) {
      index = this.lengths.push(length) - 1;
      this.classOf.push(cls);
      this.blankIds.push([]);
      this.byKey.set(key, index);
    }
    return index;
  }
}

const groupSticks = (sticks: readonly StickKind[]): StickGroup[] => {
  const groups = new Map<string, StickKind[]>();
  for (const kind of sticks) {
    if (kind.count === 0) continue;
    const key = `${kind.length}|${kind.price}|${kind.count === undefined}`;
    groups.set(key, [...(groups.get(key) ?? []), kind]);
  }
  return [...groups.values()]
    .map((kinds) => ({
      length: kinds[0]!.length,
      price: kinds[0]!.price,
      count: kinds[0]!.count === undefined ? undefined : kinds.reduce((sum, kind) => sum + kind.count!, 0),
      kinds,
    }))
    .sort((a, b) => a.price - b.price || b.length - a.length);
};

function buildNet(
  wall: SpliceWall,
  depth: number,
  table: ItemTable,
  fits: (item: number) => boolean,
  fitsForSale: (item: number) => boolean,
): Omit<WallNet, 'copy'> {
  const at = pointsOf(wall);
  const last = at.length - 1;
  const whole = table.itemIndex(wall.near + (wall.wholeExtra ?? 0), wall.left, wall.right, depth);
  const divide = wall.max > 0 && (wall.when === 'allowed' || !fitsForSale(whole));
  const arcs: Arc[] = fits(whole) ? [{ from: 0, to: last, item: whole, penalty: 0 }] : [];
  for (let i = 0; divide && i < last; i++) {
    for (let j = i + 1; j <= last; j++) {
      if (i === 0 && j === last) continue;
      const near = at[j]! - at[i]!;
      const inner = i > 0 && j < last;
      if (near <= 0 || near < wall.minPiece - 1e-6 || (inner && near < wall.apart - 1e-6)) continue;
      const item = table.itemIndex(near, beginsAt(wall, i), endsAt(wall, j), depth);
      if (fits(item)) arcs.push({ from: i, to: j, item, penalty: i === 0 ? 0 : wall.penalty });
    }
  }
  return { wall, points: at.length, arcs };
}

/** Least number of pieces that a wall can be made of; Infinity where its places do not suffice. */
export function fewestArcs(net: Omit<WallNet, 'copy'>): number {
  const least = new Array<number>(net.points).fill(Infinity);
  least[0] = 0;
  for (const arc of [...net.arcs].sort((a, b) => a.from - b.from))
    least[arc.to] = Math.min(least[arc.to]!, least[arc.from]! + 1);
  return least[net.points - 1]!;
}

/**
 * Turns a problem into items, end classes, stick groups and splice networks.
 * Issues: a blank or a wall that fits no stick; the text names it and what would make it fit.
 */
export function buildModel(problem: CutProblem): Result<CutModel> {
  const table = new ItemTable(problem.cutMargin ?? 0);
  const blankItems = problem.blanks.map((blank) =>
    table.itemIndex(blank.near, blank.left, blank.right, blank.depth ?? problem.depth),
  );
  const sticks = groupSticks(problem.sticks);
  const longest = Math.max(0, ...sticks.map((group) => group.length));
  const forSale = Math.max(
    0,
    ...problem.sticks.filter((kind) => !kind.rack && kind.count !== 0).map((kind) => kind.length),
  );
  const needs = (item: number): number => {
    const cls = table.classes[table.classOf[item]!]!;
    const alone = clearances([cls], problem.kerf, problem.endTrim);
    return table.lengths[item]! + alone.lead[0]! + alone.tail[0]!;
  };
  const issues: Issue[] = [];
  problem.blanks.forEach((blank, index) => {
    table.blankIds[blankItems[index]!]!.push(...Array.from({ length: blank.qty }, () => blank.id));
    const need = needs(blankItems[index]!);
    if (need > longest)
      issues.push({
        at: `/pieces/${index}`,
        code: 'cut/too-long',
        data: { id: blank.id },
        text: `"${blank.id}" needs a stick of ${need} and the longest is ${longest}: add a longer stick or allow a splice`,
      });
  });
  const walls = problem.walls.map((wall) =>
    buildNet(
      wall,
      problem.depth,
      table,
      (item) => needs(item) <= longest,
      (item) => needs(item) <= forSale,
    ),
  );
  walls.forEach((net, index) => {
    if (fewestArcs(net) > net.wall.max + 1)
      issues.push({
        at: `/walls/${index}`,
        code: 'cut/too-long',
        data: { id: net.wall.id },
        text: `"${net.wall.id}" cannot be divided so that every piece fits a stick (longest ${longest}): add a longer stick or more splice positions`,
      });
  });
  const [first, ...rest] = issues;
  if (first) return fail(first, ...rest);
  const clear = clearances(table.classes, problem.kerf, problem.endTrim);
  return ok({
    problem,
    items: table.lengths.map((length, index) => ({
      length,
      cls: table.classOf[index]!,
      demand: table.blankIds[index]!.length,
    })),
    blankIds: table.blankIds,
    walls: walls.flatMap((net) => Array.from({ length: net.wall.qty }, (_, copy) => ({ ...net, copy }))),
    sticks,
    clear,
    sequencer: new Sequencer(clear),
    longest,
  });
}

/** Blanks and walls of a problem that fit no stick, however they are divided. */
export function fitsNothing(problem: CutProblem): readonly Issue[] {
  const built = buildModel(problem);
  return built.ok ? [] : built.issues;
}
