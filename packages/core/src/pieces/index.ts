export * from './layout.ts';
export * from './opening-parts.ts';
export * from './draft.ts';
export { keyOfPiece } from './piece-keys.ts';
export * from './drafts.ts';
export * from './opening-drafts.ts';
export * from './number.ts';
