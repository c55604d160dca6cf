import { faultText } from '../messages/index.ts';
import { message } from '../messages/index.ts';
import { z } from 'zod';
import { pointer, type Issue, type Result } from '../base/index.ts';
import {
  problemOfFile,
  shortageOf,
  type CutFault,
  type CutProblem,
  type CutProblemFile,
  type LinearSolver,
  type OptimiseOptions,
} from '@long-miter/optimiser';
import { checkShape } from '../job/index.ts';
import { cutFaultText, listOf, shortageText } from '../messages/index.ts';

/** Reads the open problem format of the `cut` command: integers in the problem's unit, prices in cents. */

const id = z.string().min(1, faultText('fault.must-not-be-empty'));
const whole = z
  .number()
  .int(faultText('fault.must-be-a-whole-number'))
  .max(1e12, faultText('fault.is-too-large'));
const natural = whole.min(0, faultText('fault.must-not-be-negative'));
const above0 = whole.min(1, faultText('fault.must-be-greater-than-0'));
const angle = z
  .number()
  .gt(-90, faultText('fault.must-be-more-than-90'))
  .lt(90, faultText('fault.must-be-less-than-90'));

const stockItem = z.strictObject({
  id,
  length: above0,
  price: natural,
  count: natural.nullable().optional(),
});
/** What is left of a stick that is being cut; the solution names it by `stick`. */
const openedItem = z.strictObject({
  stick: id,
  /** From the whole stick's left end to where the near line begins; `start` is counted from the same end. */
  from: natural,
  /** Near line from there to the stick's right end, whose trim is still to be lost. */
  remains: above0,
  /** Slant of the opened end, signed like the left end of a piece. */
  endAngle: angle,
});
const keptPart = z.union([
  z.strictObject({ piece: id, start: natural.optional() }),
  z.strictObject({
    wall: id,
    copy: natural.optional(),
    from: natural,
    to: natural,
    start: natural.optional(),
  }),
]);
/** The plan before, as its solution lists it; each stick of it that is not found again counts `weight` cents. */
const kept = z.strictObject({
  sticks: z.array(
    z.strictObject({ stock: id, pieces: z.array(keptPart).min(1, faultText('fault.must-not-be-empty')) }),
  ),
  weight: natural.max(1e6, faultText('fault.must-not-be-more-than-1000000')),
});
/** Ids of pieces and walls by trip, in order; what is not named goes last. A stick that stays open counts `weight` cents. */
const trips = z.strictObject({
  order: z.array(z.array(id)),
  weight: natural.max(1e6, faultText('fault.must-not-be-more-than-1000000')).optional(),
});
const rackItem = z.strictObject({ id, length: above0, price: natural.optional() });

export const cutProblemSchema = z.strictObject({
  format: z.literal('longmiter-cut-problem', faultText('fault.must-be-longmiter-cut-problem')),
  version: z.literal(1, faultText('fault.must-be-1-the-version-this-program-reads')),
  name: z.string(),
  unit: z.string(),
  profile: z.strictObject({ thickness: natural }),
  kerf: natural,
  endTrim: natural,
  /** Kept free on a stick for every piece. */
  cutMargin: natural.optional(),
  minOffcut: natural.optional(),
  stock: z.array(stockItem),
  rack: z.array(rackItem).optional(),
  opened: z.array(openedItem).optional(),
  keep: kept.optional(),
  trips: trips.optional(),
  pieces: z.array(
    z.strictObject({
      id,
      length: above0,
      left: angle,
      right: angle,
      qty: natural.optional(),
      /** Its measure is still to come: it lies after all others on its stick. */
      held: z.boolean().optional(),
    }),
  ),
  walls: z
    .array(
      z.strictObject({
        id,
        length: above0,
        left: angle,
        right: angle,
        qty: natural.optional(),
        held: z.boolean().optional(),
        splice: z
          .strictObject({
            angle: z
              .number()
              .min(0, faultText('fault.must-not-be-negative'))
              .lt(90, faultText('fault.must-be-less-than-90')),
            lap: z.enum(['left', 'right'], faultText('fault.must-be-left-or-right')).optional(),
            positions: z.array(natural),
            max: natural.optional(),
            penalty: natural.optional(),
            minPiece: natural.optional(),
            when: z.enum(['needed', 'allowed']).optional(),
          })
          .optional(),
      }),
    )
    .optional(),
});

