export * from './base/index.ts';
export * from './measure/index.ts';
export * from './words/index.ts';
export * from './geometry/index.ts';
export { partsOf, pointsOf, refKey } from './drawing/index.ts';
export type { Drawing, Label, Lettering, Mark, Part, Ref, Role, Shape } from './drawing/index.ts';
export * from './job/index.ts';
export * from './survey/index.ts';
export * from './saw/index.ts';
export {
  casingOf,
  dressSide,
  freeName,
  headsOf,
  kitOf,
  letterOf,
  openingNames,
  nameOpenings,
  placeKey,
  shavesOf,
  sillsOf,
} from './openings/index.ts';
export type { DressedSide, OpeningPart, PartPlace, PartRole, SideName } from './openings/index.ts';
export * from './joinery/index.ts';
export * from './pieces/index.ts';
export * from './cutting/index.ts';
export * from './plan/index.ts';
export * from './shoplog/index.ts';
export * from './takeoff/index.ts';
export * as trade from './trade/index.ts';
export * from './calc/index.ts';
export * from './bench/index.ts';
export * from './contract/index.ts';
export * from './walk/index.ts';
export * from './views/index.ts';
export * from './formats/index.ts';
