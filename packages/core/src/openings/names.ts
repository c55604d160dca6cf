import type { Opening, Room } from '../job/index.ts';

/** D for what one walks through, W for windows. */
const letterOf = (kind: Opening['kind']): 'D' | 'W' => (kind === 'window' ? 'W' : 'D');

/** Where an opening is: names are unique in a job, ids only on their wall. */
interface OpeningPlace {
  readonly room: string;
  readonly wall: string;
  readonly opening: string;
}

export const placeKey = ({ room, wall, opening }: OpeningPlace): string =>
  JSON.stringify([room, wall, opening]);

/** The next name of a kind that no opening has. */
export function freeName(kind: Opening['kind'], taken: ReadonlySet<string>): string {
  const letter = letterOf(kind);
  let next = 1;
  while (taken.has(`${letter}${next}`)) next++;
  return `${letter}${next}`;
}

/**
 * What every opening is called, by its place: the name it was given, else the next of its kind in walking order. A given
 * name stays with its opening whatever is built around it.
 */
export function openingNames(rooms: readonly Pick<Room, 'id' | 'walls'>[]): ReadonlyMap<string, string> {
  const all = rooms.flatMap((room) =>
    room.walls.flatMap((wall) =>
      [...(wall.openings ?? [])]
        .sort((a, b) => a.at - b.at)
        .map((opening) => ({
          key: placeKey({ room: room.id, wall: wall.id, opening: opening.id }),
          opening,
        })),
    ),
  );
  const taken = new Set(all.flatMap(({ opening }) => opening.name ?? []));
  const names = new Map<string, string>();
  const given = new Set<string>();
  for (const { key, opening } of all) {
    const name = opening.name ?? freeName(opening.kind, taken);
    taken.add(name);
    // Two people may have given one name before they heard of each other: both stay told apart.
    let own = name;
    for (let k = 2; given.has(own); k++) own = `${name} (${k})`;
    given.add(own);
    names.set(key, own);
  }
  return names;
}

/**
 * The walls of a room with a name on every opening that has none yet: what it is called from now on, whatever is built
 * before it.
 * @param rooms all rooms of the job as they are, the room itself as it is now
 */
export function nameOpenings<T extends Pick<Room, 'walls'>>(
  room: T,
  id: string,
  rooms: readonly Pick<Room, 'id' | 'walls'>[],
): T {
  if (room.walls.every((wall) => (wall.openings ?? []).every((one) => one.name !== undefined))) return room;
  const names = openingNames(rooms.map((one) => (one.id === id ? { id, walls: room.walls } : one)));
  return {
    ...room,
    walls: room.walls.map((wall) =>
      (wall.openings ?? []).every((one) => one.name !== undefined)
        ? wall
        : {
            ...wall,
            openings: wall.openings!.map((one) => ({
              ...one,
              name: one.name ?? names.get(placeKey({ room: id, wall: wall.id, opening: one.id }))!,
            })),
          },
    ),
  };
}