const repeated = (ids: readonly string[], at: string): Issue[] =>
  ids.flatMap((one, index) =>
    ids.indexOf(one) < index
      ? [{ at: `${at}${pointer(index, 'id')}`, text: message('fault.is-used-twice-each-needs-its', { one }) }]
      : [],
  );

/** Reads a problem file, with every fault by its place. */
export function readCutProblem(value: unknown): Result<{ file: CutProblemFile; problem: CutProblem }> {
  const shaped = checkShape(cutProblemSchema, value);
  if (!shaped.ok) return shaped;
  const file: CutProblemFile = shaped.value;
  const issues = [
    ...repeated(
      file.stock.map((item) => item.id),
      '/stock',
    ),
    ...repeated(
      (file.rack ?? []).map((item) => item.id),
      '/rack',
    ),
    ...repeated(
      file.pieces.map((item) => item.id),
      '/pieces',
    ),
    ...repeated(
      (file.walls ?? []).map((item) => item.id),
      '/walls',
    ),
  ];
  const sticks = new Set([...file.stock, ...(file.rack ?? [])].map((one) => one.id));
  const opened = (file.opened ?? []).map((one) => one.stick);
  opened.forEach((name, index) => {
    if (sticks.has(name) || opened.indexOf(name) < index)
      issues.push({
        at: pointer('opened', index, 'stick'),
        text: message('fault.is-used-twice-an-opened-stick', { name }),
      });
  });
  const named = new Set([...file.pieces, ...(file.walls ?? [])].map((one) => one.id));
  const seen = new Set<string>();
  file.trips?.order.forEach((ids, trip) =>
    ids.forEach((one, index) => {
      const at = pointer('trips', 'order', trip, index);
      if (!named.has(one)) issues.push({ at, text: message('fault.is-neither-a-piece-nor-a', { one }) });
      else if (seen.has(one))
        issues.push({ at, text: message('fault.goes-with-two-trips-name-it', { one }) });
      seen.add(one);
    }),
  );
  const shared = (file.rack ?? []).findIndex((item) => file.stock.some((other) => other.id === item.id));
  if (shared >= 0)
    issues.push({ at: pointer('rack', shared, 'id'), text: message('fault.is-also-the-id-of-a') });
  (file.walls ?? []).forEach((wall, index) => {
    const outside = (wall.splice?.positions ?? []).findIndex((at) => at <= 0 || at >= wall.length);
    if (outside >= 0)
      issues.push({
        at: pointer('walls', index, 'splice', 'positions', outside),
        text: message('fault.must-lie-inside-the-wall-between', { length: wall.length }),
      });
  });
  const [first, ...rest] = issues;
  if (first) return { ok: false, issues: [first, ...rest] };
  return { ok: true, value: { file, problem: problemOfFile(file) } };
}

/**
 * Why a problem of the open format has no plan, in words for callers that know no rooms: what would make limited stock do
 * is added.
 */
export function cutFileIssues(
  problem: CutProblem,
  faults: readonly [CutFault, ...CutFault[]],
  solver: LinearSolver | undefined,
  options: OptimiseOptions,
): [Issue, ...Issue[]] {
  const describe = (fault: CutFault): Issue => ({
    ...fault,
    text: listOf(
      [
        cutFaultText(fault),
        ...(fault.code === 'cut/not-enough' ? [shortageText(shortageOf(problem, solver, options))] : []),
      ],
      '',
    ),
  });
  const [first, ...rest] = faults;
  return [describe(first), ...rest.map(describe)];
}
