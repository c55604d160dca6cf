import { inWords } from '../../test/helpers/in-words.ts';
import { describe, expect, test } from '@jest/globals';
import { corner, crownJob } from '../../test/helpers/crown.ts';
import type { JobFile } from '../job/index.ts';
import { planQuickly, type Piece } from '../plan/index.ts';
import { crownHanging, rollAdvice } from './crown-hanging.ts';

const room = (material: 'mdf' | 'polyurethane', rules: JobFile['houseRules']): JobFile =>
  crownJob({
    unit: 'in',
    profile: { width: 4, springAngle: 45, material },
    ceiling: 96,
    walls: [138, 100, 138, 100].map((length) => ({ length, corner: corner(90) })),
    rules: { insideCorner: 'miter', ...rules },
    stock: 168,
  });
const hung = (job: JobFile): Piece[] =>
  [...planQuickly(job).pieces].filter((one) => one.role === 'wall').sort((a, b) => a.order - b.order);
const said = (job: JobFile, index: number): string =>
  inWords(
    crownHanging(
      job,
      hung(job)[index]!,
      hung(job).map((plan) => ({ tag: plan.label, plan })),
    ),
  ).join('\n');

describe('what each school says on the ladder', () => {
  test('foam: bead, nails by turns, loose to its corner, alone', () => {
    const text = said(room('polyurethane', { crownOrder: 'foam' }), 0);
    expect(inWords(text)).toContain('A bead of adhesive along both edges');
    expect(inWords(text)).toContain('a nail every 12 in, by turns into wall and ceiling');
    expect(inWords(text)).toContain('none nearer a corner than 18 in');
    expect(inWords(text)).toContain('Alone?');
    expect(inWords(said(room('polyurethane', { crownOrder: 'foam' }), 1))).not.toContain('Alone?');
  });

  test('opposite walls: levered to the test block; glued sides with wedges and the numbers of both neighbours', () => {
    const job = room('mdf', { crownOrder: 'opposite' });
    expect(inWords(said(job, 0))).toContain('test block');
    const glued = said(job, 2);
    const [first, second] = hung(job);
    expect(glued).toContain(first!.label);
    expect(glued).toContain(second!.label);
    expect(glued).toContain('5° wedge');
    expect(glued).not.toContain('test block');
  });

  test('round the room: the last one is bowed in, the others are not', () => {
    const job = room('mdf', { crownOrder: 'round' });
    expect(inWords(said(job, 3))).toContain('Bow it in');
    expect(inWords(said(job, 0))).not.toContain('Bow it in');
  });

  test('no word of it for anything but crown', () => {
    const job = room('mdf', {});
    const base = { ...job, profiles: job.profiles.map((one) => ({ ...one, use: 'base' as const })) };
    expect(crownHanging(base as JobFile, hung(job)[0]!, [])).toEqual([]);
  });
});

/**
 * A piece of crown of width w, mitered for spring σ at a corner of 90, hung at another spring: how far its cut is from the plane
 * through the corner at each edge, negative where it falls short. In the plane of the corner a point that is z off the wall lies z
 * from the corner along it, inside; beyond it, outside.
 */
const misses = (inside: boolean, planned: number, hungAt: number): { ceiling: number; wall: number } => {
  const rad = (degrees: number): number => (degrees * Math.PI) / 180;
  const cutBack = (inside ? 1 : -1) * 4 * Math.sin(rad(planned));
  const stands = (inside ? 1 : -1) * 4 * Math.sin(rad(hungAt));
  // Where both wall edges touch the corner: what is missing at the ceiling edge, along the wall.
  return { ceiling: stands - cutBack, wall: 0 };
};

test('rolled out, an inside corner runs past at its ceiling edge and an outside one falls short: so it is rolled the other way', () => {
  // Rolled out by five degrees: past its plane (positive) inside, so that its wall edge is kept open; short outside.
  expect(misses(true, 38, 43).ceiling).toBeGreaterThan(0);
  expect(misses(false, 38, 43).ceiling).toBeLessThan(0);
  expect(inWords(rollAdvice(true).openAtWall)).toContain('roll it back');
  expect(inWords(rollAdvice(false).openAtCeiling)).toContain('roll it back');
  expect(misses(true, 38, 33).ceiling).toBeLessThan(0);
  expect(misses(false, 38, 33).ceiling).toBeGreaterThan(0);
  expect(inWords(rollAdvice(true).openAtCeiling)).toContain('roll it out');
  expect(inWords(rollAdvice(false).openAtWall)).toContain('roll it out');
});
