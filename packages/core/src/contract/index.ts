export * from './survey.ts';
export * from './jobs.ts';
export * from './job-file.ts';
export * from './starter.ts';
export * from './stock.ts';
export * from './answers.ts';
export * from './rack-words.ts';
