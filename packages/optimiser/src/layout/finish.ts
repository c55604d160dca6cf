import { lengthCost } from '../bounding/length-bound.ts';
import type { CutModel } from '../model/build-model.ts';
import { fewSawChanges } from './saw-changes.ts';
import { itemList, spliceCost, type IntegerSolution, type Pattern } from '../model/integer-solution.ts';
import type { BoundGround, CutSolution, CutStick, KeptPlan, StickPart, Placed } from '../model/problem.ts';
import { keptSticks, costOfKeepingNone, tripsOf } from '../model/stick-variants.ts';

/** Items of a pattern in the order that wastes least, with the near start of each. */
function layOut(model: CutModel, pattern: Pattern): { item: number; start: number }[] {
  const byClass = new Map<number, number[]>();
  const { sequencer, lead, pool } = model.sticks[pattern.group]!;
  let set = sequencer.empty;
  // Long pieces first within a class: the offcut then lies beside the shortest.
  for (const item of itemList(pattern).sort((a, b) => model.items[b]!.length - model.items[a]!.length)) {
    const { cls } = model.items[item]!;
    byClass.set(cls, [...(byClass.get(cls) ?? []), item]);
    set = sequencer.with(set, cls);
  }
  const { gap } = model.clear;
  let at = model.pools[pool]!.kinds[0]!.opened?.from ?? 0;
  let before = -1;
  return sequencer.order(set).map((cls) => {
    at += before < 0 ? lead[cls]! : gap(before, cls);
    const item = byClass.get(cls)!.shift()!;
    const start = at;
    // The margin is kept at the end of the stick, not between its pieces.
    at += model.items[item]!.length - (model.problem.cutMargin ?? 0);
    before = cls;
    return { item, start };
  });
}

/** Names of what is cut, handed out one by one: blanks and arcs of walls by item, sticks by pool. */
class Names {
  private readonly blanks: string[][];
  private readonly arcs: { wall: number; arc: number }[][];
  private readonly sticks: string[][];
  private readonly groupOf: ReadonlyMap<string, string>;
  private readonly model: CutModel;

  constructor(model: CutModel, filled: IntegerSolution) {
    this.model = model;
    this.blanks = model.blankIds.map((ids) => [...ids]);
    this.groupOf = new Map(
      [...model.problem.blanks, ...model.problem.walls].map((one) => [one.id, one.group ?? '']),
    );
    this.arcs = model.items.map(() => []);
    filled.paths.forEach((path, wall) =>
      path.forEach((arc) => this.arcs[model.walls[wall]!.arcs[arc]!.item]!.push({ wall, arc })),
    );
    this.sticks = model.pools.map((pool) =>
      pool.kinds.flatMap((kind) =>
        kind.count === undefined ? [] : new Array<string>(kind.count).fill(kind.id),
      ),
    );
  }

  /** How many things there are that an item could be. */
  choice = (item: number): number => this.blanks[item]!.length + this.arcs[item]!.length;

  /** The next stick of a pool, or the one that is asked for. */
  stick(pool: number, wanted?: string): string {
    const free = this.sticks[pool]!;
    const { count, kinds } = this.model.pools[pool]!;
    if (count === undefined) return wanted ?? kinds[0]!.id;
    const at = wanted === undefined ? 0 : Math.max(0, free.indexOf(wanted));
    return free.splice(at, 1)[0]!;
  }

  private wallPlaced({ wall, arc }: { wall: number; arc: number }, start: number): Placed {
    const net = this.model.walls[wall]!;
    return {
      kind: 'wall',
      id: net.wall.id,
      copy: net.copy,
      fromPoint: net.arcs[arc]!.from,
      toPoint: net.arcs[arc]!.to,
      start,
    };
  }

  /** A blank or part for an item: of like ones the one whose room is already on the stick, as cost and lengths are the same. */
  place(item: number, start: number, rooms: Map<string, number>): Placed {
    const here = (id: string): number => rooms.get(this.groupOf.get(id)!) ?? 0;
    const best = <T>(list: readonly T[], idOf: (one: T) => string): number =>
      list.reduce((at, one, index) => (here(idOf(one)) > here(idOf(list[at]!)) ? index : at), 0);
    const note = (id: string): void =>
      void rooms.set(this.groupOf.get(id)!, (rooms.get(this.groupOf.get(id)!) ?? 0) + 1);
    const blanks = this.blanks[item]!;
    const id = blanks.splice(
      best(blanks, (one) => one),
      1,
    )[0];
    if (id !== undefined) {
      note(id);
      return { kind: 'blank', id, start };
    }
    const arcs = this.arcs[item]!;
    const one = arcs.splice(
      best(arcs, (arc) => this.model.walls[arc.wall]!.wall.id),
      1,
    )[0]!;
    note(this.model.walls[one.wall]!.wall.id);
    return this.wallPlaced(one, start);
  }

