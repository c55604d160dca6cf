export * from './base/index.ts';
export * from './measure/index.ts';
export * from './messages/index.ts';
export * from './geometry/index.ts';
export * from './job/index.ts';
export * from './survey/index.ts';
export * from './saw/index.ts';
export {
  casingOf,
  trimSide,
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
export type { TrimmedSide, OpeningPart, PartPlace, PartRole, SideName } from './openings/index.ts';
export * from './joinery/index.ts';
export * from './pieces/index.ts';
export * from './plan/index.ts';
export * from './workshop/index.ts';
export * from './takeoff/index.ts';
export * as trade from './trade/index.ts';
export * from './calculators/questions/index.ts';
export * from './calculators/index.ts';
export * from './api-schemas/index.ts';
export * from './survey-edits/index.ts';
export * from './lists/index.ts';
export * from './drawings/index.ts';
export * from './advice/index.ts';
export * from './documents/index.ts';
