import { z } from 'zod';
import { pointer, type Issue, type Result } from '../base/index.ts';
import { checkShape } from '../job/index.ts';
import type { CutProblem, CutSolution } from './problem.ts';

/** The open problem format of the `cut` command: integers in the problem's unit, prices in cents. */

const id = z.string().min(1, 'must not be empty');
const whole = z.number().int('must be a whole number').max(1e12, 'is too large');
const natural = whole.min(0, 'must not be negative');
const above0 = whole.min(1, 'must be greater than 0');
const angle = z.number().gt(-90, 'must be more than -90').lt(90, 'must be less than 90');

const stockItem = z.strictObject({
  id,
  length: above0,
  price: natural,
  count: natural.nullable().optional(),
});
const rackItem = z.strictObject({ id, length: above0, price: natural.optional() });

export const cutProblemSchema = z.strictObject({
  format: z.literal('longmiter-cut-problem', 'must be "longmiter-cut-problem"'),
  version: z.literal(1, 'must be 1, the version this program reads'),
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
  pieces: z.array(z.strictObject({ id, length: above0, left: angle, right: angle, qty: natural.optional() })),
  walls: z
    .array(
      z.strictObject({
        id,
        length: above0,
        left: angle,
        right: angle,
        qty: natural.optional(),
        splice: z
          .strictObject({
            angle: z.number().min(0, 'must not be negative').lt(90, 'must be less than 90'),
            lap: z.enum(['left', 'right'], 'must be "left" or "right"').optional(),
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

export type CutProblemFile = z.infer<typeof cutProblemSchema>;

const repeated = (ids: readonly string[], at: string): Issue[] =>
  ids.flatMap((one, index) =>
    ids.indexOf(one) < index
      ? [{ at: `${at}${pointer(index, 'id')}`, text: `"${one}" is used twice: each needs its own id` }]
      : [],
  );

/** Reads a problem file, with every fault by its place. */
export function readCutProblem(value: unknown): Result<{ file: CutProblemFile; problem: CutProblem }> {
  const shaped = checkShape(cutProblemSchema, value);
  if (!shaped.ok) return shaped;
  const file = shaped.value;
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
  const shared = (file.rack ?? []).findIndex((item) => file.stock.some((other) => other.id === item.id));
  if (shared >= 0)
    issues.push({ at: pointer('rack', shared, 'id'), text: 'is also the id of a stock length' });
  (file.walls ?? []).forEach((wall, index) => {
    const outside = (wall.splice?.positions ?? []).findIndex((at) => at <= 0 || at >= wall.length);
    if (outside >= 0)
      issues.push({
        at: pointer('walls', index, 'splice', 'positions', outside),
        text: `must lie inside the wall, between 0 and ${wall.length}`,
      });
  });
  const [first, ...rest] = issues;
  if (first) return { ok: false, issues: [first, ...rest] };
  return { ok: true, value: { file, problem: toProblem(file) } };
}

function toProblem(file: CutProblemFile): CutProblem {
  return {
    name: file.name,
    depth: file.profile.thickness,
    kerf: file.kerf,
    endTrim: file.endTrim,
    ...(file.cutMargin === undefined ? {} : { cutMargin: file.cutMargin }),
    minOffcut: file.minOffcut ?? 0,
    sticks: [
      ...file.stock.map((item) => ({
        id: item.id,
        length: item.length,
        price: item.price,
        count: item.count ?? undefined,
        rack: false,
      })),
      ...(file.rack ?? []).map((item) => ({
        id: item.id,
        length: item.length,
        price: item.price ?? 0,
        count: 1,
        rack: true,
      })),
    ],
    blanks: file.pieces.map((piece) => ({
      id: piece.id,
      near: piece.length,
      left: piece.left,
      right: piece.right,
      qty: piece.qty ?? 1,
    })),
    walls: (file.walls ?? []).map((wall) => {
      const { splice } = wall;
      return {
        id: wall.id,
        near: wall.length,
        left: wall.left,
        right: wall.right,
        qty: wall.qty ?? 1,
        angle: splice?.angle ?? 0,
        points: [...new Set(splice?.positions ?? [])]
          .sort((a, b) => a - b)
          .map((at) => ({ at, leftOver: (splice?.lap ?? 'left') === 'left' })),
        max: splice ? (splice.max ?? splice.positions.length) : 0,
        penalty: splice?.penalty ?? 0,
        minPiece: splice?.minPiece ?? 0,
        apart: 0,
        when: splice?.when ?? 'needed',
      };
    }),
  };
}

/** The open solution format. */
export function writeCutSolution(file: CutProblemFile, problem: CutProblem, solution: CutSolution): object {
  const near = new Map(
    problem.walls.map((wall) => [wall.id, [0, ...wall.points.map((point) => point.at), wall.near]]),
  );
  return {
    format: 'longmiter-cut-solution',
    version: 1,
    problem: file.name,
    sticks: solution.sticks.map((stick) => ({
      stock: stick.stick,
      pieces: stick.placed.map((one) =>
        one.kind === 'blank'
          ? { piece: one.id, start: one.start }
          : {
              wall: one.id,
              copy: one.copy,
              from: near.get(one.id)![one.fromPoint]!,
              to: near.get(one.id)![one.toPoint]!,
              start: one.start,
            },
      ),
    })),
    objective: { cost: solution.cost },
    lowerBound: solution.lowerBound,
    proven: solution.proven,
  };
}
