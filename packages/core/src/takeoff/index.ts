export * from './rule-of-thumb.ts';
export * from './order-list.ts';
export * from './materials.ts';
export * from './rack.ts';
export * from './figures.ts';
export * from './shared-purchase.ts';
