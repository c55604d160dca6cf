import type { JobFile } from '@long-miter/core';
import { drawn } from './drawn.ts';

/** Quay Street Flat 3, an invented job in millimetres and in the words used there: skirting, architrave, pipes, scribed corners. */

const door = (id: string, name: string, at: number, width = 762) =>
  ({ id, kind: 'door', name, at, width, headHeight: 1981, casing: 'arch' }) as const;
type Door = ReturnType<typeof door>;
const runs = [
  { id: 'skirting', profile: 'skirting', on: 'walls' },
  { id: 'arch', profile: 'arch', on: 'openings' },
] as const;

/** Doors by their room and wall. */
const DOORS: Readonly<Record<string, Readonly<Record<string, Door[]>>>> = {
  living: { w1: [door('d1', 'D1', 260)] },
  hall: {
    w4: [door('d2', 'D2', 190, 838)],
    w1: [door('d3', 'D3', 640), door('d4', 'D4', 2710)],
    w3: [door('d5', 'D5', 1905)],
  },
  bedroom: { w2: [door('d6', 'D6', 2480)] },
  'box-room': { w1: [door('d7', 'D7', 1140, 686)] },
};

export const quayStreet: JobFile = {
  format: 'longmiter-job',
  version: 2,
  name: 'Quay Street Flat 3',
  unit: 'mm',
  currency: 'GBP',
  vocabulary: 'uk',
  profiles: [
    {
      id: 'skirting',
      name: 'Torus skirting 145',
      use: 'base',
      width: 145,
      thickness: 18,
      material: 'mdf',
      finish: 'paint',
    },
    {
      id: 'arch',
      name: 'Torus architrave 68',
      use: 'casing',
      width: 68,
      thickness: 18,
      material: 'mdf',
      finish: 'paint',
    },
  ],
  stock: [
    { id: 'sk30', profile: 'skirting', length: 3050, price: 11.4 },
    { id: 'sk44', profile: 'skirting', length: 4400, price: 16.2 },
    { id: 'ar21', profile: 'arch', length: 2180, price: 6.9 },
    { id: 'ar44', profile: 'arch', length: 4400, price: 13.1 },
  ],
  rooms: [
    {
      ...drawn('living', 'Living room', 'mm', [
        [0, 0],
        [12, 4208],
        [3488, 4226],
        [3479, 2935],
        [3133, 2931],
        [3144, 1299],
        [3490, 1304],
        [3484, -9],
      ]),
      entry: { wall: 'w1', at: 640 },
    },
    drawn('hall', 'Hall', 'mm', [
      [0, 0],
      [-4, 4618],
      [1176, 4625],
      [1183, 3],
    ]),
    drawn('bedroom', 'Bedroom', 'mm', [
      [0, 0],
      [21, 2950],
      [3385, 2927],
      [3391, -24],
    ]),
    drawn('box-room', 'Box room', 'mm', [
      [0, 0],
      [0, 2010],
      [1750, 2013],
      [2121, 2],
    ]),
  ].map(({ walls, ...room }) => ({
    ...room,
    ceilingHeight: 2510,
    walls: walls.map((wall) => {
      const openings = DOORS[room.id]?.[wall.id];
      return openings ? { ...wall, openings } : wall;
    }),
    trims: [...runs],
  })),
};
