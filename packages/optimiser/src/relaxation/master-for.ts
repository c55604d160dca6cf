import { isSmall } from '../exact/solve-small.ts';
import { Master } from './master.ts';
import type { CutModel } from '../model/build-model.ts';
import type { LinearSolver } from '../solver/solver-port.ts';

/** So few items (parts of walls among them) that the proof of a small problem comes before most dives. */
const FEW_ITEMS = 120;
/** Cells of the pricing's table then: the search behind it is short. */
const FEW_CELLS = 1000;

export const hasFewItems = (model: CutModel): boolean => model.items.length <= FEW_ITEMS;

/** The master of a whole search. */
export const masterFor = (model: CutModel, solver: LinearSolver): Master =>
  new Master(model, solver, hasFewItems(model) ? { cells: FEW_CELLS, simple: isSmall(model) } : {});
