import { message, angleFigure, lengthFigure, type Words } from '../messages/index.ts';
import {
  area,
  label,
  line,
  type Drawing,
  add,
  fromHeading,
  scale,
  vec,
  type Vec2,
} from '../geometry/index.ts';
import { traitsOf, type JobFile, type Profile, type Room } from '../job/index.ts';
import { type Unit } from '../measure/index.ts';
import { wallAngle } from '../survey/index.ts';
import { crownSection } from '../drawings/index.ts';
import type { Picture } from './pictures.ts';

/** Patterns to print in their true size: corners that are neither square nor straight, and the section of crown. */

/** Nearer to square than this a framing square does. */
const ODD = 1;
/** How far the legs of a corner go: long enough to lie along a wall, short enough for one sheet, upright on it. */
const LEG: Readonly<Record<Unit, number>> = { in: 4, mm: 100 };

const isOdd = (angle: number): boolean => Math.abs(angle - 90) > ODD && Math.abs(angle - 270) > ODD;

/**
 * A corner from above in its true angle: both wall faces, the trim before them, and the line of the miter.
 * @param angle     inside angle in degrees; above 180 the corner stands into the room
 * @param thickness of the trim, in the job's unit
 * @param leg       length of both legs
 */
export function cornerTemplate(angle: number, thickness: number, leg: number, title: Words): Drawing {
  // One comes along the first wall to the right and turns by 180° less the angle; the room is on the right hand.
  const turn = 180 - angle;
  // The line that halves the corner lies across the page, so that a wide corner stands upright on it.
  const heading = 90 + turn / 2;
  const along = fromHeading(heading);
  const after = fromHeading(heading - turn);
  const inward = vec(along.y, -along.x);
  const inwardAfter = vec(after.y, -after.x);
  const corner = vec(0, 0);
  const from = scale(along, -leg);
  const to = scale(after, leg);
  // Both faces of the trim meet where the miter's line does: t : cos of half the turn from the corner.
  const middle = add(inward, inwardAfter);
  const meet = scale(middle, (2 * thickness) / (middle.x ** 2 + middle.y ** 2));
  const at = (where: Vec2, out: Vec2): Vec2 => add(where, scale(out, thickness));
  return {
    title,
    shapes: [
      area('wood', from, corner, meet, at(from, inward)),
      area('wood', corner, to, at(to, inwardAfter), meet),
      line('wall-line', from, corner, to),
      line('guide', corner, scale(meet, 2.2)),
      label(scale(middle, -0.18 * leg), message('paper.wall-side'), { as: 'small' }),
      label(scale(middle, 0.3 * leg), message('paper.room-side'), { as: 'small' }),
    ],
  };
}

const cornersOf = (job: JobFile, room: Room): Picture[] => {
  const trim = room.trims.find((one) => one.on === 'walls');
  const profile = job.profiles.find((one) => one.id === trim?.profile);
  return room.walls.flatMap((wall, index): Picture[] => {
    if (!wall.corner || (!room.closed && index === room.walls.length - 1)) return [];
    const angle = wallAngle(wall.corner.reading);
    if (!isOdd(angle)) return [];
    const name = message('paper.corner-after-wall-miter', {
      name: room.name,
      index: index + 1,
      angle: angleFigure(angle),
      miter: angleFigure(Math.abs(180 - angle) / 2),
    });
    return [
      {
        name,
        room: room.id,
        drawing: cornerTemplate(angle, profile?.thickness ?? LEG[job.unit] / 8, LEG[job.unit], name),
        ratio: 0.7,
      },
    ];
  });
};

const sectionOf = (job: JobFile, profile: Profile): Picture => ({
  name: message('paper.in-section-by', {
    name: profile.name,
    width: lengthFigure(profile.width, job.unit),
    thickness: lengthFigure(profile.thickness, job.unit),
  }),
  drawing: crownSection(profile, job.unit),
  ratio: 0.9,
});

/** Every pattern of a job that is worth printing in its true size. Its drawings are in the job's unit. */
export function templatePictures(job: JobFile): Picture[] {
  const used = new Set(job.rooms.flatMap((room) => room.trims.map((trim) => trim.profile)));
  return [
    ...job.rooms.flatMap((room) => cornersOf(job, room)),
    ...job.profiles
      .filter((profile) => used.has(profile.id) && traitsOf(profile).sprung)
      .map((profile) => sectionOf(job, profile)),
  ];
}
