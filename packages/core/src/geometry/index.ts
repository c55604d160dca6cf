export * from './vec2.ts';
export * from './vec3.ts';
