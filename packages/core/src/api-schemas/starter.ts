import type { Unit } from '../measure/index.ts';
import type { JobSettings } from './jobs.ts';
import type { Survey } from './survey.ts';

/** A first set of profiles, stock and saw, so that a new job can be planned at once; all of it is meant to be changed. */
export function starterSettings(unit: Unit): JobSettings {
  const size = (inches: number, mm: number): number => (unit === 'in' ? inches : mm);
  const lengths = unit === 'in' ? [96, 120, 144, 168, 192] : [2400, 3000, 3600, 4200];
  // Prices by length, in smallest coins for each foot or 300 mm.
  const price = (length: number, each: number): number => Math.round((length / size(12, 300)) * each);
  return {
    houseRules: {},
    saws: [
      {
        id: 'saw',
        maxMiterLeft: 50,
        maxMiterRight: 60,
        maxBevelLeft: 48,
        maxBevelRight: 48,
        standingHeight: size(6.5, 165),
        flatWidth: size(12, 305),
        kerf: size(1 / 8, 3),
      },
    ],
    profiles: [
      {
        id: 'base',
        name: unit === 'in' ? 'Base 5 1/4' : 'Base 145',
        use: 'base',
        width: size(5.25, 145),
        thickness: size(5 / 8, 18),
        material: 'mdf',
        finish: 'paint',
      },
      {
        id: 'casing',
        name: unit === 'in' ? 'Casing 2 1/4' : 'Casing 69',
        use: 'casing',
        width: size(2.25, 69),
        thickness: size(11 / 16, 18),
        material: 'mdf',
        finish: 'paint',
      },
    ],
    stock: lengths.map((length, index) => ({
      id: `s${index + 1}`,
      profile: 'base',
      length,
      price: price(length, 118),
    })),
    rack: [],
    pins: [],
    choices: {},
  };
}

/** A room with nothing in it yet: it will close, and its base runs along every wall. */
export const emptySurvey = (settings: Pick<JobSettings, 'profiles'>): Survey => {
  const base = settings.profiles.find((profile) => profile.use === 'base');
  return { closed: true, walls: [], trims: base ? [{ id: 'base', profile: base.id, on: 'walls' }] : [] };
};
