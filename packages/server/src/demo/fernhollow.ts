import type { JobFile, Wall } from '@long-miter/core';
import { landing, study } from './fernhollow-upstairs.ts';

/**
 * Fernhollow Schoolhouse, an invented job: an old village school being turned into a reading room with a flat above.
 * All figures are made up; the bay's 135s are not quite 135, and two walls are longer than any stick.
 */

const corner = (degrees: number): NonNullable<Wall['corner']> => ({ reading: { as: 'wall-angle', degrees } });
const studs = (first: number): NonNullable<Wall['studs']> => ({ first, spacing: 16 });
const base = { id: 'base', profile: 'base', on: 'walls' } as const;
const casing = { id: 'casing', profile: 'casing', on: 'openings' } as const;
const crown = { id: 'crown', profile: 'crown', on: 'walls' } as const;

/** Five-sided bay in the west wall, doors from the hall and to the cloakroom, windows in the bay. */
const readingRoom: JobFile['rooms'][number] = {
  id: 'reading-room',
  name: 'Reading room',
  closed: true,
  ceilingHeight: 114,
  entry: { wall: 'w1', at: 60.5 },
  walls: [
    {
      id: 'w1',
      length: 236.375,
      corner: corner(90.2),
      studs: studs(9.25),
      openings: [
        {
          id: 'd1',
          kind: 'door',
          name: 'D1',
          word: 'to the hall',
          at: 44.5,
          width: 32,
          headHeight: 80.5,
          headLeft: 80.5,
          headRight: 80.8125,
          casing: 'casing',
        },
      ],
    },
    {
      id: 'w2',
      length: 168.25,
      corner: corner(89.8),
      studs: studs(12),
      openings: [
        {
          id: 'd2',
          kind: 'door',
          name: 'D2',
          word: 'to the cloakroom',
          at: 112.125,
          width: 30,
          headHeight: 80.5,
          casing: 'casing',
        },
      ],
    },
    { id: 'w3', length: 236.75, corner: corner(90.1), studs: studs(6.5) },
    {
      id: 'w4',
      length: 36.125,
      corner: { reading: { as: 'protractor', degrees: 90.1, side: 'outside' } },
      studs: studs(10),
    },
    { id: 'w5', length: 14.5, corner: { reading: { as: 'protractor', degrees: 134.6, side: 'inside' } } },
    {
      id: 'w6',
      length: 34.75,
      corner: { reading: { as: 'protractor', degrees: 135.4, side: 'inside' } },
      openings: [
        {
          id: 'n1',
          kind: 'window',
          name: 'W1',
          at: 5.5,
          width: 24,
          headHeight: 84,
          sillHeight: 22,
          casing: 'casing',
          picture: true,
        },
      ],
    },
    {
      id: 'w7',
      length: 47,
      corner: { reading: { as: 'legs', left: 12, right: 12, across: 22.17, side: 'inside' } },
      openings: [
        {
          id: 'n2',
          kind: 'window',
          name: 'W2',
          word: 'bay, middle',
          at: 5.5,
          width: 36,
          headHeight: 84,
          sillHeight: 22,
          casing: 'casing',
          stool: 'stool',
          apron: 'apron',
          nose: 0.875,
          hornLeft: 0.75,
          hornRight: 0.5,
          jambDepth: { topLeft: 1.125, topRight: 1.3125, bottomLeft: 1.25, bottomRight: 1.5 },
          kit: { jamb: 'jamb' },
        },
      ],
    },
    {
      id: 'w8',
      length: 34.5,
      corner: { reading: { as: 'deflection', degrees: 45.4, side: 'inside' } },
      openings: [
        {
          id: 'n3',
          kind: 'window',
          name: 'W3',
          at: 5.375,
          width: 24,
          headHeight: 84,
          sillHeight: 22,
          casing: 'casing',
          picture: true,
        },
      ],
    },
    { id: 'w9', length: 14.75, corner: { reading: { as: 'miter', degrees: 45.1, side: 'outside' } } },
    { id: 'w10', length: 36.25, corner: { reading: { as: 'assumed' } }, studs: studs(8) },
  ],
  ceilings: [
    {
      id: 'tray',
      name: 'tray',
      height: 122,
      walls: [
        { id: 'tray-1', length: 148.5, corner: corner(90) },
        { id: 'tray-2', length: 84.25, corner: corner(90) },
        { id: 'tray-3', length: 148.5, corner: corner(90) },
        { id: 'tray-4', length: 84.25, corner: corner(90) },
      ],
    },
  ],
  trims: [
    base,
    casing,
    { ...crown, backer: { profile: 'strip' } },
    { id: 'tray-crown', profile: 'tray-crown', on: 'ceiling:tray' },
  ],
};

