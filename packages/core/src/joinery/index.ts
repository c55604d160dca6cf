export * from './trim-frame.ts';
export * from './segments.ts';
export * from './corner-joint.ts';
export * from './through.ts';
export * from './end-cut.ts';
export * from './runs.ts';
export * from './spring-fit.ts';
export * from './splice.ts';
