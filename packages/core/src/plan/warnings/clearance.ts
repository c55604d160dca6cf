import { NOISE, SAME_LENGTH, sinDeg } from '../../base/index.ts';
import type { Opening, Wall } from '../../job/index.ts';
import { openingBetween, placedBoxes, type PlacedBox } from '../../openings/index.ts';
import type { JobLayout, PlacedOpening, RoomLayout } from '../../pieces/index.ts';
import { angleAt, lowestCeiling } from '../../survey/index.ts';
import type { Clearance, Remedy } from '../../messages/index.ts';

/** A clash found: what meets what, by how much, what can be done, and where it is. */
interface ClearanceConflict {
  readonly data: Omit<Clearance, 'name' | 'names'>;
  readonly wall: string;
  readonly openings: readonly string[];
}

/** A strip narrower than this is no casing any more: 3/8 in, 10 mm. */
const LEAST_RIP = { in: 3 / 8, mm: 10 };

/** Heights at which a switch sits: 40 to 52 in, 1000 to 1300 mm. A socket is below 20 in, 500 mm. */
const POINT_HEIGHTS = {
  in: { switch: [40, 52], socket: [4, 20], register: [0, 12], pipe: [0, 12] },
  mm: { switch: [1000, 1300], socket: [100, 500], register: [0, 300], pipe: [0, 300] },
} as const;

interface Around {
  readonly opening: Opening;
  readonly standing: readonly PlacedBox[];
  readonly placed: PlacedOpening;
}

const CASED: ReadonlySet<PlacedBox['role']> = new Set([
  'leg-left',
  'leg-right',
  'plinth',
  'block',
  'head',
  'band',
  'sill',
  'cap',
]);

const meets = (a: readonly [number, number], b: readonly [number, number]): number =>
  Math.min(a[1], b[1]) - Math.max(a[0], b[0]);

/** The remedies for an upright edge that has only so much room from the jamb's reveal outwards. */
function sideways(
  { placed: { dressed } }: Around,
  side: 'left' | 'right',
  role: PlacedBox['role'],
  overlap: number,
  unit: 'in' | 'mm',
): Pick<ClearanceConflict['data'], 'remedies' | 'rip' | 'reveal' | 'horn'> {
  const { dress } = dressed;
  if (!CASED.has(role) || !dress.leg)
    return { remedies: [], ...(role === 'stool' ? { horn: hornOf(dressed.parts, side) - overlap } : {}) };
  const width = dress.leg[side].width;
  const rip = width - overlap;
  const ripped = role.startsWith('leg') && rip >= LEAST_RIP[unit] - NOISE;
  const reveal = dress.reveal - overlap;
  const smaller = reveal >= -NOISE;
  const remedies: Remedy[] = [
    ...(ripped ? ['rip' as const] : []),
    ...(smaller ? ['reveal' as const] : []),
    'none',
  ];
  return { remedies, ...(ripped ? { rip } : {}), ...(smaller ? { reveal: Math.max(0, reveal) } : {}) };
}

/** How far a stool stands past what stands on it, at one end. */
function hornOf(parts: PlacedOpening['dressed']['parts'], side: 'left' | 'right'): number {
  const stool = parts.find((part) => part.role === 'stool')?.box;
  const others = parts.flatMap((part) => (part.box && CASED.has(part.role) ? [part.box] : []));
  if (!stool || others.length === 0) return 0;
  return side === 'left'
    ? Math.min(...others.map((one) => one.from)) - stool.from
    : stool.to - Math.max(...others.map((one) => one.to));
}

/** What stands off the other wall of a corner, by height: trims that come up to it there. */
interface Surface {
  readonly low: number;
  readonly high: number;
  readonly stands: number;
  readonly by: string;
}

