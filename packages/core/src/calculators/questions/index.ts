export { calculate, describeOps } from './ops.ts';
