export * from './unit.ts';
export * from './parse-length.ts';
export * from './format-length.ts';
export * from './parse-angle.ts';
export * from './device-line.ts';
export * from './money.ts';
export * from './parse-number.ts';
export * from './reader.ts';
