import type { JobFile, Profile } from '../job/index.ts';
import { NOISE, type StickRef } from '../base/index.ts';
import { convertLength } from '../measure/index.ts';
import type { PlanFile } from '../plan/index.ts';

/** What the rack of a crew holds and what a plan leaves for it. */

/** What makes two profiles of different jobs the same trim; by its name it is the same profile. */
interface TrimKind {
  readonly use: Profile['use'];
  readonly width: number;
  readonly thickness: number;
  readonly material: Profile['material'];
  readonly finish: Profile['finish'];
  readonly unit: JobFile['unit'];
}

/** Millimetres by which the same trim may have been entered differently. */
const SAME_TRIM = 0.5;

/** Whether a piece on the rack is of a profile of a job, whatever units the two are in. */
export function isSameTrim(kind: TrimKind, profile: Profile, unit: JobFile['unit']): boolean {
  const near = (a: number, b: number): boolean =>
    Math.abs(convertLength(a, kind.unit, 'mm') - convertLength(b, unit, 'mm')) <= SAME_TRIM;
  return (
    kind.use === profile.use &&
    kind.material === profile.material &&
    kind.finish === profile.finish &&
    near(kind.width, profile.width) &&
    near(kind.thickness, profile.thickness)
  );
}

/** Whether it is the same profile: the same trim under the same name. Another name may be another moulding of that size. */
export const isSameProfile = (
  kind: TrimKind & { readonly name: string },
  profile: Profile,
  unit: JobFile['unit'],
): boolean => isSameTrim(kind, profile, unit) && plainName(kind.name) === plainName(profile.name);

const plainName = (name: string): string => name.trim().replace(/\s+/g, ' ').toLowerCase();

/** What is left of a stick when its pieces are cut. */
interface Leaving {
  readonly stick: StickRef;
  readonly profile: string;
  readonly length: number;
  /** Signed angles of its ends: left as the last cut left it, right as the stick came. */
  readonly left: number;
  readonly right: number;
}

/** The offcuts of a plan that are worth keeping, longest first. */
export function leavings(plan: PlanFile, minReusable: number): Leaving[] {
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]));
  return plan.sticks
    .filter((stick) => stick.leftover >= minReusable - NOISE)
    .map((stick): Leaving => {
      const last = byId.get(stick.cuts.at(-1)!.piece)!;
      return {
        stick: stick.id,
        profile: stick.profile,
        length: stick.leftover,
        // One parting has two faces: what is long on one side is short on the other.
        left: last.right.angle === 0 ? 0 : -last.right.angle,
        right: 0,
      };
    })
    .sort((a, b) => b.length - a.length);
}

/** A part of an old piece that cannot be used: nail holes close together, dents, splits. */
export interface Damage {
  readonly from: number;
  readonly to: number;
  readonly what: string;
}

/**
 * The stretches of an old piece between what cannot be used, left to right.
 * @param clear  kept free on both sides of damage
 * @param atLeast shorter stretches are not worth keeping
 */
export function usableStretches(
  length: number,
  damages: readonly Damage[],
  clear: number,
  atLeast: number,
): { from: number; length: number }[] {
  const stretches: { from: number; length: number }[] = [];
  let from = 0;
  const ends = [...damages].sort((a, b) => a.from - b.from);
  for (const damage of [...ends, { from: length + clear, to: length + clear }]) {
    const to = Math.min(length, damage.from - clear);
    if (to - from >= atLeast - NOISE) stretches.push({ from, length: to - from });
    from = Math.max(from, damage.to + clear);
  }
  return stretches;
}
