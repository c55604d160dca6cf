import { inWords } from '../../test/helpers/in-words.ts';
import { expect, test } from '@jest/globals';
import { corner, crownJob } from '../../test/helpers/crown.ts';
import { clock } from '../../../optimiser/test/helpers/solver.ts';
import { planJob, type Piece } from '../plan/index.ts';
import { foldLog, tagsFor, type LoggedPlan } from '../workshop/index.ts';
import { glueUp } from './index.ts';

test('a turn piece at a bullnose is glued up with both its neighbours, each of them with it; the others by themselves', () => {
  const job = crownJob({
    unit: 'in',
    profile: { width: 4, springAngle: 45, material: 'mdf' },
    ceiling: 96,
    closed: false,
    walls: [
      {
        length: 60,
        corner: { ...corner(270), form: { kind: 'bullnose', radius: 0.75, to: 'corner' } },
      },
      { length: 50, corner: corner(90) },
      { length: 40 },
    ],
    rules: {},
    stock: 144,
  });
  const plan = planJob(job, { solver: undefined, seconds: 1, clock });
  if (!plan.ok) throw new Error(JSON.stringify(plan.issues[0]));
  const logged = plan.value as unknown as LoggedPlan;
  const shop = foldLog({
    job,
    issues: [
      { revision: 1, at: '2026-03-02T08:00:00Z', plan: logged, tags: tagsFor(logged, { pieces: [] }) },
    ],
    events: [],
  });
  const said = (piece: Piece): string => inWords(glueUp(job, shop, piece)).join(' ');
  const turn = plan.value.pieces.find((one) => one.role === 'transition')!;
  const walls = plan.value.pieces.filter((one) => one.role === 'wall');
  const at = (wall: string): Piece => walls.find((one) => one.wall === wall)!;
  expect(said(turn)).toContain(`with ${at('W1').label} and ${at('W2').label} before it is hung`);
  expect(said(turn)).toContain('a second coat');
  expect(said(at('W1'))).toContain(`with ${turn.label} before`);
  expect(said(at('W3'))).toBe('');
});
