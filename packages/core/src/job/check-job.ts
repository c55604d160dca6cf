import { message, angleFigure, listOf, lengthFigure, type Words } from '../messages/index.ts';
import { atan2Deg, cosDeg, pointer, sinDeg, type Issue } from '../base/index.ts';
import { type Unit } from '../measure/index.ts';
import { checkRoom, repeatedIds } from './check-room.ts';
import type { JobFile, Kit, Profile, Room } from './schema.ts';
import { traitsOf } from './traits.ts';

/** How far two figures of one crown may be apart: what a tape and a square read apart. */
const CROWN_APART: Readonly<Record<Unit, number>> = { in: 1 / 16, mm: 1.5 };
const SPRING_APART = 1;

function checkProfile(profile: Profile, at: string, unit: Unit): Issue[] {
  if (!traitsOf(profile).sprung) return [];
  const { width, springAngle, projection, drop } = profile;
  if (springAngle === undefined && (projection === undefined || drop === undefined))
    return [
      {
        at: `${at}/springAngle`,
        text: message('fault.is-missing-crown-needs-its-spring'),
      },
    ];
  return contradictions({ width, springAngle, projection, drop }, at, unit);
}

/** Any two figures of a crown give the others: all that were entered must agree. Source: geometry notes, section 6. */
function contradictions(
  {
    width,
    springAngle,
    projection,
    drop,
  }: {
    width: number;
    springAngle: number | undefined;
    projection: number | undefined;
    drop: number | undefined;
  },
  at: string,
  unit: Unit,
): Issue[] {
  const apart = CROWN_APART[unit];
  const spring = springAngle ?? atan2Deg(projection!, drop!);
  const length = (value: number): Words => lengthFigure(value, unit);
  const readings = listOf(
    [
      message('fault.width', { width: length(width) }),
      ...(springAngle === undefined
        ? []
        : [message('fault.spring', { springAngle: angleFigure(springAngle) })]),
      ...(projection === undefined ? [] : [message('fault.projection', { projection: length(projection) })]),
      ...(drop === undefined ? [] : [message('fault.drop', { drop: length(drop) })]),
    ],
    ', ',
  );
  const off = (entered: number | undefined, given: number): boolean =>
    entered !== undefined && Math.abs(entered - given) > apart;
  const both = projection !== undefined && drop !== undefined;
  const wrong =
    off(projection, width * sinDeg(spring)) ||
    off(drop, width * cosDeg(spring)) ||
    (both && Math.abs(atan2Deg(projection, drop) - spring) > SPRING_APART);
  return wrong
    ? [
        {
          at: `${at}/springAngle`,
          text: message('fault.does-not-agree-with-the-other', {
            readings,
            width: length(width),
            spring: angleFigure(spring),
            projection: length(width * sinDeg(spring)),
            drop: length(width * cosDeg(spring)),
          }),
        },
      ]
    : [];
}

/** The parts of a kit that are profiles. */
export const KIT_PROFILES = ['leg', 'head', 'sill', 'cap', 'plinth', 'block', 'band', 'jamb'] as const;

function checkProfilesUsed(room: Room, profiles: ReadonlyMap<string, Profile>, at: string): Issue[] {
  const issues: Issue[] = [];
  const known = (id: string | null | undefined, where: string): void => {
    if (id !== null && id !== undefined && !profiles.has(id))
      issues.push({ at: where, text: message('fault.there-is-no-profile-in-this', { id }) });
  };
  const knownInKit = (kit: Kit | undefined, where: string): void =>
    KIT_PROFILES.forEach((key) => known(kit?.[key], `${where}/${key}`));
  Object.entries(room.houseRules?.kit ?? {}).forEach(([kind, kit]) =>
    knownInKit(kit, `${at}/houseRules/kit/${kind}`),
  );
  room.walls.forEach((wall, w) =>
    (wall.openings ?? []).forEach((opening, o) => {
      const here = `${at}${pointer('walls', w, 'openings', o)}`;
      known(opening.casing, `${here}/casing`);
      known(opening.stool, `${here}/stool`);
      known(opening.apron, `${here}/apron`);
      known(opening.other?.casing, `${here}/other/casing`);
      knownInKit(opening.kit, `${here}/kit`);
      knownInKit(opening.other?.kit, `${here}/other/kit`);
    }),
  );
  room.trims.forEach((trim, t) => {
    const here = `${at}${pointer('trims', t)}`;
    known(trim.profile, `${here}/profile`);
    known(trim.backer?.profile, `${here}/backer/profile`);
    const profile = profiles.get(trim.profile);
    const traits = profile && traitsOf(profile);
    if (trim.on === 'walls' && traits?.atCeiling && room.ceilingHeight === undefined)
      issues.push({ at: `${at}/ceilingHeight`, text: message('fault.is-missing-crown-needs-the-height') });
    if (trim.on === 'walls' && trim.height === undefined && traits?.needsHeight)
      issues.push({
        at: `${here}/height`,
        text: message('fault.is-missing-a-rail-needs-the'),
      });
  });
  return issues;
}

