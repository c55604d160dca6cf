import type { CutModel } from '../model/build-model.ts';
import {
  integerSolution,
  type IntegerSolution,
  type Paths,
  type Pattern,
} from '../model/integer-solution.ts';
import { residualOf } from '../model/residual.ts';

/**
 * A large problem with few of the ways to divide its walls: each part of a wall that might be cut is a size of its own, and
 * thousands of them make a linear programme that is never solved. The bound comes from elsewhere: from the relaxation to sizes.
 */
export interface NarrowedModel {
  readonly model: CutModel;
  /** A pattern of the whole in the narrow problem; undefined where it needs what is not there. */
  readonly forth: (pattern: Pattern) => Pattern | undefined;
  /** A plan of the narrow problem as one of the whole. */
  readonly back: (plan: IntegerSolution) => IntegerSolution;
  /** A way to divide the walls of the whole in the narrow problem; its parts must be there. */
  readonly forthPaths: (paths: Paths) => Paths;
  /** Its item for an item of the whole. */
  readonly place: ReadonlyMap<number, number>;
}

/** Parts of walls to keep, by wall. */
type KeptArcs = readonly ReadonlySet<number>[];

/** The parts that some plans use. */
export const arcsUsedBy = (model: CutModel, plans: readonly Paths[]): Set<number>[] =>
  model.walls.map((_, wall) => new Set(plans.flatMap((paths) => paths[wall]!)));

export function narrowModel(full: CutModel, kept: KeptArcs): NarrowedModel {
  const arcsOf = full.walls.map((net, wall) =>
    net.arcs.flatMap((_, arc) => (net.arcs.length === 1 || kept[wall]!.has(arc) ? [arc] : [])),
  );
  const walls = full.walls.map((net, wall) => ({
    ...net,
    arcs: arcsOf[wall]!.map((arc) => net.arcs[arc]!),
  }));
  const part = residualOf(
    { ...full, walls },
    full.items.map((item) => item.demand),
    walls.map((_, wall) => wall),
    [],
  );
  return {
    model: part.model,
    forth: part.forth,
    place: part.place,
    forthPaths: (paths) => paths.map((path, wall) => path.map((arc) => arcsOf[wall]!.indexOf(arc))),
    back: ({ patterns, paths }) =>
      integerSolution(
        full,
        patterns.map(part.back),
        paths.map((path, wall) => path.map((arc) => arcsOf[wall]![arc]!)),
      ),
  };
}
