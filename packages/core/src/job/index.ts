export * from './schema.ts';
export * from './house-rules.ts';
export * from './faults.ts';
export * from './check-room.ts';
export * from './check-job.ts';
export * from './read-job.ts';
export * from './rule-notes.ts';
