import {
  openingNames,
  placeKey,
  type JobRecord,
  type Opening,
  type RoomRecord,
  type Wall,
} from '@long-miter/core';

/** An opening with where it is, as the sheet lists it. */
export interface Listed {
  readonly key: string;
  readonly room: RoomRecord;
  readonly wall: Wall;
  readonly wallIndex: number;
  readonly opening: Opening;
  readonly name: string;
}

/** Every opening of a job, rooms in their order, each as one walks it. */
export function listOpenings(job: JobRecord): Listed[] {
  const names = openingNames(job.rooms.map(({ id, survey }) => ({ id, walls: survey.walls })));
  return job.rooms.flatMap((room) =>
    room.survey.walls.flatMap((wall, wallIndex) =>
      (wall.openings ?? []).map((opening): Listed => {
        const key = placeKey({ room: room.id, wall: wall.id, opening: opening.id });
        return { key, room, wall, wallIndex, opening, name: names.get(key) ?? opening.id };
      }),
    ),
  );
}
