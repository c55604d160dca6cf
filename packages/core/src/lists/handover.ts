import { keyWord, message, bareFigure, type Words, lengthFigure } from '../messages/index.ts';
import type { JobFile } from '../job/index.ts';
import type { Piece } from '../plan/index.ts';
import { isAlive, type Shop } from '../workshop/index.ts';
import { partWords } from '../messages/index.ts';
import { openingNameOf, placeOf } from './cut-list.ts';

/** What is left with the house when the crew goes: what comes off, what was spliced where, what it is made of, what is left. */
interface Handover {
  /** Held by screws, so that it can be taken off: the way to a door that slides in the wall, or to one that is lifted out. */
  readonly comesOff: readonly Words[];
  readonly splices: readonly Words[];
  readonly profiles: readonly { readonly name: string; readonly what: Words }[];
  readonly rack: readonly Words[];
  /** Given and not on the wall: nothing is handed over as done that is not. */
  readonly open: readonly string[];
}

/** Source: workshop, section 8. */
export function handover(job: JobFile, shop: Shop): Handover {
  const alive = shop.pieces.filter(isAlive);
  const plans = alive.map((piece) => ({ piece, plan: piece.plan as unknown as Piece }));
  const byId = new Map(plans.map((one) => [one.plan.id as string, one]));
  const size = (length: number): Words => lengthFigure(length, job.unit);
  const comesOff = plans.flatMap(({ piece, plan }) => {
    const room = job.rooms.find((one) => one.id === plan.room);
    const opening = room?.walls
      .find((one) => one.id === plan.wall)
      ?.openings?.find((one) => one.id === plan.opening);
    if (!room || !opening || (opening.kind !== 'pocket' && !opening.removable) || plan.role !== 'head')
      return [];
    return [
      message('handover.the-is-screwed-on-under-filler', {
        name: room.name,
        opening: openingNameOf(job, plan) ?? opening.id,
        part: partWords(plan.role, plan.place),
        tag: piece.tag,
      }),
    ];
  });
  const splices = plans.flatMap(({ piece, plan }) => {
    const { joint, mate } = plan.right;
    const next = mate === undefined ? undefined : byId.get(mate);
    if ((joint !== 'scarf' && joint !== 'butt') || !next || plan.to === undefined) return [];
    // In the middle of its slant.
    const at = plan.to + plan.right.reach / 2;
    return [
      message('handover.from-the-left-end-of-the', {
        place: placeOf(job, plan),
        joint: joint === 'scarf' ? message('handover.scarfed') : message('handover.butted'),
        at: size(at),
        tag: piece.tag,
        next: next.piece.tag,
      }),
    ];
  });
  const used = new Set(plans.map(({ plan }) => plan.profile));
  const profiles = job.profiles
    .filter((one) => used.has(one.id))
    .map((one) => ({
      name: one.name,
      what: message('handover.by', {
        use: keyWord(one.use),
        material: keyWord(one.material),
        width: bareFigure(one.width, job.unit),
        thickness: size(one.thickness),
        finish: keyWord(one.finish),
      }),
    }));
  const nameOf = (id: string): string => job.profiles.find((one) => one.id === id)?.name ?? id;
  return {
    comesOff,
    splices,
    profiles,
    rack: shop.rack.map(({ label, profile, length }) =>
      message('handover.joined', { label, name: nameOf(profile), length: size(length) }),
    ),
    open: alive
      .filter((one) => one.state !== 'fixed' && (one.plan as unknown as Piece).role !== 'test')
      .map((one) => one.tag),
  };
}
