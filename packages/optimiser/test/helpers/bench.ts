import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { problemOfFile, type CutProblem, type CutProblemFile } from '../../src/index.ts';

const folder = join(process.cwd(), 'packages/optimiser/test/fixtures/bench');

/** A published cutting problem, or what is known of all of them (`best-known`). */
export const readBench = (name: string): unknown =>
  JSON.parse(readFileSync(join(folder, `${name}.json`), 'utf8')) as unknown;

/** The problem that a file of the open format holds; files of tests are right, so that nothing is checked. */
export function readProblem(file: unknown): { readonly file: CutProblemFile; readonly problem: CutProblem } {
  const known = file as CutProblemFile;
  return { file: known, problem: problemOfFile(known) };
}
