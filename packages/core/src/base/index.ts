export * from './ids.ts';
export * from './issue.ts';
export { numbersFrom } from '@long-miter/optimiser';
export * from './tolerance.ts';
export * from './trig.ts';
export * from './same-value.ts';
