export * from './shapes.ts';
