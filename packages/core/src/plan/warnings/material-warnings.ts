import { traitsOf, type Profile } from '../../job/index.ts';
import type { JobLayout, RoomLayout } from '../../pieces/index.ts';
import { isAssumed } from '../../survey/index.ts';
import type { Piece, Warning } from '../result/plan-file.ts';
import type { MakeWarning } from './warning-factory.ts';

/** What the material, the floor and the rules themselves ask for, room by room. */

/** Base and whatever stands on it must cover the gap that a floating floor needs at the wall. */
function floorGap({ room, runs }: RoomLayout, watch: MakeWarning): Warning[] {
  const gap = room.floatingFloorGap ?? 0;
  const onFloor = runs.filter(({ run }) => run.frame.low === 0 && !run.frame.atCeiling);
  if (gap === 0 || onFloor.length === 0) return [];
  const covers = Math.max(...onFloor.map(({ run }) => run.frame.standoff + run.frame.profile.thickness));
  return covers >= gap ? [] : [watch('floor-gap', { room: room.name, covers, gap }, { room: room.id })];
}

/** Paper and fibre swell where it is wet. */
const wetRoom = ({ room, runs }: RoomLayout, watch: MakeWarning): Warning[] =>
  (room.wet ?? false)
    ? [...new Set(runs.map(({ run }) => run.frame.profile))]
        .filter((profile) => profile.material === 'mdf')
        .map((profile) => watch('wet-room', { room: room.name, profile: profile.name }, { room: room.id }))
    : [];

/** A bias on an angle that was measured corrects twice. */
const biasTwice = ({ room, rules }: RoomLayout, watch: MakeWarning): Warning[] =>
  rules.miterBias.degrees > 0 &&
  rules.miterBias.on === 'all' &&
  room.walls.some((wall) => wall.corner && !isAssumed(wall.corner))
    ? [watch('bias-twice', { room: room.name, degrees: rules.miterBias.degrees }, { room: room.id })]
    : [];

/** A wall that is spliced on the bench is carried and hung in one length. */
function splicedWalls(pieces: readonly Piece[], watch: MakeWarning): Warning[] {
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const starts = pieces.filter((piece) => piece.right.joint === 'scarf' && piece.left.joint !== 'scarf');
  return starts.map((first): Warning => {
    const parts = [first];
    for (let next = first; next.right.joint === 'scarf';) {
      const mate = next.right.mate === undefined ? undefined : byId.get(next.right.mate);
      if (!mate || parts.includes(mate)) break;
      parts.push(mate);
      next = mate;
    }
    return watch(
      'spliced-length',
      {
        labels: parts.map((piece) => piece.label),
        length: parts.reduce((sum, piece) => sum + piece.near, 0),
      },
      {
        room: first.room,
        ...(first.wall === undefined ? {} : { wall: first.wall }),
        piece: first.id,
        pieces: parts.map((piece) => piece.id),
      },
    );
  });
}

const OWN_GLUE: ReadonlySet<Profile['material']> = new Set(['polyurethane', 'pvc']);

function profiles(layout: JobLayout, pieces: readonly Piece[], watch: MakeWarning): Warning[] {
  const used = new Set(pieces.map((piece) => piece.profile));
  return layout.job.profiles
    .filter((profile) => used.has(profile.id))
    .flatMap((profile): Warning[] => {
      const { name, width, thickness, material } = profile;
      return [
        ...(OWN_GLUE.has(material) ? [watch('glue', { profile: name, material })] : []),
        ...(traitsOf(profile).twoLegs && width !== thickness
          ? [watch('same-way-up', { profile: name, width, thickness })]
          : []),
      ];
    });
}

/** Watch-outs that come from material, floor and rules. */
export const materialWarnings = (
  layout: JobLayout,
  pieces: readonly Piece[],
  watch: MakeWarning,
): Warning[] => [
  ...layout.rooms.flatMap((room) => [
    ...floorGap(room, watch),
    ...wetRoom(room, watch),
    ...biasTwice(room, watch),
  ]),
  ...splicedWalls(pieces, watch),
  ...profiles(layout, pieces, watch),
];
