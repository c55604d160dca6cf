export * from './seat.ts';
export * from './dial.ts';
export * from './setting.ts';
export * from './words.ts';
export * from './test-cuts.ts';
export * from './record.ts';
