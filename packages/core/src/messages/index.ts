export * from './terms.ts';
export * from './warnings.ts';
export * from './warning-advice.ts';
export * from './lacks.ts';
export * from './part-words.ts';
export * from './cut-faults.ts';
