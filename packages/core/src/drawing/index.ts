export * from './shapes.ts';
export * from './solid.ts';
