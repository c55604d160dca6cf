export { numbersFrom } from './base/random.ts';
export { cosDeg, tanDeg } from './base/degrees.ts';
export { WHOLE_UNIT } from './base/tolerance.ts';
export type { CutFault, CutResult } from './base/outcome.ts';
export * from './model/problem.ts';
export * from './solver/solver-port.ts';
export { optimise, optimiseCoroutine, type OptimiseOptions } from './optimise.ts';
export {
  runSequential,
  runParallel,
  MessagePeer,
  agedMessage,
  type Peer,
  type SearchCoroutine,
  type PeerMessage,
  type PeerReport,
  type TimedMessage,
} from './schedule/coroutine.ts';
export { primalWorker } from './schedule/primal-worker.ts';
export { wholeUp } from './model/end-classes.ts';
export { problemOfFile, writeCutSolution, type CutProblemFile } from './format/problem-file.ts';
export { layOnStick, type LooseBlank } from './layout/lay-on-stick.ts';
export {
  optimiseWithFixedSticks,
  optimiseWithFixedSticksCoroutine,
  type FixedStick,
} from './optimise-with-fixed-sticks.ts';
export { partDimensions, type StickPart } from './model/parts.ts';
export { shortageOf, type Shortage } from './questions/shortage.ts';
export { firstFitCost } from './primal/construct.ts';
export { sawChanges } from './layout/saw-changes.ts';
export { fitsNothing } from './model/build-model.ts';
export { secondTripRisk } from './questions/miscuts.ts';
