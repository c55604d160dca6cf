import type { JobFile, Room } from '@long-miter/core';
import { drawn } from './drawn.ts';

/** Gable Row, 24 flats: an invented job of six unit types, each four times, measured one by one: no two are quite alike. */

const TYPES = [
  { living: [168, 142], bedroom: [132, 118], hall: [48, 156] },
  { living: [186, 150], bedroom: [126, 120], hall: [44, 132] },
  { living: [204, 138], bedroom: [140, 122], hall: [52, 118] },
  { living: [162, 162], bedroom: [118, 116], hall: [46, 140] },
  { living: [222, 146], bedroom: [144, 130], hall: [50, 164] },
  { living: [176, 128], bedroom: [122, 108], hall: [42, 96] },
] as const;

/** By how much a corner stands off where its type has it, the same each time; inches. */
const off = (flat: number, corner: number): number => (((flat * 7 + corner * 5) % 9) - 4) / 8;

const roomOf = (flat: number, name: string, [wide, deep]: readonly [number, number], door: number): Room => {
  const room = drawn(`f${flat}-${name}`, `${String(flat).padStart(2, '0')} ${name}`, 'in', [
    [off(flat, 0), off(flat, 1)],
    [off(flat, 2), deep + off(flat, 3)],
    [wide + off(flat, 4), deep + off(flat, 5)],
    [wide + off(flat, 6), off(flat, 7)],
  ]);
  // Drawn from its lower left corner upwards: the second wall is the broad one.
  return {
    ...room,
    walls: room.walls.map((wall, index) =>
      index === 1
        ? {
            ...wall,
            openings: [{ id: 'd1', kind: 'door', at: door, width: 30, headHeight: 80, casing: 'casing' }],
          }
        : wall,
    ),
    trims: [
      { id: 'base', profile: 'base', on: 'walls' },
      { id: 'casing', profile: 'casing', on: 'openings' },
    ],
  };
};

export const gableRow: JobFile = {
  format: 'longmiter-job',
  version: 2,
  name: 'Gable Row, 24 flats',
  unit: 'in',
  currency: 'USD',
  profiles: [
    {
      id: 'base',
      name: 'Square base 4 1/2',
      use: 'base',
      width: 4.5,
      thickness: 0.5625,
      material: 'mdf',
      finish: 'paint',
    },
    {
      id: 'casing',
      name: 'Square casing 2 1/2',
      use: 'casing',
      width: 2.5,
      thickness: 0.625,
      material: 'mdf',
      finish: 'paint',
    },
  ],
  stock: [
    { id: 'b144', profile: 'base', length: 144, price: 14.4 },
    { id: 'b192', profile: 'base', length: 192, price: 18.9 },
    { id: 'c168', profile: 'casing', length: 168, price: 12.6 },
  ],
  rooms: Array.from({ length: 24 }, (_, index) => {
    const type = TYPES[index % TYPES.length]!;
    return [
      roomOf(index + 1, 'living', type.living, 14),
      roomOf(index + 1, 'bedroom', type.bedroom, 70),
      roomOf(index + 1, 'hall', type.hall, 6),
    ];
  }).flat(),
};
