import type { Profile } from '../job/index.ts';
import { formatWithUnit } from '../measure/index.ts';
import type { JobLayout, RoomLayout } from '../pieces/index.ts';
import { isAssumed } from '../survey/index.ts';
import type { Piece, WatchOut } from './plan-file.ts';

/** What the material, the floor and the rules themselves ask for, room by room. */

const profileOf = (layout: JobLayout, id: string): Profile =>
  layout.job.profiles.find((one) => one.id === id)!;

/** Base and whatever stands on it must cover the gap that a floating floor needs at the wall. */
function floorGap(layout: JobLayout, { room, runs }: RoomLayout): WatchOut[] {
  const gap = room.floatingFloorGap ?? 0;
  const onFloor = runs.filter(({ run }) => run.frame.low === 0 && !run.frame.atCeiling);
  if (gap === 0 || onFloor.length === 0) return [];
  const covers = Math.max(...onFloor.map(({ run }) => run.frame.standoff + run.frame.profile.thickness));
  if (covers >= gap) return [];
  const length = (value: number): string => formatWithUnit(value, layout.job.unit);
  return [
    {
      code: 'floor-gap',
      room: room.id,
      text: `${room.name}: base and shoe cover ${length(covers)} of floor, its gap at the wall is ${length(gap)}`,
    },
  ];
}

/** Paper and fibre swell where it is wet. */
const wetRoom = ({ room, runs }: RoomLayout): WatchOut[] =>
  (room.wet ?? false)
    ? [...new Set(runs.map(({ run }) => run.frame.profile))]
        .filter((profile) => profile.material === 'mdf')
        .map((profile) => ({
          code: 'wet-room',
          room: room.id,
          text: `${room.name} is wet and ${profile.name} is MDF: wood or PVC lasts there; else seal every cut end`,
        }))
    : [];

/** A bias on an angle that was measured corrects twice. */
const biasTwice = ({ room, rules }: RoomLayout): WatchOut[] =>
  rules.miterBias.degrees > 0 &&
  rules.miterBias.on === 'all' &&
  room.walls.some((wall) => wall.corner && !isAssumed(wall.corner))
    ? [
        {
          code: 'bias-twice',
          room: room.id,
          text: `${room.name}: the rule takes ${rules.miterBias.degrees}° off miters whose corners were measured; that corrects twice`,
        },
      ]
    : [];

/** A wall that is spliced on the bench is carried and hung in one length. */
function splicedWalls(layout: JobLayout, pieces: readonly Piece[]): WatchOut[] {
  const starts = pieces.filter((piece) => piece.right.joint === 'scarf' && piece.left.joint !== 'scarf');
  return starts.flatMap((first): WatchOut[] => {
    const parts = [first];
    for (let next = first; next.right.joint === 'scarf';) {
      const mate = pieces.find((piece) => piece.id === next.right.mate);
      if (!mate || parts.includes(mate)) break;
      parts.push(mate);
      next = mate;
    }
    const total = parts.reduce((sum, piece) => sum + piece.near, 0);
    return [
      {
        code: 'spliced-length',
        room: first.room,
        ...(first.wall === undefined ? {} : { wall: first.wall }),
        piece: first.id,
        text: `${parts.map((piece) => piece.label).join(' and ')} glued on the bench are ${formatWithUnit(total, layout.job.unit)} in one length: have the room to turn it, and hands to hang it`,
      },
    ];
  });
}

const GLUES: Partial<Record<Profile['material'], string>> = {
  polyurethane: 'wood glue does not hold foam: use the adhesive made for it',
  pvc: 'wood glue does not hold PVC: use its own cement',
};

function profiles(layout: JobLayout, pieces: readonly Piece[]): WatchOut[] {
  return [...new Set(pieces.map((piece) => piece.profile))].flatMap((id): WatchOut[] => {
    const profile = profileOf(layout, id);
    const glue = GLUES[profile.material];
    const legs = profile.use === 'shoe' && profile.width !== profile.thickness;
    const size = (value: number): string => formatWithUnit(value, layout.job.unit);
    return [
      ...(glue ? [{ code: 'glue', text: `${profile.name}: ${glue}` }] : []),
      ...(legs
        ? [
            {
              code: 'same-way-up',
              text: `${profile.name} is ${size(profile.width)} by ${size(profile.thickness)}: lay every length the same way up`,
            },
          ]
        : []),
    ];
  });
}

/** Watch-outs that come from material, floor and rules. */
export const materialWatchOuts = (layout: JobLayout, pieces: readonly Piece[]): WatchOut[] => [
  ...layout.rooms.flatMap((room) => [...floorGap(layout, room), ...wetRoom(room), ...biasTwice(room)]),
  ...splicedWalls(layout, pieces),
  ...profiles(layout, pieces),
];
