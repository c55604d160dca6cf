export * from './sheets.ts';
export * from './on-page.ts';
export * from './svg.ts';
export * from './real.ts';
export * from './pictures.ts';
