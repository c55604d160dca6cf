export { crownHanging, rollAdvice } from './crown-hanging.ts';
export * from './lessons.ts';
export * from './what-joints-tell.ts';