/** Trims and casing that come up to a corner on the other wall. */
function surfacesAt(room: RoomLayout, wallIndex: number, side: 'left' | 'right'): Surface[] {
  return room.runs.flatMap(({ run: { frame, segments } }) => {
    if (frame.atCeiling || frame.room !== room.room) return [];
    const reaches = segments.some(
      ({ segment }) => segment.wallIndex === wallIndex && segment[side].kind === 'corner',
    );
    return reaches
      ? [
          {
            low: frame.low,
            high: frame.high,
            stands: frame.standoff + frame.profile.thickness,
            by: frame.profile.name,
          },
        ]
      : [];
  });
}

/** The corner at one end of a wall, and its other wall; undefined at the end of an open chain. */
function cornerAt(
  { room }: RoomLayout,
  index: number,
  side: 'left' | 'right',
): { angle: number; other: number } | undefined {
  const count = room.walls.length;
  const beside = side === 'left' ? index - 1 : index + 1;
  if (!room.closed && (beside < 0 || beside >= count)) return undefined;
  const other = (beside + count) % count;
  const corner = room.walls[side === 'left' ? other : index]!.corner;
  return corner && { angle: angleAt(corner, false), other };
}

function againstCorner(layout: JobLayout, room: RoomLayout, index: number, one: Around): ClearanceConflict[] {
  const wall = room.room.walls[index]!;
  return (['left', 'right'] as const).flatMap((side): ClearanceConflict[] => {
    const corner = cornerAt(room, index, side);
    if (!corner) return [];
    const surfaces =
      corner.angle < 180 ? surfacesAt(room, corner.other, side === 'left' ? 'right' : 'left') : [];
    let worst: { overlap: number; part: PlacedBox; by: string | undefined } | undefined;
    for (const part of one.standing) {
      const room = side === 'left' ? part.from : wall.length - part.to;
      const look = (stands: number, by: string | undefined): void => {
        const overlap = stands - room;
        if (overlap > SAME_LENGTH && overlap > (worst?.overlap ?? 0)) worst = { overlap, part, by };
      };
      look(0, undefined);
      for (const { low, high, stands, by } of surfaces)
        if (meets([low, high], [part.low, part.high]) > SAME_LENGTH) look(stands / sinDeg(corner.angle), by);
    }
    if (!worst) return [];
    const { overlap, part, by } = worst;
    return [
      {
        data: {
          against: 'corner',
          overlap,
          part: part.role,
          at: side,
          ...(by === undefined ? {} : { by }),
          ...sideways(one, side, part.role, overlap, layout.job.unit),
        },
        wall: wall.id,
        openings: [one.opening.id],
      },
    ];
  });
}

/** Head parts against something above: the ceiling, or what hangs there. */
function above(
  one: Around,
  wall: Wall,
  low: number,
  against: 'ceiling' | 'crown',
  unit: 'in' | 'mm',
  by?: string,
): ClearanceConflict[] {
  // Legs and head reach the same height where they are mitered: the head is what one would change.
  const high = Math.max(...one.standing.map((part) => part.high));
  const highest = one.standing.filter((part) => part.high > high - SAME_LENGTH);
  const top = highest.find((part) => part.role === 'head') ?? highest[0];
  if (!top || top.high <= low + SAME_LENGTH) return [];
  const overlap = top.high - low;
  const { dress } = one.placed.dressed;
  const rip = (dress.head?.width ?? 0) - overlap;
  const ripped = top.role === 'head' && rip >= LEAST_RIP[unit] - NOISE;
  const reveal = dress.reveal - overlap;
  const smaller = reveal >= -NOISE;
  return [
    {
      data: {
        against,
        overlap,
        part: top.role,
        ...(by === undefined ? {} : { by }),
        remedies: [...(ripped ? ['rip' as const] : []), ...(smaller ? ['reveal' as const] : []), 'none'],
        ...(ripped ? { rip } : {}),
        ...(smaller ? { reveal: Math.max(0, reveal) } : {}),
      },
      wall: wall.id,
      openings: [one.opening.id],
    },
  ];
}

const spanOf = ({ opening, standing }: Around): [number, number] => [
  Math.min(opening.at, ...standing.map((part) => part.from)),
  Math.max(opening.at + opening.width, ...standing.map((part) => part.to)),
];

