export * from './edits.ts';
export * from './divide.ts';
export * from './mirror.ts';
export * from './merge.ts';
export * from './walk-line.ts';
export * from './readings.ts';
export * from './to-measure.ts';
export * from './wall-table.ts';
