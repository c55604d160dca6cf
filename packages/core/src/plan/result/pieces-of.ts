import { reachOf } from '../../joinery/index.ts';
import {
  inHangingOrder,
  inReadingOrder,
  type PieceDraft,
  type DraftEnd,
  type JobLayout,
  type SpliceChoices,
} from '../../pieces/index.ts';
import { sawOf } from '../../job/index.ts';
import { sawSetting, seatFor } from '../../saw/index.ts';
import { draftJob } from '../solve/cut-problems.ts';
import type { Piece, PlanEnd } from './plan-file.ts';

const pad = (n: number): string => String(n).padStart(2, '0');

function planEnd(layout: JobLayout, draft: PieceDraft, side: 'left' | 'right'): PlanEnd {
  const end: DraftEnd = draft[side];
  const profile = { ...draft.profile, use: draft.sawnAs };
  const saw = sawOf(layout.job);
  return {
    joint: end.joint,
    angle: end.angle,
    reach: reachOf(draft.depth, end.angle),
    ...(end.over === undefined ? {} : { over: end.over }),
    ...(end.mate === undefined ? {} : { mate: end.mate }),
    ...(end.snip === undefined ? {} : { snip: end.snip }),
    ...(end.plane === undefined ? {} : { plane: end.plane }),
    saw: end.plane
      ? seatFor(profile, end.plane, saw, layout.rules)
      : sawSetting(profile, side, end.angle, saw, layout.rules),
  };
}

/**
 * The pieces of a job for given splices: numbered as one reads the room from its entry, with their place in the order of
 * installation. `firstRoom` is the number of the first room of the layout in its job.
 */
export function piecesOf(layout: JobLayout, choices: SpliceChoices, firstRoom = 1): Piece[] {
  const drafts = draftJob(layout, choices);
  const pieces: Piece[] = [];
  let hung = 0;
  const byRoom = layout.rooms.map((): PieceDraft[] => []);
  for (const draft of drafts) byRoom[draft.roomIndex]!.push(draft);
  layout.rooms.forEach(({ room }, roomIndex) => {
    const own = byRoom[roomIndex]!;
    const orders = new Map(inHangingOrder(room, own).map((draft, index) => [draft.id, hung + index + 1]));
    const before = hung;
    hung += own.length;
    const byInstallation = layout.rules.numbering === 'installation';
    inReadingOrder(room, own).forEach((draft, index) =>
      pieces.push({
        id: draft.id,
        label: `${roomIndex + firstRoom}-${pad(byInstallation ? orders.get(draft.id)! - before : index + 1)}`,
        room: room.id,
        trim: draft.trimId,
        ...(draft.wallId === undefined ? {} : { wall: draft.wallId }),
        ...(draft.openingId === undefined ? {} : { opening: draft.openingId, side: draft.side ?? 'this' }),
        ...(draft.spring === undefined ? {} : { spring: draft.spring }),
        ...(draft.slope === undefined ? {} : { slope: draft.slope }),
        ...(draft.place === undefined ? {} : { place: draft.place }),
        ...(draft.width === undefined ? {} : { width: draft.width }),
        ...(draft.taper === undefined ? {} : { taper: draft.taper }),
        ...(draft.notches === undefined ? {} : { notches: draft.notches }),
        ...(draft.held === undefined ? {} : { held: draft.held }),
        ...(draft.box === undefined ? {} : { box: draft.box }),
        profile: draft.profile.id,
        role: draft.role,
        ...(draft.returnOf === undefined ? {} : { returnOf: draft.returnOf }),
        ...(draft.from === undefined ? {} : { from: draft.from }),
        ...(draft.to === undefined ? {} : { to: draft.to }),
        near: draft.near,
        allowance: draft.allowance,
        left: planEnd(layout, draft, 'left'),
        right: planEnd(layout, draft, 'right'),
        order: orders.get(draft.id)!,
        reason: draft.reason,
      }),
    );
  });
  return pieces;
}