/** Every fault in a job of the right shape: ids, references, and what no room can be. */
export function checkJob(job: JobFile): Issue[] {
  const profiles = new Map(job.profiles.map((profile) => [profile.id, profile]));
  const named = (list: readonly { readonly id?: string | undefined }[]): { id: string }[] =>
    list.map(({ id }, index) => ({ id: id ?? `\u0000${index}` }));
  const issues = [
    ...repeatedIds(job.profiles, '/profiles', 'profile'),
    ...repeatedIds(job.rooms, '/rooms', 'room'),
    ...repeatedIds(job.saws ?? [], '/saws', 'saw'),
    ...repeatedIds(named(job.stock), '/stock', message('fault.line-of-stock')),
    ...repeatedIds(named(job.rack ?? []), '/rack', message('fault.piece-of-the-rack')),
  ];
  const walked = new Set(job.rooms.map((room) => room.id));
  (job.unwalked ?? []).forEach((room, index) => {
    if (walked.has(room.id))
      issues.push({
        at: pointer('unwalked', index, 'id'),
        text: message('fault.is-used-by-another-room-each', { id: room.id }),
      });
    walked.add(room.id);
    issues.push(
      ...checkProfilesUsed(
        { ...room, ceilingHeight: room.ceilingHeight ?? 1 },
        profiles,
        pointer('unwalked', index),
      ),
    );
  });
  if (job.saw !== undefined && !(job.saws ?? []).some((saw) => saw.id === job.saw))
    issues.push({ at: '/saw', text: message('fault.there-is-no-saw-in-this', { saw: job.saw }) });
  job.profiles.forEach((profile, index) =>
    issues.push(...checkProfile(profile, pointer('profiles', index), job.unit)),
  );
  Object.entries(job.houseRules?.kit ?? {}).forEach(([kind, kit]) =>
    KIT_PROFILES.forEach((key) => {
      const named = kit[key];
      if (named !== undefined && !profiles.has(named))
        issues.push({
          at: pointer('houseRules', 'kit', kind, key),
          text: message('fault.there-is-no-profile-in-this-2', { named }),
        });
    }),
  );
  const trim = job.houseRules?.endTrim ?? 0;
  job.stock.forEach((item, index) => {
    if (!profiles.has(item.profile))
      issues.push({
        at: pointer('stock', index, 'profile'),
        text: message('fault.there-is-no-profile-in-this-3', { profile: item.profile }),
      });
    if (item.length <= 2 * trim)
      issues.push({
        at: pointer('stock', index, 'length'),
        text: message('fault.leaves-nothing-once-both-ends-are'),
      });
  });
  (job.rack ?? []).forEach((item, index) => {
    if (!profiles.has(item.profile))
      issues.push({
        at: pointer('rack', index, 'profile'),
        text: message('fault.there-is-no-profile-in-this-3', { profile: item.profile }),
      });
  });
  job.rooms.forEach((room, index) => {
    const at = pointer('rooms', index);
    issues.push(...checkRoom(room, job.unit, at), ...checkProfilesUsed(room, profiles, at));
  });
  return issues;
}
