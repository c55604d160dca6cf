import { SAME_LENGTH } from '../base/index.ts';
import type { HouseRules, JobFile, Kit, Opening, Profile } from '../job/index.ts';

/** Which face of the wall: the one in the room that the opening is recorded in, or the other. */
export type SideName = 'this' | 'other';

/** What stands around one side of an opening, its profiles looked up and every default filled in. */
export interface TrimKit {
  readonly reveal: number;
  readonly corners: 'miter' | 'butt' | 'block';
  /** Undefined where this side has no casing. */
  readonly leg: { readonly left: Profile; readonly right: Profile } | undefined;
  /** Which legs are narrower than their stock. */
  readonly ripped: { readonly left: boolean; readonly right: boolean };
  readonly head: Profile | undefined;
  /** Bottom of a picture frame. */
  readonly sill: Profile | undefined;
  readonly overhang: number;
  readonly cap: Profile | undefined;
  readonly capOverhang: number;
  readonly plinth: Profile | undefined;
  readonly plinthHeight: number;
  readonly block: Profile | undefined;
  /** Blocks are asked for and none is named: the corners are mitered. */
  readonly noBlock: boolean;
  readonly band: Profile | undefined;
  readonly jamb: Profile | undefined;
  readonly lap: 'head' | 'sides';
  readonly jambReveal: number;
  /** Joined on the bench and set as one. */
  readonly oneUnit: boolean;
  readonly stool: Profile | undefined;
  readonly apron: Profile | undefined;
}

/** A strip ripped to a width; one that is no wider than asked stays as it is. */
const ripped = (profile: Profile, width: number | undefined): Profile =>
  width === undefined || width >= profile.width - SAME_LENGTH ? profile : { ...profile, width };

/** The kit of a side: its own keys over the house rule for the kind of opening. */
export const kitOf = (rules: HouseRules, opening: Opening, side: SideName): Kit => ({
  ...rules.kit[opening.kind],
  ...(side === 'this' ? opening.kit : opening.other?.kit),
});

/** The casing of a side; undefined where it has none, or something leaves it no room. */
export function casingOf(opening: Opening, side: SideName): string | undefined {
  if (side === 'this' && opening.clear !== undefined) return undefined;
  return (side === 'this' ? opening.casing : opening.other?.casing) ?? undefined;
}

/** What stands around one side. Stool, apron and jamb strips are set from the side that the opening is recorded in. */
export function resolveTrimKit(job: JobFile, rules: HouseRules, opening: Opening, side: SideName): TrimKit {
  const kit = kitOf(rules, opening, side);
  const find = (id: string | null | undefined): Profile | undefined =>
    id === undefined || id === null ? undefined : job.profiles.find((one) => one.id === id);
  const casing = find(casingOf(opening, side));
  const window = opening.kind === 'window';
  const leg = find(kit.leg) ?? casing;
  const own = side === 'this';
  const corners = kit.corners === 'block' && !find(kit.block) ? 'miter' : (kit.corners ?? 'miter');
  const plinth = casing && !window ? find(kit.plinth) : undefined;
  const legs = leg && { left: ripped(leg, kit.ripLeft), right: ripped(leg, kit.ripRight) };
  return {
    reveal: (own ? opening.reveal : opening.other?.reveal) ?? rules.reveal,
    corners: framed(opening, own) ? 'miter' : corners,
    leg: casing && legs,
    ripped: { left: legs?.left !== leg, right: legs?.right !== leg },
    head: casing && (find(kit.head) ?? casing),
    sill: casing && framed(opening, own) ? (find(kit.sill) ?? casing) : undefined,
    overhang: kit.overhang ?? 0,
    cap: casing && find(kit.cap),
    capOverhang: kit.capOverhang ?? 0,
    plinth,
    plinthHeight: plinth ? (kit.plinthHeight ?? plinth.width) : 0,
    block: casing && corners === 'block' ? find(kit.block) : undefined,
    noBlock: casing !== undefined && kit.corners === 'block' && !find(kit.block) && !framed(opening, own),
    band: casing && find(kit.band),
    jamb: own ? find(kit.jamb) : undefined,
    lap: kit.lap ?? 'head',
    jambReveal: kit.jambReveal ?? 0,
    oneUnit: kit.oneUnit === true,
    stool: own && window ? find(opening.stool) : undefined,
    apron: own && window ? find(opening.apron) : undefined,
  };
}

/** Whether a side is cased all round. A frame on the other side of a window has the same sill. */
const framed = (opening: Opening, own: boolean): boolean =>
  opening.kind === 'window' && opening.picture === true && !(own && opening.stool !== undefined);
