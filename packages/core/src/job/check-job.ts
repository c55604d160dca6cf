import { pointer, type Issue } from '../base/index.ts';
import { checkRoom, repeatedIds } from './check-room.ts';
import type { JobFile, Profile, Room } from './schema.ts';
import { traitsOf } from './traits.ts';

function checkProfile(profile: Profile, at: string): Issue[] {
  if (!traitsOf(profile).sprung) return [];
  const sized =
    profile.springAngle !== undefined || (profile.projection !== undefined && profile.drop !== undefined);
  return sized
    ? []
    : [
        {
          at: `${at}/springAngle`,
          text: 'is missing: crown needs its spring angle, or its projection and drop',
        },
      ];
}

function checkProfilesUsed(room: Room, profiles: ReadonlyMap<string, Profile>, at: string): Issue[] {
  const issues: Issue[] = [];
  const known = (id: string | null | undefined, where: string): void => {
    if (id !== null && id !== undefined && !profiles.has(id))
      issues.push({ at: where, text: `there is no profile "${id}" in this job` });
  };
  room.walls.forEach((wall, w) =>
    (wall.openings ?? []).forEach((opening, o) => {
      const here = `${at}${pointer('walls', w, 'openings', o)}`;
      known(opening.casing, `${here}/casing`);
      known(opening.stool, `${here}/stool`);
      known(opening.apron, `${here}/apron`);
    }),
  );
  room.trims.forEach((trim, t) => {
    const here = `${at}${pointer('trims', t)}`;
    known(trim.profile, `${here}/profile`);
    const profile = profiles.get(trim.profile);
    const traits = profile && traitsOf(profile);
    if (trim.on === 'walls' && traits?.atCeiling && room.ceilingHeight === undefined)
      issues.push({ at: `${at}/ceilingHeight`, text: 'is missing: crown needs the height of the ceiling' });
    if (trim.on === 'walls' && trim.height === undefined && traits?.needsHeight)
      issues.push({
        at: `${here}/height`,
        text: 'is missing: a rail needs the height of its lower edge above the floor',
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
    ...repeatedIds(named(job.stock), '/stock', 'line of stock'),
    ...repeatedIds(named(job.rack ?? []), '/rack', 'piece of the rack'),
  ];
  const walked = new Set(job.rooms.map((room) => room.id));
  (job.unwalked ?? []).forEach((room, index) => {
    if (walked.has(room.id))
      issues.push({
        at: pointer('unwalked', index, 'id'),
        text: `"${room.id}" is used by another room: each needs its own id`,
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
    issues.push({ at: '/saw', text: `there is no saw "${job.saw}" in this job` });
  job.profiles.forEach((profile, index) => issues.push(...checkProfile(profile, pointer('profiles', index))));
  const trim = job.houseRules?.endTrim ?? 0;
  job.stock.forEach((item, index) => {
    if (!profiles.has(item.profile))
      issues.push({
        at: pointer('stock', index, 'profile'),
        text: `there is no profile "${item.profile}" in this job`,
      });
    if (item.length <= 2 * trim)
      issues.push({
        at: pointer('stock', index, 'length'),
        text: 'leaves nothing once both ends are trimmed',
      });
  });
  (job.rack ?? []).forEach((item, index) => {
    if (!profiles.has(item.profile))
      issues.push({
        at: pointer('rack', index, 'profile'),
        text: `there is no profile "${item.profile}" in this job`,
      });
  });
  job.rooms.forEach((room, index) => {
    const at = pointer('rooms', index);
    issues.push(...checkRoom(room, job.unit, at), ...checkProfilesUsed(room, profiles, at));
  });
  return issues;
}
