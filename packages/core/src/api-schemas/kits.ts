import { faultText } from '../messages/index.ts';
import { z } from 'zod';
import {
  KIT_PROFILES,
  kitSchema,
  openingSchema,
  profileSchema,
  type HouseRules,
  type Kit,
  type Opening,
  type Profile,
} from '../job/index.ts';
import { kitOf, type SideName } from '../openings/index.ts';
import type { Unit } from '../measure/index.ts';

/**
 * Kits of the Library: what an opening is dressed with, whatever job it stands in. A kit brings the profiles of its parts
 * with it; taken into a job it uses those that the job has of the same name and use, and adds the others.
 */

/** What else of an opening belongs to how it is dressed. */
const BESIDE = ['casing', 'stool', 'apron'] as const;

const text = z
  .string()
  .min(1, faultText('fault.must-not-be-empty'))
  .max(80, faultText('fault.must-have-at-most-80-characters'));

export const libraryKitSchema = z
  .strictObject({
    id: text,
    name: text,
    unit: z.enum(['in', 'mm'], faultText('fault.must-be-in-or-mm')),
    kind: openingSchema.shape.kind,
    kit: kitSchema.omit({ ripLeft: true, ripRight: true }),
    casing: openingSchema.shape.stool,
    stool: openingSchema.shape.stool,
    apron: openingSchema.shape.apron,
    picture: openingSchema.shape.picture,
    parts: z.array(profileSchema).max(20, faultText('fault.must-have-at-most-20-profiles')),
  })
  .superRefine((kit, context) => {
    const known = new Set(kit.parts.map((one) => one.id));
    if (known.size < kit.parts.length)
      context.addIssue({
        code: 'custom',
        path: ['parts'],
        message: faultText('fault.has-two-profiles-with-one-id'),
      });
    for (const key of KIT_PROFILES)
      if (kit.kit[key] !== undefined && !known.has(kit.kit[key]))
        context.addIssue({
          code: 'custom',
          path: ['kit', key],
          message: faultText('fault.is-no-profile-of-this-kit'),
        });
    for (const key of BESIDE)
      if (kit[key] !== undefined && !known.has(kit[key]))
        context.addIssue({
          code: 'custom',
          path: [key],
          message: faultText('fault.is-no-profile-of-this-kit'),
        });
  });
export type LibraryKit = z.infer<typeof libraryKitSchema>;

export const libraryKitsAnswer = z.array(libraryKitSchema);

const pairs = (kit: Pick<LibraryKit, 'kit' | (typeof BESIDE)[number]>): string[] => [
  ...KIT_PROFILES.flatMap((key) => kit.kit[key] ?? []),
  ...BESIDE.flatMap((key) => kit[key] ?? []),
];

/**
 * How an opening is dressed, as the Library keeps it: what it chose for itself and what the house rule gives it, so that it
 * looks the same under other rules. What is ripped to a width stays behind: that is this opening's wall.
 */
export function libraryKitOf(
  job: { readonly unit: Unit; readonly settings: { readonly profiles: readonly Profile[] } },
  rules: HouseRules,
  opening: Opening,
  side: SideName,
  { id, name }: Pick<LibraryKit, 'id' | 'name'>,
): LibraryKit {
  const { ripLeft: _left, ripRight: _right, ...kit } = kitOf(rules, opening, side);
  const casing = (side === 'this' ? opening.casing : opening.other?.casing) ?? undefined;
  // Stool and apron are set from the side that the opening is recorded in.
  const own: Partial<Opening> = side === 'this' ? opening : {};
  const made = {
    id,
    name,
    unit: job.unit,
    kind: opening.kind,
    kit,
    ...(casing === undefined ? {} : { casing }),
    ...(own.stool === undefined ? {} : { stool: own.stool }),
    ...(own.apron === undefined ? {} : { apron: own.apron }),
    ...(own.picture === undefined ? {} : { picture: own.picture }),
  };
  const used = new Set(pairs(made));
  return { ...made, parts: job.settings.profiles.filter((one) => used.has(one.id)) };
}

/** A kit as one job has it: what is set at the opening, and the profiles that the job has not yet. */
interface TakenKit {
  readonly kit: Kit;
  readonly casing: string | undefined;
  readonly stool: string | undefined;
  readonly apron: string | undefined;
  readonly picture: boolean | undefined;
  readonly added: readonly Profile[];
}

/**
 * A kit of the Library for a job in the same unit. A profile of the job of the same name and use is taken as it is there.
 * @param newId for a profile whose id another one has in the job
 */
export function takeKit(kit: LibraryKit, profiles: readonly Profile[], newId: () => string): TakenKit {
  const added: Profile[] = [];
  const here = new Map(
    kit.parts.map((part): [string, string] => {
      const same = profiles.find((one) => one.name === part.name && one.use === part.use);
      if (same) return [part.id, same.id];
      const id = profiles.some((one) => one.id === part.id) ? newId() : part.id;
      added.push({ ...part, id });
      return [part.id, id];
    }),
  );
  const of = (id: string | undefined): string | undefined => (id === undefined ? undefined : here.get(id));
  const named = Object.fromEntries(
    KIT_PROFILES.flatMap((key) => (kit.kit[key] ? [[key, of(kit.kit[key])]] : [])),
  );
  return {
    kit: { ...kit.kit, ...named },
    casing: of(kit.casing),
    stool: of(kit.stool),
    apron: of(kit.apron),
    picture: kit.picture,
    added,
  };
}
