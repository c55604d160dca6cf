import { plainText } from '../../measure/index.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { simpleJob } from '../../../test/helpers/jobs.ts';
import { clock } from '../../../../optimiser/test/helpers/solver.ts';
import { kerfOf, sawOf, type HouseRulesInput, type JobFile, type StickPin } from '../../job/index.ts';
import { cutList, cutSteps } from '../../lists/index.ts';
import { planJob, publishedPlan, type PlanFile } from '../index.ts';

const planOf = (job: JobFile, pins: readonly StickPin[] = []): PlanFile => {
  const planned = planJob(job, { solver: undefined, seconds: 1, clock, pins });
  if (!planned.ok) throw new Error(JSON.stringify(planned.issues[0]));
  return planned.value;
};
const room = (lengths: readonly number[], houseRules: HouseRulesInput, stock: JobFile['stock']): JobFile =>
  simpleJob(
    lengths.map((length) => ({ length, angle: 90 })),
    { closed: false, job: { houseRules, stock } },
  );

describe('the marks of a stick', () => {
  // Square-ended pieces of walls that stand by themselves: every figure can be added up by hand.
  const odd = fc.integer({ min: 200, max: 1200 }).map((x) => x / 31);
  test('are tape marks, each within one of its figure, and together never more than the stick', () => {
    fc.assert(
      fc.property(
        fc.array(odd, { minLength: 2, maxLength: 6 }),
        fc.constantFrom(0, 1 / 32, 1 / 8),
        (lengths, cutMargin) => {
          const total = lengths.reduce((sum, length) => sum + length, 0);
          // A stick that all of them just fill: nothing to spare but the margin.
          const kerf = kerfOf(sawOf({}), 'in');
          const long = Math.ceil((total + lengths.length * (kerf + cutMargin) + 2 / 16) * 64) / 64;
          const job = room(lengths, { cutMargin, insideCorner: 'butt' }, [
            { id: 's', profile: 'base', length: long, price: 1 },
          ]);
          const plan = planOf(job);
          for (const stick of plan.sticks) {
            expect(stick.margin).toBeCloseTo(stick.cuts.length * cutMargin, 12);
            for (const figure of stick.marked) expect((figure * 16) % 1).toBe(0);
            const steps = cutSteps(job, plan).filter((step) => step.stick.id === stick.id);
            expect(steps.map((step) => step.mark.length)).toEqual(stick.marked);
            // What is printed is what is set: no "a hair more" is left.
            for (const { mark } of steps) expect(plainText(mark.text)).not.toMatch(/[+−]/);
            const pieces = stick.cuts.map((cut) => plan.pieces.find((one) => one.id === cut.piece)!);
            const right = steps.filter((step) => step.end === 'right');
            right.forEach((step, k) => {
              const { near, left, right: end } = pieces[k]!;
              const long = step.mark.line === 'near' ? near : near + left.reach + end.reach;
              expect(Math.abs(step.mark.length - long)).toBeLessThanOrEqual(1 / 16 + 1e-9);
            });
            // Marks and kerfs one after another, and the trim of the last end.
            const marks = stick.marked.reduce((sum, figure) => sum + figure, 0);
            const cuts = steps.filter((step) => step.end === 'right' && !step.last).length;
            // Cuts nearer than a thousandth are one.
            expect(marks + cuts * kerf + 1 / 16).toBeLessThan(stick.length + 0.006);
            expect(stick.leftover).toBeCloseTo(Math.max(0, stick.length - marks - (cuts + 1) * kerf), 2);
          }
        },
      ),
      { seed: 5, numRuns: 60 },
    );
  });

  test('are in the plan file, and the list keeps the planned figure', () => {
    const job = room([47.03, 30], {}, [{ id: 's', profile: 'base', length: 96, price: 1 }]);
    const plan = planOf(job);
    const [stick] = (publishedPlan(plan) as { sticks: { margin: number; marked: number[] }[] }).sticks;
    expect(stick!.margin).toBe(2 / 32);
    expect(stick!.marked).toEqual(plan.sticks[0]!.marked);
    expect(cutList(job, plan)[0]!.length).toBe('47 +');
  });
});

describe('the margin', () => {
  test('is kept for every piece: what just fits without it does not with it', () => {
    // Two pieces of 47 15/16, a kerf of 1/8 and 1/16 at each end: 96 1/8.
    const at = (length: number, cutMargin: number | undefined) =>
      planOf(
        room(
          [47.9375, 47.9375],
          { insideCorner: 'butt', ...(cutMargin === undefined ? {} : { cutMargin }) },
          [{ id: 's', profile: 'base', length, price: 1 }],
        ),
      ).sticks.length;
    const needs = 96.125 - 0.625;
    expect(at(needs, 0)).toBe(1);
    expect(at(needs, undefined)).toBe(2);
    expect(at(needs + 2 / 32, undefined)).toBe(1);
  });

  test('may be used up by hand, and that is said', () => {
    const stock = [{ id: 's', profile: 'base', length: 95.5, price: 1 }];
    const job = room([47.9375, 47.9375], { insideCorner: 'butt' }, stock);
    const pieces = planOf(job).pieces.map(({ id, from, to }) => ({ id, from: from!, to: to! }));
    const plan = planOf(job, [{ profile: 'base', source: 'buy', stock: 's', pieces }]);
    expect(plan.sticks).toHaveLength(1);
    const [said] = plan.watchOuts.filter((one) => one.code === 'tight-stick');
    expect(plainText(said!.text)).toContain('1-02, 1-01');
    expect(said!.pieces).toHaveLength(2);
  });
});
