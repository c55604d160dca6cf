export * from './vec2.ts';
