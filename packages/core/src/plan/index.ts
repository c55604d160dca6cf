export * from './plan-file.ts';
export * from './plan-job.ts';
