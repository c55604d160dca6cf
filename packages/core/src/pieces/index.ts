export * from './layout.ts';
export * from './opening-parts.ts';
export * from './drafts.ts';
export * from './number.ts';
