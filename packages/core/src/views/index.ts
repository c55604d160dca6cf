export * from './ribbon.ts';
export * from './room-plan.ts';
export * from './stick-diagram.ts';
export * from './cut-list.ts';
