import loadHighs from 'highs';
import type { LinearSolver } from '../../src/index.ts';
import { highsSolver } from '../../src/solver/index.ts';

/** The real solver, for tests that want proofs. */
export const testSolver = async (): Promise<LinearSolver> => highsSolver(await loadHighs());
/** Seconds of work, not of waiting: a busy machine gets as far as a quiet one. */
export const clock = (): number => {
  const { user, system } = process.cpuUsage();
  return (user + system) / 1e6;
};
