export * from './problem.ts';
export * from './solver-port.ts';
export { optimise, type OptimiseOptions } from './optimise.ts';
export { wholeUp } from './end-classes.ts';
export * from './cut-file.ts';
export { layOnStick, type LooseBlank } from './lay-out.ts';
