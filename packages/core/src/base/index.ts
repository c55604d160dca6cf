export * from './ids.ts';
export * from './issue.ts';
export * from './tolerance.ts';
export * from './trig.ts';
