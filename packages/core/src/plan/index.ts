export * from './plan-file.ts';
export * from './plan-job.ts';
export * from './compare-rules.ts';
export * from './watch-advice.ts';
export * from './splice-places.ts';
