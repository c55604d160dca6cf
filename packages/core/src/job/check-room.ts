import { message, type Words } from '../messages/index.ts';
import { pointer, SAME_LENGTH, type Issue } from '../base/index.ts';
import { maxLength, type Unit } from '../measure/index.ts';
import { loopOf } from './loops.ts';
import type { Corner, Room, Wall } from './schema.ts';

/** More studs in one wall are a slip of the thumb, not a wall. */
const MOST_STUDS = 1000;

const span = (item: { at: number; width: number }): [number, number] => [item.at, item.at + item.width];

/** Faults of a repeated id in one list; the second and later ones are named. */
export function repeatedIds(items: readonly { readonly id: string }[], at: string, what: Words): Issue[] {
  const seen = new Set<string>();
  return items.flatMap((item, index) => {
    if (!seen.has(item.id)) {
      seen.add(item.id);
      return [];
    }
    return [
      {
        at: `${at}${pointer(index, 'id')}`,
        text: message('fault.is-used-by-another-each-needs', { id: item.id, what }),
      },
    ];
  });
}

/** The reading that counts must be the one that is said to be in use. */
function checkUse({ reading, readings, use }: Corner, at: string): Issue[] {
  if (use === undefined) return [];
  const used = readings?.[use];
  if (!used)
    return [
      {
        at: `${at}/use`,
        text: message('fault.there-is-no-reading-the-corner', { use, length: readings?.length ?? 0 }),
      },
    ];
  const keys = new Set([...Object.keys(reading), ...Object.keys(used.reading)]) as Set<keyof typeof reading>;
  return [...keys].every((key) => reading[key] === used.reading[key])
    ? []
    : [
        {
          at: `${at}/use`,
          text: message('fault.names-another-reading-than-the-one'),
        },
      ];
}

function checkReading(corner: Corner, at: string): Issue[] {
  const { reading } = corner;
  if (reading.as !== 'legs') return [];
  const { left, right, across } = reading;
  if (across >= left + right)
    return [
      {
        at: `${at}/reading/across`,
        text: message('fault.is-as-long-as-both-legs', { most: left + right }),
      },
    ];
  if (across <= Math.abs(left - right))
    return [
      {
        at: `${at}/reading/across`,
        text: message('fault.is-too-short-for-these-legs', { least: Math.abs(left - right) }),
      },
    ];
  return [];
}

function checkOpenings(wall: Wall, at: string): Issue[] {
  const openings = wall.openings ?? [];
  const issues = repeatedIds(openings, `${at}/openings`, message('fault.opening-of-this-wall'));
  openings.forEach((opening, index) => {
    const here = `${at}${pointer('openings', index)}`;
    const end = opening.at + opening.width;
    if (opening.width > wall.length + SAME_LENGTH)
      issues.push({
        at: `${here}/width`,
        text: message('fault.is-wider-than-its-wall-must', { length: wall.length }),
      });
    else if (end > wall.length + SAME_LENGTH)
      issues.push({
        at: `${here}/at`,
        text: message('fault.the-opening-ends-at-past-the', { end, length: wall.length }),
      });
    if (opening.sillHeight !== undefined && opening.sillHeight >= opening.headHeight)
      issues.push({ at: `${here}/sillHeight`, text: message('fault.must-be-below-the-head-of') });
    openings.slice(0, index).forEach((other) => {
      if (span(other)[0] < end - SAME_LENGTH && opening.at < span(other)[1] - SAME_LENGTH)
        issues.push({
          at: `${here}/at`,
          text: message('fault.overlaps-the-opening-which-spans-to', {
            id: other.id,
            at: other.at,
            end: span(other)[1],
          }),
        });
    });
  });
  return issues;
}

function checkInterruptions(wall: Wall, at: string): Issue[] {
  const issues = repeatedIds(
    wall.interruptions ?? [],
    `${at}/interruptions`,
    message('fault.interruption-of-this-wall'),
  );
  (wall.interruptions ?? []).forEach((item, index) => {
    const here = `${at}${pointer('interruptions', index)}`;
    if (item.high <= item.low) issues.push({ at: `${here}/high`, text: message('fault.must-be-above-low') });
    if (item.at + item.width > wall.length + SAME_LENGTH)
      issues.push({
        at: `${here}/width`,
        text: message('fault.reaches-past-the-end-of-its', { length: wall.length }),
      });
  });
  return issues;
}

/**
 * Faults inside one wall: openings that do not fit or overlap, readings that no corner can have.
 * @param at JSON pointer of the wall, put in front of every fault
 */
function checkWall(wall: Wall, unit: Unit, at: string): Issue[] {
  const issues: Issue[] = [];
  if (wall.length > maxLength(unit))
    issues.push({
      at: `${at}/length`,
      text: message('fault.must-be-at-most-check-the', { most: maxLength(unit), unit }),
    });
  if (wall.studs && 'spacing' in wall.studs && wall.length / wall.studs.spacing > MOST_STUDS)
    issues.push({
      at: `${at}/studs/spacing`,
      text: message('fault.gives-more-than-studs-in-this', { most: MOST_STUDS }),
    });
  if (wall.corner)
    issues.push(...checkReading(wall.corner, `${at}/corner`), ...checkUse(wall.corner, `${at}/corner`));
  for (const key of ['points', 'furniture'] as const)
    (wall[key] ?? []).forEach((one, index) => {
      if (one.at > wall.length + SAME_LENGTH)
        issues.push({
          at: `${at}${pointer(key, index, 'at')}`,
          text: message('fault.is-past-the-end-of-its', { length: wall.length }),
        });
    });
  return [...issues, ...checkOpenings(wall, at), ...checkInterruptions(wall, at)];
}

