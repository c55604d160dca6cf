import type { JobFile } from '@long-miter/core';

/** Rooms of Fernhollow's upper floor that have base and casing alone: a study with a window seat, and the landing of the stair. */

type Room = JobFile['rooms'][number];
type Wall = Room['walls'][number];

const corner = (degrees: number): NonNullable<Wall['corner']> => ({ reading: { as: 'wall-angle', degrees } });
const studs = (first: number): NonNullable<Wall['studs']> => ({ first, spacing: 16 });
const base = { id: 'base', profile: 'base', on: 'walls' } as const;
const casing = { id: 'casing', profile: 'casing', on: 'openings' } as const;

/** The seat fills the wall under the window: base stops at both its cheeks. */
export const study: Room = {
  id: 'study',
  name: 'Study',
  closed: true,
  ceilingHeight: 92,
  entry: { wall: 'w1', at: 27 },
  walls: [
    {
      id: 'w1',
      length: 132.5,
      corner: corner(90),
      studs: studs(11),
      openings: [
        {
          id: 'd1',
          kind: 'door',
          name: 'D9',
          word: 'to the landing',
          at: 12,
          width: 30,
          headHeight: 80.5,
          casing: 'casing',
        },
      ],
    },
    { id: 'w2', length: 118.25, corner: corner(90), studs: studs(7.5) },
    {
      id: 'w3',
      length: 132.5,
      corner: corner(90),
      studs: studs(9),
      openings: [
        {
          id: 'n1',
          kind: 'window',
          name: 'W5',
          word: 'over the seat',
          at: 45.25,
          width: 42,
          headHeight: 80.5,
          sillHeight: 24,
          casing: 'casing',
          picture: true,
        },
      ],
      interruptions: [{ id: 'i1', at: 34.5, width: 63.5, low: 0, high: 18, name: 'window seat' }],
    },
    {
      id: 'w4',
      length: 118.25,
      corner: corner(90),
      studs: studs(12),
      points: [{ kind: 'socket', at: 60, width: 3 }],
    },
  ],
  trims: [base, casing],
};

/** The stair comes up in its fourth side: the walls are a chain that closes nothing. */
export const landing: Room = {
  id: 'landing',
  name: 'Stair landing',
  closed: false,
  ceilingHeight: 92,
  entry: { wall: 'w1', at: 0 },
  walls: [
    { id: 'w1', length: 46.75, corner: corner(90.1), studs: studs(8) },
    {
      id: 'w2',
      length: 98.5,
      corner: corner(89.9),
      studs: studs(6),
      openings: [
        {
          id: 'd1',
          kind: 'door',
          name: 'D10',
          word: 'to the study',
          at: 34.25,
          width: 30,
          headHeight: 80.5,
          casing: 'casing',
        },
      ],
    },
    { id: 'w3', length: 39.25 },
  ],
  trims: [base, casing],
};
