import loadHighs from 'highs';
import type { LinearSolver } from '../../src/index.ts';
import { highsSolver } from '../../src/solver/index.ts';

/** The real solver, for tests that want proofs. */
export const testSolver = async (): Promise<LinearSolver> => highsSolver(await loadHighs());
export const clock = (): number => performance.now() / 1000;
