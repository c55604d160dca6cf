import { type Words } from '../messages/index.ts';
import { tanDeg } from '../base/index.ts';
import type { Profile } from '../job/index.ts';
import { vec, type Vec2 } from '../geometry/index.ts';
import { stripFigures, type Strip } from './strip.ts';

export type PartRole =
  | 'leg-left'
  | 'leg-right'
  | 'head'
  | 'sill'
  | 'stool'
  | 'apron'
  | 'return'
  | 'plinth'
  | 'block'
  | 'band'
  | 'jamb'
  | 'cap';
export type PartPlace = 'left' | 'right' | 'head' | 'sill';

/** One end of a part. */
interface PartEnd {
  readonly joint: 'square' | 'miter' | 'butt' | 'return';
  /** Signed: positive where the near line, which is the inner edge, is the long one. */
  readonly angle: number;
  /** Key of the part it meets, on the same side of the same opening. */
  readonly mate?: string;
}

/** What a part covers of the wall: x from the foot of the left jamb as its side shows it, heights above the floor. */
export interface Box {
  readonly from: number;
  readonly to: number;
  readonly low: number;
  readonly high: number;
  /** How far it stands out from the wall. */
  readonly stands: number;
}

export interface Notch {
  /** Along the stool from its end. */
  readonly length: number;
  /** From its back edge. */
  readonly depth: number;
}

/** A part around one side of an opening, laid outer edge up where it is casing, before it has a label. */
export interface OpeningPart {
  /** Unique on its side. */
  readonly key: string;
  readonly role: PartRole;
  readonly place: PartPlace | undefined;
  readonly profile: Profile;
  /** How the saw takes it: casing lies on its back, stool and apron stand like base. */
  readonly sawnAs: Profile['use'];
  /** From near to far line. */
  readonly depth: number;
  readonly near: number;
  readonly left: PartEnd;
  readonly right: PartEnd;
  /** Smaller: goes up earlier. Below 10, as walls come after. */
  readonly step: number;
  readonly reason: readonly Words[];
  /** What it covers of the wall; absent where it lies within it, as jamb strips do. */
  readonly box?: Box;
  /** Its outline as its side shows it, in the plane of the wall. */
  readonly outline?: readonly Vec2[];
  /** What it is ripped to where that differs from its profile: the wider end of a taper, the depth of a stool. */
  readonly width?: number;
  /** Widths at its own ends. */
  readonly taper?: { readonly left: number; readonly right: number };
  readonly notches?: { readonly left: Notch; readonly right: Notch };
  /** Cut longer than this by an allowance until it is known. */
  readonly held?: { readonly until: 'measured'; readonly predicted: number; readonly allowance: number };
  readonly allowance: number;
}

export const SQUARE: PartEnd = { joint: 'square', angle: 0 };

/** How a square-ended piece of a length stands at a step. */
export const plain = (
  part: Pick<OpeningPart, 'key' | 'role' | 'place' | 'profile' | 'near' | 'step' | 'reason'> &
    Partial<OpeningPart>,
): OpeningPart => ({
  sawnAs: 'other',
  depth: part.profile.thickness,
  left: SQUARE,
  right: SQUARE,
  allowance: 0,
  ...(part.box ? { outline: cornersOf(part.box) } : {}),
  ...part,
});

const cornersOf = ({ from, to, low, high }: Box): Vec2[] => [
  vec(from, low),
  vec(to, low),
  vec(to, high),
  vec(from, high),
];

/** A strip as a part: its figures come from where its edges end. */
export function stripPart(
  strip: Strip,
  part: Pick<OpeningPart, 'key' | 'role' | 'place' | 'profile' | 'sawnAs' | 'step' | 'reason' | 'box'> & {
    readonly left: Omit<PartEnd, 'angle'>;
    readonly right: Omit<PartEnd, 'angle'>;
  },
): OpeningPart {
  const { width } = part.profile;
  const { near, left, right } = stripFigures(strip, width);
  return {
    ...part,
    outline: [strip.innerLeft, strip.innerRight, strip.outerRight, strip.outerLeft],
    depth: width,
    near,
    left: { ...part.left, angle: left },
    right: { ...part.right, angle: right },
    allowance: 0,
  };
}

/** How much farther than the inner edge the outer one extends at an end. */
export const reaches = ({ depth, left, right }: Pick<OpeningPart, 'depth' | 'left' | 'right'>): number =>
  -depth * (tanDeg(left.angle) + tanDeg(right.angle));