/** Hall: an L with one outside corner, the front door and three more. */
const hall: JobFile['rooms'][number] = {
  id: 'hall',
  name: 'Hall',
  closed: true,
  ceilingHeight: 114,
  entry: { wall: 'w1', at: 33 },
  houseRules: {
    kit: { door: { plinth: 'plinth', plinthHeight: 7 }, cased: { plinth: 'plinth', plinthHeight: 7 } },
  },
  walls: [
    {
      id: 'w1',
      length: 74.5,
      corner: corner(90),
      studs: studs(7),
      openings: [
        {
          id: 'd1',
          kind: 'door',
          name: 'D3',
          word: 'front door',
          at: 15,
          width: 36,
          headHeight: 82,
          headLeft: 82,
          headRight: 81.875,
          casing: 'casing',
        },
      ],
    },
    {
      id: 'w2',
      length: 212.625,
      corner: corner(90.5),
      studs: studs(4.5),
      openings: [
        { id: 'd2', kind: 'door', name: 'D4', at: 150, width: 32, headHeight: 80.5, casing: 'casing' },
      ],
      // Set by an electrician who did not know the casing.
      points: [{ kind: 'switch', at: 147.5, width: 2.75 }],
    },
    {
      id: 'w3',
      length: 131,
      corner: corner(89.5),
      studs: studs(11),
      openings: [
        { id: 'd3', kind: 'cased', name: 'D5', at: 60.25, width: 48, headHeight: 84, casing: 'casing' },
      ],
    },
    { id: 'w4', length: 70.25, corner: corner(90), studs: studs(9) },
    {
      id: 'w5',
      length: 56.5,
      corner: {
        reading: { as: 'protractor', degrees: 90, side: 'outside' },
        form: { kind: 'bullnose', radius: 0.75, to: 'corner' },
      },
      studs: studs(5),
    },
    {
      id: 'w6',
      length: 143.5,
      corner: corner(90),
      studs: studs(3),
      openings: [
        {
          id: 'd4',
          kind: 'pocket',
          name: 'D6',
          word: 'broom store',
          at: 96,
          width: 28,
          headHeight: 80.5,
          casing: 'casing',
          pocketDepth: 0.625,
        },
      ],
    },
  ],
  trims: [base, casing, crown],
};

/** Cloakroom: a corner cut off under the stair leaves one acute and one obtuse corner. */
const cloakroom: JobFile['rooms'][number] = {
  id: 'cloakroom',
  name: 'Cloakroom',
  closed: true,
  ceilingHeight: 96,
  entry: { wall: 'w1', at: 26 },
  walls: [
    {
      id: 'w1',
      length: 96.5,
      corner: corner(90),
      studs: studs(8),
      ceilingHeights: [
        { at: 0, height: 96 },
        { at: 52, height: 95.875 },
        { at: 96.5, height: 95.8125 },
      ],
      openings: [
        {
          id: 'd1',
          kind: 'door',
          name: 'D7',
          at: 12,
          width: 28,
          headHeight: 80.5,
          casing: 'casing',
          measuredHead: 32.875,
        },
      ],
    },
    { id: 'w2', length: 60.125, corner: corner(90), studs: studs(6) },
    { id: 'w3', length: 62.375, corner: corner(119.6), studs: studs(5) },
    { id: 'w4', length: 69.25, corner: corner(60.4), studs: studs(10) },
  ],
  trims: [base, casing, crown],
};

/** What stands around the openings besides casing. */
const parts: JobFile['profiles'] = [
  {
    id: 'crown',
    name: 'Cove 3 5/8',
    use: 'crown',
    width: 3.625,
    thickness: 0.6875,
    springAngle: 38,
    material: 'mdf',
    finish: 'paint',
  },
  {
    id: 'tray-crown',
    name: 'Small cove 2 1/4',
    use: 'crown',
    width: 2.25,
    thickness: 0.5625,
    springAngle: 45,
    material: 'mdf',
    finish: 'paint',
  },
  {
    id: 'strip',
    name: 'Square strip 3/4',
    use: 'other',
    width: 0.75,
    thickness: 0.75,
    material: 'softwood',
    finish: 'paint',
  },
  {
    id: 'plinth',
    name: 'Plinth 2 1/4',
    use: 'other',
    width: 2.25,
    thickness: 1,
    material: 'softwood',
    finish: 'paint',
  },
  {
    id: 'stool',
    name: 'Stool 5 1/4',
    use: 'stool',
    width: 5.25,
    thickness: 1.0625,
    material: 'softwood',
    finish: 'paint',
  },
  {
    id: 'apron',
    name: 'Apron 2 3/4',
    use: 'apron',
    width: 2.75,
    thickness: 0.625,
    material: 'softwood',
    finish: 'paint',
  },
  {
    id: 'jamb',
    name: 'Jamb strip 3 1/2',
    use: 'other',
    width: 3.5,
    thickness: 0.75,
    material: 'softwood',
    finish: 'paint',
  },
];

