export * from './corner-angle.ts';
export * from './room-path.ts';
export * from './closure.ts';
export * from './studs.ts';
export * from './leans.ts';
export * from './ceiling.ts';
