import { inWords } from '../../test/helpers/in-words.ts';
import { describe, expect, test } from '@jest/globals';
import { planQuickly, type Piece } from '../plan/index.ts';
import type { JobFile } from '../job/index.ts';
import type { Shop, ShopPiece } from '../workshop/index.ts';
import { hangSheets, pieceLabels, stickLabels } from './index.ts';
import { handover } from '../lists/index.ts';

const job: JobFile = {
  format: 'longmiter-job',
  version: 2,
  name: 'Paper',
  unit: 'in',
  houseRules: { headMode: 'pre-cut' },
  saws: [],
  profiles: (['base', 'casing'] as const).map((use) => ({
    id: use,
    name: use === 'base' ? 'Base 5 1/4' : 'Casing 2 1/2',
    use,
    width: use === 'base' ? 5.25 : 2.5,
    thickness: 0.625,
    material: 'mdf',
    finish: 'paint',
  })),
  stock: ['base', 'casing'].map((profile) => ({ id: profile, profile, length: 168, price: 10 })),
  rooms: [
    {
      id: 'hall',
      name: 'Hall',
      closed: true,
      walls: [200, 60, 140, 60].map((length, index) => ({
        id: `w${index + 1}`,
        length,
        corner: { reading: { as: 'wall-angle', degrees: 90 } },
        studs: { first: 16, spacing: 16 },
        ...(index === 1
          ? {
              openings: [
                {
                  id: 'p1',
                  kind: 'pocket' as const,
                  at: 12,
                  width: 30,
                  headHeight: 80,
                  casing: 'casing',
                  name: 'D1',
                },
              ],
            }
          : {}),
      })),
      trims: [
        { id: 'base', profile: 'base', on: 'walls', splices: [{ wall: 'w1', at: 96 }] },
        { id: 'casing', profile: 'casing', on: 'openings' },
      ],
    },
  ],
};
const pieces = planQuickly(job).pieces;
const shopWith = (state: (piece: Piece) => ShopPiece['state']): Shop =>
  ({
    job,
    pieces: pieces.map((plan) => ({
      tag: plan.label,
      piece: plan.id,
      state: state(plan),
      near: plan.near,
      letter: 'B',
      cutEnds: [],
      plan,
    })),
    sticks: [
      { letter: 'A', profile: 'base', source: 'buy', from: '168', length: 168, remains: 12.5, open: true },
      { letter: 'B', profile: 'base', source: 'rack', from: 'R4', length: 96, remains: 0, open: true },
      { letter: 'C', profile: 'base', source: 'buy', from: '168', length: 168, remains: 30, open: false },
    ],
    rack: [{ label: 'R7', profile: 'base', length: 30 }],
  }) as unknown as Shop;

describe('labels', () => {
  test('one for each piece that is not on the wall, with its place, its length and what its code opens', () => {
    const shop = shopWith((piece) => (piece.order === 1 ? 'fixed' : 'cut'));
    const labels = pieceLabels(job, shop);
    expect(labels).toHaveLength(pieces.length - 1);
    const base = pieces.find((one) => one.wall === 'w3')!;
    expect(inWords(labels.find((one) => one.name === base.label))).toEqual({
      name: base.label,
      lines: ['Hall, wall 3', '140 in', 'Base 5 1/4, from B'],
      opens: { room: 'hall', tag: base.label },
    });
  });

  test('sticks that something is left of, and the rack', () => {
    expect(
      inWords(
        stickLabels(
          job,
          shopWith(() => 'cut'),
        ).map((one) => [one.name, ...one.lines]),
      ),
    ).toEqual([
      ['A', 'Base 5 1/4', '168 in', '12 1/2 left'],
      ['R7', 'Base 5 1/4', '30 in', 'rack'],
    ]);
  });
});

test('hang sheets go wall by wall, each piece with what the wall says', () => {
  const sheets = hangSheets(
    job,
    shopWith(() => 'cut'),
  );
  expect(inWords(sheets.map((one) => one.place))).toEqual(
    expect.arrayContaining(['Hall, wall 1', 'Hall, wall 4']),
  );
  const all = sheets.flatMap((one) => one.lines.map(({ line }) => line.piece.tag));
  expect([...all].sort()).toEqual(pieces.map((one) => one.label).sort());
  const wall3 = sheets.find((one) => inWords(one.place) === 'Hall, wall 3')!;
  expect(inWords(wall3.lines[0]!.notes).join('\n')).toContain('studs at 16 in');
});

test('handed over: what comes off, where it is spliced, what it is made of, what is left, what is not up', () => {
  const done = handover(
    job,
    shopWith((piece) => (piece.wall === 'w4' ? 'cut' : 'fixed')),
  );
  expect(done.comesOff).toHaveLength(1);
  expect(inWords(done.comesOff[0])).toContain('Hall, D1');
  expect(done.splices).toHaveLength(1);
  expect(inWords(done.splices[0])).toContain('96 in from the left end of the wall');
  expect(inWords(done.profiles.map((one) => one.name))).toEqual(['Base 5 1/4', 'Casing 2 1/2']);
  expect(inWords(done.profiles[0]!.what)).toBe('base, MDF, 5 1/4 by 5/8 in, paint');
  expect(inWords(done.rack)).toEqual(['R7: Base 5 1/4, 30 in']);
  expect(inWords(done.open)).toEqual(pieces.filter((one) => one.wall === 'w4').map((one) => one.label));
});
