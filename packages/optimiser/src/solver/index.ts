export * from './highs-solver.ts';
