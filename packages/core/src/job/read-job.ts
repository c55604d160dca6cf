import { fail, failIfAny, type Result } from '../base/index.ts';
import { checkJob } from './check-job.ts';
import { checkShape } from './faults.ts';
import { jobFileSchema, type JobFile } from './schema.ts';
import { upgradeJob } from './upgrade-job.ts';

/** Largest file read: a job of 2000 rooms stays well below it. */
export const MAX_FILE_BYTES = 5_000_000;

/**
 * Reads JSON text, with the reason when it is none.
 * @param most bytes that are read
 * Issues: empty, larger than that, not JSON (NaN and Infinity are not).
 */
export function readJson(text: string, most = MAX_FILE_BYTES): Result<unknown> {
  if (text.length > most)
    return fail({
      at: '',
      text: `the file has ${(text.length / 1e6).toFixed(1)} MB; at most ${most / 1e6} MB are read`,
    });
  if (text.trim() === '') return fail({ at: '', text: 'the file is empty' });
  try {
    return { ok: true, value: JSON.parse(text) as unknown };
  } catch (error) {
    const hint = /\b(?:NaN|Infinity)\b/.test(text) ? ' (NaN and Infinity are not numbers in JSON)' : '';
    return fail({
      at: '',
      text: `is not JSON: ${(error as Error).message.replace(/\s+/g, ' ').slice(0, 160)}${hint}`,
    });
  }
}

/**
 * Checks a value against the job file format: brought to today's version, then its shape, then what the shape cannot say.
 * Issues: pointers into the file as it came, but for the saw of a version 1 file, which is the first of `saws`.
 */
export function checkJobFile(value: unknown): Result<JobFile> {
  const shaped = checkShape(jobFileSchema, upgradeJob(value));
  return shaped.ok ? failIfAny(checkJob(shaped.value), shaped.value) : shaped;
}

/** Reads a job file from its text. */
export function readJobFile(text: string): Result<JobFile> {
  const json = readJson(text);
  return json.ok ? checkJobFile(json.value) : json;
}
