import { message, type Words, wordOf, lengthFigure } from '../messages/index.ts';
import { listOf } from '../messages/index.ts';
import { rulesOfRoom, traitsOf, type JobFile } from '../job/index.ts';

import type { Piece } from '../plan/index.ts';

/** What the crew's school of hanging crown says to whoever stands on the ladder. Source: crown, sections 4 and 7. */

/** Foam is nailed so far apart, by turns into wall and ceiling: 12 in, 300 mm. */
const FOAM_NAILS = { in: 12, mm: 300 } as const;
/** Longer than this nobody holds both ends: 10 ft, 3 m. */
const ALONE = { in: 120, mm: 3000 } as const;
/** Wedges that hold a glued corner to its shape, in degrees. */
const WEDGE = 5;

/**
 * How a corner that does not read as one piece is brought together, by where it is open. A crown that is rolled out (its ceiling
 * edge away from the wall, its wall edge up) reaches farther at the ceiling edge: at an inside corner its cut then runs past the
 * corner's plane there, at an outside corner it falls short of it.
 * @param inside whether the wall turns towards the room
 */
export function rollAdvice(inside: boolean): { readonly openAtCeiling: Words; readonly openAtWall: Words } {
  const out = message('hanging.roll-it-out-its-ceiling-edge');
  const back = message('hanging.roll-it-back-its-ceiling-edge');
  return inside ? { openAtCeiling: out, openAtWall: back } : { openAtCeiling: back, openAtWall: out };
}

/** The ends of a piece that are mitered in a corner, and whether the wall turns in there. */
const miters = (plan: Piece): { side: 'left' | 'right'; inside: boolean }[] =>
  (['left', 'right'] as const).flatMap((side) =>
    plan[side].joint === 'miter' ? [{ side, inside: plan[side].angle > 0 }] : [],
  );

/** A piece that is hung, and what is written on it. */
interface HungPiece {
  readonly tag: string;
  readonly plan: Piece;
}

/**
 * What is done with a piece of crown on the wall, by the crew's school; nothing for any other piece.
 * @param job whose rules decide
 * @param plan the piece
 * @param hung all that is hung with it, with what is written on each
 */
export function crownHanging(job: JobFile, plan: Piece, hung: readonly HungPiece[]): Words[] {
  const profile = job.profiles.find((one) => one.id === plan.profile);
  if (!profile || !traitsOf(profile).atCeiling || plan.role === 'test' || plan.role === 'backer') return [];
  const room = job.rooms.find((one) => one.id === plan.room);
  const rules = rulesOfRoom(job, room ?? {});
  const size = (length: number): Words => lengthFigure(length, job.unit);
  const school = rules.crownOrder;
  const foam = profile.material === 'polyurethane';
  const mates = hung.filter(({ plan: { id } }) => id === plan.left.mate || id === plan.right.mate);
  const between = mates.length === 2 && mates.every((one) => one.plan.order < plan.order);
  const last = hung.every(({ plan: one }) => one.trim !== plan.trim || one.order <= plan.order);
  const glued = school === 'opposite' && between;
  const closes = school !== undefined && !glued && between && last && rules.closingMode === 'long';
  const notes: Words[] = [];
  if (foam)
    notes.push(
      message('hanging.a-bead-of-adhesive-along-both', {
        spacing: size(FOAM_NAILS[job.unit]),
        looseEnd: size(rules.looseEnd['polyurethane'] ?? 0),
      }),
    );
  if (glued)
    notes.push(
      message('hanging.glue-both-its-corners-to-push', {
        items: listOf(
          mates.map((one) => one.tag),
          ' and ',
        ),
        wedge: WEDGE,
      }),
    );
  if (school === 'opposite' && !glued && plan.role === 'wall')
    notes.push(message('hanging.lever-each-end-straight-against-the'));
  if (closes) notes.push(message('hanging.bow-it-in-both-ends-first'));
  const length = plan.near + Math.max(0, plan.left.reach) + Math.max(0, plan.right.reach);
  if (length > ALONE[job.unit]) notes.push(message('hanging.alone-a-nail-driven-half-way'));
  const ends = miters(plan);
  const alike = ends.length === 2 && ends[0]!.inside === ends[1]!.inside;
  for (const { side, inside } of alike ? ends.slice(0, 1) : ends) {
    const { openAtCeiling, openAtWall } = rollAdvice(inside);
    notes.push(
      message('hanging.read-as-one-stepped-the-lower', {
        corners: alike
          ? message('hanging.do-both-its-corners')
          : message('hanging.does-its-corner', { side: wordOf(side) }),
        openAtCeiling,
        openAtWall,
      }),
    );
  }
  if (rules.lightGap > 0)
    notes.push(message('hanging.its-line-leaves-for-light-cable', { lightGap: size(rules.lightGap) }));
  const loop = room?.ceilings?.some((one) => one.walls.some((side) => side.id === plan.wall)) ?? false;
  if (loop) notes.push(message('hanging.nailed-by-its-upper-edge-first'));
  return notes;
}
