export * from './plan-file.ts';
export * from './options.ts';
export * from './plan-job.ts';
export { isPinned, movePiece, pinOf, togglePin } from './stick-pins.ts';
export { coinOfJob } from './cut-problems.ts';
export * from './cut-records.ts';
export * from './what-if.ts';
export * from './compare-rules.ts';
export * from './splice-places.ts';