function underCeiling(layout: JobLayout, room: RoomLayout, wall: Wall, one: Around): ClearanceConflict[] {
  const [from, to] = spanOf(one);
  const height = lowestCeiling(room.room, wall, from, to);
  return height === undefined ? [] : above(one, wall, height, 'ceiling', layout.job.unit);
}

function againstTrims(layout: JobLayout, room: RoomLayout, wall: Wall, one: Around): ClearanceConflict[] {
  return room.runs.flatMap(({ run: { frame } }): ClearanceConflict[] => {
    // What hangs along a tray or a soffit is not on this wall.
    if (frame.room !== room.room || (frame.trim.walls && !frame.trim.walls.includes(wall.id))) return [];
    const { profile, low, high } = frame;
    if (frame.atCeiling) {
      const [from, to] = spanOf(one);
      const ceiling = lowestCeiling(room.room, wall, from, to);
      return ceiling === undefined
        ? []
        : above(one, wall, ceiling - (high - low), 'crown', layout.job.unit, profile.name);
    }
    if (low <= 0) return [];
    const taken = openingBetween(layout.job, room.rules, one.opening, low, high);
    const stool = one.standing.find((part) => part.role === 'stool');
    if (!stool || !taken || (taken.left.role !== 'stool' && taken.right.role !== 'stool')) return [];
    return [
      {
        data: {
          against: 'rail',
          overlap: meets([low, high], [stool.low, stool.high]),
          part: 'stool',
          by: profile.name,
          remedies: [],
        },
        wall: wall.id,
        openings: [one.opening.id],
      },
    ];
  });
}

/** Built-ins and services: the shorter way out counts. */
function againstThings(layout: JobLayout, wall: Wall, one: Around): ClearanceConflict[] {
  const { unit } = layout.job;
  const things = [
    ...(wall.interruptions ?? []).map((item) => ({
      against: 'interruption' as const,
      by: item.name,
      from: item.at,
      to: item.at + item.width,
      low: item.low,
      high: item.high,
    })),
    ...(wall.points ?? []).map((point) => {
      const [low, high] = POINT_HEIGHTS[unit][point.kind];
      const half = (point.width ?? 0) / 2;
      return {
        against: 'point' as const,
        by: point.kind,
        from: point.at - half,
        to: point.at + half,
        low: low,
        high: high,
      };
    }),
  ];
  return things.flatMap((thing): ClearanceConflict[] => {
    let worst: { overlap: number; part: PlacedBox; side: 'left' | 'right' } | undefined;
    for (const part of one.standing) {
      const upright = meets([thing.low, thing.high], [part.low, part.high]);
      if (upright <= SAME_LENGTH) continue;
      // How far it would have to move out of the way, to the side of it that is nearer.
      const [toLeft, toRight] = [part.to - thing.from, thing.to - part.from];
      if (toLeft <= SAME_LENGTH || toRight <= SAME_LENGTH) continue;
      const overlap = Math.min(toLeft, toRight, thing.against === 'point' ? Infinity : upright);
      const side = part.to < one.opening.at + one.opening.width / 2 || toRight < toLeft ? 'left' : 'right';
      if (overlap > (worst?.overlap ?? 0)) worst = { overlap, part, side };
    }
    if (!worst) return [];
    const { overlap, part, side } = worst;
    return [
      {
        data: {
          against: thing.against,
          overlap,
          part: part.role,
          at: side,
          ...(thing.by === undefined ? {} : { by: thing.by }),
          ...sideways(one, side, part.role, overlap, unit),
        },
        wall: wall.id,
        openings: [one.opening.id],
      },
    ];
  });
}

