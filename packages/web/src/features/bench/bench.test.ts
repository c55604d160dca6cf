import { describe, expect, it } from '@jest/globals';
import { benchSheets, type Survey } from '@long-miter/core';
import { makeStore } from '../../session/store.ts';
import { applySend, placeName } from './apply-send.ts';
import { lengthFieldsOf } from './length-fields.ts';
import { figureTyped, roundPlayed, unitPicked } from '../../session/slices/bench-slice.ts';

const survey: Survey = {
  closed: true,
  walls: [
    {
      id: 'w1',
      length: 120,
      corner: { reading: { as: 'assumed' } },
      openings: [{ id: 'd1', kind: 'door', at: 20, width: 32, headHeight: 80 }],
    },
    { id: 'w2', length: 96, corner: { reading: { as: 'assumed' } } },
    { id: 'w3', length: 120 },
  ],
  trims: [{ id: 't1', profile: 'p', on: 'walls' }],
};

describe('results of the Bench in a room', () => {
  it('puts a reading at the corner it was sent to, as it was read', () => {
    const reading = { as: 'protractor', degrees: 128.5, side: 'outside' } as const;
    const send = { to: 'corner', what: '', reading, typed: '128.5' } as const;
    expect(applySend(survey, send, { wall: 1 }).walls.map((wall) => wall.corner?.reading)).toEqual([
      { as: 'assumed' },
      reading,
      undefined,
    ]);
    expect(placeName(survey, send, { wall: 1 })).toBe('the corner after wall 2');
  });
  it('makes a corner a bullnose, lets it lean, pins its joint and its splice', () => {
    const form = { kind: 'bullnose', radius: 0.75 } as const;
    expect(applySend(survey, { to: 'corner-form', what: '', form }, { wall: 0 }).walls[0]!.corner).toEqual({
      reading: { as: 'assumed' },
      form,
    });
    const leaning = applySend(survey, { to: 'corner-lean', what: '', lean: 1 }, { wall: 0 });
    expect(leaning.walls[0]!.corner!.lean).toBe(1);
    // Plumb again: no key is left behind.
    expect(applySend(leaning, { to: 'corner-lean', what: '', lean: 0 }, { wall: 0 })).toEqual(survey);
    expect(
      applySend(survey, { to: 'joint', what: '', pin: 'miter' }, { wall: 1, trim: 't1' }).walls[1]!.corner!
        .joint,
    ).toEqual({ t1: 'miter' });
    expect(
      applySend(survey, { to: 'splice', what: '', at: 60 }, { wall: 0, trim: 't1' }).trims[0]!.splices,
    ).toEqual([{ wall: 'w1', at: 60 }]);
  });
  it('changes the opening and nothing else', () => {
    const send = {
      to: 'opening',
      what: '',
      change: { width: 30.5, headLeft: 80.5, headRight: 80.75 },
    } as const;
    const next = applySend(survey, send, { wall: 0, opening: 'd1' });
    expect(next.walls[0]!.openings![0]).toEqual({
      id: 'd1',
      kind: 'door',
      at: 20,
      width: 30.5,
      headHeight: 80,
      headLeft: 80.5,
      headRight: 80.75,
    });
    expect(next.walls.slice(1)).toEqual(survey.walls.slice(1));
    expect(placeName(survey, send, { wall: 0, opening: 'd1' })).toBe('the door in wall 1');
  });
  it('leaves the room alone where the place lacks what the result needs', () => {
    expect(applySend(survey, { to: 'joint', what: '', pin: 'miter' }, { wall: 1 })).toBe(survey);
    expect(applySend(survey, { to: 'corner-lean', what: '', lean: 1 }, { wall: 9 })).toBe(survey);
  });
});

describe('what was typed on the Bench', () => {
  it('keeps its meaning in the other system: bare lengths get their unit, angles and metric texts stay', () => {
    const store = makeStore();
    const lengths = lengthFieldsOf(benchSheets);
    for (const [key, text] of [
      ['wall', '120'],
      ['t', '18 mm'],
      ['leftA', '90'],
    ])
      store.dispatch(figureTyped({ sheet: 'piece', key: key!, text: text! }));
    store.dispatch(unitPicked({ unit: 'mm', lengths }));
    expect(store.getState().bench.texts['piece']).toEqual({ wall: '120 in', t: '18 mm', leftA: '90' });
    store.dispatch(unitPicked({ unit: 'in', lengths }));
    expect(store.getState().bench.texts['piece']!['wall']).toBe('120 in');
  });
  it('counts practice by kind of corner', () => {
    const store = makeStore();
    store.dispatch(roundPlayed({ kind: 'bay', tight: true }));
    store.dispatch(roundPlayed({ kind: 'bay', tight: false }));
    expect(store.getState().bench.score).toEqual({ bay: { tried: 2, tight: 1 } });
  });
});
