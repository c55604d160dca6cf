import type { CutModel } from './model.ts';
import { fewSawChanges } from './saw-changes.ts';
import { listOf, type Filled, type Pattern } from './pattern.ts';
import type { BoundGround, CutSolution, CutStick, Placed } from './problem.ts';

/** Items of a pattern in the order that wastes least, with the near start of each. */
function layOut(model: CutModel, pattern: Pattern): { item: number; start: number }[] {
  const byClass = new Map<number, number[]>();
  let set = model.sequencer.empty;
  // Long pieces first within a class: the offcut then lies beside the shortest.
  for (const item of listOf(pattern).sort((a, b) => model.items[b]!.length - model.items[a]!.length)) {
    const { cls } = model.items[item]!;
    byClass.set(cls, [...(byClass.get(cls) ?? []), item]);
    set = model.sequencer.with(set, cls);
  }
  const { gap, lead } = model.clear;
  let at = 0;
  let before = -1;
  return model.sequencer.order(set).map((cls) => {
    at += before < 0 ? lead[cls]! : gap(before, cls);
    const item = byClass.get(cls)!.shift()!;
    const start = at;
    // The margin is kept at the end of the stick, not between its pieces.
    at += model.items[item]!.length - (model.problem.cutMargin ?? 0);
    before = cls;
    return { item, start };
  });
}

/** Turns a filled plan into sticks with named blanks at whole positions. */
export function finishSolution(
  model: CutModel,
  filled: Filled,
  lowerBound: number,
  ground: BoundGround,
): CutSolution {
  const blanks = model.blankIds.map((ids) => [...ids]);
  const groupOf = new Map(
    [...model.problem.blanks, ...model.problem.walls].map((one) => [one.id, one.group ?? '']),
  );
  const arcs = model.items.map((): { wall: number; arc: number }[] => []);
  filled.paths.forEach((path, wall) =>
    path.forEach((arc) => arcs[model.walls[wall]!.arcs[arc]!.item]!.push({ wall, arc })),
  );
  const free = model.sticks.map((group) =>
    group.kinds.flatMap((kind) =>
      kind.count === undefined ? [] : new Array<string>(kind.count).fill(kind.id),
    ),
  );
  // Of like pieces the one whose room is already on the stick: cost and lengths are the same.
  const take = <T>(
    list: T[],
    idOf: (one: T) => string,
    rooms: ReadonlyMap<string, number>,
  ): T | undefined => {
    let best = 0;
    list.forEach((one, index) => {
      const here = rooms.get(groupOf.get(idOf(one))!) ?? 0;
      if (here > (rooms.get(groupOf.get(idOf(list[best]!))!) ?? 0)) best = index;
    });
    return list.splice(best, 1)[0];
  };
  const place = (item: number, start: number, rooms: Map<string, number>): Placed => {
    const id = take(blanks[item]!, (one) => one, rooms);
    const note = (name: string): void => {
      const group = groupOf.get(name)!;
      rooms.set(group, (rooms.get(group) ?? 0) + 1);
    };
    if (id !== undefined) {
      note(id);
      return { kind: 'blank', id, start };
    }
    const { wall, arc } = take(arcs[item]!, (one) => model.walls[one.wall]!.wall.id, rooms)!;
    const net = model.walls[wall]!;
    note(net.wall.id);
    return {
      kind: 'wall',
      id: net.wall.id,
      copy: net.copy,
      fromPoint: net.arcs[arc]!.from,
      toPoint: net.arcs[arc]!.to,
      start,
    };
  };
  const sticks = filled.patterns.map((pattern): CutStick => {
    const group = model.sticks[pattern.group]!;
    const stick = group.count === undefined ? group.kinds[0]!.id : free[pattern.group]!.shift()!;
    // Pieces without a like go first: they say which room the stick belongs to.
    const rooms = new Map<string, number>();
    const laid = layOut(model, pattern).map((one, index) => ({ ...one, index }));
    const choice = (item: number): number => blanks[item]!.length + arcs[item]!.length;
    const placed = [...laid]
      .sort((a, b) => choice(a.item) - choice(b.item) || a.index - b.index)
      .map(({ item, start, index }) => ({ index, one: place(item, start, rooms) }))
      .sort((a, b) => a.index - b.index)
      .map(({ one }) => one);
    return { stick, placed };
  });
  const splices = filled.paths.reduce((sum, path) => sum + path.length - 1, 0);
  return {
    sticks: fewSawChanges(model.problem, sticks),
    cost: filled.cost,
    splices,
    lowerBound: Math.min(lowerBound, filled.cost),
    proven: lowerBound >= filled.cost - 1e-6,
    ground,
  };
}