/** Under the roof: low at the eaves, climbing 4 in 12 to the ridge wall. Its boards are down already. */
const slope = 18.4349488;
const loft: JobFile['rooms'][number] = {
  id: 'loft',
  name: 'Loft',
  closed: true,
  ceilingHeight: 78,
  entry: { wall: 'w3', at: 57 },
  walls: [
    { id: 'w1', length: 143.75, corner: corner(90), studs: studs(10), ceiling: { pitch: slope } },
    { id: 'w2', length: 120.25, corner: corner(90), studs: studs(6), ceiling: { rise: slope } },
    {
      id: 'w3',
      length: 143.75,
      corner: corner(90),
      studs: studs(10),
      ceiling: { pitch: -slope },
      ceilingHeights: [{ at: 0, height: 118.0625 }],
      openings: [
        {
          id: 'd1',
          kind: 'door',
          name: 'D8',
          word: 'stair',
          at: 41,
          width: 32,
          headHeight: 80.5,
          casing: 'casing',
        },
      ],
    },
    { id: 'w4', length: 120.25, corner: corner(90), studs: studs(8), ceiling: { rise: -slope } },
  ],
  trims: [casing, crown],
};

export const fernhollow: JobFile = {
  format: 'longmiter-job',
  version: 2,
  name: 'Fernhollow Schoolhouse',
  unit: 'in',
  houseRules: { crownOrder: 'round' },
  currency: 'USD',
  saws: [
    {
      id: 'driveway',
      name: 'Driveway saw',
      maxMiterLeft: 50,
      maxMiterRight: 60,
      maxBevelLeft: 48,
      maxBevelRight: 48,
      standingHeight: 6.5,
      flatWidth: 12,
      kerf: 0.125,
      calibration: { left: 0.4, right: 0.4 },
    },
    {
      id: 'bench',
      name: 'Bench saw indoors',
      maxMiterLeft: 45,
      maxMiterRight: 45,
      maxBevelLeft: 45,
      maxBevelRight: 45,
      standingHeight: 4,
      flatWidth: 8,
      kerf: 0.09375,
    },
  ],
  saw: 'driveway',
  profiles: [
    {
      id: 'base',
      name: 'Ogee base 5 1/4',
      use: 'base',
      width: 5.25,
      thickness: 0.625,
      material: 'mdf',
      finish: 'paint',
    },
    {
      id: 'casing',
      name: 'Plain casing 2 1/4',
      use: 'casing',
      width: 2.25,
      thickness: 0.6875,
      material: 'softwood',
      finish: 'paint',
    },
    ...parts,
  ],
  stock: [
    { id: 's96', profile: 'base', length: 96, price: 9.44 },
    { id: 's120', profile: 'base', length: 120, price: 11.8 },
    { id: 's144', profile: 'base', length: 144, price: 14.16 },
    { id: 's168', profile: 'base', length: 168, price: 16.52 },
    { id: 's192', profile: 'base', length: 192, price: 18.88 },
    { id: 'c168', profile: 'casing', length: 168, price: 14.7 },
    { id: 'c192', profile: 'casing', length: 192, price: 16.8 },
    { id: 'k144', profile: 'crown', length: 144, price: 21.6 },
    { id: 'k192', profile: 'crown', length: 192, price: 28.8 },
    { id: 'm96', profile: 'tray-crown', length: 96, price: 9.6 },
    { id: 'm192', profile: 'tray-crown', length: 192, price: 18.4 },
    { id: 'q96', profile: 'strip', length: 96, price: 2.6 },
    { id: 'p48', profile: 'plinth', length: 48, price: 9.2 },
    { id: 't72', profile: 'stool', length: 72, price: 21.6 },
    { id: 'a96', profile: 'apron', length: 96, price: 10.4 },
    { id: 'j96', profile: 'jamb', length: 96, price: 8.8 },
  ],
  rack: [
    { id: 'r1', profile: 'base', length: 61.5, label: 'Rack 1' },
    { id: 'r2', profile: 'base', length: 38, label: 'Rack 2' },
  ],
  rooms: [readingRoom, hall, cloakroom, study, landing, loft],
};