/** Two openings side by side: the strip between them is too narrow for both. Scenario: two doors too close. */
function betweenTwo(layout: JobLayout, wall: Wall, left: Around, right: Around): ClearanceConflict[] {
  let worst: { overlap: number; a: PlacedBox; b: PlacedBox } | undefined;
  for (const a of left.standing)
    for (const b of right.standing) {
      if (meets([a.low, a.high], [b.low, b.high]) <= SAME_LENGTH) continue;
      const overlap = a.to - b.from;
      if (overlap > SAME_LENGTH && overlap > (worst?.overlap ?? 0)) worst = { overlap, a, b };
    }
  if (!worst) return [];
  const { overlap, a, b } = worst;
  const [one, two] = [left.placed.dressed.dress, right.placed.dressed.dress];
  const gap = right.opening.at - (left.opening.at + left.opening.width);
  const mull = gap - one.reveal - two.reveal;
  const legs = one.leg && two.leg ? { a: one.leg.right.width, b: two.leg.left.width } : undefined;
  const [rip, reveal] = [mull / 2, legs ? (gap - legs.a - legs.b) / 2 : -1];
  const cased = CASED.has(a.role) && CASED.has(b.role) && legs !== undefined;
  const remedies: Remedy[] = cased
    ? [
        ...(rip >= LEAST_RIP[layout.job.unit] - NOISE ? ['rip' as const] : []),
        ...(mull >= LEAST_RIP[layout.job.unit] - NOISE ? ['mull' as const] : []),
        ...(reveal >= -NOISE ? ['reveal' as const] : []),
        'none',
      ]
    : [];
  return [
    {
      data: {
        against: 'casing',
        overlap,
        part: a.role,
        remedies,
        ...(mull > 0 ? { mull } : {}),
        ...(remedies.includes('rip') ? { rip } : {}),
        ...(remedies.includes('reveal') ? { reveal } : {}),
      },
      wall: wall.id,
      openings: [left.opening.id, right.opening.id],
    },
  ];
}

/** Casing on both walls of an inside corner: each stands in the other's way by its thickness. */
function roundCorner(
  room: RoomLayout,
  index: number,
  here: readonly Around[],
  next: readonly Around[],
): ClearanceConflict[] {
  const wall = room.room.walls[index]!;
  const corner = cornerAt(room, index, 'right');
  if (!corner || corner.angle >= 180) return [];
  return here.flatMap((one) =>
    next.flatMap((two): ClearanceConflict[] => {
      let worst: { overlap: number; part: PlacedBox } | undefined;
      for (const a of one.standing)
        for (const b of two.standing) {
          if (meets([a.low, a.high], [b.low, b.high]) <= SAME_LENGTH) continue;
          const overlap = Math.min(b.stands - (wall.length - a.to), a.stands - b.from);
          if (overlap > SAME_LENGTH && overlap > (worst?.overlap ?? 0)) worst = { overlap, part: a };
        }
      return worst
        ? [
            {
              data: { against: 'casing', overlap: worst.overlap, part: worst.part.role, remedies: ['none'] },
              wall: wall.id,
              openings: [one.opening.id, two.opening.id],
            },
          ]
        : [];
    }),
  );
}

/**
 * Everything at the openings of a room that stands where something else is: corners, casing of other openings, ceiling,
 * crown, rails, what is built in, switches. Parts are never changed by themselves, and touching is no clash.
 */
export function clashesIn(layout: JobLayout, room: RoomLayout): ClearanceConflict[] {
  const byWall = room.room.walls.map((wall): Around[] =>
    room.openings
      .filter((one) => one.wallId === wall.id && one.dressed.side === 'this')
      .map((placed) => ({
        opening: placed.opening,
        standing: placedBoxes(placed.opening, placed.dressed),
        placed,
      }))
      .sort((a, b) => a.opening.at - b.opening.at),
  );
  return room.room.walls.flatMap((wall, index) => {
    const here = byWall[index]!;
    const other = cornerAt(room, index, 'right')?.other;
    return [
      ...here.flatMap((one) => [
        ...againstCorner(layout, room, index, one),
        ...underCeiling(layout, room, wall, one),
        ...againstTrims(layout, room, wall, one),
        ...againstThings(layout, wall, one),
      ]),
      ...here.slice(1).flatMap((two, k) => betweenTwo(layout, wall, here[k]!, two)),
      ...(other === undefined ? [] : roundCorner(room, index, here, byWall[other]!)),
    ];
  });
}
