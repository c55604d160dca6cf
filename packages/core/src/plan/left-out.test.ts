import { describe, expect, it } from '@jest/globals';
import { simpleJob } from '../../test/helpers/jobs.ts';
import { clock } from '../../../optimiser/test/helpers/solver.ts';
import type { JobFile, Trim, Wall } from '../job/index.ts';
import { readerOf } from '../measure/index.ts';
import { formatAll } from '../messages/index.ts';
import { planJob, planQuickly, type PlanFile } from './index.ts';

const planOf = (job: JobFile): PlanFile => {
  const planned = planJob(job, { solver: undefined, seconds: 1, clock });
  if (!planned.ok) throw new Error(JSON.stringify(planned.issues[0]));
  return planned.value;
};

describe('what cannot be planned, or not in one piece', () => {
  it('leaves crown on a sloping ceiling out of the plan, says so, and plans the rest', () => {
    const crown = {
      id: 'crown',
      name: 'Cove',
      use: 'crown' as const,
      width: 3.625,
      thickness: 0.5625,
      springAngle: 38,
      material: 'softwood' as const,
      finish: 'paint' as const,
    };
    const flat = simpleJob([{ length: 120 }, { length: 96 }, { length: 120 }, { length: 96 }], {
      room: { ceilingHeight: 96 },
    });
    const [room] = flat.rooms;
    const job = (rise: number, walls?: string[]): JobFile => ({
      ...flat,
      profiles: [...flat.profiles, crown],
      stock: [...flat.stock, { profile: 'crown', length: 144, price: 30 }],
      rooms: [
        {
          ...room!,
          walls: room!.walls.map((wall, k) =>
            k === 1 && rise !== 0 ? { ...wall, ceiling: { rise } } : wall,
          ),
          trims: [...room!.trims, { id: 'c', profile: 'crown', on: 'walls', ...(walls ? { walls } : {}) }],
        },
      ],
    });
    const plan = planOf(job(12));
    expect(formatAll(plan.refused, readerOf('us'))).toEqual([
      {
        profile: 'crown',
        room: 'room',
        trim: 'c',
        code: 'sloped-ceiling',
        text: 'Room: Cove is not planned, the slopes there are not those of one ceiling: the level wall needs the pitch with which the other one rises (wall 1 and 2)',
      },
    ]);
    expect(new Set(plan.pieces.map((piece) => piece.trim))).toEqual(new Set(['base']));
    expect(plan.watchOuts.map((one) => one.code)).toContain('sloped-ceiling');
    expect(planQuickly(job(12)).watchOuts.map((one) => one.code)).toContain('sloped-ceiling');
    // Without that wall, and on a level ceiling, it is planned.
    expect(planOf(job(12, ['w1', 'w3', 'w4'])).refused).toEqual([]);
    expect(planOf(job(0)).pieces.filter((piece) => piece.trim === 'c')).toHaveLength(4);
  });

  it('asks for a splice behind pipes, unless one is there or the radiator comes off', () => {
    const job = (points: Wall['points'], splices?: Trim['splices']): JobFile => {
      const plain = simpleJob([{ length: 150 }, { length: 96 }, { length: 150 }, { length: 96 }]);
      const [room] = plain.rooms;
      return {
        ...plain,
        rooms: [
          {
            ...room!,
            walls: room!.walls.map((wall, k) => (k === 0 ? { ...wall, points } : wall)),
            trims: room!.trims.map((trim) => ({ ...trim, ...(splices ? { splices } : {}) })),
          },
        ],
      };
    };
    const asked = (one: JobFile) =>
      planQuickly(one)
        .watchOuts.filter((watch) => watch.code === 'pipes-splice')
        .map((watch) => watch.data['at']);
    const pair = [
      { kind: 'pipe' as const, at: 60 },
      { kind: 'pipe' as const, at: 64 },
    ];
    // A pair is one place, its middle.
    expect(asked(job(pair))).toEqual([62]);
    expect(asked(job([...pair, { kind: 'pipe', at: 110 }]))).toEqual([62, 110]);
    expect(asked(job([{ kind: 'socket', at: 60 }]))).toEqual([]);
    expect(asked(job(pair, [{ wall: 'w1', at: 62 }]))).toEqual([]);
    expect(asked(job(pair.map((one) => ({ ...one, comesOff: true }))))).toEqual([]);
  });
});
