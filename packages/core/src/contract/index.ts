export * from './survey.ts';
export * from './starter.ts';
