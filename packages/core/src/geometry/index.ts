export * from './vec2.ts';
export * from './vec3.ts';
export * from './drawing.ts';
export * from './solid.ts';
