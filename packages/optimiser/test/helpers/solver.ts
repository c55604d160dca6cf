import loadHighs from 'highs';
import type { LinearSolver } from '../../../optimiser/src/index.ts';
import { highsSolver } from '../../src/solver/index.ts';

/** The real solver, for tests that want proofs. */
export const testSolver = async (): Promise<LinearSolver> => highsSolver(await loadHighs());
const cpuNow = (): number => {
  const { user, system } = process.cpuUsage();
  return (user + system) / 1e6;
};
let [cpu, wall, worked] = [cpuNow(), performance.now() / 1000, 0];

/**
 * Seconds of work, not of waiting: a busy machine gets as far as a quiet one. What the runtime does on threads of its own
 * beside the work does not count either.
 */
export const clock = (): number => {
  const [cpuThen, wallThen] = [cpu, wall];
  [cpu, wall] = [cpuNow(), performance.now() / 1000];
  worked += Math.min(cpu - cpuThen, wall - wallThen);
  return worked;
};
