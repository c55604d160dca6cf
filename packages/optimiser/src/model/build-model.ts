import { refuse, succeed, type CutFault, type CutResult } from '../base/outcome.ts';
import { tanDeg } from '../base/degrees.ts';
import { clearances, openedClearances, wholeUp, type Clearances, type EndClass } from './end-classes.ts';
import type { CutProblem, SpliceWall, StickKind } from './problem.ts';
import { beginsAt, endsAt, wallPoints } from './parts.ts';
import type { Arc, CutModel, StickPool, WallNet } from './model-types.ts';
import { byPrice, spanningTrips, sequenceTurns, keptStickVariants, stickVariants } from './stick-variants.ts';
import { Sequencer } from './sequencer.ts';

export type { Arc, CutModel, Item, StickVariant, StickPool, WallNet } from './model-types.ts';

/** With more sizes than this other methods are the quicker ones: what grows with every size is avoided. */
export const MANY_SIZES = 400;

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

  classIndex({ left, right, depth, turn = 0 }: EndClass): number {
    // Square ends have no offset whatever the depth.
    const key = `${left}|${right}|${left === 0 && right === 0 ? 0 : depth}|${turn}`;
    let index = this.classByKey.get(key);
    if (index === undefined) {
      index = this.classes.push({ left, right, depth, ...(turn === 0 ? {} : { turn }) }) - 1;
      this.classByKey.set(key, index);
    }
    return index;
  }

  /** @param own tells pieces apart that are like others: where it matters whose they are */
  itemIndex(near: number, ends: EndClass, own = ''): number {
    const length = wholeUp(near) + this.margin;
    const cls = this.classIndex(ends);
    const key = `${length}|${cls}|${own}`;
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

function poolSticks(sticks: readonly StickKind[]): StickPool[] {
  const pools = new Map<string, StickKind[]>();
  for (const kind of sticks) {
    if (kind.count === 0) continue;
    const { from, angle } = kind.opened ?? { from: '', angle: '' };
    const key = [kind.length, kind.price, kind.count === undefined, from, angle].join('|');
    pools.set(key, [...(pools.get(key) ?? []), kind]);
  }
  return [...pools.values()]
    .map((kinds) => ({
      length: kinds[0]!.length,
      price: kinds[0]!.price,
      count: kinds[0]!.count === undefined ? undefined : kinds.reduce((sum, kind) => sum + kind.count!, 0),
      kinds,
    }))
    .sort((a, b) => a.price - b.price || b.length - a.length);
}

function buildNet(
  wall: SpliceWall,
  { depth, turn, name }: { readonly depth: number; readonly turn: number; readonly name: string },
  table: ItemTable,
  fits: (item: number) => boolean,
  fitsForSale: (item: number) => boolean,
): Omit<WallNet, 'copy'> {
  const at = wallPoints(wall);
  const last = at.length - 1;
  const { left, right } = wall;
  const whole = table.itemIndex(wall.near + (wall.wholeExtra ?? 0), { left, right, depth, turn }, name);
  const divide = wall.max > 0 && (wall.when === 'allowed' || !fitsForSale(whole));
  const arcs: Arc[] = fits(whole) ? [{ from: 0, to: last, item: whole, penalty: 0 }] : [];
  for (let i = 0; divide && i < last; i++) {
    for (let j = i + 1; j <= last; j++) {
      if (i === 0 && j === last) continue;
      const near = at[j]! - at[i]!;
      const inner = i > 0 && j < last;
      if (near <= 0 || near < wall.minPiece - 1e-6 || (inner && near < wall.apart - 1e-6)) continue;
      const ends = { left: beginsAt(wall, i), right: endsAt(wall, j), depth, turn };
      const item = table.itemIndex(near, ends, name);
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
 * Issues: `cut/too-long` for each blank or wall that fits no stick.
 */
export function buildModel(problem: CutProblem): CutResult<CutModel> {
  const table = new ItemTable(problem.cutMargin ?? 0);
  const turnOf = sequenceTurns(problem);
  const twice = spanningTrips(problem);
  const blankItems = problem.blanks.map((blank) => {
    const { left, right, depth = problem.depth } = blank;
    const name = twice.has(blank.id) ? blank.id : '';
    return table.itemIndex(blank.near, { left, right, depth, turn: turnOf(blank) }, name);
  });
  const pools = poolSticks(problem.sticks);
  const longest = Math.max(0, ...pools.map((pool) => pool.length));
  const forSale = Math.max(
    0,
    ...problem.sticks.filter((kind) => !kind.rack && kind.count !== 0).map((kind) => kind.length),
  );
  const alone = (item: number): Clearances =>
    clearances([table.classes[table.classOf[item]!]!], problem.kerf, problem.endTrim);
  const needs = (item: number): number => {
    const { lead, tail } = alone(item);
    return table.lengths[item]! + lead[0]! + tail[0]!;
  };
  const opened = problem.sticks.filter((kind) => kind.opened && kind.count !== 0);
  // An opened stick loses no trim at its left end, so it may hold what a whole one of its length would not.
  const fitsAny = (item: number): boolean =>
    needs(item) <= longest ||
    opened.some(({ length, opened: end }) => {
      const clear = openedClearances(alone(item), end!.angle, problem.depth);
      return table.lengths[item]! + clear.lead[0]! + clear.tail[0]! <= length;
    });
  const issues: CutFault[] = [];
  problem.blanks.forEach((blank, index) => {
    table.blankIds[blankItems[index]!]!.push(...Array.from({ length: blank.qty }, () => blank.id));
    const need = needs(blankItems[index]!);
    if (!fitsAny(blankItems[index]!))
      issues.push({
        at: `/pieces/${index}`,
        code: 'cut/too-long',
        data: { id: blank.id, part: 'blank', needs: need, longest },
      });
  });
  const walls = problem.walls.map((wall) =>
    buildNet(
      wall,
      {
        depth: problem.depth,
        turn: turnOf(wall),
        // Which parts a wall had before matters where sticks are to be kept.
        name: (problem.keep?.weight ?? 0) > 0 && (wall.max > 0 || twice.has(wall.id)) ? wall.id : '',
      },
      table,
      fitsAny,
      (item) => needs(item) <= forSale,
    ),
  );
  walls.forEach((net, index) => {
    if (fewestArcs(net) > net.wall.max + 1)
      issues.push({
        at: `/walls/${index}`,
        code: 'cut/too-long',
        data: { id: net.wall.id, part: 'wall', needs: net.wall.near, longest },
      });
  });
  const [first, ...rest] = issues;
  if (first) return refuse(first, ...rest);
  const clear = clearances(table.classes, problem.kerf, problem.endTrim);
  const sequencer = new Sequencer(clear);
  const items = table.lengths.map((length, index) => ({
    length,
    cls: table.classOf[index]!,
    demand: table.blankIds[index]!.length,
  }));
  const plain: CutModel = {
    problem,
    items,
    blankIds: table.blankIds,
    walls: walls.flatMap((net) => Array.from({ length: net.wall.qty }, (_, copy) => ({ ...net, copy }))),
    pools,
    sticks: stickVariants(problem, pools, clear, sequencer),
    clear,
    sequencer,
    longest,
    hasStubs: items.some(({ length, cls }) => {
      const { left, right, depth } = table.classes[cls]!;
      return length < depth * Math.max(tanDeg(left), tanDeg(right));
    }),
    weighed: (problem.trips?.weight ?? 0) > 0 || (problem.keep?.weight ?? 0) > 0,
  };
  return succeed({ ...plain, sticks: byPrice([...plain.sticks, ...keptStickVariants(plain)]) });
}

/** Blanks and walls of a problem that fit no stick, however they are divided. */
export function fitsNothing(problem: CutProblem): readonly CutFault[] {
  const built = buildModel(problem);
  return built.ok ? [] : built.issues;
}
