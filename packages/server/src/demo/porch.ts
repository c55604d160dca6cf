import { randomUUID } from 'node:crypto';
import {
  issuePlan,
  planJob,
  tagsFor,
  type JobFile,
  type LogEvent,
  type Piece,
  type PlannedStick,
  type ShopIssue,
} from '@long-miter/core';
import { fernhollow } from './fernhollow.ts';

/**
 * Fernhollow Porch, an invented job half cut: one piece not good, its wood not used yet; the head of the door waits for its
 * measure; and a wall was read again after its piece was cut.
 */

const corner = { reading: { as: 'wall-angle' as const, degrees: 90 } };

const porchWith = (second: number): JobFile => ({
  format: 'longmiter-job',
  version: 2,
  name: 'Fernhollow Porch',
  unit: 'in',
  currency: 'USD',
  houseRules: { insideCorner: 'miter' },
  saws: fernhollow.saws!,
  saw: fernhollow.saw!,
  profiles: fernhollow.profiles.filter((one) => one.id === 'base' || one.id === 'casing'),
  stock: fernhollow.stock.filter((one) => ['s144', 's192', 'c168', 'c192'].includes(one.id ?? '')),
  rack: [{ id: 'p1', profile: 'base', length: 58, label: 'Rack 3' }],
  rooms: [
    {
      id: 'porch',
      name: 'Porch',
      closed: true,
      entry: { wall: 'w1', at: 60 },
      walls: [
        {
          id: 'w1',
          length: 110.5,
          corner,
          openings: [
            {
              id: 'd1',
              kind: 'door',
              name: 'D1',
              at: 42,
              width: 34,
              headHeight: 81,
              casing: 'casing',
            },
          ],
        },
        { id: 'w2', length: second, corner },
        { id: 'w3', length: 110.25, corner },
        { id: 'w4', length: 72.5, corner },
      ],
      trims: [
        { id: 'base', profile: 'base', on: 'walls' },
        { id: 'casing', profile: 'casing', on: 'openings' },
      ],
    },
  ],
});

/** The porch as it is measured now: its second wall is half an inch longer than when it was given to the saw. */
export const porch: JobFile = porchWith(72.875);

const at = (minutes: number): string => new Date(Date.UTC(2026, 2, 3, 8, minutes)).toISOString();

/** What was given, and what has happened so far. */
export function porchLog(): { issue: ShopIssue; events: LogEvent[] } | undefined {
  const planned = planJob(porchWith(72.375), {
    solver: undefined,
    seconds: 1,
    clock: () => performance.now() / 1000,
  });
  if (!planned.ok) return undefined;
  const plan = issuePlan(planned.value);
  const tags = tagsFor(plan, { pieces: [] });
  const issue: ShopIssue = { revision: 1, at: at(0), plan, tags };
  const pieces = new Map<string, Piece>(planned.value.pieces.map((piece) => [piece.id, piece]));
  const onWall = (stick: PlannedStick, wall: string): boolean =>
    stick.cuts.some((cut) => pieces.get(cut.piece)!.wall === wall && stick.profile === 'base');
  const first = planned.value.sticks.find((stick) => onWall(stick, 'w2'));
  const other = planned.value.sticks.find((stick) => stick !== first && stick.profile === 'base');
  if (!first) return undefined;
  let count = 0;
  const event = (kind: LogEvent['kind'], more: object): LogEvent =>
    ({
      id: randomUUID(),
      device: 'porch saw',
      deviceSeq: ++count,
      at: at(4 * count),
      kind,
      ...more,
    }) as unknown as LogEvent;
  const cut = (stick: PlannedStick, letter: string): LogEvent[][] =>
    stick.cuts.map(({ piece }) => {
      const tag = tags[piece]!;
      return [
        event('end-cut', { tag, end: 'left', letter }),
        event('end-cut', { tag, end: 'right', letter }),
        event('written', { tag }),
      ];
    });
  const take = (stick: PlannedStick, letter: string): LogEvent =>
    event('stick-taken', { letter, stick: stick.id, revision: 1 });
  const events = [take(first, 'A'), ...cut(first, 'A').flat()];
  if (other) {
    const [one] = other.cuts;
    const tag = tags[one!.piece]!;
    events.push(
      take(other, 'B'),
      event('end-cut', { tag, end: 'left', letter: 'B' }),
      event('end-cut', { tag, end: 'right', letter: 'B' }),
      event('miscut', { tag, what: 'short', usable: Math.floor(pieces.get(one!.piece)!.near - 2) }),
    );
  }
  events.push(event('dry-fitted', { tag: tags[first.cuts[0]!.piece]! }));
  return { issue, events };
}
