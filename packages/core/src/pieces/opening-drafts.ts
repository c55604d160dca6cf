import { openingPieceKey, type PieceKey } from '../base/index.ts';
import type { OpeningPart } from '../openings/index.ts';
import type { PieceDraft, DraftEnd } from './draft.ts';
import type { JobLayout } from './layout.ts';

/** Pieces around the openings of a room. */
export function draftOpenings(layout: JobLayout, roomIndex: number): PieceDraft[] {
  const { room, openings } = layout.rooms[roomIndex]!;
  return openings.flatMap(({ trimId, wallId, opening, dressed }) => {
    const wall = room.walls.findIndex((one) => one.id === wallId);
    const idOf = (name: string): PieceKey =>
      openingPieceKey(
        { room: room.id, trim: trimId, wall: wallId },
        opening.id,
        dressed.side === 'other' ? `other-${name}` : name,
      );
    const end = (one: OpeningPart['left']): DraftEnd => ({
      joint: one.joint,
      angle: one.angle,
      ...(one.mate === undefined ? {} : { mate: idOf(one.mate) }),
    });
    return dressed.parts.map((part): PieceDraft => ({
      id: idOf(part.key),
      roomIndex,
      trimId,
      wallId,
      openingId: opening.id,
      profile: part.profile,
      sawnAs: part.sawnAs,
      depth: part.depth,
      role: part.role,
      ...(dressed.side === 'other' ? { side: 'other' as const } : {}),
      ...(part.place === undefined ? {} : { place: part.place }),
      ...(part.width === undefined ? {} : { width: part.width }),
      ...(part.taper === undefined ? {} : { taper: part.taper }),
      ...(part.notches === undefined ? {} : { notches: part.notches }),
      ...(part.held === undefined ? {} : { held: part.held }),
      ...(part.box && dressed.side === 'this'
        ? { box: { ...part.box, from: opening.at + part.box.from, to: opening.at + part.box.to } }
        : {}),
      ...(part.role === 'return' ? { returnOf: idOf((part.left.mate ?? part.right.mate)!) } : {}),
      near: part.near,
      allowance: part.allowance,
      left: end(part.left),
      right: end(part.right),
      reason: part.reason,
      after: [],
      walk: [wall, opening.at],
      layer: part.step,
      source: part.near === 0 ? undefined : { kind: 'blank' },
    }));
  });
}
