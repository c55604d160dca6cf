export * from './ribbon.ts';
export * from './ribbon-drawing.ts';
export * from './room-plan.ts';
export * from './plan-drawing.ts';
export * from './stick-diagram.ts';
export * from './stick-drawing.ts';
export * from './cut-list.ts';
export * from './cut-drawing.ts';
