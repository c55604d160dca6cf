export * from './dress.ts';
export * from './extent.ts';
export * from './measures.ts';
export * from './names.ts';
export * from './part.ts';
export * from './parts.ts';
export * from './stool.ts';
export * from './strip.ts';
