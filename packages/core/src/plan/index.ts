export * from './plan-file.ts';
export * from './plan-job.ts';
export { isPinned, movePiece, pinOf, togglePin, type StickPin } from './stick-pins.ts';
export * from './what-if.ts';
export * from './compare-rules.ts';
export * from './watch-advice.ts';
export * from './splice-places.ts';
