import type { Piece, Profile, RibbonLayout, Room, SplicePlace, Unit } from '@long-miter/core';

export type RibbonLayer = 'measures' | 'pieces';

export interface RibbonProps {
  readonly room: Room;
  readonly unit: Unit;
  readonly layer: RibbonLayer;
  readonly pieces: readonly Piece[];
  readonly selectedWall: number | undefined;
  readonly selectedPiece: string | undefined;
  readonly onWall: (index: number) => void;
  readonly onPiece: (piece: Piece) => void;
  /** Lets splices be dragged along their wall; `from` is where one was pinned before. */
  readonly onSplice?: (trim: string, wall: string, from: number | undefined, to: number) => void;
  /** What a splice would be worth at a place, shown while it is dragged. */
  readonly spliceWorth?: (piece: Piece, at: number) => SplicePlace | undefined;
  /** Profiles by id, for the face width of casing. */
  readonly profiles: ReadonlyMap<string, Profile>;
  /** Lets openings be dragged along their wall. */
  readonly onMove?: (wall: number, opening: string, at: number) => void;
}

/** What every part of the strip gets: the strip's own properties and where everything lies. */
export type Layered = RibbonProps & { readonly layout: RibbonLayout };

/** Sizes of the strip, in pixels: the band that pieces are drawn in, what is above it, the whole. */
export const BAND = 22;
export const TOP = 40;
export const HEIGHT = 96;
