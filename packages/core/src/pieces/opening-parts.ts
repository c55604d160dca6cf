import { atanDeg, cosDeg, tanDeg } from '../base/index.ts';
import { reachOf, type EndJoint } from '../joinery/index.ts';
import type { HouseRules, JobFile, Opening, Profile, Room, Trim } from '../job/index.ts';

/** One end of a piece around an opening. */
export interface PartEnd {
  readonly joint: EndJoint;
  readonly angle: number;
  /** Key of the part it meets, within the same opening. */
  readonly mate?: string;
}

/** A piece around a door or window, before it has a label. `key` is unique in its opening. */
export interface OpeningPart {
  readonly trim: Trim;
  readonly wallId: string;
  readonly opening: Opening;
  readonly key: string;
  readonly role: 'leg-left' | 'leg-right' | 'head' | 'sill' | 'stool' | 'apron' | 'return';
  readonly profile: Profile;
  /** How the saw takes it: casing lies on its back, stool and apron stand like base. */
  readonly sawnAs: Profile['use'];
  readonly depth: number;
  readonly near: number;
  readonly left: PartEnd;
  readonly right: PartEnd;
  readonly step: number;
  readonly reason: string;
}

const SQUARE: PartEnd = { joint: 'square', angle: 0 };
const miter = (angle: number, mate: string): PartEnd => ({ joint: 'miter', angle, mate });

/** Legs, head and (picture-framed) sill piece. Source: job file format, rule 7; geometry notes, section 4. */
function casingParts(
  trim: Trim,
  wallId: string,
  opening: Opening,
  casing: Profile,
  rules: HouseRules,
): OpeningPart[] {
  const hl = opening.headLeft ?? opening.headHeight;
  const hr = opening.headRight ?? opening.headHeight;
  const r = rules.reveal;
  const slope = atanDeg((hr - hl) / opening.width);
  const base = opening.kind === 'window' ? (opening.sillHeight ?? 0) : 0;
  const picture = opening.kind === 'window' && opening.picture === true;
  const foot = picture ? r : 0;
  const cutLeft = -(45 - slope / 2);
  const cutRight = -(45 + slope / 2);
  const common = { trim, wallId, opening, profile: casing, sawnAs: casing.use, depth: casing.width } as const;
  const level =
    slope === 0
      ? 'head level: 45s'
      : `head out of level by ${Number(slope.toFixed(2))}°: each corner has its own angle`;
  const parts: OpeningPart[] = [
    {
      ...common,
      key: 'leg-left',
      role: 'leg-left',
      near: hl - r * tanDeg(slope) + r / cosDeg(slope) - base + foot,
      left: picture ? miter(-45, 'sill') : SQUARE,
      right: miter(cutLeft, 'head'),
      step: 1,
      reason: level,
    },
    {
      ...common,
      key: 'leg-right',
      role: 'leg-right',
      near: hr + r * tanDeg(slope) + r / cosDeg(slope) - base + foot,
      left: miter(cutRight, 'head'),
      right: picture ? miter(-45, 'sill') : SQUARE,
      step: 1,
      reason: level,
    },
    {
      ...common,
      key: 'head',
      role: 'head',
      near: (opening.width + 2 * r) / cosDeg(slope),
      left: miter(cutLeft, 'leg-left'),
      right: miter(cutRight, 'leg-right'),
      step: 2,
      reason: 'after the legs: check it outside to outside',
    },
  ];
  if (picture)
    parts.push({
      ...common,
      key: 'sill',
      role: 'sill',
      near: opening.width + 2 * r,
      left: miter(-45, 'leg-right'),
      right: miter(-45, 'leg-left'),
      step: 3,
      reason: 'closes the picture frame',
    });
  return parts;
}

function stoolAndApron(
  trim: Trim,
  wallId: string,
  opening: Opening,
  casing: Profile,
  job: JobFile,
  rules: HouseRules,
): OpeningPart[] {
  const outside = opening.width + 2 * rules.reveal + 2 * casing.width;
  const parts: OpeningPart[] = [];
  const stool = job.profiles.find((profile) => profile.id === opening.stool);
  if (stool)
    parts.push({
      trim,
      wallId,
      opening,
      key: 'stool',
      role: 'stool',
      profile: stool,
      sawnAs: 'stool',
      depth: stool.width,
      near: outside + 2 * rules.horn,
      left: SQUARE,
      right: SQUARE,
      step: 0,
      reason: 'outside of casing to outside of casing and a horn each side',
    });
  const apron = job.profiles.find((profile) => profile.id === opening.apron);
  if (!apron) return parts;
  const angle = -rules.returnAngle;
  const common = { trim, wallId, opening, profile: apron, sawnAs: 'apron', depth: apron.thickness } as const;
  const turned = reachOf(apron.thickness, angle);
  const back = (mate: string): PartEnd => ({ joint: 'return', angle, mate });
  parts.push(
    {
      ...common,
      key: 'apron',
      role: 'apron',
      near: outside - 2 * turned,
      left: back('apron-return-left'),
      right: back('apron-return-right'),
      step: 4,
      reason: 'face as long as the casing outside to outside, returned at both ends',
    },
    {
      ...common,
      key: 'apron-return-left',
      role: 'return',
      near: 0,
      left: SQUARE,
      right: back('apron'),
      step: 5,
      reason: 'cut from the waste beside its piece',
    },
    {
      ...common,
      key: 'apron-return-right',
      role: 'return',
      near: 0,
      left: back('apron'),
      right: SQUARE,
      step: 5,
      reason: 'cut from the waste beside its piece',
    },
  );
  return parts;
}

/** All pieces around the openings whose casing is this trim's profile. */
export function openingParts(job: JobFile, rules: HouseRules, room: Room, trim: Trim): OpeningPart[] {
  const casing = job.profiles.find((profile) => profile.id === trim.profile);
  if (!casing) return [];
  return room.walls
    .filter((wall) => !trim.walls || trim.walls.includes(wall.id))
    .flatMap((wall) =>
      (wall.openings ?? [])
        .filter((opening) => opening.casing === trim.profile)
        .flatMap((opening) => [
          ...casingParts(trim, wall.id, opening, casing, rules),
          ...stoolAndApron(trim, wall.id, opening, casing, job, rules),
        ]),
    );
}
