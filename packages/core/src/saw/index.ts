export * from './setting.ts';
