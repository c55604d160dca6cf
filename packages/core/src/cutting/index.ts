export * from './problem.ts';
export * from './solver-port.ts';
export { optimise, optimiseInLanes, type OptimiseOptions } from './optimise.ts';
export {
  alone,
  beside,
  BesideByMessages,
  toldAgo,
  type Beside,
  type Lane,
  type LaneTold,
  type Report,
  type Sent,
} from './lanes.ts';
export { plansOnDemand } from './plans-beside.ts';
export { wholeUp } from './end-classes.ts';
export * from './cut-file.ts';
export { layOnStick, type LooseBlank } from './lay-out.ts';
export { optimiseAround, optimiseAroundInLanes, type FixedStick } from './around.ts';
export { partFigures, type Part } from './parts.ts';
export { shortageOf, withShortage, type Shortage } from './shortage.ts';
export { firstFitCost } from './heuristic.ts';
export { sawChanges } from './saw-changes.ts';
export { fitsNothing } from './model.ts';
export { secondTripRisk, type MiscutQuestion, type SecondTrip } from './miscuts.ts';