/**
 * Faults of one room that can be seen without the rest of the job.
 * @param at JSON pointer of the room
 */
export function checkRoom(room: Room, unit: Unit, at: string): Issue[] {
  const issues = [
    ...repeatedIds(room.walls, `${at}/walls`, message('fault.wall-of-this-room')),
    ...repeatedIds(room.trims, `${at}/trims`, message('fault.trim-of-this-room')),
  ];
  if (room.closed && room.walls.length < 3)
    issues.push({
      at: `${at}/walls`,
      text: message('fault.a-closed-room-needs-at-least'),
    });
  room.walls.forEach((wall, index) => {
    const here = `${at}${pointer('walls', index)}`;
    issues.push(...checkWall(wall, unit, here));
    const needsCorner = room.closed || index < room.walls.length - 1;
    if (needsCorner && !wall.corner)
      issues.push({
        at: `${here}/corner`,
        text: message('fault.is-missing-only-the-last-wall'),
      });
  });
  const byId = new Map(room.walls.map((wall) => [wall.id, wall]));
  if (room.entry) {
    const wall = byId.get(room.entry.wall);
    if (!wall)
      issues.push({
        at: `${at}/entry/wall`,
        text: message('fault.there-is-no-wall-in-this', { wall: room.entry.wall }),
      });
    else if (room.entry.at > wall.length + SAME_LENGTH)
      issues.push({
        at: `${at}/entry/at`,
        text: message('fault.is-past-the-end-of-its', { length: wall.length }),
      });
  }
  issues.push(...checkLoops(room, unit, at));
  room.trims.forEach((trim, index) => {
    const here = `${at}${pointer('trims', index)}`;
    const loop = loopOf(trim);
    if (loop !== undefined) {
      const found = (room.ceilings ?? []).find((one) => one.id === loop);
      if (!found)
        issues.push({ at: `${here}/on`, text: message('fault.there-is-no-loop-in-this', { loop }) });
      (trim.walls ?? []).forEach((id, k) => {
        if (found && !found.walls.some((one) => one.id === id))
          issues.push({
            at: `${here}${pointer('walls', k)}`,
            text: message('fault.there-is-no-side-in-this', { id }),
          });
      });
      return;
    }
    (trim.walls ?? []).forEach((id, k) => {
      if (!byId.has(id))
        issues.push({
          at: `${here}${pointer('walls', k)}`,
          text: message('fault.there-is-no-wall-in-this-2', { id }),
        });
    });
    (trim.splices ?? []).forEach((splice, k) => {
      // A pin that its wall has become too short for is no fault: the plan releases it and says so.
      if (!byId.has(splice.wall))
        issues.push({
          at: `${here}${pointer('splices', k, 'wall')}`,
          text: message('fault.there-is-no-wall-in-this', { wall: splice.wall }),
        });
    });
    if (trim.standsOn !== undefined) issues.push(...checkStandsOn(room, trim.id, `${here}/standsOn`));
  });
  return issues;
}

/** Loops of the ceiling: every side known by its own id, every corner there. */
function checkLoops(room: Room, unit: Unit, at: string): Issue[] {
  const loops = room.ceilings ?? [];
  const walls = new Set(room.walls.map((wall) => wall.id));
  return [
    ...repeatedIds(loops, `${at}/ceilings`, message('fault.loop-of-this-ceiling')),
    ...loops.flatMap((loop, k): Issue[] => {
      const here = `${at}${pointer('ceilings', k)}`;
      const closed = loop.closed ?? true;
      return [
        ...repeatedIds(loop.walls, `${here}/walls`, message('fault.side-of-this-loop')),
        ...(closed && loop.walls.length < 3
          ? [{ at: `${here}/walls`, text: message('fault.a-closed-loop-needs-at-least') }]
          : []),
        ...loop.walls.flatMap((side, index): Issue[] => {
          const place = `${here}${pointer('walls', index)}`;
          return [
            ...(walls.has(side.id)
              ? [
                  {
                    at: `${place}/id`,
                    text: message('fault.is-a-wall-of-the-room', { id: side.id }),
                  },
                ]
              : []),
            ...(side.corner === undefined && (closed || index < loop.walls.length - 1)
              ? [{ at: `${place}/corner`, text: message('fault.is-missing-the-side-goes-on') }]
              : []),
            ...checkWall(side, unit, place),
          ];
        }),
      ];
    }),
  ];
}

function checkStandsOn(room: Room, trimId: string, at: string): Issue[] {
  const seen = new Set([trimId]);
  let next = room.trims.find((trim) => trim.id === trimId)?.standsOn;
  while (next !== undefined) {
    const under = room.trims.find((trim) => trim.id === next);
    if (!under) return [{ at, text: message('fault.there-is-no-trim-in-this', { next }) }];
    if (seen.has(next)) return [{ at, text: message('fault.trims-stand-on-one-another-in') }];
    seen.add(next);
    next = under.standsOn;
  }
  return [];
}
