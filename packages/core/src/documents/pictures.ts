import { message, lengthFigure, type Words } from '../messages/index.ts';
import { jointCloseUp } from '../calculators/index.ts';
import type { Drawing } from '../geometry/index.ts';
import { rulesOfRoom, type JobFile, type Room } from '../job/index.ts';
import { openingNames, placeKey } from '../openings/index.ts';
import type { PlanFile } from '../plan/index.ts';
import {
  layOutRibbon,
  openingFront,
  planDrawing,
  RIBBON,
  ribbonDrawing,
  STICK,
  stickDiagrams,
  stickDrawing,
} from '../drawings/index.ts';

/** The pictures of a job, each with its name: what every writer of pictures writes. */

export interface Picture {
  readonly name: Words;
  readonly drawing: Drawing;
  /** Height that it wants for a width. */
  readonly ratio: number;
  readonly room?: string;
}

/** Rooms from above, in the job's unit. */
export const planPictures = (job: JobFile): Picture[] =>
  job.rooms.map((room) => ({
    name: room.name,
    room: room.id,
    drawing: planDrawing(room, { unit: job.unit, pieces: [] }),
    ratio: 0.52,
  }));

/** Width that a strip is laid out for, in points. */
const STRIP = 1000;

/** Rooms unrolled, with the pieces of their first trim along the walls, or their measures. */
export const ribbonPictures = (job: JobFile, plan: PlanFile | undefined): Picture[] =>
  job.rooms.map((room) => {
    const trim = room.trims.find((one) => one.on === 'walls')?.id;
    const pieces = plan?.pieces.filter((piece) => piece.room === room.id && piece.trim === trim) ?? [];
    return {
      name: room.name,
      room: room.id,
      drawing: ribbonDrawing(room, layOutRibbon(room, STRIP, RIBBON.band), {
        unit: job.unit,
        layer: pieces.length > 0 ? 'pieces' : 'measures',
        pieces,
      }),
      ratio: RIBBON.height / STRIP,
    };
  });

/** Sticks with their pieces; one after another at one scale. @param scale points for one unit; without it the longest fills the strip */
export function stickPictures(job: JobFile, plan: PlanFile, scale?: number): Picture[] {
  const longest = Math.max(1, ...plan.sticks.map((stick) => stick.length));
  const name = (id: string): string => job.profiles.find((one) => one.id === id)?.name ?? id;
  return stickDiagrams(plan).map((diagram, index) => ({
    name: message('paper.joined', {
      index: index + 1,
      profile: name(diagram.stick.profile),
      length: lengthFigure(diagram.stick.length, job.unit),
    }),
    drawing: stickDrawing(diagram, index + 1, job.unit, scale ?? STRIP / longest),
    ratio: STICK.height / STRIP,
  }));
}

/** Each corner's joint from above with both its pieces, room by room and trim by trim, in the job's unit. */
export const jointPictures = (job: JobFile, plan: PlanFile): Picture[] =>
  job.rooms.flatMap((room) => {
    const pieces = plan.pieces.filter((piece) => piece.room === room.id);
    return pieces.flatMap((piece): Picture[] => {
      const profile = job.profiles.find((one) => one.id === piece.profile);
      const mate = pieces.find((one) => one.id === piece.right.mate);
      const drawing = jointCloseUp(room, pieces, piece, 'right', profile?.thickness ?? 1);
      if (!drawing || !mate || !profile) return [];
      return [
        {
          name: message('paper.and', {
            name: room.name,
            profile: profile.name,
            label: piece.label,
            label2: mate.label,
          }),
          room: room.id,
          drawing,
          ratio: 1.01,
        },
      ];
    });
  });

/** Fronts of openings, as one stands before them, in the job's unit. */
export function openingPictures(job: JobFile): Picture[] {
  const names = openingNames(job.rooms);
  const of = (room: Room): Picture[] =>
    room.walls.flatMap((wall, index) =>
      (wall.openings ?? []).map((opening) => ({
        name: message('paper.wall-2', {
          opening: names.get(placeKey({ room: room.id, wall: wall.id, opening: opening.id })) ?? opening.id,
          name: room.name,
          index: index + 1,
        }),
        room: room.id,
        drawing: openingFront(job, rulesOfRoom(job, room), opening, { side: 'this', times: 1 }),
        ratio: 1.1,
      })),
    );
  return job.rooms.flatMap(of);
}