  /** Just this part, which a stick of the plan before held. */
  placeJust(item: number, parts: StickPart[], start: number): Placed {
    for (const [at, part] of parts.entries()) {
      if (part.kind === 'blank') {
        const own = this.blanks[item]!.indexOf(part.id);
        if (own < 0) continue;
        this.blanks[item]!.splice(own, 1);
        parts.splice(at, 1);
        return { ...part, start };
      }
      const own = this.arcs[item]!.findIndex(({ wall, arc }) => {
        const net = this.model.walls[wall]!;
        const { from, to } = net.arcs[arc]!;
        return net.wall.id === part.id && from === part.fromPoint && to === part.toPoint;
      });
      if (own < 0) continue;
      const [one] = this.arcs[item]!.splice(own, 1);
      parts.splice(at, 1);
      return this.wallPlaced(one!, start);
    }
    return this.place(item, start, new Map());
  }
}

/** For each stick of a plan the stick of the plan before that it is kept from. */
function keptFrom(model: CutModel, filled: IntegerSolution): (KeptPlan['sticks'][number] | undefined)[] {
  const before = keptSticks(model).map((one, index) => ({ one, index }));
  return filled.patterns.map((pattern) => {
    const { just, pool } = model.sticks[pattern.group]!;
    if (!just) return undefined;
    const at = before.findIndex(({ one }) => one?.pool === pool && one.items.join() === just.join());
    const [found] = before.splice(at, 1);
    return model.problem.keep!.sticks[found!.index]!;
  });
}

/** Turns a filled plan into sticks with named blanks at whole positions. */
export function finishSolution(
  model: CutModel,
  filled: IntegerSolution,
  lowerBound: number,
  ground: BoundGround,
): CutSolution {
  const names = new Names(model, filled);
  const kept = keptFrom(model, filled);
  // Kept sticks have their own pieces again; of the others, pieces without a like go first: they say which room a stick
  // belongs to.
  const sticks: CutStick[] = new Array<CutStick>(filled.patterns.length);
  const lay = (index: number): void => {
    const pattern = filled.patterns[index]!;
    const laid = layOut(model, pattern).map((one, k) => ({ ...one, k }));
    const before = kept[index];
    const rooms = new Map<string, number>();
    const parts = [...(before?.parts ?? [])];
    const order = before
      ? laid
      : [...laid].sort((a, b) => names.choice(a.item) - names.choice(b.item) || a.k - b.k);
    const placed = order
      .map(({ item, start, k }) => ({
        k,
        one: before ? names.placeJust(item, parts, start) : names.place(item, start, rooms),
      }))
      .sort((a, b) => a.k - b.k)
      .map(({ one }) => one);
    sticks[index] = { stick: names.stick(model.sticks[pattern.group]!.pool, before?.stick), placed };
  };
  kept.forEach((before, index) => before && lay(index));
  kept.forEach((before, index) => before || lay(index));
  const { keep, trips } = model.problem;
  const stood = kept.filter(Boolean).length;
  const moved = (keep?.sticks.length ?? 0) - stood;
  const waiting = trips
    ? filled.patterns.reduce((sum, pattern) => {
        const [first, last] = tripsOf(model, pattern.items);
        return sum + last - first;
      }, 0)
    : 0;
  const cost =
    spliceCost(model, filled.paths) +
    filled.patterns.reduce((sum, pattern) => sum + model.pools[model.sticks[pattern.group]!.pool]!.price, 0);
  // What keeping is worth was taken off for each stick that stood: the rest of it counts.
  const offset = costOfKeepingNone(model.problem);
  return {
    sticks: fewSawChanges(model.problem, sticks),
    cost,
    moved,
    waiting,
    total: filled.cost + offset,
    splices: filled.paths.reduce((sum, path) => sum + path.length - 1, 0),
    lowerBound: Math.min(lowerBound, filled.cost) + offset,
    costBound: model.weighed ? Math.ceil(lengthCost(model) - 1e-6) : Math.min(lowerBound, filled.cost),
    proven: lowerBound >= filled.cost - 1e-6,
    ground: { ...ground, figure: ground.figure + offset },
  };
}
