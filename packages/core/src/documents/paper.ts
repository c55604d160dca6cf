import { message, bareFigure, listOf, lengthFigure, type Words } from '../messages/index.ts';
import type { JobFile } from '../job/index.ts';
import { isAlive, type RackPiece, type Shop, type ShopPiece } from '../workshop/index.ts';
import { isOfEnd, placeOf, hangList, hangNotes, type HangLine } from '../lists/index.ts';
import { crownHanging } from '../advice/index.ts';

/** What the workshop has on paper: labels for wood, sheets for the wall. Made from what was given, never from a newer plan. */

/** What stands on a label; its code opens the piece. */
export interface WoodLabel {
  readonly name: string;
  readonly lines: readonly Words[];
  /** The room and the piece that its code opens; none on labels of sticks. */
  readonly opens: { readonly room: string; readonly tag: string } | undefined;
}

const unfinished = (piece: ShopPiece): boolean => isAlive(piece) && piece.state !== 'fixed';

/**
 * A label for each piece that is not on the wall yet, in the order they are hung.
 * @param room only its pieces
 */
export function pieceLabels(job: JobFile, shop: Shop, room?: string): WoodLabel[] {
  const profiles = new Map(job.profiles.map((one) => [one.id, one.name]));
  return hangList(job, shop, room)
    .filter(({ piece }) => unfinished(piece))
    .map(({ piece, plan, place }) => ({
      name: piece.tag,
      lines: [
        place,
        piece.state === 'held' ? message('paper.waits-for-its-measure') : lengthFigure(piece.near, job.unit),
        listOf(
          [
            profiles.get(plan.profile) ?? plan.profile,
            ...(piece.letter ? [message('paper.from', { letter: piece.letter })] : []),
          ],
          ', ',
        ),
      ],
      opens: { room: plan.room, tag: piece.tag },
    }));
}

/** A label for each opened stick that something is left of, and for each piece on the rack. */
export function stickLabels(job: JobFile, shop: Shop): WoodLabel[] {
  const profiles = new Map(job.profiles.map((one) => [one.id, one.name]));
  const nameOf = (id: string): string => profiles.get(id) ?? id;
  const onRack = ({ label, profile, length }: RackPiece): WoodLabel => ({
    name: label,
    lines: [nameOf(profile), lengthFigure(length, job.unit), message('paper.rack')],
    opens: undefined,
  });
  return [
    ...shop.sticks
      .filter((stick) => stick.open && stick.remains > 0)
      .map((stick) => ({
        name: stick.letter,
        lines: [
          nameOf(stick.profile),
          stick.source === 'rack'
            ? message('paper.was', { length: lengthFigure(stick.length, job.unit), from: stick.from })
            : lengthFigure(stick.length, job.unit),
          message('paper.left', { remains: bareFigure(stick.remains, job.unit) }),
        ],
        opens: undefined,
      })),
    ...shop.rack.map(onRack),
  ];
}

/** One wall of a hang sheet: its pieces in their order, each with what the wall says. */
interface HangSheet {
  readonly room: string;
  readonly place: Words;
  readonly lines: readonly { readonly line: HangLine; readonly notes: readonly Words[] }[];
}

/** What is hung, wall by wall in the order one begins with them. */
export function hangSheets(job: JobFile, shop: Shop, room?: string): HangSheet[] {
  const lines = hangList(job, shop, room);
  const hung = lines.map((one) => ({ tag: one.piece.tag, plan: one.plan }));
  const walls = new Map<string, HangLine[]>();
  for (const line of lines) {
    const key = JSON.stringify([line.plan.room, line.plan.wall ?? '']);
    walls.set(key, [...(walls.get(key) ?? []), line]);
  }
  return [...walls.values()].map((own) => {
    const { plan } = own[0]!;
    const at = job.rooms.find((one) => one.id === plan.room);
    const wall = at?.walls.findIndex((one) => one.id === plan.wall) ?? -1;
    return {
      room: plan.room,
      place: wall >= 0 ? message('paper.wall', { name: at!.name, wall: wall + 1 }) : placeOf(job, plan),
      lines: own.map((line) => ({
        line,
        notes: [
          ...line.plan.reason.filter((words) => !isOfEnd(words)),
          ...crownHanging(job, line.plan, hung),
          ...hangNotes(job, line.plan),
        ],
      })),
    };
  });
}
