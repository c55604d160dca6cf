/**
 * Identities: what a piece, a stretch, a stock line or a stick *is*, whatever it measures just now. They are made here and
 * nowhere else, compared as values, and never taken apart: whoever needs a part of one keeps that part beside it.
 */

declare const brand: unique symbol;
type Branded<Name extends string> = string & { readonly [brand]: Name };

/** A piece: room, trim, wall or opening, role, and which stretch of its wall by what its ends meet. No measure is part of it. */
export type PieceKey = Branded<'PieceKey'>;
/** A stretch of a trim on one wall between two things that stop it. */
export type SegmentKey = Branded<'SegmentKey'>;
/** A line of what is for sale, or one piece of the rack. */
export type StockRef = Branded<'StockRef'>;
/** A stick of a plan: what is cut from it. */
export type StickRef = Branded<'StickRef'>;

/**
 * Joins parts to one text from which different parts never give the same: the separator is escaped where a part has it.
 * @example joinKey('a.b', 'c') // "a%2Eb.c", which joinKey('a', 'b.c') is not
 */
export const joinKey = (...parts: readonly (string | number)[]): string =>
  parts.map((part) => String(part).replaceAll('%', '%25').replaceAll('.', '%2E')).join('.');

/** What stops a stretch: the corner of its wall, an opening or something built in, by its id. */
export type EndName =
  | { readonly kind: 'corner' }
  | { readonly kind: 'opening'; readonly id: string }
  | { readonly kind: 'interruption'; readonly id: string };

interface WallPlace {
  readonly room: string;
  readonly trim: string;
  readonly wall: string;
}

const endParts = (end: EndName): string[] => (end.kind === 'corner' ? ['corner'] : [end.kind, end.id]);
const placeParts = ({ room, trim, wall }: WallPlace): string[] => [room, trim, wall];

export const segmentKey = (place: WallPlace, left: EndName, right: EndName): SegmentKey =>
  joinKey(...placeParts(place), ...endParts(left), ...endParts(right)) as SegmentKey;

/** Which part of a stretch a piece is: all of it, or its left, right or a middle part between splices. */
export type StretchPart =
  | { readonly part: 'whole' | 'left' | 'right' }
  /** Counted from the left, 1 for the first that touches neither end. */
  | { readonly part: 'middle'; readonly number: number };

/**
 * The key of a wall piece. The left part of a spliced stretch is known by its left end alone, the right part by its right
 * end, so that another split elsewhere leaves them what they are.
 */
export function wallPieceKey(place: WallPlace, left: EndName, right: EndName, of: StretchPart): PieceKey {
  const start = of.part === 'whole' || of.part === 'left' ? endParts(left) : ['splice'];
  const end = of.part === 'whole' || of.part === 'right' ? endParts(right) : ['splice'];
  const middle = of.part === 'middle' ? [of.number, ...endParts(left), ...endParts(right)] : [];
  return joinKey(...placeParts(place), ...start, ...end, ...middle) as PieceKey;
}

/** A small piece that turns with a rounded outside corner after a wall, counted from the left. */
export const turnPieceKey = (place: WallPlace, number: number): PieceKey =>
  joinKey(...placeParts(place), 'turn', number) as PieceKey;

/** The small level piece at an end of a climbing wall that turns the corner and is bent to the slope. */
export const bendPieceKey = (place: WallPlace, side: 'left' | 'right'): PieceKey =>
  joinKey(...placeParts(place), 'bend', side) as PieceKey;

/** One block of a test pair of a trim. */
export const testPieceKey = (room: string, trim: string, side: 'left' | 'right'): PieceKey =>
  joinKey(room, trim, 'test', side) as PieceKey;

/** A piece that turns the end of another back to the wall: the wedge of a half turn, or the last triangle. */
export const returnPieceKey = (of: PieceKey, side: 'left' | 'right', kind: 'turn' | 'return'): PieceKey =>
  `${of}.${joinKey(kind, side)}` as PieceKey;

/** A part of what stands around an opening, by its name there. */
export const openingPieceKey = (place: WallPlace, opening: string, part: string): PieceKey =>
  joinKey(...placeParts(place), 'around', opening, part) as PieceKey;

/** A line for sale, a piece of the rack, or a stick that has been cut, by its own id. */
export const stockRef = (source: 'buy' | 'rack' | 'cut', id: string): StockRef =>
  joinKey(source, id) as StockRef;

/** A stick of a plan, by what is cut from it, in whatever order. */
export const stickRef = (profile: string, pieces: readonly PieceKey[]): StickRef =>
  joinKey(profile, ...[...pieces].sort()) as StickRef;
