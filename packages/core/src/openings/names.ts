import type { Opening, Room } from '../job/index.ts';

/** D for what one walks through, W for windows. */
export const letterOf = (kind: Opening['kind']): 'D' | 'W' => (kind === 'window' ? 'W' : 'D');

/** Where an opening is: names are unique in a job, ids only on their wall. */
export interface OpeningPlace {
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
  for (const { key, opening } of all) {
    const name = opening.name ?? freeName(opening.kind, taken);
    taken.add(name);
    names.set(key, name);
  }
  return names;
}
