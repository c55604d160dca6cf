import type { Room, Trim } from './schema.ts';

/** The id of the loop that a trim runs along, where it is not the walls'. */
export const loopOf = ({ on }: Pick<Trim, 'on'>): string | undefined =>
  on.startsWith('ceiling:') ? on.slice('ceiling:'.length) : undefined;

/**
 * The room as a trim sees it: its walls, or a loop of the ceiling (a tray, a soffit, the top of a cabinet) with its own
 * lengths, corners and height. Undefined where it runs around openings, or its loop is not there any more.
 */
export function roomAlong(room: Room, trim: Trim): Room | undefined {
  if (trim.on === 'openings') return undefined;
  const id = loopOf(trim);
  if (id === undefined) return room;
  const loop = room.ceilings?.find((one) => one.id === id);
  if (!loop) return undefined;
  const { entry: _entry, ceilings: _ceilings, ...rest } = room;
  return {
    ...rest,
    closed: loop.closed ?? true,
    ceilingHeight: loop.height,
    walls: loop.walls,
    trims: [{ ...trim, on: 'walls' }],
  };
}
