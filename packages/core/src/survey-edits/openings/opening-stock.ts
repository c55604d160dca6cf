import type { JobSettings } from '../../api-schemas/index.ts';
import type { Kit, Profile } from '../../job/index.ts';
import type { Unit } from '../../measure/index.ts';
import { freeId } from '../edits.ts';
import { firstStock, sized, type NewProfile } from '../trims.ts';

/** Parts of an opening that have stock of their own. */
export type PartStock = 'stool' | 'apron' | 'band' | 'plinth' | 'block' | 'cap' | 'jamb';

/** Usual sizes, inches; what other profiles may be taken for it. */
const USUAL: Readonly<
  Record<PartStock, { name: string; use: Profile['use']; size: readonly [width: number, thickness: number] }>
> = {
  stool: { name: 'Stool', use: 'stool', size: [5.25, 1.0625] },
  apron: { name: 'Apron', use: 'apron', size: [2.5, 0.625] },
  band: { name: 'Back band', use: 'back-band', size: [0.625, 1.0625] },
  plinth: { name: 'Plinth', use: 'other', size: [2.75, 1] },
  block: { name: 'Corner block', use: 'other', size: [2.75, 1] },
  cap: { name: 'Cap', use: 'other', size: [1.5, 0.75] },
  jamb: { name: 'Jamb strip', use: 'other', size: [4.5, 0.75] },
};

/** Profiles that a part can be made of. An apron is often cut from casing. */
export const stockFor = (profiles: readonly Profile[], part: PartStock): Profile[] =>
  profiles.filter(({ use }) => use === USUAL[part].use || (part === 'apron' && use === 'casing'));

/** A first profile for a part, with its stock at an example price. */
export function newPartProfile(
  settings: Pick<JobSettings, 'profiles' | 'stock'>,
  part: PartStock,
  unit: Unit,
): NewProfile {
  const { name, use, size } = USUAL[part];
  const id = freeId(
    part,
    settings.profiles.map((profile) => profile.id).filter((one) => one.startsWith(part)),
  );
  const profile: Profile = {
    id,
    name,
    use,
    width: sized(size[0], unit),
    thickness: sized(size[1], unit),
    material: 'softwood',
    finish: 'paint',
  };
  return { profile, stock: firstStock(settings, id, unit) };
}

/** The keys of a kit that name such stock. */
export const KIT_STOCK = ['band', 'plinth', 'block', 'cap', 'jamb'] as const satisfies readonly (keyof Kit &
  PartStock)[];
