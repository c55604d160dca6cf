import { type Words } from '../messages/index.ts';
import type { PieceKey } from '../base/index.ts';
import type { Vec3 } from '../geometry/index.ts';
import type { Profile } from '../job/index.ts';
import type { EndCut, EndJoint } from '../joinery/index.ts';
import type { Box, OpeningPart, PartPlace, PartRole } from '../openings/index.ts';

/** One end of a drafted piece. */
export interface DraftEnd {
  readonly joint: EndJoint;
  readonly angle: number;
  readonly mate?: PieceKey;
  readonly over?: boolean;
  readonly snip?: number;
  /** Outward normal of a cut that is not plumb, in the piece's own axes. */
  readonly plane?: Vec3;
}

/** A piece with its ends and mates, before labels and order. Ids are final. */
export interface PieceDraft {
  readonly id: PieceKey;
  readonly roomIndex: number;
  readonly trimId: string;
  readonly wallId?: string;
  readonly openingId?: string;
  readonly profile: Profile;
  readonly sawnAs: Profile['use'];
  readonly depth: number;
  readonly role: 'wall' | 'transition' | 'test' | 'backer' | PartRole;
  /** Around an opening: which face of the wall, and where it stands there. */
  readonly side?: 'other';
  readonly place?: PartPlace;
  /** What it is ripped to where that is not its profile's width, and its widths at its own ends. */
  readonly width?: number;
  readonly taper?: OpeningPart['taper'];
  readonly notches?: OpeningPart['notches'];
  readonly held?: OpeningPart['held'];
  /** What it covers of its room's wall. */
  readonly box?: Box;
  /** Crown hung at another spring than its profile's; degrees it climbs to the right. */
  readonly spring?: number;
  readonly slope?: number;
  /** A small piece of a return: the piece whose end it turns back. */
  readonly returnOf?: PieceKey;
  readonly from?: number;
  readonly to?: number;
  readonly near: number;
  readonly allowance: number;
  readonly left: DraftEnd;
  readonly right: DraftEnd;
  readonly reason: readonly Words[];
  /** Ids of pieces that must hang before this one. */
  readonly after: readonly PieceKey[];
  /** Where it comes in a walk round the room: wall index and position. */
  readonly walk: readonly [wall: number, at: number];
  /** Larger: hung later, whatever its neighbours (layers, heads after legs). */
  readonly layer: number;
  /** What the optimiser knows it by: a blank of its own, or a part of a stretch; undefined when it is cut from waste. */
  readonly source:
    | { readonly kind: 'blank' }
    | { readonly kind: 'stretch'; readonly id: string; readonly fromPoint: number; readonly toPoint: number }
    | undefined;
}

/** An end of a segment as the end of its piece. */
export const cutEnd = (cut: EndCut, mate: PieceKey | undefined): DraftEnd => ({
  joint: cut.joint,
  angle: cut.angle,
  ...(cut.snip === undefined ? {} : { snip: cut.snip }),
  ...(cut.plane === undefined ? {} : { plane: cut.plane }),
  ...(mate === undefined || cut.joint === 'square' ? {} : { mate }),
});
