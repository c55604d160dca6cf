export * from './terms.ts';
export * from './watch-outs.ts';
export * from './watch-advice.ts';
export * from './lacks.ts';
export * from './part-words.ts';
