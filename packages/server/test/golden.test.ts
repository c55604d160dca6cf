import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { goldenOfLog, goldensOfCalculators, goldensOfJob, jobNames } from './golden/goldens.ts';

/**
 * Answers as they were last looked at. Written anew by `npm run goldens`; the difference is read before it is kept.
 */
const FOLDER = join(process.cwd(), 'packages/server/test/golden/files');

function hold(files: Readonly<Record<string, string>>): void {
  for (const [name, content] of Object.entries(files)) {
    const path = join(FOLDER, name);
    if (process.env['LONGMITER_GOLDENS'] === 'write') {
      mkdirSync(FOLDER, { recursive: true });
      writeFileSync(path, content);
    }
    // Line by line, so that a failure shows the place and not two whole files.
    const [now, before] = [content.split('\n'), readFileSync(path, 'utf8').split('\n')];
    const at = now.findIndex((line, index) => line !== before[index]);
    expect([name, at, now[at]]).toEqual([name, at, before[at]]);
    expect(now).toHaveLength(before.length);
  }
}

describe('answers that a change of structure leaves as they are', () => {
  test.each(jobNames)('plan, lists and drawings of %s', async (name) => {
    hold(await goldensOfJob(name));
  });
  test('answers of the open format and of the calculators', () => {
    hold(goldensOfCalculators());
  });
  test('the half-cut job', () => {
    hold(goldenOfLog());
  });
});
