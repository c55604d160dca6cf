import type { JobFile, Opening, Profile, Room, Wall } from '../../src/index.ts';

const profile = (id: string, use: Profile['use'], width: number, thickness: number): Profile => ({
  id,
  name: id,
  use,
  width,
  thickness,
  material: 'softwood',
  finish: 'paint',
});

/** The trims of the worked openings, in inches and in millimetres. */
export const PROFILES: Readonly<Record<'in' | 'mm', readonly Profile[]>> = {
  in: [
    profile('casing250', 'casing', 2.5, 0.75),
    profile('casing325', 'casing', 3.25, 0.75),
    profile('casing225', 'casing', 2.25, 0.75),
    profile('head4', 'casing', 4, 0.75),
    profile('band', 'back-band', 0.625, 1.125),
    profile('stool', 'stool', 5, 1.0625),
    profile('apron', 'apron', 3, 0.625),
    profile('strip', 'other', 3.5, 0.75),
    profile('block', 'other', 3, 1),
    profile('rail', 'chair-rail', 2.5, 0.75),
    profile('base', 'base', 5.25, 0.5),
  ],
  mm: [
    profile('casing70', 'casing', 70, 18),
    profile('head95', 'casing', 95, 22),
    profile('plinth', 'other', 85, 25),
    profile('cap', 'other', 40, 30),
    profile('skirting', 'base', 120, 18),
  ],
};

export interface OpeningJob {
  readonly unit?: 'in' | 'mm';
  readonly wall?: number;
  readonly openings: readonly Opening[];
  readonly rules?: JobFile['houseRules'];
  readonly trims?: Room['trims'];
  readonly room?: Partial<Room>;
  readonly walls?: readonly Wall[];
}

/** A job of one straight wall, or of the walls given, with openings; every profile for sale in one length. */
export function openingJob(of: OpeningJob): JobFile {
  const { unit = 'in', wall = 160, openings, rules, trims = [], room = {}, walls } = of;
  const casings = [...new Set(openings.flatMap((one) => one.casing ?? []))];
  const profiles = [...PROFILES[unit]];
  return {
    format: 'longmiter-job',
    version: 2,
    name: 'Openings',
    unit,
    ...(rules ? { houseRules: rules } : {}),
    profiles,
    stock: profiles.map(({ id }) => ({
      id: `s-${id}`,
      profile: id,
      length: unit === 'in' ? 192 : 4800,
      price: 10,
    })),
    rooms: [
      {
        id: 'room',
        name: 'Room',
        closed: false,
        walls: walls ? [...walls] : [{ id: 'w1', length: wall, openings: [...openings] }],
        trims: [
          ...casings.map((id) => ({ id: `around-${id}`, profile: id, on: 'openings' as const })),
          ...trims,
        ],
        ...room,
      },
    ],
  };
}

/** The worked window: stool with unequal horns and two notches, tapered jambs, apron. */
export const WINDOW: Opening = {
  id: 'w',
  kind: 'window',
  at: 50,
  width: 36.5,
  headHeight: 78.25,
  sillHeight: 31,
  casing: 'casing325',
  stool: 'stool',
  apron: 'apron',
  hornLeft: 0.75,
  hornRight: 0.5,
  nose: 0.875,
  jambDepth: { topLeft: 1.125, topRight: 1.3125, bottomLeft: 1.25, bottomRight: 1.5 },
  kit: { jamb: 'strip', lap: 'head' },
};
