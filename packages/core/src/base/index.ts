export * from './ids.ts';
export * from './issue.ts';
export * from './numbers.ts';
export * from './tolerance.ts';
export * from './trig.ts';
export * from './same-value.ts';
