import type { CutModel } from './model.ts';
import { listOf, type Filled, type Pattern } from './pattern.ts';
import type { CutSolution, CutStick, Placed } from './problem.ts';

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
    at += before < 0 ? lead[cls]! : gap[before]![cls]!;
    const item = byClass.get(cls)!.shift()!;
    const start = at;
    at += model.items[item]!.length;
    before = cls;
    return { item, start };
  });
}

/** Turns a filled plan into sticks with named blanks at whole positions. */
export function finishSolution(model: CutModel, filled: Filled, lowerBound: number): CutSolution {
  const blanks = model.blankIds.map((ids) => [...ids]);
  const arcs = model.items.map((): { wall: number; arc: number }[] => []);
  filled.paths.forEach((path, wall) =>
    path.forEach((arc) => arcs[model.walls[wall]!.arcs[arc]!.item]!.push({ wall, arc })),
  );
  const free = model.sticks.map((group) =>
    group.kinds.flatMap((kind) =>
      kind.count === undefined ? [] : new Array<string>(kind.count).fill(kind.id),
    ),
  );
  const place = (item: number, start: number): Placed => {
    const id = blanks[item]!.shift();
    if (id !== undefined) return { kind: 'blank', id, start };
    const { wall, arc } = arcs[item]!.shift()!;
    const net = model.walls[wall]!;
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
    return { stick, placed: layOut(model, pattern).map(({ item, start }) => place(item, start)) };
  });
  const splices = filled.paths.reduce((sum, path) => sum + path.length - 1, 0);
  return {
    sticks,
    cost: filled.cost,
    splices,
    lowerBound: Math.min(lowerBound, filled.cost),
    proven: lowerBound >= filled.cost - 1e-6,
  };
}
