export * from './survey.ts';
export * from './starter.ts';
export * from './stock.ts';
