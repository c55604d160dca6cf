import { message } from '../messages/index.ts';
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
      text: message('fault.the-file-has-mb-at-most', {
        length: (text.length / 1e6).toFixed(1),
        most: most / 1e6,
      }),
    });
  if (text.trim() === '') return fail({ at: '', text: message('fault.the-file-is-empty') });
  try {
    return { ok: true, value: JSON.parse(text) as unknown };
  } catch (error) {
    const hint = /\b(?:NaN|Infinity)\b/.test(text) ? message('fault.nan-and-infinity-are-not-numbers') : '';
    return fail({
      at: '',
      text: message('fault.is-not-json', {
        value: (error as Error).message.replace(/\s+/g, ' ').slice(0, 160),
        hint,
      }),
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
